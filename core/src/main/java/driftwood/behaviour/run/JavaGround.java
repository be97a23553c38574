package driftwood.behaviour.run;

import driftwood.behaviour.build.Homes;
import driftwood.behaviour.process.Limits;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.replay.Assembly.CannotMake;
import driftwood.behaviour.replay.Scripts;
import driftwood.behaviour.slip.Coverage;
import driftwood.behaviour.slip.Slip;
import driftwood.behaviour.slip.TrialResults;
import driftwood.behaviour.slip.Under;
import driftwood.behaviour.view.Queries;
import driftwood.behaviour.view.Surface;
import driftwood.program.Program;
import driftwood.witness.Asking.Manner;
import driftwood.witness.Script;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.List;
import java.util.Map;

/** Compiled Java code: slips are planted in byte code, class by class. */
public final class JavaGround implements Ground {
    private final Under under;
    private final Trials trials;
    private final Program program;
    private final Homes homes;

    public JavaGround(Program program, Homes homes, Limits limits, Surface surface) throws IOException {
        for (Path each : homes.own()) {
            if (!Files.isDirectory(each)) {
                throw new IOException(each + " is no folder of classes");
            }
        }
        this.program = program;
        this.homes = homes;
        // driftwood: leave hard-coded-instantiation because trying slips is what the ground is for; its limits are handed in
        this.trials = new Trials(homes, limits);
        // driftwood: leave hard-coded-instantiation because the class files under trial are those of this ground
        this.under = new Under(program, homes.own(), surface.targets());
    }

    @Override
    public List<Slip> slips() {
        return under.slips();
    }

    @Override
    public boolean isMain(Slip slip) {
        return under.isMain(slip);
    }

    @Override
    public String file(Slip slip) {
        return under.file(slip);
    }

    @Override
    public Collection<String> files() {
        return under.files();
    }

    @Override
    public TrialResults run(List<Case> cases, List<Slip> slips, Queries queries, Effort effort) throws IOException {
        Scripts making = new Scripts(program);
        List<Script> scripts = new ArrayList<>();
        for (int i = 0; i < cases.size(); i++) {
            try {
                scripts.add(making.of(cases.get(i).named("")));
            } catch (CannotMake e) {
                scripts.add(Trials.NONE);
            }
        }
        return trials.run(scripts, slips, queries.asking(program, homes, Manner.ALONG), under, effort);
    }

    @Override
    public void close() {
        trials.close();
    }

    @Override
    public boolean takesNew(Map<Long, BitSet> taken) {
        return under.takesNew(taken);
    }

    @Override
    public Coverage taken() throws IOException {
        return under.taken();
    }
}
