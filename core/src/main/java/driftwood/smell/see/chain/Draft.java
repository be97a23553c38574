package driftwood.smell.see.chain;

import driftwood.smell.Chain.Label;
import driftwood.smell.see.chain.Labels.Question;
import driftwood.tree.Assignment;
import driftwood.tree.If;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.Search;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * One arm before it is known which subject its chain is on.
 *
 * @param at       the branch
 * @param question what its condition asks, where it asks something of one subject
 */
record Draft(Node at, Node condition, Optional<Question> question, List<Node> body, int start, int end) {

    String subject(Labels labels) {
        return question.map(asked -> labels.text(asked.subject())).orElse("");
    }

    /** The same arms, with their conditions asked in another way. */
    static List<Draft> asked(List<Draft> drafts, Function<Node, Optional<Question>> ask) {
        return drafts.stream().map(each -> new Draft(each.at(), each.condition(), ask.apply(each.condition()), each.body(),
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

    /** What leaves the routine for a reason of its own before the first question about the subject is no arm of the decision. */
    static List<Draft> withoutFirstGuards(List<Draft> drafts, String subject, Labels labels, Predicate<Draft> creates) {
        int first = 0;
        while (first < drafts.size() - 2 && drafts.get(first).at() instanceof If guard && guard.otherwise().isEmpty()
                && !drafts.get(first).subject(labels).equals(subject) && !creates.test(drafts.get(first))) {
            first++;
        }
        return drafts.subList(first, drafts.size());
    }

    /** Whether a condition asks about the subject of this arm. */
    boolean isOnSubjectOf(Node other, Labels labels) {
        return !subject(labels).isEmpty() && labels.ask(other).filter(each -> labels.text(each.subject()).equals(subject(labels))).isPresent();
    }

    /**
     * Whether one of some arms may run after another of others has: they share a label, the first changes what is asked, or the
     * second changes further what the first has.
     */
    static boolean overlap(List<Draft> before, List<Draft> after, Labels labels) {
        Set<String> known = texts(before);
        String subject = before.get(0).subject(labels);
        Set<String> changed = assigned(before.stream().filter(each -> !Exits.leaves(each.body().get(0))).toList())
                .map(each -> labels.text(each.target())).collect(Collectors.toSet());
        return texts(after).stream().anyMatch(known::contains) || changed.contains(subject)
                || assigned(after).anyMatch(each -> each.operator().equals("=") && each.target() instanceof Name target
                && changed.contains(labels.text(target)) && Search.all(each.value(), Name.class).stream().anyMatch(read -> read.name().equals(target.name())));
    }

    private static Stream<Assignment> assigned(List<Draft> arms) {
        return arms.stream().flatMap(each -> each.body().stream()).flatMap(each -> Search.all(each, Assignment.class).stream());
    }

    private static Set<String> texts(List<Draft> drafts) {
        return drafts.stream().flatMap(each -> each.question().stream()).flatMap(each -> each.labels().stream())
                .map(Label::text).collect(Collectors.toSet());
    }
}
