package driftwood.behaviour.run;

import driftwood.behaviour.build.Homes;
import driftwood.behaviour.process.Limits;
import driftwood.behaviour.process.TrialProcess;
import driftwood.behaviour.process.Tries;
import driftwood.behaviour.run.Ground.Effort;
import driftwood.behaviour.search.Cases;
import driftwood.behaviour.slip.Slip;
import driftwood.behaviour.slip.TrialResults;
import driftwood.behaviour.slip.Under;
import driftwood.store.Scratch;
import driftwood.witness.Asking;
import driftwood.witness.Make;
import driftwood.witness.Script;
import driftwood.witness.Trial;
import driftwood.witness.Wire;
import java.io.BufferedOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import org.apache.commons.io.FileUtils;

/** Runs the cases of a recording against slips, in processes of their own. */
public final class Trials implements AutoCloseable {
    /** The process ended in the middle of a slip: that is as good as noticing it. The number says no case. */
    public static final int ENDED = -3;
    /** The slip cannot be planted in the code as it runs. */
    public static final int UNPLANTED = -5;
    /** There was no time for the slip. */
    public static final int UNTRIED = Trial.UNTRIED;
    /** A slip that makes a case endless is known as such soon; the code itself was quicker. In milliseconds. */
    private static final long CASE_MILLIS = 300;
    /** Fewer slips than this are not worth a process more. */
    private static final int LEAST_SLIPS = 24;

    /** Cases that end the process by themselves, before the rest is left. */
    private static final int MOST_DEADLY = 12;
    /** In place of a case that cannot be made or must not be run: numbers stay what they are. */
    static final Script NONE = new Script("", List.of(new Make.Same("")), List.of());

    private final Homes homes;
    private final Limits limits;
    private final List<TrialProcess> processes = new ArrayList<>();

    Trials(Homes homes, Limits limits) {
        this.homes = homes;
        this.limits = limits;
    }

    /**
     * Tries slips.
     *
     * @param under   the code in which they are planted
     * @param asking  what objects are asked
     */
    TrialResults run(List<Script> scripts, List<Slip> slips, Asking asking, Under under, Effort effort) throws IOException {
        Task task = new Task(scripts, asking, under);
        int jobs = Math.max(1, Math.min(Runtime.getRuntime().availableProcessors(), slips.size() / LEAST_SLIPS));
        List<CompletableFuture<TrialResults>> parts = new ArrayList<>();
        for (int job = 0; job < jobs; job++) {
            List<Slip> part = new ArrayList<>();
            for (int at = job; at < slips.size(); at += jobs) {
                part.add(slips.get(at));
            }
            Effort share = new Effort(effort.work() / jobs, effort.until());
            TrialProcess process = process(job);
            parts.add(CompletableFuture.supplyAsync(() -> apart(task, part, share, process), run -> new Thread(run).start()));
        }
        TrialResults.Answer[] answers = new TrialResults.Answer[slips.size()];
        TrialResults whole = new TrialResults();
        for (int job = 0; job < jobs; job++) {
            TrialResults part = joined(parts.get(job));
            for (int i = 0; i < part.answers().size(); i++) {
                answers[job + i * jobs] = part.answers().get(i);
            }
            whole.addAll(part.passed());
        }
        whole.answers().addAll(List.of(answers));
        return whole;
    }

    private static TrialResults joined(CompletableFuture<TrialResults> part) throws IOException {
        try {
            return part.join();
        } catch (CompletionException e) {
            throw e.getCause() instanceof UncheckedIOException io ? io.getCause() : new IOException(e.getCause());
        }
    }

    /** What all processes of a trial do. */
    private record Task(List<Script> scripts, Asking asking, Under under) {
    }

    private TrialResults apart(Task task, List<Slip> slips, Effort effort, TrialProcess process) {
        try {
            return some(task, slips, effort, process);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private TrialResults some(Task task, List<Slip> slips, Effort effort, TrialProcess process) throws IOException {
        Under under = task.under();
        long until = effort.until();
        Path folder = Scratch.folder("trial");
        try {
            Path scriptFile = folder.resolve("scripts");
            List<Script> scripts = new ArrayList<>(task.scripts());
            write(scriptFile, task.asking(), scripts);
            Path slipFile = folder.resolve("slips");
            Map<String, Integer> places = new LinkedHashMap<>();
            under.places().forEach(place -> places.putIfAbsent(place, places.size()));
            slips.forEach(slip -> places.putIfAbsent(slip.place(), places.size()));
            try (DataOutputStream to = open(slipFile)) {
                Map<String, byte[]> watched = under.watched(places);
                to.writeInt(watched.size());
                for (Map.Entry<String, byte[]> each : watched.entrySet()) {
                    write(to, each.getKey(), each.getValue());
                }
                to.writeInt(slips.size());
                for (Slip slip : slips) {
                    to.writeInt(slip.routine().equals("<clinit>") ? Trial.EVERY_CASE : places.get(slip.place()));
                    write(to, slip.owner(), under.planted(slip));
                }
            }
            TrialResults told = new TrialResults();
            List<TrialResults.Answer> all = told.answers();
            boolean run = false;
            int deadly = 0;
            while ((!run || all.size() < slips.size()) && System.nanoTime() < until) {
                run = true;
                Path results = Files.write(folder.resolve("results"), new byte[0]);
                process.ask(List.of(Integer.toString(all.size()), Long.toString(effort.work()), scriptFile.toString(), slipFile.toString(),
                        results.toString()), until);
                int before = all.size();
                int[] at = {0};
                TrialResults.Ended ended = told.read(results, List.copyOf(places.keySet()), at);
                if (ended == TrialResults.Ended.IN_CASE && ++deadly <= MOST_DEADLY) {
                    // The case ends the process by itself: the others go on without it.
                    scripts.set(at[0], NONE);
                    write(scriptFile, task.asking(), scripts);
                    run = false;
                } else if (ended == TrialResults.Ended.IN_SLIP && System.nanoTime() < until) {
                    all.add(new TrialResults.Answer(ENDED, List.of()));
                } else if (all.size() == before) {
                    break;
                }
            }
            while (all.size() < slips.size()) {
                all.add(new TrialResults.Answer(UNTRIED, List.of()));
            }
            return told;
        } finally {
            FileUtils.deleteQuietly(folder.toFile());
        }
    }

    private static void write(Path file, Asking asking, List<Script> scripts) throws IOException {
        try (DataOutputStream to = open(file)) {
            Wire.write(to, asking, scripts);
        }
    }

    private static void write(DataOutputStream to, String name, byte[] bytes) throws IOException {
        to.writeUTF(name);
        to.writeInt(bytes.length);
        to.write(bytes);
    }

    private static DataOutputStream open(Path file) throws IOException {
        return new DataOutputStream(new BufferedOutputStream(Files.newOutputStream(file)));
    }

    /** Each job has a process of its own, which is asked again and again. */
    private TrialProcess process(int job) throws IOException {
        while (processes.size() <= job) {
            processes.add(new TrialProcess(homes, limits, Math.min(CASE_MILLIS, limits.caseMillis())));
        }
        return processes.get(job);
    }

    @Override
    public void close() {
        processes.forEach(TrialProcess::close);
    }
}
