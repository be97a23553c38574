package driftwood.behaviour;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.behaviour.Comparison.Difference;
import driftwood.behaviour.Driver.Ran;
import driftwood.behaviour.Recording.Case;
import driftwood.behaviour.Surface.Target;
import driftwood.program.Program;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;

/** Records what a surface does: makes cases, runs them under several conditions, masks what varies by itself. */
public final class Characterization {
    /** So many times the wanted cases are drawn; those that notice most are kept. */
    private static final int POOL = 4;

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
     * @param strength  how many slips the recording would notice
     */
    public record Result(Recording recording, Map<String, Integer> perTarget, List<String> left,
            Map<String, Integer> unmade, Strength strength) {
    }

    /** Of Java code. @param classPath compiled classes of the project and what they need */
    public Characterization(Program program, Path root, List<Path> classPath, Limits limits) {
        this.program = program;
        this.root = root;
        this.platform = Runtimes.platform();
        this.driver = new JavaDriver(program, classPath, limits);
        this.ground = surface -> new JavaGround(program, classPath, limits, surface);
    }

    /** Of code in another language. */
    public Characterization(Program program, Path root, Runtimes.Interpreter interpreter, Limits limits) {
        this.program = program;
        this.root = root;
        this.platform = null;
        InterpreterRun run = Runtimes.run(program, root, interpreter);
        // driftwood: leave hard-coded-instantiation because observing is the work itself; what is run is handed in
        this.driver = new InterpreterDriver(run, limits);
        this.ground = surface -> new InterpreterGround(run, root, limits, surface);
    }

    /**
     * Records.
     *
     * @param of      what the recording is of: a finding's id or type names
     * @param surface what to observe
     * @param most    cases at most
     * @param trial   how long slips may be tried; zero for not at all
     */
    public Result record(String of, Surface surface, int most, Duration trial) {
        List<String> left = new ArrayList<>(surface.left());
        Map<String, Integer> unmade = new LinkedHashMap<>();
        List<Case> cases = new ArrayList<>();
        if (!surface.targets().isEmpty()) {
            Cases maker = new Cases(program, root, surface);
            int share = Math.max(12, most / surface.targets().size());
            int drawn = trial.isZero() ? share : POOL * share;
            surface.targets().forEach(target -> cases.addAll(maker.of(target, drawn, left)));
        }
        List<Case> pool = observe(cases, unmade, Conditions.OTHERS);
        Strength strength = Strength.unmeasured("it was not asked for");
        List<Case> recorded;
        if (!trial.isZero()) {
            // driftwood: leave hard-coded-instantiation because proving is part of the work; its ground is handed in
            Proof proof = new Proof(root, ground, fresh -> observe(fresh, new HashMap<>(), List.of()));
            // Those that were found on the way were run once only.
            recorded = observe(proof.chosen(pool, surface, most, trial), unmade, Conditions.OTHERS);
            strength = proof.strength();
        } else {
            recorded = Kept.first(pool, most);
        }
        Map<String, Integer> perTarget = new LinkedHashMap<>();
        for (Target target : surface.targets()) {
            perTarget.put(target.symbol(), 0);
        }
        recorded.forEach(each -> perTarget.merge(each.routine(), 1, Integer::sum));
        Recording recording = new Recording(Recording.FORMAT, of,
                surface.targets().stream().map(Target::symbol).toList(), platform, Recording.Proven.of(strength),
                null, recorded);
        return new Result(recording, perTarget, left, unmade, strength);
    }

    /** @param conditions beside the usual ones: what differs under them is masked */
    private List<Case> observe(List<Case> cases, Map<String, Integer> unmade, List<Conditions> conditions) {
        List<Case> named = new ArrayList<>();
        for (Case each : cases) {
            named.add(new Case("c" + (named.size() + 1), each.routine(), each.on(), each.before(), each.given(), null,
                    List.of(), List.of()));
        }
        List<CompletableFuture<List<Ran>>> others = conditions.stream().map(each -> CompletableFuture
                .supplyAsync(() -> driver.run(named, each), task -> new Thread(task).start())).toList();
        List<Ran> usual = named.isEmpty() ? List.of() : driver.run(named, Conditions.USUAL);
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
        return recorded;
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
