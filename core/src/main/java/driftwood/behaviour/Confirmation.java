package driftwood.behaviour;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.MissingNode;
import driftwood.behaviour.Comparison.Difference;
import driftwood.behaviour.Driver.Ran;
import driftwood.behaviour.Recording.Case;
import driftwood.program.Program;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Runs a recording against the code as it is now. */
public final class Confirmation implements Confirming {
    private final Driver driver;
    /** For what ended when it was recorded and does not now: the machine may be slower today. */
    private final Driver patient;

    /** Of Java code. @param classPath compiled classes of the project as it is now, and what they need */
    public Confirmation(Program program, List<Path> classPath, Limits limits) {
        this.driver = new JavaDriver(program, classPath, limits);
        this.patient = new JavaDriver(program, classPath, limits.patient());
    }

    /** Of code in another language. */
    public Confirmation(Program program, Path root, Runtimes.Interpreter interpreter, Limits limits) {
        InterpreterRun run = Runtimes.run(program, root, interpreter);
        this.driver = new InterpreterDriver(run, limits);
        this.patient = new InterpreterDriver(run, limits.patient());
    }

    private Confirmation(Driver driver, Driver patient) {
        this.driver = driver;
        this.patient = patient;
    }

    /** The same, with objects made as people said, and questions where the code leaves it open. */
    public Confirmation asking(ChosenWays chosen, Program program) {
        return new Confirmation(new AskingDriver(driver, chosen, program), new AskingDriver(patient, chosen, program));
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
        List<Ran> all = new ArrayList<>(driver.run(recording.cases(), conditions));
        boolean late = true;
        for (int i = 0; i < all.size() && late; i++) {
            JsonNode recorded = recording.cases().get(i).outcome();
            if (all.get(i).outcome().has("endless") && recorded != null && !recorded.has("endless")) {
                Ran again = patient.run(List.of(recording.cases().get(i)), conditions).get(0);
                late = !again.outcome().has("endless");
                all.set(i, again);
            }
        }
        List<Verdict> verdicts = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Case each = recording.cases().get(i);
            boolean gone = all.get(i).outcome().isMissingNode();
            verdicts.add(gone ? new Verdict(Verdict.Kind.GONE, each, MissingNode.getInstance(), List.of(), all.get(i).unmade())
                    : judge(each, all.get(i).outcome()));
        }
        return verdicts;
    }

    /** Recordings are read back from JSON, so that both sides went through the same writing. */
    static Verdict judge(Case each, JsonNode now) {
        List<String> varies = each.varies() == null ? List.of() : each.varies();
        List<String> anyOrder = each.anyOrder() == null ? List.of() : each.anyOrder();
        if (each.outcome() == null) {
            return new Verdict(Verdict.Kind.NEW, each, Plain.of(now), List.of(), "no outcome is recorded yet");
        }
        JsonNode expected = Comparison.sortedAt(each.outcome(), anyOrder);
        JsonNode actual = Comparison.sortedAt(Plain.of(now), anyOrder);
        List<Difference> differences = Comparison.differences(expected, actual, varies);
        if (differences.isEmpty()) {
            return new Verdict(Verdict.Kind.SAME, each, actual, List.of(), "");
        }
        Verdict.Kind kind = Comparison.isReordered(expected, actual, varies) ? Verdict.Kind.REORDERED
                : Verdict.Kind.DIFFERENT;
        return new Verdict(kind, each, actual, differences.stream().map(Verdict.Place::of).toList(), "");
    }
}
