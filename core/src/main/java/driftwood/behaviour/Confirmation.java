package driftwood.behaviour;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.MissingNode;
import driftwood.behaviour.Assembly.CannotMake;
import driftwood.behaviour.Comparison.Difference;
import driftwood.behaviour.Recording.Case;
import driftwood.program.Program;
import driftwood.witness.Outcome;
import driftwood.witness.Script;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Runs a recording against the code as it is now. */
public final class Confirmation implements Confirming {
    private final Program program;
    private final List<Path> classPath;
    private final Limits limits;

    /** @param classPath compiled classes of the project as it is now, and what they need */
    public Confirmation(Program program, List<Path> classPath, Limits limits) {
        this.program = program;
        this.classPath = classPath;
        this.limits = limits;
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
        Scripts scripts = new Scripts(program);
        List<Script> runnable = new ArrayList<>();
        Map<String, String> gone = new HashMap<>();
        for (Case each : recording.cases()) {
            try {
                runnable.add(scripts.of(each));
            } catch (CannotMake e) {
                gone.put(each.id(), e.getMessage());
            }
        }
        Map<String, Outcome> outcomes = new HashMap<>();
        if (!runnable.isEmpty()) {
            // driftwood: leave hard-coded-instantiation because observing is the work itself; its limits are handed in
            new Observation(classPath, limits).run(runnable, conditions).forEach(each -> outcomes.put(each.id(), each));
        }
        List<Verdict> verdicts = new ArrayList<>();
        for (Case each : recording.cases()) {
            Outcome outcome = outcomes.get(each.id());
            boolean unmade = outcome != null && outcome.ending().equals("unmade");
            verdicts.add(outcome == null || unmade
                    ? new Verdict(Verdict.Kind.GONE, each, MissingNode.getInstance(), List.of(),
                            unmade ? outcome.value().text() : gone.get(each.id()))
                    : judge(each, ValueJson.of(outcome)));
        }
        return verdicts;
    }

    /** Recordings are read back from JSON, so that both sides went through the same writing. */
    static Verdict judge(Case each, JsonNode now) {
        List<String> varies = each.varies() == null ? List.of() : each.varies();
        List<String> anyOrder = each.anyOrder() == null ? List.of() : each.anyOrder();
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
