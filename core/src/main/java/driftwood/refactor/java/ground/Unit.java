package driftwood.refactor.java.ground;

import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.util.TreeScanner;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.lang.model.element.Modifier;

/**
 * A source file with its tree, and how it is written.
 *
 * @param file relative path
 * @param text as it stands, with its own line ends
 * @param tree attributed
 */
public record Unit(String file, String text, CompilationUnitTree tree) {
    /** A longer line is read with difficulty, in characters. */
    private static final int WIDE = 120;
    private static final Pattern INDENTED = Pattern.compile("(?m)\\{[ \\t]*(?://.*)?\\r?\\n(?:[ \\t]*\\r?\\n)*([ \\t]+)[^\\s*]");

    private static final Pattern ALONE = Pattern.compile("(?m)^[ \\t]*\\{[ \\t]*\\r?$");
    private static final Pattern BEHIND = Pattern.compile("(?m)[\\w)>\\]] \\{[ \\t]*\\r?$");
    /** A brace that opens a body, and what may close one before it on the same line: no lambda, no list of values. */
    private static final Pattern OPENS = Pattern.compile("(?m)^([ \\t]*)(\\} )?((?!//|\\*).*[\\w)>\\]])(?<!->) \\{$");

    /** The line of an offset, from 1. */
    public int line(int offset) {
        int line = 1;
        for (int i = 0; i < offset && i < text.length(); i++) {
            line += text.charAt(i) == '\n' ? 1 : 0;
        }
        return line;
    }

    /** What ends its lines. */
    public String newLine() {
        int first = text.indexOf('\n');
        return first > 0 && text.charAt(first - 1) == '\r' ? "\r\n" : "\n";
    }

    /** What one level of indentation is. */
    public String indent() {
        Matcher first = INDENTED.matcher(text);
        return first.find() ? first.group(1).startsWith("\t") ? "\t" : first.group(1).replace("\t", "") : "    ";
    }

    /** Whether most parameters of its routines are final. */
    public boolean hasFinalParameters() {
        int[] counts = {0, 0};
        new TreeScanner<Void, Void>() {
            @Override
            public Void visitMethod(MethodTree routine, Void nothing) {
                if (routine.getBody() != null) {
                    routine.getParameters().forEach(each -> counts[each.getModifiers().getFlags().contains(Modifier.FINAL) ? 0 : 1]++);
                }
                return super.visitMethod(routine, nothing);
            }
        }.scan(tree, null);
        return counts[0] > counts[1];
    }

    /** What a parameter begins with that is never given another value, as the others of the file do; with the space behind it, or empty. */
    public String fixed() {
        return hasFinalParameters() ? "final " : "";
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

    /** The white space that the line of an offset begins with. */
    public String indentAt(int offset) {
        int start = lineStart(offset);
        int at = start;
        while (at < text.length() && (text.charAt(at) == ' ' || text.charAt(at) == '\t')) {
            at++;
        }
        return text.substring(start, at);
    }

    /**
     * A chain of calls, on one line where there is room, else each step on a line of its own.
     *
     * @param at    offset at which it begins
     * @param steps each with its dot
     */
    public String chain(int at, String head, List<String> steps) {
        String whole = head + String.join("", steps);
        int column = text.substring(lineStart(at), at).replace("\t", indent().repeat(indent().equals("\t") ? 4 : 1)).length();
        if (steps.size() < 3 || column + whole.length() <= WIDE || whole.contains("\n")) {
            return whole;
        }
        String further = newLine() + indentAt(at) + indent().repeat(2);
        return head + further + String.join(further, steps);
    }

    /** Whether most of its braces begin a line of their own. */
    public boolean hasBracesAlone() {
        return ALONE.matcher(text).results().count() > BEHIND.matcher(text).results().count();
    }

    /** Code in which braces stand as in this file. @param code as {@link #styled} takes it */
    private String braced(String code) {
        if (!code.contains(" {") || code.contains("\"\"\"") || !hasBracesAlone()) {
            return code;
        }
        return OPENS.matcher(code).replaceAll(line -> Matcher.quoteReplacement(line.group(1) + (line.group(2) == null ? "" : "}\n" + line.group(1))
                + line.group(3) + "\n" + (isRest(line.group(3)) ? begun(code.substring(0, line.start(3) + line.group(3).lastIndexOf(')') + 1)) : line.group(1)) + "{"));
    }

    /** Whether a line closes a parenthesis of one before it. */
    private static boolean isRest(String line) {
        return line.chars().filter(each -> each == ')').count() > line.chars().filter(each -> each == '(').count();
    }

    /** The indentation of the line on which the parenthesis was opened that ends some code. */
    private static String begun(String code) {
        int open = 0;
        for (int i = code.length() - 1; i >= 0; i--) {
            open += code.charAt(i) == ')' ? 1 : code.charAt(i) == '(' ? -1 : 0;
            if (open == 0) {
                String line = code.substring(code.lastIndexOf('\n', i) + 1);
                return line.substring(0, line.length() - line.stripLeading().length());
            }
        }
        return "";
    }

    /**
     * Lines in the manner of this file.
     *
     * @param code written with four blanks a level and line feeds
     * @param base what each line begins with
     */
    public String styled(String code, String base) {
        StringBuilder all = new StringBuilder();
        String unit = indent();
        String[] lines = braced(code).split("\n", -1);
        for (int i = 0; i < lines.length; i++) {
            String bare = lines[i].stripLeading();
            int blanks = lines[i].length() - bare.length();
            all.append(i == 0 ? "" : newLine());
            if (!bare.isBlank()) {
                all.append(base).append(lines[i].startsWith("\t") ? lines[i].substring(0, blanks)
                        : unit.repeat(blanks / 4) + " ".repeat(blanks % 4)).append(bare.replace("\r", ""));
            }
        }
        return all.toString();
    }

    /** A stretch of code of this file, as {@link #styled} takes it: without the indentation of its own first line. */
    public String bare(int from, int to) {
        return bare(text.substring(from, to), indentAt(from));
    }

    /** @param own the indentation that its lines have beyond what is their own */
    public String bare(String code, String own) {
        String unit = indent();
        StringBuilder all = new StringBuilder();
        String[] lines = code.replace("\r", "").split("\n", -1);
        for (int i = 0; i < lines.length; i++) {
            String line = i > 0 && lines[i].startsWith(own) ? lines[i].substring(own.length()) : i > 0 ? lines[i].stripLeading() : lines[i];
            int levels = 0;
            while (line.startsWith(unit, levels * unit.length())) {
                levels++;
            }
            all.append(i == 0 ? "" : "\n").append(i == 0 ? line : "    ".repeat(levels) + line.substring(levels * unit.length()));
        }
        return all.toString();
    }
}
