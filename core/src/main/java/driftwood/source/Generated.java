package driftwood.source;

import java.util.Locale;
import java.util.regex.Pattern;

/** Tells code that a program wrote: nobody refactors it, its generator is changed instead. */
public final class Generated {
    /** Raised whenever another file is told: what was remembered of it was seen otherwise. */
    public static final int VERSION = 5;
    private static final int HEAD = 1500;
    private static final int TAIL = 300;
    /** A tool that writes one file from many says at its end where the map to them lies. */
    private static final String MADE_FROM = "\n//# sourceMappingURL=";
    private static final Pattern MARK = Pattern.compile("(?is).*\\b(automatically|auto-?)\\s*generated\\b.*"
            + "|.*\\bgenerated\\s+(by|from|code|file|automatically)\\b.*(do not|don't|never)\\s+(edit|modify|change).*"
            + "|.*(do not|don't|never)\\s+(edit|modify|change).*\\bgenerated\\b.*|.*@Generated\\b.*"
            + "|.*\\bgenerated\\s+(by|from)\\b.*\\b(changes|modifications|edits)\\b.*\\b(lost|overwritten)\\b.*");
    /** Where a part is generated, people write the rest. */
    private static final Pattern PARTLY = Pattern.compile("(?is).*\\b((first|last|latter|second|lower|upper|following)\\s+(part|half|section|portion)"
            + "|(parts?|sections?)\\s+of\\s+(this|the)\\s+(file|module))\\b.*");
    private static final Pattern FOLDER = Pattern.compile("(?i)(.*/)?generated(-sources|-src|_sources)?/.*");

    private Generated() {
    }

    /** By its folder, by what a comment at its head says, or by a last line that tells which sources it was made from. */
    public static boolean is(SourceText source) {
        String text = source.text();
        if (FOLDER.matcher(source.file().path()).matches() || text.substring(Math.max(0, text.length() - TAIL)).contains(MADE_FROM)) {
            return true;
        }
        String head = text.substring(0, Math.min(HEAD, text.length()));
        if (!head.toLowerCase(Locale.ROOT).contains("generated")) {
            return false;
        }
        String said = comments(head);
        return MARK.matcher(said).matches() && !PARTLY.matcher(said).matches();
    }

    /** Only what stands in comments or in the text at the head of a module counts. */
    private static String comments(String head) {
        StringBuilder said = new StringBuilder();
        boolean inside = false;
        for (String line : head.split("\n")) {
            String text = line.strip();
            boolean opens = text.startsWith("/*") || text.startsWith("\"\"\"");
            if (inside || opens || text.startsWith("//") || text.startsWith("#") || text.startsWith("@Generated")) {
                said.append(text).append(' ');
            }
            boolean closes = text.endsWith("*/") || text.endsWith("\"\"\"") && (!opens || text.length() > 3);
            inside = (inside || opens) && !closes;
        }
        return said.toString();
    }
}
