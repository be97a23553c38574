package driftwood.behaviour.replay;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recording.Step;
import driftwood.behaviour.view.Ways;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.Symbol;
import driftwood.program.TypeOutline;
import driftwood.store.Folder;
import driftwood.tree.RoutineKind;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;

/**
 * What people say about how objects are made now, where the code leaves it open: {@code .driftwood/ways.json}. Driftwood
 * writes the questions, people the answers.
 */
public final class ChosenWays {
    private static final String NAME = "ways.json";
    private static final String FORMAT = "driftwood-ways/1";
    /** The answer that means a constructor. */
    static final String CONSTRUCTOR = "new";
    private static final String TYPE = Assembly.TYPE;

    private final Folder folder;
    private final Map<String, Way> ways = new LinkedHashMap<>();
    private final Map<String, Renamed> routines = new LinkedHashMap<>();
    private boolean asked;

    /**
     * A question and its answer.
     *
     * @param type    qualified name
     * @param parts   names of the parts in recordings, sorted
     * @param choices what the code offers, such as {@code of(name, depth)}; {@code new(...)} is a constructor
     * @param by      the answer: "new" or the name of a creation routine; empty while nobody answered
     * @param names   parts that are called otherwise now: by the name in recordings, the parameter's
     */
    record Way(String type, List<String> parts, List<String> choices, String by, Map<String, String> names) {
    }

    /**
     * A routine that is not there any more, and what it is now.
     *
     * @param was     symbol without parameters, as {@code quay.HarbourDues#quote}
     * @param choices routines of the type that could be it, the likeliest first
     * @param now     the answer: the name of one of them; empty while nobody answered
     */
    record Renamed(String was, List<String> choices, String now) {
    }

    /** The file. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record Answers(String format, List<Way> ways, List<Renamed> routines) {
    }

    private ChosenWays(Folder folder) {
        this.folder = folder;
    }

    /**
     * The answers of a project.
     *
     * @throws IOException where the file is damaged; the message says where
     */
    public static ChosenWays of(Path root) throws IOException {
        ChosenWays chosen = none(root);
        Path file = chosen.folder.path().resolve(NAME);
        if (Files.exists(file)) {
            Answers answers = chosen.folder.read(file, Answers.class);
            if (!FORMAT.equals(answers.format()) || answers.ways() == null) {
                throw new IOException(file + ":1 is not a " + FORMAT + " file");
            }
            answers.ways().forEach(each -> chosen.ways.put(key(each.type(), each.parts()), each));
            if (answers.routines() != null) {
                answers.routines().forEach(each -> chosen.routines.put(each.was(), each));
            }
        }
        return chosen;
    }

    static ChosenWays none(Path root) {
        return new ChosenWays(new Folder(root));
    }

    private static String key(String type, List<String> parts) {
        return type + new TreeSet<>(parts);
    }

    /** The case with its objects made as was answered. */
    public Case applied(Case each) {
        if (ways.isEmpty() && routines.isEmpty()) {
            return each;
        }
        List<Step> before = each.before() == null ? null : each.before().stream().map(step -> new Step(
                step.call() == null || step.of() != null ? step.call() : now(each.owner(), step.call()), step.of(),
                step.make() == null ? null : applied(step.make()), (ObjectNode) applied(step.given()))).toList();
        String now = now(each.owner(), each.member());
        String routine = now.equals(each.member()) ? each.routine()
                : Symbol.of(each.routine()).named(now).text();
        return new Case(each.id(), routine, applied(each.on()), before, (ObjectNode) applied(each.given()),
                each.outcome(), each.varies(), each.anyOrder());
    }

    /** What a routine is called now. */
    private String now(String owner, String name) {
        Renamed renamed = routines.get(Symbol.member(owner, name));
        return renamed == null || renamed.now() == null || renamed.now().isBlank() ? name : renamed.now().replaceAll("\\(.*", "").strip();
    }

    private JsonNode applied(JsonNode value) {
        if (value instanceof ArrayNode array) {
            ArrayNode all = JsonNodeFactory.instance.arrayNode();
            array.forEach(each -> all.add(applied(each)));
            return all;
        }
        if (!(value instanceof ObjectNode object)) {
            return value;
        }
        Way way = ways.get(key(object.path(TYPE).asText(), parts(object)));
        boolean answered = way != null && way.by() != null && !way.by().isEmpty();
        ObjectNode made = JsonNodeFactory.instance.objectNode();
        for (Map.Entry<String, JsonNode> part : object.properties()) {
            String name = answered && way.names() != null ? way.names().getOrDefault(part.getKey(), part.getKey()) : part.getKey();
            if (!answered || !part.getKey().equals(Assembly.BY)) {
                made.set(name, applied(part.getValue()));
            }
        }
        return answered ? made.put(Assembly.BY, way.by()) : made;
    }

