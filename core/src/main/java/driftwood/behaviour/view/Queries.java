package driftwood.behaviour.view;

import driftwood.behaviour.build.Homes;
import driftwood.program.Program;
import driftwood.witness.Asking;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What objects of the project are asked.
 *
 * @param byType names of queries by the qualified name of the type that has them
 * @param types  that are known: an object of none of them is asked whatever it can answer
 */
public record Queries(Map<String, List<String>> byType, List<String> types) {
    /** Nothing is asked. */
    public static final Queries NONE = new Queries(Map.of(), List.of());

    /** For the witness of the JVM. @param classPath the project's classes first */
    public Asking asking(Program program, Homes homes, Asking.Manner manner) {
        Ways ways = new Ways(program);
        Map<String, List<String>> queries = new TreeMap<>();
        types.forEach(each -> queries.put(program.type(each).map(ways::binaryName).orElse(each), List.of()));
        byType.forEach((type, names) -> queries.put(program.type(type).map(ways::binaryName).orElse(type), List.copyOf(names)));
        return new Asking(queries, homes.own().stream().map(Path::toAbsolutePath).map(Path::toString).toList(), manner);
    }

    /** Of the project's own types only: in a recording that came from elsewhere there may be others. */
    public Queries within(Program program) {
        Map<String, List<String>> own = new TreeMap<>(byType);
        own.keySet().removeIf(each -> program.type(each).isEmpty());
        return new Queries(own, types);
    }

    /** Without some, told as {@code type name}; types that are left without any are known all the same. */
    Queries without(List<String> some) {
        Map<String, List<String>> kept = new TreeMap<>();
        byType.forEach((type, names) -> {
            List<String> left = new ArrayList<>(names);
            left.removeIf(each -> some.contains(type + " " + each));
            kept.put(type, left);
        });
        return new Queries(kept, types);
    }

    /** Only those that somebody was asked, told as {@code type name}. */
    public Queries only(List<String> some) {
        Map<String, List<String>> kept = new TreeMap<>();
        byType.forEach((type, names) -> {
            List<String> left = names.stream().filter(each -> some.contains(type + " " + each)).toList();
            if (!left.isEmpty()) {
                kept.put(type, left);
            }
        });
        return new Queries(kept, types);
    }
}
