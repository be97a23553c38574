package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.TypeFacts.Creating;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;

/**
 * The creations of one collaborator in the routines of a class, each time anew.
 *
 * @param client      the class
 * @param creations   in order; never empty
 * @param constructor whose calls they are
 * @param same        whether all are written alike, of nothing that stands in locals: then the arguments are no matter of the callers
 */
record RoutineCreations(TypeElement client, List<TreePath> creations, ExecutableElement constructor, boolean same) {

    /** All creations of a type in a class, in routines or not. */
    static List<TreePath> anywhere(Workspace workspace, TypeElement client, String collaborator) {
        TreePath home = workspace.path(client).orElseThrow();
        List<TreePath> all = new ArrayList<>();
        new TreePathScanner<Void, Void>() {
            @Override
            public Void visitNewClass(NewClassTree tree, Void nothing) {
                Element made = workspace.element(getCurrentPath());
                if (made != null && made.getEnclosingElement().getSimpleName().contentEquals(collaborator) && tree.getClassBody() == null) {
                    all.add(getCurrentPath());
                }
                return super.visitNewClass(tree, nothing);
            }
        }.scan(home, null);
        return all;
    }

    /**
     * Those of a finding.
     *
     * @param early why it is none for what is created when the client is
     * @throws Refused where one is not made in a routine of an object, or they differ in more than arguments
     */
    static RoutineCreations of(Workspace workspace, Creating fact, String early) {
        TypeElement client = workspace.type(fact.client());
        String collaborator = Symbol.of(fact.collaborator()).simpleType();
        if (client.getKind() != ElementKind.CLASS) {
            throw new Refused(client.getSimpleName() + " is no class");
        }
        List<TreePath> creations = anywhere(workspace, client, collaborator);
        if (creations.isEmpty()) {
            throw new Refused("the creation of a " + collaborator + " is not found in " + client.getSimpleName());
        }
        creations.forEach(each -> refuseElsewhere(workspace, client, each, early));
        Set<Element> constructors = creations.stream().map(workspace::element).collect(Collectors.toSet());
        ExecutableElement constructor = (ExecutableElement) workspace.element(creations.get(0));
        if (constructors.size() > 1) {
            throw new Refused("it is created by different constructors");
        }
        if (((TypeElement) constructor.getEnclosingElement()).getNestingKind().isNested() && !constructor.getEnclosingElement().getModifiers().contains(Modifier.STATIC)) {
            throw new Refused(collaborator + " is an inner class: each belongs to the object that creates it");
        }
        Set<String> texts = creations.stream().map(workspace::text).collect(Collectors.toSet());
        Captures captures = Captures.of(workspace, creations);
        boolean same = texts.size() == 1 && captures.read().isEmpty() && !captures.needsObject();
        if (!same && (constructor.isVarArgs() || creations.stream().anyMatch(each -> ((NewClassTree) each.getLeaf()).getIdentifier().getKind() == Tree.Kind.PARAMETERIZED_TYPE))) {
            throw new Refused("it is created with arguments of varying number or type");
        }
        return new RoutineCreations(client, creations, constructor, same);
    }

    private static void refuseElsewhere(Workspace workspace, TypeElement client, TreePath creation, String early) {
        TreePath around = creation;
        while (!(around.getLeaf() instanceof MethodTree) && !(around.getLeaf() instanceof ClassTree)) {
            around = around.getParentPath();
        }
        if (!(around.getLeaf() instanceof MethodTree routine) || routine.getReturnType() == null) {
            throw new Refused(early);
        }
        Element element = workspace.element(around);
        if (!client.equals(element.getEnclosingElement())) {
            throw new Refused("it is created in a class within " + client.getSimpleName());
        }
        if (element.getModifiers().contains(Modifier.STATIC)) {
            throw new Refused(element.getSimpleName() + "() is static: it has no object that could be asked");
        }
    }

    TypeElement made() {
        return (TypeElement) constructor.getEnclosingElement();
    }

    /** As what all of them are taken: the type of the variables that they are put in, where they are of one; else their own. */
    TypeMirror product(Workspace workspace) {
        TypeMirror taken = null;
        for (TreePath each : creations) {
            Element variable = each.getParentPath().getLeaf() instanceof VariableTree declared && declared.getType() != null ? workspace.element(each.getParentPath()) : null;
            TypeMirror type = variable == null ? null : variable.asType();
            if (type == null || type.getKind() != TypeKind.DECLARED || taken != null && !workspace.types().isSameType(taken, type)) {
                return made(workspace);
            }
            taken = type;
        }
        return taken;
    }

    private TypeMirror made(Workspace workspace) {
        if (!made().getTypeParameters().isEmpty()) {
            throw new Refused(made().getSimpleName() + " is created for different types");
        }
        return made().asType();
    }

    /** What a routine that creates it is told; nothing where all are created alike. */
    List<? extends VariableElement> parameters() {
        if (same) {
            return List.of();
        }
        if (constructor.getParameters().stream().anyMatch(each -> each.asType().getKind() == TypeKind.TYPEVAR)) {
            throw new Refused("its constructor takes values of a type that varies");
        }
        return constructor.getParameters();
    }

    /** The expression that creates it, of the parameters. */
    String creation(Workspace workspace) {
        return same ? workspace.text(creations.get(0)) : "new " + named(workspace) + "(" + parameters().stream().map(each -> each.getSimpleName().toString()).collect(Collectors.joining(", ")) + ")";
    }

    /** How the type is written where it is created, with its brackets. */
    String named(Workspace workspace) {
        return workspace.text(new TreePath(creations.get(0), ((NewClassTree) creations.get(0).getLeaf()).getIdentifier()));
    }

    /** What a creation hands over, as it is written there. */
    String arguments(Workspace workspace, TreePath creation) {
        return same ? "" : ((NewClassTree) creation.getLeaf()).getArguments().stream().map(each -> workspace.text(new TreePath(creation, each))).collect(Collectors.joining(", "));
    }
}
