package driftwood.smell.detect.kind;

import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.smell.Chain;
import driftwood.smell.Chain.Arm;
import driftwood.smell.Detail;
import driftwood.smell.Detail.Place;
import driftwood.smell.Detector;
import driftwood.smell.Drag;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.Finding.Spot;
import driftwood.smell.Listing;
import driftwood.smell.Seen;
import driftwood.smell.Seer;
import driftwood.smell.Sightings;
import driftwood.smell.Smell;
import driftwood.smell.see.chain.ChainWalk;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * conditional-instantiation: two or more arms (a final else counts) each create a different concrete class of the
 * project, used alike afterwards. Not: a routine that only makes this decision and is the only one to make it (that is
 * the factory); arms that create the same class; exceptions. (Catalogue, conditional-instantiation.)
 */
public final class ConditionalInstantiation implements Detector {
    private static final Smell SMELL = new Smell("conditional-instantiation", "ci", "Conditional instantiation",
            "A condition decides which class to create, in the middle of code that has other work to do. The decision "
                    + "cannot be reused, tends to be repeated, and its copies drift apart.",
            "A routine that does nothing but decide and is the only one that does (it is the factory); arms that "
                    + "create the same class with other arguments; exceptions; a table from key to class.",
            """
            Permit permit = vessel.tonnage() > 500
                    ? new HeavyPermit(vessel) : new LightPermit(vessel);
            """);

    private static final String OTHERWISE = "otherwise";

    /** A chain with what its arms create. */
    private record Deciding(String file, Chain chain, Map<String, TypeOutline> table, Optional<TypeOutline> common,
            List<Arm> arms) {
        /** Checks before the first creation belong to the routine, not to the decision. */
        int line() {
            boolean match = chain.form() == Chain.Form.MATCH || chain.form() == Chain.Form.MATCH_VALUE;
            return match ? chain.line() : arms.get(0).line();
        }

        Set<String> classes() {
            Set<String> names = new LinkedHashSet<>();
            table.values().forEach(type -> names.add(type.name()));
            return names;
        }
    }

    @Override
    public Smell smell() {
        return SMELL;
    }

    private static final Pattern MAKING = Pattern.compile("(?i:create|make|new|build|allocate|instantiate|construct|of|from|produce)([A-Z_].*)?");

    @Override
    public List<Seer<?>> seers() {
        return List.of(ChainWalk.SEER);
    }

    @Override
    public List<Finding> judge(Program program, Sightings sightings) {
        List<Seen<Chain>> sighted = sightings.judged(ChainWalk.SEER);
        List<Deciding> all = new ArrayList<>();
        for (Seen<Chain> seen : sighted) {
            deciding(seen.file(), seen.sighting(), program).ifPresent(all::add);
        }
        List<Finding> findings = new ArrayList<>();
        Set<Deciding> told = Collections.newSetFromMap(new IdentityHashMap<>());
        List<Set<String>> said = new ArrayList<>();
        for (Deciding first : all) {
            if (told.contains(first)) {
                continue;
            }
            List<Deciding> same = all.stream().filter(other -> other == first || sameDecision(first, other) && !isOverride(first, other, program)).toList();
            boolean repeated = same.size() > 1 && same.stream().allMatch(each -> each == first || told.contains(each)) && said.stream().anyMatch(each -> each.containsAll(first.classes()));
            if (repeated || same.size() == 1 && (first.chain().alone() || isFactory(first, program))) {
                continue;
            }
            // One that was told with others before is told here as a repeat, and not a second time.
            Deciding place = same.stream().filter(each -> !each.chain().alone() && !told.contains(each)).findFirst().orElse(first);
            told.addAll(same);
            said.add(place.classes());
            findings.add(finding(place, same.stream().filter(each -> each != place).toList()));
        }
        return findings;
    }

    /** A routine that is called after making things, and gives what it makes. */
    private static boolean isFactory(Deciding one, Program program) {
        Chain chain = one.chain();
        boolean gives = chain.arms().stream().flatMap(arm -> arm.product().stream()).allMatch(product -> product.use().equals("return"));
        return gives && MAKING.matcher(chain.routineName()).matches() && one.common().isPresent()
                && program.type(chain.within()).flatMap(type -> type.routine(chain.routine())).filter(each -> !each.isConstructor()).isPresent();
    }

