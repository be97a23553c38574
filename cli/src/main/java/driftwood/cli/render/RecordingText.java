package driftwood.cli.render;

import driftwood.behaviour.Characterization;
import driftwood.behaviour.Programs;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recording.Step;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** What a recording came to, for people. */
public final class RecordingText {
    private static final int EXAMPLES = 3;

    private final Style style;
    private final int width;
    private final Here here;

    /** @param here where the user stands */
    public RecordingText(Style style, int width, Here here) {
        this.here = here;
        this.style = style;
        this.width = width;
    }

    /**
     * All of it.
     *
     * @param saved    where the recording was written
     * @param replaced what is said of the one it replaces; empty for none
     */
    public String of(Characterization.Result result, Path saved, String replaced) {
        List<Case> cases = result.recording().cases();
        long throwing = count(cases, "throws");
        long endless = count(cases, "endless") + count(cases, "exits");
        long varying = cases.stream().filter(each -> !each.varies().isEmpty() || !each.anyOrder().isEmpty()).count();
        long distinct = cases.stream().map(each -> each.outcome().toString()).distinct().count();
        StringBuilder text = new StringBuilder();
        text.append(style.strong("Recorded " + cases.size() + (cases.size() == 1 ? " case" : " cases"))).append(" of ").append(result.recording().of())
                .append(": ").append(distinct).append(distinct == 1 ? " outcome" : " different outcomes");
        text.append(throwing > 0 ? "; " + throwing + " of them " + (throwing == 1 ? "throws" : "throw") + " (recorded as such)" : "");
        text.append(endless > 0 ? "; " + endless + " do not end, or end the process" : "").append(".\n");
        text.append(varying > 0 ? varying + (varying == 1 ? " varies" : " vary") + " from run to run; what varies is not compared.\n" : "");
        heading("Observed (--observe chooses others)", text);
        for (Map.Entry<String, Integer> each : result.perTarget().entrySet()) {
            text.append(String.format(java.util.Locale.ROOT, "  %4d  %s%n", each.getValue(),
                    FindingsText.unqualified(each.getKey())));
        }
        heading("For example", text);
        examples(cases).forEach(each -> example(each, text));
        cases.stream().filter(each -> each.outcome().has("throws")).limit(1).forEach(each -> example(each, text));
        left(result, text);
        new NoticesText(style, width).append(result.notices(), text);
        text.append("\nSaved as ").append(here.path(saved.toString())).append(replaced.isEmpty() ? "" : ". " + replaced).append('\n');
        text.append("Next: change the code, then driftwood confirm").append(here.option()).append('\n');
        return text.toString();
    }

    private static long count(List<Case> cases, String ending) {
        return cases.stream().filter(each -> each.outcome().has(ending)).count();
    }

    /** The shortest of each routine that says something, one routine after the other, then the shortest of what is left. */
    private static List<Case> examples(List<Case> cases) {
        List<Case> telling = cases.stream().filter(each -> each.outcome().has("gives"))
                .sorted(Comparator.comparing((Case each) -> !says(each)).thenComparing(Case::size)).toList();
        Map<String, Case> first = new LinkedHashMap<>();
        telling.forEach(each -> first.putIfAbsent(each.routine(), each));
        return Stream.concat(first.values().stream(), telling.stream()).distinct().limit(EXAMPLES).toList();
    }

    private static boolean says(Case each) {
        return !each.outcome().path("gives").isNull() || each.outcome().has("prints") || each.outcome().has("leaves");
    }

    private void heading(String title, StringBuilder text) {
        text.append('\n').append(style.strong(title)).append('\n');
    }

    private void example(Case each, StringBuilder text) {
        String ending = Stream.of("throws", "prints", "leaves").filter(each.outcome()::has).findFirst()
                .filter(key -> key.equals("throws") || each.outcome().path("gives").isNull()).orElse("gives");
        text.append(Paragraph.of(style.dim(String.format(java.util.Locale.ROOT, "%-3s ", each.id())) + Style.safe(call(each)), width, 2, 6));
        text.append(Paragraph.of(style.cool(ending) + " " + Style.safe(Parts.of(each.outcome().get(ending))), width, 6, 2));
    }

    /** The case as a call with named parts. */
    static String call(Case each) {
        if (each.routine().startsWith(Programs.MARK)) {
            return each.given().get("command").asText();
        }
        int hash = each.routine().indexOf('#');
        int open = each.routine().indexOf('(');
        if (open < 0) {
            return "new " + Parts.of(each.on());
        }
        String owner = FindingsText.unqualified(each.routine().substring(0, hash));
        StringBuilder text = new StringBuilder(each.on() == null ? owner : Parts.of(each.on()));
        boolean elsewhere = false;
        for (Step step : each.steps()) {
            boolean other = step.call() == null || step.of() != null;
            text.append(other ? "; " : elsewhere ? "; it" : "");
            if (step.call() == null) {
                text.append("new ").append(Parts.of(step.make()));
            } else {
                text.append(other ? Parts.alive(step.of()) : "").append('.').append(step.call())
                        .append(step.given() == null ? "()" : arguments(Parts.of(step.given())));
            }
            elsewhere = other;
        }
        return text.append(elsewhere ? "; it." : ".").append(each.routine(), hash + 1, open)
                .append(each.given() == null ? "()" : arguments(Parts.of(each.given()))).toString();
    }

    private static String arguments(String braces) {
        return "(" + braces.substring(1, braces.length() - 1) + ")";
    }

    /** Where what the code needs is not there: it ends before it does anything. */
    public String lacking(Characterization.Result result) {
        StringBuilder text = new StringBuilder("Nothing was saved of " + result.recording().of() + ": its code cannot even be loaded, so that "
                + "a recording would only hold errors.\n");
        result.lacking().forEach(each -> text.append(Paragraph.of(Style.safe(each), width, 2, 4)));
        return text.append("\nIs a resource or a library missing? Resources are looked for in src/main/resources, or beside the sources; "
                + "libraries with --classpath, classpath in driftwood.yaml, or Maven.\n").toString();
    }

    /** Where nothing could be recorded. */
    public String nothing(Characterization.Result result) {
        StringBuilder text = new StringBuilder("Nothing could be recorded of " + result.recording().of() + ".\n");
        left(result, text);
        boolean missing = result.unmade().keySet().stream().anyMatch(each -> each.contains("cannot be imported"));
        return text.append(missing ? "\nInstall what is missing, or name an interpreter that has it: --interpreter venv/bin/python\n"
                : "\nName a type that can be constructed: driftwood characterize TYPE\n").toString();
    }

    private void left(Characterization.Result result, StringBuilder text) {
        if (result.left().isEmpty() && result.unmade().isEmpty()) {
            return;
        }
        heading("Not observed", text);
        result.left().forEach(each -> text.append(Paragraph.of(Style.safe(each), width, 2, 2)));
        result.unmade().forEach((why, count) -> text.append(Paragraph.of(count + (count == 1 ? " case: " : " cases: ")
                + Style.safe(why), width, 2, 2)));
    }
}
