package driftwood.refactor.java.recipe.twin;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Code;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Rewriting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;

/**
 * A class whose name combines two words, and which does nothing but what these say.
 *
 * @param parent   what all cells are
 * @param type     itself
 * @param path     its declaration
 * @param routines by their names and the types of their parameters
 * @param maker    its constructor, which hands all that it is given on to its parent; null where none is written
 */
record GridCell(Workspace workspace, TypeElement parent, TypeElement type, TreePath path, Map<String, ExecutableElement> routines, ExecutableElement maker) {

    /** @throws Refused where it keeps something, or does more when it is made than to hand on what it is given */
    static GridCell of(Workspace workspace, TypeElement type, TypeElement parent) {
        String name = type.getSimpleName().toString();
        TreePath path = workspace.path(type).orElseThrow();
        boolean child = workspace.types().isSameType(type.getSuperclass(), parent.asType()) || parent.getKind() == ElementKind.INTERFACE && type.getInterfaces().stream().anyMatch(each -> workspace.types().isSameType(each, parent.asType()));
        boolean otherParent = parent.getKind() == ElementKind.INTERFACE && !type.getSuperclass().toString().equals("java.lang.Object");
        if (!child || otherParent || !type.getTypeParameters().isEmpty()) {
            throw new Refused(name + " is no plain child of " + parent.getSimpleName());
        }
        Map<String, ExecutableElement> routines = new LinkedHashMap<>();
        List<ExecutableElement> makers = new ArrayList<>();
        for (Element each : type.getEnclosedElements()) {
            if (each.getKind() == ElementKind.METHOD && !each.getModifiers().contains(Modifier.STATIC) && !each.getModifiers().contains(Modifier.PRIVATE)) {
                ExecutableElement routine = (ExecutableElement) each;
                routines.put(each.getSimpleName() + "(" + routine.getParameters().stream().map(one -> one.asType().toString()).collect(Collectors.joining(",")) + ")", routine);
            } else if (each.getKind() == ElementKind.CONSTRUCTOR) {
                workspace.written(each).ifPresent(one -> makers.add(handingOn(name, (ExecutableElement) each, (MethodTree) one.getLeaf())));
            } else if (!(each.getKind() == ElementKind.FIELD && each.getModifiers().containsAll(Set.of(Modifier.STATIC, Modifier.FINAL)))) {
                throw new Refused(name + " has " + each.getSimpleName() + " of its own");
            }
        }
        if (makers.size() > 1) {
            throw new Refused(name + " has several constructors");
        }
        GridCell cell = new GridCell(workspace, parent, type, path, routines, makers.isEmpty() ? null : makers.get(0));
        routines.values().forEach(cell::refuseTied);
        return cell;
    }

    /** A constructor that does nothing but hand on what it is given, in its order. */
    private static ExecutableElement handingOn(String name, ExecutableElement maker, MethodTree tree) {
        String names = maker.getParameters().stream().map(each -> each.getSimpleName().toString()).collect(Collectors.joining(", "));
        boolean plain = tree.getBody().getStatements().stream().allMatch(line -> line.toString().equals("super(" + names + ");")) && (names.isEmpty() || !tree.getBody().getStatements().isEmpty());
        if (!plain || !maker.getThrownTypes().isEmpty() || maker.isVarArgs()) {
            throw new Refused(name + " does something when it is made, beside handing on what it is given");
        }
        return maker;
    }

    /** What it is made of. */
    List<VariableElement> handed() {
        return maker == null ? List.of() : List.copyOf(maker.getParameters());
    }

    private void refuseTied(ExecutableElement routine) {
        boolean marked = routine.getAnnotationMirrors().stream().anyMatch(each -> !each.getAnnotationType().toString().equals("java.lang.Override"));
        if (marked || routine.getModifiers().contains(Modifier.SYNCHRONIZED)) {
            throw new Refused(name() + "." + routine.getSimpleName() + "() is " + (marked ? "annotated: somebody else may ask for it here" : "synchronized on its object"));
        }
        TreePath tree = workspace.path(routine).orElseThrow();
        Captures captures = Captures.of(workspace, List.of(tree));
        captures.statics().stream().filter(each -> each.getEnclosingElement().equals(type) && each.getKind() != ElementKind.FIELD
                || each.getEnclosingElement().equals(parent) && each.getModifiers().contains(Modifier.PRIVATE)).findFirst().ifPresent(each -> {
                    throw new Refused(name() + "." + routine.getSimpleName() + "() asks " + each.getSimpleName());
                });
    }

    /** @throws Refused where it is made of something, or asks the object that it is */
    void refuseAsking() {
        if (!handed().isEmpty()) {
            throw new Refused(name() + " is made of something, which its wrapper would have twice");
        }
        routines.forEach((key, routine) -> {
            if (asks(key)) {
                throw new Refused(name() + "." + routine.getSimpleName() + "() asks the object for something, which would be another");
            }
        });
    }

