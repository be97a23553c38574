package driftwood.behaviour.search;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.input.Moments;
import driftwood.behaviour.input.NearValues;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recording.Step;
import driftwood.behaviour.replay.Assembly;
import driftwood.program.Program;
import driftwood.program.Symbol;
import driftwood.program.TypeOutline;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/**
 * Cases close to one that is known: one call more or less, a value a little different or equal to another, the same
 * object handed in again, a call on what was handed in or given back, a second object beside the first. The same seed
 * gives the same.
 */
public final class Sequences {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    /** Calls in a case, the last one counted. */
    private static final int LONGEST = 6;

    private final Program program;
    private final Vocabulary words;
    private final NearValues near;
    private final Random random;

    /** @param near values a little different from others */
    public Sequences(Program program, Vocabulary words, NearValues near, Random random) {
        this.program = program;
        this.words = words;
        this.near = near;
        this.random = random;
    }

    /** An object that is alive in a case. @param name of it @param from number of the step before which it is not there */
    private record Alive(String name, int from, TypeOutline type) {
    }

    /** Another case; empty where the choice that was made leads nowhere. @param close whether only values may differ */
    Optional<Case> near(Case from, boolean close) {
        Sequence one = Sequence.of(from);
        int way = random.nextInt(close ? 12 : 18);
        Sequence other = one;
        if (way < 5 || one.steps().isEmpty()) {
            other = valued(one);
        } else if (way < 7) {
            other = called(one);
        } else if (way < 8 && one.steps().size() > 1) {
            other = one.without(random.nextInt(one.steps().size() - 1));
        } else if (way < 10) {
            other = valued(called(one));
        } else if (way < 12) {
            other = random.nextBoolean() ? grown(one) : valued(grown(one));
        } else if (way < 14) {
            other = extended(extended(one));
        } else if (way == 14) {
            other = again(one);
        } else if (way < 17) {
            other = onOthers(one);
        } else {
            other = beside(one);
        }
        boolean changed = !other.equals(one) && other.steps().size() <= LONGEST + 1;
        return changed ? Optional.of(other.told()) : Optional.empty();
    }

    /** The case with one call more at the end, or two; empty where it is as long as may be. */
    Optional<Case> longer(Case from) {
        Sequence one = Sequence.of(from);
        Sequence other = random.nextInt(3) > 0 ? extended(one) : random.nextBoolean() ? extended(extended(one)) : onOthers(one);
        return other.equals(one) ? near(from, false) : Optional.of(other.told());
    }

    private <T> T any(List<T> some) {
        return some.get(random.nextInt(some.size()));
    }

    /** Each routine is as likely as the other, however many arguments it has. */
    private Optional<Word> word(Sequence one) {
        Map<String, List<Word>> known = words.of(Symbol.of(one.symbol()).type(), one.on() != null);
        return known.isEmpty() ? Optional.empty() : Optional.of(any(known.get(any(List.copyOf(known.keySet())))));
    }

    private Sequence extended(Sequence one) {
        Optional<Word> word = word(one);
        return word.isEmpty() || one.steps().size() >= LONGEST || Symbol.of(one.symbol()).member().equals("new") ? one
                : one.ending(new Word(word.get().symbol(), aliased(word.get().step(), one, one.steps().size())));
    }

    /** One call more, at the end or on the way; now and then one that is there already. */
    private Sequence called(Sequence one) {
        if (Symbol.of(one.symbol()).member().equals("new") || one.steps().size() >= LONGEST) {
            return one;
        }
        if (random.nextInt(2) == 0) {
            return extended(one);
        }
        int at = random.nextInt(one.steps().size());
        Step known = any(one.steps());
        boolean repeats = random.nextInt(3) == 0 && known.call() != null && known.of() == null;
        List<Alive> others = alive(one).stream().filter(each -> each.from() <= at).toList();
        if (!others.isEmpty() && random.nextInt(3) == 0) {
            return one.inserted(at, onOther(any(others), one, at));
        }
        Optional<Step> step = repeats ? Optional.of(known) : word(one).map(each -> aliased(each.step(), one, at));
        return step.map(each -> one.inserted(at, each)).orElse(one);
    }

