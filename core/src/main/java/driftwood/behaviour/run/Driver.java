package driftwood.behaviour.run;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.behaviour.process.Conditions;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.view.Queries;
import java.util.List;

/** Runs cases in the runtime of their language, in processes of their own, within limits. */
public interface Driver {

    /**
     * What became of a case.
     *
     * @param outcome what happened; missing where the case could not be run
     * @param unmade  why it could not be run; empty where it could
     */
    record Ran(JsonNode outcome, String unmade) {
    }

    /** Whether an outcome says that the case did not end, or ended the process. */
    static boolean isEnd(JsonNode outcome) {
        return outcome != null && (outcome.has("endless") || outcome.has("exits"));
    }

    /** Runs cases under some conditions. @param queries what objects are asked @return an answer for each, in order */
    List<Ran> run(List<Case> cases, Queries queries, Conditions conditions);

    /**
     * Finds out by asking which candidates are queries.
     *
     * @param cases in whose states they are asked
     * @return those that were asked and are: they answer the same twice and leave everything else as it was
     */
    Queries inquire(List<Case> cases, Queries candidates);
}
