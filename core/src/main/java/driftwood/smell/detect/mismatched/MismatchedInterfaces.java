package driftwood.smell.detect.mismatched;

import driftwood.program.FieldOutline;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.Step;
import driftwood.program.Trail;
import driftwood.program.TypeOutline;
import driftwood.tree.TypeKind;
import driftwood.smell.Chain;
import driftwood.smell.Chain.Arm;
import driftwood.smell.Chain.ArmCall;
import driftwood.smell.Chain.Label;
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
import driftwood.smell.see.chain.ChainWalk;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * mismatched-interfaces: a client that, for one purpose, chooses between unrelated types and calls a differently named
 * or shaped routine on each; both arms serve the same end. Not: types with a common supertype in the project that
 * offers the operation; arms that do different things; a value or its stand-in for nothing. (Catalogue,
 * mismatched-interfaces; Gamma et al., Adapter.)
 */
public final class MismatchedInterfaces implements Detector {
    private static final Smell SMELL = new Smell("mismatched-interfaces", "mi", "Mismatched interfaces",
            "For one purpose a client chooses between unrelated types, and must call each of them in its own way. Every "
                    + "client repeats the choice; a third way of doing the same means another arm in all of them.",
            "Types with a common supertype that offers the operation; arms that do different things; a fallback for "
                    + "nothing.",
            """
            double depth = digital ? sonar.measureDepth(berth)
                                   : leadLine.lower(berth, ROPE);
            """);

    /** A choice: each arm's receiver type by what is called on it. */
    private record Choice(String file, Chain chain, List<Arm> arms, Map<TypeOutline, ArmCall> calls) {
        Set<String> types() {
            Set<String> names = new HashSet<>();
            calls.keySet().forEach(type -> names.add(type.name()));
            return names;
        }
    }

    private static final Pattern NOTHING = Pattern.compile("(null|None)\\b");

    @Override
    public Smell smell() {
        return SMELL;
    }

    @Override
    public List<Seer<?>> seers() {
        return List.of(ChainWalk.SEER);
    }

    @Override
    public List<Finding> judge(Program program, Sightings sightings) {
        List<Seen<Chain>> sighted = sightings.judged(ChainWalk.SEER);
        List<Choice> choices = new ArrayList<>();
        for (Seen<Chain> seen : sighted) {
            choice(seen.file(), seen.sighting(), program).ifPresent(choices::add);
        }
        List<Finding> findings = new ArrayList<>();
        Map<Set<String>, List<Choice>> byTypes = new LinkedHashMap<>();
        choices.forEach(each -> byTypes.computeIfAbsent(each.types(), key -> new ArrayList<>()).add(each));
        byTypes.values().forEach(same -> findings.add(finding(same.get(0), same.subList(1, same.size()))));
        return findings;
    }

    private static Optional<Choice> choice(String file, Chain chain, Program program) {
        List<Arm> arms = new ArrayList<>(chain.arms());
        chain.otherwise().ifPresent(arms::add);
        boolean nothing = arms.stream().anyMatch(arm -> arm.isOn(Label.Kind.NULL)
                || arm.labels().stream().anyMatch(label -> NOTHING.matcher(label.text()).find()));
        Map<TypeOutline, ArmCall> calls = new LinkedHashMap<>();
        Set<String> uses = new HashSet<>();
        List<Arm> calling = new ArrayList<>();
        for (Arm arm : nothing ? List.<Arm>of() : arms) {
            Optional<ArmCall> armCall = arm.armCall().filter(each -> each.alone() && each.call().isCall()
                    && !each.use().isEmpty() && each.call().start() != Trail.Start.SUPER);
            Optional<TypeOutline> owner = armCall.flatMap(each ->
                    program.projectType(each.call().owner(), chain.within())
                            .or(() -> onlyAnswering(each.call(), chain.within(), program)));
            if (owner.isPresent() && !owner.get().name().equals(chain.within())
                    && !routines(armCall.get(), chain, program).isEmpty()) {
                calls.putIfAbsent(owner.get(), armCall.get());
                uses.add(armCall.get().use());
                calling.add(arm);
            }
        }
        boolean all = calling.size() == arms.size() || calling.size() == chain.arms().size();
        return calls.size() >= 2 && uses.size() == 1 && all && areMismatched(calls, chain, program) && !Alternatives.isStandIn(calls, chain, true)
                ? Optional.of(new Choice(file, chain, calling, calls)) : nothing ? Optional.empty() : converting(file, chain, arms, program);
    }

