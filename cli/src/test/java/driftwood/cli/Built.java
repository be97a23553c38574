package driftwood.cli;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;

/** Runs the built program through its launcher, as a user does. */
final class Built {

    /** How a run ended. */
    record Run(int code, String out, String err) {
    }

    private Built() {
    }

    static Run driftwood(Path folder, String... arguments) throws IOException, InterruptedException {
        return driftwood(folder, Map.of(), arguments);
    }

    /** @param more of the environment */
    static Run driftwood(Path folder, Map<String, String> more, String... arguments) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(System.getProperty("driftwood.launcher")));
        command.addAll(List.of(arguments));
        Path out = Files.createTempFile("driftwood-out", ".txt");
        Path err = Files.createTempFile("driftwood-err", ".txt");
        ProcessBuilder builder = new ProcessBuilder(command).directory(folder.toFile())
                .redirectOutput(out.toFile()).redirectError(err.toFile());
        builder.environment().put("DRIFTWOOD_AS_BUILT", "1");
        builder.environment().putIfAbsent("XDG_DATA_HOME", Path.of("target", "user").toAbsolutePath().toString());
        builder.environment().putAll(more);
        Process process = builder.start();
        process.getOutputStream().close();
        if (!process.waitFor(120, TimeUnit.SECONDS)) {
            process.destroyForcibly();
            throw new IOException("no end after two minutes: " + command);
        }
        Run run = new Run(process.exitValue(), Files.readString(out, StandardCharsets.UTF_8),
                Files.readString(err, StandardCharsets.UTF_8));
        Files.delete(out);
        Files.delete(err);
        return run;
    }
}
