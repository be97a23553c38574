package driftwood.read.java;

import driftwood.read.SketchCheck;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Compiles changed Java in memory, once as it is and once as it would be, and tells the errors that are new: libraries
 * that are not at hand are missing both times.
 */
final class JavaCheck implements SketchCheck {
    private static final Pattern UNKNOWN = Pattern.compile("symbol:\\s+\\w+\\s+(\\w+)|^(\\w+)(?:\\([^)]*\\))? has private access in ");

    @Override
    public List<Complaint> complaints(Path root, Map<String, String> sources, Map<String, String> before, Map<String, String> after) {
        Set<Path> roots = Compilation.roots(root, sources);
        try {
            List<Complaint> old = errors(before, roots);
            List<Complaint> fresh = new ArrayList<>();
            for (Complaint each : errors(after, roots)) {
                if (!old.remove(each)) {
                    fresh.add(each);
                }
            }
            return fresh;
        } catch (RuntimeException | StackOverflowError | AssertionError e) {
            // A compiler that gives up has checked nothing.
            return List.of(new Complaint("", "", "the compiler gave up on it"));
        }
    }

    private static List<Complaint> errors(Map<String, String> texts, Set<Path> roots) {
        List<Complaint> errors = new ArrayList<>();
        for (Compilation.Trouble each : Compilation.of(texts, roots, List.of()).troubles()) {
            Matcher unknown = UNKNOWN.matcher(each.message());
            String name = !unknown.find() ? "" : unknown.group(1) != null ? unknown.group(1) : unknown.group(2);
            errors.add(new Complaint(each.file(), name, each.message().lines().findFirst().orElse("")));
        }
        return errors;
    }
}