    /**
     * The one type of the project that can answer a call, where types are not declared; empty where several can, and where it
     * is called on what nobody in the project gives.
     */
    private static Optional<TypeOutline> onlyAnswering(Trail call, String within, Program program) {
        Trail receiver = call.owner();
        if (receiver.isCall() && program.routinesAt(receiver, within).isEmpty() && program.answering(receiver, within).isEmpty()) {
            return Optional.empty();
        }
        List<String> owners = program.answering(call, within).stream().map(RoutineOutline::owner).distinct().toList();
        return owners.size() == 1 ? program.type(owners.get(0)).filter(type -> !type.isModule()) : Optional.empty();
    }

    /**
     * A choice whose arms make the same of what different types give, or hand the same to them: each arm has one type of
     * its own that it calls.
     */
    private static Optional<Choice> converting(String file, Chain chain, List<Arm> all, Program program) {
        List<Arm> arms = all.stream().filter(arm -> arm.work() != Chain.Work.THROWS).toList();
        boolean ladder = chain.arms().size() > 1 && chain.arms().stream().allMatch(arm -> arm.isOn(Label.Kind.LIMIT) || arm.isOn(Label.Kind.ASKED));
        if (arms.size() < 2 || ladder || arms.stream().anyMatch(arm -> arm.armCall().isEmpty()) || !haveOneEnd(arms, chain, program)) {
            return Optional.empty();
        }
        Map<TypeOutline, Integer> called = new LinkedHashMap<>();
        List<Map<TypeOutline, Trail>> byArm = new ArrayList<>();
        for (Arm arm : arms) {
            Map<TypeOutline, Trail> own = new LinkedHashMap<>();
            for (Trail call : arm.armCall().orElseThrow().calls().stream().filter(each -> each.start() != Trail.Start.SUPER
                    && each.start() != Trail.Start.CREATED).toList()) {
                program.projectType(call.owner(), chain.within()).filter(type -> !type.name().equals(chain.within())
                        && !program.routinesAt(call, chain.within()).isEmpty()).ifPresent(type -> own.putIfAbsent(type, call));
            }
            own.keySet().forEach(type -> called.merge(type, 1, Integer::sum));
            byArm.add(own);
        }
        Map<TypeOutline, ArmCall> calls = new LinkedHashMap<>();
        for (int i = 0; i < arms.size(); i++) {
            Map<TypeOutline, Trail> own = byArm.get(i);
            own.keySet().removeIf(type -> called.get(type) > 1 || !works(type) || own.get(type).arguments() == 0);
            if (own.size() != 1) {
                return Optional.empty();
            }
            ArmCall armCall = arms.get(i).armCall().orElseThrow();
            own.forEach((type, call) -> calls.put(type, new ArmCall(call, armCall.use(), armCall.text(), armCall.alone(), armCall.calls(), armCall.names())));
        }
        List<String> texts = calls.values().stream().map(ArmCall::text).toList();
        return calls.size() == arms.size() && doTheSame(calls, program) && !Alternatives.isStandIn(calls, chain, false)
                && !Alternatives.isCapability(texts, chain) ? Optional.of(new Choice(file, chain, arms, calls))
                : Optional.empty();
    }

    /** Who only carries values is what the work is done with, not who does it. */
    private static boolean works(TypeOutline type) {
        return type.kind() != TypeKind.RECORD && type.kind() != TypeKind.ENUM && !type.isError();
    }

    /** Whether all make the same use of something that they share: hardly anything of it needs the program, so it is asked first. */
    private static boolean haveOneEnd(List<Arm> arms, Chain chain, Program program) {
        Set<String> shared = new HashSet<>(arms.get(0).armCall().orElseThrow().names());
        arms.forEach(arm -> shared.retainAll(arm.armCall().orElseThrow().names()));
        shared.removeIf(name -> !Character.isLowerCase(name.charAt(0)));
        String use = arms.get(0).armCall().orElseThrow().use();
        boolean result = !use.isEmpty();
        boolean same = arms.stream().allMatch(arm -> arm.armCall().orElseThrow().use().equals(use) && (result || arm.armCall().orElseThrow().alone()));
        boolean asked = chain.subject().plain() || chain.arms().get(0).labels().stream().anyMatch(label -> shared.stream()
                .anyMatch(name -> label.text().matches("(?s).*\\b" + Pattern.quote(name) + "\\b.*")));
        return same && !shared.isEmpty() && (asked || arms.stream().map(arm -> arm.armCall().orElseThrow()).allMatch(each -> handsOn(each, shared, chain, program)));
    }

