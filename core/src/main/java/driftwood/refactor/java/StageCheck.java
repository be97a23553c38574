package driftwood.refactor.java;

import driftwood.read.java.Compilation;
import driftwood.read.java.Compilation.Trouble;
import driftwood.refactor.Refused;
import driftwood.refactor.Stage;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Collectors;

/**
 * Compiles what stands after each stage, in memory, several stages at a time.
 *
 * @param roots     folders in which packages begin
 * @param libraries what the project compiles with
 * @param texts     before the first stage, by relative path
 * @param before    the errors that these have already
 */
record StageCheck(Set<Path> roots, List<Path> libraries, Map<String, String> texts, List<Trouble> before) {
    /** The compiler descends as deep as an expression does. */
    private static final long STACK = 64L << 20;
    /** Kept for the next plan: each knows by then what is in the libraries. */
    private static final ExecutorService WORKERS = Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors(), work -> {
        Thread thread = new Thread(null, work, "compile", STACK);
        thread.setDaemon(true);
        return thread;
    });

    /** @throws Refused where a stage brings an error, with the first of the first such stage */
    void of(List<Stage> stages) {
        try {
            List<Future<List<Trouble>>> all = new ArrayList<>();
            Map<String, String> now = new LinkedHashMap<>(texts);
            for (Stage stage : stages) {
                stage.files().forEach((file, text) -> text.ifPresentOrElse(said -> now.put(file, said), () -> now.remove(file)));
                Map<String, String> then = new LinkedHashMap<>(now);
                all.add(WORKERS.submit(() -> Compilation.of(then, roots, libraries).troubles()));
            }
            for (int i = 0; i < stages.size(); i++) {
                refuse(stages.get(i), all.get(i).get());
            }
        } catch (ExecutionException e) {
            throw new Refused("the compiler gave up on what this code becomes: " + e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new Refused("it was interrupted");
        }
    }

    private void refuse(Stage stage, List<Trouble> now) {
        List<String> known = new ArrayList<>(before.stream().map(each -> each.file() + each.message()).toList());
        for (Trouble each : now) {
            if (!known.remove(each.file() + each.message())) {
                throw new Refused("it would not compile after '" + stage.does() + "' (" + each.file() + ":" + each.line() + ": "
                        + each.message().lines().map(String::strip).limit(3).collect(Collectors.joining(" ")) + ")");
            }
        }
    }
}
