package driftwood.behaviour;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.build.Homes;
import driftwood.behaviour.input.NearValues;
import driftwood.behaviour.process.Conditions;
import driftwood.behaviour.process.Limits;
import driftwood.behaviour.recording.Comparison;
import driftwood.behaviour.recording.Comparison.Difference;
import driftwood.behaviour.recording.Lacking;
import driftwood.behaviour.recording.NeededParts;
import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recordings;
import driftwood.behaviour.recording.StandInRoutines;
import driftwood.behaviour.run.Driver;
import driftwood.behaviour.run.Driver.Ran;
import driftwood.behaviour.run.Ground;
import driftwood.behaviour.run.InterpreterDriver;
import driftwood.behaviour.run.InterpreterGround;
import driftwood.behaviour.run.InterpreterRun;
import driftwood.behaviour.run.JavaDriver;
import driftwood.behaviour.run.JavaGround;
import driftwood.behaviour.run.Runtimes;
import driftwood.behaviour.search.Afterwards;
import driftwood.behaviour.search.Cases;
import driftwood.behaviour.search.Kept;
import driftwood.behaviour.search.Search;
import driftwood.behaviour.search.Sequences;
import driftwood.behaviour.search.Vocabulary;
import driftwood.behaviour.search.Watcher;
import driftwood.behaviour.slip.Notices;
import driftwood.behaviour.view.Candidates;
import driftwood.behaviour.view.Queries;
import driftwood.behaviour.view.Surface;
import driftwood.behaviour.view.Surface.Target;
import driftwood.program.Program;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;

/** Records what a surface does: makes cases, runs them under several conditions, masks what varies by itself. */
public final class Characterization {
    /** So many times the wanted cases are drawn; the search goes on from them. */
    private static final int POOL = 3;
    /** Cases that do not end, or end the process; each costs its whole time in every run. */
    private static final int ENDED = 6;
    /** Cases of a routine that never does the same twice. */
    private static final int RESTLESS = 3;

    private Watcher watcher = Watcher.NONE;
    private final Program program;
    private final Path root;
    private final Driver driver;
    private final Ground.Finder ground;
    /** As recordings note it. */
    private final String platform;

    /**
     * What recording came to.
     *
     * @param recording what was recorded
     * @param perTarget number of cases for each observed symbol
     * @param left      what could not be observed, with the reason
     * @param unmade    inputs that could not be made, by reason, with how often
     * @param notices   how many slips the recording would notice
     * @param lacking   classes or resources without which a routine could not even be begun; nothing to save then
     */
    public record Result(Recording recording, Map<String, Integer> perTarget, List<String> left,
            Map<String, Integer> unmade, Notices notices, List<String> lacking) {
    }

    /** Of Java code. */
    public Characterization(Program program, Path root, Homes homes, Limits limits) {
        this.program = program;
        this.root = root;
        this.platform = Runtimes.platform();
        this.driver = new JavaDriver(program, homes, limits);
        this.ground = surface -> new JavaGround(program, homes, limits, surface);
    }

    /** Of code in another language. */
    public Characterization(Program program, Path root, Runtimes.Interpreter interpreter, Limits limits) {
        this.program = program;
        this.root = root;
        this.platform = null;
        InterpreterRun run = Runtimes.run(program, root, interpreter);
        // driftwood: leave hard-coded-instantiation because observing is the work itself; what is run is handed in
        this.driver = new InterpreterDriver(program, run, limits);
        this.ground = surface -> new InterpreterGround(run, root, limits, surface);
    }

    /** Told of the slips that the search has settled, from now on. @return this */
    public Characterization watched(Watcher by) {
        watcher = by;
        return this;
    }

