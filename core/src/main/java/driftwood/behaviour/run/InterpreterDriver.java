package driftwood.behaviour.run;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.MissingNode;
import driftwood.behaviour.process.Conditions;
import driftwood.behaviour.process.Limits;
import driftwood.behaviour.process.Tries;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recording.Step;
import driftwood.behaviour.view.Queries;
import driftwood.program.Program;
import driftwood.store.Scratch;
import driftwood.witness.Asking.Manner;
import driftwood.witness.Witness;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.io.FileUtils;

/**
 * Runs cases of an interpreted language: a small witness written in that language, which ships with Driftwood, runs in
 * the user's own interpreter. Another language is another witness.
 */
public final class InterpreterDriver implements Driver {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final int MOST_RESTARTS = 25;
    private static final long START_MILLIS = 20_000;
    private static final long INQUIRY_MILLIS = 60_000;
    /** States to ask in; more tell little more. */
    private static final int MOST_ASKED = 160;

    private final OwnNames names;
    private final InterpreterRun run;
    private final Limits limits;

    /** @param program whose own names the cases may use */
    public InterpreterDriver(Program program, InterpreterRun run, Limits limits) {
        this.names = new OwnNames(program);
        this.run = run;
        this.limits = limits;
    }

    @Override
    public List<Ran> run(List<Case> cases, Queries queries, Conditions conditions) {
        List<Case> ordered = conditions.order().of(cases, false);
        try {
            Path folder = Scratch.folder("witness");
            try {
                return conditions.order().of(all(ordered, queries, conditions, folder), true);
            } finally {
                FileUtils.deleteQuietly(folder.toFile());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e.getMessage(), e);
        }
    }

    @Override
    public Queries inquire(List<Case> cases, Queries candidates) {
        try {
            Path folder = Scratch.folder("inquiry");
            try {
                double step = Math.max(1.0, cases.size() / (double) MOST_ASKED);
                List<Case> some = new ArrayList<>();
                for (double at = 0; at < cases.size(); at += step) {
                    some.add(cases.get((int) at));
                }
                Path caseFile = InterpreterRun.cases(folder, some, candidates, Manner.ALONG);
                Path answers = Files.write(folder.resolve("answers"), new byte[0]);
                run.start(folder, "inquiry.py", List.of(caseFile.toString(), answers.toString(), Long.toString(Math.min(300, limits.caseMillis())),
                        Integer.toString(limits.memoryMib())), Conditions.USUAL, INQUIRY_MILLIS);
                return candidates.only(Files.readAllLines(answers));
            } finally {
                FileUtils.deleteQuietly(folder.toFile());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e.getMessage(), e);
        }
    }

    private List<Ran> all(List<Case> cases, Queries queries, Conditions conditions, Path folder) throws IOException {
        Tries<Case, Ran> tries = new Tries<>(cases, InterpreterDriver::calls, names::refused, (one, why) -> new Ran(MissingNode.getInstance(), why), conditions.trying());
        int restarts = 0;
        for (List<Case> left = tries.left(); !left.isEmpty(); left = tries.left()) {
            Files.createDirectories(folder);
            Path caseFile = InterpreterRun.cases(folder, left, queries, conditions.manner());
            Path outcomes = Files.write(folder.resolve("outcomes-" + restarts++), new byte[0]);
            int exit = run.start(folder, run.witness(), List.of(caseFile.toString(), outcomes.toString(),
                    Long.toString(limits.caseMillis()), Integer.toString(limits.memoryMib()), conditions.later() ? "1" : "0"),
                    conditions, START_MILLIS + left.size() * (Witness.PATIENCE * limits.caseMillis() + 50));
            List<Ran> told = new ArrayList<>();
            boolean begun = InterpreterRun.read(outcomes, each -> told.add(new Ran(each.path("outcome"), each.path("unmade").asText(""))));
            if (begun && told.size() < left.size()) {
                told.add(new Ran(JSON.createObjectNode().put("exits", "exit code " + exit), ""));
            } else if (told.isEmpty()) {
                throw new IOException(run + " did not run the cases (exit code " + exit + "): " + run.trouble(folder));
            }
            Ran last = told.get(told.size() - 1);
            tries.told(told, each -> Driver.isEnd(each.outcome()) || each == last && exit == Witness.HAUNTED);
        }
        return tries.outcomes();
    }

    /** What a case calls and makes. */
    private static List<String> calls(Case each) {
        List<String> calls = new ArrayList<>();
        for (Step step : each.steps()) {
            calls.add(step.call() == null ? "new " + step.make().path("is").asText() : step.call() + "()");
        }
        calls.add(each.member().equals("new") ? "new " + each.owner() : each.member() + "()");
        return calls;
    }
}
