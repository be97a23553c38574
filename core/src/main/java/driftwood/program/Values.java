package driftwood.program;

import driftwood.source.Language.Habit;
import driftwood.tree.Import;
import driftwood.tree.Mark;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/** Walks trails through the program: the types of values, the fields and routines that they end at. */
final class Values {
    private final Program program;
    private final Names names;
    private final Fields fields;
    private final Loose loose;
    private final Map<Way, Place> walked = new ConcurrentHashMap<>();
    /** Routines that are no constructors. */
    private final Map<TypeOutline, Map<String, List<RoutineOutline>>> byName = new ConcurrentHashMap<>();

    Values(Program program, Names names) {
        this.program = program;
        this.names = names;
        this.loose = names.loose();
        this.fields = new Fields(program, loose);
    }

    /** Where a walk stands: at a value of a type, at a type named as such, or at part of a package name. */
    private record Place(Optional<ValueType> value, Optional<TypeOutline> named, String prefix) {
        static final Place NOWHERE = new Place(Optional.empty(), Optional.empty(), "");

        static Place at(TypeRef ref, TypeOutline scope) {
            return ref.isPresent() ? new Place(Optional.of(new ValueType(ref, scope)), Optional.empty(), "") : NOWHERE;
        }

        static Place at(TypeOutline type) {
            return new Place(Optional.of(new ValueType(new TypeRef(type.name()), type)), Optional.empty(), "");
        }

        static Place named(TypeOutline type) {
            return new Place(Optional.empty(), Optional.of(type), "");
        }
    }

    /** What this thread is walking: a value that is made from itself leads nowhere. */
    private final ThreadLocal<Set<Way>> underWay = ThreadLocal.withInitial(HashSet::new);

    Optional<ValueType> typeOf(Trail trail, TypeOutline scope) {
        return walk(trail, scope).value();
    }

    /** Walks to the end of a trail; the walks that many ask for are remembered. */
    private Place walk(Trail trail, TypeOutline scope) {
        if (trail.steps().isEmpty() && trail.start() != Trail.Start.NAME) {
            return start(trail, scope);
        }
        Way way = new Way(scope.name(), trail);
        Place known = walked.get(way);
        if (known == null) {
            if (!underWay.get().add(way)) {
                return Place.NOWHERE;
            }
            try {
                known = start(trail, scope);
                for (Step step : trail.steps()) {
                    known = step(known, step, scope);
                }
            } finally {
                underWay.get().remove(way);
            }
            walked.put(way, known);
        }
        return known;
    }

    /** @param scope qualified name of the type in which the trail starts */
    private record Way(String scope, Trail trail) {
    }

    Optional<Fields.Found> fieldAt(Trail trail, TypeOutline scope) {
        if (trail.isCall() || !trail.isKnown() || trail.last().filter(Step.ELEMENT::equals).isPresent()) {
            return Optional.empty();
        }
        if (trail.steps().isEmpty()) {
            return trail.start() == Trail.Start.NAME ? fields.around(scope, trail.head()) : Optional.empty();
        }
        Trail owner = trail.owner();
        Place place = walk(owner, scope);
        return place.named().or(() -> project(place.value())).flatMap(found -> fields.in(found, trail.lastName()));
    }


    List<RoutineOutline> routinesAt(Trail call, TypeOutline scope) {
        if (!call.isCall()) {
            return List.of();
        }
        Trail owner = call.owner().unheld();
        String name = call.lastName();
        int arguments = call.arguments();
        if (!program.hasRoutine(name)) {
            return owner.steps().isEmpty() && owner.start() == Trail.Start.MODULE || owner.equals(Trail.THIS) ? renamed(scope, name, arguments) : List.of();
        }
        boolean implied = program.fileOf(scope).language().has(Habit.IMPLIED_SELF);
        // driftwood: leave type-switch because where a call starts only decides in which scope its name is looked up
        if (owner.start() == Trail.Start.THIS && owner.steps().isEmpty() && implied) {
            return around(scope, name, arguments);
        }
        if (owner.start() == Trail.Start.MODULE) {
            return around(outermost(scope), name, arguments);
        }
        Place place = walk(call.owner(), scope);
        Optional<TypeOutline> type = place.named().or(() -> project(place.value()));
        return type.map(found -> routines(found, name, arguments)).orElse(List.of());
    }

