package driftwood.cli.render;

import driftwood.plan.Drill;
import driftwood.smell.Evidence;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;

/** The change drill on a screen: long lists are cut and counted, and what stays as it is today is said once. */
final class DrillText {
    /** So many places are read through; the rest is in the file of a plan. */
    private static final int MOST = 24;
    /** What stays as today is named as long as the whole list is no longer than this. */
    private static final int FEW = 8;

    private final Style style;
    private final FindingText findings;

    DrillText(Style style, FindingText findings) {
        this.style = style;
        this.findings = findings;
    }

    String of(Drill drill) {
        StringBuilder text = new StringBuilder("\n").append(style.strong("Change drill: " + drill.change())).append('\n');
        text.append("  ").append(style.warm("today " + count(drill.today()))).append('\n').append(cut(drill.today()));
        text.append("  ").append(style.cool("after " + count(drill.after()))).append('\n');
        List<Evidence> stay = new ArrayList<>(drill.after());
        stay.retainAll(new HashSet<>(drill.today()));
        List<Evidence> shown = new ArrayList<>(drill.after());
        if (drill.after().size() > FEW && stay.size() < drill.after().size()) {
            shown.removeAll(new HashSet<>(stay));
        }
        text.append(cut(shown));
        if (shown.size() < drill.after().size()) {
            text.append("    and ").append(stay.size()).append(stay.size() == 1 ? " place" : " places").append(" as today\n");
        }
        return text.toString();
    }

    private String cut(List<Evidence> places) {
        List<Evidence> first = places.size() > MOST ? places.subList(0, MOST - FEW / 2) : places;
        List<Evidence> rest = places.subList(first.size(), places.size());
        return findings.places(first, "", 4)
                + (rest.isEmpty() ? "" : "    and " + count(rest) + " more: the file of a plan names them all\n");
    }

    private static String count(List<Evidence> places) {
        if (places.isEmpty()) {
            return "nothing to edit";
        }
        int files = Drill.files(places);
        return places.size() + (places.size() == 1 ? " place in " : " places in ") + files + (files == 1 ? " file" : " files");
    }
}
