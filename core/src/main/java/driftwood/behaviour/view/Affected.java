package driftwood.behaviour.view;

import com.github.difflib.DiffUtils;
import com.github.difflib.patch.AbstractDelta;
import driftwood.behaviour.view.Surface.Target;
import driftwood.program.Outline;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.refactor.Refactoring;
import driftwood.smell.Finding;
import driftwood.smell.Gathered;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The routines through which a refactoring is observed: those that it edits and that are called afterwards as they were. */
public final class Affected {
    private Affected() {
    }

    /** @param program as it is before the first stage */
    public static Surface of(Finding finding, Refactoring refactoring, Program program) {
        Set<String> touched = new LinkedHashSet<>();
        for (Map.Entry<String, String> each : refactoring.originals().entrySet()) {
            List<int[]> lines = lines(each.getValue(), refactoring.after(each.getKey(), refactoring.stages().size()).orElse(""));
            program.outlines().stream().filter(file -> file.file().equals(each.getKey()) && !file.test())
                    .forEach(file -> routines(file, lines, touched));
        }
        Surface kept = kept(finding, Surface.of(touched, program), refactoring, program);
        return kept.targets().isEmpty() ? new Surface(Surface.ofMains(touched, program).targets(), kept.left()) : kept;
    }

    private static Surface kept(Finding finding, Surface edited, Refactoring refactoring, Program program) {
        if (finding.detail() instanceof Gathered) {
            Surface kept = kept(edited, refactoring);
            return kept.targets().isEmpty() ? kept(Surface.around(finding, program), refactoring) : kept;
        }
        return kept(Surface.around(finding, program).and(edited), refactoring);
    }

    /** What can be called afterwards as it was. */
    private static Surface kept(Surface all, Refactoring refactoring) {
        Set<Target> kept = new LinkedHashSet<>();
        all.targets().stream().filter(each -> each.routine().map(refactoring::keeps).orElse(true)).forEach(kept::add);
        return new Surface(List.copyOf(kept), all.left());
    }

    /** First and last line of each stretch that changes. */
    private static List<int[]> lines(String before, String after) {
        List<int[]> lines = new ArrayList<>();
        for (AbstractDelta<String> each : DiffUtils.diff(Arrays.asList(before.split("\n", -1)), Arrays.asList(after.split("\n", -1))).getDeltas()) {
            int from = each.getSource().getPosition() + 1;
            lines.add(new int[] {from, Math.max(from, from + each.getSource().size() - 1), each.getSource().size()});
        }
        return lines;
    }

    // driftwood: leave misplaced-behaviour because lines of a diff are nothing that an outline should know
    private static void routines(Outline file, List<int[]> lines, Set<String> touched) {
        for (TypeOutline type : file.types()) {
            for (RoutineOutline routine : type.routines()) {
                boolean edited = lines.stream().anyMatch(each -> each[2] == 0 ? routine.line() < each[0] && each[0] <= routine.endLine()
                        : each[0] <= routine.endLine() && routine.line() <= each[1]);
                if (edited && routine.hasBody()) {
                    touched.add(routine.symbol());
                }
            }
        }
    }
}
