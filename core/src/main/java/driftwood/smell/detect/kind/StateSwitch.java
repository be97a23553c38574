package driftwood.smell.detect.kind;

import driftwood.program.FieldOutline;
import driftwood.program.Fields;
import driftwood.program.Program;
import driftwood.program.Symbol;
import driftwood.smell.Chain;
import driftwood.smell.Chain.Arm;
import driftwood.smell.Chain.Work;
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
import driftwood.tree.TypeKind;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * state-switch: two or more routines of one type branch on the same field of that type (an enum, constant or string),
 * each comparing it with two or more of its values, and at least two of these routines do work in their arms. Not: an
 * enum that branches on itself; lookups; a test against one value. (Catalogue, state-switch; the trade's "replace
 * state-altering conditionals with state".)
 */
public final class StateSwitch implements Detector {
    private static final Smell SMELL = new Smell("state-switch", "ss", "State switch",
            "Several routines of a type branch on one of its own fields: what the object does depends on the condition "
                    + "it is in. Every new condition means another arm in each of them, and which follows which is "
                    + "spread over all of them.",
            "An enum that branches on itself; routines that only look something up; a test against a single value; "
                    + "boolean fields.",
            """
            void push() { switch (position) { case OPEN: shut(); break; case SHUT: open(); break; } }
            int toll()  { switch (position) { case OPEN: return count(2); case SHUT: return count(1); } }
            """);

    /** A chain of a routine on the field. */
    private record Operation(String file, Chain chain, Set<String> values, String common) {
        /** To go from one condition to another is work. @param field the one that is branched on */
        boolean works(String field) {
            return chain.arms().stream().anyMatch(arm -> arm.work() == Work.ACTS
                    || arm.stored().stream().anyMatch(each -> each.name().equals(field)));
        }
    }

    private static final int FEW = 4;
    private static final Pattern LETTER = Pattern.compile("(?s)([\"'`])(\\\\?.|\\\\u\\w+|\\\\x\\w+)?\\1");

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
        Map<String, List<Operation>> byField = new LinkedHashMap<>();
        Map<String, Fields.Found> fields = new LinkedHashMap<>();
        for (Seen<Chain> seen : sighted) {
            Chain chain = seen.sighting();
            if (chain.subject().plain()) {
                ownField(chain, program).ifPresent(found -> {
                    Optional<Variants> variants = Variants.of(chain, program)
                            .filter(each -> each.kind() != Variants.Kind.TYPES && each.names().size() >= 2);
                    if (variants.isPresent()) {
                        String key = found.symbol() + " in " + chain.within();
                        fields.put(key, found);
                        byField.computeIfAbsent(key, any -> new ArrayList<>())
                                .add(new Operation(seen.file(), chain,
                                        new LinkedHashSet<>(variants.get().names()), variants.get().common()));
                    }
                });
            }
        }
        List<Finding> findings = new ArrayList<>();
        byField.forEach((symbol, operations) -> {
            long routines = operations.stream().map(each -> each.chain().routine()).distinct().count();
            long working = operations.stream().filter(each -> each.works(name(fields.get(symbol)))).map(each -> each.chain().routine()).distinct()
                    .count();
            if (routines >= 2 && working >= 2 && !isLetter(operations)) {
                findings.add(finding(fields.get(symbol), operations));
            }
        });
        return findings;
    }

    /** What was read last, letter by letter: where most values are one, the field is the place in a text, and no condition. */
    private static boolean isLetter(List<Operation> operations) {
        Set<String> values = operations.stream().flatMap(each -> each.values().stream()).collect(Collectors.toSet());
        return values.size() > FEW && 2 * values.stream().filter(each -> LETTER.matcher(each).matches()).count() > values.size();
    }

    /** The field of the type itself, or inherited by it, that a chain is on; not a constant, not one of an enum. */
    private static Optional<Fields.Found> ownField(Chain chain, Program program) {
        return program.fieldAt(chain.subject().trail(), chain.within())
                .filter(found -> isOwn(found, chain, program) && found.field().isPresent()
                        && found.owner().kind() != TypeKind.ENUM && !found.field().get().isConstant()
                        && !found.field().get().type().text().equals("boolean"));
    }

    private static String name(Fields.Found found) {
        return found.field().map(FieldOutline::name).orElse("");
    }

    private static boolean isOwn(Fields.Found found, Chain chain, Program program) {
        return found.owner().name().equals(chain.within()) || program.type(chain.within()).map(type -> program.ancestors(type)
                .contains(found.owner())).orElse(false);
    }

    private static Finding finding(Fields.Found found, List<Operation> operations) {
        FieldOutline field = found.field().orElseThrow();
        Set<String> states = new LinkedHashSet<>();
        operations.forEach(each -> states.addAll(each.values()));
        List<Evidence> evidence = new ArrayList<>();
        int forgotten = 0;
        for (Operation operation : operations) {
            evidence.add(new Evidence(operation.file(), operation.chain().line(), operation.chain().endLine(),
                    operation.chain().routineName() + ": " + row(operation, states)));
            boolean covers = operation.chain().otherwise().isPresent() || operation.values().containsAll(states);
            forgotten += covers ? 0 : 1;
        }
        Set<String> moves = transitions(field, operations);
        if (!moves.isEmpty()) {
            evidence.add(new Evidence(field.file(), field.line(), field.endLine(),
                    "transitions: " + String.join("; ", moves)));
        }
        Drag drag = Drag.of(operations.size(), 1, states.size())
                .risk(!moves.isEmpty(), 0.3, "its routines also change it")
                .risk(forgotten > 0, 0.5, Listing.count(forgotten, "routine") + (forgotten == 1 ? " forgets" : " forget")
                        + (forgotten == 1 ? " a state and silently does nothing for it" : " a state and silently do nothing for it")).build();
        Chain first = operations.get(0).chain();
        List<Place> others = new ArrayList<>();
        for (Operation operation : operations.subList(1, operations.size())) {
            others.add(new Place(operation.file(), operation.chain().line(), operation.chain().endLine(),
                    operation.chain().routine(), "another routine on the same field"));
        }
        Detail detail = new Detail.Branching(first, List.copyOf(states), operations.get(0).common(), false,
                others);
        int last = operations.stream().mapToInt(each -> each.chain().endLine()).max().orElse(first.endLine());
        long routines = operations.stream().map(each -> each.chain().routine()).distinct().count();
        Spot spot = new Spot(operations.get(0).file(), first.line(), last, Symbol.member(first.within(), field.name()));
        return SMELL.finding(spot, drag, routines + " routines branch on the field " + field.name() + ": "
                + Listing.of(List.copyOf(states)), evidence, detail);
    }

    /** What an operation does for each state, blanks included. */
    private static String row(Operation operation, Set<String> states) {
        List<String> cells = new ArrayList<>();
        for (String state : states) {
            String does = operation.chain().arms().stream().filter(arm -> arm.labels().stream()
                    .anyMatch(label -> label.text().equals(state))).findFirst().map(TypeSwitch::does)
                    .or(() -> operation.chain().otherwise().map(rest -> "(default) " + TypeSwitch.does(rest)))
                    .orElse("nothing");
            cells.add(state + " -> " + does);
        }
        return Listing.table(cells, " | ");
    }

    private static Set<String> transitions(FieldOutline field, List<Operation> operations) {
        Set<String> moves = new LinkedHashSet<>();
        for (Operation operation : operations) {
            for (Arm arm : operation.chain().arms()) {
                arm.stored().stream().filter(each -> each.name().equals(field.name())).forEach(each ->
                        moves.add(arm.title() + " -> " + each.value() + " in " + operation.chain().routineName()));
            }
        }
        return moves;
    }
}
