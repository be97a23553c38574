package driftwood.refactor.python.ground;

import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What the arms of a decision hand to the code behind it, and what they need of the code before it: what they are as
 * functions of their own.
 *
 * @param kind     how they end
 * @param stored   what each of them sets, with the sign: {@code base =}, {@code total +=}; empty where they set nothing that is read later
 * @param captured names of the function that they read, in the order of its parameters; the instance first
 */
public record Outcome(Kind kind, String stored, List<String> captured) {
    private static final Set<String> BOUND_TO_PLACE = Set.of("super", "__class__", "locals", "eval", "exec", "vars");

    /** How arms end. */
    public enum Kind {
        /** The function ends with them; some give a value back. */
        RETURNS,
        /** They give a local its value. */
        SETS,
        /** They only do something. */
        ACTS
    }

    /** @param moved the arms, and what else moves with them @throws Refused where they cannot be functions of their own */
    public static Outcome of(Decision decision, List<Body> moved) {
        for (Body each : moved) {
            refuseBound(each);
        }
        List<Body> all = Stream.concat(decision.arms().stream().map(Decision.Arm::body), decision.otherwise().stream()).toList();
        Optional<String> added = added(all);
        if (added.isPresent()) {
            return new Outcome(Kind.SETS, added.get(), captured(decision, addends(moved)));
        }
        Kind kind = kind(decision, all);
        String local = kind == Kind.RETURNS || decision.rest().isEmpty() && decision.outermost() ? "" : stored(decision, all);
        String stored = local.isEmpty() ? "" : local + " =";
        if (moved.stream().anyMatch(each -> !stored.isEmpty() && !each.endsBySetting(stored))) {
            // What was there before goes in, and comes out again where the arm changes it on the way or not at all.
            if (captured(decision, Set.of(local)).stream().noneMatch(local::equals)) {
                throw new Refused("an arm does not end by setting " + local);
            }
            Set<String> read = new LinkedHashSet<>(Set.of(local));
            moved.forEach(each -> read.addAll(each.names().read()));
            return new Outcome(Kind.SETS, stored, captured(decision, read));
        }
        return new Outcome(stored.isEmpty() ? kind : Kind.SETS, stored, captured(decision, moved));
    }

    /** What every arm adds to or takes from, where that is all that it does. */
    private static Optional<String> added(List<Body> all) {
        List<String> targets = all.stream().map(each -> each.statements().size() == 1 ? target(each.module(), each.statements().get(0)) : "").distinct().toList();
        return targets.size() == 1 && targets.get(0).endsWith("=") && !targets.get(0).endsWith(" =") ? Optional.of(targets.get(0)) : Optional.empty();
    }

    private static Set<String> addends(List<Body> moved) {
        Set<String> read = new LinkedHashSet<>();
        moved.forEach(each -> each.statements().get(0).inner().get(0).part("right").ifPresent(value -> read.addAll(Names.of(each.module(), List.of(value)).read())));
        return read;
    }

    private static void refuseBound(Body body) {
        if (body.waits()) {
            throw new Refused("an arm waits or yields in the middle");
        }
        if (body.says(BOUND_TO_PLACE)) {
            throw new Refused("an arm asks for what only the place where it stands can tell (super, locals)");
        }
        if (!body.names().shared().isEmpty()) {
            throw new Refused("an arm sets a name of a scope further out (" + body.names().shared().iterator().next() + ")");
        }
        if (body.jumps()) {
            throw new Refused("an arm leaves the loop around it, or goes on to its next round");
        }
    }

    private static Kind kind(Decision decision, List<Body> all) {
        boolean end = decision.outermost() && decision.rest().isEmpty();
        if (decision.arms().stream().allMatch(each -> each.body().exits())) {
            boolean value = all.stream().anyMatch(Body::returnsValue);
            return value || !end ? Kind.RETURNS : Kind.ACTS;
        }
        if (end) {
            return all.stream().anyMatch(Body::returnsValue) ? Kind.RETURNS : Kind.ACTS;
        }
        if (all.stream().anyMatch(Body::returns)) {
            throw new Refused("one arm leaves the function and another goes on");
        }
        return Kind.ACTS;
    }

