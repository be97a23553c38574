package driftwood.smell.detect.misplaced;

import driftwood.program.Outline.CreationFact;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.Step;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail.Place;
import driftwood.smell.Detector;
import driftwood.smell.Drag;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.Finding.Spot;
import driftwood.smell.Gathered;
import driftwood.smell.Listing;
import driftwood.smell.RoutineFacts;
import driftwood.smell.Seen;
import driftwood.smell.Seer;
import driftwood.smell.Sightings;
import driftwood.smell.Smell;
import driftwood.smell.TypeFacts;
import driftwood.tree.TypeKind;
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
 * misplaced-behaviour: (a) a type that keeps duties apart by the name of the variant they are for; (b) a routine that
 * uses at least three distinct members of one other type of the project and at most one of its own. Not: mappers,
 * serialisers, printers, comparators, constructors and creation routines, tests; what overrides or implements a
 * contract, which cannot be moved. (Catalogue, misplaced-behaviour; Fowler, Refactoring: feature envy.)
 */
public final class MisplacedBehaviour implements Detector {
    private static final Smell SMELL = new Smell("misplaced-behaviour", "mb", "Misplaced behaviour",
            "A routine asks another object for its parts, one after the other, and computes with them, while its own "
                    + "object gives nothing. It belongs where the parts are, and changes whenever they do.",
            "Mappers, serialisers, printers, comparators; constructors and creation routines; what implements a contract; "
                    + "routines between several other types.",
            """
            int dues(Berth berth) {
                return berth.length() * berth.depth() + (berth.tidal() ? berth.surcharge() : 0);
            }
            """);

    private static final int LEAST = 3;
    /** A routine that uses more members of foreign types than this, and than half of those of the envied one, works for those. */
    private static final int MOST_FOREIGN = 3;
    /** Mappers, serialisers, printers, comparators and those that create, told by the word that their name ends in. */
    private static final Pattern EXCUSED_TYPE = Pattern.compile("(?i).*(mapper|seriali[sz]er|printer|formatter|encoder|decoder|comparator|converter|"
            + "factory|builder|dumper|codec|marshaller)s?");
    private static final Pattern EXCUSED_ROUTINE = Pattern.compile("(?i:to|from|as|print|write|format|compare|equals|copy|clone|create|build|make|new|"
            + "parse|seriali[sz]e|encode|decode|dump|describe|of|convert|map|main|visit|accept|hash|merge|marshal|validate|check|assert|init|"
            + "setUp|_repr)(?![a-z]).*|__.*|.+Equals?");
    private static final Pattern CONVERSION = Pattern.compile(".+(To|_to_)[A-Z_a-z].*");
    private static final Pattern PULLED = Pattern.compile("(?i:get|is|has)[A-Z_0-9].*");

    @Override
    public Smell smell() {
        return SMELL;
    }

    @Override
    public List<Seer<?>> seers() {
        return List.of(UsageWalk.SEER);
    }

    @Override
    public boolean isLocal() {
        return true;
    }

    @Override
    public List<Finding> judge(Program program, Sightings sightings) {
        List<Seen<Usage>> sighted = sightings.judged(UsageWalk.SEER);
        List<Finding> findings = new ArrayList<>();
        Map<Seen<Usage>, Envy> envious = new LinkedHashMap<>();
        for (Seen<Usage> seen : sighted) {
            Usage usage = seen.sighting();
            Optional<TypeOutline> type = program.type(usage.type());
            if (type.isPresent() && usage.own().size() <= 1 && !type.get().anonymous()
                    && !EXCUSED_TYPE.matcher(type.get().simpleName()).matches()
                    && !EXCUSED_ROUTINE.matcher(usage.name()).matches()
                    && !CONVERSION.matcher(usage.name()).matches()) {
                envied(usage, type.get(), program).ifPresent(envy -> envious.put(seen, envy));
            }
        }
        Map<String, Integer> together = new HashMap<>();
        envious.forEach((seen, envy) -> together.merge(seen.file() + " " + envy.type().name(), 1, Integer::sum));
        envious.forEach((seen, envy) -> findings.add(finding(seen.file(), seen.sighting(), envy, together.get(seen.file() + " " + envy.type().name()))));
        RoutinesByVariant duties = new RoutinesByVariant(program);
        for (TypeOutline type : program.judgedTypes()) {
            if (!program.fileOf(type).test() && !type.anonymous()) {
                duties.of(type).stream().filter(kept -> !EXCUSED_TYPE.matcher(type.simpleName()).matches()).filter(kept -> kept.routines().values().stream().flatMap(List::stream)
                        .noneMatch(each -> EXCUSED_ROUTINE.matcher(each.name()).matches() || CONVERSION.matcher(each.name()).matches())).forEach(kept ->
                        findings.add(finding(kept)));
            }
        }
        return findings;
    }

