package driftwood.behaviour;

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
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import org.apache.commons.io.FileUtils;

/** Runs the cases of a recording against slips, in processes of their own. */
final class Trials {
    /** The process ended in the middle of a slip: that is as good as noticing it. The number says no case. */
    static final int ENDED = -3;
    /** There was no time for the slip. */
    static final int UNTRIED = Trial.UNTRIED;
    /** A slip that makes a case endless is known as such soon; the code itself was quicker. In milliseconds. */
    private static final long CASE_MILLIS = 400;
    /** The cases are run without any slip first, for at most one of so many parts of the time. */
    private static final int FIRST_SHARE = 2;
    /** Fewer slips than this are not worth a process more. */
    private static final int LEAST_SLIPS = 8;

    private final List<Path> classPath;
    private final Limits limits;

    Trials(List<Path> classPath, Limits limits) {
        this.classPath = classPath;
        this.limits = limits;
    }

    /**
     * Tries slips.
     *
     * @param under   the code in which they are planted
     * @param until   by {@link System#nanoTime}: slips not tried by then are left
     */
    TrialResults run(List<Script> scripts, List<Slip> slips, Under under, long until) throws IOException {
        int jobs = Math.max(1, Math.min(Runtime.getRuntime().availableProcessors(), slips.size() / LEAST_SLIPS));
        List<CompletableFuture<TrialResults>> parts = new ArrayList<>();
        for (int job = 0; job < jobs; job++) {
            List<Slip> part = new ArrayList<>();
            for (int at = job; at < slips.size(); at += jobs) {
                part.add(slips.get(at));
            }
            parts.add(CompletableFuture.supplyAsync(() -> apart(scripts, part, under, until), task -> new Thread(task).start()));
        }
        TrialResults.Answer[] answers = new TrialResults.Answer[slips.size()];
        Map<Integer, Map<Long, BitSet>> passed = new TreeMap<>();
        for (int job = 0; job < jobs; job++) {
            TrialResults part = joined(parts.get(job));
            for (int i = 0; i < part.answers().size(); i++) {
                answers[job + i * jobs] = part.answers().get(i);
            }
            passed.putAll(part.passed());
        }
        return new TrialResults(List.of(answers), passed);
    }

    private static TrialResults joined(CompletableFuture<TrialResults> part) throws IOException {
        try {
            return part.join();
        } catch (CompletionException e) {
            throw e.getCause() instanceof UncheckedIOException io ? io.getCause() : new IOException(e.getCause());
        }
    }

    private TrialResults apart(List<Script> scripts, List<Slip> slips, Under under, long until) {
        try {
            return some(scripts, slips, under, until);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private TrialResults some(List<Script> scripts, List<Slip> slips, Under under, long until) throws IOException {
        Path folder = Files.createTempDirectory("driftwood-trial-");
        try {
            Path scriptFile = folder.resolve("scripts");
            try (DataOutputStream to = open(scriptFile)) {
                to.writeInt(scripts.size());
                for (Script script : scripts) {
                    Wire.write(to, script);
                }
            }
            Path slipFile = folder.resolve("slips");
            Map<String, Integer> places = new HashMap<>();
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
            while (all.size() < slips.size() && System.nanoTime() < until) {
                Path results = Files.write(folder.resolve("results"), new byte[0]);
                start(new Desk(folder, scriptFile, slipFile, results), all.size(), until);
                int before = all.size();
                boolean begun = told.read(results);
                if (begun && System.nanoTime() < until) {
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

    private static void write(DataOutputStream to, String name, byte[] bytes) throws IOException {
        to.writeUTF(name);
        to.writeInt(bytes.length);
        to.write(bytes);
    }

    private static DataOutputStream open(Path file) throws IOException {
        return new DataOutputStream(new BufferedOutputStream(Files.newOutputStream(file)));
    }

    /** The files of a trial: what it is told, and what it tells. */
    private record Desk(Path folder, Path scripts, Path slips, Path results) {
    }

    private void start(Desk desk, int begin, long until) throws IOException {
        List<String> arguments = new ArrayList<>(List.of(desk.scripts().toString(), desk.slips().toString(), desk.results().toString(),
                Integer.toString(begin), Long.toString(Math.min(CASE_MILLIS, limits.caseMillis())),
                Long.toString(Math.max(1, (until - System.nanoTime()) / FIRST_SHARE / 1_000_000))));
        classPath.forEach(each -> arguments.add(each.toAbsolutePath().toString()));
        long millis = Math.max(1, (until - System.nanoTime()) / 1_000_000);
        // driftwood: leave hard-coded-instantiation because starting the process is what a trial is
        new Launch(desk.folder(), List.of(), limits).run(Trial.class.getName(), arguments, List.of(), millis);
    }
}
