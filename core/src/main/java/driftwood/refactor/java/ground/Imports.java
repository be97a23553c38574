package driftwood.refactor.java.ground;

import com.sun.source.tree.ImportTree;
import com.sun.source.tree.Tree;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.regex.Matcher;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.ArrayType;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.type.TypeVariable;
import javax.lang.model.type.WildcardType;

/** How types are written in a file; what they need is imported there in the stage that is being written. */
public final class Imports {
    /** Ranks of what is inserted at one place. */
    private static final String FIRST_IMPORT = "1";
    private static final String IMPORT = "2";
    private static final String LAST_IMPORT = "3";
    private final Workspace workspace;
    private final Script script;
    private final Map<String, Set<String>> added = new LinkedHashMap<>();

    public Imports(Workspace workspace, Script script) {
        this.workspace = workspace;
        this.script = script;
    }

    /**
     * A type as it is written in a file.
     *
     * @throws Refused where it has no name, such as an anonymous class
     */
    public String name(TypeMirror type, Unit unit) {
        return switch (type.getKind()) {
            case ARRAY -> name(((ArrayType) type).getComponentType(), unit) + "[]";
            case DECLARED -> declared((DeclaredType) type, unit);
            case TYPEVAR -> variable((TypeVariable) type);
            case WILDCARD -> wildcard((WildcardType) type, unit);
            case ERROR -> throw new Refused("the type " + type + " is in a library that is not at hand");
            case INTERSECTION, UNION -> throw new Refused("a value has a type without a name: " + type);
            default -> type.getKind().isPrimitive() || type.getKind() == TypeKind.VOID ? type.getKind().name().toLowerCase(java.util.Locale.ROOT)
                    : type.toString();
        };
    }

    private static String variable(TypeVariable type) {
        String name = type.asElement().getSimpleName().toString();
        if (!Character.isJavaIdentifierStart(name.charAt(0))) {
            throw new Refused("a value has a type without a name: " + type);
        }
        return name;
    }

    private String wildcard(WildcardType type, Unit unit) {
        return type.getExtendsBound() != null ? "? extends " + name(type.getExtendsBound(), unit)
                : type.getSuperBound() != null ? "? super " + name(type.getSuperBound(), unit) : "?";
    }

    private String declared(DeclaredType type, Unit unit) {
        List<? extends TypeMirror> arguments = type.getTypeArguments();
        return name((TypeElement) type.asElement(), unit) + (arguments.isEmpty() ? ""
                : arguments.stream().map(each -> name(each, unit)).collect(Collectors.joining(", ", "<", ">")));
    }

    /** {@code <T extends Vessel> }, with the space behind it; empty for none. */
    public String typeParameters(List<? extends TypeParameterElement> parameters, Unit unit) {
        return parameters.isEmpty() ? "" : parameters.stream().map(each -> each.getSimpleName() + each.getBounds().stream()
                .filter(bound -> !bound.toString().equals("java.lang.Object")).map(bound -> name(bound, unit))
                .reduce((a, b) -> a + " & " + b).map(bounds -> " extends " + bounds).orElse("")).collect(Collectors.joining(", ", "<", "> "));
    }

    /** Variables as the parameters of a routine, without its brackets; final where the file's are, and nothing gives them another value. */
    public String parameters(Collection<? extends VariableElement> variables, Unit unit) {
        return variables.stream().map(each -> (unit.hasFinalParameters() && workspace.uses().of(each).stream().noneMatch(Moving::isWritten) ? "final " : "") + name(each.asType(), unit) + " " + each.getSimpleName()).collect(Collectors.joining(", "));
    }

    /** What a routine says of the exceptions that it throws, with a blank before it; empty where it throws none. */
    public String thrown(Collection<? extends TypeMirror> types, Unit unit) {
        return types.isEmpty() ? "" : " throws " + types.stream().map(each -> name(each, unit)).collect(Collectors.joining(", "));
    }

    /** The names of variables as arguments, without brackets. */
    public static String arguments(Collection<? extends VariableElement> variables) {
        return variables.stream().map(VariableElement::getSimpleName).collect(Collectors.joining(", "));
    }

    /** A type's name as it is written in a file, without arguments. */
    public String name(TypeElement type, Unit unit) {
        if (type.getSimpleName().length() == 0 || type.getEnclosingElement().getKind() != ElementKind.PACKAGE
                && !(type.getEnclosingElement() instanceof TypeElement)) {
            throw new Refused("a type of a routine's own, " + (type.getSimpleName().length() == 0 ? "without a name" : type.getSimpleName()) + ", cannot be named elsewhere");
        }
        TypeElement outer = Workspace.outermost(type);
        StringBuilder inside = new StringBuilder();
        for (Element at = type; at != outer; at = at.getEnclosingElement()) {
            inside.insert(0, "." + at.getSimpleName());
        }
        boolean own = type != outer && workspace.path(outer).filter(path -> workspace.unit(path) == unit).isPresent();
        return own ? inside.substring(1) : outer(outer.getQualifiedName().toString(), outer.getSimpleName().toString(), unit) + inside;
    }

    /** Types as one file writes them, which imports what it needs. */
    public interface InFile {

        /** A type of the platform. @param qualified not nested */
        String platform(String qualified);

        /** What a routine says of the exceptions that it throws, with a blank before it; empty where it throws none. */
        String thrown(Collection<? extends TypeMirror> types);
    }