    /** Whether a routine needs the object around. @throws Refused where that is more than a part of the object can be handed */
    boolean asks(String key) {
        ExecutableElement routine = routines.get(key);
        Captures captures = Captures.of(workspace, List.of(workspace.path(routine).orElseThrow()));
        if (captures.asksSuper()) {
            throw new Refused(name() + "." + routine.getSimpleName() + "() asks its parent's");
        }
        for (Element each : captures.members()) {
            boolean near = workspace.elements().getPackageOf(each).equals(workspace.elements().getPackageOf(type));
            boolean seen = each.getModifiers().contains(Modifier.PUBLIC) || near && !each.getModifiers().contains(Modifier.PRIVATE);
            boolean parents = !each.getEnclosingElement().equals(type) || each instanceof ExecutableElement own && ElementFilter.methodsIn(workspace.elements().getAllMembers(parent)).stream()
                    .anyMatch(one -> workspace.elements().overrides(own, one, type));
            if (!seen || !parents) {
                throw new Refused(name() + "." + routine.getSimpleName() + "() asks the object for " + each.getSimpleName() + ", which nobody else can");
            }
        }
        return captures.needsObject();
    }

    String name() {
        return type.getSimpleName().toString();
    }

    Unit unit() {
        return workspace.unit(path);
    }

    /** What a routine says, with the constants that it names: two that say the same do the same. */
    String told(String routine) {
        TreePath tree = workspace.path(routines.get(routine)).orElseThrow();
        return Code.compact(workspace.text(tree)) + constantsOf(List.of(routine)).stream().map(each -> Code.compact(workspace.text(workspace.path(each).orElseThrow()))).toList();
    }

    private Set<Element> constantsOf(List<String> keys) {
        Set<Element> constants = new LinkedHashSet<>();
        keys.forEach(key -> Captures.of(workspace, List.of(workspace.path(routines.get(key)).orElseThrow())).statics().stream()
                .filter(each -> each.getEnclosingElement().equals(type)).forEach(constants::add));
        for (Element each : constants) {
            TreePath value = workspace.path(each).orElseThrow();
            if (!Captures.of(workspace, List.of(new TreePath(value, ((VariableTree) value.getLeaf()).getInitializer()))).statics().stream().filter(one -> one.getEnclosingElement().equals(type)).toList().isEmpty()) {
                throw new Refused(name() + "." + each.getSimpleName() + " is worked out from another");
            }
        }
        return constants;
    }

    /** The constants that some routines name, a line each; empty for none. */
    String constants(List<String> keys) {
        return constantsOf(keys).stream().map(each -> "    " + workspace.text(workspace.path(each).orElseThrow()) + "\n").collect(Collectors.joining());
    }

    /** A routine with its comments, as text without indentation. */
    String code(ExecutableElement routine) {
        TreePath tree = workspace.path(routine).orElseThrow();
        return unit().bare(Comments.before(workspace, tree) + workspace.text(tree), unit().indentAt(workspace.from(tree)));
    }

    /** The same as a routine of an interface. @param moving what becomes of what it asks the object for @param taken how that is handed to it; empty where it is not */
    String opened(ExecutableElement routine, Function<TreePath, Optional<String>> moving, String taken) {
        TreePath tree = workspace.path(routine).orElseThrow();
        MethodTree method = (MethodTree) tree.getLeaf();
        TreePath body = new TreePath(tree, method.getBody());
        String head = unit().text().substring(workspace.from(new TreePath(tree, method.getReturnType())), workspace.from(body));
        int open = head.indexOf('(') + 1;
        String all = taken.isEmpty() ? head : head.substring(0, open) + taken + (routine.getParameters().isEmpty() ? "" : ", ") + head.substring(open);
        String told = all + (taken.isEmpty() ? workspace.text(body) : new Rewriting(workspace, moving).of(body));
        String comments = Comments.before(workspace, tree);
        return unit().bare(comments + "@Override\n" + unit().indentAt(workspace.from(tree)) + "public " + told, unit().indentAt(workspace.from(tree)));
    }

    /** Leaves the name, and what it is made of. @param parts the arguments for its new parent */
    void reduce(Drafting drafting, String whole, String parts) {
        ClassTree tree = (ClassTree) path.getLeaf();
        Unit unit = unit();
        int name = unit.text().indexOf(name(), unit.text().indexOf("class ", workspace.to(tree.getModifiers(), unit.tree()))) + name().length();
        int open = unit.text().indexOf('{', name);
        String others = tree.getImplementsClause().stream().map(each -> new TreePath(path, each)).filter(each -> !parent.equals(workspace.element(each))).map(workspace::text)
                .collect(Collectors.joining(", "));
        drafting.script().replace(unit.file(), name, unit.text().substring(0, open).stripTrailing().length(), " extends " + whole + (others.isEmpty() ? "" : " implements " + others));
        for (Element each : type.getEnclosedElements()) {
            workspace.written(each).ifPresent(drafting.declarations()::remove);
        }
        String visible = maker != null ? Drafting.visibility(maker) : type.getModifiers().contains(Modifier.PUBLIC) ? "public " : "";
        String arguments = Stream.concat(handed().stream().map(each -> each.getSimpleName().toString()), Stream.of(parts)).collect(Collectors.joining(", "));
        drafting.declarations().add(path, visible + name() + "(" + drafting.imports().parameters(handed(), unit) + ") {\n    super(" + arguments + ");\n}", Where.END);
    }
}
