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
    /** A part of a constructor that carries out what is declared for every platform. */
    private static final Pattern ACTUAL = Pattern.compile("\\bactual (?=va[lr]\\b)");

    private static final Pattern RANGE_ARM = Pattern.compile("(?m)^[ \\t]*!?in\\s[^\\n]*->");
    /** A line that ends with what an arm does: none that opens the selection, and none that goes on with conditions. */
    private static final Pattern BODY_BEFORE = Pattern.compile("[^\\n]*?[^\\s{,(>;]\\s*(//[^\\n]*|/\\*[^\\n]*\\*/\\s*)?\\n");
    /** A text at the end of an arm, behind else. */
    private static final Pattern LAST_TEXT = Pattern.compile("(?m)->[^\\n]*\\belse[ \\t]+(\"(?:[^\"\\\\\\n$]|\\\\.)*\")[ \\t]*$");
    /** An assignment, or the arrow of an arm, behind something that ends with a call or has one in it. */
    private static final Pattern TARGET = Pattern.compile("(?<=[\\w\\])])\\s*(->|[-+*/%]?=(?![=>]))");
    /** Further back than that nobody begins what is assigned. */
    private static final int FAR = 400;

    private KotlinSpelling() {
    }

    /** The same text, at the same length. */
    static String of(String text) {
        String plain = text.replace("fun interface ", "    interface ").replace("..<", ".. ");
        plain = HEADER.matcher(plain).replaceAll(found -> Matcher.quoteReplacement(found.group(1) + " ".repeat(found.group(2).length())));
        plain = ACTUAL.matcher(plain).replaceAll(found -> " ".repeat(found.group().length()));
        plain = LAST_TEXT.matcher(plain).replaceAll(found -> Matcher.quoteReplacement(found.group().substring(0, found.start(1) - found.start())
                + "_".repeat(found.group(1).length()) + found.group().substring(found.end(1) - found.start())));
        return separated(indexed(plain));
    }

    /**
     * To the grammar a call is nothing that can be assigned to or stand before the arrow of an arm: {@code bill().paid = true},
     * {@code vessel.fits(berth) ->}. With brackets it is, though not with an exclamation mark before it.
     */
    private static String indexed(String text) {
        StringBuilder changed = null;
        Matcher target = TARGET.matcher(text);
        while (target.find()) {
            boolean arm = target.group(1).equals("->");
            int at = target.start() - 1;
            int least = Math.max(0, at - FAR);
            boolean ends = text.charAt(at) == ')';
            if (ends && !arm) {
                continue;
            }
            while (at >= least && (isWord(text.charAt(at)) || ".?!])".indexOf(text.charAt(at)) >= 0)) {
                char each = text.charAt(at);
                int open = each == ')' || each == ']' ? opening(text, at, least) : at;
                if (open < 0) {
                    break;
                }
                boolean call = each == ')' && open > 0 && isWord(text.charAt(open - 1)) && !isKeyword(text, open);
                if (each == ')' && !call) {
                    break;
                }
                if (call && (!arm || at == target.start() - 1) && isPlain(text, open, at)) {
                    changed = changed == null ? new StringBuilder(text) : changed;
                    boolean empty = open + 1 == at;
                    changed.setCharAt(open, empty ? '!' : '[');
                    changed.setCharAt(at, empty ? '!' : ']');
                }
                at = open - 1;
            }
            if (changed != null && arm && ends && text.charAt(at + 1) == '!') {
                changed.setCharAt(at + 1, '-');
            }
        }
        return changed == null ? text : changed.toString();
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
        String inside = text.substring(open + 1, close);
        return !inside.matches("(?s).*[^=!<>]=[^=].*") && inside.indexOf('\n') < 0 && (inside.isEmpty() || !inside.isBlank());
    }

    /** Where the bracket that closes here was opened; negative where it is too far. */
    private static int opening(String text, int close, int least) {
        int depth = 0;
        for (int at = close; at >= least; at--) {
            char each = text.charAt(at);
            depth += each == ')' || each == ']' ? 1 : each == '(' || each == '[' ? -1 : 0;
            if (depth == 0) {
                return at;
            }
        }
        return -1;
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
