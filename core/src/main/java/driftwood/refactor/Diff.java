package driftwood.refactor;

import com.github.difflib.DiffUtils;
import com.github.difflib.UnifiedDiffUtils;
import com.github.difflib.patch.AbstractDelta;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Unified diffs that {@code git apply} takes: line ends, and a last line without one, are kept. */
public final class Diff {
    private static final int CONTEXT = 3;
    private static final String NO_END = "\\ No newline at end of file";
    private static final String NOWHERE = "/dev/null";

    private Diff() {
    }

    /**
     * What changes.
     *
     * @param before texts by path; empty for a file that is not there
     * @param after  the same; its order is kept
     */
    public static String of(Map<String, Optional<String>> before, Map<String, Optional<String>> after) {
        StringBuilder all = new StringBuilder();
        after.forEach((file, now) -> {
            Optional<String> was = before.getOrDefault(file, Optional.empty());
            if (!was.equals(now)) {
                all.append(one(file, was, now));
            }
        });
        return all.toString();
    }

    /** What of a text changes: bit 2n + 1 for its line n, counted from 0, and bit 2n where something is put before that. */
    static BitSet changed(String before, String after) {
        BitSet lines = new BitSet();
        DiffUtils.diff(before.lines().toList(), after.lines().toList()).getDeltas().stream().map(AbstractDelta::getSource)
                .forEach(each -> lines.set(2 * each.getPosition() + (each.size() == 0 ? 0 : 1), 2 * (each.getPosition() + each.size()) + (each.size() == 0 ? 1 : 0)));
        return lines;
    }

    private static String one(String file, Optional<String> was, Optional<String> now) {
        List<String> old = lines(was);
        List<String> fresh = lines(now);
        List<String> diff = UnifiedDiffUtils.generateUnifiedDiff(was.isPresent() ? "a/" + file : NOWHERE, now.isPresent() ? "b/" + file : NOWHERE,
                old, DiffUtils.diff(old, fresh), CONTEXT);
        StringBuilder text = new StringBuilder("diff --git a/").append(file).append(" b/").append(file).append('\n');
        text.append(was.isEmpty() ? "new file mode 100644\n" : now.isEmpty() ? "deleted file mode 100644\n" : "");
        for (String line : diff) {
            String header = line.startsWith("@@") ? line.replaceFirst("^@@ -1,0 ", "@@ -0,0 ").replaceFirst(" \\+1,0 @@", " +0,0 @@") : line;
            text.append(header.replace(UNENDED, "")).append('\n');
            if (header.endsWith(UNENDED)) {
                text.append(NO_END).append('\n');
            }
        }
        return text.toString();
    }

    /** Marks a last line without an end, so that it differs from one that has it. */
    private static final String UNENDED = "\u0000";

    private static List<String> lines(Optional<String> text) {
        if (text.isEmpty() || text.get().isEmpty()) {
            return List.of();
        }
        List<String> lines = new ArrayList<>(Arrays.asList(text.get().split("\n", -1)));
        String last = lines.remove(lines.size() - 1);
        if (!last.isEmpty()) {
            lines.add(last + UNENDED);
        }
        return lines;
    }
}
