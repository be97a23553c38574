package driftwood.behaviour.recording;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.behaviour.recording.Recording.Case;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.BiPredicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Parts that objects cannot do without: handed nothing for them, the code stumbled somewhere, and nowhere does it ask whether
 * they are there. What such an object answers until it stumbles is chance; a refactoring may refuse it at once.
 */
public final class NeededParts {
    private static final String TYPE = "is";

    private final Map<String, List<String>> needed;

    /** @param needed names of parts by the qualified name of the type; null for none */
    public NeededParts(Map<String, List<String>> needed) {
        this.needed = needed == null ? Map.of() : needed;
    }

    /**
     * Finds them among cases that were run.
     *
     * @param mayBeNothing whether a part of a type, by its simple name, is asked for or left out on purpose somewhere
     * @return names by the qualified name of the type; null where there are none
     */
    public static Map<String, List<String>> of(List<Case> run, BiPredicate<String, String> mayBeNothing) {
        Map<String, Set<String>> found = new TreeMap<>();
        for (Case each : run) {
            if (each.outcome() != null && stumbles(each.outcome())) {
                List<Part> parts = nothings(each);
                // Only where one part alone is nothing can it be what the code stumbled over.
                if (parts.size() == 1 && !parts.get(0).type().isEmpty() && !mayBeNothing.test(simple(parts.get(0).type()), parts.get(0).name())) {
                    found.computeIfAbsent(parts.get(0).type(), key -> new TreeSet<>()).add(parts.get(0).name());
                }
            }
        }
        Map<String, List<String>> names = new TreeMap<>();
        found.forEach((type, parts) -> names.put(type, List.copyOf(parts)));
        return names.isEmpty() ? null : names;
    }

    /**
     * The part for which a case hands nothing, as {@code Vessel.kind}, where it ends for want of it now, and was the same up to there.
     *
     * @param verdict that would be passed on it
     * @param now     what happened; missing where it could not be run
     */
    public Optional<String> refused(Verdict verdict, JsonNode now, String unmade) {
        Case of = verdict.of();
        if (needed.isEmpty() || !(now.isMissingNode() ? Stumble.isWantOf(unmade) : isSooner(of.outcome(), now, verdict.differences()))) {
            return Optional.empty();
        }
        return nothings(of).stream().filter(each -> needed.getOrDefault(each.type(), List.of()).contains(each.name()))
                .map(each -> simple(each.type()) + "." + each.name()).findFirst();
    }

    /** Whether a step stumbles that did not, and no step before it differs. */
    private static boolean isSooner(JsonNode recorded, JsonNode now, List<Verdict.Place> differences) {
        int steps = recorded.path("before").size();
        if (now.path("before").isEmpty() && Stumble.ends(now) && IntStream.range(0, steps).anyMatch(at -> Stumble.ends(recorded.path("before").path(at)))) {
            // It is not even made any more, and stumbled before as well.
            return true;
        }
        int first = 0;
        while (first < steps && (Stumble.ends(recorded.path("before").path(first)) || !Stumble.ends(now.path("before").path(first)))) {
            first++;
        }
        int reached = now.path("before").size() < steps ? 0 : first;
        return (first < steps || Stumble.ends(now) && !Stumble.ends(recorded))
                && IntStream.range(0, reached).noneMatch(step -> differences.stream().anyMatch(each -> each.path().startsWith("before." + step + ".")));
    }

    private static boolean stumbles(JsonNode outcome) {
        return Stumble.ends(outcome) || IntStream.range(0, outcome.path("before").size()).anyMatch(at -> Stumble.ends(outcome.path("before").path(at)));
    }

    /** A part that is nothing; without a type where a routine is handed it. */
    private record Part(String type, String name) {
    }

    private static List<Part> nothings(Case of) {
        Set<Part> parts = new LinkedHashSet<>();
        Stream.concat(Stream.of(of.on(), of.given()).filter(Objects::nonNull), of.steps().stream()
                .flatMap(step -> Stream.of(step.make(), step.given()).filter(Objects::nonNull))).forEach(each -> collect(each, parts));
        return List.copyOf(parts);
    }

    private static void collect(JsonNode value, Set<Part> parts) {
        value.properties().forEach(each -> {
            if (each.getValue().isNull()) {
                parts.add(new Part(value.path(TYPE).asText(), each.getKey()));
            }
        });
        value.forEach(each -> collect(each, parts));
    }

    private static String simple(String type) {
        return type.substring(type.lastIndexOf('.') + 1);
    }
}
