package driftwood.pattern;

import driftwood.pattern.Answer.Cost;
import driftwood.pattern.Pattern.Answering;
import driftwood.words.Block;
import driftwood.words.Table;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Reads the patterns from {@code patterns.yaml}, where all their words stand, and joins them with their code. */
final class PatternWords {
    private static final String FILE = "patterns";

    private PatternWords() {
    }

    private static final Set<String> OF_PATTERN = Set.of("what", "leave it when", "roles", "answers");
    private static final Set<String> OF_ANSWER = Set.of("place", "only", "fit", "because", "cast", "steps", "cost", "after", "by name");
    private static final Set<String> OF_COST = Set.of("types", "lines", "indirection");

    private static Pattern pattern(String key, Block words, Optional<Computed> computed) {
        words.only(OF_PATTERN);
        Map<String, Answering> all = new LinkedHashMap<>();
        words.block("answers").blocks().forEach((smell, said) -> all.put(smell, answering(said)));
        return new Pattern(key, words.text("what").strip(), words.text("leave it when").strip(), words.texts("roles"), all, computed);
    }

    /** What it says to a smell; all but the place may be missing together: then a class says it. */
    private static Answering answering(Block said) {
        said.only(OF_ANSWER);
        int place = (int) said.number("place");
        if (!said.has("because")) {
            return new Answering(place, Optional.empty(), Optional.empty());
        }
        return new Answering(place, Optional.of(advice(said)), said.has("by name") ? Optional.of(advice(said.block("by name").only(OF_ANSWER))) : Optional.empty());
    }

    private static Advice advice(Block said) {
        Block cost = said.block("cost").only(OF_COST);
        return new Advice(Advice.Only.of(said.text("only")), said.number("fit"), said.text("because"),
                said.pairs("cast"), said.texts("steps"), new Cost((int) cost.number("types"), (int) cost.number("lines"),
                cost.text("indirection")), said.texts("after"));
    }

    /**
     * All patterns, in the order of the file.
     *
     * @throws IllegalStateException where a piece of code has no words
     */
    static List<Pattern> read(List<Computed> code) {
        Map<String, Block> blocks = Table.beside(PatternWords.class, FILE).blocks();
        for (Computed each : code) {
            if (!blocks.containsKey(each.key())) {
                throw new IllegalStateException(FILE + ".yaml has no words for " + each.key());
            }
        }
        return blocks.entrySet().stream().map(each -> pattern(each.getKey(), each.getValue(), code.stream()
                .filter(one -> one.key().equals(each.getKey())).findFirst())).toList();
    }
}
