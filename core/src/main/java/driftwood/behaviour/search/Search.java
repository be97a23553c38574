package driftwood.behaviour.search;

import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.run.Ground;
import driftwood.behaviour.run.Ground.Effort;
import driftwood.behaviour.run.Trials;
import driftwood.behaviour.slip.Notices;
import driftwood.behaviour.slip.Notices.Missed;
import driftwood.behaviour.slip.Slip;
import driftwood.behaviour.slip.TrialResults;
import driftwood.behaviour.slip.TrialResults.Answer;
import driftwood.behaviour.slip.TrialResults.Pair;
import driftwood.behaviour.slip.TrialResults.Passed;
import driftwood.behaviour.view.Queries;
import driftwood.witness.Trial;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Looks for cases that show something of the code: new branches, new inner states, and slips that nothing has noticed
 * yet. How far it goes is counted in cases and lines, never in time, so that the same code gives the same cases on every
 * machine. Only the last measure of what the kept cases notice has a deadline.
 */
public final class Search {
    /** More slips than these say little more; they are taken evenly from all. */
    private static final int MOST_SLIPS = 600;
    private static final int ROUNDS = 20;
    /** After so many rounds in which nothing more was noticed or reached, the search ends. */
    private static final int IDLE = 4;
    /** So many of them are enough where no slip is open any more: what they still find are inner states. */
    private static final int SETTLED = 2;
    private static final int BATCH = 400;
    private static final int EACH_ROUTINE = 6;
    /** Lines of observed code to run for slips, in each round. */
    private static final long WORK = 5_000_000;
    private static final long SEED = 20261127L;
    /** Against code that takes for ever. */
    private static final Duration PATIENCE = Duration.ofSeconds(75);

    private static final Pattern CONSTANT = Pattern.compile("(-?\\d+(?:\\.\\d+)?) becomes (-?\\d+(?:\\.\\d+)?)");

    private final Ground ground;
    private final Queries queries;
    private final Sequences near;
    private final Meeting meeting;
    private final Random random;
    private final Watcher watcher;
    private final Corpus corpus;
    private final List<Slip> slips;
    private final int[] told;
    private final Map<Integer, Set<Integer>> comers = new TreeMap<>();
    private final Set<Integer> covering = new TreeSet<>();
    private final Set<Integer> noticing = new TreeSet<>();
    /** Whether the clock had to end the search: then another run may find other cases. */
    private boolean cut;
    private final long until = System.nanoTime() + PATIENCE.toNanos();

    /**
     * @param near    makes cases of others, with the random numbers of this search
     * @param watcher told how many of the slips are settled
     */
    public Search(Ground ground, Queries queries, Sequences near, Random random, Watcher watcher) {
        this.watcher = watcher;
        this.ground = ground;
        this.queries = queries;
        this.near = near;
        this.meeting = new Meeting(random);
        this.random = random;
        this.corpus = new Corpus(random);
        this.slips = chosen(ground);
        this.told = new int[slips.size()];
        Arrays.fill(told, Trials.UNTRIED);
    }

    /** The random numbers of a search. */
    public static Random seed() {
        return new Random(SEED);
    }

    /** Those in the observed types first; what they work with has what room is left, and a third at least. */
    private static List<Slip> chosen(Ground ground) {
        List<Slip> all = ground.slips();
        List<Slip> beside = all.stream().filter(each -> !ground.isMain(each)).toList();
        List<Slip> main = evenly(all.stream().filter(ground::isMain).toList(),
                Math.max(MOST_SLIPS - beside.size(), MOST_SLIPS - MOST_SLIPS / 3));
        List<Slip> some = new ArrayList<>(main);
        some.addAll(evenly(beside, MOST_SLIPS - main.size()));
        return some;
    }

    private static List<Slip> evenly(List<Slip> all, int most) {
        List<Slip> some = new ArrayList<>();
        double step = Math.max(1.0, all.size() / (double) most);
        for (double at = 0; at < all.size(); at += step) {
            some.add(all.get((int) at));
        }
        return some;
    }

    /** Searches from drawn cases. @param routines how many are observed */
    public void from(List<Case> drawn, int routines) throws IOException {
        attempt(drawn, 3 * WORK);
        int idle = 0;
        int batch = BATCH + EACH_ROUTINE * routines;
        for (int round = 0; round < ROUNDS && idle < (open() == 0 ? SETTLED : IDLE) && !corpus.cases().isEmpty() && !isOver(); round++) {
            long before = open() - covering.size();
            attempt(fresh(batch), WORK);
            idle = open() - covering.size() < before ? 0 : idle + 1;
        }
        cut = isOver();
    }

    private boolean isOver() {
        return System.nanoTime() > until;
    }

    /**
     * Some near cases that come to an open slip, some from those that took a branch first, the others from whatever showed
     * something.
     */
    private List<Case> fresh(int most) {
        List<Integer> open = new ArrayList<>();
        for (int i = 0; i < told.length; i++) {
            if (isOpen(told[i]) && comers.containsKey(i)) {
                open.add(i);
            }
        }
        List<Integer> first = List.copyOf(covering);
        List<Case> fresh = new ArrayList<>();
        for (int tries = 0; tries < 6 * most && fresh.size() < most; tries++) {
            int way = random.nextInt(8);
            Optional<Case> other = way < 3 && !open.isEmpty() ? towards(open.get(random.nextInt(open.size())))
                    : way < 6 && !first.isEmpty() ? beyond(first.get(random.nextInt(first.size())))
                    : near.near(corpus.parent(), false);
            other.filter(corpus::isNew).ifPresent(fresh::add);
        }
        return fresh;
    }

