package driftwood.cli.render;

import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Verdict;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Verdicts in the format {@code driftwood-verdicts/1}; documented in docs/formats.md. */
public final class VerdictsJson {
    private VerdictsJson() {
    }

    /** @param tests exit code of the project's own tests, where they were run */
    public static String of(Map<Recording, List<Verdict>> verdicts, Optional<Integer> tests) {
        List<Object> recordings = new ArrayList<>();
        verdicts.forEach((recording, each) -> {
            Map<String, Object> entry = new LinkedHashMap<>();
            entry.put("of", recording.of());
            if (recording.notices() != null) {
                entry.put("notices", counts(recording.notices()));
            }
            entry.put("cases", each.stream().map(VerdictsJson::verdict).toList());
            recordings.add(entry);
        });
        Map<String, Object> whole = new LinkedHashMap<>();
        whole.put("format", "driftwood-verdicts/1");
        Map<String, Long> totals = new TreeMap<>();
        verdicts.values().forEach(all -> all.forEach(each -> totals.merge(each.kind().name().toLowerCase(Locale.ROOT), 1L, Long::sum)));
        whole.put("totals", totals);
        whole.put("recordings", recordings);
        tests.ifPresent(exit -> whole.put("tests", exit));
        return Json.of(whole);
    }

    private static Map<String, Integer> counts(Recording.Proven notices) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        counts.put("noticed", notices.noticed());
        counts.put("planted", notices.planted());
        return counts;
    }

    private static Map<String, Object> verdict(Verdict verdict) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("case", verdict.of().id());
        entry.put("routine", verdict.of().routine());
        entry.put("verdict", verdict.kind().name().toLowerCase(Locale.ROOT));
        if (!verdict.why().isEmpty()) {
            entry.put("why", verdict.why());
        }
        if (!verdict.built().isEmpty()) {
            entry.put("builtDifferently", verdict.built());
        }
        if (!verdict.unasked().isEmpty()) {
            entry.put("noLongerAsked", verdict.unasked());
        }
        if (!verdict.refused().isEmpty()) {
            entry.put("stumblesSooner", verdict.refused());
        }
        if (!verdict.differences().isEmpty()) {
            entry.put("differences", verdict.differences());
            entry.put("recorded", verdict.of().outcome());
        }
        if (verdict.kind() != Verdict.Kind.SAME && !verdict.actual().isMissingNode()) {
            entry.put("now", verdict.actual());
        }
        return entry;
    }
}