    /**
     * Records.
     *
     * @param of      what the recording is of: a finding's id or type names
     * @param kept    types that were named to be kept; none where what is recorded is about to change
     * @param surface what to observe
     * @param most    cases at most
     * @param trial   how long slips may be tried at the end; zero for not at all
     */
    public Result record(String of, List<String> kept, Surface surface, int most, Duration trial) {
        List<String> left = new ArrayList<>(surface.left());
        Map<String, Integer> unmade = new LinkedHashMap<>();
        Cases maker = new Cases(program, root, surface);
        List<Case> drawn = new ArrayList<>();
        if (!surface.targets().isEmpty()) {
            int share = Math.max(12, most / surface.targets().size());
            int each = trial.isZero() ? share : POOL * share;
            surface.targets().forEach(target -> drawn.addAll(maker.of(target, each, left)));
        }
        List<Case> afterwards = new Afterwards(program, maker.vocabulary()).of(drawn);
        drawn.addAll(afterwards);
        Queries candidates = new Candidates(program, root).of(maker.types());
        List<Case> all = runnable(drawn, candidates, unmade);
        List<Case> once = all.stream().filter(each -> !Driver.isEnd(each.outcome())).toList();
        Queries queries = drawn.isEmpty() ? Queries.NONE : driver.inquire(once, candidates);
        Notices notices = Notices.unmeasured("--trial-time 0");
        List<Case> chosen = Kept.first(once, most);
        if (!trial.isZero() && !once.isEmpty()) {
            try (Ground under = ground.of(surface)) {
                Search search = search(under, surface, maker, once, queries);
                search.from(once, surface.targets().size());
                List<Case> steady = search.kept(most, afterwards);
                notices = search.notices(steady, trial);
                chosen = new ArrayList<>(steady);
                chosen.addAll(Kept.restless(once, steady, RESTLESS));
            } catch (IOException e) {
                notices = Notices.unmeasured(e.getMessage());
            }
            queries = driver.inquire(chosen, candidates);
        }
        chosen = Stream.concat(chosen.stream(), Kept.first(all.stream().filter(each -> Driver.isEnd(each.outcome())).toList(), ENDED).stream()).toList();
        List<Case> recorded = told(observe(Kept.numbered(bare(chosen)), queries, unmade));
        Map<String, Integer> perTarget = new LinkedHashMap<>();
        surface.targets().forEach(target -> perTarget.put(target.symbol(), 0));
        recorded.forEach(each -> perTarget.merge(each.routine(), 1, Integer::sum));
        if (perTarget.values().stream().allMatch(count -> count > 0)) {
            // Everything is observed: inputs that the code itself refuses to make are no loss.
            unmade.clear();
        }
        Recording recording = new Recording(Recording.FORMAT, of, kept, surface.targets().stream().map(Target::symbol).toList(),
                platform, null, Recording.Proven.of(notices), queries.byType(), queries.types(), new StandInRoutines(program).of(recorded),
                NeededParts.of(Stream.concat(once.stream(), recorded.stream()).toList(), maker.constants()::mayBeNothing), null, recorded);
        return new Result(recording, perTarget, left, unmade, notices, Lacking.of(recorded));
    }

    private Search search(Ground under, Surface surface, Cases maker, List<Case> once, Queries queries) {
        Random random = Search.seed();
        Vocabulary words = maker.vocabulary();
        words.learn(surface, once, queries);
        NearValues near = new NearValues(maker.constants().known(), random);
        return new Search(under, queries, new Sequences(program, words, near, random), random, watcher);
    }

    /** As they are read back: what a file cannot hold is no part of a case. */
    private static List<Case> bare(List<Case> cases) {
        return cases.stream().map(Recordings::plain).map(each -> Case.fresh(each.routine(), each.on(), each.before(), each.given())).distinct().toList();
    }

