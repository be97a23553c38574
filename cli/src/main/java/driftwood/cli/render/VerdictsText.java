package driftwood.cli.render;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recording.Step;
import driftwood.behaviour.recording.Verdict;
import driftwood.behaviour.recording.Verdict.Kind;
import driftwood.behaviour.run.Runtimes;
import driftwood.behaviour.tests.Pasted;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What confirming came to, for people: counts, then the smallest differing case of each cause side by side. */
public final class VerdictsText {
    private static final int CAUSES = 5;
    private static final int PLACES = 4;
    private static final int NOTES = 6;
    private static final Pattern STEP = Pattern.compile("before\\.(\\d+)\\.(.*)");
    private static final ObjectMapper MAPPER = new ObjectMapper();

    private final Style style;
    private final int width;
    private final Pasted pasted;

    /** @param pasted writes cases as code */
    public VerdictsText(Style style, int width, Pasted pasted) {
        this.style = style;
        this.width = width;
        this.pasted = pasted;
    }

    /** @param tests exit code of the project's own tests, where they were run */
    public String of(Map<Recording, List<Verdict>> verdicts, Optional<Integer> tests) {
        StringBuilder text = new StringBuilder();
        int cases = 0;
        long same = 0;
        for (Map.Entry<Recording, List<Verdict>> each : verdicts.entrySet()) {
            one(each.getKey(), each.getValue(), text);
            cases += each.getValue().size();
            same += count(each.getValue(), Kind.SAME);
        }
        text.append(verdicts.size() > 1 && text.length() > 0 && !text.toString().endsWith("\n\n") ? "\n" : "");
        text.append(same == cases ? style.cool("Same") + (cases == 1 ? ": the one case behaves as recorded.\n"
                : ": all " + cases + " cases behave as recorded.\n")
                : style.warm("Not the same") + ": " + (cases - same) + " of " + cases + (cases == 1 ? " case.\n" : " cases.\n"));
        text.append(worth(verdicts.keySet()));
        tests.ifPresent(exit -> text.append(exit == 0 ? style.cool("Passed") + ": the project's own tests.\n"
                : style.warm("Failed") + ": the project's own tests, with exit code " + exit + ".\n"));
        return text.toString();
    }

    /** What the recordings are worth, together. */
    private String worth(Collection<Recording> recordings) {
        int noticed = 0;
        int planted = 0;
        for (Recording each : recordings) {
            noticed += each.notices() == null ? 0 : each.notices().noticed();
            planted += each.notices() == null ? 0 : each.notices().planted();
        }
        return planted == 0 ? "" : Paragraph.of((recordings.size() == 1 ? "The recording: " : "The recordings together: ")
                + NoticesText.sentence(noticed, planted).replaceFirst("^It ", recordings.size() == 1 ? "it " : "they ")
                .replace("they notices", "they notice").replace("on it", recordings.size() == 1 ? "on it" : "on them"), width, 0, 0);
    }

    /** What is no difference, and yet worth knowing. */
    private void notes(List<Verdict> verdicts, StringBuilder text) {
        Map<String, Integer> built = new LinkedHashMap<>();
        Map<String, Integer> unasked = new LinkedHashMap<>();
        Map<String, Integer> refused = new LinkedHashMap<>();
        verdicts.forEach(each -> {
            each.built().forEach(one -> built.merge(one, 1, Integer::sum));
            each.unasked().forEach(one -> unasked.merge(one, 1, Integer::sum));
            if (!each.refused().isEmpty()) {
                refused.merge(each.refused(), 1, Integer::sum);
            }
        });
        note("built differently", built, text);
        note("no longer asked", unasked, text);
        note("stumbles sooner where there is none", refused, text);
    }

    private void note(String what, Map<String, Integer> counts, StringBuilder text) {
        if (!counts.isEmpty()) {
            List<String> told = new ArrayList<>();
            counts.forEach((each, count) -> told.add(each + " in " + count + (count == 1 ? " case" : " cases")));
            text.append(Paragraph.of(style.dim(what + ": ") + Style.safe(String.join(", ", told.subList(0, Math.min(NOTES, told.size()))))
                    + (told.size() > NOTES ? " and " + (told.size() - NOTES) + " more" : ""), width, 2, 4));
        }
    }

    private static long count(List<Verdict> verdicts, Kind kind) {
        return verdicts.stream().filter(each -> each.kind() == kind).count();
    }

