package driftwood.plan;

import com.github.difflib.DiffUtils;
import com.github.difflib.UnifiedDiffUtils;
import driftwood.pattern.Answer.Sketch;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Sketches as one unified diff. */
final class Diff {
    private static final int CONTEXT = 3;

    private Diff() {
    }

    /** Sketches of the same file are laid over one another: each was made from the same original. */
    static String of(List<Sketch> sketches) {
        Map<String, List<Sketch>> byFile = new LinkedHashMap<>();
        sketches.forEach(each -> byFile.computeIfAbsent(each.file(), key -> new ArrayList<>()).add(each));
        StringBuilder text = new StringBuilder();
        byFile.forEach((file, changes) -> {
            List<String> before = lines(changes.get(0).before());
            List<String> after = lines(changes.get(0).after());
            for (Sketch change : changes.subList(1, changes.size())) {
                after = merged(before, after, lines(change.after()));
            }
            List<String> diff = UnifiedDiffUtils.generateUnifiedDiff(before.isEmpty() ? "/dev/null" : "a/" + file,
                    "b/" + file, before, DiffUtils.diff(before, after), CONTEXT);
            diff.forEach(line -> text.append(line.replaceFirst("^@@ -1,0 ", "@@ -0,0 ")).append('\n'));
        });
        return text.toString();
    }

    /** Applies what one version changed to another made from the same original. */
    private static List<String> merged(List<String> before, List<String> one, List<String> other) {
        try {
            return DiffUtils.patch(one, DiffUtils.diff(before, other));
        } catch (com.github.difflib.patch.PatchFailedException e) {
            return fuzzy(before, one, other);
        }
    }

    private static List<String> fuzzy(List<String> before, List<String> one, List<String> other) {
        try {
            return DiffUtils.diff(before, other).applyFuzzy(one, CONTEXT);
        } catch (com.github.difflib.patch.PatchFailedException e) {
            return one;
        }
    }

    private static List<String> lines(String text) {
        return text.isEmpty() ? List.of() : Arrays.asList(text.stripTrailing().split("\n", -1));
    }
}
