package driftwood.cli.render;

import driftwood.smell.Finding;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Where to begin: findings by cause, by smell and by package, on one screen. */
public final class FindingsSummary {
    private static final int ROWS = 9;
    private static final Comparator<Row> MOST_FIRST = Comparator.comparing((Row each) -> -each.drag()).thenComparing(Row::name);

    private final Style style;
    private final int width;
    private final Here here;

    /** @param here where the user stands */
    public FindingsSummary(Style style, int width, Here here) {
        this.style = style;
        this.width = width;
        this.here = here;
    }

    /**
     * Findings that have something in common.
     *
     * @param drag    of all of them together
     * @param highest of one
     */
    private record Row(String name, int count, double drag, double highest) {
        static Row of(String name, List<Finding> findings) {
            return new Row(name, findings.size(), findings.stream().mapToDouble(each -> each.drag().value()).sum(),
                    findings.stream().mapToDouble(each -> each.drag().value()).max().orElse(0));
        }
    }

    public String of(Selected shown) {
        StringBuilder text = new StringBuilder(Paragraph.of(shown.sentence(), width, 0, 0));
        if (shown.findings().isEmpty()) {
            return text.toString();
        }
        List<Row> smells = rows(shown.findings(), Finding::smell);
        List<Row> packages = rows(shown.findings(), each -> folder(here.path(each.file())));
        List<Row> causes = shown.causes().stream().map(each -> Row.of(each.get(0).id() + "  "
                + FindingsText.unqualified(each.get(0).symbol(), each.get(0).file()), each)).sorted(MOST_FIRST).toList();
        table("by cause", "causes", causes, text);
        table("by smell", "smells", smells, text);
        table("by package", "packages", packages, text);
        text.append("\nNext: driftwood scan --smells ").append(smells.get(0).name()).append(here.option().isEmpty() ? "" : " " + here.path(""));
        text.append(packages.size() > 1 ? ", or driftwood scan " + packages.get(0).name() : "").append('\n');
        return text.toString();
    }

    private static String folder(String path) {
        return path.contains("/") ? path.substring(0, path.lastIndexOf('/')) : ".";
    }

    /** A path keeps its end, anything else its beginning. */
    private static String shortened(String name, int room) {
        return name.length() <= room ? name : name.contains("/") ? "\u2026" + name.substring(name.length() - room + 1)
                : name.substring(0, room - 1) + "\u2026";
    }

    private static List<Row> rows(List<Finding> findings, Function<Finding, String> by) {
        Map<String, List<Finding>> groups = findings.stream().collect(Collectors.groupingBy(by, TreeMap::new, Collectors.toList()));
        return groups.entrySet().stream().map(each -> Row.of(each.getKey(), each.getValue())).sorted(MOST_FIRST).toList();
    }

    private void table(String title, String many, List<Row> rows, StringBuilder text) {
        int room = Math.max(20, width - 34);
        text.append('\n').append(style.strong(String.format(Locale.ROOT, "%-" + room + "s  findings  highest  all drag", title))).append('\n');
        // A line that says "and 1 more" takes the room of that one.
        int shown = rows.size() <= ROWS + 1 ? rows.size() : ROWS;
        for (Row each : rows.subList(0, shown)) {
            String name = Style.safe(each.name());
            text.append(String.format(Locale.ROOT, "%-" + room + "s  %8d  ", "  " + shortened(name, room - 2), each.count()))
                    .append("    ").append(style.drag(each.highest())).append(String.format(Locale.ROOT, "  %8.1f%n", each.drag()));
        }
        if (rows.size() > shown) {
            text.append("  and ").append(rows.size() - shown).append(" more ").append(many).append('\n');
        }
    }
}