    private void one(Recording recording, List<Verdict> verdicts, StringBuilder text) {
        text.append(style.strong(recording.of())).append("  ").append(verdicts.size()).append(verdicts.size() == 1 ? " case: " : " cases: ");
        List<String> counts = new ArrayList<>();
        for (Kind kind : Kind.values()) {
            long count = count(verdicts, kind);
            if (count > 0) {
                String told = count + " " + kind.name().toLowerCase(Locale.ROOT);
                counts.add(kind == Kind.SAME ? style.cool(told) : style.warm(told));
            }
        }
        text.append(String.join(", ", counts)).append('\n');
        notes(verdicts, text);
        Map<String, List<Verdict>> causes = new LinkedHashMap<>();
        verdicts.stream().filter(each -> each.kind() != Kind.SAME)
                .sorted(Comparator.comparingInt(each -> each.of().size()))
                .forEach(each -> causes.computeIfAbsent(cause(each), key -> new ArrayList<>()).add(each));
        causes.values().stream().limit(CAUSES).forEach(group -> cause(recording.of(), group, text));
        if (causes.size() > CAUSES) {
            text.append("  and ").append(causes.size() - CAUSES).append(" other causes (--format json lists all)\n");
        }
        boolean elsewhere = recording.platform() != null && !recording.platform().equals(Runtimes.platform());
        if (elsewhere && verdicts.stream().anyMatch(each -> each.kind() == Kind.DIFFERENT)) {
            text.append('\n').append(Paragraph.of("Recorded on " + recording.platform() + ", run on " + Runtimes.platform()
                    + ": the platform's own names, formats and messages change between versions. To tell those from changes of the "
                    + "code, confirm with JAVA_HOME set to the older one.", width, 2, 2));
        }
        text.append(causes.isEmpty() ? "" : "\n");
    }

    /** Cases that differ at the same place of the same routine have, most likely, the same cause. */
    private static String cause(Verdict verdict) {
        String place = verdict.differences().isEmpty() ? "" : verdict.differences().get(0).path();
        Matcher step = STEP.matcher(place);
        boolean onTheWay = step.matches() && verdict.of().before() != null;
        String routine = onTheWay ? called(verdict.of(), Integer.parseInt(step.group(1))) : verdict.of().routine();
        return verdict.kind() + routine + (verdict.kind() == Kind.GONE ? verdict.why() : onTheWay ? step.group(2) : place);
    }

    /** The routine that a step calls, told as the last call of other cases would be. */
    private static String called(Case of, int number) {
        Step step = of.before().get(number);
        return of.member().equals(step.call()) ? of.routine() : of.owner() + "#" + step.call();
    }

    private void cause(String of, List<Verdict> group, StringBuilder text) {
        Verdict smallest = group.get(0);
        String routine = FindingsText.unqualified(smallest.of().routine());
        text.append("\n  ").append(style.warm(smallest.kind().name().toLowerCase(Locale.ROOT))).append("  ")
                .append(Style.safe(routine)).append(style.dim("  " + group.size()
                        + (group.size() == 1 ? " case" : " cases, the smallest"))).append(' ')
                .append(style.dim(smallest.of().id())).append('\n');
        text.append(Paragraph.of(Style.safe(RecordingText.call(smallest.of())), width, 4, 4));
        text.append(smallest.why().isEmpty() ? "" : Paragraph.of(Style.safe(smallest.why()), width, 4, 4));
        if (smallest.actual().isMissingNode()) {
            return;
        }
        if (smallest.of().outcome() == null) {
            text.append(Paragraph.of(style.dim("now       ") + style.warm(Style.safe(Parts.of(smallest.actual()))), width, 4, 8));
            text.append("    ").append(style.dim("where this is right:")).append("\n    driftwood characterize ").append(of)
                    .append(" --again ").append(smallest.of().id()).append(" --because REASON\n");
        }
        smallest.differences().stream().limit(PLACES).forEach(place -> {
            text.append("    ").append(style.dim("at ")).append(Style.safe(Places.of(place.path()))).append('\n');
            text.append(Paragraph.of(style.dim("recorded  ") + Style.safe(readable(place.expected())), width, 6, 10));
            text.append(Paragraph.of(style.dim("now       ") + style.warm(Style.safe(readable(place.actual()))), width, 6,
                    10));
        });
        if (smallest.differences().size() > PLACES) {
            text.append("    and ").append(smallest.differences().size() - PLACES).append(" other places\n");
        }
        pasted.of(smallest.of()).ifPresent(code -> {
            text.append("    ").append(style.dim("as code")).append('\n');
            code.lines().forEach(line -> text.append("      ").append(Style.safe(line)).append('\n'));
        });
    }

    private static String readable(String json) {
        try {
            return json.equals("nothing") ? json : Parts.of(MAPPER.readTree(json));
        } catch (JsonProcessingException e) {
            return json;
        }
    }
}
