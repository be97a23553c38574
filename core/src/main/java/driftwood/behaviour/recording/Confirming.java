package driftwood.behaviour.recording;

import driftwood.behaviour.recording.Recording.Case;
import java.util.List;

/** Runs recordings again and compares. */
public interface Confirming {

    /** A verdict for each case, in the order of the recording. */
    List<Verdict> confirm(Recording recording);

    /**
     * A case as it is now, with what varies masked.
     *
     * @param one     a recording with this case only
     * @param verdict that was just passed on it
     */
    Case fresh(Recording one, Verdict verdict);
}
