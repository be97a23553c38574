package driftwood.cli.render;

import driftwood.behaviour.slip.Coverage;
import driftwood.behaviour.slip.Notices;
import driftwood.behaviour.slip.Notices.Missed;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;

/** How many slips a recording would notice, and which it would not, for people. */
final class NoticesText {
    private static final int SHOWN = 8;
    private static final int LINES = 10;
    /** Below this share of noticed slips a recording is not worth its verdict; above the other it is. */
    private static final double RELY = 0.6;
    private static final double GOOD = 0.85;

    private final Style style;
    private final int width;

    NoticesText(Style style, int width) {
        this.style = style;
        this.width = width;
    }

    void append(Notices notices, StringBuilder text) {
        text.append('\n').append(style.strong("Notices")).append('\n');
        if (notices.planted() == 0) {
            text.append(Paragraph.of("Not measured: " + (!notices.why().isEmpty() ? Style.safe(notices.why())
                    : notices.untried() > 0 ? "none of " + notices.untried() + " slips was tried: out of time (--trial-time)"
                    : "there is no place for a slip") + ".", width, 2, 2));
            return;
        }
        text.append(Paragraph.of(sentence(notices.noticed(), notices.planted()) + (notices.untried() > 0 ? " " + notices.untried()
                + " more were not tried: out of time (--trial-time)." : ""), width, 2, 2));
        if (!notices.why().isEmpty()) {
            text.append(Paragraph.of(Style.safe(notices.why()), width, 2, 2));
        }
        missed(notices.missed(), text);
        unreached(notices.unreached(), text);
        branches(notices.branches(), text);
    }

    /** What a recording is worth, in one plain sentence. */
    static String sentence(int noticed, int planted) {
        String count = "notices " + noticed + " of " + planted + " planted slips";
        if (noticed == planted) {
            return "It " + count + ".";
        }
        double share = (double) noticed / planted;
        return "It " + count + (share < RELY ? ": it would miss " + (planted - noticed) + " of " + planted + ", so do not rely on it yet."
                : share < GOOD ? ": rely on it for what it runs, and look at what it misses." : ".");
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
                    .add("line " + each.line() + ": " + (each.never() == each.all() ? "no way" : each.never() == 1 ? "one way" : each.never() + " ways")
                            + " of " + each.all()));
            lines.forEach((file, told) -> text.append(Paragraph.of(file + ", " + String.join("; ", told.subList(0, Math.min(LINES, told.size())))
                    + (told.size() > LINES ? "; and " + (told.size() - LINES) + " lines more (all in the recording)" : ""), width, 4, 6)));
        }
    }

    private void missed(List<Missed> missed, StringBuilder text) {
        if (missed.isEmpty()) {
            return;
        }
        text.append("  Not noticed:\n");
        for (Missed each : missed.subList(0, Math.min(SHOWN, missed.size()))) {
            text.append(Paragraph.of(each.file() + ":" + each.slip().line() + "  " + "`" + Style.safe(each.slip().what()) + "`"
                    + style.dim(": needs " + each.slip().kind().needs()), width, 4, 6));
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
        lines.forEach((file, numbers) -> places.add(file + ", lines " + ranges(numbers)));
        text.append(Paragraph.of("Never run: " + String.join("; ", places) + ".", width, 2, 4));
    }

    private static String ranges(TreeSet<Integer> numbers) {
        List<String> told = new ArrayList<>();
        Integer from = null;
        for (Integer each : numbers) {
            from = from == null ? each : from;
            if (!numbers.contains(each + 1)) {
                told.add(from.equals(each) ? each.toString() : from + "-" + each);
                from = null;
            }
        }
        return String.join(", ", told.subList(0, Math.min(LINES, told.size())))
                + (told.size() > LINES ? " and " + (told.size() - LINES) + " more (all in the recording)" : "");
    }
}
