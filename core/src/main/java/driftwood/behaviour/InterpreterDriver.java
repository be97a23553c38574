package driftwood.behaviour;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.MissingNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.Recording.Case;
import driftwood.witness.Witness;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.apache.commons.io.FileUtils;

/**
 * Runs cases of an interpreted language: a small witness written in that language, which ships with Driftwood, runs in
 * the user's own interpreter. Another language is another witness.
 */
final class InterpreterDriver implements Driver {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final int MOST_RESTARTS = 25;
    private static final long START_MILLIS = 20_000;

    private final List<String> command;
    private final String witness;
    private final List<Path> imports;
    private final Limits limits;

    /**
     * @param command starts the interpreter
     * @param witness name of the witness among the resources
     * @param imports folders that the code is imported from
     */
    InterpreterDriver(List<String> command, String witness, List<Path> imports, Limits limits) {
        this.command = command;
        this.witness = witness;
        this.imports = imports;
        this.limits = limits;
    }

    @Override
    public List<Ran> run(List<Case> cases, Conditions conditions) {
        List<Case> ordered = conditions.order().of(cases, false);
        try {
            Path folder = Files.createTempDirectory("driftwood-witness-");
            try {
                return conditions.order().of(all(ordered, conditions, folder), true);
            } finally {
                FileUtils.deleteQuietly(folder.toFile());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e.getMessage(), e);
        }
    }

    private List<Ran> all(List<Case> cases, Conditions conditions, Path folder) throws IOException {
        Path script = folder.resolve(witness);
        try (InputStream from = InterpreterDriver.class.getResourceAsStream(witness)) {
            Files.copy(from, script);
        }
        List<ObjectNode> numbered = new ArrayList<>();
        for (Case each : cases) {
            ObjectNode node = JSON.valueToTree(each);
            node.remove(List.of("outcome", "varies", "anyOrder"));
            numbered.add(node.put("id", Integer.toString(numbered.size())));
        }
        Path caseFile = folder.resolve("cases");
        JSON.writeValue(caseFile.toFile(), numbered);
        List<Ran> all = new ArrayList<>();
        for (int restarts = 0; all.size() < cases.size(); restarts++) {
            Path outcomes = Files.write(folder.resolve("outcomes-" + restarts), new byte[0]);
            int before = all.size();
            int exit = start(folder, List.of(script.toString(), caseFile.toString(), outcomes.toString(), Integer.toString(before),
                    Long.toString(limits.caseMillis()), Integer.toString(limits.memoryMib()), conditions.later() ? "1" : "0"),
                    conditions, START_MILLIS + (cases.size() - before) * (Witness.PATIENCE * limits.caseMillis() + 50));
            boolean begun = read(outcomes, all);
            if (begun && all.size() < cases.size()) {
                all.add(new Ran(JSON.createObjectNode().put("exits", "exit code " + exit), ""));
            } else if (all.size() == before && all.size() < cases.size()) {
                throw new IOException(String.join(" ", command) + " did not run the cases (exit code " + exit + "): "
                        + Files.readString(folder.resolve("trouble")).lines().reduce((one, other) -> other).orElse("no message"));
            }
            while (restarts == MOST_RESTARTS && all.size() < cases.size()) {
                all.add(new Ran(MissingNode.getInstance(), "not run: " + MOST_RESTARTS + " cases before it ended the process"));
            }
        }
        return all;
    }

    private int start(Path folder, List<String> arguments, Conditions conditions, long millis) throws IOException {
        Path work = Files.createDirectories(folder.resolve("work"));
        FileUtils.cleanDirectory(work.toFile());
        List<String> whole = new ArrayList<>(command);
        whole.addAll(arguments);
        imports.forEach(each -> whole.add(each.toString()));
        ProcessBuilder builder = new ProcessBuilder(whole).directory(work.toFile())
                .redirectInput(Files.write(folder.resolve("nothing"), new byte[0]).toFile())
                .redirectOutput(folder.resolve("printed").toFile()).redirectError(folder.resolve("trouble").toFile());
        Map<String, String> environment = builder.environment();
        environment.putAll(Map.of("PYTHONHASHSEED", Integer.toString(conditions.order().ordinal()), "TZ", "UTC",
                "LC_ALL", "C.UTF-8", "PYTHONIOENCODING", "utf-8", "TMPDIR", folder.toString()));
        try {
            return Launch.ended(builder.start(), millis);
        } catch (IOException e) {
            throw new IOException("'" + command.get(0) + "' cannot be started", e);
        }
    }

    /** @return whether a case was begun and not ended */
    private static boolean read(Path outcomes, List<Ran> all) throws IOException {
        boolean begun = false;
        for (String line : Files.readAllLines(outcomes)) {
            JsonNode told;
            try {
                told = Plain.read(line);
            } catch (IOException e) {
                return true;
            }
            begun = told.has("begin");
            if (!begun) {
                all.add(new Ran(told.path("outcome"), told.path("unmade").asText("")));
            }
        }
        return begun;
    }
}
