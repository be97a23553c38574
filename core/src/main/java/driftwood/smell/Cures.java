package driftwood.smell;

import driftwood.program.Program;
import java.util.List;

/** Knows which patterns answer a finding. */
@FunctionalInterface
public interface Cures {
    /** Knows none. */
    Cures NONE = (finding, program) -> List.of();

    /** The patterns that answer a finding, best first; never null. */
    List<Fit> of(Finding finding, Program program);
}
