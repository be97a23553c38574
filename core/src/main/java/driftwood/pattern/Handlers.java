package driftwood.pattern;

import driftwood.smell.Chain;
import java.util.List;

/** What a table of functions and its entries are called, that a decision becomes. */
public final class Handlers {
    private Handlers() {
    }

    /** {@code QUOTE_HANDLERS}. */
    public static String table(Chain chain) {
        return Words.constant(Branches.routineFor(chain)) + "_HANDLERS";
    }

    /** {@code _quote_tug}. @param labels of an arm, as a reader would name them */
    public static String function(Chain chain, List<String> labels) {
        String word = Words.ofLabel(String.join("_", labels.stream().limit(2).map(each -> each.replaceFirst("^[rbuRBU]*(['\"])(.*)\\1$", "$2")).toList()));
        return "_" + Branches.routineFor(chain).replaceFirst("^_+", "").replaceFirst("_+$", "") + "_" + Words.snake(word);
    }
}