    /** Form (a): several duties, each written once for each variant. */
    private static Finding finding(RoutinesByVariant.Kept kept) {
        List<Evidence> evidence = new ArrayList<>();
        List<String> names = new ArrayList<>();
        String file = kept.keeper().file();
        int first = Integer.MAX_VALUE;
        int last = 0;
        for (Map.Entry<String, List<RoutineOutline>> duty : kept.routines().entrySet()) {
            for (RoutineOutline each : duty.getValue()) {
                evidence.add(new Evidence(file, each.line(), each.endLine(), duty.getKey() + ": " + each.name() + "()"));
                names.add(each.name() + "()");
                first = Math.min(first, each.line());
                last = Math.max(last, each.endLine());
            }
        }
        evidence.add(new Evidence(kept.family().file(), kept.family().line(), kept.family().line(), "the variants are here"));
        Drag drag = Drag.of(names.size(), file.equals(kept.family().file()) ? 1 : 2, kept.routines().size()).build();
        String family = kept.family().simpleName();
        Gathered detail = new TypeFacts.Kept(kept.keeper().name(), kept.family().name(), List.copyOf(kept.routines().keySet()),
                List.of(new Place(kept.family().file(), kept.family().line(), kept.family().line(), kept.family().name(), "the variants are here")));
        return SMELL.finding(new Spot(file, first, last, kept.keeper().name()), drag, kept.keeper().simpleName()
                + " keeps " + kept.routines().size() + " duties apart for each " + family + " ("
                + String.join(", ", kept.variants()) + "): " + Listing.of(names), evidence, detail);
    }

    /** A type that is used more than any other, with what is used of it. */
    private record Envy(TypeOutline type, Set<Step> members) {
    }

    private static Optional<Envy> envied(Usage usage, TypeOutline type, Program program) {
        Optional<RoutineOutline> routine = type.routine(usage.routine());
        if (routine.isEmpty() || creates(routine.get(), type) || routine.get().traits().overrides()
                || !program.rootOf(routine.get()).equals(routine.get()) || type.isInterface()
                || isOverridden(routine.get(), type, program)) {
            return Optional.empty();
        }
        Map<TypeOutline, Set<Step>> used = new LinkedHashMap<>();
        int foreign = 0;
        for (Usage.Use use : usage.others()) {
            Optional<TypeOutline> found = program.projectType(use.receiver(), usage.type());
            found.ifPresent(each -> used.computeIfAbsent(each, key -> new LinkedHashSet<>()).add(use.member()));
            foreign += found.isPresent() ? 0 : 1;
        }
        Set<TypeOutline> family = new LinkedHashSet<>(program.ancestors(type));
        family.add(type);
        family.addAll(program.descendants(type));
        List<Envy> candidates = new ArrayList<>();
        used.forEach((other, members) -> {
            if (!family.contains(other) && isOther(other, type, program) && members.size() >= LEAST && !isMadeFor(routine.get(), other, program)) {
                candidates.add(new Envy(other, members));
            }
        });
        if (candidates.size() != 1 || used.values().stream().filter(members -> members.size() >= 2).count() > 1) {
            return Optional.empty();
        }
        Envy envy = candidates.get(0);
        boolean works = foreign <= Math.max(MOST_FOREIGN, envy.members().size() / 2) && pulls(envy)
                && (usage.made().isEmpty() || usage.made().equals(envy.type().simpleName()));
        return works ? Optional.of(envy) : Optional.empty();
    }

