package driftwood.cli.render;

import driftwood.source.Texts;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Source code with line numbers, its common indentation taken off, cut in the middle where it is long. */
public final class Excerpt {
    private final Texts texts;
    private final Style style;
    private final int width;

    public Excerpt(Texts texts, Style style, int width) {
        this.texts = texts;
        this.style = style;
        this.width = width;
    }

    /**
     * Some lines of a file.
     *
     * @param most   lines to show; a longer stretch loses its middle
     * @param indent columns before the line numbers
     */
    public String of(String file, int line, int endLine, int most, int indent) {
        List<String> lines = texts.lines(file);
        int last = Math.min(endLine, lines.size());
        List<Integer> numbers = new ArrayList<>();
        for (int number = line; number <= last; number++) {
            if (last - line + 1 <= most || !isRemark(lines.get(number - 1))) {
                numbers.add(number);
            }
        }
        int margin = margin(lines, numbers);
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < numbers.size(); i++) {
            if (numbers.size() > most && i == most - 2) {
                text.append(" ".repeat(indent)).append(style.dim("    :")).append('\n');
                i = numbers.size() - 2;
                continue;
            }
            int number = numbers.get(i);
            String code = Style.safe(lines.get(number - 1));
            code = code.length() > margin ? code.substring(margin) : "";
            int room = Math.max(20, width - indent - 8);
            code = code.length() > room ? code.substring(0, room - 1) + "\u2026" : code;
            text.append(" ".repeat(indent)).append(style.dim(String.format(Locale.ROOT, "%5d", number)))
                    .append(code.isBlank() ? "" : "  " + code.stripTrailing()).append('\n');
        }
        return text.toString();
    }

    /** Blank lines and lines of comment, which a long stretch can do without. */
    private static boolean isRemark(String line) {
        String text = line.strip();
        return text.isEmpty() || text.startsWith("//") || text.startsWith("/*") || text.startsWith("*");
    }

    private static int margin(List<String> lines, List<Integer> numbers) {
        int margin = Integer.MAX_VALUE;
        for (int number : numbers) {
            String code = Style.safe(lines.get(number - 1));
            if (!code.isBlank()) {
                margin = Math.min(margin, code.length() - code.stripLeading().length());
            }
        }
        return margin == Integer.MAX_VALUE ? 0 : margin;
    }
}
