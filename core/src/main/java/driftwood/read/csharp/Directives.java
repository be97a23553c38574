package driftwood.read.csharp;

import java.util.ArrayDeque;
import java.util.Deque;

/**
 * Code that is compiled under a condition: of the branches between {@code #if} and {@code #endif} the first is read, unless
 * its condition is false by itself; the others, which may repeat a declaration or begin it in another way, are blanks.
 */
final class Directives {
    private Directives() {
    }

    /** One {@code #if}. */
    private static final class Choice {
        private final boolean within;
        private boolean taken;
        private boolean now;

        Choice(boolean within, boolean now) {
            this.within = within;
            this.now = within && now;
            this.taken = now;
        }
    }

    /** The same text, as long as before, with blanks for directives and for branches that are not read. */
    static String without(String text) {
        if (!text.contains("#if") && !text.contains("# if")) {
            return text;
        }
        char[] made = text.toCharArray();
        Deque<Choice> choices = new ArrayDeque<>();
        for (int at = 0; at < made.length;) {
            int end = text.indexOf('\n', at);
            end = end < 0 ? made.length : end;
            String line = text.substring(at, end).strip();
            boolean directive = line.startsWith("#") && directive(line.substring(1).strip(), choices);
            if (directive || !choices.isEmpty() && !choices.peek().now) {
                for (int i = at; i < end; i++) {
                    made[i] = made[i] == '\r' ? '\r' : ' ';
                }
            }
            at = end + 1;
        }
        return new String(made);
    }

    /** @return whether it is one that decides what is compiled */
    private static boolean directive(String line, Deque<Choice> choices) {
        boolean reading = choices.isEmpty() || choices.peek().now;
        if (line.matches("if\\b.*")) {
            choices.push(new Choice(reading, !line.matches("if\\s+(false|0)\\b.*")));
            return true;
        }
        if (choices.isEmpty() || !line.matches("(elif|else|endif)\\b.*")) {
            return false;
        }
        Choice choice = choices.peek();
        if (line.startsWith("endif")) {
            choices.pop();
        } else {
            choice.now = choice.within && !choice.taken;
            choice.taken = true;
        }
        return true;
    }
}
