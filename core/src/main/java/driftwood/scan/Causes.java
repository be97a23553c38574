package driftwood.scan;

import driftwood.smell.Detail;
import driftwood.smell.Finding;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What has one cause: chains on the same variants are one decision that is taken in many places. */
public final class Causes {
    private Causes() {
    }

    /** The cause of each finding, by its id: the id of the first finding that has it. @param findings most drag first */
    public static Map<String, String> of(List<Finding> findings) {
        Map<String, Finding> byPlace = new HashMap<>();
        findings.forEach(each -> byPlace.put(place(each.smell(), each.file(), each.line()), each));
        Map<String, String> causes = new LinkedHashMap<>();
        for (Finding each : findings) {
            String cause = causes.computeIfAbsent(each.id(), key -> key);
            if (each.detail() instanceof Detail.Branching branching && cause.equals(each.id())) {
                branching.siblings().stream().map(sibling -> byPlace.get(place(each.smell(), sibling.file(), sibling.line())))
                        .filter(sibling -> sibling != null).forEach(sibling -> causes.putIfAbsent(sibling.id(), cause));
            }
        }
        return causes;
    }

    private static String place(String smell, String file, int line) {
        return smell + " " + file + ":" + line;
    }
}
