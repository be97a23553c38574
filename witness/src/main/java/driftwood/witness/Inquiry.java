package driftwood.witness;

import driftwood.witness.Asking.Manner;
import driftwood.witness.Outcome.Told;
import java.io.BufferedInputStream;
import java.io.DataInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * Finds out which routines are queries: those that answer the same twice, and leave the other answers, and what a case
 * does, as they were. Each case is played without asking, asking in one order, in the other, and asking twice; where that
 * makes a difference, the candidates are tried one at a time and in pairs, each time on objects brought anew into the
 * same state.
 */
public final class Inquiry {
    /** With more candidates than these, pairs are not tried: they are taken in one after the other. */
    private static final int MOST_PAIRED = 14;
    private static final int MOST_STUCK = 6;
    private static final Set<String> SOME = Set.of("object", "same", "cut", "list", "set", "map");

    private final Stage stage;
    private final Asking candidates;
    private final Set<String> rejected = new TreeSet<>();
    private final Set<String> asked = new LinkedHashSet<>();
    private int stuck;

    private Inquiry(Stage stage, Asking candidates) {
        this.stage = stage;
        this.candidates = candidates;
    }

    /**
     * Runs an inquiry.
     *
     * @param arguments file of scripts with the candidates, file to write to: a line for each candidate that was asked,
     *                  "query" or "command" before it; milliseconds for each case; then the class path
     */
    public static void main(String[] arguments) throws IOException {
        Asking candidates;
        List<Script> scripts;
        try (DataInputStream from = new DataInputStream(new BufferedInputStream(Files.newInputStream(Path.of(arguments[0]))))) {
            candidates = Wire.asking(from);
            scripts = Wire.scripts(from);
        }
        Stage stage = new Stage(Long.parseLong(arguments[2]), candidates, false);
        Projects projects = new Projects(candidates.homes(), List.of(arguments).subList(3, arguments.length));
        Inquiry inquiry = new Inquiry(stage, candidates);
        ProjectLoader loader = projects.loader(Map.of());
        for (Script each : scripts) {
            if (inquiry.stuck < MOST_STUCK) {
                // What a static field remembers is the same for each script: where there is one, the classes are loaded anew.
                loader = loader.remembers() ? projects.loader(Map.of()) : loader;
                inquiry.about(each, loader);
            }
        }
        List<String> lines = new ArrayList<>();
        inquiry.asked.forEach(each -> lines.add((inquiry.rejected.contains(each) ? "command " : "query ") + each));
        Files.write(Path.of(arguments[1]), lines);
        Runtime.getRuntime().halt(0);
    }

    /** One state to ask about. */
    private void about(Script script, ClassLoader loader) {
        Outcome alone = play(script, loader, List.of(), Manner.NEVER);
        if (!alone.ending().equals("ran") || !alone.equals(play(script, loader, List.of(), Manner.NEVER))) {
            return;
        }
        List<String> open = seen(script, loader);
        if (open.isEmpty() || disturbs(script, loader, alone, open).isEmpty()) {
            return;
        }
        open.stream().filter(each -> !disturbs(script, loader, alone, List.of(each)).isEmpty()).forEach(rejected::add);
        open.removeAll(rejected);
        if (open.size() <= MOST_PAIRED && !disturbs(script, loader, alone, open).isEmpty()) {
            pairs(script, loader, open);
            open.removeAll(rejected);
        }
        if (!disturbs(script, loader, alone, open).isEmpty()) {
            List<String> taken = new ArrayList<>();
            for (String each : open) {
                taken.add(each);
                if (!disturbs(script, loader, alone, taken).isEmpty()) {
                    taken.remove(each);
                    rejected.add(each);
                }
            }
        }
    }

    /** The candidates that objects of the case have, those that are no commands as far as is known. */
    private List<String> seen(Script script, ClassLoader loader) {
        Answers answers = stage.ask(candidates.with(without(rejected)).in(Manner.ALONG));
        ended(stage.run(script, loader));
        asked.addAll(answers.asked());
        rejected.addAll(answers.loud());
        List<String> open = new ArrayList<>(answers.asked());
        open.removeAll(rejected);
        return open;
    }