    private Sequence valued(Sequence one) {
        ObjectNode tree = one.tree();
        List<JsonNode> values = Sequence.leaves(tree);
        Sequence other = one;
        for (int times = random.nextInt(3) == 0 ? 2 : 1; times > 0 && !values.isEmpty(); times--) {
            int at = random.nextInt(values.size());
            other = other.with(Sequence.replaced(other.tree(), at, other(values.get(at), values)));
        }
        return other;
    }

    private JsonNode other(JsonNode leaf, List<JsonNode> values) {
        if (leaf.isBoolean()) {
            return JSON.booleanNode(!leaf.asBoolean());
        }
        List<JsonNode> alike = values.stream().filter(each -> !each.equals(leaf) && each.getNodeType() == leaf.getNodeType()).toList();
        if (!alike.isEmpty() && random.nextInt(4) == 0) {
            JsonNode chosen = any(alike);
            return leaf.isIntegralNumber() && !chosen.isIntegralNumber() ? near.number(leaf, alike) : chosen;
        }
        return leaf.isNumber() ? near.number(leaf, alike) : Moments.near(leaf.asText(), random).<JsonNode>map(JSON::textNode)
                .orElseGet(() -> near.text(leaf.asText()));
    }

    /** An object that is handed in, called once more before; or, where it is none that can be, another value. */
    private Sequence grown(Sequence one) {
        ObjectNode tree = one.tree();
        List<ObjectNode> objects = new ArrayList<>();
        tree.get("steps").forEach(step -> objects(step, objects));
        if (objects.isEmpty()) {
            return valued(one);
        }
        ObjectNode chosen = any(objects);
        List<Word> known = words.on(program.type(chosen.get("is").asText()).orElseThrow());
        if (chosen.path(Assembly.THEN).size() >= LONGEST - 2) {
            return one;
        }
        Step call = any(known).step();
        ObjectNode step = JSON.objectNode().put("call", call.call());
        step.set("given", call.given() == null ? JSON.objectNode() : call.given().deepCopy());
        chosen.withArray(Assembly.THEN).add(step);
        return one.with(tree);
    }

    /** The objects in a tree that can be called. */
    private void objects(JsonNode node, List<ObjectNode> into) {
        if (node instanceof ObjectNode object && object.path("is").isTextual()
                && program.type(object.get("is").asText()).filter(type -> !words.on(type).isEmpty()).isPresent()) {
            into.add(object);
        }
        node.forEach(each -> objects(each, into));
    }

    /** Now and then what a step is handed is there already. @param at number of steps before it */
    private Step aliased(Step step, Sequence one, int at) {
        if (step.given() == null || random.nextInt(3) > 0) {
            return step;
        }
        List<Alive> alive = alive(one).stream().filter(each -> each.from() <= at).toList();
        ObjectNode given = step.given().deepCopy();
        for (Map.Entry<String, JsonNode> each : step.given().properties()) {
            List<Alive> fitting = alive.stream().filter(other -> !other.name().equals(step.of()) && fits(other.type(), each.getValue())).toList();
            if (!fitting.isEmpty()) {
                given.set(each.getKey(), JSON.objectNode().put("same", any(fitting).name()));
            }
        }
        return new Step(step.call(), step.of(), step.make(), given);
    }

    /** The number of steps before which something that a step is handed is not there. */
    private static int latest(Step step) {
        return step.given() == null ? 0 : step.given().findValuesAsText("same").stream()
                .mapToInt(each -> Integer.parseInt(each.replaceAll("\\..*", ""))).max().orElse(0);
    }

    /** The same object handed in twice, or what one step gave handed to another. */
    private Sequence again(Sequence one) {
        Sequence longer = one.steps().size() < 2 ? extended(one) : one;
        List<Alive> alive = alive(longer);
        for (int tries = 0; tries < 6 && !alive.isEmpty(); tries++) {
            Alive each = any(alive);
            for (int at = each.from(); at < longer.steps().size(); at++) {
                Step step = longer.steps().get(at);
                for (Map.Entry<String, JsonNode> given : step.given() == null ? List.<Map.Entry<String, JsonNode>>of() : step.given().properties()) {
                    if (fits(each.type(), given.getValue()) && !each.name().equals((at + 1) + "." + given.getKey())) {
                        ObjectNode other = step.given().deepCopy();
                        other.set(given.getKey(), JSON.objectNode().put("same", each.name()));
                        List<Step> steps = new ArrayList<>(longer.steps());
                        steps.set(at, new Step(step.call(), step.of(), step.make(), other));
                        return new Sequence(longer.on(), steps, longer.symbol());
                    }
                }
            }
        }
        return one;
    }

