package driftwood.smell.detect.nothing;

import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.Trail;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail.Place;
import driftwood.smell.Evidence;
import driftwood.smell.Seen;
import driftwood.smell.detect.nothing.NothingSighting.Kind;
import driftwood.source.Language;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** The routines of a project that give null for "nothing", with those that only hand it on. */
final class Sources {
    /** Routines of the platform's own types that may give nothing. */
    private static final Pattern PLATFORM = Pattern.compile("get|pop|setdefault|match|search|fullmatch|group|next|readline|getattr|poll|"
            + "wait|fetchone|first|last|copy|sort|append|extend|update|clear|remove|insert|close|write|flush|read|send|join|start|run|"
            + "execute|executemany|fetchall|fetchmany|connect|convert|getContext|querySelector|getElementById|getAttribute|getItem");
    /** Of so many routines of one name that all give nothing at times, whichever answers does. */
    private static final int FEW = 3;
    /** Lines of a routine that only gives nothing, after its first. */
    private static final int EMPTY = 2;
    private static final Pattern MAP = Pattern.compile(".*Map|.*[dD]ict|.*Mapping");
    private static final Pattern COLLECTION = Pattern.compile(MAP.pattern() + "|.*(Queue|Deque|List|Set|Collection|Iterator|Dictionary|Hashtable|Cache)");
    /** What the platform's collections declare that may give nothing. */
    private static final Pattern OF_COLLECTION = Pattern.compile("get|put|remove|poll(First|Last)?|peek(First|Last)?|replace|putIfAbsent|merge|compute\\w*|"
            + "(floor|ceiling|higher|lower|first|last)(Key|Entry)?|comparator");

    /** A parser or converter that says by its name that it may not come to anything. */
    private static final Pattern TRYING = Pattern.compile("(to|as|parse|try|read|convert|decode)([A-Z]\\w*)?OrNull");
    /** By its name it may give nothing. */
    static final Pattern SAID = Pattern.compile("\\w+Or(Null|None|Nil)|\\w+_or_(none|nil|null)");

    private final Program program;
    private final Map<String, RoutineOutline> routines = new HashMap<>();
    private final Map<String, Source> sources = new LinkedHashMap<>();
    private final Map<RoutineOutline, String> roots = new HashMap<>();
    private final Map<String, Source> origins = new HashMap<>();
    /** Symbols of routines that only give a field which is nothing at times. */
    private final Set<String> gettersOfNothing = new HashSet<>();

    /**
     * A source of nothing: a routine and those that override it.
     *
     * @param symbol   of the topmost declaration in the project
     * @param file     of the first routine that gives null
     * @param routine  that routine
     * @param yields   each null return with its condition, and what is handed on
     * @param gives    the null returns among them
     * @param routines symbols of all that give null
     */
    record Source(String symbol, String file, RoutineOutline routine, List<Evidence> yields, List<Place> gives,
            Set<String> routines) {
    }

    /**
     * What a call may mean.
     *
     * @param symbols of the topmost declarations
     * @param open    whether only the name tells, where types are not declared
     */
    private record Meant(Set<String> symbols, boolean open) {
        static final Meant NOBODY = new Meant(Set.of(), false);
    }

    /** A routine that hands on a result. */
    private record Handed(Seen<NothingSighting> seen, Meant meant) {
    }

    private Sources(Program program) {
        this.program = program;
        for (TypeOutline type : program.types()) {
            type.routines().forEach(routine -> routines.put(routine.symbol(), routine));
        }
    }

