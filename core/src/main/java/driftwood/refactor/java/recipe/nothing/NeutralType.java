package driftwood.refactor.java.recipe.nothing;

import driftwood.pattern.Words;
import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.NewFile;
import driftwood.refactor.java.ground.Purity;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;

/** The type of a neutral object: it answers every operation, and holds nothing. */
final class NeutralType {
    private static final Map<String, String> EMPTY = Map.of("java.lang.String", "\"\"", "java.util.List", "java.util.Collections.emptyList()", "java.util.Collection", "java.util.Collections.emptyList()",
            "java.lang.Iterable", "java.util.Collections.emptyList()", "java.util.Set", "java.util.Collections.emptySet()", "java.util.Map", "java.util.Collections.emptyMap()", "java.util.Optional", "java.util.Optional.empty()",
            "java.util.stream.Stream", "java.util.stream.Stream.empty()");
    private final Drafting drafting;
    private final Workspace workspace;
    private final TypeElement type;
    private final String name;

    NeutralType(Drafting drafting, TypeElement type, String name) {
        this.drafting = drafting;
        this.workspace = drafting.workspace();
        this.type = type;
        this.name = name;
    }

    /** @throws Refused where no neutral object can stand for one of a type */
    static void check(Workspace workspace, TypeElement type) {
        String called = type.getSimpleName().toString();
        if (type.getQualifiedName().toString().startsWith("java.")) {
            throw new Refused("whether a caller may take an empty " + called + " for nothing is for somebody to say who knows them");
        }
        if (!type.getTypeParameters().isEmpty() || type.getModifiers().contains(Modifier.SEALED)) {
            throw new Refused(called + " is sealed, or has type parameters");
        }
        if (type.getKind().isInterface()) {
            return;
        }
        if (type.getKind() != ElementKind.CLASS || type.getModifiers().contains(Modifier.FINAL) || !(type.getEnclosingElement().getKind() == ElementKind.PACKAGE || type.getModifiers().contains(Modifier.STATIC))) {
            throw new Refused(called + " is final, an enum, a record or an inner class: no neutral object can descend from it");
        }
        Optional<ExecutableElement> closed = operations(workspace, type).stream().filter(each -> each.getModifiers().contains(Modifier.FINAL)).findFirst();
        if (closed.isPresent()) {
            throw new Refused(called + "." + closed.get().getSimpleName() + "() is final: a neutral object could not answer it");
        }
        if (constructor(workspace, type).isEmpty()) {
            throw new Refused("no constructor of " + called + " only keeps what it is given: a neutral object would have to be made by it");
        }
    }

    /** What can be asked of one: all but what every object has. */
    private static List<ExecutableElement> operations(Workspace workspace, TypeElement type) {
        return ElementFilter.methodsIn(workspace.elements().getAllMembers(type)).stream().filter(each -> !each.getModifiers().contains(Modifier.STATIC) && !each.getModifiers().contains(Modifier.PRIVATE)
                && !((TypeElement) each.getEnclosingElement()).getQualifiedName().contentEquals("java.lang.Object") && !isOfEveryObject(each)).toList();
    }

    private static boolean isOfEveryObject(ExecutableElement routine) {
        return routine.getSimpleName().toString().matches("toString|hashCode") && routine.getParameters().isEmpty() || routine.getSimpleName().contentEquals("equals") && routine.getParameters().size() == 1;
    }

    /** The constructor that asks for least, of those that only keep what they are given. */
    private static Optional<ExecutableElement> constructor(Workspace workspace, TypeElement type) {
        boolean plain = type.getEnclosedElements().stream().filter(each -> each.getKind() == ElementKind.FIELD && !each.getModifiers().contains(Modifier.STATIC)).flatMap(each -> workspace.path(each).stream())
                .noneMatch(each -> ((VariableTree) each.getLeaf()).getInitializer() != null && Purity.mayActOutside(workspace, new TreePath(each, ((VariableTree) each.getLeaf()).getInitializer())));
        boolean parent = type.getSuperclass().toString().equals("java.lang.Object");
        return !plain || !parent ? Optional.empty() : ElementFilter.constructorsIn(type.getEnclosedElements()).stream().filter(each -> !each.getModifiers().contains(Modifier.PRIVATE) && !each.isVarArgs()
                && workspace.written(each).map(NeutralType::onlyKeeps).orElse(true)).min(Comparator.comparingInt(each -> each.getParameters().size()));
    }

