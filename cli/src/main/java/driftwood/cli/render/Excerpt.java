package driftwood.cli.render;

import driftwood.pattern.Site;
import java.util.List;
import java.util.Locale;

/** Source code with line numbers, its common indentation taken off, cut in the middle where it is long. */
public final class Excerpt {
    private final Site site;
    private final Style style;
    private final int width;

    public Excerpt(Site site, Style style, int width) {
        this.site = site;
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
        List<String> lines = site.lines(file);
        int last = Math.min(endLine, lines.size());
        StringBuilder text = new StringBuilder();
        int margin = margin(lines, line, last);
        for (int number = line; number <= last; number++) {
            int shown = number - line;
            if (last - line + 1 > most && shown == most - 2) {
                text.append(" ".repeat(indent)).append(style.dim("     :")).append('\n');
                number = last;
            }
            String code = Style.safe(lines.get(number - 1));
            code = code.length() > margin ? code.substring(margin) : "";
            int room = Math.max(20, width - indent - 8);
            code = code.length() > room ? code.substring(0, room - 1) + "\u2026" : code;
            text.append(" ".repeat(indent)).append(style.dim(String.format(Locale.ROOT, "%5d  ", number)))
                    .append(code.stripTrailing()).append('\n');
        }
        return text.toString();
    }

    private static int margin(List<String> lines, int line, int last) {
        int margin = Integer.MAX_VALUE;
        for (int number = line; number <= last; number++) {
            String code = Style.safe(lines.get(number - 1));
            if (!code.isBlank()) {
                margin = Math.min(margin, code.length() - code.stripLeading().length());
            }
        }
        return margin == Integer.MAX_VALUE ? 0 : margin;
    }
}
