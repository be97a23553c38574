package driftwood.smell.see.chain;

import driftwood.smell.see.chain.Labels.Question;
import driftwood.tree.Node;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * One arm before it is known which subject its chain is on.
 *
 * @param question what its condition asks, where it asks something of one subject
 */
record Draft(Node condition, Optional<Question> question, List<Node> body, int start, int end) {

    String subject(Labels labels) {
        return question.map(asked -> labels.text(asked.subject())).orElse("");
    }

    /** The same arms, with their conditions asked in another way. */
    static List<Draft> asked(List<Draft> drafts, Function<Node, Optional<Question>> ask) {
        return drafts.stream().map(each -> new Draft(each.condition(), ask.apply(each.condition()), each.body(),
                each.start(), each.end())).toList();
    }

    /** The first question on the subject that most arms ask about. */
    static Optional<Question> mainQuestion(List<Draft> drafts, Labels labels) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        for (Draft draft : drafts) {
            if (draft.question().isPresent()) {
                counts.merge(draft.subject(labels), 1, Integer::sum);
            }
        }
        String best = counts.entrySet().stream().max(Map.Entry.comparingByValue()).map(Map.Entry::getKey).orElse("");
        return drafts.stream().filter(draft -> draft.question().isPresent() && draft.subject(labels).equals(best))
                .findFirst().flatMap(Draft::question);
    }
}
