package driftwood.smell.detect.nothing;

import driftwood.program.Argument;
import driftwood.program.FieldOutline;
import driftwood.program.Fields;
import driftwood.program.Outline.CallFact;
import driftwood.program.Outline.CreationFact;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.Trail;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail;
import driftwood.smell.Detail.Guard;
import driftwood.smell.Detail.Place;
import driftwood.smell.Drag;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.Finding.Spot;
import driftwood.smell.Seen;
import driftwood.smell.Smell;
import driftwood.smell.detect.nothing.NothingSighting.Kind;
import driftwood.source.Language;
import driftwood.tree.Mark;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** The fields of a project that stand for "nothing" by null and are guarded in three places or more. */
final class NullFields {
    private static final int PLACES = 3;
    private static final Pattern RESOURCE = Pattern.compile(".*(Stream|Reader|Writer|Channel|Socket|Thread|Executor"
            + "|ExecutorService|Future|Connection|Process|Lock|Timer|Buffer|RandomAccessFile)");

    private static final Set<String> CLOSING = Set.of("close", "dispose", "shutdown", "Close", "Dispose");
    private static final Pattern LINK = Pattern.compile("(?i).*(next|prev|previous|parent|left|right|child|first|last|head|tail|root|outer|inner|link|delegate"
            + "|wrapped|super|base)[a-z]*");

    private final Program program;
    private final List<Seen<NothingSighting>> sighted;
    private final Map<String, List<Seen<NothingSighting>>> byName = new HashMap<>();
    private final Map<String, Fields.Found> getters = new HashMap<>();

    NullFields(Program program, List<Seen<NothingSighting>> sighted) {
        this.program = program;
        this.sighted = sighted;
        for (Seen<NothingSighting> seen : sighted) {
            NothingSighting each = seen.sighting();
            byName.computeIfAbsent(each.name(), key -> new ArrayList<>()).add(seen);
            if (each.kind() == Kind.GETTER) {
                field(each.trail(), each.within()).ifPresent(found -> getters.put(each.routine(), found));
            }
        }
    }

    private Optional<Fields.Found> field(Trail trail, String within) {
        return program.fieldAt(trail, within).filter(found -> found.field().isPresent());
    }

    /** The field that a guarded value comes from, directly or through a plain getter. */
    private Optional<Fields.Found> guarded(NothingSighting guard) {
        if (!guard.trail().isCall()) {
            return field(guard.trail(), guard.within());
        }
        List<RoutineOutline> routines = program.routinesAt(guard.trail(), guard.within());
        return routines.size() == 1 ? Optional.ofNullable(getters.get(routines.get(0).symbol())) : Optional.empty();
    }

    List<Finding> findings(Smell smell) {
        Map<String, List<Guard>> guards = new LinkedHashMap<>();
        Map<String, Fields.Found> fields = new HashMap<>();
        Set<String> tolerated = new HashSet<>();
        Set<String> lazy = new HashSet<>();
        for (Seen<NothingSighting> seen : sighted) {
            NothingSighting each = seen.sighting();
            if (each.kind() != Kind.LAZY && !each.isGuard()) {
                continue;
            }
            guarded(each).ifPresent(found -> {
                if (each.kind() == Kind.LAZY) {
                    lazy.add(found.symbol());
                    return;
                }
                fields.put(found.symbol(), found);
                guards.computeIfAbsent(found.symbol(), key -> new ArrayList<>()).add(new Guard(new Place(seen.file(),
                        each.line(), each.endLine(), each.routine(), each.note()), each.reaction()));
                if (each.isTolerant()) {
                    tolerated.add(found.symbol());
                }
            });
        }
        List<Finding> findings = new ArrayList<>();
        guards.forEach((symbol, places) -> {
            Fields.Found found = fields.get(symbol);
            Set<String> routines = new HashSet<>();
            places.forEach(each -> routines.add(each.place().symbol()));
            if (routines.size() >= PLACES && tolerated.contains(symbol) && !lazy.contains(symbol) && !isLink(found)
                    && !isResource(found)) {
                why(found).ifPresent(reason -> findings.add(finding(smell, found, places, reason)));
            }
        });
        return findings;
    }

