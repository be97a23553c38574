package driftwood.behaviour;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.MissingNode;
import driftwood.behaviour.build.Homes;
import driftwood.behaviour.process.Conditions;
import driftwood.behaviour.process.Limits;
import driftwood.behaviour.recording.ClientView;
import driftwood.behaviour.recording.Comparison;
import driftwood.behaviour.recording.Comparison.Difference;
import driftwood.behaviour.recording.Confirming;
import driftwood.behaviour.recording.Plain;
import driftwood.behaviour.recording.NeededParts;
import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recordings;
import driftwood.behaviour.recording.Verdict;
import driftwood.behaviour.replay.ChosenWays;
import driftwood.behaviour.run.AskingDriver;
import driftwood.behaviour.run.Driver;
import driftwood.behaviour.run.Driver.Ran;
import driftwood.behaviour.run.InterpreterDriver;
import driftwood.behaviour.run.InterpreterRun;
import driftwood.behaviour.run.JavaDriver;
import driftwood.behaviour.run.Runtimes;
import driftwood.behaviour.view.AnswersNow;
import driftwood.behaviour.view.Queries;
import driftwood.program.Program;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiPredicate;

/** Runs a recording against the code as it is now. */
public final class Confirmation implements Confirming {
    private final Driver driver;
    /** For what ended when it was recorded and does not now: the machine may be slower today. */
    private final Driver patient;
    private final BiPredicate<String, String> answersNow;
    private final Program program;

    /** Of Java code. @param homes compiled classes of the project as it is now, and what they need */
    public Confirmation(Program program, Homes homes, Limits limits) {
        this(new JavaDriver(program, homes, limits), new JavaDriver(program, homes, limits.patient()), new AnswersNow(program), program);
    }

    /** Of code in another language. */
    public Confirmation(Program program, Path root, Runtimes.Interpreter interpreter, Limits limits) {
        this(program, Runtimes.run(program, root, interpreter), limits);
    }

    private Confirmation(Program program, InterpreterRun run, Limits limits) {
        this(new InterpreterDriver(program, run, limits), new InterpreterDriver(program, run, limits.patient()), new AnswersNow(program), program);
    }

    private Confirmation(Driver driver, Driver patient, BiPredicate<String, String> answersNow, Program program) {
        this.driver = driver;
        this.patient = patient;
        this.answersNow = answersNow;
        this.program = program;
    }

    /** The same, with objects made and routines called as people said, and questions where the code leaves it open. */
    public Confirmation asking(ChosenWays chosen, Program program) {
        return new Confirmation(new AskingDriver(driver, chosen, program), new AskingDriver(patient, chosen, program), answersNow, program);
    }

    @Override
    public List<Verdict> confirm(Recording recording) {
        return confirm(recording, Conditions.USUAL);
    }

    @Override
    public Case fresh(Recording one, Verdict verdict) {
        return Characterization.masked(one.cases().get(0), verdict.actual(),
                Conditions.OTHERS.stream().map(each -> confirm(one, each).get(0).actual()).toList());
    }

    private List<Verdict> confirm(Recording recording, Conditions conditions) {
        Queries queries = recording.queries().within(program);
        List<Ran> all = new ArrayList<>(driver.run(recording.cases(), queries, conditions));
        boolean late = true;
        for (int i = 0; i < all.size() && late; i++) {
            JsonNode recorded = recording.cases().get(i).outcome();
            if (all.get(i).outcome().has("endless") && recorded != null && !recorded.has("endless")) {
                Ran again = patient.run(List.of(recording.cases().get(i)), queries, conditions).get(0);
                late = !again.outcome().has("endless");
                all.set(i, again);
            }
        }
        List<Verdict> verdicts = new ArrayList<>();
        NeededParts needed = new NeededParts(recording.needed());
        for (int i = 0; i < all.size(); i++) {
            Case each = recording.cases().get(i);
            boolean gone = all.get(i).outcome().isMissingNode();
            Verdict verdict = gone ? Verdict.of(Verdict.Kind.GONE, each, MissingNode.getInstance(), all.get(i).unmade())
                    : judge(each, all.get(i).outcome(), new ClientView(recording, answersNow));
            Optional<String> refused = verdict.kind() == Verdict.Kind.SAME || each.outcome() == null ? Optional.empty()
                    : needed.refused(verdict, all.get(i).outcome(), all.get(i).unmade());
            verdicts.add(refused.map(part -> new Verdict(Verdict.Kind.SAME, each, verdict.actual(), List.of(), "", List.of(), List.of(), part)).orElse(verdict));
        }
        return verdicts;
    }

    /** Recordings are read back from JSON, so that both sides went through the same writing. */
    static Verdict judge(Case each, JsonNode now, ClientView view) {
        List<String> varies = each.varies() == null ? List.of() : each.varies();
        List<String> anyOrder = each.anyOrder() == null ? List.of() : each.anyOrder();
        if (each.outcome() == null) {
            return Verdict.of(Verdict.Kind.NEW, each, Plain.of(now), "no outcome is recorded yet");
        }
        JsonNode plain = Plain.of(now);
        JsonNode expected = Comparison.sortedAt(each.outcome(), anyOrder);
        JsonNode actual = Comparison.sortedAt(view.seen(each.outcome(), plain), anyOrder);
        List<Difference> differences = Comparison.differences(expected, actual, varies);
        if (!differences.isEmpty() && !view.demanded().isEmpty()) {
            return Verdict.of(Verdict.Kind.GONE, each, plain, "its stand-in has " + String.join(", ", view.demanded())
                    + " to answer now, which it had not when this was recorded");
        }
        Verdict.Kind kind = differences.isEmpty() ? Verdict.Kind.SAME
                : Comparison.isReordered(expected, actual, varies) ? Verdict.Kind.REORDERED : Verdict.Kind.DIFFERENT;
        return new Verdict(kind, each, plain, differences.stream().map(Verdict.Place::of).toList(), "", view.built(), view.unasked(), "");
    }
}
