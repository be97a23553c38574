package driftwood.behaviour.run;

import driftwood.behaviour.process.Conditions;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.replay.ChosenWays;
import driftwood.behaviour.view.Queries;
import driftwood.program.Program;
import java.util.List;

/** Makes objects as people said, and asks them where the code leaves it open; all else is the other driver's. */
public final class AskingDriver implements Driver {
    private final Driver other;
    private final ChosenWays chosen;
    private final Program program;

    public AskingDriver(Driver other, ChosenWays chosen, Program program) {
        this.other = other;
        this.chosen = chosen;
        this.program = program;
    }

    @Override
    public List<Ran> run(List<Case> cases, Queries queries, Conditions conditions) {
        List<Ran> all = other.run(cases.stream().map(chosen::applied).toList(), queries, conditions);
        for (int i = 0; i < all.size(); i++) {
            if (!all.get(i).unmade().isEmpty()) {
                chosen.ask(cases.get(i), all.get(i).unmade(), program);
            }
        }
        return all;
    }

    @Override
    public Queries inquire(List<Case> cases, Queries candidates) {
        return other.inquire(cases, candidates);
    }
}
