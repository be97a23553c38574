package driftwood.behaviour.run;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import driftwood.behaviour.process.Conditions;
import driftwood.behaviour.process.Limits;
import driftwood.behaviour.recording.Plain;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.slip.Coverage;
import driftwood.behaviour.slip.Slip;
import driftwood.behaviour.slip.Slip.Kind;
import driftwood.behaviour.slip.TrialResults;
import driftwood.behaviour.slip.TrialResults.Answer;
import driftwood.behaviour.view.Queries;
import driftwood.behaviour.view.Surface;
import driftwood.behaviour.view.Surface.Target;
import driftwood.store.Scratch;
import driftwood.witness.Asking.Manner;
import driftwood.witness.Trial;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.apache.commons.io.FileUtils;

/** Code of an interpreted language: a script in that language, which ships with Driftwood, plants slips while it runs. */
public final class InterpreterGround implements Ground {
    private static final ObjectMapper JSON = new ObjectMapper();
    /** Cases that end the run, or leave threads computing, are left out one after the other, but not for ever. */
    private static final int MOST_SKIPPED = 20;
    private static final long LIST_MILLIS = 20_000;
    /** A slip that makes a case endless is known as such soon; the code itself was quicker. In milliseconds. */
    private static final long CASE_MILLIS = 400;
    /** So many times as long as in a compiled language a line takes here. */
    private static final int SLOWER = 16;

    private final InterpreterRun run;
    private final String script;
    private final Path root;
    private final Limits limits;
    private final List<Slip> slips = new ArrayList<>();
    /** As the script told them, for it to find them again. */
    private final Map<Slip, JsonNode> told = new HashMap<>();
    /** Lines that some case came to, by the number of their file. */
    private final Map<Long, BitSet> reached = new TreeMap<>();

    // driftwood: leave constructor-work because the ground of a run is laid while it is made, and taken away when it is closed
    public InterpreterGround(InterpreterRun run, Path root, Limits limits, Surface surface) throws IOException {
        this.script = run.slips().orElseThrow(() -> new IOException("slips cannot be planted in this language yet"));
        this.run = run;
        this.root = root;
        this.limits = limits;
        Path folder = Scratch.folder("trial");
        try {
            Path symbols = folder.resolve("symbols");
            JSON.writeValue(symbols.toFile(), surface.targets().stream().map(Target::symbol).toList());
            Path list = Files.write(folder.resolve("list"), new byte[0]);
            int exit = run.start(folder, script, List.of("list", symbols.toString(), list.toString()), Conditions.USUAL, LIST_MILLIS);
            if (exit != 0) {
                throw new IOException("the places for slips could not be listed: " + run.trouble(folder));
            }
            for (String line : Files.readAllLines(list)) {
                JsonNode each = Plain.read(line);
                Slip slip = new Slip(each.path("module").asText(), name(each.path("routine").asText()), 0, slips.size(),
                        each.path("line").asInt(), Kind.valueOf(each.path("kind").asText()), each.path("what").asText());
                slips.add(slip);
                told.put(slip, each);
            }
        } finally {
            FileUtils.deleteQuietly(folder.toFile());
        }
    }

    /** As cases name what they call. */
    private static String name(String routine) {
        String name = routine.substring(routine.lastIndexOf('.') + 1);
        return name.equals("__init__") ? "<init>" : name;
    }

    @Override
    public List<Slip> slips() {
        return slips;
    }

    @Override
    public boolean isMain(Slip slip) {
        return !told.get(slip).path("beside").asBoolean();
    }

    @Override
    public String file(Slip slip) {
        Path file = Path.of(told.get(slip).path("file").asText());
        Path from = root.toAbsolutePath().normalize();
        return (file.startsWith(from) ? from.relativize(file) : file).toString().replace('\\', '/');
    }

    @Override
    public Collection<String> files() {
        return new TreeSet<>(slips.stream().map(this::file).toList());
    }

