package driftwood.refactor.java.ground;

import com.sun.source.util.TreePath;
import driftwood.pattern.NamedValues;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.Wishes;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;

/** A refactoring that a recipe is writing: what it stands on, what it writes to, and what it has to say. */
public final class Drafting {
    private final Finding finding;
    private final Workspace workspace;
    private final Script script;
    private final Imports imports;
    private final Declarations declarations;
    private final ConstantBodies constants;
    private static final int RECORDS = 16;
    private static final int SHORT_FORMS = 9;
    private static final int EMPTINESS = 11;

    private final Terms terms;
    private final List<String> meant = new ArrayList<>();
    private final Set<Element> opened = new LinkedHashSet<>();
    private final Set<Element> widened = new LinkedHashSet<>();
    private final Set<String> gone = new TreeSet<>();
    private final Set<String> closed = new TreeSet<>();
    private final Set<TreePath> callSites = new LinkedHashSet<>();
    private final List<Evidence> next = new ArrayList<>();
    private final Map<String, String> played;
    private NamedValues kinds;

    /**
     * What is known before anything is written.
     *
     * @param wishes  of the user
     * @param level   of the language that the project is written in, such as 8 or 17
     * @param words   names that are followed: all files with any of them are at hand
     */
    public record Terms(Wishes wishes, int level, Set<String> words) {
    }

    public Drafting(Finding finding, Workspace workspace, Script script, Terms terms) {
        this.finding = finding;
        this.workspace = workspace;
        this.script = script;
        this.terms = terms;
        this.played = new TreeMap<>(terms.wishes().names());
        this.imports = new Imports(workspace, script);
        this.declarations = new Declarations(workspace, script);
        this.constants = new ConstantBodies(workspace, script);
    }

    public Finding finding() {
        return finding;
    }

    public Workspace workspace() {
        return workspace;
    }

    public Script script() {
        return script;
    }

    public Imports imports() {
        return imports;
    }

    public Declarations declarations() {
        return declarations;
    }

    public ConstantBodies constants() {
        return constants;
    }

    public boolean hasRecords() {
        return terms.level() >= RECORDS;
    }

    /** Whether the platform has {@code List.of} and {@code Objects.requireNonNullElse}, and whatever else came with them. */
    public boolean hasShortForms() {
        return terms.level() >= SHORT_FORMS;
    }

    /** Whether an optional value can be asked for whether it is empty. */
    public boolean hasEmptiness() {
        return terms.level() >= EMPTINESS;
    }

    /** The recipe begins anew with more files at hand: it came to names that it does not follow yet. */
    public static final class Wider extends RuntimeException {
        private static final long serialVersionUID = 1L;
        private final transient Set<String> words;

        private Wider(Set<String> words) {
            super(null, null, false, false);
            this.words = words;
        }

        public Set<String> words() {
            return words;
        }
    }

    /** Says that all files with these names matter. @throws Wider where they are not all at hand */
    public void follow(Set<String> names) {
        if (!terms.words().containsAll(names)) {
            throw new Wider(Set.copyOf(names));
        }
    }

    /** The form of the pattern that the user asked for; empty for the usual one. */
    public String form() {
        return terms.wishes().form();
    }

    /** A name for a role: the user's, or the proposed one. */
    public String name(String role, String proposed) {
        String name = terms.wishes().names().getOrDefault(role, proposed);
        if (!javax.lang.model.SourceVersion.isName(name)) {
            throw new Refused("'" + name + "' cannot be a name of " + role);
        }
        return name;
    }

    /** A name for a new type beside another; the user's, or the first proposed one that is free. */
    public String typeName(String role, TypeElement beside, String... proposed) {
        String around = workspace.elements().getPackageOf(beside).getQualifiedName().toString();
        for (String each : terms.wishes().names().containsKey(role) ? List.of(terms.wishes().names().get(role)).toArray(String[]::new) : proposed) {
            String name = name(role, each);
            boolean taken = workspace.elements().getTypeElement(around.isEmpty() ? name : around + "." + name) != null;
            boolean within = ElementFilter.typesIn(beside.getEnclosedElements()).stream().anyMatch(type -> type.getSimpleName().contentEquals(name));
            if (!taken && !within && !isImported(name, beside) && !isFile(name, beside) && workspace.elements().getTypeElement("java.lang." + name) == null) {
                return name;
            }
        }
        throw new Refused((terms.wishes().names().containsKey(role) ? "there is a " + terms.wishes().names().get(role) + " already" : "there is a " + proposed[0] + " already")
                + "; give it another name with --name " + role + "=NAME");
    }