    private Optional<TypeOutline> project(Optional<ValueType> value) {
        return value.flatMap(found -> program.resolve(found.ref(), found.scope()));
    }

    /** Unqualified calls mean routines of the innermost type that has one of that name. */
    private List<RoutineOutline> around(TypeOutline scope, String name, int arguments) {
        for (TypeOutline type = scope; type != null; type = program.type(type.outer()).orElse(null)) {
            List<RoutineOutline> found = routines(type, name, arguments);
            if (!found.isEmpty()) {
                return found;
            }
        }
        for (Import each : program.importsAround(scope)) {
            List<RoutineOutline> found = imported(each, name, arguments, 0);
            if (!found.isEmpty()) {
                return found;
            }
        }
        return loose.routines(scope, name, arguments);
    }

    /** What a bare name means that no routine has: one that the file calls otherwise. */
    private List<RoutineOutline> renamed(TypeOutline scope, String name, int arguments) {
        return program.importsAround(scope).stream().filter(each -> each.alias().equals(name)).map(each -> imported(each, name, arguments, 0))
                .filter(each -> !each.isEmpty()).findFirst().orElse(List.of());
    }

    /** What an import lets a bare name mean, from where it is written or from a module that hands it on. */
    private List<RoutineOutline> imported(Import by, String name, int arguments, int depth) {
        String member = by.member(name);
        Optional<TypeOutline> owner = member.isEmpty() || depth > Names.REEXPORTS ? Optional.empty() : program.type(by.owner());
        List<RoutineOutline> found = owner.map(type -> routines(type, member, arguments)).orElse(List.of());
        return !found.isEmpty() || owner.isEmpty() || !owner.get().isModule() ? found : program.fileOf(owner.get()).imports().stream()
                .map(each -> imported(each, member, arguments, depth + 1)).filter(each -> !each.isEmpty()).findFirst().orElse(List.of());
    }

    /** Routines of a type by name and number of arguments; inherited ones only where it has none itself. */
    private List<RoutineOutline> routines(TypeOutline type, String name, int arguments) {
        List<TypeOutline> level = List.of(type);
        Set<String> seen = new HashSet<>();
        while (!level.isEmpty()) {
            List<RoutineOutline> found = new ArrayList<>();
            Set<TypeOutline> next = new LinkedHashSet<>();
            for (TypeOutline each : level) {
                if (seen.add(each.name())) {
                    for (RoutineOutline routine : named(each, name)) {
                        if (routine.takes(arguments)) {
                            found.add(routine);
                        }
                    }
                    next.addAll(program.parents(each));
                }
            }
            if (!found.isEmpty()) {
                return found;
            }
            level = List.copyOf(next);
        }
        return List.of();
    }

    private List<RoutineOutline> named(TypeOutline type, String name) {
        return byName.computeIfAbsent(type, each -> each.routines().stream().filter(routine -> !routine.isConstructor())
                .collect(Collectors.groupingBy(RoutineOutline::name))).getOrDefault(name, List.of());
    }

    private Place start(Trail trail, TypeOutline scope) {
        return switch (trail.start()) {
            case TYPED, CREATED -> Place.at(new TypeRef(trail.head()), scope);
            case THIS -> Place.at(scope);
            case MODULE -> Place.named(outermost(scope));
            case SUPER -> program.parents(scope).stream().findFirst().map(Place::at).orElse(Place.NOWHERE);
            case NAME -> name(trail.head(), scope);
            case LITERAL -> Place.at(new TypeRef(trail.head().equals("STRING") ? "String" : trail.head()), scope);
            case OPEN, HELD, UNKNOWN -> Place.NOWHERE;
        };
    }

    private TypeOutline outermost(TypeOutline scope) {
        return program.type(scope.outer()).map(this::outermost).orElse(scope);
    }

