package driftwood.behaviour;

import driftwood.witness.Script;
import driftwood.witness.Trial;
import driftwood.witness.Wire;
import driftwood.witness.Witness;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import org.apache.commons.io.FileUtils;

/** Runs the cases of a recording against slips, in processes of their own. */
final class Trials {
    /** The process ended in the middle of a slip: that is as good as noticing it. The number says no case. */
    static final int ENDED = -3;
    /** There was no time for the slip. */
    static final int UNTRIED = -4;
    /** A slip that makes a case endless is known as such soon; the code itself was quicker. In milliseconds. */
    private static final long CASE_MILLIS = 400;
    /** Fewer slips than this are not worth a process more. */
    private static final int LEAST_SLIPS = 8;

    private final List<Path> classPath;
    private final Limits limits;

    Trials(List<Path> classPath, Limits limits) {
        this.classPath = classPath;
        this.limits = limits;
    }

    /**
     * What became of a slip.
     *
     * @param by     number of the case that noticed it, or {@link Trial#UNNOTICED}, {@link Trial#UNREACHED}, ENDED, UNTRIED
     * @param comers numbers of some cases that come to an unnoticed slip
     */
    record Answer(int by, List<Integer> comers) {
    }

    /**
     * Tries slips.
     *
     * @param under   the code in which they are planted
     * @param until   by {@link System#nanoTime}: slips not tried by then are left
     * @return an answer for each slip
     */
    List<Answer> run(List<Script> scripts, List<Slip> slips, Under under, long until) throws IOException {
        int jobs = Math.max(1, Math.min(Runtime.getRuntime().availableProcessors(), slips.size() / LEAST_SLIPS));
        List<CompletableFuture<List<Answer>>> parts = new ArrayList<>();
        for (int job = 0; job < jobs; job++) {
            List<Slip> part = new ArrayList<>();
            for (int at = job; at < slips.size(); at += jobs) {
                part.add(slips.get(at));
            }
            parts.add(CompletableFuture.supplyAsync(() -> apart(scripts, part, under, until), task -> new Thread(task).start()));
        }
        Answer[] answers = new Answer[slips.size()];
        for (int job = 0; job < jobs; job++) {
            List<Answer> part = joined(parts.get(job));
            for (int i = 0; i < part.size(); i++) {
                answers[job + i * jobs] = part.get(i);
            }
        }
        return List.of(answers);
    }

    private static List<Answer> joined(CompletableFuture<List<Answer>> part) throws IOException {
        try {
            return part.join();
        } catch (CompletionException e) {
            throw e.getCause() instanceof UncheckedIOException io ? io.getCause() : new IOException(e.getCause());
        }
    }

    private List<Answer> apart(List<Script> scripts, List<Slip> slips, Under under, long until) {
        try {
            return some(scripts, slips, under, until);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private List<Answer> some(List<Script> scripts, List<Slip> slips, Under under, long until) throws IOException {
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
            List<Answer> all = new ArrayList<>();
            while (all.size() < slips.size() && System.nanoTime() < until) {
                Path results = Files.write(folder.resolve("results"), new byte[0]);
                start(new Desk(folder, scriptFile, slipFile, results), all.size(), until);
                int before = all.size();
                boolean begun = read(results, all);
                if (begun && System.nanoTime() < until) {
                    all.add(new Answer(ENDED, List.of()));
                } else if (all.size() == before) {
                    break;
                }
            }
            while (all.size() < slips.size()) {
                all.add(new Answer(UNTRIED, List.of()));
            }
            return all;
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
                Integer.toString(begin), Long.toString(Math.min(CASE_MILLIS, limits.caseMillis()))));
        classPath.forEach(each -> arguments.add(each.toAbsolutePath().toString()));
        long millis = Math.max(1, (until - System.nanoTime()) / 1_000_000);
        // driftwood: leave hard-coded-instantiation because starting the process is what a trial is
        new Launch(desk.folder(), List.of(), limits).run(Trial.class.getName(), arguments, List.of(), millis);
    }

    /** @return whether a slip was begun and not ended */
    private static boolean read(Path results, List<Answer> all) throws IOException {
        boolean begun = false;
        try (DataInputStream from = new DataInputStream(new BufferedInputStream(Files.newInputStream(results)))) {
            for (int tag = from.read(); tag >= 0; tag = from.read()) {
                begun = tag == Witness.BEGIN;
                if (tag == Witness.END) {
                    int by = from.readInt();
                    List<Integer> comers = new ArrayList<>();
                    for (int left = from.readInt(); left > 0; left--) {
                        comers.add(from.readInt());
                    }
                    all.add(new Answer(by, comers));
                }
            }
        } catch (EOFException e) {
            begun = true;
        }
        return begun;
    }
}
