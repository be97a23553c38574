package driftwood.cli.render;

import driftwood.plan.Candidate;
import driftwood.plan.Plan;
import driftwood.smell.Evidence;
import java.util.List;
import java.util.Locale;

/** A plan as Markdown, to be read beside its JSON and in reviews. */
public final class PlanMarkdown {
    private PlanMarkdown() {
    }

    /** The whole plan; the same plan gives the same text. */
    public static String of(Plan plan) {
        StringBuilder text = new StringBuilder("# Plan for ").append(plan.finding()).append(": ").append(plan.smell()).append(" → ").append(plan.pattern())
                .append("\n\n").append(plan.file()).append(':').append(plan.line()).append(" `").append(plan.symbol()).append("`\n\n")
                .append(safe(plan.message())).append(".\n\n## Candidates\n\n| fit | pattern | because | against |\n|---|---|---|---|\n");
        for (Candidate each : plan.candidates()) {
            text.append(String.format(Locale.ROOT, "| %.2f | %s | %s | %s |%n", each.fit(), each.pattern(), cell(each.because()), cell(each.against())).replace("\r", ""));
        }
        if (!plan.roles().isEmpty()) {
            text.append("\n## Roles\n\n");
            plan.roles().forEach(each -> text.append("- ").append(each.role()).append(": `").append(each.name()).append('`')
                    .append(each.exists() ? "" : " (new)").append('\n'));
        }
        if (!plan.meant().isEmpty()) {
            text.append("\n## Meant to change\n\n");
            plan.meant().forEach(each -> text.append("- ").append(safe(each)).append('\n'));
        }
        if (!plan.steps().isEmpty()) {
            text.append("\n## Steps\n");
            int number = 1;
            for (Plan.Step each : plan.steps()) {
                text.append("\n### ").append(number++).append(". ").append(safe(each.does())).append("\n\n");
                places(each.places(), text);
                text.append("Check: ").append(each.check()).append("\n");
                if (!each.diff().isEmpty()) {
                    text.append("\n```diff\n").append(each.diff().replace("\r", "")).append("```\n");
                }
            }
        }
        if (!plan.against().isEmpty()) {
            text.append("\nNot carried out by Driftwood: ").append(safe(plan.against())).append(".\n");
        }
        text.append("\n## Change drill: ").append(safe(plan.drill().change())).append("\n\nToday:\n\n");
        places(plan.drill().today(), text);
        text.append("After:\n\n");
        places(plan.drill().after(), text);
        return text.toString().stripTrailing() + "\n";
    }

    private static void places(List<Evidence> places, StringBuilder text) {
        for (Evidence each : places) {
            text.append("- ").append(each.file()).append(each.toBeWritten() ? " (new)" : ":" + each.line()).append(' ').append(safe(each.note())).append('\n');
        }
        text.append(places.isEmpty() ? "" : "\n");
    }

    private static String cell(String text) {
        return safe(text).replace("|", "\\|");
    }

    /** Source text is no markup. */
    private static String safe(String text) {
        return text.replace("<", "&lt;").replace("\n", " ");
    }
}
