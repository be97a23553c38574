package driftwood.behaviour;

import driftwood.behaviour.Recording.Case;
import driftwood.behaviour.Strength.Missed;
import driftwood.witness.Trial;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.UnaryOperator;

/** Measures what cases would notice, and chooses the cases worth keeping: those that notice something, then the rest. */
final class Proof {
    /** More slips than these say little more; they are taken evenly from all. */
    private static final int MOST_SLIPS = 600;
    private static final int ROUNDS = 40;
    /** After so many rounds in which nothing more was noticed, the rest is taken as it is. */
    private static final int IDLE = 6;
    private static final int SEEDS = 80;
    private static final int EACH = 8;
    private static final long SEED = 20261123L;

    private final Path root;
    private final Ground.Finder finder;
    private final UnaryOperator<List<Case>> observe;
    /** Cases that take a branch which none before them takes. */
    private final Set<Integer> covering = new TreeSet<>();
    private Strength strength = Strength.unmeasured("it was not asked for");

    /**
     * @param finder  of the code in which slips are planted
     * @param observe runs cases and hands them back with their outcomes; those that cannot be run are left out
     */
    Proof(Path root, Ground.Finder finder, UnaryOperator<List<Case>> observe) {
        this.observe = observe;
        this.root = root;
        this.finder = finder;
    }

    /** Of the cases chosen last. */
    Strength strength() {
        return strength;
    }

    /**
     * Chooses cases.
     *
     * @param drawn recorded cases, in the order in which they were drawn
     * @param most  how many to keep; those that notice something, or take a branch of their own, are all kept
     * @param trial how long slips may be tried; zero for not at all
     */
    List<Case> chosen(List<Case> drawn, Surface surface, int most, Duration trial) {
        List<Case> pool = new ArrayList<>(drawn);
        if (!trial.isZero() && !pool.isEmpty()) {
            try {
                return Kept.telling(pool, most, noticing(pool, surface, System.nanoTime() + trial.toNanos()), covering);
            } catch (IOException e) {
                strength = Strength.unmeasured(e.getMessage());
            }
        }
        return Kept.first(pool, most);
    }

    private Set<Integer> noticing(List<Case> pool, Surface surface, long until) throws IOException {
        Ground under = finder.of(surface);
        List<Slip> slips = evenly(under.slips());
        int[] told = new int[slips.size()];
        Arrays.fill(told, Trials.UNTRIED);
        Set<Integer> noticing = new HashSet<>();
        Map<Integer, Set<Integer>> comers = new TreeMap<>();
        attempt(pool, 0, slips, told, under, until, noticing, comers);
        Neighbours neighbours = new Neighbours(Constants.of(root, under.files()).known(), SEED);
        neighbours.learn(pool);
        int idle = 0;
        for (int round = 0; round < ROUNDS && idle < IDLE && System.nanoTime() < until && isOpen(told); round++) {
            long before = open(told);
            List<Case> fresh = observe.apply(near(pool, slips, told, noticing, comers, neighbours));
            int from = pool.size();
            pool.addAll(fresh);
            attempt(pool, from, slips, told, under, until, noticing, comers);
            idle = open(told) < before ? 0 : idle + 1;
        }
        tell(slips, told, under);
        return noticing;
    }

    /** Tries the slips that nothing has noticed yet with the cases of a pool from some number on. */
    private void attempt(List<Case> pool, int from, List<Slip> slips, int[] told, Ground under, long until,
            Set<Integer> noticing, Map<Integer, Set<Integer>> comers) throws IOException {
        List<Integer> numbers = new ArrayList<>();
        List<Case> cases = new ArrayList<>();
        for (int at = from; at < pool.size(); at++) {
            if (pool.get(at).steady()) {
                cases.add(pool.get(at));
                numbers.add(at);
            }
        }
        List<Integer> open = new ArrayList<>();
        for (int i = 0; i < told.length; i++) {
            if (isOpen(told[i])) {
                open.add(i);
            }
        }
        TrialResults results = under.run(cases, open.stream().map(slips::get).toList(), until);
        results.passed().forEach((at, taken) -> {
            if (under.takesNew(taken)) {
                covering.add(numbers.get(at));
            }
        });
        List<TrialResults.Answer> answers = results.answers();
        for (int i = 0; i < open.size(); i++) {
            int by = answers.get(i).by();
            int slip = open.get(i);
            answers.get(i).comers().forEach(at -> comers.computeIfAbsent(slip, key -> new TreeSet<>()).add(numbers.get(at)));
            if (by >= 0) {
                noticing.add(numbers.get(by));
                told[open.get(i)] = numbers.get(by);
            } else if (by == Trials.ENDED || told[open.get(i)] == Trials.UNTRIED
                    || by == Trial.UNNOTICED && told[open.get(i)] == Trial.UNREACHED) {
                told[open.get(i)] = by;
            }
        }
    }

    private static boolean isOpen(int by) {
        return by == Trial.UNNOTICED || by == Trial.UNREACHED || by == Trials.UNTRIED;
    }

    private static boolean isOpen(int[] told) {
        return open(told) > 0;
    }

    private static long open(int[] told) {
        return Arrays.stream(told).filter(Proof::isOpen).count();
    }

    /**
     * Neighbours of cases that come to an open slip, then of those that call a routine with one, then of those that
     * noticed something, then of any.
     */
    private static List<Case> near(List<Case> pool, List<Slip> slips, int[] told, Set<Integer> noticing,
            Map<Integer, Set<Integer>> comers, Neighbours neighbours) {
        Set<String> routines = new HashSet<>();
        List<Case> coming = new ArrayList<>();
        for (int i = 0; i < told.length; i++) {
            if (isOpen(told[i])) {
                routines.add(slips.get(i).routine());
                comers.getOrDefault(i, Set.of()).forEach(at -> coming.add(pool.get(at)));
            }
        }
        List<Case> seeds = new ArrayList<>(pool.stream().filter(each -> routines.contains(name(each))).toList());
        Collections.shuffle(seeds, new Random(SEED + pool.size()));
        List<Case> others = new ArrayList<>();
        noticing.stream().sorted().forEach(at -> others.add(pool.get(at)));
        others.addAll(pool);
        others.stream().limit(Math.max(SEEDS / 4, SEEDS - seeds.size())).forEach(seeds::add);
        Collections.shuffle(coming, new Random(SEED - pool.size()));
        List<Case> fresh = new ArrayList<>();
        coming.stream().distinct().limit(SEEDS).forEach(each -> fresh.addAll(neighbours.of(each, EACH)));
        seeds.stream().limit(SEEDS).forEach(each -> fresh.addAll(neighbours.of(each, EACH)));
        return fresh;
    }

    private static String name(Case each) {
        int hash = each.routine().indexOf('#');
        int open = each.routine().indexOf('(');
        return open < 0 ? "<init>" : each.routine().substring(hash + 1, open);
    }

    private void tell(List<Slip> slips, int[] told, Ground under) throws IOException {
        List<Missed> missed = new ArrayList<>();
        List<Missed> unreached = new ArrayList<>();
        int noticed = 0;
        int untried = 0;
        for (int i = 0; i < told.length; i++) {
            Missed one = new Missed(slips.get(i), under.file(slips.get(i)));
            switch (told[i]) {
                case Trial.UNNOTICED -> missed.add(one);
                case Trial.UNREACHED -> unreached.add(one);
                case Trials.UNTRIED -> untried++;
                default -> noticed++;
            }
        }
        strength = new Strength(noticed, missed, unreached, untried, under.taken(), "");
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
