package driftwood.cli.render;

import driftwood.pattern.Answer;
import driftwood.pattern.Site;
import driftwood.plan.Candidate;
import driftwood.plan.Pinning;
import driftwood.plan.Plan;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;

/** A plan for people: the choice, who plays what, the steps with what they change, the drill. */
public final class PlanText {
    private final Style style;
    private final int width;
    private final Here here;
    private final FindingText findings;

    /** @param here where the user stands */
    public PlanText(Site site, Style style, int width, Here here) {
        this.here = here;
        this.style = style;
        this.width = width;
        this.findings = new FindingText(site, style, width, here);
    }

    /**
     * A plan.
     *
     * @param forms that its pattern can have here, the usual one first; empty for one only
     * @param saved where it was written
     */
    public String of(Plan plan, List<String> forms, Path saved) {
        StringBuilder text = new StringBuilder();
        text.append(style.strong("Plan for " + plan.finding())).append(": ").append(plan.smell()).append(" \u2192 ")
                .append(style.cool(plan.pattern())).append('\n');
        text.append(Style.safe(here.path(plan.file()))).append(':').append(plan.line()).append("  ")
                .append(Style.safe(FindingsText.unqualified(plan.symbol(), plan.file()))).append('\n');
        text.append(Paragraph.of(Style.safe(plan.message()) + ".", width, 0, 0));
        heading("Candidates", text);
        text.append(findings.candidates(plan.candidates()));
        if (plan.pattern().equals(Candidate.LEAVE)) {
            text.append("\nThe advice is to leave it. To plan all the same: driftwood plan ").append(plan.finding())
                    .append(" --pattern KEY").append(here.option()).append('\n');
        } else {
            body(plan, text);
        }
        text.append(findings.drill(plan.drill()));
        if (!plan.against().isEmpty()) {
            text.append('\n').append(Paragraph.of("Not carried out by Driftwood: " + Style.safe(plan.against()) + ".", width, 0, 0));
        }
        if (plan.stages() > 0 && !forms.isEmpty()) {
            String form = plan.form().isEmpty() ? forms.get(0) : plan.form();
            text.append('\n').append(Paragraph.of("Its form is " + form + "; another one: --form " + forms.stream().filter(each -> !each.equals(form)).collect(Collectors.joining(" or --form ")) + ".", width, 0, 0));
        }
        text.append("\nSaved as ").append(here.path(saved.toString())).append(" and .md\n");
        text.append(plan.pattern().equals(Candidate.LEAVE) ? "Nothing to do.\n" : plan.stages() > 0
                ? "Next: driftwood refactor " + plan.finding() + "-" + plan.pattern() + here.option() + "   (shows it; --apply carries it out)\n"
                : "Next: " + Pinning.command(plan.finding(), plan.file(), here.option()) + "\n");
        return text.toString();
    }

    private void body(Plan plan, StringBuilder text) {
        heading("Roles", text);
        for (Answer.Role role : plan.roles()) {
            text.append("  ").append(role.role()).append(": ").append(style.strong(Style.safe(role.name())))
                    .append(role.exists() ? "" : style.dim("  (new)")).append('\n');
        }
        heading("Steps", text);
        int number = 1;
        for (Plan.Step step : plan.steps()) {
            text.append(Paragraph.of(number++ + ". " + Style.safe(step.does()) + " " + style.dim("[" + step.check() + "]"),
                    width, 2, 3));
            text.append(findings.places(step.places(), "", 5));
            text.append(step.diff().isEmpty() ? "" : "\n" + coloured(step.diff()) + "\n");
        }
        for (String each : plan.meant()) {
            text.append(Paragraph.of(style.warm("Meant to change: ") + Style.safe(each) + ".", width, 2, 2));
        }
    }

    private void heading(String title, StringBuilder text) {
        text.append('\n').append(style.strong(title)).append('\n');
    }

    private String coloured(String diff) {
        return Diffs.coloured(diff, style);
    }
}
