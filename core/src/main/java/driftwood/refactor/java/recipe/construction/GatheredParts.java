package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.ArrayType;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;

/**
 * What the creation routine of a composite may do with its parts so that nobody sees a difference: those that do nothing are left out, and the
 * parts of one that is nested are taken up in its place, as its own wrapper only checks what it is told, which the outer one has done by then.
 */
final class GatheredParts {
    private static final Pattern CHECK = Pattern.compile("(?s)(?:java\\.util\\.)?Objects\\.requireNonNull\\(\\w+(?:, *\"[^\"]*\")?\\);|if \\([\\w\\s.<>=!&|+\\-\"]*(?:\\.(?:isEmpty|isBlank|length|size)\\(\\)[\\w\\s.<>=!&|+\\-\"]*)*\\) *\\{?\\s*throw new [^;{}]*;\\s*}?");
    private static final Set<String> LASTING = Set.of("java.lang.String", "java.util.Objects");
    private final Drafting drafting;
    private final Workspace workspace;
    private final TypeElement whole;
    private final TypeElement wrapper;
    private final TypeElement component;

    /** @param component what the whole, its wrapper and its parts are */
    GatheredParts(Drafting drafting, TypeElement whole, TypeElement wrapper, TypeElement component) {
        this.drafting = drafting;
        this.workspace = drafting.workspace();
        this.whole = whole;
        this.wrapper = wrapper;
        this.component = component;
    }

    /**
     * How the creation routine begins, and what it hands to the constructor in place of its parameter.
     *
     * @param does   what, as a clause
     * @param needed members of the wrapper that the routine reaches
     */
    record Gathering(String does, String code, String handed, Set<Element> needed) {
    }

    /** For a constructor; empty where it is not that of a composite, or where nothing can be left out or taken up. */
    Optional<Gathering> of(ExecutableElement constructor) {
        if (component.getKind() != ElementKind.INTERFACE || !component.getTypeParameters().isEmpty() || !told().stream().allMatch(each -> each.getReturnType().getKind() == TypeKind.VOID
                && each.getModifiers().contains(Modifier.ABSTRACT)) || constructor.getParameters().size() != 1 || !isOfParts(constructor.getParameters().get(0).asType())) {
            return Optional.empty();
        }
        drafting.follow(Set.of(component.getSimpleName().toString()));
        Optional<VariableElement> field = keeping(constructor).filter(this::isOnlyTold);
        return field.flatMap(each -> gathering(constructor, each));
    }

    private List<ExecutableElement> told() {
        return ElementFilter.methodsIn(component.getEnclosedElements());
    }

    private boolean isOfParts(TypeMirror type) {
        TypeMirror of = type instanceof ArrayType array ? array.getComponentType() : type instanceof DeclaredType declared && declared.getTypeArguments().size() == 1
                && Set.of("java.util.List", "java.util.Collection").contains(((TypeElement) declared.asElement()).getQualifiedName().toString()) ? declared.getTypeArguments().get(0) : type;
        return of != type && workspace.types().isSameType(of, component.asType());
    }

    /** The field that keeps a copy of what the constructor is handed, which does nothing else. */
    private Optional<VariableElement> keeping(ExecutableElement constructor) {
        List<String> statements = statements(constructor);
        String part = constructor.getParameters().get(0).getSimpleName().toString();
        return ElementFilter.fieldsIn(whole.getEnclosedElements()).stream().filter(each -> each.getModifiers().contains(Modifier.FINAL) && statements.size() == 1
                && statements.get(0).matches("(?:this\\.)?" + each.getSimpleName() + " = (?:(?:List|java\\.util\\.List)\\.(?:copyOf|of)\\(" + part + "\\)|new (?:java\\.util\\.)?ArrayList<\\w*>\\(" + part + "\\)|" + part + "\\.clone\\(\\));")).findFirst();
    }

    private List<String> statements(ExecutableElement routine) {
        return written(routine).stream().map(each -> workspace.text(each).replaceAll("\\s+", " ")).toList();
    }

    private List<TreePath> written(ExecutableElement routine) {
        TreePath path = workspace.written(routine).orElse(null);
        if (path == null || ((MethodTree) path.getLeaf()).getBody() == null) {
            return List.of();
        }
        TreePath body = new TreePath(path, ((MethodTree) path.getLeaf()).getBody());
        // The compiler's own call of the parent's constructor is written nowhere.
        return ((MethodTree) path.getLeaf()).getBody().getStatements().stream().map(each -> new TreePath(body, each)).filter(each -> workspace.to(each) > workspace.from(each)).toList();
    }

    private Optional<ExecutableElement> own(TypeElement type, ExecutableElement routine) {
        return ElementFilter.methodsIn(type.getEnclosedElements()).stream().filter(each -> workspace.elements().overrides(each, routine, type)).findFirst();
    }

    /** What a type says to one of the component's routines; its statements, empty for none. */
    private List<String> answer(TypeElement type, ExecutableElement routine) {
        return own(type, routine).map(this::statements).orElse(List.of("?"));
    }

    private List<String> handed(TypeElement type, ExecutableElement routine) {
        return own(type, routine).map(each -> each.getParameters().stream().map(one -> one.getSimpleName().toString()).toList()).orElse(List.of());
    }

    /** Whether the parts are told one after the other, and never changed. */
    private boolean isOnlyTold(VariableElement field) {
        boolean all = told().stream().allMatch(routine -> {
            String call = "\\." + routine.getSimpleName() + "\\(" + Pattern.quote(String.join(", ", handed(whole, routine))) + "\\)";
            String name = "(?:this\\.)?" + field.getSimpleName();
            List<String> said = answer(whole, routine);
            return said.size() == 1 && said.get(0).matches("for \\((?:final )?\\w+ (\\w+) ?: " + name + "\\) \\{? ?\\1" + call + "; ?}?|" + name + "\\.forEach\\((\\w+) -> \\2" + call + "\\);");
        });
        TreePath home = workspace.path(whole).orElseThrow();
        return all && workspace.uses().of(field).stream().allMatch(each -> Uses.isWithin(each, home)) && workspace.uses().of(field).size() == told().size() + 1;
    }

