package driftwood.behaviour.search;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recording.Step;
import driftwood.behaviour.replay.Assembly;
import driftwood.behaviour.view.Commands;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Cases in which something is handed to what holds it and changes afterwards: whoever copies it, or remembers what it said
 * when it came, answers differently from who asks it anew. Chance hardly comes to them: several steps must name one object.
 */
public final class Afterwards {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    /** Of each routine, and of all. */
    private static final int EACH = 6;
    private static final int MOST = 40;
    /** Commands of a holder that are called between two changes. */
    private static final int BETWEEN = 2;
    /** What a routine gives that does something. */
    private static final Set<String> QUIET = Set.of("void", "boolean", "bool", "None");

    private final Program program;
    private final Vocabulary words;
    private final Map<String, List<Held>> held = new HashMap<>();

    /** @param words what can be called on what */
    public Afterwards(Program program, Vocabulary words) {
        this.program = program;
        this.words = words;
    }

    /**
     * A call that hands something over, and one that changes it.
     *
     * @param to    the parameter
     * @param part  what is handed over
     * @param again what changes it once more
     */
    private record Held(Step taking, String to, JsonNode part, Step changing, Step again) {
    }

    /** What a case calls, without its name and outcome. */
    static String key(Case each) {
        return each.routine() + " " + each.on() + " " + each.before() + " " + each.given();
    }

    /** What is made and called on the way, whatever it is called on. */
    private static String calls(Case each) {
        return each.before().toString().replaceAll("\"(is|same)\":(\"[^\"]*\")|\"[^\"]*\":[^,}]*", "$2");
    }

    /** Some for each routine whose receiver or argument holds what can change. @param drawn cases of the routines */
    public List<Case> of(Collection<Case> drawn) {
        Map<String, Map<String, Case>> byRoutine = new LinkedHashMap<>();
        for (Case each : drawn) {
            Map<String, Case> found = byRoutine.computeIfAbsent(each.routine(), key -> new LinkedHashMap<>());
            if (each.member().equals("new") || found.size() >= EACH) {
                continue;
            }
            if (each.given() != null) {
                each.given().properties().forEach(given -> onArgument(each, given.getKey(), given.getValue()).forEach(one -> found.putIfAbsent(calls(one), one)));
            }
            onReceiver(each).forEach(one -> found.putIfAbsent(calls(one), one));
        }
        List<Case> turns = new ArrayList<>();
        for (int turn = 0; turn < EACH; turn++) {
            for (Map<String, Case> each : byRoutine.values()) {
                each.values().stream().skip(turn).limit(1).forEach(turns::add);
            }
        }
        return turns.subList(0, Math.min(MOST, turns.size()));
    }

    /** The receiver is handed something that changes before it is asked, also with a command in between and another change. */
    private List<Case> onReceiver(Case from) {
        Optional<TypeOutline> holder = type(from.on());
        List<Case> found = new ArrayList<>();
        List<Case> plain = new ArrayList<>();
        for (Held each : holder.map(this::held).orElse(List.of())) {
            List<Step> begin = List.of(made(each.part()), taking(each, null, "1"), on("1", each.changing()));
            if (!each.taking().call().equals(from.member())) {
                plain.add(Case.fresh(from.routine(), from.on(), begin, from.given()));
                words.on(holder.get()).stream().map(Word::step).filter(step -> step.given() == null && !step.call().equals(from.member())
                        && isCommand(holder.get(), step.call())).limit(BETWEEN).forEach(step -> found.add(Case.fresh(from.routine(), from.on(),
                        Stream.concat(begin.stream(), Stream.of(step, on("1", each.again()))).toList(), from.given())));
            }
        }
        found.addAll(plain);
        return found;
    }