    static Sources of(Program program, List<Seen<NothingSighting>> sighted) {
        Sources sources = new Sources(program);
        Set<String> empty = new HashSet<>();
        sighted.stream().map(Seen::sighting).filter(each -> each.kind() == Kind.FIELD_NULL)
                .forEach(each -> empty.add(each.within() + "#" + each.trail().lastName()));
        sighted.stream().map(Seen::sighting).filter(each -> each.kind() == Kind.GETTER
                && empty.contains(each.within() + "#" + each.trail().lastName())).forEach(each -> sources.gettersOfNothing.add(each.routine()));
        for (Seen<NothingSighting> seen : sighted) {
            // driftwood: leave type-switch because each kind of sighting matters here in its own way, and elsewhere in another
            if (seen.sighting().kind() == Kind.YIELDS) {
                sources.add(seen, "returns " + Language.nothingIn(seen.file()) + " " + seen.sighting().note());
            } else if (seen.sighting().kind() == Kind.HANDS_ON && sources.isLookUp(seen.sighting())) {
                sources.add(seen, "hands on a look-up that may find nothing");
            }
        }
        List<Handed> handed = new ArrayList<>();
        for (Seen<NothingSighting> seen : sighted) {
            NothingSighting each = seen.sighting();
            Meant meant = each.kind() == Kind.HANDS_ON ? sources.meant(each.trail(), each.within()) : Meant.NOBODY;
            if (!meant.symbols().isEmpty()) {
                handed.add(new Handed(seen, meant));
            }
        }
        boolean grown = true;
        while (grown) {
            grown = false;
            for (Handed entry : handed) {
                Seen<NothingSighting> seen = entry.seen();
                NothingSighting each = seen.sighting();
                Source origin = sources.sourceOf(entry.meant()).orElse(null);
                if (origin != null && !sources.knows(each.routine())
                        && sources.add(seen, "hands on the " + Language.nothingIn(seen.file()) + " of "
                        + each.trail().lastName() + "()")) {
                    grown = true;
                    sources.handedOn(each.routine(), origin);
                }
            }
        }
        return sources;
    }

    /** A source that only hands on what one other gives is no cause of its own. */
    private void handedOn(String routine, Source origin) {
        Source source = sources.get(program.rootOf(routines.get(routine)).symbol());
        boolean first = source.yields().size() == 1;
        if (first && source != origin) {
            origins.put(source.symbol(), origin);
        } else {
            origins.remove(source.symbol());
        }
    }

    private Source originOf(Source source) {
        Source at = source;
        for (int i = 0; i < origins.size() && origins.containsKey(at.symbol()); i++) {
            at = origins.get(at.symbol());
        }
        return at;
    }

    private boolean knows(String routine) {
        RoutineOutline outline = routines.get(routine);
        return outline == null || Optional.ofNullable(sources.get(program.rootOf(outline).symbol()))
                .map(source -> source.routines().contains(routine)).orElse(false);
    }

    /** A look-up in a map: what is not there comes back as null. */
    private boolean isLookUp(NothingSighting each) {
        return each.trail().lastName().equals("get") && each.trail().arguments() == 1
                && program.typeOf(each.trail().owner(), each.within())
                .filter(value -> MAP.matcher(value.ref().simpleName()).matches()).isPresent()
                && program.projectType(each.trail().owner(), each.within()).isEmpty();
    }

    /** @return whether it was taken: contracts of foreign types cannot be changed here */
    private boolean add(Seen<NothingSighting> seen, String note) {
        RoutineOutline routine = routines.get(seen.sighting().routine());
        if (routine == null || routine.isConstructor() || routine.name().matches("__\\w+__") || TRYING.matcher(routine.name()).matches()
                || SAID.matcher(routine.name()).matches() && program.type(routine.owner()).filter(type -> program.fileOf(type).language()
                .has(Language.Habit.NOTHING_CHECKED)).isPresent()) {
            return false;
        }
        RoutineOutline root = program.rootOf(routine);
        if (root.traits().overrides() || isNobodys(routine) || isOfCollection(root)) {
            return false;
        }
        Source source = sources.computeIfAbsent(root.symbol(), key -> new Source(root.symbol(), seen.file(), routine,
                new ArrayList<>(), new ArrayList<>(), new HashSet<>()));
        source.yields().add(new Evidence(seen.file(), seen.sighting().line(), seen.sighting().endLine(), note));
        source.yields().sort(Comparator.comparing(Evidence::file).thenComparingInt(Evidence::line));
        if (seen.sighting().kind() == Kind.YIELDS) {
            source.gives().add(new Place(seen.file(), seen.sighting().line(), seen.sighting().endLine(), routine.symbol(), note));
            source.gives().sort(Comparator.comparing(Place::file).thenComparingInt(Place::line));
        }
        source.routines().add(routine.symbol());
        return true;
    }

