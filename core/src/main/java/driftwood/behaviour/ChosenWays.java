package driftwood.behaviour;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.Recording.Case;
import driftwood.behaviour.Recording.Step;
import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.store.Folder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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

    /** The file. */
    record Answers(String format, List<Way> ways) {
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
                throw new IOException(file + ":1 is no " + FORMAT + " file");
            }
            answers.ways().forEach(each -> chosen.ways.put(key(each.type(), each.parts()), each));
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
    Case applied(Case each) {
        if (ways.isEmpty()) {
            return each;
        }
        List<Step> before = each.before() == null ? null : each.before().stream().map(step -> new Step(step.call(),
                (ObjectNode) applied(step.given()))).toList();
        return new Case(each.id(), each.routine(), applied(each.on()), before, (ObjectNode) applied(each.given()),
                each.outcome(), each.varies(), each.anyOrder());
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

    /** Asks about the object that kept a case from being run. @param why what the driver said */
    void ask(Case each, String why, Program program) {
        ask(each.on(), why, program);
        ask(each.given(), why, program);
        if (each.before() != null) {
            each.before().forEach(step -> ask(step.given(), why, program));
        }
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
            folder.write(NAME, new Answers(FORMAT, List.copyOf(ways.values())));
        }
        return asked || ways.values().stream().anyMatch(each -> each.by() == null || each.by().isEmpty());
    }
}
