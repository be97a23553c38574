package driftwood.pattern;

import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.smell.Detail.Choosing;
import driftwood.smell.Detail.Ladder;
import driftwood.smell.Evidence;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** What the answers to creation smells have in common: names, and what one kind more takes. */
final class Creations {
    private Creations() {
    }

    /** The place of one kind more of what is chosen from, where the project declares what the kinds have in common. */
    static List<Evidence> newKind(Choosing choosing, Site site) {
        return site.type(choosing.common()).map(common -> List.of(site.kind(common, "the new kind of " + common.simpleName()))).orElse(List.of());
    }

    /** {@code of} for the required parts, {@code complete} for all where they are many, {@code withFlag} and so on for what a step adds. */
    static String nameFor(RoutineOutline step, Ladder ladder) {
        Set<String> required = new LinkedHashSet<>();
        ladder.ladder().get(0).parameters().forEach(each -> required.add(each.name()));
        List<String> added = step.parameters().stream().map(ParameterOutline::name)
                .filter(name -> !required.contains(name)).map(Words::upper).toList();
        boolean longest = step.equals(ladder.ladder().get(ladder.ladder().size() - 1));
        return added.isEmpty() ? "of" : longest && added.size() > 2 ? "complete" : "with" + String.join("And", added);
    }
}
