package driftwood.read.kotlin;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Kotlin as its grammar knows it: what the grammar does not understand is written otherwise, at the same length. What
 * stands for what is told by the text that is really there.
 */
final class KotlinSpelling {
    private static final Pattern HEADER = Pattern.compile("(\\bclass\\s+\\w+(?:<[^>{}]*>)?)(\\s+(?:@\\w+\\s+)*(?:(?:internal|private|protected|public)\\s+)?(?:actual\\s+|expect\\s+)?"
            + "constructor\\s*)(?=\\()");
    private static final Pattern RANGE_ARM = Pattern.compile("(?m)^[ \\t]*!?in\\s[^\\n]*->");
    /** A line that ends with what an arm does: none that opens the selection, and none that goes on with conditions. */
    private static final Pattern BODY_BEFORE = Pattern.compile("[^\\n]*?[^\\s{,(>;]\\s*(//[^\\n]*|/\\*[^\\n]*\\*/\\s*)?\\n");
    /** A text at the end of an arm, behind else. */
    private static final Pattern LAST_TEXT = Pattern.compile("(?m)->[^\\n]*\\belse[ \\t]+(\"(?:[^\"\\\\\\n$]|\\\\.)*\")[ \\t]*$");
    /** A type within another, both closed on one line. */
    private static final Pattern CLOSED = Pattern.compile("(?m)^[^\\n\"']*\\b(?:object|class|interface)\\b[^\\n\"']*\\{[^\\n\"']*\\} \\}[ }]*$");
    private static final Pattern TEXT = Pattern.compile("\"(?:[^\"\\\\]|\\\\.)*\"");
    /** Further back than that nobody begins what is assigned. */
    private static final int FAR = 400;

    private KotlinSpelling() {
    }

    /** The same text, at the same length. */
    static String of(String text) {
        // A part of a constructor that carries out what is declared for every platform is a part.
        String plain = text.replace("fun interface ", "    interface ").replace("..<", ".. ").replace("actual val ", "       val ")
                .replace("actual var ", "       var ");
        if (plain.contains("constructor")) {
            plain = HEADER.matcher(plain).replaceAll(found -> Matcher.quoteReplacement(found.group(1) + " ".repeat(found.group(2).length())));
        }
        if (plain.contains("else \"")) {
            plain = LAST_TEXT.matcher(plain).replaceAll(found -> Matcher.quoteReplacement(found.group().substring(0, found.start(1) - found.start())
                    + "_".repeat(found.group(1).length()) + found.group().substring(found.end(1) - found.start())));
        }
        if (plain.contains("} }")) {
            plain = CLOSED.matcher(plain).replaceAll(found -> Matcher.quoteReplacement(found.group().replaceAll("(?<=\\}) (?=\\})", "\n")));
        }
        return separated(indexed(plain));
    }

    /**
     * To the grammar a call is nothing that can be assigned to or stand before the arrow of an arm: {@code bill().paid = true},
     * {@code vessel.fits(berth) ->}. With brackets it is, though not with an exclamation mark before it.
     */
    private static String indexed(String text) {
        StringBuilder changed = new StringBuilder(text);
        for (int i = 1; i < text.length(); i++) {
            boolean arm = text.charAt(i) == '>' && text.charAt(i - 1) == '-';
            if (arm || text.charAt(i) == '=' && assigns(text, i)) {
                int at = arm || "+-*/%".indexOf(text.charAt(i - 1)) >= 0 ? i - 2 : i - 1;
                while (at > 0 && Character.isWhitespace(text.charAt(at))) {
                    at--;
                }
                if (at > 0 && (arm ? text.charAt(at) == ')' : text.charAt(at) != ')')) {
                    bracket(text, at, arm, changed);
                }
            }
        }
        return changed.toString();
    }

    /** Whether an equals sign is one of an assignment, as far as its neighbours tell. */
    private static boolean assigns(String text, int at) {
        char next = at + 1 < text.length() ? text.charAt(at + 1) : ' ';
        return next != '=' && next != '>' && "=!<>".indexOf(text.charAt(at - 1)) < 0;
    }

    /** Gives brackets to the calls in what ends somewhere: all in what is assigned to, the last before an arrow. */
    private static void bracket(String text, int end, boolean arm, StringBuilder changed) {
        int least = Math.max(0, end - FAR);
        int at = end;
        while (at >= least && (isWord(text.charAt(at)) || ".?!])".indexOf(text.charAt(at)) >= 0)) {
            char each = text.charAt(at);
            int open = each == ')' || each == ']' ? opening(text, at, least) : at;
            boolean call = each == ')' && open > 0 && isWord(text.charAt(open - 1)) && !isKeyword(text, open);
            if (open < 0 || each == ')' && !call) {
                break;
            }
            if (call && (!arm || at == end) && isPlain(text, open, at)) {
                boolean empty = open + 1 == at;
                changed.setCharAt(open, empty ? '!' : '[');
                changed.setCharAt(at, empty ? '!' : ']');
            }
            at = open - 1;
        }
        if (arm && text.charAt(at + 1) == '!' && changed.charAt(end) != ')') {
            changed.setCharAt(at + 1, '-');
        }
    }

    private static boolean isWord(char each) {
        return Character.isJavaIdentifierPart(each) || each == '`';
    }

    /** Whether what stands before a parenthesis is a word of the language. */
    private static boolean isKeyword(String text, int open) {
        int from = open;
        while (from > 0 && isWord(text.charAt(from - 1))) {
            from--;
        }
        return text.substring(from, open).matches("if|when|while|for|catch|constructor|init|fun|is|as|in");
    }

    /** Brackets hold no names of parameters and no arguments over several lines. */
    private static boolean isPlain(String text, int open, int close) {
        String inside = TEXT.matcher(text.substring(open + 1, close)).replaceAll("0");
        return !inside.matches("(?s).*[^=!<>]=[^=].*") && inside.indexOf('\n') < 0 && (inside.isEmpty() || !inside.isBlank());
    }

    /** Where the bracket that closes here was opened, outside of texts; negative where it is too far. */
    private static int opening(String text, int close, int least) {
        int depth = 0;
        for (int at = close; at >= least; at--) {
            char each = text.charAt(at);
            if (each == '"') {
                at = beginning(text, at);
            }
            depth += each == ')' || each == ']' ? 1 : each == '(' || each == '[' ? -1 : 0;
            if (depth == 0) {
                return at;
            }
        }
        return -1;
    }

    /** Where the text began that ends here, or before the beginning where it has none. */
    private static int beginning(String text, int end) {
        int at = text.lastIndexOf('"', end - 1);
        while (at > 0 && text.charAt(at - 1) == '\\') {
            at = text.lastIndexOf('"', at - 1);
        }
        return at;
    }

    /** An arm that begins with a range goes on with the arm above, as far as the grammar sees: a semicolon takes the place of the line end or remark between them. */
    private static String separated(String text) {
        Matcher arm = RANGE_ARM.matcher(text);
        StringBuilder separated = null;
        while (arm.find()) {
            Matcher before = BODY_BEFORE.matcher(text).region(text.lastIndexOf('\n', Math.max(0, arm.start() - 2)) + 1, arm.start());
            if (before.matches()) {
                separated = separated == null ? new StringBuilder(text) : separated;
                int from = before.start(1) >= 0 ? before.start(1) : arm.start() - 1;
                for (int i = from; i < arm.start() - 1; i++) {
                    separated.setCharAt(i, ' ');
                }
                separated.setCharAt(from, ';');
            }
        }
        return separated == null ? text : separated.toString();
    }
}
