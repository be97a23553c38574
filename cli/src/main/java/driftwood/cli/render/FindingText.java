package driftwood.cli.render;

import driftwood.pattern.Site;
import driftwood.pattern.Answer.Cost;
import driftwood.plan.Candidate;
import driftwood.plan.Drill;
import driftwood.refactor.Refactoring.Counts;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.Smell;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** One finding in full: its code, evidence, change drill and the ways to answer it. */
public final class FindingText {
    private static final int CODE_LINES = 60;

    private final Style style;
    private final int width;
    private final Here here;
    private final Excerpt excerpt;

    /** @param here where the user stands */
    public FindingText(Site site, Style style, int width, Here here) {
        this.here = here;
        this.style = style;
        this.width = width;
        this.excerpt = new Excerpt(site.texts(), style, width);
    }

    public String of(Finding finding, Smell smell, Drill drill, List<Candidate> candidates) {
        StringBuilder text = new StringBuilder();
        text.append(style.strong(smell.title())).append("  ").append(style.cool(finding.id())).append("  drag ")
                .append(style.drag(finding.drag().value())).append('\n');
        text.append(Style.safe(here.path(finding.file()))).append(':').append(finding.line()).append("\n\n");
        text.append(Paragraph.of(Style.safe(FindingsText.sentence(finding)) + ".",
                width, 0, 0)).append('\n');
        text.append(excerpt.of(finding.file(), finding.line(), finding.endLine(), CODE_LINES, 0));
        heading("Evidence", text);
        text.append(places(finding.evidence(), finding.file()));
        heading("Why it drags", text);
        finding.drag().reasons().forEach(reason -> text.append(Paragraph.of("- " + reason, width, 2, 2)));
        text.append(drill(drill));
        heading("Ways to answer it", text);
        text.append(candidates(candidates));
        heading("What this smell is", text);
        text.append(Paragraph.of(smell.what(), width, 2, 0));
        text.append("\nNext: driftwood plan ").append(finding.id()).append(here.option()).append('\n');
        return text.toString();
    }

    private void heading(String title, StringBuilder text) {
        text.append('\n').append(style.strong(title)).append('\n');
    }

    /** @param home file whose name need not be repeated */
    private String places(List<Evidence> places, String home) {
        return places(places, home, 2);
    }

    /** @param home file whose name need not be repeated @param indent blanks before each */
    String places(List<Evidence> places, String home, int indent) {
        StringBuilder text = new StringBuilder();
        for (Evidence place : places) {
            String where = place.toBeWritten() ? here.path(place.file()) + " (new)"
                    : (place.file().equals(home) ? "line " : here.path(place.file()) + ":") + place.line();
            text.append(Paragraph.of(style.dim(Style.safe(where)) + "  " + Style.safe(place.note()), width, indent, 4));
        }
        return text.toString();
    }

    public String drill(Drill drill) {
        return new DrillText(style, this).of(drill);
    }

    String candidates(List<Candidate> candidates) {
        StringBuilder text = new StringBuilder();
        for (Candidate each : candidates) {
            String cost = each.pattern().equals(Candidate.LEAVE) ? "" : ". Cost: " + cost(each) + (each.against().isEmpty() ? "" : ". Against: " + Style.safe(each.against()));
            text.append(Paragraph.of(String.format(Locale.ROOT, "%.2f  %s  %s", each.fit(),
                    style.cool(each.pattern()), Style.safe(each.because()) + cost), width, 2, 6));
        }
        return text.toString();
    }

    /** Counted, where it was thought through to the end. */
    private static String cost(Candidate candidate) {
        Cost cost = candidate.cost();
        Counts counts = candidate.counts();
        if (counts == null) {
            return cost(cost);
        }
        String lines = counts.lines() == 0 ? "as many lines" : counted(Math.abs(counts.lines()), "line") + (counts.lines() < 0 ? " fewer" : " more");
        return types(counts.types()) + ", " + lines + (counts.callSites() > 0 ? ", " + counted(counts.callSites(), "call site") + " changed" : "")
                + (counts.tests() > 0 ? ", " + counted(counts.tests(), "test file") : "") + (counts.open() > 0 ? ", " + counted(counts.open(), "public or protected member") : "")
                + (cost.indirection().equals("none") ? "" : ", " + cost.indirection())
                + counts.circles().stream().map(each -> "; the packages " + Style.safe(each) + " come to know each other").collect(Collectors.joining());
    }

    private static String counted(int number, String what) {
        return number + " " + what + (number == 1 ? "" : "s");
    }

    private static String types(int types) {
        return types == 0 ? "no new type" : types == 1 ? "one new type" : types > 0 ? types + " new types" : counted(-types, "type") + " fewer";
    }

    private static String cost(Cost cost) {
        String types = types(cost.types());
        String lines = cost.lines() == 0 ? "no more lines" : "about " + Math.abs(cost.lines()) + (cost.lines() < 0 ? " lines fewer" : " lines more");
        return types + ", " + lines + (cost.indirection().equals("none") ? "" : ", " + cost.indirection());
    }
}
