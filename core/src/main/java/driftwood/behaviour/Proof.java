package driftwood.behaviour;

import driftwood.behaviour.Recording.Case;
import driftwood.behaviour.Slip.Kind;
import driftwood.behaviour.Strength.Missed;
import driftwood.program.Program;
import driftwood.witness.Script;
import driftwood.witness.Trial;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/** Measures what cases would notice, and chooses the cases worth keeping: those that notice something, then the rest. */
final class Proof {
    /** More slips than these say little more; they are taken evenly from all. */
    private static final int MOST_SLIPS = 600;

    private final Program program;
    private final List<Path> classPath;
    private final Limits limits;
    private Strength strength = Strength.unmeasured("it was not asked for");

    Proof(Program program, List<Path> classPath, Limits limits) {
        this.program = program;
        this.classPath = classPath;
        this.limits = limits;
    }

    /** Of the cases chosen last. */
    Strength strength() {
        return strength;
    }

    /**
     * Chooses cases.
     *
     * @param pool  recorded cases, in the order in which they were drawn
     * @param most  how many to keep; those that notice something are all kept
     * @param trial how long slips may be tried; zero for not at all
     */
    List<Case> chosen(List<Case> pool, Surface surface, int most, Duration trial) {
        Set<Integer> kept = new TreeSet<>();
        if (!trial.isZero() && !pool.isEmpty()) {
            try {
                kept.addAll(noticing(pool, surface, System.nanoTime() + trial.toNanos()));
            } catch (IOException e) {
                strength = Strength.unmeasured(e.getMessage());
            }
        }
        fill(pool, most, kept);
        List<Case> chosen = new ArrayList<>();
        for (int at : kept) {
            Case each = pool.get(at);
            chosen.add(new Case("c" + (chosen.size() + 1), each.routine(), each.on(), each.before(), each.given(),
                    each.outcome(), each.varies(), each.anyOrder()));
        }
        return chosen;
    }

    /** First cases with outcomes that no other kept case has, routine by routine in turn; then any. */
    private static void fill(List<Case> pool, int most, Set<Integer> kept) {
        Set<String> outcomes = new HashSet<>();
        kept.forEach(at -> outcomes.add(pool.get(at).routine() + pool.get(at).outcome()));
        Map<String, List<Integer>> byRoutine = new LinkedHashMap<>();
        for (int at = 0; at < pool.size(); at++) {
            if (!kept.contains(at)) {
                byRoutine.computeIfAbsent(pool.get(at).routine(), key -> new ArrayList<>()).add(at);
            }
        }
        for (boolean anew : new boolean[] {true, false}) {
            for (int turn = 0; turn < pool.size() && kept.size() < most; turn++) {
                for (List<Integer> each : byRoutine.values()) {
                    if (turn < each.size() && kept.size() < most) {
                        Case one = pool.get(each.get(turn));
                        if (!anew || outcomes.add(one.routine() + one.outcome())) {
                            kept.add(each.get(turn));
                        }
                    }
                }
            }
        }
    }

    private Set<Integer> noticing(List<Case> pool, Surface surface, long until) throws IOException {
        Path classes = classPath.get(0);
        if (!Files.isDirectory(classes)) {
            strength = Strength.unmeasured(classes + " is no folder of classes");
            return Set.of();
        }
        Under under = new Under(program, classes, surface.targets());
        List<Slip> slips = evenly(under.slips());
        List<Integer> numbers = new ArrayList<>();
        List<Script> scripts = new ArrayList<>();
        Scripts making = new Scripts(program);
        for (int at = 0; at < pool.size(); at++) {
            Case each = pool.get(at);
            boolean steady = each.varies().isEmpty() && each.anyOrder().isEmpty()
                    && (each.outcome().has("gives") || each.outcome().has("throws"));
            if (steady) {
                scripts.add(making.of(each));
                numbers.add(at);
            }
        }
        Trials trials = new Trials(classPath, limits);
        List<Integer> told = trials.run(scripts, slips, slip -> Slips.planted(under.bytes(slip), slip), until);
        Set<Integer> noticing = new HashSet<>();
        List<Slip> missed = new ArrayList<>();
        int noticed = 0;
        int untried = 0;
        for (int i = 0; i < slips.size(); i++) {
            int by = told.get(i);
            if (by == Trial.UNNOTICED) {
                missed.add(slips.get(i));
            } else if (by == Trials.UNTRIED) {
                untried++;
            } else {
                noticed++;
                if (by >= 0) {
                    noticing.add(numbers.get(by));
                }
            }
        }
        strength = told(noticed, missed, untried, under, trials, scripts, until);
        return noticing;
    }

    /** Tells missed slips on lines that cases come to from those on lines that none comes to. */
    private static Strength told(int noticed, List<Slip> missed, int untried, Under under, Trials trials,
            List<Script> scripts, long until) throws IOException {
        Map<String, Slip> probes = new LinkedHashMap<>();
        missed.forEach(each -> probes.putIfAbsent(place(each), new Slip(each.owner(), each.routine(), each.at(),
                each.index(), each.line(), Kind.PROBE, "")));
        List<Slip> asked = List.copyOf(probes.values());
        List<Integer> answers = trials.run(scripts, asked, slip -> Slips.planted(under.bytes(slip), slip),
                Math.max(until, System.nanoTime() + Duration.ofSeconds(10).toNanos()));
        Set<String> dark = new HashSet<>();
        for (int i = 0; i < asked.size(); i++) {
            if (answers.get(i) == Trial.UNNOTICED) {
                dark.add(place(asked.get(i)));
            }
        }
        List<Missed> reached = new ArrayList<>();
        List<Missed> unreached = new ArrayList<>();
        missed.forEach(each -> (dark.contains(place(each)) ? unreached : reached)
                .add(new Missed(each, under.file(each))));
        return new Strength(noticed, reached, unreached, untried, "");
    }

    private static String place(Slip slip) {
        return slip.owner() + slip.at() + ':' + slip.line();
    }

    private static List<Slip> evenly(List<Slip> all) {
        List<Slip> some = new ArrayList<>();
        double step = Math.max(1.0, all.size() / (double) MOST_SLIPS);
        for (double at = 0; at < all.size(); at += step) {
            some.add(all.get((int) at));
        }
        return some;
    }
}
