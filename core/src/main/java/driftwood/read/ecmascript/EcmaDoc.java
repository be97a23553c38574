package driftwood.read.ecmascript;

import driftwood.read.AssignedFields.Told;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Types as the comment before a routine says them, where the code does not: {@code @param {Pilot} pilot}, {@code @returns {?Pilot}}. */
final class EcmaDoc {
    /** Between a comment and its routine stand such words, and decorators, at most. */
    private static final Pattern BETWEEN = Pattern.compile("\\s*((export|default|async|static|get|set|public|private|protected|abstract|override)\\s+)*"
            + "((const|let|var)\\s+[\\w$]+\\s*=\\s*(async\\s*)?|[\\w$.]+\\s*=\\s*)?");
    /** No farther is looked. */
    private static final int NEAR = 160;
    private static final int LONGEST = 4000;

    private EcmaDoc() {
    }

    /** The comment that ends right before a place; empty where none does. */
    static String before(String source, int at) {
        int from = Math.max(0, at - NEAR);
        String near = source.substring(from, at);
        int behind = near.lastIndexOf("*/");
        if (behind < 0 || !BETWEEN.matcher(near.substring(behind + 2)).matches()) {
            return "";
        }
        int end = from + behind;
        String comment = source.substring(Math.max(0, end - LONGEST), end);
        int begin = comment.lastIndexOf("/**");
        return begin < 0 ? "" : comment.substring(begin);
    }

    static Told parameter(String comment, String name) {
        return said(comment, "@param\\s*\\{([^{}]*)}\\s*\\[?" + Pattern.quote(name) + "\\b");
    }

    static Told result(String comment) {
        return said(comment, "@returns?\\s*\\{([^{}]*)}");
    }

    private static Told said(String comment, String pattern) {
        Matcher found = comment.isEmpty() ? null : Pattern.compile(pattern).matcher(comment);
        if (found == null || !found.find()) {
            return Told.NOTHING;
        }
        String written = found.group(1).strip();
        boolean nullable = written.startsWith("?");
        Told told = EcmaTypes.of(written.replaceFirst("^[?!]", "").replaceFirst("=$", "").replaceFirst("^import\\([^)]*\\)\\.", "").replaceFirst("^\\((.*)\\)$", "$1"));
        return nullable ? new Told(told.type(), true) : told;
    }
}
