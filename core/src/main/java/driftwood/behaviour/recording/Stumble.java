package driftwood.behaviour.recording;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A call that ended because something was not there. That it does is behaviour; how far it had come by then is chance, and
 * no caller can count on it: a refactoring that asks an object first stumbles earlier than one that asks it last.
 */
final class Stumble {
    private static final List<String> EFFECTS = List.of("leaves", "prints", "complains", "asks", "files");

    /** The interpreter's own words, which name what was asked first and nothing that the code says. */
    private static final Pattern OWN_WORDS = Pattern.compile("'(\\w+)' object has no attribute '\\w+'.*", Pattern.DOTALL);

    private Stumble() {
    }

    /** Whether both ended so. */
    static boolean isBoth(JsonNode recorded, JsonNode now) {
        return ends(recorded) && ends(now);
    }

    /** Whether it ended so. */
    static boolean ends(JsonNode outcome) {
        JsonNode error = outcome.path("throws");
        return error.path("is").asText().equals("java.lang.NullPointerException") || error.path("message").asText().contains("'NoneType' object");
    }

    /** Whether an object could not be made because something was not there. @param unmade why it could not be; empty where it could */
    static boolean isWantOf(String unmade) {
        return unmade.contains("cannot be made: java.lang.NullPointerException") || unmade.contains("cannot be made: ") && unmade.contains("'NoneType' object");
    }

    /**
     * What a case with such an end does now, with what it had done by then as it was recorded. What was printed and asked is
     * told of the whole case, and therefore only where the call stands alone.
     */
    static ObjectNode level(JsonNode recorded, ObjectNode now) {
        ObjectNode level = now.deepCopy();
        for (String each : recorded.path("before").isEmpty() ? EFFECTS : EFFECTS.subList(0, 1)) {
            if (recorded.has(each)) {
                level.set(each, recorded.get(each));
            } else {
                level.remove(each);
            }
        }
        if (isSame(recorded.path("throws"), now.path("throws"))) {
            level.withObject("/throws").set("message", recorded.at("/throws/message"));
        }
        return level;
    }

    /** Whether two errors are of one type, and say in the interpreter's own words that objects of one type have no such thing. */
    static boolean isSame(JsonNode recorded, JsonNode now) {
        Matcher was = OWN_WORDS.matcher(recorded.path("message").asText());
        Matcher is = OWN_WORDS.matcher(now.path("message").asText());
        return was.matches() && is.matches() && was.group(1).equals(is.group(1)) && recorded.path("is").equals(now.path("is"));
    }

    /** A case that goes on after one that left something else behind: from there on nothing can be compared. @param before the steps up to there */
    static ObjectNode cut(JsonNode recorded, List<JsonNode> before) {
        ObjectNode cut = recorded.deepCopy();
        for (int i = 0; i < before.size(); i++) {
            cut.withArray("before").set(i, before.get(i));
        }
        return cut;
    }
}