    private static boolean onlyKeeps(TreePath constructor) {
        for (StatementTree each : ((MethodTree) constructor.getLeaf()).getBody().getStatements()) {
            boolean keeps = each instanceof ExpressionStatementTree only && only.getExpression() instanceof AssignmentTree set && set.getExpression().getKind() == com.sun.source.tree.Tree.Kind.IDENTIFIER;
            if (!keeps && !each.toString().startsWith("super()")) {
                return false;
            }
        }
        return true;
    }

    /** @param beside the file of the type @param answers by routine, as code */
    void write(Unit beside, Map<ExecutableElement, String> answers) {
        NewFile file = new NewFile(drafting, beside, name);
        boolean contract = type.getKind().isInterface();
        String handed = contract ? "" : constructor(workspace, type).orElseThrow().getParameters().stream().map(Element::asType).map(this::given).collect(Collectors.joining(", "));
        StringBuilder code = new StringBuilder("/** " + Words.upper(Words.one(type.getSimpleName())) + " where there is none. */\n" + Drafting.openness(type) + "final class " + name + (contract ? " implements " : " extends ") + file.name(type)
                + " {\n    /** The one instance: it holds nothing. */\n    " + Drafting.openness(type) + "static final " + name + " INSTANCE = new " + name + "();\n\n    private " + name + "() {\n"
                + (handed.isEmpty() ? "" : "        super(" + handed + ");\n") + "    }\n");
        for (ExecutableElement each : operations(workspace, type)) {
            if (!contract || each.getModifiers().contains(Modifier.ABSTRACT) || answers.containsKey(each)) {
                StringBuilder parameters = new StringBuilder();
                for (VariableElement one : each.getParameters()) {
                    parameters.append(parameters.isEmpty() ? "" : ", ").append(file.name(one.asType())).append(' ').append(one.getSimpleName());
                }
                String open = each.getModifiers().contains(Modifier.PUBLIC) ? "public " : each.getModifiers().contains(Modifier.PROTECTED) ? "protected " : "";
                String value = answers.getOrDefault(each, shortened(neutral(each.getReturnType()), each.getReturnType(), file));
                code.append("\n    @Override\n    ").append(open).append(file.name(each.getReturnType())).append(' ').append(each.getSimpleName()).append('(').append(parameters).append(") {\n")
                        .append(value.isEmpty() ? "" : "        return " + value + ";\n").append("    }\n");
            }
        }
        file.write(code + "}\n");
    }

    private String neutral(TypeMirror of) {
        return switch (of.getKind()) {
            case VOID -> "";
            case BOOLEAN -> "false";
            case DECLARED, ARRAY, TYPEVAR -> object(of);
            default -> "0";
        };
    }

    /** The type that a routine gives is imported already. */
    private static String shortened(String value, TypeMirror of, NewFile file) {
        String qualified = of instanceof DeclaredType declared ? ((TypeElement) declared.asElement()).getQualifiedName().toString() : "";
        return !qualified.isEmpty() && value.startsWith(qualified + ".") ? file.name((TypeElement) ((DeclaredType) of).asElement()) + value.substring(qualified.length()) : value;
    }

    private String object(TypeMirror of) {
        if (!(of instanceof DeclaredType declared)) {
            return "null";
        }
        return declared.asElement().equals(type) ? "this" : EMPTY.getOrDefault(((TypeElement) declared.asElement()).getQualifiedName().toString(), "null");
    }

    /** What the parent's constructor is given; a null says of which type it is, as there may be others. */
    private String given(TypeMirror of) {
        String value = neutral(of);
        return value.equals("null") || value.equals("this") ? "null" : of.getKind() == javax.lang.model.type.TypeKind.CHAR ? "'\\0'" : value;
    }
}