    /** The one local that arms set and that is read elsewhere. */
    private static String stored(Decision decision, List<Body> all) {
        Set<String> set = new LinkedHashSet<>();
        all.forEach(each -> set.addAll(each.names().bound()));
        Set<String> elsewhere = new LinkedHashSet<>();
        Set<Cst> within = new LinkedHashSet<>(decision.chain());
        all.forEach(each -> within.addAll(each.statements()));
        read(decision.function().body(), decision, within, elsewhere);
        set.retainAll(elsewhere);
        if (set.size() > 1) {
            throw new Refused("the arms set several locals that are used afterwards: " + String.join(", ", set));
        }
        return set.isEmpty() ? "" : set.iterator().next();
    }

    /** Names that statements behind the decision read; all around it in a loop. */
    private static void read(Cst block, Decision decision, Set<Cst> within, Set<String> names) {
        for (Cst each : block.inner()) {
            boolean around = decision.chain().stream().anyMatch(part -> each.start() <= part.start() && part.end() <= each.end());
            if (within.contains(each)) {
                continue;
            }
            if (around) {
                read(each, decision, within, names);
            } else if (each.start() > decision.chain().get(0).start() || decision.inLoop()) {
                names.addAll(Names.of(decision.module(), List.of(each)).read());
            }
        }
    }

    /** The value that a statement gives what it sets; empty where it sets something else. @param stored with the sign */
    public static Optional<Cst> assigned(Module module, Cst statement, String stored) {
        return target(module, statement).equals(stored) ? statement.inner().get(0).part("right") : Optional.empty();
    }

    /** What a statement sets, with the sign; empty where it sets nothing. */
    private static String target(Module module, Cst statement) {
        if (!statement.is("expression_statement") || statement.inner().size() != 1) {
            return "";
        }
        Cst inner = statement.inner().get(0);
        String left = inner.part("left").map(module::text).orElse("");
        return inner.is("assignment") ? left + " =" : inner.is("augmented_assignment") ? left + " " + inner.children().stream().filter(each -> !each.named()).map(Cst::kind).findFirst().orElse("") : "";
    }

    private static List<String> captured(Decision decision, List<Body> moved) {
        Set<String> read = new LinkedHashSet<>();
        moved.forEach(each -> read.addAll(each.names().read()));
        return captured(decision, read);
    }

    /** Which of some names are the function's own and have a value where the decision begins. */
    public static List<String> captured(Decision decision, Set<String> read) {
        Function function = decision.function();
        Module module = decision.module();
        Set<String> before = new LinkedHashSet<>(function.parameters().stream().map(Parameter::name).toList());
        Set<String> maybe = new LinkedHashSet<>();
        before(function.body(), decision, before, maybe);
        maybe.removeAll(before);
        List<String> captured = new ArrayList<>(before.stream().filter(read::contains).toList());
        for (String each : maybe) {
            if (read.contains(each) && !Names.of(module, function.body().inner()).shared().contains(each)) {
                throw new Refused("an arm reads " + each + ", which has a value only sometimes");
            }
        }
        if (function.isOfInstance()) {
            String self = function.parameters().get(0).name();
            captured.remove(self);
            captured.add(0, self);
        }
        return captured;
    }

    private static void before(Cst block, Decision decision, Set<String> before, Set<String> maybe) {
        int start = decision.chain().get(0).start();
        for (Cst each : block.inner()) {
            if (each.start() >= start) {
                if (decision.inLoop() && !decision.chain().contains(each)) {
                    maybe.addAll(Names.of(decision.module(), List.of(each)).bound());
                }
            } else if (each.end() > start) {
                heads(each, decision, before, start);
                before(each, decision, before, maybe);
            } else if (each.is("expression_statement") || each.kind().startsWith("import") || each.is("function_definition") || each.is("with_statement")) {
                before.addAll(Names.of(decision.module(), List.of(each)).bound());
            } else {
                maybe.addAll(Names.of(decision.module(), List.of(each)).bound());
            }
        }
    }

    /** What the head of a statement around the decision binds. */
    private static void heads(Cst statement, Decision decision, Set<String> before, int start) {
        if (statement.is("for_statement")) {
            statement.part("left").ifPresent(each -> before.addAll(Names.of(decision.module(), List.of(each)).read()));
        } else if (statement.is("with_statement") || statement.is("except_clause")) {
            statement.inner().stream().filter(each -> each.end() <= start).forEach(each -> before.addAll(Names.of(decision.module(), List.of(each)).bound()));
        }
    }
}