    /** Whether it is what the platform's own collections promise, though nothing in the project says so. */
    private boolean isOfCollection(RoutineOutline root) {
        boolean asked = !root.name().matches("get|remove") || root.parameters().size() == 1;
        TypeOutline owner = asked && OF_COLLECTION.matcher(root.name()).matches() ? program.type(root.owner()).orElse(null) : null;
        return owner != null && Stream.concat(Stream.of(owner), program.ancestors(owner).stream()).anyMatch(type -> type.supertypes().stream()
                .anyMatch(each -> COLLECTION.matcher(each.simpleName()).matches() && program.resolve(each, type).isEmpty()));
    }

    /** Whether it is an abstract class's empty answer, and whatever can be made of the class has one of its own. */
    private boolean isNobodys(RoutineOutline routine) {
        TypeOutline owner = program.type(routine.owner()).orElse(null);
        if (owner == null || owner.isInterface() || !owner.traits().isAbstract() || routine.traits().isStatic()
                || routine.endLine() - routine.line() > EMPTY) {
            return false;
        }
        for (TypeOutline each : program.descendants(owner)) {
            if (each.isConcrete() && !hasOwn(each, owner, routine)) {
                return false;
            }
        }
        return true;
    }

    /** Whether a type below another, or one between them, declares a routine anew. */
    private boolean hasOwn(TypeOutline type, TypeOutline above, RoutineOutline routine) {
        Set<TypeOutline> between = new LinkedHashSet<>(program.ancestors(type));
        between.retainAll(program.descendants(above));
        between.add(type);
        return between.stream().flatMap(each -> each.routines().stream()).anyMatch(each -> each.name().equals(routine.name())
                && each.parameters().size() == routine.parameters().size());
    }

    Source get(String symbol) {
        return sources.get(symbol);
    }

    /** The source that a call means; empty where it means none, or where overloads leave it open. */
    Optional<Source> sourceOf(Trail call, String within) {
        return sourceOf(meant(call, within));
    }

    private Meant meant(Trail call, String within) {
        List<RoutineOutline> found = program.routinesAt(call, within);
        boolean open = found.isEmpty();
        if (open) {
            found = answering(call, within);
        }
        if (found.isEmpty()) {
            return Meant.NOBODY;
        }
        Set<String> symbols = new LinkedHashSet<>();
        found.forEach(each -> symbols.add(roots.computeIfAbsent(each, key -> program.rootOf(key).symbol())));
        return new Meant(symbols, open);
    }

    /** Where types are not declared: the few routines of the project that can answer, if no type of the platform has such a one. */
    private List<RoutineOutline> answering(Trail call, String within) {
        List<RoutineOutline> answering = program.answering(call, within);
        return answering.size() <= FEW && !PLATFORM.matcher(call.lastName()).matches() && program.typeOf(call.owner(), within).isEmpty()
                ? answering : List.of();
    }

    /** The one source that is meant; where the name alone tells, the first of several that all give nothing at times. */
    private Optional<Source> sourceOf(Meant meant) {
        Source found = null;
        for (String symbol : meant.symbols()) {
            Source source = sources.get(symbol);
            boolean gets = meant.open() && source == null && gettersOfNothing.contains(symbol);
            if (source == null && !gets || found != null && source != found && !meant.open()) {
                return Optional.empty();
            }
            found = found == null ? source : found;
        }
        return Optional.ofNullable(found).map(this::originOf);
    }
}