    /** A link of a data structure to a node of its own kind: null is its end, not a missing collaborator. */
    private boolean isLink(Fields.Found found) {
        Optional<TypeOutline> type = program.resolve(found.field().orElseThrow().type(), found.owner());
        return type.isPresent() && (type.get().equals(found.owner())
                || program.ancestors(found.owner()).contains(type.get()) && LINK.matcher(found.field().orElseThrow().name()).matches()
                || program.ancestors(type.get()).contains(found.owner()) && LINK.matcher(found.field().orElseThrow().name()).matches()
                || program.nestedIn(found.owner()).contains(type.get()));
    }

    /** A resource that is closed or a buffer that is let go: null says so, and no neutral object could stand in. */
    private boolean isResource(Fields.Found found) {
        TypeRef type = found.field().orElseThrow().type();
        return type.isArray() || program.resolve(type, found.owner()).isEmpty()
                && RESOURCE.matcher(type.simpleName()).matches() || isClosed(found);
    }

    /** Whether its owner closes it, and lets it go nowhere else: where there is none, it is closed. */
    private boolean isClosed(Fields.Found found) {
        String field = found.field().orElseThrow().name();
        Set<String> closing = program.callsAround(found.owner()).stream().filter(call -> CLOSING.contains(call.trail().lastName())
                && call.trail().arguments() == 0 && call.trail().owner().lastName().equals(field)).map(CallFact::routine).collect(Collectors.toSet());
        boolean begun = found.field().orElseThrow().start() == FieldOutline.Start.NULL && program.fileOf(found.owner()).language().isDuckTyped();
        return !closing.isEmpty() && !begun && sightingsOf(found).stream().map(Seen::sighting).filter(each -> each.kind() == Kind.FIELD_NULL)
                .allMatch(each -> closing.contains(each.routine()));
    }

    private List<Seen<NothingSighting>> sightingsOf(Fields.Found found) {
        return byName.getOrDefault(found.field().orElseThrow().name(), List.of()).stream().filter(seen ->
                field(seen.sighting().trail(), seen.sighting().within()).filter(other -> other.symbol().equals(found.symbol())).isPresent()).toList();
    }

    /** Why the field can be null, with the place that shows it; empty where nothing does. */
    private Optional<Evidence> why(Fields.Found found) {
        FieldOutline field = found.field().orElseThrow();
        String file = found.owner().file();
        Evidence declared = new Evidence(field.file(), field.line(), field.endLine(), "the field begins as "
                + Language.nothingIn(file));
        if (field.start() == FieldOutline.Start.NULL) {
            return Optional.of(declared);
        }
        List<Seen<NothingSighting>> own = sightingsOf(found);
        List<Seen<NothingSighting>> set = own.stream().filter(seen -> seen.sighting().kind() == Kind.FIELD_SET).toList();
        Optional<Evidence> toNull = own.stream().filter(seen -> seen.sighting().kind() == Kind.FIELD_NULL)
                .map(seen -> new Evidence(seen.file(), seen.sighting().line(), seen.sighting().endLine(),
                        "the field is set to " + Language.nothingIn(seen.file()))).findFirst()
                .or(() -> set.stream().flatMap(seen -> nullPassed(found.owner(), seen.sighting()).stream()).findFirst());
        if (toNull.isPresent()) {
            return toNull;
        }
        Set<String> setting = set.stream().map(seen -> seen.sighting().routine()).collect(Collectors.toSet());
        if (!set.isEmpty() && !field.traits().isFinal() && field.start() == FieldOutline.Start.NOTHING) {
            Optional<RoutineOutline> without = found.owner().constructors().stream().filter(each -> !setting.contains(each.symbol())
                    && program.callsBy(each).stream().noneMatch(call -> call.trail().lastName().equals("this"))).findFirst();
            if (without.isPresent()) {
                return Optional.of(new Evidence(without.get().file(), without.get().line(), without.get().endLine(), "this constructor leaves the field as it is: "
                        + Language.nothingIn(without.get().file())));
            }
        }
        // Where fields are declared by being assigned, what is assigned first is their beginning.
        boolean neverSet = set.isEmpty() && field.start() == FieldOutline.Start.NOTHING && !field.traits().isFinal()
                && !found.owner().isInterface() && !isFilledBySetter(found, field.name())
                && !field.traits().has(Mark.IMPLIED);
        return neverSet ? Optional.of(declared) : Optional.empty();
    }

