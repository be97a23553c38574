package driftwood.cli.render;

/** Unified diffs for people. */
final class Diffs {
    private Diffs() {
    }

    /** Lines that come and go in the colours of the terminal; what version control says of files beside is left out. */
    static String coloured(String diff, Style style) {
        StringBuilder text = new StringBuilder();
        for (String line : diff.split("\n")) {
            String safe = Style.safe(line.replace("\r", ""));
            if (!line.startsWith("diff --git ") && !line.startsWith("new file mode ") && !line.startsWith("deleted file mode ")) {
                text.append(line.startsWith("+") ? style.cool(safe) : line.startsWith("-") ? style.warm(safe)
                        : line.startsWith("@") ? style.dim(safe) : safe).append('\n');
            }
        }
        return text.toString();
    }
}