    private Optional<Gathering> gathering(ExecutableElement constructor, VariableElement field) {
        Unit unit = workspace.unit(workspace.path(whole).orElseThrow());
        List<String> idle = new Calls(workspace).below(component).stream().filter(this::isIdle).map(each -> drafting.imports().name(each, unit)).sorted().toList();
        Optional<VariableElement> inner = ElementFilter.fieldsIn(wrapper.getEnclosedElements()).stream().filter(each -> workspace.elements().getPackageOf(wrapper).equals(workspace.elements().getPackageOf(whole)) && isCheckedOnly(each)).findFirst();
        if (idle.isEmpty() && inner.isEmpty()) {
            return Optional.empty();
        }
        VariableElement handed = constructor.getParameters().get(0);
        String parts = handed.getSimpleName().contentEquals("parts") ? "kept" : "parts";
        String each = handed.getSimpleName().contentEquals("each") ? "part" : "each";
        String of = drafting.imports().name(component, unit);
        String nested = inner.map(kept -> "    if (" + asked(each, kept, unit) + ") {\n        " + taken(parts, each, field, kept, unit) + "\n    } else ").orElse("    ");
        String others = idle.isEmpty() ? inner.isPresent() ? "{\n        " + parts + ".add(" + each + ");\n    }\n" : "" : "if ("
                + idle.stream().map(one -> "!(" + each + " instanceof " + one + ")").collect(Collectors.joining(" && ")) + ") {\n        " + parts + ".add(" + each + ");\n    }\n";
        String code = drafting.imports().platform("java.util.List", unit) + "<" + of + "> " + parts + " = new " + drafting.imports().platform("java.util.ArrayList", unit) + "<>();\nfor (" + of + " " + each + " : "
                + handed.getSimpleName() + ") {\n" + nested + others + "}\n";
        String does = (idle.isEmpty() ? "" : "leaves out what does nothing") + (idle.isEmpty() || inner.isEmpty() ? "" : ", ") + (inner.isEmpty() ? "" : "takes up the parts of nested ones");
        return Optional.of(new Gathering(does, code, handed.asType() instanceof ArrayType ? parts + ".toArray(new " + of + "[0])" : parts, inner.<Set<Element>>map(Set::of).orElse(Set.of())));
    }

    private String asked(String each, VariableElement inner, Unit unit) {
        String around = drafting.imports().name(wrapper, unit);
        return drafting.hasRecords() ? each + " instanceof " + around + " around && around." + inner.getSimpleName() + " instanceof " + whole.getSimpleName() + " nested"
                : each + " instanceof " + around + " && ((" + around + ") " + each + ")." + inner.getSimpleName() + " instanceof " + whole.getSimpleName();
    }

    private String taken(String parts, String each, VariableElement field, VariableElement inner, Unit unit) {
        String nested = drafting.hasRecords() ? "nested." + field.getSimpleName() : "((" + whole.getSimpleName() + ") ((" + drafting.imports().name(wrapper, unit) + ") " + each + ")." + inner.getSimpleName() + ")." + field.getSimpleName();
        return parts + ".addAll(" + (field.asType() instanceof ArrayType ? drafting.imports().platform("java.util.Arrays", unit) + ".asList(" + nested + ")" : nested) + ");";
    }

    /** Whether a type answers each routine by doing nothing. */
    private boolean isIdle(TypeElement type) {
        return type.getKind().isClass() && !type.getModifiers().contains(Modifier.ABSTRACT) && type.getSimpleName().length() > 0 && new Calls(workspace).below(type).isEmpty()
                && type.getEnclosingElement().getKind() == ElementKind.PACKAGE && !type.getModifiers().contains(Modifier.PRIVATE) && told().stream().allMatch(each -> answer(type, each).isEmpty());
    }

    /** Whether a field of the wrapper is told all that the wrapper is told, once the wrapper has looked at it. */
    private boolean isCheckedOnly(VariableElement field) {
        return workspace.types().isSameType(field.asType(), component.asType()) && field.getModifiers().contains(Modifier.FINAL) && told().stream().allMatch(routine -> {
            List<String> said = answer(wrapper, routine);
            int last = said.size() - 1;
            return last >= 0 && said.get(last).matches("(?:this\\.)?" + field.getSimpleName() + "\\." + routine.getSimpleName() + "\\(" + Pattern.quote(String.join(", ", handed(wrapper, routine))) + "\\);")
                    && said.subList(0, last).stream().allMatch(each -> CHECK.matcher(each).matches())
                    && isLasting(written(own(wrapper, routine).orElseThrow()).subList(0, last));
        });
    }

    /** Whether checks look at nothing that a part could change before the next one is told: no field, and of objects texts alone. */
    private boolean isLasting(List<TreePath> checks) {
        boolean[] lasts = {!Captures.of(workspace, checks).needsObject()};
        checks.forEach(each -> new TreePathScanner<Void, Void>() {
            @Override
            public Void visitMethodInvocation(MethodInvocationTree call, Void nothing) {
                lasts[0] &= workspace.element(getCurrentPath()) instanceof ExecutableElement called && LASTING.contains(Workspace.typeAround(called).getQualifiedName().toString());
                return super.visitMethodInvocation(call, nothing);
            }
        }.scan(each, null));
        return lasts[0];
    }
}
