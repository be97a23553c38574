package driftwood.smell.detect.container;

import driftwood.program.FieldOutline;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail.Place;
import driftwood.smell.Detector;
import driftwood.smell.Drag;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.Finding.Spot;
import driftwood.smell.Gathered;
import driftwood.smell.Listing;
import driftwood.smell.Seen;
import driftwood.smell.Seer;
import driftwood.smell.Sightings;
import driftwood.smell.Smell;
import driftwood.smell.TypeFacts;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * container-type-check: while walking children or parts, code asks whether each is a container or a leaf, and descends
 * into containers by recursion, an inner loop or a work list. Not: foreign trees; routines that tell several containers
 * apart; making one or many arguments a list; tests for having no children; filters that descend nowhere; telling
 * several leaves apart. (Catalogue, container-type-check.)
 */
public final class ContainerTypeCheck implements Detector {
    private static final Smell SMELL = new Smell("container-type-check", "ct", "Container type check",
            "Code that walks a structure asks of every part whether it is a container, and goes down into it by itself. "
                    + "Each walk repeats the question, and a new kind of container breaks all of them.",
            "Foreign trees such as file systems and parsed documents; filters that descend nowhere; telling several leaf "
                    + "types apart (that is type-switch).",
            """
            for (Cargo cargo : hold) {
                if (cargo instanceof Crate) {
                    weight += weigh(((Crate) cargo).contents());
                } else {
                    weight += cargo.weight();
                }
            }
            """);

    /** A type with more subtypes or siblings than this belongs to the root of everything, and is no kind of container. */
    private static final int MOST_KINDS = 15;
    private static final Set<String> OPEN = Set.of("Object", "object", "Any", "?");
    private static final Pattern COLLECTION = Pattern.compile(
            ".*(List|Set|Collection|Iterable|Deque|Queue|Vector|Sequence)|list|set|tuple|deque|array|Array");

    @Override
    public Smell smell() {
        return SMELL;
    }

    @Override
    public List<Seer<?>> seers() {
        return List.of(DescentWalk.SEER);
    }

    /** A walk that tells more containers apart than this dispatches on many kinds, and is a type switch; of an argument, more than one. */
    private static final int MOST_CONTAINERS = 2;

    /** A part that is handed on as what a container of the same walk is as well is any part, not a container of its own. */
    private static boolean isKindOfOther(String type, List<String> containers, Program program) {
        return containers.stream().flatMap(each -> program.type(each).stream()).anyMatch(each ->
                program.ancestors(each).stream().anyMatch(ancestor -> ancestor.name().equals(type)));
    }

    /** A descent and the container it goes into. */
    private record Into(String file, Descent descent, TypeOutline container) {
    }

    @Override
    public List<Finding> judge(Program program, Sightings sightings) {
        List<Seen<Descent>> sighted = sightings.judged(DescentWalk.SEER);
        Map<String, List<Into>> byContainer = new LinkedHashMap<>();
        for (Seen<Descent> seen : sighted) {
            container(seen.sighting(), program).ifPresent(type -> byContainer
                    .computeIfAbsent(type.name(), key -> new ArrayList<>())
                    .add(new Into(seen.file(), seen.sighting(), type)));
        }
        Map<String, List<String>> byRoutine = new HashMap<>();
        byContainer.forEach((name, all) -> all.stream().map(each -> each.descent().routine()).distinct().forEach(routine ->
                byRoutine.computeIfAbsent(routine, key -> new ArrayList<>()).add(name)));
        byRoutine.values().forEach(containers -> containers.removeIf(each -> isKindOfOther(each, containers, program)));
        byContainer.forEach((name, all) -> all.removeIf(each -> {
            List<String> containers = byRoutine.get(each.descent().routine());
            return containers.size() > (each.descent().walked() ? MOST_CONTAINERS : 1) || !containers.get(0).equals(name);
        }));
        List<Finding> findings = new ArrayList<>();
        for (List<Into> same : byContainer.values()) {
            for (Into each : same) {
                findings.add(finding(each, same, program));
            }
        }
        return findings;
    }

    /** The project's container: what is tested for, or whose flag is asked. */
    private static Optional<TypeOutline> container(Descent descent, Program program) {
        Optional<TypeOutline> scope = program.type(descent.within());
        Optional<TypeOutline> element = program.projectType(descent.element(), descent.within());
        Optional<TypeOutline> type = descent.test().isEmpty() ? element.or(() -> answering(descent, scope, program))
                : scope.flatMap(found -> program.resolve(new TypeRef(descent.test()), found));
        boolean nested = type.filter(each -> descent.again() && !descent.recurs() && each.name().equals(descent.within())).isPresent();
        return type.filter(found -> (nested || descent.recurs() && !descent.test().isEmpty() || holdsItsLike(found, element, program)
                || descent.again() && holdsAnything(found, descent.into(), program))
                && program.descendants(found).size() <= MOST_KINDS
                && (nested || descent.recurs() && descent.walked() || besides(found, program).size() <= MOST_KINDS)
                && (descent.test().isEmpty() || element.map(other -> !other.name().equals(found.name())).orElse(true)));
    }

