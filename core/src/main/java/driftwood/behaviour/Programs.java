package driftwood.behaviour;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.process.Sandbox;
import driftwood.behaviour.recording.ClientView;
import driftwood.behaviour.recording.Confirming;
import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recordings;
import driftwood.behaviour.recording.Verdict;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;

/**
 * Recordings of whole programs, of any language: what a command prints, its exit code, and the files it writes. Each
 * run is made in a copy of the project.
 */
public final class Programs implements Confirming {
    /** What stands in the place of a routine: a command has none. */
    public static final String MARK = "run#";
    /** How long a command may take unless it is said. It starts an interpreter, reads files. */
    public static final long DEFAULT_MILLIS = 60_000;
    private static final long APART_MILLIS = 1_100;
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private final Path root;
    private final long millis;

    /** @param millis after which a command is killed */
    public Programs(Path root, long millis) {
        this.root = root;
        this.millis = millis;
    }

    /** A program that tells the time tells another one a second later. */
    private static void apart() {
        try {
            Thread.sleep(APART_MILLIS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** How long the commands of a recording may take, where that was said. */
    public static OptionalLong millis(Recording recording) {
        return recording.cases().stream().map(each -> each.given() == null ? null : each.given().get("millis"))
                .filter(each -> each != null && each.isNumber()).mapToLong(JsonNode::asLong).max();
    }

    /** Whether a recording is one of commands. */
    public static boolean isOne(Recording recording) {
        return !recording.cases().isEmpty() && recording.cases().stream().allMatch(each -> each.routine().startsWith(MARK));
    }

    /**
     * Records commands; what differs between two runs is masked.
     *
     * @param name     of the recording
     * @param commands for the shell
     * @param input    for the standard input of each
     * @param more     of the environment
     */
    public Recording record(String name, List<String> commands, String input, Map<String, String> more) {
        List<Case> cases = new ArrayList<>();
        for (String command : commands) {
            ObjectNode given = JSON.objectNode().put("command", command);
            if (millis != DEFAULT_MILLIS) {
                given.put("millis", millis);
            }
            if (!input.isEmpty()) {
                given.put("input", input);
            }
            if (!more.isEmpty()) {
                ObjectNode environment = given.putObject("environment");
                more.forEach(environment::put);
            }
            JsonNode first = run(given, 0);
            apart();
            JsonNode again = run(given, 1);
            cases.add(Characterization.masked(new Case("c" + (cases.size() + 1), MARK + name, null, List.of(), given, null,
                    List.of(), List.of()), first, List.of(again)));
        }
        return Recording.of(MARK.replace('#', '-') + name, List.of(MARK + name), cases);
    }

    @Override
    public Case fresh(Recording one, Verdict verdict) {
        return Characterization.masked(one.cases().get(0), verdict.actual(), List.of(run(one.cases().get(0).given(), 1)));
    }

    @Override
    public List<Verdict> confirm(Recording recording) {
        return recording.cases().stream().map(each -> Confirmation.judge(each, run(each.given(), 2), new ClientView(recording, (type, query) -> true))).toList();
    }

    /** @param time the first, second... run: programs whose order hangs on a hash seed get another one each time */
    private JsonNode run(ObjectNode given, int time) {
        Map<String, String> environment = new HashMap<>();
        if (given.has("environment")) {
            given.get("environment").properties().forEach(each -> environment.put(each.getKey(), each.getValue().asText()));
        }
        environment.putIfAbsent("PYTHONHASHSEED", Integer.toString(time));
        // driftwood: leave hard-coded-instantiation because each run has a sandbox of its own, gone when it ends
        try (Sandbox sandbox = new Sandbox(root)) {
            ObjectNode outcome = JSON.objectNode();
            outcome.set("gives", sandbox.run(given.get("command").asText(), given.path("input").asText(""), environment,
                    millis));
            return outcome;
        } catch (IOException e) {
            throw new UncheckedIOException("cannot run '" + given.get("command").asText() + "' in a copy of " + root, e);
        }
    }
}
