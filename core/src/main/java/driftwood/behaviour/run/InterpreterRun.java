package driftwood.behaviour.run;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.process.Conditions;
import driftwood.behaviour.process.Contained;
import driftwood.behaviour.recording.Plain;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.view.Queries;
import driftwood.witness.Asking.Manner;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;

/** Starts scripts that ship with Driftwood in the user's own interpreter: in an empty folder, with the same settings everywhere. */
public final class InterpreterRun {
    private static final ObjectMapper JSON = new ObjectMapper();

    private final List<String> command;
    private final List<String> scripts;
    private final List<Path> imports;

    /**
     * @param command starts the interpreter
     * @param scripts names of the scripts among the resources: the witness, then what plants slips where there is such;
     *                they find each other beside them
     * @param imports folders that the code is imported from
     */
    InterpreterRun(List<String> command, List<String> scripts, List<Path> imports) {
        this.command = command;
        this.scripts = scripts;
        this.imports = imports;
    }

    /** The script that runs cases. */
    String witness() {
        return scripts.get(0);
    }

    /** The script that plants slips; empty where the language has none. */
    Optional<String> slips() {
        return scripts.stream().skip(1).findFirst();
    }

    /** Writes cases as the scripts read them: numbered, without what was recorded, and with what objects are asked. */
    static Path cases(Path folder, List<Case> cases, Queries queries, Manner manner) throws IOException {
        List<ObjectNode> numbered = new ArrayList<>();
        for (Case each : cases) {
            ObjectNode node = JSON.valueToTree(each);
            node.remove(List.of("outcome", "varies", "anyOrder"));
            numbered.add(node.put("id", Integer.toString(numbered.size())));
        }
        Path file = folder.resolve("cases");
        ObjectNode whole = JSON.createObjectNode().put("manner", manner.name().toLowerCase(Locale.ROOT));
        whole.set("asks", JSON.valueToTree(queries.byType()));
        whole.set("types", JSON.valueToTree(queries.types()));
        whole.set("cases", JSON.valueToTree(numbered));
        JSON.writeValue(file.toFile(), whole);
        return file;
    }

    /**
     * Runs a script until it ends or its time is over.
     *
     * @param folder of all runs; what is printed goes to its files "printed" and "trouble"
     * @param millis after which the process and its children are killed
     * @return the exit code
     */
    int start(Path folder, String script, List<String> arguments, Conditions conditions, long millis) throws IOException {
        Files.createDirectories(folder);
        for (String each : scripts) {
            if (!Files.exists(folder.resolve(each))) {
                try (InputStream from = InterpreterRun.class.getResourceAsStream(each)) {
                    Files.copy(from, folder.resolve(each));
                }
            }
        }
        Path work = Contained.work(folder);
        List<String> whole = new ArrayList<>(command);
        whole.add(folder.resolve(script).toString());
        whole.addAll(arguments);
        imports.forEach(each -> whole.add(each.toString()));
        ProcessBuilder builder = new ProcessBuilder(whole).directory(work.toFile())
                .redirectInput(Files.write(folder.resolve("nothing"), new byte[0]).toFile())
                .redirectOutput(folder.resolve("printed").toFile()).redirectError(folder.resolve("trouble").toFile());
        Map<String, String> environment = Contained.prepared(builder, folder).environment();
        environment.putAll(Map.of("PYTHONHASHSEED", Integer.toString(conditions.order().ordinal()), "TZ", "UTC",
                "LC_ALL", "C.UTF-8", "PYTHONIOENCODING", "utf-8", "TMPDIR", work.getParent().toString()));
        // What the user installed for himself stays in sight, though his home does not.
        environment.putIfAbsent("PYTHONUSERBASE", Path.of(System.getProperty("user.home"), ".local").toString());
        try {
            return Contained.ended(builder.start(), folder, millis);
        } catch (IOException e) {
            throw new IOException("'" + command.get(0) + "' cannot be started", e);
        }
    }

    /**
     * Reads what a script told, a JSON object a line.
     *
     * @param each told of every line but those that say that something begins
     * @return whether something was begun and not ended
     */
    static boolean read(Path file, Consumer<JsonNode> each) throws IOException {
        boolean begun = false;
        if (!Files.exists(file)) {
            return true;
        }
        for (String line : Files.readAllLines(file)) {
            JsonNode told;
            try {
                told = Plain.read(line);
            } catch (IOException e) {
                return true;
            }
            begun = told.has("begin");
            if (!begun) {
                each.accept(told);
            }
        }
        return begun;
    }

    /** The last line of what the script complained of. */
    String trouble(Path folder) throws IOException {
        return Files.readString(folder.resolve("trouble")).lines().reduce((one, other) -> other).orElse("no message");
    }

    /** The interpreter, as the user would start it. */
    @Override
    public String toString() {
        return String.join(" ", command);
    }
}
