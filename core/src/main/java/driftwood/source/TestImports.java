package driftwood.source;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Tells tests by what they import. Who makes a library for tests imports its own packages, and is none.
 *
 * @param packages each ending in a dot
 */
record TestImports(List<String> packages) {
    static final TestImports NONE = new TestImports(List.of());

    private static final Pattern IMPORT = Pattern.compile("(package|import|from)(?: +static)? +([\\w.]+)");
    /** What a declaration of a type begins with: below it nothing is imported. */
    private static final List<String> TYPE = List.of("public ", "abstract ", "final ", "class ", "interface ", "enum ", "record ", "@interface ");
    private static final String MAIN = "src/main/";

    /** Whether they are imported, in code that does not lie where a build keeps what it ships. */
    boolean are(String path, String text) {
        if (packages.isEmpty() || path.contains(MAIN)) {
            return false;
        }
        Matcher line = IMPORT.matcher(text);
        String own = "";
        int at = 0;
        do {
            boolean says = text.startsWith("import", at) || text.startsWith("package", at) || text.startsWith("from", at);
            if (says && line.region(at, text.length()).lookingAt()) {
                String name = line.group(2) + ".";
                String mine = own;
                own = line.group(1).equals("package") ? name : own;
                if (!line.group(1).equals("package") && packages.stream().anyMatch(each -> name.startsWith(each) && !mine.startsWith(each))) {
                    return true;
                }
            }
            at = text.indexOf('\n', at) + 1;
        } while (at > 0 && at < text.length() && !begins(text, at));
        return false;
    }

    private static boolean begins(String text, int at) {
        for (String each : TYPE) {
            if (text.startsWith(each, at)) {
                return true;
            }
        }
        return false;
    }
}
