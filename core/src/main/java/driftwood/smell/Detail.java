package driftwood.smell;

import driftwood.program.RoutineOutline;
import driftwood.smell.chain.Chain;
import java.util.List;
import java.util.Map;

/** What a finding knows beyond its text: the facts from which plans and recordings are made. */
public sealed interface Detail {

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
    }

    /**
     * Constructors that extend one another, or one with too many optional parts.
     *
     * @param type    qualified name of the constructed type
     * @param ladder  the constructors or creation routines, shortest first
     * @param optional names of parts that callers may leave out
     * @param callers where they are called
     */
    record Ladder(String type, List<RoutineOutline> ladder, List<String> optional, List<Place> callers)
            implements Detail {
    }

    /**
     * A source that stands for "nothing" by null.
     *
     * @param source  symbol of the routine or field
     * @param yields  the type that is missing where it is null, as written
     * @param guards  where callers guard
     * @param careless where callers do not
     */
    record Nothing(String source, String yields, List<Place> guards, List<Place> careless) implements Detail {
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
    record Place(String file, int line, int endLine, String symbol, String note) {

        public Evidence evidence() {
            return new Evidence(file, line, endLine, note);
        }
    }

}
