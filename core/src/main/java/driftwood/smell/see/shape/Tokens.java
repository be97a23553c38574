package driftwood.smell.see.shape;

import java.util.Map;
import java.util.Set;

/** Reads a stretch of source as tokens and hashes them: comments and white space left out, locals renamed. */
final class Tokens {
    private static final long PRIME = 1_099_511_628_211L;
    private static final long BASIS = 0xcbf29ce484222325L;

    private static final byte SPACE = 1;
    private static final byte DIGIT = 2;
    private static final byte LETTER = 4;
    private static final int ASCII = 128;
    /** What each ASCII character is; every token of a project passes here. */
    private static final byte[] KINDS = kinds();

    /** Behind these words a value begins. */
    private static final Set<String> BEFORE_VALUES = Set.of("return", "case", "when", "if", "unless", "elsif", "and", "or", "not", "in");

    private final char[] text;
    private final Map<String, String> renamed;
    /** One bit for each first letter and length that a renamed name has: most names are none. */
    private long likely;
    private int at;
    private char before;
    /** Whether what was read last is a value, so that a slash behind it divides. */
    private boolean value;
    /** Where the word begins that was read last; meaningless where it was no word. */
    private int word;
    private long outline = BASIS;
    private long exact = BASIS;

    /** @param renamed what a name is read as */
    Tokens(String source, int start, int end, Map<String, String> renamed) {
        int from = Math.max(0, start);
        this.text = new char[Math.max(from, Math.min(source.length(), end)) - from];
        source.getChars(from, from + text.length, text, 0);
        this.renamed = renamed;
        for (String name : renamed.keySet()) {
            likely |= name.isEmpty() ? 0 : bit(name.charAt(0), name.length());
        }
        while (at < text.length) {
            next();
        }
    }

    /** The hash without literals. */
    long outline() {
        return outline;
    }

    /** The hash with literals. */
    long exact() {
        return exact;
    }

    private static byte[] kinds() {
        byte[] kinds = new byte[ASCII];
        for (char c = 0; c < ASCII; c++) {
            kinds[c] = (byte) ((Character.isWhitespace(c) ? SPACE : 0) | (Character.isDigit(c) ? DIGIT : 0)
                    | (Character.isJavaIdentifierStart(c) ? LETTER : 0));
        }
        return kinds;
    }

    private static boolean isSpace(char c) {
        return c < ASCII ? (KINDS[c] & SPACE) != 0 : Character.isWhitespace(c);
    }

    private static boolean isDigit(char c) {
        return c < ASCII ? (KINDS[c] & DIGIT) != 0 : Character.isDigit(c);
    }

    private static boolean startsName(char c) {
        return c < ASCII ? (KINDS[c] & LETTER) != 0 : Character.isJavaIdentifierStart(c);
    }

    private static boolean isInName(char c) {
        return c < ASCII ? (KINDS[c] & (LETTER | DIGIT)) != 0 : Character.isJavaIdentifierPart(c);
    }

    private static long bit(char first, int length) {
        return 1L << (first * 7 + length & Long.SIZE - 1);
    }

    private void next() {
        char c = text[at];
        if (isSpace(c)) {
            at++;
        } else if (startsName(c)) {
            name();
        } else if (c == '#' && isSpace(before) || c == '/' && follows('/')) {
            skipLine();
        } else if (c == '/' && follows('*')) {
            skipComment();
        } else if (c == '"' || c == '\'') {
            string(c);
        } else if (c == '`') {
            template();
        } else if (c == '/' && !divides() && endOfPattern() > 0) {
            int from = at;
            at = endOfPattern();
            literal(from);
        } else if (isDigit(c)) {
            int from = at;
            while (at < text.length && (isInName(text[at]) || text[at] == '.')) {
                at++;
            }
            literal(from);
        } else {
            outline = add(outline, c);
            exact = add(exact, c);
            at++;
            value = c == ')' || c == ']' || c == '}';
        }
        before = c;
    }

    private boolean follows(char c) {
        return at + 1 < text.length && text[at + 1] == c;
    }

    private void skipLine() {
        while (at < text.length && text[at] != '\n') {
            at++;
        }
    }

