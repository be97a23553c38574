package driftwood.smell;

import driftwood.program.TypeOutline;
import java.util.List;

/** Names and numbers as a reader would say them. */
public final class Listing {
    private static final int MOST_PARTS = 9;
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

    /** Simple names of types, with as much of what is around as tells them apart. */
    public static List<String> apart(List<TypeOutline> types) {
        List<String> names = types.stream().map(TypeOutline::simpleName).toList();
        for (int parts = 2; names.stream().distinct().count() < types.size() && parts <= MOST_PARTS; parts++) {
            int kept = parts;
            names = types.stream().map(each -> ending(each.name(), kept)).toList();
        }
        return names;
    }

    private static String ending(String name, int parts) {
        int at = name.length();
        for (int i = 0; i < parts && at >= 0; i++) {
            at = name.lastIndexOf('.', at - 1);
        }
        return name.substring(at + 1);
    }
}
