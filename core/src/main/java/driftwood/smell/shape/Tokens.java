package driftwood.smell.shape;

import java.util.Map;

/** Reads a stretch of source as tokens and hashes them: comments and white space left out, locals renamed. */
final class Tokens {
    private static final long PRIME = 1_099_511_628_211L;
    private static final long BASIS = 0xcbf29ce484222325L;

    private final String text;
    private final int end;
    private final Map<String, String> renamed;
    private int at;
    private char before;
    private long outline = BASIS;
    private long exact = BASIS;

    /** @param renamed what a name is read as */
    Tokens(String text, int start, int end, Map<String, String> renamed) {
        this.text = text;
        this.at = Math.max(0, start);
        this.end = Math.min(text.length(), end);
        this.renamed = renamed;
        while (at < this.end) {
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

    private void next() {
        char c = text.charAt(at);
        if (Character.isWhitespace(c)) {
            at++;
        } else if (c == '#' && Character.isWhitespace(before) || starts("//")) {
            skipTo("\n");
        } else if (starts("/*")) {
            skipTo("*/");
        } else if (c == '"' || c == '\'') {
            string(c);
        } else if (Character.isDigit(c)) {
            int from = at;
            while (at < end && (Character.isLetterOrDigit(text.charAt(at)) || text.charAt(at) == '.'
                    || text.charAt(at) == '_')) {
                at++;
            }
            literal(from);
        } else if (Character.isJavaIdentifierStart(c)) {
            name();
        } else {
            outline = add(outline, c);
            exact = add(exact, c);
            at++;
        }
        before = c;
    }

    private boolean starts(String mark) {
        return text.startsWith(mark, at);
    }

    private void skipTo(String mark) {
        int found = text.indexOf(mark, at);
        at = found < 0 ? end : found + mark.length();
    }

    private void string(char quote) {
        int from = at;
        String triple = String.valueOf(quote).repeat(3);
        if (starts(triple)) {
            at += 3;
            skipTo(triple);
        } else {
            at++;
            while (at < end && text.charAt(at) != quote && text.charAt(at) != '\n') {
                at += text.charAt(at) == '\\' ? 2 : 1;
            }
            at++;
        }
        literal(from);
    }

    private void literal(int from) {
        outline = add(outline, '"');
        exact = add(exact, text.substring(from, Math.min(at, text.length())));
    }

    private void name() {
        int from = at;
        while (at < end && Character.isJavaIdentifierPart(text.charAt(at))) {
            at++;
        }
        String name = text.substring(from, at);
        boolean member = from > 0 && text.charAt(from - 1) == '.';
        if (name.equals("true") || name.equals("false") || name.equals("True") || name.equals("False")) {
            literal(from);
            return;
        }
        String read = member ? name : renamed.getOrDefault(name, name);
        outline = add(outline, read);
        exact = add(exact, read);
    }

    private static long add(long hash, String token) {
        long mixed = hash;
        for (int i = 0; i < token.length(); i++) {
            mixed = (mixed ^ token.charAt(i)) * PRIME;
        }
        return add(mixed, ' ');
    }

    private static long add(long hash, char c) {
        return (hash ^ c) * PRIME;
    }
}
