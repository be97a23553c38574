package driftwood.source;

import driftwood.words.Block;
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
 * @param given          calls that reach nothing where they are told what to write to, with the name of that argument
 * @param lastNames      the last parts of the names of creations and calls
 */
public record Outside(Set<String> inSight, List<String> platform, Map<String, String> creations, Map<String, String> calls,
        Set<String> clockWhenEmpty, Set<String> held, Set<String> inMemory, Map<String, String> given, Set<String> lastNames) {
    /** Nothing is known to. */
    public static final Outside NONE = new Outside(Set.of(), List.of(), Map.of(), Map.of(), Set.of(), Set.of(), Set.of(), Map.of(), Set.of());

    private static final Set<String> KEYS = Set.of("in sight", "platform", "creations", "calls", "clock when empty", "held", "in memory", "given");

    /** Reads the table that lies beside a class. */
    public static Outside beside(Class<?> language) {
        Block table = Table.beside(language, "outside").only(KEYS);
        Map<String, String> creations = byName(table.lists("creations"));
        Map<String, String> calls = byName(table.lists("calls"));
        Set<String> lastNames = Stream.concat(creations.keySet().stream(), calls.keySet().stream())
                .map(each -> each.substring(each.lastIndexOf('.') + 1)).collect(Collectors.toSet());
        return new Outside(Set.copyOf(table.texts("in sight")), table.texts("platform"), creations, calls,
                Set.copyOf(table.texts("clock when empty")), Set.copyOf(table.texts("held")), Set.copyOf(table.texts("in memory")),
                table.pairs("given"), lastNames);
    }

    private static Map<String, String> byName(Map<String, List<String>> byKind) {
        Map<String, String> kinds = new HashMap<>();
        byKind.forEach((kind, names) -> names.forEach(name -> kinds.put(name, kind)));
        return kinds;
    }
}