    private boolean isFilledBySetter(Fields.Found found, String field) {
        return found.owner().constructors().stream().flatMap(each -> program.callsBy(each).stream()).anyMatch(call ->
                call.trail().start() == Trail.Start.THIS && call.trail().lastName().equalsIgnoreCase("set" + field.replaceFirst("^_", "")));
    }

    /** A creation that passes null for the parameter from which a constructor sets the field. */
    private Optional<Evidence> nullPassed(TypeOutline owner, NothingSighting set) {
        for (RoutineOutline constructor : owner.constructors()) {
            if (!constructor.symbol().equals(set.routine())) {
                continue;
            }
            for (int i = 0; i < constructor.parameters().size(); i++) {
                if (!constructor.parameters().get(i).name().equals(set.note())) {
                    continue;
                }
                int at = i;
                Optional<Evidence> delegated = owner.constructors().stream().flatMap(each -> program.callsBy(each).stream()).filter(call ->
                        call.trail().lastName().equals("this") && call.arguments().size() == constructor.parameters().size()
                        && call.arguments().get(at).kind() == Argument.Kind.NULL).findFirst().map(call -> new Evidence(owner.file(), call.line(), call.line(),
                        Language.nothingIn(owner.file()) + " is passed for " + set.note()));
                if (delegated.isPresent()) {
                    return delegated;
                }
                for (CreationFact creation : program.creations(owner)) {
                    if (creation.arguments().size() == constructor.parameters().size()
                            && creation.arguments().get(i).kind() == Argument.Kind.NULL) {
                        String file = program.fileAt(creation.within(), creation.routine()).orElse(owner.file());
                        return Optional.of(new Evidence(file, creation.line(), creation.line(),
                                Language.nothingIn(file) + " is passed for " + set.note()));
                    }
                }
            }
        }
        return Optional.empty();
    }

    private Finding finding(Smell smell, Fields.Found found, List<Guard> guards, Evidence reason) {
        FieldOutline field = found.field().orElseThrow();
        Set<String> files = new LinkedHashSet<>(Set.of(found.owner().file()));
        guards.forEach(each -> files.add(each.place().file()));
        boolean foreign = field.type().isPresent() && program.resolve(field.type(), found.owner()).isEmpty();
        Drag.Builder reach = Missing.failing(Drag.of(guards.size(), files.size(), 1), guards);
        Drag drag = Missing.of(field, found.owner(), program).weighed(reach, guards.size(), true)
                .risk(!field.type().isPresent(), -0.6, "what it holds is of no type that has a name")
                .risk(foreign, -0.8, "what is missing is of a foreign type: no object of ours can stand for it").build();
        List<Evidence> evidence = new ArrayList<>(List.of(reason));
        guards.forEach(each -> evidence.add(each.place().evidence()));
        String message = "field " + field.name() + " is " + Language.nothingIn(found.owner().file())
                + " where there is nothing: checked in " + guards.size() + " places";
        Detail detail = new Detail.Nothing(found.symbol(), field.type().text(), List.of(), guards, List.of());
        Spot spot = new Spot(field.file(), field.line(), field.endLine(), found.symbol());
        return smell.finding(spot, drag, message, evidence, detail);
    }
}