    /** Where types are not declared: the one type of the project that answers both the question and the call for parts. */
    private static Optional<TypeOutline> answering(Descent descent, Optional<TypeOutline> scope, Program program) {
        if (descent.into().isEmpty() || scope.isEmpty() || !program.fileOf(scope.get()).language().isDuckTyped()) {
            return Optional.empty();
        }
        List<TypeOutline> answering = program.types().stream().filter(each -> has(each, descent.asked())
                && has(each, descent.into())).toList();
        return answering.size() == 1 ? Optional.of(answering.get(0)) : Optional.empty();
    }

    private static boolean has(TypeOutline type, String name) {
        return type.field(name).isPresent() || type.routines().stream().anyMatch(each -> each.name().equals(name));
    }

    /**
     * Whether a member of the container's own holds a collection of nothing definite: that the same walk goes on there
     * shows what is in it. What leaves have as well makes no container.
     */
    private static boolean holdsAnything(TypeOutline type, String member, Program program) {
        Set<TypeOutline> owners = new LinkedHashSet<>(List.of(type));
        program.ancestors(type).stream().filter(each -> program.children(each).size() == 1).forEach(owners::add);
        return owners.stream().anyMatch(owner -> owner.field(member).map(FieldOutline::type).or(() -> owner.routines()
                .stream().filter(each -> each.name().equals(member) && each.parameters().isEmpty())
                .map(RoutineOutline::returns).findFirst()).filter(ContainerTypeCheck::isOpen).isPresent());
    }

    private static boolean isOpen(TypeRef type) {
        return type.arguments().stream().allMatch(each -> OPEN.contains(each.simpleName()))
                && (!type.isPresent() || COLLECTION.matcher(type.simpleName()).matches());
    }

    /** Whether a type holds a collection of its own kind: of its ancestors, of itself, or of what is walked. */
    private static boolean holdsItsLike(TypeOutline type, Optional<TypeOutline> element, Program program) {
        Set<TypeOutline> kin = new LinkedHashSet<>(List.of(type));
        kin.addAll(program.ancestors(type));
        element.ifPresent(kin::add);
        Set<TypeOutline> owners = new LinkedHashSet<>(List.of(type));
        owners.addAll(program.ancestors(type));
        for (TypeOutline owner : owners) {
            for (FieldOutline field : owner.fields()) {
                if (holds(field.type(), owner, kin, program)) {
                    return true;
                }
            }
            for (RoutineOutline routine : owner.routines()) {
                if (routine.parameters().isEmpty() && holds(routine.returns(), owner, kin, program)) {
                    return true;
                }
            }
        }
        return false;
    }

    private static boolean holds(TypeRef type, TypeOutline scope, Set<TypeOutline> kin, Program program) {
        List<TypeRef> parts = type.isArray() ? List.of(type.element()) : type.arguments();
        return parts.stream().anyMatch(part -> program.resolve(part, scope).map(found -> kin.contains(found)
                || program.ancestors(found).stream().anyMatch(kin::contains)).orElse(false));
    }

    /** The other types of its parents. */
    private static List<TypeOutline> besides(TypeOutline container, Program program) {
        return program.parents(container).stream().flatMap(parent -> program.children(parent).stream())
                .filter(each -> !each.equals(container)).toList();
    }

    private static Finding finding(Into one, List<Into> same, Program program) {
        Descent descent = one.descent();
        List<String> leaves = besides(one.container(), program).stream().map(TypeOutline::simpleName).distinct().sorted()
                .toList();
        List<Place> others = new ArrayList<>();
        Set<String> files = new LinkedHashSet<>(Set.of(one.file()));
        for (Into other : same) {
            if (other != one) {
                files.add(other.file());
                others.add(new Place(other.file(), other.descent().checkLine(), other.descent().checkEndLine(),
                        other.descent().routine(), "asks the same: is it " + Listing.a(one.container().simpleName()) + "?"));
            }
        }
        List<Evidence> evidence = new ArrayList<>(List.of(
                new Evidence(one.file(), descent.checkLine(), descent.checkEndLine(), "asks: " + descent.check()),
                new Evidence(one.file(), descent.downLine(), descent.downLine(), "descends: " + descent.down()),
                new Evidence(one.container().file(), one.container().line(), one.container().line(), "container: "
                        + one.container().simpleName()
                        + (leaves.isEmpty() ? "" : "; leaves beside it: " + Listing.of(leaves)))));
        others.forEach(place -> evidence.add(place.evidence()));
        Drag drag = Drag.of(1 + others.size(), files.size(), 2).build();
        String common = program.projectType(descent.element(), descent.within()).map(TypeOutline::name).orElse("");
        Gathered detail = new TypeFacts.Descent(one.container().name(), common, leaves, others);
        return SMELL.finding(new Spot(one.file(), descent.line(), descent.endLine(), descent.routine()), drag,
                "asks each part whether it is " + Listing.a(one.container().simpleName()) + " and descends into it by itself"
                        + (others.isEmpty() ? "" : "; asked in " + Listing.count(others.size(), "other place")),
                evidence, detail);
    }
}
