package driftwood.pattern;

import driftwood.pattern.Answer.Sketch;
import java.util.ArrayList;
import java.util.List;

/** Edits the lines of one file for a sketch. Lines keep the numbers of the original until the end. */
final class Edit {
    private final String file;
    private final List<String> before;
    private final List<List<String>> lines = new ArrayList<>();

    Edit(String file, List<String> before) {
        this.file = file;
        this.before = before;
        before.forEach(line -> lines.add(List.of(line)));
    }

    /** Replaces lines, keeping the indentation of the first. */
    Edit replace(int line, int endLine, List<String> with) {
        if (line < 1 || line > lines.size()) {
            return this;
        }
        List<String> fresh = new ArrayList<>();
        with.forEach(each -> fresh.add(each.isEmpty() ? "" : indentOf(line) + each));
        lines.set(line - 1, fresh);
        for (int i = line; i < Math.min(endLine, lines.size()); i++) {
            lines.set(i, List.of());
        }
        return this;
    }

    /** Puts lines before the closing brace of a type, indented as its members. */
    Edit insertAtEnd(int endLine, List<String> with) {
        if (endLine < 1 || endLine > lines.size()) {
            return this;
        }
        List<String> fresh = new ArrayList<>(List.of(""));
        with.forEach(each -> fresh.add(each.isEmpty() ? "" : indentOf(endLine) + "    " + each));
        fresh.addAll(lines.get(endLine - 1));
        lines.set(endLine - 1, fresh);
        return this;
    }

    private String indentOf(int line) {
        String text = before.get(line - 1);
        return text.substring(0, text.length() - text.stripLeading().length());
    }

    Sketch sketch() {
        List<String> after = new ArrayList<>();
        lines.forEach(after::addAll);
        return new Sketch(file, String.join("\n", before), String.join("\n", after));
    }
}