    /** A case that goes on where one took a branch first: some comparison in it the other way, or a call more. */
    private Optional<Case> beyond(int number) {
        List<Pair> compared = corpus.passed(number).compared();
        Case from = corpus.cases().get(number);
        return compared.isEmpty() || random.nextBoolean() ? near.longer(from)
                : meeting.of(from, compared.get(random.nextInt(compared.size())));
    }

    /** A case near one that comes to a slip: with what is compared there made equal, or any other. */
    private Optional<Case> towards(int slip) {
        List<Integer> coming = List.copyOf(comers.get(slip));
        int number = coming.get(random.nextInt(coming.size()));
        List<Pair> compared = corpus.passed(number).compared().stream().filter(each -> each.place().equals(slips.get(slip).place())).toList();
        Matcher constant = CONSTANT.matcher(slips.get(slip).what());
        if (constant.matches() && random.nextInt(3) > 0) {
            return meeting.with(corpus.cases().get(number), constant.group(1 + random.nextInt(2)));
        }
        return compared.isEmpty() || random.nextInt(3) == 0 ? near.near(corpus.cases().get(number), true)
                : meeting.of(corpus.cases().get(number), compared.get(random.nextInt(compared.size())));
    }

    /** Runs cases, and tries the slips that nothing has noticed yet with them. */
    private void attempt(List<Case> fresh, long work) throws IOException {
        List<Integer> open = new ArrayList<>();
        for (int i = 0; i < told.length; i++) {
            if (isOpen(told[i])) {
                open.add(i);
            }
        }
        // What is left when the lines are spent is another part each time.
        Collections.shuffle(open, random);
        TrialResults results = ground.run(fresh, open.stream().map(slips::get).toList(), queries, new Effort(work, until));
        Map<Integer, Integer> numbers = new HashMap<>();
        results.passed().forEach((at, passed) -> {
            boolean anew = ground.takesNew(passed.probes());
            int number = corpus.add(fresh.get(at), passed, anew);
            numbers.put(at, number);
            if (anew) {
                covering.add(number);
            }
        });
        for (int i = 0; i < open.size(); i++) {
            take(open.get(i), results.answers().get(i), numbers);
        }
        watcher.at(told.length - (int) open(), told.length);
    }

    private void take(int slip, Answer answer, Map<Integer, Integer> numbers) {
        int by = answer.by();
        answer.comers().stream().filter(numbers::containsKey).forEach(at ->
                comers.computeIfAbsent(slip, key -> new TreeSet<>()).add(numbers.get(at)));
        if (by >= 0 && numbers.containsKey(by)) {
            noticing.add(numbers.get(by));
            told[slip] = numbers.get(by);
        } else if (by == Trials.ENDED || by == Trials.UNPLANTED || told[slip] == Trials.UNTRIED || by == Trial.UNNOTICED && told[slip] == Trial.UNREACHED) {
            told[slip] = by;
        }
    }

    private static boolean isOpen(int by) {
        return by == Trial.UNNOTICED || by == Trial.UNREACHED || by == Trials.UNTRIED;
    }

    private long open() {
        return Arrays.stream(told).filter(Search::isOpen).count();
    }

    /**
     * The cases worth keeping.
     *
     * @param most   of them, unless more notice something or take a branch of their own
     * @param wanted some to keep whatever they notice
     */
    public List<Case> kept(int most, List<Case> wanted) {
        Set<String> kept = wanted.stream().limit(Math.max(1, most / 4)).map(Afterwards::key).collect(Collectors.toSet());
        List<Passed> passed = new ArrayList<>();
        Set<Integer> needed = new TreeSet<>(noticing);
        needed.addAll(covering);
        for (int i = 0; i < corpus.cases().size(); i++) {
            passed.add(corpus.passed(i));
            if (kept.contains(Afterwards.key(corpus.cases().get(i)))) {
                needed.add(i);
            }
        }
        return Kept.telling(corpus.cases(), passed, Math.max(most, needed.size() + most / 4), needed);
    }

    /** How many slips the kept cases notice; those that were not tried yet are, for some time. */
    public Notices notices(List<Case> kept, Duration trial) throws IOException {
        List<Integer> open = new ArrayList<>();
        for (int i = 0; i < told.length; i++) {
            if (told[i] == Trials.UNTRIED) {
                open.add(i);
            }
        }
        if (!open.isEmpty()) {
            TrialResults results = ground.run(kept, open.stream().map(slips::get).toList(), queries,
                    new Effort(Long.MAX_VALUE / 4, System.nanoTime() + trial.toNanos()));
            for (int i = 0; i < open.size(); i++) {
                told[open.get(i)] = results.answers().get(i).by();
            }
        }
        List<Missed> missed = new ArrayList<>();
        List<Missed> unreached = new ArrayList<>();
        int noticed = 0;
        int untried = 0;
        for (int i = 0; i < told.length; i++) {
            Missed one = new Missed(slips.get(i), ground.file(slips.get(i)));
            boolean main = ground.isMain(slips.get(i));
            // driftwood: leave type-switch because numbers below zero say why no case notices a slip, and each is told in its own way
            switch (told[i]) {
                case Trial.UNNOTICED -> missed.add(one);
                // What nothing observed comes to in other types is no business of this recording.
                case Trial.UNREACHED -> unreached.addAll(main ? List.of(one) : List.of());
                case Trials.UNTRIED -> untried += main ? 1 : 0;
                case Trials.UNPLANTED -> { }
                default -> noticed++;
            }
        }
        return new Notices(noticed, missed, unreached, untried, ground.taken(), cut
                ? "The code is slow, and the clock ended the search: another run may keep other cases." : "");
    }
}
