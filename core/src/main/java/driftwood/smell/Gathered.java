package driftwood.smell;

import driftwood.program.Symbol;
import java.util.List;
import java.util.stream.Stream;

/** What a finding knows whose plan is told in words: facts, and the names that people are told, made from them. */
public sealed interface Gathered extends Detail permits RoutineFacts, TypeFacts {

    /** What the change drill adds, as in "one more <em>collaborator to tell</em>". */
    String change();

    /** Those who take part, in the order of reading. */
    List<Part> parts();

    /** Where that change must be made today, the place of the finding not among them. */
    default List<Place> places() {
        return List.of();
    }

    @Override
    default <R> R accept(Visitor<R> visitor) {
        return visitor.visitGathered(this);
    }

    static Part types(String called, String... types) {
        return new Part(called, Stream.of(types).map(each -> Symbol.of(each).simpleType()).toList());
    }

    static Part routine(String symbol) {
        return new Part("routine", List.of(Symbol.of(symbol).member()));
    }
}