    /** One operation, carried out by several types of a family: each decides for itself. */
    private static boolean isOverride(Deciding one, Deciding other, Program program) {
        Optional<String> root = program.rootAt(one.chain().within(), one.chain().routine());
        return !one.chain().within().equals(other.chain().within()) && root.isPresent()
                && root.equals(program.rootAt(other.chain().within(), other.chain().routine()));
    }

    private static boolean sameDecision(Deciding one, Deciding other) {
        if (one.equals(other)) {
            return true;
        }
        Set<String> shared = new HashSet<>(one.classes());
        shared.retainAll(other.classes());
        return shared.size() >= 2 && !(isOutcome(one) && isOutcome(other) && !asksTheSame(one, other));
    }

    /** Two kinds of result, of which a routine returns one as things went. */
    private static boolean isOutcome(Deciding one) {
        return one.classes().size() == 2 && one.chain().arms().stream().allMatch(arm -> arm.isOn(Chain.Label.Kind.OTHER) || arm.isOn(Chain.Label.Kind.ASKED))
                && one.chain().arms().stream().flatMap(arm -> arm.product().stream()).allMatch(made -> made.use().equals("return"));
    }

    private static boolean asksTheSame(Deciding one, Deciding other) {
        return one.table().keySet().stream().anyMatch(label -> !label.equals(OTHERWISE) && other.table().keySet().stream().anyMatch(there -> sameWords(label, there)));
    }

    private static Optional<Deciding> deciding(String file, Chain chain, Program program) {
        Optional<TypeOutline> scope = program.type(chain.within());
        if (scope.isEmpty()) {
            return Optional.empty();
        }
        Map<String, TypeOutline> table = new LinkedHashMap<>();
        Set<String> uses = new HashSet<>();
        List<Arm> arms = new ArrayList<>(chain.arms());
        chain.otherwise().ifPresent(arms::add);
        List<Arm> deciding = new ArrayList<>();
        for (Arm arm : arms) {
            Optional<TypeOutline> made = arm.product().filter(product -> !product.anonymous())
                    .flatMap(product -> program.resolve(new TypeRef(product.type()), scope.get()))
                    .filter(type -> !type.isError() && program.ancestors(type).stream().noneMatch(TypeOutline::isError)
                            && !isCopied(arm, type));
            if (made.isPresent()) {
                table.put(arm.labels().isEmpty() ? OTHERWISE : arm.title(), made.get());
                uses.add(arm.product().get().use());
            }
            if (!table.isEmpty()) {
                deciding.add(arm);
            }
        }
        long classes = table.values().stream().map(TypeOutline::name).distinct().count();
        if (classes < 2 || uses.size() > 1) {
            return Optional.empty();
        }
        Optional<TypeOutline> common = program.commonOf(table.values());
        boolean collected = uses.iterator().next().indexOf('.') > 0;
        return common.isPresent() || collected || !uses.contains("return")
                || answerAlike(table.values(), scope.get(), program)
                ? Optional.of(new Deciding(file, chain, table, common, deciding)) : Optional.empty();
    }

    /** An arm that asks for a type and makes that very type anew chooses nothing. */
    private static boolean isCopied(Arm arm, TypeOutline made) {
        return arm.labels().stream().anyMatch(label -> label.kind() == Chain.Label.Kind.TYPE
                && new TypeRef(label.text()).simpleName().equals(made.simpleName()));
    }

    /** Where types are not declared, what is made is used alike if all answer a call of the same name. */
    private static boolean answerAlike(Collection<TypeOutline> types, TypeOutline scope, Program program) {
        Set<String> shared = new HashSet<>();
        types.forEach(type -> type.routines().forEach(each -> shared.add(each.isConstructor() ? "" : each.name())));
        types.forEach(type -> shared.retainAll(type.routines().stream().map(RoutineOutline::name).toList()));
        return program.fileOf(scope).language().isDuckTyped() && !shared.isEmpty();
    }