    private Place name(String name, TypeOutline scope) {
        Optional<Fields.Found> field = fields.around(scope, name);
        if (field.isPresent()) {
            return ofField(field.get());
        }
        return names.type(name, scope).map(Place::named)
                .orElseGet(() -> new Place(Optional.empty(), Optional.empty(), name));
    }

    private Place ofField(Fields.Found found) {
        if (found.field().isEmpty()) {
            return Place.at(found.owner());
        }
        FieldOutline field = found.field().get();
        if (field.type().isPresent()) {
            return Place.at(field.type(), found.owner());
        }
        return typeOf(field.trail(), found.owner())
                .map(value -> new Place(Optional.of(value), Optional.empty(), "")).orElse(Place.NOWHERE);
    }

    private Place step(Place place, Step step, TypeOutline scope) {
        // driftwood: leave type-switch because what a step leads to needs the whole program, which a step does not know
        if (step instanceof Step.HeldAs held) {
            return Place.at(new TypeRef(held.type()), scope);
        }
        if (place.value().isPresent()) {
            ValueType value = place.value().get();
            return program.resolve(value.ref(), value.scope())
                    .map(type -> member(type, step, Optional.of(value)))
                    .orElseGet(() -> ForeignMembers.step(value.ref(), step)
                            .map(ref -> Place.at(ref, value.scope())).orElse(Place.NOWHERE));
        }
        if (place.named().isPresent()) {
            TypeOutline type = place.named().get();
            if (step.name().equals("this") || step.name().equals("super")) {
                return Place.at(type);
            }
            return member(type, step, Optional.empty());
        }
        if (!place.prefix().isEmpty() && step instanceof Step.Get part) {
            String longer = place.prefix() + "." + part.name();
            return program.type(longer).map(Place::named)
                    .orElseGet(() -> new Place(Optional.empty(), Optional.empty(), longer));
        }
        return Place.NOWHERE;
    }

    private Place member(TypeOutline type, Step step, Optional<ValueType> receiver) {
        String name = step.name();
        if (step instanceof Step.Invoke call) {
            List<RoutineOutline> found = routines(type, name, call.arguments());
            if (found.isEmpty()) {
                return component(type, call).orElse(Place.NOWHERE);
            }
            RoutineOutline routine = found.get(0);
            return routine.typeParameters().contains(routine.returns().name()) ? Place.NOWHERE
                    : substituted(routine.returns(), program.type(routine.owner()).orElse(type), receiver);
        }
        return fields.in(type, name).map(field -> field.field().isPresent()
                        ? substituted(ofField(field), receiver) : ofField(field))
                .or(() -> property(type, name)).or(() -> names.type(name, type).map(Place::named)).orElse(Place.NOWHERE);
    }

    /** A routine that is read like a field. */
    private Optional<Place> property(TypeOutline type, String name) {
        return routines(type, name, 0).stream().filter(each -> each.traits().has(Mark.ACCESSOR)).findFirst()
                .map(each -> Place.at(each.returns(), program.type(each.owner()).orElse(type)));
    }

    /** A record's accessor that is not written out. */
    private Optional<Place> component(TypeOutline type, Step.Invoke call) {
        return call.arguments() == 0 ? fields.in(type, call.name()).filter(found -> found.field().isPresent())
                .map(this::ofField) : Optional.empty();
    }

    private Place substituted(Place place, Optional<ValueType> receiver) {
        return place.value().map(value -> substituted(value.ref(), value.scope(), receiver)).orElse(place);
    }

    /** A result whose type is the owner's type parameter is what the receiver's type argument says. */
    private Place substituted(TypeRef ref, TypeOutline owner, Optional<ValueType> receiver) {
        int at = owner.typeParameters().indexOf(ref.text());
        if (at < 0) {
            return Place.at(ref, owner);
        }
        return receiver.filter(value -> value.ref().arguments().size() > at)
                .map(value -> Place.at(value.ref().arguments().get(at), value.scope())).orElse(Place.NOWHERE);
    }
}
