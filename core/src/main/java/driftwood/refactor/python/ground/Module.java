package driftwood.refactor.python.ground;

import driftwood.read.python.PythonReader;
import driftwood.read.sitter.Cst;
import driftwood.read.sitter.Grammar.Parsed;
import driftwood.smell.Evidence;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A Python file: its text, its syntax, and how it is written. */
public final class Module {
    private static final Pattern INDENTED = Pattern.compile("(?m):[ \\t]*(?:#.*)?\\r?\\n(?:[ \\t]*\\r?\\n)*([ \\t]+)\\S");
    private final String file;
    private final String text;
    private final boolean test;
    private final Parsed parsed;
    private List<Cst> texts;

    /** @param file relative path @param test whether it is test code */
    public Module(String file, String text, boolean test) {
        this.file = file;
        this.text = text;
        this.test = test;
        this.parsed = PythonReader.syntax(text);
    }

    public String file() {
        return file;
    }

    public String text() {
        return text;
    }

    public boolean isTest() {
        return test;
    }

    public Cst root() {
        return parsed.root();
    }

    /** Whether its syntax is right, all of it. */
    public boolean isSound() {
        return parsed.sound();
    }

    public String text(Cst node) {
        return node.text(text);
    }

    /** The nodes around an offset, the module first, the innermost last. */
    public List<Cst> path(int offset) {
        List<Cst> path = new ArrayList<>(List.of(root()));
        Optional<Cst> next = Optional.of(root());
        while (next.isPresent()) {
            next = next.get().inner().stream().filter(each -> each.start() <= offset && offset < each.end()).findFirst();
            next.ifPresent(path::add);
        }
        return path;
    }

    /** All nodes of a kind below another, in order; those within others of the kind too. */
    public static List<Cst> all(Cst from, String kind) {
        List<Cst> found = new ArrayList<>();
        gather(from, kind, found);
        return found;
    }

    private static void gather(Cst node, String kind, List<Cst> found) {
        if (node.is(kind)) {
            found.add(node);
        }
        node.inner().forEach(each -> gather(each, kind, found));
    }

    /** A declaration of a name that has a line in it. @param kind such as {@code class_definition} @param line from 1 */
    public Optional<Cst> declared(String kind, String name, int line) {
        return all(root(), kind).stream().filter(each -> each.part("name").map(this::text).orElse("").equals(name)
                && line(around(each).start()) <= line && line <= line(each.end())).findFirst();
    }

    /** A declaration with its decorators. */
    public Cst around(Cst declaration) {
        List<Cst> path = path(declaration.start());
        int at = path.indexOf(declaration);
        return at > 0 && path.get(at - 1).is("decorated_definition") ? path.get(at - 1) : declaration;
    }

    /** The line of an offset, from 1. */
    public int line(int offset) {
        int line = 1;
        for (int i = 0; i < offset && i < text.length(); i++) {
            line += text.charAt(i) == '\n' ? 1 : 0;
        }
        return line;
    }

    public Evidence place(Cst node, String note) {
        return new Evidence(file, line(node.start()), line(Math.max(node.start(), node.end() - 1)), note);
    }

    /** What ends its lines. */
    public String newLine() {
        int first = text.indexOf('\n');
        return first > 0 && text.charAt(first - 1) == '\r' ? "\r\n" : "\n";
    }

    /** What one level of indentation is. */
    public String indent() {
        Matcher first = INDENTED.matcher(text);
        return first.find() ? first.group(1).startsWith("\t") ? "\t" : first.group(1) : "    ";
    }

    /** The white space that the line of an offset begins with. */
    public String indentAt(int offset) {
        int start = lineStart(offset);
        int at = start;
        while (at < text.length() && (text.charAt(at) == ' ' || text.charAt(at) == '\t')) {
            at++;
        }
        return text.substring(start, at);
    }

    /** Offset of the first character of the line of an offset. */
    public int lineStart(int offset) {
        return text.lastIndexOf('\n', offset - 1) + 1;
    }

    /** Offset behind the line end of the line of an offset. */
    public int lineEnd(int offset) {
        int end = text.indexOf('\n', offset);
        return end < 0 ? text.length() : end + 1;
    }

    /** Whether a name has a value where something at the top of the module begins: declared, set or imported before it. */
    public boolean isKnownBefore(String name, int offset) {
        return root().inner().stream().filter(each -> each.end() <= offset).anyMatch(each -> Names.of(this, List.of(each)).bound().contains(name));
    }

    /** Whether nothing but white space stands before an offset on its line. */
    public boolean beginsLine(int offset) {
        return text.substring(lineStart(offset), offset).isBlank();
    }

    /**
     * Whole lines, moved to another indentation; lines that begin inside a text stay as they are.
     *
     * @param from   offset of the first
     * @param to     offset behind the last
     * @param indent of the first that is not blank
     * @return without the last line end
     */
    public String moved(int from, int to, String indent) {
        String old = null;
        StringBuilder moved = new StringBuilder();
        int at = from;
        while (at < to) {
            int end = Math.min(lineEnd(at), to);
            String line = text.substring(at, end);
            if (old == null && !line.isBlank()) {
                old = indentAt(at);
            }
            if (old == null || line.isBlank() || isWithinText(at)) {
                moved.append(line);
            } else {
                moved.append(indent).append(line.startsWith(old) ? line.substring(old.length()) : line.stripLeading());
            }
            at = end;
        }
        return moved.toString().replaceFirst("\\s+$", "").replaceFirst("^(?:[ \\t]*\\r?\\n)+", "");
    }

    private boolean isWithinText(int offset) {
        if (texts == null) {
            texts = all(root(), "string");
        }
        return texts.stream().anyMatch(each -> each.start() < offset && offset < each.end());
    }
}
