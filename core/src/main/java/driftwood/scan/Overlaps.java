package driftwood.scan;

import driftwood.pack.Line;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.detect.Catalogue;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * One cause, one finding: where several smells meet at one place, the more precise one is kept. (Catalogue, "Words used
 * below".)
 */
final class Overlaps {
    /** Which smells take precedence over a smell. */
    private static final Map<String, Set<String>> BEFORE = Map.of(
            "type-switch", Set.of("container-type-check", "state-switch", "threshold-ladder",
                    "conditional-instantiation", "mismatched-interfaces"),
            "near-twin-classes", Set.of("subclass-explosion"),
            "long-parameter-list", Set.of("telescoping-constructor"),
            "hard-coded-instantiation", Set.of("uncontrolled-instances", "bypassed-wrapper"),
            "constructor-work", Set.of("uncontrolled-instances"),
            "mismatched-interfaces", Set.of("threshold-ladder"),
            "threshold-ladder", Set.of("conditional-instantiation"));

    private Overlaps() {
    }

    /** The findings without those that a more precise one already tells. The order is kept. */
    static List<Finding> settled(List<Finding> findings) {
        Map<String, List<Claim>> claims = new HashMap<>();
        for (Finding finding : findings) {
            for (Evidence evidence : finding.evidence()) {
                claims.computeIfAbsent(evidence.file(), key -> new ArrayList<>())
                        .add(new Claim(finding.smell(), evidence.line(), evidence.endLine()));
            }
        }
        return findings.stream().filter(finding -> claims.getOrDefault(finding.file(), List.of()).stream()
                .noneMatch(claim -> claim.beats(finding))).toList();
    }

    /** A place that a finding shows as evidence. */
    private record Claim(String smell, @Line int line, @Line int endLine) {

        boolean beats(Finding other) {
            return BEFORE.getOrDefault(other.smell(), Set.of()).contains(smell)
                    && line <= other.endLine() && other.line() <= endLine;
        }
    }
}
