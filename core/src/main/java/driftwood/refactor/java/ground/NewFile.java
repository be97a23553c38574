package driftwood.refactor.java.ground;

import com.sun.source.tree.ImportTree;
import driftwood.refactor.Refused;
import java.util.Collection;
import java.util.TreeSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.ArrayType;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.type.WildcardType;

/** A file for a new type beside an existing one: the same package, comment at its head, line ends and indentation. */
public final class NewFile implements Imports.InFile {
    private final Drafting drafting;
    private final Unit beside;
    private final String simpleName;
    private final Set<String> imports = new TreeSet<>();

    public NewFile(Drafting drafting, Unit beside, String simpleName) {
        this.drafting = drafting;
        this.beside = beside;
        this.simpleName = simpleName;
    }

    /** Its path. */
    public String path() {
        return beside.file().substring(0, beside.file().lastIndexOf('/') + 1) + simpleName + ".java";
    }

    /** A type as it is written in the new file, which imports what it needs. */
    public String name(TypeMirror type) {
        return switch (type.getKind()) {
            case ARRAY -> name(((ArrayType) type).getComponentType()) + "[]";
            case DECLARED -> name((TypeElement) ((DeclaredType) type).asElement()) + (((DeclaredType) type).getTypeArguments().isEmpty() ? ""
                    : ((DeclaredType) type).getTypeArguments().stream().map(this::name).collect(Collectors.joining(", ", "<", ">")));
            case WILDCARD -> ((WildcardType) type).getExtendsBound() != null
                    ? "? extends " + name(((WildcardType) type).getExtendsBound())
                    : ((WildcardType) type).getSuperBound() != null ? "? super " + name(((WildcardType) type).getSuperBound()) : "?";
            case ERROR, INTERSECTION, UNION -> throw new Refused("a value has a type without a name: " + type);
            default -> type.toString().replaceAll("@[\\w.]+\\s*", "");
        };
    }

    @Override
    public String platform(String qualified) {
        return name(drafting.workspace().elements().getTypeElement(qualified));
    }

    @Override
    public String thrown(Collection<? extends TypeMirror> types) {
        return types.isEmpty() ? "" : " throws " + types.stream().map(this::name).collect(Collectors.joining(", "));
    }

    /** A routine as an interface declares it, without its end. @throws Refused where it has type parameters */
    public String head(ExecutableElement routine) {
        if (!routine.getTypeParameters().isEmpty()) {
            throw new Refused(routine.getSimpleName() + "() has type parameters");
        }
        return name(routine.getReturnType()) + " " + routine.getSimpleName() + taking(routine.getParameters(), routine);
    }

    /** Parameters in parentheses, and what a routine throws. @param parameters all of the routine's, or none */
    public String taking(List<? extends VariableElement> parameters, ExecutableElement routine) {
        String taken = parameters.stream().map(each -> name(each.asType()) + " " + each.getSimpleName()).collect(Collectors.joining(", "));
        return "(" + (routine.isVarArgs() ? taken.replaceFirst("\\[\\] (?=\\w+$)", "... ") : taken) + ")" + thrown(routine.getThrownTypes());
    }

    /** A type's name without arguments. */
    public String name(TypeElement type) {
        if (type.getSimpleName().length() == 0) {
            throw new Refused("a type without a name cannot be named elsewhere");
        }
        TypeElement outer = Workspace.outermost(type);
        String qualified = outer.getQualifiedName().toString();
        String around = qualified.contains(".") ? qualified.substring(0, qualified.lastIndexOf('.')) : "";
        boolean clash = outer.getSimpleName().contentEquals(simpleName) || imports.stream().anyMatch(each -> !each.equals(qualified) && each.endsWith("." + outer.getSimpleName()));
        StringBuilder inside = new StringBuilder();
        for (Element at = type; at != outer; at = at.getEnclosingElement()) {
            if (at.getEnclosingElement().getKind() == ElementKind.METHOD) {
                throw new Refused(type.getSimpleName() + " is declared within a routine and cannot be named elsewhere");
            }
            inside.insert(0, "." + at.getSimpleName());
        }
        if (around.equals("java.lang") || around.equals(Imports.packageOf(beside))) {
            return outer.getSimpleName().toString() + inside;
        }
        if (clash) {
            return qualified + inside;
        }
        imports.add(qualified);
        return outer.getSimpleName().toString() + inside;
    }

    /** Imports what code of the file beside names, as that file does. @param code that goes into the new one */
    public NewFile importing(String code) {
        for (ImportTree each : beside.tree().getImports()) {
            String name = each.getQualifiedIdentifier().toString();
            String simple = name.substring(name.lastIndexOf('.') + 1);
            if (simple.equals("*") || code.matches("(?s).*\\b" + simple + "\\b.*")) {
                imports.add((each.isStatic() ? "static " : "") + name);
            }
        }
        return this;
    }

    /**
     * Writes the file in the stage that is being written.
     *
     * @param code of the type, with four blanks a level
     * @throws Refused where the file is there already
     */
    public void write(String code) {
        if (drafting.workspace().units().stream().anyMatch(each -> each.file().equals(path()))) {
            throw new Refused("there is a file " + path() + " already; give what would be in it another name with --name ROLE=NAME");
        }
        String around = Imports.packageOf(beside);
        StringBuilder text = new StringBuilder(head());
        text.append(around.isEmpty() ? "" : "package " + around + ";\n\n");
        imports.forEach(each -> text.append("import ").append(each).append(";\n"));
        text.append(imports.isEmpty() ? "" : "\n").append(code.stripTrailing()).append('\n');
        drafting.script().write(path(), beside.styled(text.toString(), ""));
    }

    /** The comment that files here begin with, such as a licence; empty where they have none. */
    private String head() {
        String text = beside.text();
        if (beside.tree().getPackage() == null || !text.stripLeading().startsWith("/*")) {
            return "";
        }
        String before = text.substring(0, drafting.workspace().from(beside.tree().getPackage(), beside.tree()));
        return before.strip().startsWith("/**") ? "" : named(before.replace("\r", "").strip()) + "\n" + (before.replace("\r", "").endsWith("\n\n") ? "\n" : "");
    }

    /** With the name of the new file where the comment has that of the file beside, and lines as long as it above and below. */
    private String named(String comment) {
        String old = beside.file().substring(beside.file().lastIndexOf('/') + 1);
        String now = simpleName + ".java";
        return comment.contains(old) ? comment.replaceAll("(?m)(?<=[ *])([-=])\\1{" + (old.length() - 1) + "}$", "$1".repeat(now.length())).replace(old, now) : comment;
    }
}
