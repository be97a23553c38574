package driftwood.behaviour.recording;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.behaviour.recording.Comparison.Difference;
import java.util.List;

/**
 * What confirming one case came to.
 *
 * @param kind        the verdict
 * @param of          the case as recorded
 * @param actual      what happened now; missing where it could not be run
 * @param differences places that differ; empty unless different
 * @param why         for a case that can no longer be run
 * @param built       objects of new classes in place of recorded ones that answer the same, as {@code Adapter for Gauge}
 * @param unasked     what can no longer be asked and need not be, as {@code Lamp.percent}
 * @param refused     part that the recorded object could not do without, where the case ends for want of it now, as {@code Vessel.kind}; empty else
 */
public record Verdict(Kind kind, Recording.Case of, JsonNode actual, List<Place> differences, String why, List<String> built,
        List<String> unasked, String refused) {

    /** The verdicts. */
    public enum Kind {
        SAME, REORDERED, DIFFERENT,
        /** Can no longer be run. */
        GONE,
        /** Somebody added it to the recording, and nobody has said yet that its outcome is right. */
        NEW
    }

    public static Verdict of(Kind kind, Recording.Case of, JsonNode actual, String why) {
        return new Verdict(kind, of, actual, List.of(), why, List.of(), List.of(), "");
    }

    /**
     * A place that differs.
     *
     * @param path     such as {@code gives.name}
     * @param expected as recorded, "nothing" where there was none
     * @param actual   as it is now
     */
    public record Place(String path, String expected, String actual) {
        public static Place of(Difference difference) {
            String path = difference.path().isEmpty() ? "outcome" : difference.path().substring(1).replace('/', '.');
            return new Place(path, text(difference.expected()), text(difference.actual()));
        }

        private static String text(JsonNode node) {
            return node.isMissingNode() ? "nothing" : node.toString();
        }
    }
}