    /** The cases that can be run at all and let the process live, with their outcomes; each once. */
    private List<Case> runnable(List<Case> cases, Queries queries, Map<String, Integer> unmade) {
        List<Case> distinct = List.copyOf(new LinkedHashSet<>(cases));
        List<Ran> all = distinct.isEmpty() ? List.of() : driver.run(distinct, new Queries(Map.of(), queries.types()), Conditions.TRYING);
        List<Case> once = new ArrayList<>();
        for (int i = 0; i < distinct.size(); i++) {
            Case each = distinct.get(i);
            if (all.get(i).outcome().isMissingNode()) {
                unmade.merge(all.get(i).unmade(), 1, Integer::sum);
            } else {
                once.add(new Case("", each.routine(), each.on(), each.before(), each.given(), all.get(i).outcome(), List.of(), List.of()));
            }
        }
        return once;
    }

    /** Runs cases under the usual conditions and others: what differs under them is masked. */
    private List<Case> observe(List<Case> named, Queries queries, Map<String, Integer> unmade) {
        if (named.isEmpty()) {
            return List.of();
        }
        List<CompletableFuture<List<Ran>>> others = Conditions.OTHERS.stream().map(each -> CompletableFuture
                .supplyAsync(() -> driver.run(named, queries, each), task -> new Thread(task).start())).toList();
        List<Ran> usual = driver.run(named, queries, Conditions.USUAL);
        List<List<Ran>> again = others.stream().map(CompletableFuture::join).toList();
        List<Case> recorded = new ArrayList<>();
        for (int i = 0; i < named.size(); i++) {
            int at = i;
            if (usual.get(i).outcome().isMissingNode()) {
                unmade.merge(usual.get(i).unmade(), 1, Integer::sum);
            } else {
                recorded.add(masked(named.get(i), usual.get(i).outcome(),
                        again.stream().map(run -> run.get(at).outcome()).toList()));
            }
        }
        return Kept.numbered(recorded);
    }

    /** How an object starts is told once for each way to make it. */
    private static List<Case> told(List<Case> recorded) {
        Set<JsonNode> known = new HashSet<>();
        recorded.stream().filter(each -> each.member().equals("new")).forEach(each -> known.add(each.on()));
        List<Case> all = new ArrayList<>();
        for (Case each : recorded) {
            if (each.outcome().has("starts") && !known.add(each.on())) {
                ObjectNode outcome = each.outcome().deepCopy();
                outcome.remove("starts");
                all.add(new Case(each.id(), each.routine(), each.on(), each.before(), each.given(), outcome,
                        each.varies().stream().filter(place -> !place.startsWith("/starts")).toList(), each.anyOrder()));
            } else {
                all.add(each);
            }
        }
        return all;
    }

    /** A case with its outcome; what differs between runs of the same code is no behaviour to keep. */
    static Case masked(Case each, JsonNode outcome, List<JsonNode> again) {
        Set<String> varies = new LinkedHashSet<>();
        Set<String> anyOrder = new LinkedHashSet<>();
        for (JsonNode other : again) {
            for (Difference difference : Comparison.differences(outcome, other, List.of())) {
                String list = listAround(difference.path());
                JsonNode one = outcome.at(list);
                boolean reordered = one.isArray() && Comparison.isReordered(one, other.at(list), List.of());
                (reordered ? anyOrder : varies).add(reordered ? list : difference.path());
            }
        }
        for (String list : List.copyOf(anyOrder)) {
            if (varies.removeIf(place -> place.startsWith(list + "/"))) {
                anyOrder.remove(list);
                varies.add(list);
            }
        }
        return new Case(each.id(), each.routine(), each.on(), each.before(), each.given(), outcome,
                List.copyOf(varies), List.copyOf(anyOrder));
    }

    /** The list that a differing element is in: the path up to the last number. */
    private static String listAround(String path) {
        String list = path;
        while (!list.isEmpty() && !list.substring(list.lastIndexOf('/') + 1).matches("\\d+")) {
            list = list.substring(0, list.lastIndexOf('/'));
        }
        return list.isEmpty() ? path : list.substring(0, list.lastIndexOf('/'));
    }
}
