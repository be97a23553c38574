package driftwood.refactor.java.recipe.construction;

import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Imports;
import driftwood.refactor.java.ground.NewFile;
import driftwood.refactor.java.ground.Openings;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Evidence;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;

/** Where a builder stands, and how one is begun: by a static routine of the type, by its own constructor within it, or from a file of its own. */
final class BuilderPlace {
    static final String STATIC_ENTRY = "static-entry";
    static final String NESTED = "nested";
    static final String SEPARATE = "separate";

    private final Drafting drafting;
    private final Workspace workspace;
    private final TypeElement type;
    private final TreePath home;
    private final Unit unit;
    private final String form;
    private final String builder;
    private final String entry;
    private final NewFile file;

    /** @throws Refused where what it would be called is taken, or nobody beside the type could reach it */
    BuilderPlace(Drafting drafting, TypeElement type) {
        this.drafting = drafting;
        this.workspace = drafting.workspace();
        this.type = type;
        this.home = workspace.path(type).orElseThrow();
        this.unit = workspace.unit(home);
        this.form = drafting.form().isEmpty() ? STATIC_ENTRY : drafting.form();
        this.builder = isSeparate() ? drafting.typeName("builder", type, type.getSimpleName() + "Builder") : drafting.name("builder", "Builder");
        this.entry = drafting.name("entry", "builder");
        this.file = new NewFile(drafting, unit, builder);
        drafting.plays("builder", told());
        boolean taken = type.getEnclosedElements().stream().anyMatch(each -> each.getSimpleName().contentEquals(builder) || hasEntry() && each.getSimpleName().contentEquals(entry));
        if (!isSeparate() && taken) {
            throw new Refused(type.getSimpleName() + " has a " + builder + (hasEntry() ? " or " + entry + "()" : "") + " already");
        }
        if (isSeparate() && isHidden()) {
            throw new Refused(type.getSimpleName() + " is private to " + type.getEnclosingElement().getSimpleName() + ": a builder in a file of its own could not make one");
        }
    }

    private boolean isHidden() {
        for (Element at = type; at != null; at = at.getEnclosingElement()) {
            if (at.getModifiers().contains(Modifier.PRIVATE)) {
                return true;
            }
        }
        return false;
    }

    private boolean isSeparate() {
        return form.equals(SEPARATE);
    }

    /** Whether it is begun by a static routine of the type. */
    boolean hasEntry() {
        return form.equals(STATIC_ENTRY);
    }

    /** Its simple name. */
    String builder() {
        return builder;
    }

    String entry() {
        return entry;
    }

    /** As a title says it. */
    String told() {
        return isSeparate() ? builder : type.getSimpleName() + "." + builder;
    }

    /** How far what only the type and its builder share is open, with a blank. */
    String shared() {
        return isSeparate() ? "" : "private ";
    }

    /** How far the builder's own constructor is open. @param open the way in is */
    String begun(String open) {
        return hasEntry() ? "private " : open;
    }

    /** What its declaration begins with, without how far it is open. */
    String kept() {
        return isSeparate() ? "final class " : "static final class ";
    }

    /** A type as it is written where the builder stands. @param written in the type itself */
    String name(TypeMirror of, String written) {
        return isSeparate() ? file.name(of) : written;
    }

    /** How the file writes types in which the builder stands. */
    Imports.InFile file() {
        return isSeparate() ? file : drafting.imports().in(unit);
    }

    /** A default as it is written where the builder stands: what it names of the type is reached from there. */
    String value(String code) {
        if (!isSeparate() || code == null || code.startsWith("\"")) {
            return code;
        }
        Set<Element> needed = new LinkedHashSet<>();
        String value = code;
        for (Element each : type.getEnclosedElements()) {
            String own = "(?<![\\w.\"])" + each.getSimpleName() + "\\b";
            if (each.getModifiers().contains(Modifier.STATIC) && value.matches("(?s).*" + own + ".*")) {
                needed.add(each);
                value = value.replaceAll(own, Matcher.quoteReplacement(file.name(type) + "." + each.getSimpleName()));
            }
        }
        new Openings(drafting).openBeside(needed);
        return value;
    }

    /** Writes the way in and the builder in the stage that is being written. */
    void add(String way, String code) {
        if (isSeparate()) {
            drafting.next(workspace.place(home, "the field, and the line of the constructor that takes it"));
            drafting.next(Evidence.fresh(file.path(), "its step: callers who do not want it stay"));
            file.importing(code).write(code);
        } else {
            drafting.declarations().add(home, hasEntry() ? way + "\n\n" + code : code, Where.END);
        }
    }

    /**
     * How one is begun where the type was created.
     *
     * @param creation path of the creation
     * @param named    the type as it is written there, perhaps with what stands for its parameters
     * @param first    arguments
     * @throws Refused where what stands for the type parameters cannot be written, which a chain of steps would lose
     */
    String begin(TreePath creation, String named, String first) {
        Unit site = workspace.unit(creation);
        String around = Imports.packageOf(unit);
        String plain = named.replaceFirst("(?s)\\s*<.*", "");
        String arguments = arguments(creation, site);
        return switch (form) {
            case NESTED -> "new " + plain + "." + builder + arguments + "(" + first + ")";
            case SEPARATE -> "new " + drafting.imports().platform(around.isEmpty() ? builder : around + "." + builder, site) + arguments + "(" + first + ")";
            default -> plain + "." + arguments + entry + "(" + first + ")";
        };
    }

    private String arguments(TreePath creation, Unit site) {
        if (!(workspace.trees().getTypeMirror(creation) instanceof DeclaredType made) || made.getTypeArguments().isEmpty()) {
            return "";
        }
        if (made.getTypeArguments().stream().anyMatch(each -> each.getKind() != TypeKind.DECLARED && each.getKind() != TypeKind.ARRAY && each.getKind() != TypeKind.TYPEVAR
                || each.toString().contains("capture"))) {
            throw new Refused("what stands for the type parameters at " + site.file() + ":" + site.line(workspace.from(creation)) + " cannot be written down");
        }
        return made.getTypeArguments().stream().map(each -> drafting.imports().name(each, site)).collect(Collectors.joining(", ", "<", ">"));
    }
}
