package driftwood.pattern;

import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.smell.Detail.Ladder;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** What the answers to creation smells have in common: names. */
final class Creations {
    private Creations() {
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
