package driftwood.behaviour.process;

import driftwood.behaviour.build.Homes;
import driftwood.store.Scratch;
import driftwood.witness.Trial;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.io.FileUtils;

/** A process that tries slips whenever it is asked; when a slip ends it, the next request starts another. */
public final class TrialProcess implements AutoCloseable {
    private final Homes homes;
    private final Limits limits;
    private final long caseMillis;
    private final Path folder;
    private Process process;
    private BufferedReader answers;

    public TrialProcess(Homes homes, Limits limits, long caseMillis) throws IOException {
        this.homes = homes;
        this.limits = limits;
        this.caseMillis = caseMillis;
        this.folder = Scratch.folder("trial");
    }

    /**
     * Asks, and waits for the answer.
     *
     * @param words of the request, as {@link Trial#main} reads them
     * @param until by {@link System#nanoTime}; then the process is ended
     */
    public void ask(List<String> words, long until) throws IOException {
        if (process == null || !process.isAlive()) {
            start();
        }
        try {
            process.getOutputStream().write((String.join("\t", words) + "\n").getBytes(StandardCharsets.UTF_8));
            process.getOutputStream().flush();
            while (System.nanoTime() < until) {
                if (answers.ready()) {
                    answers.readLine();
                    return;
                }
                if (!process.isAlive()) {
                    return;
                }
                Thread.sleep(2);
            }
        } catch (IOException e) {
            // It ended meanwhile: what it had found out is in the file of results.
            return;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        end();
    }

    private void start() throws IOException {
        List<String> arguments = new ArrayList<>(List.of(Long.toString(caseMillis)));
        homes.path().forEach(each -> arguments.add(each.toAbsolutePath().toString()));
        // driftwood: leave hard-coded-instantiation because starting the process is what this is for
        process = new Launch(folder, List.of(), limits).talking(Trial.class.getName(), arguments);
        answers = new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
    }

    private void end() {
        if (process != null) {
            Contained.end(process, folder);
        }
    }

    @Override
    public void close() {
        end();
        FileUtils.deleteQuietly(folder.toFile());
    }
}