    /** What is handed in holds something that changes before. */
    private List<Case> onArgument(Case from, String to, JsonNode holder) {
        return type(holder).map(this::held).orElse(List.of()).stream().map(each -> {
            ObjectNode given = from.given().deepCopy();
            given.set(to, same("1"));
            return Case.fresh(from.routine(), from.on(), List.of(made(holder), made(each.part()), taking(each, "1", "2"), on("2", each.changing())), given);
        }).toList();
    }

    private Optional<TypeOutline> type(JsonNode value) {
        return value == null ? Optional.empty() : program.type(value.path(Assembly.TYPE).asText());
    }

    /** What objects of a type can be handed that can change: of each routine and each type of part the first. */
    private List<Held> held(TypeOutline holder) {
        List<Held> known = held.get(holder.name());
        if (known != null) {
            return known;
        }
        List<Held> found = new ArrayList<>();
        Set<String> told = new LinkedHashSet<>();
        for (Word word : words.on(holder)) {
            Step taking = word.step();
            if (taking.given() == null || !isCommand(holder, taking.call()) || !keeps(holder, taking.call())) {
                continue;
            }
            taking.given().properties().forEach(each -> type(each.getValue()).ifPresent(part -> {
                List<Step> changes = changes(part);
                if (!changes.isEmpty() && told.add(taking.call() + " " + part.name())) {
                    Step change = changes.get(0);
                    List<Step> others = changes.stream().filter(other -> other.call().equals(change.call()) && weight(other) == weight(change)).toList();
                    found.add(new Held(taking, each.getKey(), each.getValue(), change, others.get(others.size() - 1)));
                }
            }));
        }
        held.put(holder.name(), found);
        return found;
    }

    /** Calls that change a part, those first that are handed something that counts. */
    private List<Step> changes(TypeOutline part) {
        return words.on(part).stream().map(Word::step).filter(each -> isCommand(part, each.call()))
                .sorted(Comparator.comparingInt(Afterwards::weight)).toList();
    }

    /** Less is more: handed something that counts, handed nothing that does, handed nothing. */
    private static int weight(Step call) {
        return call.given() == null ? 2 : Sequence.leaves(call.given()).stream().anyMatch(Afterwards::isBlank)
                || call.given().properties().stream().anyMatch(one -> one.getValue().isNull()) ? 1 : 0;
    }

    private static boolean isBlank(JsonNode leaf) {
        return leaf.isBoolean() ? !leaf.asBoolean() : leaf.isNumber() ? leaf.asDouble() == 0 : leaf.asText().isBlank();
    }

    private boolean isCommand(TypeOutline type, String name) {
        return routines(type, name).anyMatch(Commands::isLikely);
    }

    /** Whether it may hold what it is handed: it has a place for it, and gives no answer of its own. */
    private boolean keeps(TypeOutline holder, String name) {
        boolean place = owners(holder).stream().flatMap(each -> each.fields().stream()).anyMatch(each -> !each.traits().isStatic());
        return place && routines(holder, name).map(each -> each.returns()).anyMatch(gives -> !gives.isPresent() || QUIET.contains(gives.text())
                || owners(holder).stream().anyMatch(each -> each.simpleName().equals(gives.simpleName())));
    }

    private Stream<RoutineOutline> routines(TypeOutline type, String name) {
        return owners(type).stream().flatMap(each -> each.routines().stream()).filter(each -> each.name().equals(name));
    }

    private List<TypeOutline> owners(TypeOutline type) {
        List<TypeOutline> owners = new ArrayList<>(List.of(type));
        owners.addAll(program.ancestors(type));
        return owners;
    }

    private static Step made(JsonNode object) {
        return new Step(null, null, object, null);
    }

    private static Step taking(Held each, String of, String part) {
        ObjectNode given = each.taking().given().deepCopy();
        given.set(each.to(), same(part));
        return new Step(each.taking().call(), of, null, given);
    }

    private static Step on(String part, Step call) {
        return new Step(call.call(), part, null, call.given());
    }

    private static ObjectNode same(String name) {
        return JSON.objectNode().put("same", name);
    }
}