    /** As a file writes them that is there. */
    public InFile in(Unit unit) {
        return new InFile() {
            @Override
            public String platform(String qualified) {
                return Imports.this.platform(qualified, unit);
            }

            @Override
            public String thrown(Collection<? extends TypeMirror> types) {
                return Imports.this.thrown(types, unit);
            }
        };
    }

    /** Code of one file as it is written in another: what it names by an import is imported there too. */
    public String carried(String code, Unit from, Unit to) {
        String carried = code;
        for (ImportTree each : from == to ? List.<ImportTree>of() : from.tree().getImports()) {
            String qualified = each.getQualifiedIdentifier().toString();
            String simple = qualified.substring(qualified.lastIndexOf('.') + 1);
            if (!each.isStatic() && carried.matches("(?s).*(?<![\\w.\"])" + Pattern.quote(simple) + "\\b.*")) {
                carried = carried.replaceAll("(?<![\\w.\"])" + Pattern.quote(simple) + "\\b", Matcher.quoteReplacement(platform(qualified, to)));
            }
        }
        return carried;
    }

    /** A type of the platform, as it is written in a file. @param qualified not nested */
    public String platform(String qualified, Unit unit) {
        return outer(qualified, qualified.substring(qualified.lastIndexOf('.') + 1), unit);
    }

    private String outer(String qualified, String simple, Unit unit) {
        String own = packageOf(unit);
        String around = qualified.contains(".") ? qualified.substring(0, qualified.lastIndexOf('.')) : "";
        boolean otherMeant = isNamedOtherwise(qualified, simple, unit);
        if (around.equals(own) || around.equals("java.lang")) {
            return otherMeant ? qualified : simple;
        }
        for (ImportTree each : unit.tree().getImports()) {
            String name = each.getQualifiedIdentifier().toString();
            if (!each.isStatic() && (name.equals(qualified) || name.equals(around + ".*") && !otherMeant)) {
                return simple;
            }
        }
        Set<String> now = added.computeIfAbsent(unit.file(), key -> new TreeSet<>());
        if (now.contains(qualified)) {
            return simple;
        }
        boolean clash = otherMeant || now.stream().anyMatch(each -> each.endsWith("." + simple));
        if (clash || around.isEmpty()) {
            return qualified;
        }
        now.add(qualified);
        add(qualified, unit);
        return simple;
    }

    /** Whether the simple name means something else in the file. */
    private boolean isNamedOtherwise(String qualified, String simple, Unit unit) {
        for (ImportTree each : unit.tree().getImports()) {
            String name = each.getQualifiedIdentifier().toString();
            if (name.endsWith("." + simple)) {
                return !name.equals(qualified);
            }
        }
        if (!Pattern.compile("\\b" + simple + "\\b").matcher(unit.text()).find()) {
            return false;
        }
        String own = packageOf(unit);
        String near = own.isEmpty() ? simple : own + "." + simple;
        boolean beside = !near.equals(qualified) && workspace.elements().getTypeElement(near) != null;
        boolean inside = unit.tree().getTypeDecls().stream().anyMatch(each -> each.toString().matches("(?s).*\\b(class|interface|enum|record) " + simple + "\\b.*"))
                && !qualified.equals(near);
        return beside || inside;
    }

    private void add(String qualified, Unit unit) {
        String line = "import " + qualified + ";";
        List<? extends ImportTree> imports = unit.tree().getImports().stream().filter(each -> !each.isStatic()).toList();
        ImportTree before = null;
        for (ImportTree each : imports) {
            String name = each.getQualifiedIdentifier().toString();
            boolean sameRoot = root(name).equals(root(qualified));
            if (name.compareTo(qualified) < 0 && (before == null || sameRoot || !root(before.getQualifiedIdentifier().toString()).equals(root(qualified)))) {
                before = each;
            }
        }
        if (before != null) {
            script.insert(unit.file(), workspace.to(before, unit.tree()), unit.newLine() + line, IMPORT + qualified);
        } else if (!unit.tree().getImports().isEmpty()) {
            script.insert(unit.file(), workspace.from(unit.tree().getImports().get(0), unit.tree()), line + unit.newLine(), IMPORT + qualified);
        } else if (unit.tree().getPackage() != null) {
            int at = workspace.to(unit.tree().getPackage(), unit.tree());
            if (added.get(unit.file()).size() == 1) {
                script.insert(unit.file(), at, unit.newLine(), FIRST_IMPORT);
            }
            script.insert(unit.file(), at, unit.newLine() + line, IMPORT + qualified);
        } else {
            Tree first = unit.tree().getTypeDecls().get(0);
            int at = Declarations.fromComments(unit, workspace.from(first, unit.tree()));
            script.insert(unit.file(), at, line + unit.newLine(), IMPORT + qualified);
            if (added.get(unit.file()).size() == 1) {
                script.insert(unit.file(), at, unit.newLine(), LAST_IMPORT);
            }
        }
    }

    private static String root(String name) {
        return name.contains(".") ? name.substring(0, name.indexOf('.')) : name;
    }

    /** The package of a file; empty where it has none. */
    public static String packageOf(Unit unit) {
        return unit.tree().getPackage() == null ? "" : unit.tree().getPackage().getPackageName().toString();
    }
}
