package driftwood.pattern;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.core.type.TypeReference;
import driftwood.pattern.Answer.Cost;
import driftwood.pattern.Pattern.Answering;
import driftwood.words.Table;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads the patterns from {@code patterns.yaml}, where all their words stand, and joins them with their code. */
final class PatternWords {
    private static final String FILE = "patterns";

    private PatternWords() {
    }

    /** The block of a pattern. */
    private record Block(String what, @JsonProperty("leave it when") String whenNot, List<String> roles,
            Map<String, Said> answers) {

        Pattern pattern(String key, Optional<Computed> computed) {
            Map<String, Answering> all = new LinkedHashMap<>();
            answers.forEach((smell, said) -> all.put(smell, said.answering()));
            return new Pattern(key, what.strip(), whenNot.strip(), roles, all, computed);
        }
    }

    /** What it says to a smell; all but the place may be missing together. @param only constructors, where routines are not meant */
    private record Said(int place, String only, double fit, String because, LinkedHashMap<String, String> cast, List<String> steps, Cost cost,
            List<String> after) {

        Answering answering() {
            return new Answering(place, because == null ? Optional.empty()
                    : Optional.of(new Advice("constructors".equals(only), fit, because, cast, steps, cost, after)));
        }
    }

    /**
     * All patterns, in the order of the file.
     *
     * @throws IllegalStateException where a piece of code has no words
     */
    static List<Pattern> read(List<Computed> code) {
        Map<String, Block> blocks = Table.beside(PatternWords.class, FILE, new TypeReference<LinkedHashMap<String, Block>>() { });
        for (Computed each : code) {
            if (!blocks.containsKey(each.key())) {
                throw new IllegalStateException(FILE + ".yaml has no words for " + each.key());
            }
        }
        return blocks.entrySet().stream().map(each -> each.getValue().pattern(each.getKey(), code.stream()
                .filter(one -> one.key().equals(each.getKey())).findFirst())).toList();
    }
}