    private static Finding finding(Deciding one, List<Deciding> repeats) {
        Chain chain = one.chain();
        List<String> disagreements = disagreements(one, repeats);
        Set<String> files = new HashSet<>(Set.of(one.file()));
        repeats.forEach(each -> files.add(each.file()));
        Drag drag = Drag.of(1 + repeats.size(), files.size(), one.table().size())
                .risk(!disagreements.isEmpty(), 0.8, "the copies disagree on " + String.join(", ", disagreements))
                .risk(repeats.isEmpty() && Excuses.isInParser(chain), -0.8, "a parser makes what its grammar has")
                .risk(one.common().isEmpty(), 0.3, "what is created has no type of the project in common")
                .build();
        Map<String, String> table = new LinkedHashMap<>();
        one.table().forEach((label, type) -> table.put(label, type.simpleName()));
        List<Place> places = repeats.stream().map(each -> new Place(each.file(), each.line(),
                each.chain().endLine(), each.chain().routine(), "the same decision again: " + classes(each))).toList();
        Detail detail = new Detail.Choosing(chain, table, one.common().map(TypeOutline::name).orElse(""), places);
        String message = "decides which class to create: " + classes(one)
                + (one.common().isPresent() ? ", used as " + one.common().get().simpleName() : "")
                + (repeats.isEmpty() ? "" : "; decided again in " + repeats.size()
                        + (repeats.size() == 1 ? " other place" : " other places"));
        Spot spot = new Spot(one.file(), one.line(), chain.endLine(), chain.routine());
        return SMELL.finding(spot, drag, message, evidence(one, places, disagreements), detail);
    }

    private static String classes(Deciding each) {
        return Listing.of(Listing.apart(each.table().values().stream().distinct().toList()));
    }

    /** Labels that two copies answer with different classes, and classes that they create on different conditions. */
    private static List<String> disagreements(Deciding one, List<Deciding> repeats) {
        Set<String> found = new LinkedHashSet<>();
        for (Deciding other : repeats) {
            one.table().forEach((label, type) -> other.table().forEach((there, otherType) -> {
                boolean conditions = !label.equals(OTHERWISE) && !there.equals(OTHERWISE);
                if (label.equals(there) && !type.equals(otherType) && conditions) {
                    found.add(label + " (" + type.simpleName() + " here, " + otherType.simpleName() + " there)");
                } else if (!label.equals(there) && type.equals(otherType) && conditions && sameWords(label, there)) {
                    found.add(type.simpleName() + " (" + label + " here, " + there + " there)");
                }
            }));
        }
        return List.copyOf(found);
    }

    /** Conditions that differ in their numbers or signs only ask the same question. */
    private static boolean sameWords(String one, String other) {
        return one.replaceAll("[^A-Za-z]", "").equals(other.replaceAll("[^A-Za-z]", ""));
    }

    /** The condition of an arm as a reader would say it. */
    private static String when(Chain chain, Arm arm) {
        boolean asksSubject = !arm.labels().isEmpty() && !arm.isOn(Chain.Label.Kind.OTHER)
                && !arm.isOn(Chain.Label.Kind.LIMIT) && !arm.isOn(Chain.Label.Kind.ASKED)
                && !chain.subject().text().isEmpty();
        return arm.labels().isEmpty() ? OTHERWISE
                : asksSubject ? chain.subject().text() + " is " + arm.title() : arm.title();
    }

    private static List<Evidence> evidence(Deciding one, List<Place> repeats, List<String> disagreements) {
        List<Evidence> evidence = new ArrayList<>();
        for (Arm arm : one.arms()) {
            String label = arm.labels().isEmpty() ? OTHERWISE : arm.title();
            TypeOutline made = one.table().get(label);
            String when = when(one.chain(), arm);
            evidence.add(new Evidence(one.file(), arm.line(), arm.endLine(), made == null
                    ? when + ": " + TypeSwitch.does(arm) : when + " creates " + made.simpleName()));
        }
        repeats.forEach(place -> evidence.add(place.evidence()));
        if (!disagreements.isEmpty()) {
            evidence.add(new Evidence(one.file(), one.chain().line(), one.chain().endLine(),
                    "the copies disagree on " + String.join(", ", disagreements)));
        }
        return evidence;
    }
}