    private void skipComment() {
        at += 2;
        while (at < text.length && !(text[at] == '*' && follows('/'))) {
            at++;
        }
        at += 2;
    }

    private void string(char quote) {
        int from = at;
        if (isTriple(quote)) {
            at += 3;
            while (at < text.length && !isTriple(quote)) {
                at += text[at] == '\\' ? 2 : 1;
            }
            at += 3;
        } else {
            at++;
            while (at < text.length && text[at] != quote && text[at] != '\n') {
                at += text[at] == '\\' ? 2 : 1;
            }
            at++;
        }
        literal(from);
    }

    /** A text in backquotes: what is worked out within it is code like any other. */
    private void template() {
        at++;
        int from = at;
        while (at < text.length && text[at] != '`') {
            if (text[at] == '$' && follows('{')) {
                literal(from);
                at += 2;
                for (int open = 1; at < text.length && open > 0; ) {
                    open += text[at] == '{' ? 1 : text[at] == '}' ? -1 : 0;
                    next();
                }
                from = at;
            } else {
                at += text[at] == '\\' ? 2 : 1;
            }
        }
        literal(from);
        at++;
    }

    /** Whether a value stands before a slash. */
    private boolean divides() {
        int end = at;
        while (end > 0 && isSpace(text[end - 1])) {
            end--;
        }
        return value && !(word < end && startsName(text[word]) && BEFORE_VALUES.contains(new String(text, word, end - word)));
    }

    /** Where a regular expression that begins here ends, its flags included; 0 where none does. */
    private int endOfPattern() {
        boolean listed = false;
        for (int i = at + 1; i < text.length && text[i] != '\n'; i++) {
            char c = text[i];
            if (c == '\\') {
                i++;
            } else if (c == '/' && !listed && i > at + 1) {
                int end = i + 1;
                while (end < text.length && isInName(text[end])) {
                    end++;
                }
                return end;
            } else {
                listed = c == '[' || listed && c != ']';
            }
        }
        return 0;
    }

    private boolean isTriple(char quote) {
        return at + 2 < text.length && text[at] == quote && text[at + 1] == quote && text[at + 2] == quote;
    }

    private void literal(int from) {
        value = true;
        outline = add(outline, '"');
        exact = add(exact, of(from, Math.min(at, text.length)));
    }

    private void name() {
        int from = at;
        while (at < text.length && isInName(text[at])) {
            at++;
        }
        if (isTruth(from)) {
            literal(from);
            return;
        }
        boolean member = from > 0 && text[from - 1] == '.';
        String other = member ? null : renamed(from);
        if (other == null && text[from] == '$' && at - from > 1) {
            other = renamed(from + 1);
        }
        value = true;
        word = from;
        long token = other == null ? of(from, at) : of(other);
        outline = add(outline, token);
        exact = add(exact, token);
    }

    /** What a name is read as; where variables have a sign before their names, the sign is no part of it. */
    private String renamed(int from) {
        return (likely & bit(text[from], at - from)) == 0 ? null : renamed.get(new String(text, from, at - from));
    }

    private boolean isTruth(int from) {
        char first = text[from];
        int length = at - from;
        return (first == 't' || first == 'T') && length == 4 && isRest(from, "rue")
                || (first == 'f' || first == 'F') && length == 5 && isRest(from, "alse");
    }

    private boolean isRest(int from, String rest) {
        for (int i = 0; i < rest.length(); i++) {
            if (text[from + 1 + i] != rest.charAt(i)) {
                return false;
            }
        }
        return true;
    }

    private long of(int from, int to) {
        long mixed = BASIS;
        for (int i = from; i < to; i++) {
            mixed = (mixed ^ text[i]) * PRIME;
        }
        return mixed;
    }

    private static long of(String token) {
        long mixed = BASIS;
        for (int i = 0; i < token.length(); i++) {
            mixed = (mixed ^ token.charAt(i)) * PRIME;
        }
        return mixed;
    }

    /** Tokens are hashed by themselves and then in their order; a shift keeps what is in the upper half. */
    private static long add(long hash, long token) {
        return (hash ^ token ^ token >>> 32) * PRIME;
    }

    private static long add(long hash, char c) {
        return (hash ^ c) * PRIME;
    }
}