    /** Whether a file of that name stands where the type's own would: types of other names may be in it. */
    private boolean isFile(String name, TypeElement beside) {
        return workspace.path(Workspace.outermost(beside)).map(workspace::unit).filter(here -> workspace.units().stream()
                .anyMatch(each -> each.file().equals(here.file().substring(0, here.file().lastIndexOf('/') + 1) + name + ".java"))).isPresent();
    }

    /** Whether a name already means a type of another package where a type is declared. */
    private boolean isImported(String name, TypeElement type) {
        return workspace.path(type).map(TreePath::getCompilationUnit).stream().flatMap(each -> each.getImports().stream())
                .anyMatch(each -> !each.isStatic() && each.getQualifiedIdentifier().toString().endsWith("." + name));
    }

    /** Notes that a private member must be reached from elsewhere. @return whether nobody noted it before */
    boolean opens(Element member) {
        return widened.add(member);
    }

    /** Says a change of behaviour that is the point of the stage that is being written. */
    public void means(String clause) {
        meant.add(clause);
        script.meant();
    }

    public List<String> meant() {
        return meant;
    }

    /** Notes the type that values with names are given. */
    public void names(NamedValues given) {
        kinds = given;
    }

    public Optional<NamedValues> kinds() {
        return Optional.ofNullable(kinds);
    }

    /** Notes what a new part is called, as a plan tells it. */
    public void plays(String role, String name) {
        played.put(role, name);
    }

    /** What new parts are called, by role, where it is not as proposed. */
    public Map<String, String> played() {
        return played;
    }

    /** Notes where one variant more goes once all is done. */
    public void next(Evidence place) {
        next.add(place);
    }

    /** Notes that one variant more is a type of its own. @param like lies in the folder where it goes @param name as proposed */
    public void nextType(TreePath like, String name, String note) {
        next.add(Evidence.fresh(workspace.unit(like).file().replaceFirst("[^/]*$", "New" + name + ".java"), note));
    }

    public List<Evidence> next() {
        return next;
    }

    /** Notes a place that is changed because what it names changes. */
    public void callSite(TreePath path) {
        callSites.add(path);
    }

    public int callSites() {
        return callSites.size();
    }

    /** Notes a routine that answers something else from now on, as is the point: what was recorded of its answers holds no more. */
    public void answersOtherwise(ExecutableElement routine) {
        gone.add(called(routine));
    }

    private static String called(ExecutableElement routine) {
        return Workspace.typeAround(routine).getQualifiedName() + "#" + routine.getSimpleName().toString().replace("<init>", "new") + "/" + routine.getParameters().size();
    }

    /** Notes a constructor whose parts alone make no object any more. */
    public void closes(ExecutableElement constructor) {
        closed.add(called(constructor));
    }

    public Set<String> closed() {
        return closed;
    }

    /** Notes a member whose signature changes or that goes. */
    public void changes(Element member) {
        if (member instanceof ExecutableElement routine) {
            answersOtherwise(routine);
        }
        Set<Modifier> modifiers = member.getModifiers();
        if (modifiers.contains(Modifier.PUBLIC) || modifiers.contains(Modifier.PROTECTED)) {
            opened.add(member);
        }
    }

    /** Routines that are no longer called as they were. */
    public Set<String> gone() {
        return gone;
    }

    /** Public and protected members whose signature changes or that go. */
    public int opened() {
        return opened.size();
    }

    /** What a new type beside another begins its declaration with: open as far as the other. */
    public static String openness(Element like) {
        Element at = like;
        while (at != null && at.getKind() != ElementKind.PACKAGE) {
            if (!at.getModifiers().contains(Modifier.PUBLIC) && !at.getModifiers().contains(Modifier.PROTECTED)
                    && !(at.getEnclosingElement() != null && at.getEnclosingElement().getKind() == ElementKind.INTERFACE)) {
                return "";
            }
            at = at.getEnclosingElement();
        }
        return "public ";
    }

    /** The first of a member's own modifiers that says who may see it, with a blank; empty where there is none. */
    public static String visibility(Element member) {
        return member.getModifiers().stream().filter(each -> each == Modifier.PUBLIC || each == Modifier.PROTECTED || each == Modifier.PRIVATE)
                .map(each -> each + " ").findFirst().orElse("");
    }
}
