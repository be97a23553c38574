package driftwood.program;

import driftwood.pack.Line;
import driftwood.program.Outline.CallFact;
import driftwood.program.Outline.CreationFact;
import driftwood.program.Uses.Question;
import driftwood.tree.Import;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Predicate;

/**
 * The linked project: all outlines joined. What cannot be resolved is foreign, never guessed. Immutable once linked;
 * answers are remembered, and asking is safe from several threads.
 */
public final class Program {
    private final List<Outline> outlines;
    private final List<Outline> judged;
    private final Types types;
    private final Names names;
    private final Values values;
    private final Uses uses;
    /** Told what is asked about calls and creations. */
    private final Consumer<String> asked;

    private Program(List<Outline> outlines) {
        this.outlines = outlines;
        this.judged = outlines;
        this.types = new Types();
        this.names = new Names(this);
        this.values = new Values(this, names);
        this.uses = new Uses(this);
        this.asked = question -> { };
        types.declare(outlines);
        types.link(names::typeAround);
    }

    /** Another view of the same program. */
    private Program(Program whole, Consumer<String> asked, List<Outline> judged) {
        this.outlines = whole.outlines;
        this.judged = judged;
        this.types = whole.types;
        this.names = whole.names;
        this.values = whole.values;
        this.uses = whole.uses;
        this.asked = asked;
    }

    /** Joins outlines. The order in which they come does not matter. */
    public static Program link(Collection<Outline> outlines) {
        List<Outline> sorted = new ArrayList<>(outlines);
        sorted.sort(Comparator.comparing(Outline::file));
        return new Program(sorted);
    }

    /** The project as if some of its routines were not there. @param kept which of them are */
    public Program with(Predicate<RoutineOutline> kept) {
        return link(outlines.stream().map(each -> each.with(kept)).toList());
    }

    /** Whether any type of the project has a routine of that name. */
    boolean hasRoutine(String name) {
        return types.hasRoutine(name);
    }

    /**
     * The routines of the project that can answer a call where types are not declared, whatever the receiver is; none in
     * a language that declares types.
     *
     * @param call   ends with the call
     * @param within qualified name of the type around it
     */
    public List<RoutineOutline> answering(Trail call, String within) {
        boolean open = call.isCall() && (call.start() != Trail.Start.MODULE || call.steps().size() > 1)
                && type(within).filter(type -> fileOf(type).language().isDuckTyped()).isPresent();
        return !open ? List.of() : types.routines(call.lastName()).stream()
                .filter(each -> !each.isConstructor() && each.takes(call.arguments())).toList();
    }

    public List<Outline> outlines() {
        return outlines;
    }

    /** All types of the project, in the order of their files. */
    public Collection<TypeOutline> types() {
        return types.all();
    }

    /** A type by its qualified name. */
    public Optional<TypeOutline> type(String qualified) {
        return types.type(qualified);
    }

    /** The file a type stands in, the first of them where it stands in several. @param type one of this project */
    public Outline fileOf(TypeOutline type) {
        return types.fileOf(type);
    }

    /** All files that a type stands in. */
    public List<Outline> filesOf(TypeOutline type) {
        return types.filesOf(type);
    }

    /** Path of the file in which a member of a type stands. @param member symbol of a routine or field */
    public Optional<String> fileAt(String type, String member) {
        return type(type).map(each -> each.fileOf(member));
    }

    /** The imports that hold for the code of a type. */
    List<Import> importsAround(TypeOutline type) {
        List<Outline> files = filesOf(type);
        return files.size() == 1 ? files.get(0).imports() : files.stream().flatMap(each -> each.imports().stream()).toList();
    }

    /** Types declared directly inside another. */
    public List<TypeOutline> nestedIn(TypeOutline type) {
        return types.nestedIn(type);
    }

    /** The project's types that a name written inside a type means; empty where it is foreign. */
    public Optional<TypeOutline> resolve(TypeRef ref, TypeOutline scope) {
        return ref.isArray() ? Optional.empty() : names.type(ref.name(), scope);
    }

    /** Direct supertypes inside the project. */
    public List<TypeOutline> parents(TypeOutline type) {
        return types.parents(type);
    }

    /** All supertypes inside the project, nearest first, without the type itself. */
    public Set<TypeOutline> ancestors(TypeOutline type) {
        return types.ancestors(type);
    }

    /** The nearest type that all of some types are or descend from; empty where the project has none. */
    public Optional<TypeOutline> commonOf(Collection<TypeOutline> kinds) {
        return types.commonOf(kinds);
    }

    /** Direct subtypes. */
    public List<TypeOutline> children(TypeOutline type) {
        return types.children(type);
    }

    /** Whether it has more subtypes than somebody wants to look at. */
    public boolean hasMoreDescendants(TypeOutline type, int most) {
        return types.descendants(type, most + 1).size() > most;
    }

    /** All subtypes, without the type itself. */
    public Set<TypeOutline> descendants(TypeOutline type) {
        return types.descendants(type);
    }

