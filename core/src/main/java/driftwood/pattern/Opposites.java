package driftwood.pattern;

import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Words of which one says what the other is not: names for the two sides of a flag. */
public final class Opposites {
    private static final String[][] PAIRS = {{"short", "long"}, {"brief", "full"}, {"quiet", "verbose"}, {"ascending", "descending"}, {"first", "last"}, {"up", "down"}, {"on", "off"}, {"left", "right"},
        {"before", "after"}, {"forward", "backward"}, {"public", "private"}, {"internal", "external"}, {"local", "remote"}, {"open", "closed"}, {"old", "new"}, {"strict", "lenient"}, {"inner", "outer"},
        {"horizontal", "vertical"}, {"lower", "upper"}};
    private static final Map<String, String> BY_WORD = Stream.of(PAIRS).flatMap(each -> Stream.of(each, new String[] {each[1], each[0]})).collect(Collectors.toMap(each -> each[0], each -> each[1]));

    private Opposites() {
    }

    /** The word for what is not so; empty where none is known. @param word in small letters */
    public static Optional<String> of(String word) {
        return Optional.ofNullable(BY_WORD.get(word));
    }
}
