package driftwood.pattern;

import driftwood.program.Program;
import driftwood.smell.Finding;
import java.util.Optional;

/**
 * The code of a pattern whose fit and plan are computed from the facts of a finding, where words with names put in are
 * not enough. Stateless; called from many threads at once. Its words stand in {@code patterns.yaml} under the same key.
 */
public interface Computed {

    /** The key of the pattern; never blank. */
    String key();

    /**
     * How well it answers a finding whose smell it is said to answer; empty where it does not. The program keeps track
     * of what it is asked, so that the fit is computed again when an answer changes.
     */
    Optional<Fit> fit(Finding finding, Program program);

    /**
     * What a refactoring into this pattern looks like here.
     *
     * @param finding one that it fits
     * @param site    the program and its texts
     */
    Answer answer(Finding finding, Site site);
}
