package driftwood.behaviour.run;

import com.fasterxml.jackson.databind.node.MissingNode;
import driftwood.behaviour.build.Homes;
import driftwood.behaviour.process.Conditions;
import driftwood.behaviour.process.Limits;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.replay.Assembly.CannotMake;
import driftwood.behaviour.replay.Scripts;
import driftwood.behaviour.view.Queries;
import driftwood.program.Program;
import driftwood.witness.Outcome;
import driftwood.witness.Script;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Runs cases of Java code in witness processes. */
public final class JavaDriver implements Driver {
    private final Program program;
    private final Homes homes;
    private final Limits limits;

    public JavaDriver(Program program, Homes homes, Limits limits) {
        this.program = program;
        this.homes = homes;
        this.limits = limits;
    }

    @Override
    public List<Ran> run(List<Case> cases, Queries queries, Conditions conditions) {
        Scripts scripts = new Scripts(program);
        List<Script> runnable = new ArrayList<>();
        Map<Case, String> gone = new HashMap<>();
        for (Case each : cases) {
            try {
                runnable.add(scripts.of(each));
            } catch (CannotMake e) {
                gone.put(each, e.getMessage());
            }
        }
        // driftwood: leave hard-coded-instantiation because observing is the work itself; its limits are handed in
        List<Outcome> outcomes = runnable.isEmpty() ? List.of() : new Observation(homes, limits)
                .run(runnable, queries.asking(program, homes, conditions.manner()), conditions);
        List<Ran> all = new ArrayList<>();
        int next = 0;
        for (Case each : cases) {
            all.add(gone.containsKey(each) ? new Ran(MissingNode.getInstance(), gone.get(each)) : ran(outcomes.get(next++)));
        }
        return all;
    }

    @Override
    public Queries inquire(List<Case> cases, Queries candidates) {
        // driftwood: leave hard-coded-instantiation because observing is the work itself; its limits are handed in
        return new Inquiries(program, homes, limits).of(cases, candidates);
    }

    private static Ran ran(Outcome outcome) {
        boolean unmade = outcome.ending().equals("unmade");
        return new Ran(unmade ? MissingNode.getInstance() : ValueJson.of(outcome), unmade ? outcome.value().text() : "");
    }
}