    /** What is otherwise when the case is asked some queries: nothing, or a word. */
    private String disturbs(Script script, ClassLoader loader, Outcome alone, List<String> queries) {
        Outcome along = play(script, loader, queries, Manner.ALONG);
        if (!bare(along, Set.of()).equals(bare(alone, Set.of()))) {
            return "the case";
        }
        boolean steady = along.equals(play(script, loader, queries, Manner.BACKWARDS))
                && along.equals(play(script, loader, queries, Manner.TWICE));
        return steady ? "" : "the answers";
    }

    /** Of two, the one before which the other answers otherwise than alone is a command. */
    private void pairs(Script script, ClassLoader loader, List<String> open) {
        Map<String, Outcome> single = new LinkedHashMap<>();
        open.forEach(each -> single.put(each, bare(play(script, loader, List.of(each), Manner.ALONG), Set.of(name(each)))));
        for (String one : open) {
            for (String other : open) {
                boolean told = name(one).equals(name(other)) || rejected.contains(one) || rejected.contains(other);
                if (!told) {
                    Manner first = name(one).compareTo(name(other)) < 0 ? Manner.ALONG : Manner.BACKWARDS;
                    Outcome both = bare(play(script, loader, List.of(one, other), first), Set.of(name(other)));
                    if (!both.equals(single.get(other))) {
                        rejected.add(one);
                    }
                }
            }
        }
    }

    private Outcome play(Script script, ClassLoader loader, Collection<String> queries, Manner manner) {
        stage.ask(candidates.with(table(queries)).in(manner));
        return ended(stage.run(script, loader));
    }

    private Outcome ended(Outcome outcome) {
        stuck += outcome.ending().equals("endless") ? 1 : 0;
        return outcome;
    }

    private static String name(String query) {
        return query.substring(query.indexOf(' ') + 1);
    }

    /** Types without any query stay in: they are known. */
    private Map<String, List<String>> table(Collection<String> queries) {
        Map<String, List<String>> table = new TreeMap<>();
        candidates.queries().keySet().forEach(each -> table.put(each, new ArrayList<>()));
        queries.forEach(each -> table.computeIfAbsent(each.substring(0, each.indexOf(' ')), key -> new ArrayList<>()).add(name(each)));
        return table;
    }

    private Map<String, List<String>> without(Set<String> some) {
        Map<String, List<String>> table = new TreeMap<>();
        candidates.queries().forEach((type, names) -> table.put(type,
                names.stream().filter(each -> !some.contains(type + " " + each)).toList()));
        return table;
    }

    /** The outcome with some of the answers only. */
    private static Outcome bare(Outcome outcome, Set<String> names) {
        List<Told> steps = outcome.steps().stream().map(each -> {
            List<String> left = new ArrayList<>();
            List<Value> values = new ArrayList<>();
            for (int i = 0; i < each.names().size(); i++) {
                Value value = bare(each.left().get(i), names);
                if (!names.isEmpty() && (!value.kind().equals("object") || !value.names().isEmpty())) {
                    left.add(each.names().get(i));
                    values.add(value);
                }
            }
            return new Told(each.ending(), bare(each.value(), names), left, values);
        }).toList();
        return new Outcome(outcome.id(), outcome.ending(), bare(outcome.value(), names), steps, outcome.out(), outcome.err(),
                outcome.pairs(), outcome.calls(), outcome.files());
    }

    /** Without any answers, whatever has parts is only some thing: how much of it is told depends on how much there is. */
    private static Value bare(Value value, Set<String> names) {
        if (names.isEmpty() && (!value.parts().isEmpty() || SOME.contains(value.kind()))) {
            return Value.scalar("thing", "");
        }
        boolean plain = !value.kind().equals("object") || Stream.of("text", "message").anyMatch(value.names()::contains);
        List<String> kept = new ArrayList<>();
        List<Value> parts = new ArrayList<>();
        for (int i = 0; i < value.parts().size(); i++) {
            boolean named = i < value.names().size();
            if (!named || plain || names.contains(value.names().get(i))) {
                parts.add(bare(value.parts().get(i), names));
                if (named) {
                    kept.add(value.names().get(i));
                }
            }
        }
        // Like the receiver, as far as it was asked: without answers that says nothing.
        return value.kind().equals("same") ? new Value("object", "", List.of(), List.of())
                : new Value(value.kind(), value.kind().equals("object") && !plain ? "" : value.text(), kept, parts);
    }
}
