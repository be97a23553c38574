package driftwood.smell;

import driftwood.pack.Line;
import driftwood.program.RoutineOutline;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What a finding knows beyond its text: the facts from which plans and recordings are made. */
public sealed interface Detail permits Detail.Branching, Detail.Ladder, Detail.Nothing, Detail.Choosing, Gathered {

    /** Does something for each kind of detail. Kinds that are not overridden come to {@link #visitDetail}. */
    interface Visitor<R> {

        /** What happens to a kind that has no routine of its own. */
        R visitDetail(Detail detail);

        default R visitBranching(Branching branching) {
            return visitDetail(branching);
        }

        default R visitLadder(Ladder ladder) {
            return visitDetail(ladder);
        }

        default R visitNothing(Nothing nothing) {
            return visitDetail(nothing);
        }

        default R visitChoosing(Choosing choosing) {
            return visitDetail(choosing);
        }

        default R visitGathered(Gathered gathered) {
            return visitDetail(gathered);
        }
    }

    /** Hands itself to the visitor's routine for this kind of detail. */
    <R> R accept(Visitor<R> visitor);

    /**
     * A chain that picks behaviour by kind.
     *
     * @param chain     the chain
     * @param variants  names of the variants: types, constants or tags, in the order of the arms
     * @param common    qualified name of what the variants have in common, empty where there is nothing
     * @param onTypes   whether run-time types are tested rather than a tag
     * @param siblings  the other chains on the same variants
     */
    record Branching(Chain chain, List<String> variants, String common, boolean onTypes, List<Place> siblings)
            implements Detail {

        /** The same, with other chains that decide the same. */
        public Branching beside(List<Place> others) {
            return new Branching(chain, variants, common, onTypes, others);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.visitBranching(this);
        }
    }

    /**
     * Constructors that extend one another, or one with too many optional parts.
     *
     * @param type    qualified name of the constructed type
     * @param ladder  the constructors or creation routines, shortest first
     * @param optional names of parts that callers may leave out
     * @param callers who call them
     */
    record Ladder(String type, List<RoutineOutline> ladder, List<String> optional, List<Caller> callers)
            implements Detail {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.visitLadder(this);
        }
    }

    /**
     * A source that stands for "nothing" by null.
     *
     * @param source  symbol of the routine or field
     * @param yields  the type that is missing where it is null, as written
     * @param gives   where it gives null itself
     * @param guards  where callers guard, and what they do for nothing
     * @param careless where callers do not
     */
    public record Nothing(String source, String yields, List<Place> gives, List<Guard> guards, List<Place> careless)
            implements Detail {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.visitNothing(this);
        }
    }

    /**
     * A decision which class to create.
     *
     * @param chain   the first chain
     * @param table   label to simple class name
     * @param common  qualified name of the common type, empty where there is none
     * @param repeats the same decision elsewhere
     */
    record Choosing(Chain chain, Map<String, String> table, String common, List<Place> repeats) implements Detail {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.visitChoosing(this);
        }
    }

    /** What a caller does where there is nothing. */
    enum Reaction {
        /** It does nothing of what it does for something. */
        PASSES_OVER,
        /** It returns, or goes on to the next. */
        LEAVES,
        /** It takes something else instead. */
        DEFAULTS,
        /** It throws at once. */
        THROWS
    }

    /** A guard against nothing. */
    record Guard(Place place, Reaction reaction) {
    }

    /**
     * A call of a constructor or creation routine.
     *
     * @param filled names of the parameters that it fills with null, false or the like only because they must be filled
     */
    record Caller(Place place, List<String> filled) {

        public boolean isFilling() {
            return !filled.isEmpty();
        }

        /** The same caller, with what it fills of some parts only: 0 for a part that everybody must give is a value. */
        public Caller of(Set<String> parts) {
            return new Caller(place, filled.stream().filter(parts::contains).toList());
        }
    }

    /**
     * Those who play a part in a finding.
     *
     * @param called what the part is called, as in "the <em>collaborators</em>"
     * @param names  of those who play it
     */
    record Part(String called, List<String> names) {
    }

    /**
     * A place in the project.
     *
     * @param file    relative path
     * @param line    first line
     * @param endLine last line
     * @param symbol  of the routine around it
     * @param note    what is there
     */
    record Place(String file, @Line int line, @Line int endLine, String symbol, String note) {

        public Evidence evidence() {
            return new Evidence(file, line, endLine, note);
        }
    }

}