    @Override
    public TrialResults run(List<Case> cases, List<Slip> some, Queries queries, Effort effort) throws IOException {
        TrialResults results = new TrialResults();
        long until = effort.until();
        Path folder = Scratch.folder("trial");
        try {
            Path caseFile = InterpreterRun.cases(folder, cases, queries, Manner.ALONG);
            Path slipFile = folder.resolve("slips");
            JSON.writeValue(slipFile.toFile(), some.stream().map(told::get).toList());
            Set<Integer> skipped = new TreeSet<>();
            for (int restarts = 0; (restarts == 0 || results.answers().size() < some.size()) && System.nanoTime() < until; restarts++) {
                Path answers = Files.write(folder.resolve("answers-" + restarts), new byte[0]);
                int before = results.answers().size();
                int known = skipped.size();
                Files.write(folder.resolve(caseFile.getFileName() + ".skip"), skipped.stream().map(each -> Integer.toString(each)).toList());
                run.start(folder, script, List.of("try", caseFile.toString(), slipFile.toString(), answers.toString(),
                        Integer.toString(before), Long.toString(Math.min(CASE_MILLIS, limits.caseMillis())),
                        Integer.toString(limits.memoryMib()), Long.toString(effort.work() / SLOWER)), Conditions.USUAL, Math.max(1, (until - System.nanoTime()) / 1_000_000));
                boolean begun = InterpreterRun.read(answers, each -> {
                    if (each.has("haunts")) {
                        skipped.add(each.get("haunts").asInt());
                    } else {
                        take(each, results);
                    }
                });
                if (begun && System.nanoTime() < until) {
                    results.answers().add(new Answer(Trials.ENDED, List.of()));
                } else if (results.answers().size() == before && (skipped.size() == known || skipped.size() > MOST_SKIPPED)) {
                    break;
                }
            }
        } finally {
            FileUtils.deleteQuietly(folder.toFile());
        }
        while (results.answers().size() < some.size()) {
            results.answers().add(new Answer(Trials.UNTRIED, List.of()));
        }
        return results;
    }

    private void take(JsonNode told, TrialResults results) {
        if (told.has("passed")) {
            Map<Long, BitSet> probes = new TreeMap<>();
            told.path("lines").properties().forEach(each -> {
                BitSet lines = new BitSet();
                each.getValue().forEach(line -> lines.set(line.asInt()));
                probes.put((long) each.getKey().hashCode(), lines);
            });
            List<Integer> features = new ArrayList<>();
            told.path("features").forEach(each -> features.add(each.asInt()));
            List<Long> states = new ArrayList<>();
            told.path("states").forEach(each -> states.add(each.asLong()));
            results.passed().put(told.get("passed").asInt(), new TrialResults.Passed(probes, told.path("work").asLong(),
                    told.path("signature").asInt(), features, states, pairs(told.path("compared"))));
        } else {
            results.answers().add(answer(told));
        }
    }

    private static List<TrialResults.Pair> pairs(JsonNode told) {
        List<TrialResults.Pair> pairs = new ArrayList<>();
        told.forEach(each -> pairs.add(new TrialResults.Pair(each.get(0).asText(), each.get(1).asText(), each.get(2).asText(),
                each.get(3).asBoolean())));
        return pairs;
    }

    private static Answer answer(JsonNode told) {
        List<Integer> comers = new ArrayList<>();
        told.path("comers").forEach(each -> comers.add(each.asInt()));
        return new Answer(told.path("by").asInt(Trial.UNREACHED), comers);
    }

    @Override
    public void close() {
        // Nothing runs between two trials.
    }

    @Override
    public boolean takesNew(Map<Long, BitSet> taken) {
        boolean anew = false;
        for (Map.Entry<Long, BitSet> each : taken.entrySet()) {
            BitSet known = reached.computeIfAbsent(each.getKey(), key -> new BitSet());
            int before = known.cardinality();
            known.or(each.getValue());
            anew |= known.cardinality() > before;
        }
        return anew;
    }

    @Override
    public Coverage taken() {
        return Coverage.NOTHING;
    }
}