    private static List<String> parts(ObjectNode object) {
        List<String> parts = new ArrayList<>();
        object.fieldNames().forEachRemaining(name -> {
            if (!name.equals(TYPE) && !name.equals(Assembly.BY)) {
                parts.add(name);
            }
        });
        return parts;
    }

    /** Asks about the routine that is not there any more, or the object that cannot be made, and so kept a case from being run. */
    public void ask(Case each, String why, Program program) {
        Optional<TypeOutline> type = program.type(each.owner());
        List<Step> calls = new ArrayList<>(each.steps());
        calls.add(Step.call(each.member(), each.given()));
        for (Step step : calls) {
            boolean own = type.isPresent() && step.call() != null && step.of() == null && !step.call().equals("new");
            if (own && missing(type.get(), now(each.owner(), step.call()), program)) {
                ask(type.get(), step, program);
                return;
            }
        }
        ask(each.on(), why, program);
        ask(each.given(), why, program);
        each.steps().forEach(step -> {
            ask(step.make(), why, program);
            ask(step.given(), why, program);
        });
    }

    private static boolean missing(TypeOutline type, String name, Program program) {
        return all(type, program).stream().noneMatch(each -> each.name().equals(name));
    }

    private static List<RoutineOutline> all(TypeOutline type, Program program) {
        List<RoutineOutline> all = new ArrayList<>(type.routines());
        program.ancestors(type).forEach(each -> all.addAll(each.routines()));
        return all;
    }

    /** The likeliest takes the same parameters; private ones are no answer. */
    private void ask(TypeOutline type, Step step, Program program) {
        List<String> given = new ArrayList<>();
        if (step.given() != null) {
            step.given().fieldNames().forEachRemaining(given::add);
        }
        List<String> choices = all(type, program).stream().filter(each -> each.kind() == RoutineKind.METHOD && !each.traits().isPrivate()
                        && each.parameters().size() == given.size())
                .sorted(Comparator.comparing(each -> !each.parameters().stream().map(ParameterOutline::name).toList().equals(given)))
                .map(each -> each.name() + "(" + String.join(", ", each.parameters().stream().map(ParameterOutline::name).toList()) + ")")
                .distinct().toList();
        String was = Symbol.member(type.name(), step.call());
        if (!choices.isEmpty() && !routines.containsKey(was)) {
            routines.put(was, new Renamed(was, choices, ""));
            asked = true;
        }
    }

    /** Questions about routines that nobody answered, in words: what was, and what it most likely is now. */
    public List<String> renamed() {
        return routines.values().stream().filter(each -> each.now() == null || each.now().isEmpty())
                .map(each -> each.was() + " is not there any more. Is it " + each.choices().get(0) + " now?").toList();
    }

    /** Whether there is an open question about how objects are made. */
    public boolean asksForObjects() {
        return ways.values().stream().anyMatch(each -> each.by() == null || each.by().isEmpty());
    }

    private void ask(JsonNode value, String why, Program program) {
        if (value == null) {
            return;
        }
        value.forEach(each -> ask(each, why, program));
        if (value instanceof ObjectNode object && why.contains(object.path(TYPE).asText("?"))) {
            program.type(object.get(TYPE).asText()).ifPresent(type -> ask(type, parts(object), program));
        }
    }

    private void ask(TypeOutline type, List<String> parts, Program program) {
        Ways offered = new Ways(program);
        List<String> choices = new ArrayList<>();
        offered.constructors(type).forEach(way -> choices.add(CONSTRUCTOR + "(" + String.join(", ", way.names()) + ")"));
        offered.creators(type).forEach(way -> choices.add(way.routine().orElseThrow().name() + "("
                + String.join(", ", way.names()) + ")"));
        String key = key(type.name(), parts);
        if (!choices.isEmpty() && !ways.containsKey(key)) {
            ways.put(key, new Way(type.name(), List.copyOf(new TreeSet<>(parts)), choices, "", Map.of()));
            asked = true;
        }
    }

    /** Writes what was asked anew; what was answered stays. @return whether there is something to answer */
    public boolean save() {
        if (asked) {
            folder.write(NAME, new Answers(FORMAT, List.copyOf(ways.values()), routines.isEmpty() ? null : List.copyOf(routines.values())));
        }
        return asked || asksForObjects() || !renamed().isEmpty();
    }
}
