package driftwood.behaviour.run;

import driftwood.behaviour.build.Homes;
import driftwood.behaviour.process.Conditions;
import driftwood.behaviour.process.LaterClock;
import driftwood.behaviour.process.Launch;
import driftwood.behaviour.process.Limits;
import driftwood.behaviour.process.Tries;
import driftwood.store.Scratch;
import driftwood.witness.Asking;
import driftwood.witness.Make;
import driftwood.witness.Outcome;
import driftwood.witness.Script;
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
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import org.apache.commons.io.FileUtils;

/**
 * Runs scripts in witness processes, each with its own working folder. A case that ends the process is noted as what it
 * is, and a new process goes on with the next one.
 */
public final class Observation {
    private static final Set<String> ENDED = Set.of("endless", "exits");
    private static final long START_MILLIS = 20_000;
    /** Fewer cases than this are not worth a process more. */
    private static final int LEAST_CASES = 20;

    private final Homes homes;
    private final Limits limits;

    public Observation(Homes homes, Limits limits) {
        this.homes = homes;
        this.limits = limits;
    }

    /** What one process told before it ended. */
    private record Told(List<Outcome> outcomes, boolean begun) {
    }

    /**
     * Runs scripts, in as many processes as the limits allow.
     *
     * @param asking what objects are asked
     * @return an outcome for each, in order
     */
    public List<Outcome> run(List<Script> scripts, Asking asking, Conditions conditions) {
        List<Script> ordered = conditions.order().of(scripts, false);
        int jobs = Math.max(1, Math.min(limits.jobs(), ordered.size() / LEAST_CASES));
        int share = (ordered.size() + jobs - 1) / jobs;
        List<CompletableFuture<List<Outcome>>> parts = new ArrayList<>();
        for (int from = 0; from < ordered.size(); from += share) {
            List<Script> part = ordered.subList(from, Math.min(ordered.size(), from + share));
            parts.add(CompletableFuture.supplyAsync(() -> apart(part, asking.in(conditions.manner()), conditions), task -> new Thread(task).start()));
        }
        List<Outcome> outcomes = new ArrayList<>();
        parts.forEach(part -> outcomes.addAll(joined(part)));
        return conditions.order().of(outcomes, true);
    }

    private static List<Outcome> joined(CompletableFuture<List<Outcome>> part) {
        try {
            return part.join();
        } catch (CompletionException e) {
            throw e.getCause() instanceof RuntimeException cause ? cause : e;
        }
    }

    private List<Outcome> apart(List<Script> scripts, Asking asking, Conditions conditions) {
        try {
            Path folder = Scratch.folder("witness");
            try {
                return run(scripts, asking, folder, conditions);
            } finally {
                FileUtils.deleteQuietly(folder.toFile());
            }
        } catch (IOException e) {
            throw new UncheckedIOException("cannot run the observed code", e);
        }
    }

    private List<Outcome> run(List<Script> scripts, Asking asking, Path folder, Conditions conditions) throws IOException {
        List<Path> path = new ArrayList<>(homes.path());
        for (int i = 0; conditions.later() && i < homes.own().size(); i++) {
            Path later = Files.createDirectories(folder.resolve("later" + i));
            if (LaterClock.copy(homes.own().get(i), later)) {
                path.add(0, later);
            }
        }
        // driftwood: leave hard-coded-instantiation because starting the process is what an observation is
        Launch launch = new Launch(folder, path, limits);
        Path scriptFile = folder.resolve("scripts");
        Tries<Script, Outcome> tries = new Tries<>(scripts, Observation::calls, each -> Optional.empty(), (script, why) -> Outcome.ended(script.id(), "unmade", why), conditions.trying());
        int restarts = 0;
        for (List<Script> left = tries.left(); !left.isEmpty(); left = tries.left()) {
            Files.createDirectories(folder);
            try (DataOutputStream to = new DataOutputStream(new BufferedOutputStream(Files.newOutputStream(scriptFile)))) {
                Wire.write(to, asking, left);
            }
            Path outcomeFile = Files.write(folder.resolve("outcomes-" + restarts++), new byte[0]);
            long millis = START_MILLIS + left.size() * (Witness.PATIENCE * limits.caseMillis() + 50);
            int exit = launch.run(Witness.class.getName(), List.of(scriptFile.toString(), outcomeFile.toString(), Long.toString(limits.caseMillis())),
                    conditions.flags(), millis);
            Told told = read(outcomeFile);
            List<Outcome> outcomes = new ArrayList<>(told.outcomes());
            if (told.begun() && outcomes.size() < left.size()) {
                outcomes.add(Outcome.ended(left.get(outcomes.size()).id(), "exits", "exit code " + exit));
            } else if (outcomes.isEmpty()) {
                throw new IOException("the witness process did not start (exit code " + exit + "): "
                        + Files.readString(folder.resolve("trouble")).lines().findFirst().orElse("no message"));
            }
            Outcome last = outcomes.get(outcomes.size() - 1);
            tries.told(outcomes, each -> ENDED.contains(each.ending()) || each == last && exit == Witness.HAUNTED);
        }
        return tries.outcomes();
    }

    /** What a script calls and makes. */
    private static List<String> calls(Script script) {
        List<String> calls = new ArrayList<>();
        script.receiver().forEach(each -> calls.add(name(each)));
        script.steps().forEach(each -> calls.add(name(each.act())));
        return calls;
    }

    private static String name(Make make) {
        return make instanceof Make.Call call ? call.name() + "()" : make instanceof Make.New fresh ? "new " + fresh.type() : "this value";
    }

    private static Told read(Path outcomes) throws IOException {
        List<Outcome> told = new ArrayList<>();
        if (!Files.exists(outcomes)) {
            // The code took away what it stands on: the case that was begun ended the run.
            return new Told(told, true);
        }
        boolean begun = false;
        try (DataInputStream from = new DataInputStream(new BufferedInputStream(Files.newInputStream(outcomes)))) {
            for (int tag = from.read(); tag >= 0; tag = from.read()) {
                begun = tag == Witness.BEGIN;
                if (tag == Witness.END) {
                    told.add(Wire.outcome(from));
                }
            }
        } catch (EOFException e) {
            begun = true;
        }
        return new Told(told, begun);
    }
}
