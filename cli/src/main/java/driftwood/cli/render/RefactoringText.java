package driftwood.cli.render;

import driftwood.plan.Plan;
import driftwood.refactor.Refactoring;
import driftwood.refactor.Stage;

/** The stages of a refactoring for people, before they are carried out. */
public final class RefactoringText {
    private final Style style;
    private final int width;
    private final Here here;

    /** @param here where the user stands */
    public RefactoringText(Style style, int width, Here here) {
        this.style = style;
        this.width = width;
        this.here = here;
    }

    public String of(Plan plan, Refactoring refactoring) {
        StringBuilder text = new StringBuilder();
        text.append(style.strong(plan.finding())).append(": ").append(plan.smell()).append(" \u2192 ").append(style.cool(plan.pattern())).append(", ")
                .append(refactoring.stages().size()).append(refactoring.stages().size() == 1 ? " stage, " : " stages, ")
                .append(refactoring.files().size()).append(refactoring.files().size() == 1 ? " file\n" : " files\n");
        int number = 1;
        for (Stage each : refactoring.stages()) {
            text.append('\n').append(Paragraph.of(style.strong(number + ". " + Style.safe(each.does())) + ".", width, 0, 3));
            text.append(Diffs.coloured(refactoring.diff(number - 1), style));
            number++;
        }
        for (String each : refactoring.meant()) {
            text.append('\n').append(Paragraph.of(style.warm("Meant to change: ") + Style.safe(each) + ".", width, 0, 2));
        }
        text.append("\nNothing is changed yet. To carry it out, confirming after each stage: driftwood refactor ").append(plan.fileName().replace(".json", ""))
                .append(" --apply").append(here.option()).append('\n');
        return text.toString();
    }
}