    /** Whether an arm hands just what the others hand as well to somebody that is at hand, and nothing comes back: then any condition may choose. */
    private static boolean handsOn(ArmCall armCall, Set<String> shared, Chain chain, Program program) {
        Trail owner = armCall.call().owner();
        boolean held = owner.start() == Trail.Start.NAME && owner.steps().isEmpty() || owner.start() == Trail.Start.TYPED && owner.steps().isEmpty()
                || owner.start() == Trail.Start.THIS && owner.steps().size() == 1;
        return held && armCall.alone() && armCall.use().isEmpty() && armCall.calls().size() == 1
                && armCall.names().stream().filter(name -> Character.isLowerCase(name.charAt(0)) && !shared.contains(name)).count() == 1
                && program.routinesAt(armCall.call(), chain.within()).stream().allMatch(each -> each.returns().text().equals("void"));
    }

    /** By routines of different names, in types that have nothing else to do with each other. */
    private static boolean doTheSame(Map<TypeOutline, ArmCall> calls, Program program) {
        Set<Step> shapes = new HashSet<>();
        calls.values().forEach(armCall -> armCall.call().last().ifPresent(shapes::add));
        return shapes.size() == calls.size() && areStrangers(calls, program);
    }

    /** Without a common type that offers the operation, and neither a part of the other. */
    private static boolean areStrangers(Map<TypeOutline, ArmCall> calls, Program program) {
        Optional<TypeOutline> common = program.commonOf(calls.keySet());
        boolean offered = common.isPresent() && common.get().routines().stream().anyMatch(routine ->
                calls.values().stream().anyMatch(armCall -> armCall.call().lastName().equals(routine.name())));
        boolean kin = calls.keySet().stream().anyMatch(type -> common.map(type::equals).orElse(false));
        boolean part = calls.keySet().stream().anyMatch(type -> calls.keySet().stream().anyMatch(other ->
                type != other && gives(type, other, program)));
        return !part && !offered && !kin;
    }

    /** Whether a type holds the other or hands it out: a whole and its part are no strangers. */
    private static boolean gives(TypeOutline type, TypeOutline other, Program program) {
        return Stream.concat(type.fields().stream().map(FieldOutline::type), type.routines().stream()
                .map(RoutineOutline::returns))
                .anyMatch(each -> program.resolve(each, type).filter(other::equals).isPresent());
    }

    private static List<RoutineOutline> routines(ArmCall armCall, Chain chain, Program program) {
        List<RoutineOutline> found = program.routinesAt(armCall.call(), chain.within());
        return found.isEmpty() ? program.answering(armCall.call(), chain.within()) : found;
    }

    /** Unrelated, differently called, for the same kind of result. */
    private static boolean areMismatched(Map<TypeOutline, ArmCall> calls, Chain chain, Program program) {
        Set<Step> shapes = new HashSet<>();
        Set<String> results = new HashSet<>();
        calls.values().forEach(armCall -> {
            armCall.call().last().ifPresent(shapes::add);
            RoutineOutline routine = routines(armCall, chain, program).get(0);
            results.add(routine.returns().text());
        });
        return Alternatives.areAlternatives(calls, chain) && shapes.size() == calls.size() && results.size() == 1
                && !results.contains("void") && areStrangers(calls, program);
    }

    private static Finding finding(Choice one, List<Choice> repeats) {
        List<Evidence> evidence = new ArrayList<>();
        List<String> names = new ArrayList<>();
        int at = 0;
        for (Map.Entry<TypeOutline, ArmCall> call : one.calls().entrySet()) {
            Arm arm = one.arms().get(at++);
            names.add(call.getKey().simpleName() + "." + call.getValue().call().lastName() + "()");
            evidence.add(new Evidence(one.file(), arm.line(), arm.endLine(), call.getKey().simpleName() + ": "
                    + call.getValue().text()));
        }
        Set<String> files = new HashSet<>(Set.of(one.file()));
        List<Place> places = new ArrayList<>();
        for (Choice repeat : repeats) {
            files.add(repeat.file());
            places.add(new Place(repeat.file(), repeat.chain().line(), repeat.chain().endLine(),
                    repeat.chain().routine(), "the same choice again"));
        }
        places.forEach(place -> evidence.add(place.evidence()));
        Drag drag = Drag.of(1 + repeats.size(), files.size(), one.calls().size()).build();
        Gathered detail = new RoutineFacts.Mismatch(one.chain(), one.calls().keySet().stream().map(TypeOutline::name).toList(), names, places);
        return SMELL.finding(new Spot(one.file(), one.chain().line(), one.chain().endLine(), one.chain().routine()),
                drag, "for one purpose chooses between unrelated types: " + Listing.of(names), evidence, detail);
    }
}
