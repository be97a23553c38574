package driftwood.refactor.java.ground;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Code that is put together, with four blanks a level; {@link Unit#styled} gives it the manner of its file. */
public final class Code {
    private static final Pattern PARTS = Pattern.compile("\"\"\"[\\s\\S]*?\"\"\"|\"(?:\\\\.|[^\"\\\\])*\"|'(?:\\\\.|[^'\\\\])*'|\\s+");

    private Code() {
    }

    /** A body in braces, with the blank before it. @param body without indentation; empty for none */
    public static String block(String body) {
        return body.isEmpty() ? " {\n}" : " {\n    " + deeper(body) + "\n}";
    }

    /** The same one level deeper, but for the first line. */
    public static String deeper(String code) {
        return code.replace("\n", "\n    ");
    }

    /** Code without its white space, but for that in literals: the same for code that differs in layout alone. */
    public static String compact(String code) {
        Matcher parts = PARTS.matcher(code);
        return parts.replaceAll(each -> each.group().isBlank() ? "" : Matcher.quoteReplacement(each.group()));
    }
}