    /** Whether an ancestor is foreign. */
    public boolean hasForeignParent(TypeOutline type) {
        return types.hasForeignParent(type);
    }

    /** Every creation of a type, tests included. */
    public List<CreationFact> creations(TypeOutline type) {
        asked.accept(Question.CREATIONS.of(type.name()));
        return uses.creations(type.name());
    }

    /** The static type of a value; empty where it is not known. @param within qualified name of the type around */
    public Optional<ValueType> typeOf(Trail trail, String within) {
        return type(within).flatMap(scope -> values.typeOf(trail, scope));
    }

    /** The project's type of a value; empty where it is foreign or not known. */
    public Optional<TypeOutline> projectType(Trail trail, String within) {
        return typeOf(trail, within).flatMap(value -> resolve(value.ref(), value.scope()));
    }

    /** The field that a trail ends at; empty where it ends elsewhere. */
    public Optional<Fields.Found> fieldAt(Trail trail, String within) {
        return type(within).flatMap(scope -> values.fieldAt(trail, scope));
    }

    /** The project's routines that a call may mean: its own declaration and overloads of the same length. */
    public List<RoutineOutline> routinesAt(Trail call, String within) {
        return type(within).map(scope -> values.routinesAt(call, scope)).orElse(List.of());
    }

    /**
     * The first declaration of a routine in the project: the one that others override.
     *
     * @return the routine itself where it overrides nothing in the project
     */
    public RoutineOutline rootOf(RoutineOutline routine) {
        if (routine.isConstructor() || routine.traits().isStatic() || routine.traits().isPrivate()) {
            return routine;
        }
        RoutineOutline root = routine;
        for (TypeOutline ancestor : type(routine.owner()).map(this::ancestors).orElse(Set.of())) {
            root = Overloads.overridden(routine, ancestor).orElse(root);
        }
        return root;
    }

    /** Symbol of the first declaration of a routine; empty where the type has no such routine. @param routine its symbol */
    public Optional<String> rootAt(String type, String routine) {
        return type(type).flatMap(each -> each.routine(routine)).map(each -> rootOf(each).symbol());
    }

    /** Every call of a routine of that name, whatever it means. */
    public List<CallFact> callsOf(String name) {
        asked.accept(Question.CALLS_OF.of(name));
        return uses.callsOf(name);
    }

    /** Every call of a routine of one of some names, in the order of their files. */
    public List<CallFact> callsOfAny(Set<String> names) {
        dependOnCallsOf(names);
        return uses.callsOfAny(names);
    }

    /** Tells that what is being found out depends on the calls of routines of some names, whoever asked for them. */
    public void dependOnCallsOf(Set<String> names) {
        names.forEach(each -> asked.accept(Question.CALLS_OF.of(each)));
    }

    /** Every call that the code of a routine makes. */
    public List<CallFact> callsBy(RoutineOutline routine) {
        String symbol = routine.symbol();
        asked.accept(Question.CALLS_BY.of(symbol));
        return uses.callsBy(routine.owner(), symbol);
    }

    /** Every call on the result of a call of a routine of that name. */
    public List<CallFact> callsOnResultOf(String name) {
        asked.accept(Question.CALLS_ON_RESULT.of(name));
        return uses.callsOnResultOf(name);
    }

    /** Every call in a file. */
    public List<CallFact> callsIn(Outline file) {
        asked.accept(Question.CALLS_IN.of(file.file()));
        return file.calls();
    }

    /** Every call in the files of a type. */
    public List<CallFact> callsAround(TypeOutline type) {
        return filesOf(type).stream().flatMap(each -> callsIn(each).stream()).toList();
    }

    /** Every creation in a file. */
    public List<CreationFact> creationsIn(Outline file) {
        asked.accept(Question.CREATIONS_IN.of(file.file()));
        return file.creations();
    }

    /** The same program, which tells what it is asked about calls and creations. @param listener told each question */
    public Program telling(Consumer<String> listener) {
        return new Program(this, listener, judged);
    }

    /** The same program, of which only some files are to be judged. @param files their paths */
    public Program judging(Set<String> files) {
        return new Program(this, asked, outlines.stream().filter(each -> files.contains(each.file())).toList());
    }

    /** The files to be judged: all, unless only some were asked for. */
    public List<Outline> judged() {
        return judged;
    }

    /**
     * A call or a creation.
     *
     * @param fact without its line
     * @param line where it begins
     */
    public record Use(Record fact, @Line int line) {
    }

    /** Types to be judged. */
    public List<TypeOutline> judgedTypes() {
        return judged.stream().flatMap(each -> each.types().stream()).flatMap(each -> types.meant(each).stream()).distinct().toList();
    }

    /** The questions, in the form in which they are told, that a file's calls and creations help to answer. */
    public Map<String, List<Use>> answersIn(Outline file) {
        return uses.answers(file);
    }
}
