package driftwood.cli.render;

import driftwood.smell.Finding;
import java.util.Locale;

/** Findings on a line each, as compilers tell errors: for editors and for searching. */
public final class FindingsLines {
    private FindingsLines() {
    }

    public static String of(Selected shown, Here here) {
        StringBuilder text = new StringBuilder();
        for (Finding each : shown.findings()) {
            text.append(String.format(Locale.ROOT, "%s:%d: %s %s, drag %.1f of 5: %s%n", Style.safe(here.path(each.file())), each.line(), each.smell(),
                    each.id(), each.drag().value(), Style.safe(FindingsText.sentence(each))));
        }
        return text.toString();
    }
}
