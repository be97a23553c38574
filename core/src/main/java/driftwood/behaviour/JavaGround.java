package driftwood.behaviour;

import driftwood.behaviour.Recording.Case;
import driftwood.program.Program;
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
final class JavaGround implements Ground {
    private final Under under;
    private final Trials trials;
    private final Program program;

    /** @param classPath the project's classes first */
    JavaGround(Program program, List<Path> classPath, Limits limits, Surface surface) throws IOException {
        if (!Files.isDirectory(classPath.get(0))) {
            throw new IOException(classPath.get(0) + " is no folder of classes");
        }
        this.program = program;
        // driftwood: leave hard-coded-instantiation because trying slips is what the ground is for; its limits are handed in
        this.trials = new Trials(classPath, limits);
        this.under = new Under(program, classPath.get(0), surface.targets());
    }

    @Override
    public List<Slip> slips() {
        return under.slips();
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
    public TrialResults run(List<Case> cases, List<Slip> slips, long until) throws IOException {
        Scripts making = new Scripts(program);
        List<Script> scripts = new ArrayList<>();
        cases.forEach(each -> scripts.add(making.of(each)));
        return trials.run(scripts, slips, under, until);
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