    private boolean fits(TypeOutline type, JsonNode value) {
        Optional<TypeOutline> there = program.type(value.path("is").asText(value.path("standIn").asText()));
        return there.isPresent() && (there.get().equals(type) || program.ancestors(type).stream().anyMatch(each ->
                program.ancestors(there.get()).contains(each) || each.equals(there.get())));
    }

    /** Objects of the project that steps are handed or give, where something can be called on them. */
    private List<Alive> alive(Sequence one) {
        List<Alive> alive = new ArrayList<>();
        for (int at = 0; at < one.steps().size(); at++) {
            Step step = one.steps().get(at);
            int number = at + 1;
            if (step.given() != null) {
                step.given().properties().forEach(given -> program.type(given.getValue().path("is").asText())
                        .filter(type -> !words.on(type).isEmpty())
                        .ifPresent(type -> alive.add(new Alive(number + "." + given.getKey(), number, type))));
            }
            if (step.call() != null && step.of() == null) {
                gives(one, step).filter(type -> !words.on(type).isEmpty())
                        .ifPresent(type -> alive.add(new Alive(Integer.toString(number), number, type)));
            }
        }
        return alive;
    }

    private Optional<TypeOutline> gives(Sequence one, Step step) {
        String owner = Symbol.of(one.symbol()).type();
        return words.of(owner, one.on() != null).keySet().stream().filter(symbol -> Symbol.of(symbol).type().equals(owner) && Symbol.of(symbol).member().equals(step.call()))
                .findFirst().flatMap(words::given).filter(type -> !type.name().equals(owner));
    }

    /** A call on what was handed in or given back, then one more on the receiver, to see what that did. */
    private Sequence onOthers(Sequence one) {
        List<Alive> alive = alive(one);
        if (alive.isEmpty() || Symbol.of(one.symbol()).member().equals("new")) {
            return extended(one);
        }
        Alive chosen = any(alive);
        Step step = onOther(chosen, one, one.steps().size());
        Sequence longer = chosen.from() == one.steps().size() || random.nextInt(2) == 0 ? extended(one) : one;
        if (longer.steps().size() <= chosen.from()) {
            return one;
        }
        int from = Math.max(chosen.from(), latest(step));
        return longer.steps().size() <= from ? one : longer.inserted(from + random.nextInt(longer.steps().size() - from), step);
    }

    /** A call on an object that is alive. @param at number of steps before it */
    private Step onOther(Alive chosen, Sequence one, int at) {
        Step call = any(words.on(chosen.type())).step();
        return aliased(new Step(call.call(), chosen.name(), null, call.given()), one, at);
    }

    /** A second object of the type, made before the first is used, with a call or two of its own. */
    private Sequence beside(Sequence one) {
        String owner = Symbol.of(one.symbol()).type();
        boolean already = one.steps().stream().anyMatch(each -> each.make() != null);
        if (one.on() == null || already || Symbol.of(one.symbol()).member().equals("new") && !one.steps().isEmpty()) {
            return one;
        }
        List<JsonNode> known = words.receivers(owner);
        JsonNode made = known.isEmpty() || random.nextInt(3) == 0 ? one.on() : any(known);
        Sequence two = one.inserted(0, new Step(null, null, made, null));
        for (int calls = Symbol.of(one.symbol()).member().equals("new") ? 0 : 1 + random.nextInt(2); calls > 0; calls--) {
            Optional<Word> word = word(one);
            if (word.isPresent()) {
                Step call = word.get().step();
                two = two.inserted(1 + random.nextInt(two.steps().size() - 1), new Step(call.call(), "1", null, call.given()));
            }
        }
        return two;
    }
}
