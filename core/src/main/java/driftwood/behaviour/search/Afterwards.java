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
import java.util.HashMap;
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
    private static final int EACH = 2;
    private static final int MOST = 30;
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
     */
    private record Held(Step taking, String to, JsonNode part, Step changing) {
    }

    /** What a case calls, without its name and outcome. */
    static String key(Case each) {
        return each.routine() + " " + each.on() + " " + each.before() + " " + each.given();
    }

    /** Some for each routine whose receiver or argument holds what can change. @param drawn cases of the routines */
    public List<Case> of(Collection<Case> drawn) {
        Map<String, Integer> counts = new HashMap<>();
        Set<String> told = new LinkedHashSet<>();
        List<Case> found = new ArrayList<>();
        for (Case each : drawn) {
            if (each.member().equals("new") || each.on() == null && each.given() == null || found.size() >= MOST) {
                continue;
            }
            List<Case> some = new ArrayList<>();
            if (each.given() != null) {
                each.given().properties().forEach(given -> some.addAll(onArgument(each, given.getKey(), given.getValue())));
            }
            some.addAll(onReceiver(each));
            for (Case one : some) {
                if (found.size() < MOST && told.add(key(one)) && counts.merge(one.routine(), 1, Integer::sum) <= EACH) {
                    found.add(one);
                }
            }
        }
        return found;
    }

    /** The receiver is handed something that changes before it is asked. */
    private List<Case> onReceiver(Case from) {
        return type(from.on()).map(this::held).orElse(List.of()).stream().filter(each -> !each.taking().call().equals(from.member())).map(each ->
                Case.fresh(from.routine(), from.on(), List.of(made(each.part()), taking(each, null, "1"), changing(each, "1")), from.given())).toList();
    }

    /** What is handed in holds something that changes before. */
    private List<Case> onArgument(Case from, String to, JsonNode holder) {
        return type(holder).map(this::held).orElse(List.of()).stream().map(each -> {
            ObjectNode given = from.given().deepCopy();
            given.set(to, same("1"));
            return Case.fresh(from.routine(), from.on(), List.of(made(holder), made(each.part()), taking(each, "1", "2"), changing(each, "2")), given);
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
            taking.given().properties().forEach(each -> type(each.getValue()).ifPresent(part -> changing(part).ifPresent(change -> {
                if (told.add(taking.call() + " " + part.name())) {
                    found.add(new Held(taking, each.getKey(), each.getValue(), change));
                }
            })));
        }
        held.put(holder.name(), found);
        return found;
    }

    /** A call that changes a part; best one that is handed something. */
    private Optional<Step> changing(TypeOutline part) {
        List<Step> calls = words.on(part).stream().map(Word::step).filter(each -> isCommand(part, each.call())).toList();
        return calls.stream().filter(each -> each.given() != null && each.given().properties().stream().noneMatch(one -> one.getValue().isNull())).findFirst()
                .or(() -> calls.stream().findFirst());
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

    private static Step changing(Held each, String part) {
        return new Step(each.changing().call(), part, null, each.changing().given());
    }

    private static ObjectNode same(String name) {
        return JSON.objectNode().put("same", name);
    }
}