    /** A parameter object: a record without work of its own that is made only where this routine is called. */
    private static boolean isMadeFor(RoutineOutline routine, TypeOutline other, Program program) {
        if (other.kind() != TypeKind.RECORD || !other.routines().stream().allMatch(RoutineOutline::isConstructor)) {
            return false;
        }
        List<CreationFact> made = program.creations(other);
        return !made.isEmpty() && made.stream().allMatch(each ->
                program.callsOf(routine.name()).stream().anyMatch(call -> call.routine().equals(each.routine())));
    }

    /** A creation routine: it takes another object apart to make one of its own type. */
    private static boolean creates(RoutineOutline routine, TypeOutline type) {
        return routine.traits().isStatic() && routine.returns().simpleName().equals(type.simpleName());
    }

    private static boolean isOverridden(RoutineOutline routine, TypeOutline type, Program program) {
        return program.children(type).stream().anyMatch(child -> child.routines().stream().anyMatch(each ->
                each.name().equals(routine.name()) && each.parameters().size() == routine.parameters().size()));
    }

    /** A class of its own that holds something, and not part of the same class. */
    private static boolean isOther(TypeOutline other, TypeOutline type, Program program) {
        boolean module = program.type(type.outer()).map(TypeOutline::isModule).orElse(false);
        boolean nested = !type.isModule() && other.name().startsWith(type.name() + ".")
                || program.ancestors(type).stream().anyMatch(each -> other.name().startsWith(each.name() + "."))
                || type.name().startsWith(other.name() + ".")
                || !module && !other.outer().isEmpty() && other.outer().equals(type.outer());
        return !nested && other.kind() != TypeKind.ENUM
                && (other.isInterface() || other.fields().stream().anyMatch(each -> !each.traits().isStatic()))
                && !other.simpleName().matches(".*(Builder|Writer|Stream|Buffer|Context|Visitor|Config|Options|Reader|Logger|"
                + "Printer|Output|Input)");
    }

    /**
     * Most of what is used are parts asked for, rather than commands given. A part that is asked for with an argument
     * counts among more of them, of which one is the object's alone: what is always asked by a key is a dictionary.
     */
    private static boolean pulls(Envy envy) {
        long plain = envy.members().stream().filter(member -> member.asks() && isPart(member, envy.type())).count();
        long asked = envy.members().stream().filter(member -> isPart(member, envy.type())).count();
        boolean enough = plain >= LEAST && !envy.type().isInterface() || plain > 0 && asked >= LEAST && envy.members().size() > LEAST;
        return enough && asked * 2 > envy.members().size();
    }

    private static boolean isPart(Step member, TypeOutline type) {
        return member instanceof Step.Get || PULLED.matcher(member.name()).matches()
                || member.asks() && type.field(member.name()).isPresent();
    }

    /** @param together routines of the file that do the same with the same type */
    private static Finding finding(String file, Usage usage, Envy envy, int together) {
        List<String> members = envy.members().stream().map(each -> each.name() + (each instanceof Step.Invoke ? "()" : "")).toList();
        List<Evidence> evidence = List.of(
                new Evidence(file, usage.line(), usage.endLine(), "uses of " + envy.type().simpleName() + ": "
                        + Listing.of(members)),
                new Evidence(file, usage.line(), usage.line(), usage.own().isEmpty() ? "uses nothing of its own object"
                        : "uses of its own object only " + Listing.of(List.copyOf(usage.own()))),
                new Evidence(envy.type().file(), envy.type().line(), envy.type().line(), "the parts are here"));
        Drag drag = Drag.of(together, file.equals(envy.type().file()) ? 1 : 2, members.size())
                .risk(together == 1 && members.size() <= LEAST, -0.4, "it takes no more than " + LEAST + " parts, and no other does the same").build();
        Gathered detail = new RoutineFacts.Envy(usage.routine(), envy.type().name(), envy.members().stream().map(Step::name).toList(),
                List.of(new Place(envy.type().file(), envy.type().line(), envy.type().line(), envy.type().name(), "the parts are here")));
        return SMELL.finding(new Spot(file, usage.line(), usage.endLine(), usage.routine()), drag, usage.name()
                + "() uses " + members.size() + " members of " + envy.type().simpleName() + " and "
                + (usage.own().isEmpty() ? "none" : "one") + " of its own: " + Listing.of(members), evidence, detail);
    }
}
