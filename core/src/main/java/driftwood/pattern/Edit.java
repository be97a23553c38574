package driftwood.pattern;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Collects the edits of one file, told by lines, with the file's own indentation. Lines keep the numbers of the original. */
final class Edit {
    private final String file;
    private final String text;
    private final List<String> lines;
    private final List<Integer> starts = new ArrayList<>();
    private final List<Change.Edit> edits = new ArrayList<>();
    private final String unit;

    Edit(String file, List<String> before) {
        this.file = file;
        this.lines = before;
        this.text = String.join("\n", before);
        int at = 0;
        for (String line : before) {
            starts.add(at);
            at += line.length() + 1;
        }
        this.unit = before.stream().anyMatch(line -> line.startsWith("\t")) ? "\t" : "    ";
    }

    /** Replaces lines, keeping the indentation of the first. @throws IllegalArgumentException where there is no such line */
    Edit replace(int line, int endLine, List<String> with) {
        int from = start(line);
        int to = start(endLine) + lines.get(endLine - 1).length();
        edits.add(new Change.Edit(file, from, to, indented(with, indentOf(line)), "the lines " + line + " to " + endLine));
        return this;
    }

    /** Puts lines before the closing brace of a type, indented as its members. @param endLine the line of that brace */
    Edit insertAtEnd(int endLine, List<String> with) {
        int end = start(endLine) + lines.get(endLine - 1).length();
        int brace = text.lastIndexOf('}', end);
        String indent = indentOf(endLine);
        boolean alone = brace >= start(endLine) && text.substring(start(endLine), brace).isBlank();
        int at = alone ? start(endLine) : Math.max(brace, start(endLine));
        edits.add(new Change.Edit(file, at, at, "\n" + (alone ? "" : "\n") + indented(with, indent + unit) + "\n" + (alone ? "" : indent),
                "members at the end of line " + endLine));
        return this;
    }

    private int start(int line) {
        if (line < 1 || line > lines.size()) {
            throw new IllegalArgumentException(file + " has no line " + line);
        }
        return starts.get(line - 1);
    }

    private String indented(List<String> with, String indent) {
        return String.join("\n", with.stream().map(each -> each.isEmpty() ? "" : indent + own(each)).toList());
    }

    /** Sketches are written with four blanks a level. */
    private String own(String line) {
        String bare = line.stripLeading();
        return unit.repeat((line.length() - bare.length()) / 4) + bare;
    }

    private String indentOf(int line) {
        String whole = lines.get(line - 1);
        return whole.substring(0, whole.length() - whole.stripLeading().length());
    }

    Change sketch() {
        return new Change(List.copyOf(edits), Map.of());
    }

    /** A file that is not there yet. */
    static Change added(String file, String text) {
        return new Change(List.of(), Map.of(file, text));
    }

    /** All of some changes. */
    static Change all(List<Change> changes) {
        return changes.stream().reduce(Change.NONE, Change::and);
    }
}
