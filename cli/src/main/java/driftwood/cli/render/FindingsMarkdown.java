package driftwood.cli.render;

import driftwood.pattern.Fit;
import driftwood.scan.Scan;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.util.List;
import java.util.Locale;

/** Findings as Markdown: a table to skim, then each finding with its evidence. */
public final class FindingsMarkdown {
    private FindingsMarkdown() {
    }

    public static String of(Selected selected) {
        List<Finding> shown = selected.findings();
        StringBuilder text = new StringBuilder("# Findings\n\n").append(plain(selected.sentence().replace("listed above", "listed below"))).append('\n');
        if (!shown.isEmpty()) {
            text.append("\n| drag | smell | id | place |\n|---|---|---|---|\n");
        }
        for (Finding each : shown) {
            text.append(String.format(Locale.ROOT, "| %.1f | %s | %s | %s |%n", each.drag().value(), each.smell(), each.id(),
                    code(each.file() + ":" + each.line())));
        }
        shown.forEach(each -> one(each, selected.result(), text));
        if (!selected.unread().isEmpty()) {
            text.append("\n## Not read\n\n");
            selected.unread().forEach(each -> text.append("- ").append(code(each.file() + ":" + each.line())).append(' ')
                    .append(plain(each.why())).append('\n'));
        }
        return text.toString();
    }

    private static void one(Finding finding, Scan.Result result, StringBuilder text) {
        text.append("\n## ").append(finding.id()).append(": ").append(finding.smell()).append("\n\n")
                .append(plain(FindingsText.sentence(finding))).append(".\n\n");
        for (Evidence each : finding.evidence()) {
            text.append("- ").append(code(each.file() + ":" + each.line())).append(' ').append(plain(each.note())).append('\n');
        }
        text.append("\nDrag ").append(String.format(Locale.ROOT, "%.1f", finding.drag().value())).append(": ")
                .append(plain(String.join("; ", finding.drag().reasons()))).append(".\n");
        List<Fit> fits = result.fits().getOrDefault(finding.id(), List.of());
        if (!fits.isEmpty()) {
            text.append("\nCure: **").append(fits.get(0).pattern()).append("**: ").append(plain(fits.get(0).because()))
                    .append(".\n");
        }
    }

    /** Source text as code: never read as markup, whatever is in it. */
    private static String code(String text) {
        String safe = Style.safe(text);
        return safe.contains("`") ? "`` " + safe + " ``" : "`" + safe + "`";
    }

    /** Text in which nothing is markup. */
    private static String plain(String text) {
        return Style.safe(text).replaceAll("([\\\\`*_\\[\\]<>|#])", "\\\\$1");
    }
}
