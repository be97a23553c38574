package driftwood.pattern;

import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.smell.Chain;
import driftwood.smell.Detail.Ladder;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** What the answers to creation smells have in common: names and the statement that uses the product. */
final class Creations {
    private Creations() {
    }

    /** The routine's parameters, as a declaration for an extracted routine. */
    static String parameters(Chain chain, Site site) {
        return Strategy.routineOf(chain, site.program()).map(routine -> String.join(", ", routine.parameters().stream()
                .map(each -> each.type().text() + " " + each.name()).toList())).orElse("");
    }

    static String arguments(Chain chain, Site site) {
        return Strategy.routineOf(chain, site.program()).map(routine -> String.join(", ", routine.parameters().stream()
                .map(ParameterOutline::name).toList())).orElse("");
    }

    /** The lines of a decision as the body of a routine that returns what it creates. */
    static List<String> moved(List<String> file, int line, int endLine, Chain chain) {
        List<String> lines = file.subList(line - 1, Math.min(file.size(), endLine));
        int margin = lines.stream().filter(each -> !each.isBlank())
                .mapToInt(each -> each.length() - each.stripLeading().length()).min().orElse(0);
        String use = use(chain, "");
        String assigned = use.contains(" = ") ? use.substring(0, use.indexOf(" = ") + 3) : "";
        return lines.stream().map(each -> each.length() < margin ? "" : each.substring(margin).stripTrailing())
                .map(each -> assigned.isEmpty() ? each : each.replace(assigned, "return ")).toList();
    }

    /** The statement that takes what the call creates, as the arms did. */
    static String use(Chain chain, String call) {
        String use = chain.arms().stream().flatMap(arm -> arm.product().stream()).map(Chain.Product::use).findFirst()
                .orElse("return");
        if (use.equals("return")) {
            return chain.form() == Chain.Form.CONDITIONAL ? call + ";" : "return " + call + ";";
        }
        return use.startsWith("= ") ? use.substring(2) + " = " + call + ";" : use + "(" + call + ");";
    }

    /** {@code of} for the required parts, {@code withFlag} and so on for what a step adds. */
    static String nameFor(RoutineOutline step, Ladder ladder) {
        Set<String> required = new LinkedHashSet<>();
        ladder.ladder().get(0).parameters().forEach(each -> required.add(each.name()));
        List<String> added = step.parameters().stream().map(ParameterOutline::name)
                .filter(name -> !required.contains(name)).map(Words::upper).toList();
        return added.isEmpty() ? "of" : "with" + String.join("And", added.subList(0, Math.min(2, added.size())))
                + (added.size() > 2 ? "AndMore" : "");
    }
}
