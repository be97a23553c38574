package driftwood.behaviour.tests;

import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.replay.Assembly.CannotMake;
import driftwood.behaviour.replay.Scripts;
import driftwood.behaviour.search.Cases;
import driftwood.behaviour.tests.JavaCode.CannotWrite;
import driftwood.behaviour.view.Ways;
import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.witness.Script;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/** Cases as code that can be pasted into a test in the package of what is called. */
public final class Pasted {
    private final Supplier<Program> linked;

    /** @param linked the program as it is now; asked for only where a case is written */
    public Pasted(Supplier<Program> linked) {
        this.linked = linked;
    }

    /** The code of a case, a statement a line; empty where it cannot be said in one piece. */
    public Optional<String> of(Case each) {
        int hash = each.routine().indexOf('#');
        Program program = linked.get();
        Optional<TypeOutline> type = program.type(each.routine().substring(0, Math.max(0, hash)));
        if (type.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(program.fileOf(type.get()).language().isOnTheJvm() ? java(each, type.get(), program)
                    : python(each, program));
        } catch (CannotMake | CannotWrite e) {
            return Optional.empty();
        }
    }

    private static String java(Case each, TypeOutline type, Program program) throws CannotWrite {
        Script script = new Scripts(program).of(each);
        JavaCode code = new JavaCode(program.fileOf(type).packageName());
        JavaSteps steps = new JavaSteps(script, code, each.outcome());
        String last = steps.write("it", code.type(new Ways(program).binaryName(type)), false);
        List<String> lines = new ArrayList<>(steps.lines());
        lines.add(last + ";");
        return code.helpers().isEmpty() ? String.join("\n", lines) : refuse();
    }

    private static String refuse() throws CannotWrite {
        throw new CannotWrite("helpers");
    }

    private static String python(Case each, Program program) throws CannotWrite {
        PythonCode code = new PythonCode(program);
        PythonSteps steps = new PythonSteps(each, code);
        String last = steps.write(false);
        List<String> lines = new ArrayList<>(steps.lines());
        lines.add(last);
        return code.completes() ? refuse() : String.join("\n", lines);
    }
}
