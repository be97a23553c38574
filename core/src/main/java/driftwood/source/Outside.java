package driftwood.source;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.core.type.TypeReference;
import driftwood.words.Table;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What of a language's platform reaches outside, by the names that code gives it; read from {@code outside.yaml} beside
 * the language.
 *
 * @param inSight        names that need no import
 * @param platform       how the names of the platform's packages begin
 * @param creations      kind of the part of the world that a creation reaches, by the type's name
 * @param calls          the same for calls, by their dotted name
 * @param clockWhenEmpty types that ask the clock when they are made of nothing
 * @param held           names of those that keep what they take hold of
 * @param inMemory       words in an address that say that it is memory only
 * @param lastNames      the last parts of the names of creations and calls
 */
public record Outside(Set<String> inSight, List<String> platform, Map<String, String> creations, Map<String, String> calls,
        Set<String> clockWhenEmpty, Set<String> held, Set<String> inMemory, Set<String> lastNames) {
    /** Nothing is known to. */
    public static final Outside NONE = new Outside(Set.of(), List.of(), Map.of(), Map.of(), Set.of(), Set.of(), Set.of(), Set.of());

    private record Written(@JsonProperty("in sight") Set<String> inSight, List<String> platform, Map<String, List<String>> creations,
            Map<String, List<String>> calls, @JsonProperty("clock when empty") Set<String> clockWhenEmpty, Set<String> held,
            @JsonProperty("in memory") Set<String> inMemory) {
    }

    /** Reads the table that lies beside a class. */
    public static Outside beside(Class<?> language) {
        Written written = Table.beside(language, "outside", new TypeReference<>() { });
        Map<String, String> creations = byName(written.creations());
        Map<String, String> calls = byName(written.calls());
        Set<String> lastNames = Stream.concat(creations.keySet().stream(), calls.keySet().stream())
                .map(each -> each.substring(each.lastIndexOf('.') + 1)).collect(Collectors.toSet());
        return new Outside(written.inSight(), written.platform(), creations, calls, written.clockWhenEmpty(), written.held(),
                written.inMemory() == null ? Set.of() : written.inMemory(), lastNames);
    }

    private static Map<String, String> byName(Map<String, List<String>> byKind) {
        Map<String, String> kinds = new HashMap<>();
        if (byKind != null) {
            byKind.forEach((kind, names) -> names.forEach(name -> kinds.put(name, kind)));
        }
        return kinds;
    }
}
