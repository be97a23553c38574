package driftwood.cli.render;

import driftwood.behaviour.Coverage;
import driftwood.behaviour.Strength;
import driftwood.behaviour.Strength.Missed;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;

/** How many slips a recording would notice, and which it would not, for people. */
final class StrengthText {
    private static final int SHOWN = 8;

    private final Style style;
    private final int width;

    StrengthText(Style style, int width) {
        this.style = style;
        this.width = width;
    }

    void append(Strength strength, StringBuilder text) {
        text.append('\n').append(style.strong("Strength")).append('\n');
        if (strength.tried() == 0) {
            text.append(Paragraph.of("Not measured: " + (!strength.why().isEmpty() ? Style.safe(strength.why())
                    : strength.untried() > 0 ? "none of " + strength.untried() + " slips was tried within the time (--trial-time)"
                    : "there is no place for a slip") + ".", width, 2, 2));
            return;
        }
        text.append(Paragraph.of(String.format(Locale.ROOT, "%d of %d small slips, planted one at a time, would be "
                + "noticed (%d%%)%s.", strength.noticed(), strength.tried(), Math.round(100 * strength.share()),
                strength.untried() > 0 ? "; " + strength.untried() + " more were not tried for want of time" : ""),
                width, 2, 2));
        missed(strength.missed(), text);
        unreached(strength.unreached(), text);
        branches(strength.branches(), text);
    }

    private void branches(Coverage coverage, StringBuilder text) {
        if (coverage.all() == 0) {
            return;
        }
        text.append(Paragraph.of(coverage.taken() + " of " + coverage.all() + " branches are taken by some case."
                + (coverage.never().isEmpty() ? "" : " Never taken:"), width, 2, 2));
        if (!coverage.never().isEmpty()) {
            Map<String, List<String>> lines = new LinkedHashMap<>();
            coverage.never().forEach(each -> lines.computeIfAbsent(each.file(), key -> new ArrayList<>())
                    .add(each.line() + " (" + each.never() + " of " + each.all() + ")"));
            lines.forEach((file, numbers) -> text.append(Paragraph.of(file + ":" + String.join(", ", numbers), width, 4, 6)));
        }
    }

    private void missed(List<Missed> missed, StringBuilder text) {
        if (missed.isEmpty()) {
            return;
        }
        text.append("  Not noticed:\n");
        for (Missed each : missed.subList(0, Math.min(SHOWN, missed.size()))) {
            text.append(Paragraph.of(each.file() + ":" + each.slip().line() + "  " + Style.safe(each.slip().what())
                    + style.dim(" - needs " + each.slip().kind().needs()), width, 4, 6));
        }
        if (missed.size() > SHOWN) {
            text.append("    and ").append(missed.size() - SHOWN).append(" more; the recording lists them all\n");
        }
    }

    /** Lines rather than slips: no case comes there, whatever is wrong. */
    private void unreached(List<Missed> unreached, StringBuilder text) {
        if (unreached.isEmpty()) {
            return;
        }
        Map<String, TreeSet<Integer>> lines = new LinkedHashMap<>();
        unreached.forEach(each -> lines.computeIfAbsent(each.file(), key -> new TreeSet<>()).add(each.slip().line()));
        List<String> places = new ArrayList<>();
        lines.forEach((file, numbers) -> places.add(file + ":" + String.join(", ",
                numbers.stream().map(String::valueOf).toList())));
        text.append(Paragraph.of("No case comes to " + String.join("; ", places) + ".", width, 2, 4));
    }
}
