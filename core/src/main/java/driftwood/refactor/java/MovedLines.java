package driftwood.refactor.java;

import driftwood.pack.Packing;
import driftwood.refactor.Refactoring;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.Stage;
import driftwood.smell.Finding;
import java.util.Map;
import java.util.Set;

/** Where lines have gone to while a script edited their files. */
final class MovedLines {
    private static final Packing<Finding> FINDING = Packing.of(Finding.class);

    private final Script script;
    private final Map<String, String> originals;
    private final Set<String> edited;

    /** @param originals texts before, by relative path @param edited the files that the script changes */
    MovedLines(Script script, Map<String, String> originals, Set<String> edited) {
        this.script = script;
        this.originals = originals;
        this.edited = edited;
    }

    /** A finding as it stands now. */
    Finding forth(Finding finding) {
        return FINDING.unpack(FINDING.pack(finding, this::forth))
                .orElseThrow(() -> new Refused("nobody can say where the decision stands once its kinds have a type"));
    }

    private int forth(String file, int line) {
        return edited.contains(file) ? 1 + feeds(script.text(file, 0, offset(originals.get(file), line))) : line;
    }

    /** The last line that has gone no further than to a line of now. */
    private int back(String file, int now) {
        if (!edited.contains(file)) {
            return now;
        }
        int low = 1;
        int high = 1 + feeds(originals.get(file));
        while (low < high) {
            int middle = (low + high + 1) / 2;
            if (forth(file, middle) <= now) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return low;
    }

    /** A refactoring of the files as they stand now, its places told by the lines of before. */
    Refactoring back(Refactoring refactoring) {
        return new Refactoring(refactoring.stages().stream().map(stage -> new Stage(stage.does(), stage.places().stream().map(each -> each.moved(line -> back(each.file(), line))).toList(),
                stage.files(), stage.meant())).toList(), refactoring.originals(), refactoring.meant(), refactoring.gone(), refactoring.closed(), refactoring.counts(), refactoring.kinds(),
                refactoring.next().stream().map(each -> each.moved(line -> back(each.file(), line))).toList(), refactoring.played());
    }

    private static int feeds(String text) {
        return (int) text.chars().filter(each -> each == '\n').count();
    }

    private static int offset(String text, int line) {
        int at = 0;
        for (int i = 1; i < line && text.indexOf('\n', at) >= 0; i++) {
            at = text.indexOf('\n', at) + 1;
        }
        return at;
    }
}
