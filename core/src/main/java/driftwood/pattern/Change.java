package driftwood.pattern;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A change of source texts, by offsets. Edits of one file are made all at once, to the same original.
 *
 * @param edits of files that are there
 * @param added new files, by their relative path
 */
public record Change(List<Edit> edits, Map<String, String> added) {
    /** Changes nothing. */
    public static final Change NONE = new Change(List.of(), Map.of());

    /**
     * What replaces a stretch of a file.
     *
     * @param file  relative path
     * @param from  offset of its first character
     * @param to    offset behind its last one; the same as {@code from} where text is inserted
     * @param text  what stands there then
     * @param cause what the edit is for, in two or three words
     */
    public record Edit(String file, int from, int to, String text, String cause) {
    }

    /** Two edits want the same stretch. The message says both causes. */
    public static final class Overlap extends Exception {
        private static final long serialVersionUID = 1;

        Overlap(Edit one, Edit other) {
            super("two changes of " + one.file() + " do not fit together: " + one.cause() + ", and " + other.cause());
        }
    }

    /** Both changes. */
    public Change and(Change other) {
        List<Edit> both = new ArrayList<>(edits);
        both.addAll(other.edits);
        Map<String, String> all = new LinkedHashMap<>(added);
        all.putAll(other.added);
        return new Change(both, all);
    }

    /** The paths of the files that are edited, in the order of the edits. */
    public List<String> edited() {
        return edits.stream().map(Edit::file).distinct().toList();
    }

    /**
     * The text of a file after the change.
     *
     * @param before its text, with the line ends that the offsets count
     * @throws Overlap where two edits replace the same stretch
     */
    public String after(String file, String before) throws Overlap {
        List<Edit> own = new ArrayList<>(edits.stream().filter(each -> each.file().equals(file)).distinct().toList());
        own.sort(Comparator.comparingInt(Edit::from).thenComparingInt(Edit::to));
        StringBuilder text = new StringBuilder();
        int at = 0;
        Edit last = null;
        for (Edit each : own) {
            if (each.from() < at) {
                throw new Overlap(last, each);
            }
            text.append(before, at, each.from()).append(each.text());
            at = each.to();
            last = each;
        }
        return text.append(before.substring(at)).toString();
    }
}
