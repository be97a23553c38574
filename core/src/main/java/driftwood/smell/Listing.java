package driftwood.smell;

import java.util.List;

/** Names and numbers as a reader would say them. */
public final class Listing {
    private static final int SHOWN = 6;
    private static final int TABLE = 12;

    private Listing() {
    }

    /** Names with commas; long lists are cut and counted. */
    public static String of(List<String> names) {
        return names.size() <= SHOWN ? String.join(", ", names)
                : String.join(", ", names.subList(0, SHOWN - 1)) + " and " + (names.size() - SHOWN + 1) + " more";
    }

    /** All the parts of something that is looked up, as many as a reader goes through; the rest is counted. */
    public static String table(List<String> parts, String between) {
        return parts.size() <= TABLE ? String.join(between, parts)
                : String.join(between, parts.subList(0, TABLE)) + between + (parts.size() - TABLE) + " more";
    }

    /** {@code 1 place}, {@code 2 places}. @param noun with a regular plural */
    public static String count(int number, String noun) {
        String plural = noun.endsWith("s") || noun.endsWith("ch") ? noun + "es"
                : noun.endsWith("y") && !noun.endsWith("ay") ? noun.substring(0, noun.length() - 1) + "ies" : noun + "s";
        return number + " " + (number == 1 ? noun : plural);
    }

    /** A name with its article: {@code a Crate}, {@code an Envelope}. */
    public static String a(String name) {
        return (!name.isEmpty() && "AEIOaeio".indexOf(name.charAt(0)) >= 0 ? "an " : "a ") + name;
    }
}
