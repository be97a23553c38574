package driftwood.pattern;

import driftwood.smell.Chain;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What a table of functions and its entries are called, that a decision becomes. */
public final class Handlers {
    private Handlers() {
    }

    /** {@code QUOTE_HANDLERS}; {@code SHEET_MAKERS} where every arm only makes a sheet. */
    public static String table(Chain chain) {
        return Words.constant(type(chain)) + "S";
    }

    /** {@code QuoteHandler}: one of them. */
    public static String type(Chain chain) {
        return made(chain).map(word -> word + "Maker").orElseGet(() -> Words.upper(Branches.routineFor(chain)) + "Handler");
    }

    /** {@code QuoteRule}: what the objects of a table have in common, where each entry is one. @param routine that the decision stands in */
    public static String rule(String routine) {
        return Words.upper(routine) + "Rule";
    }

    /** What all the arms make: the words that the types end in, or else those that the routine is called by. */
    private static Optional<String> made(Chain chain) {
        if (chain.arms().isEmpty() || !chain.arms().stream().allMatch(arm -> arm.product().isPresent() && arm.work() == Chain.Work.CREATES)) {
            return Optional.empty();
        }
        List<String> types = chain.arms().stream().map(arm -> arm.product().get().type().replaceFirst("<.*", "").replaceFirst("^.*\\.", "")).distinct().toList();
        List<String> words = List.of(types.get(0).split("(?<=[a-z0-9])(?=[A-Z])"));
        Optional<String> common = types.size() < 2 ? Optional.empty() : Stream.iterate(1, each -> each < words.size(), each -> each + 1)
                .map(from -> String.join("", words.subList(from, words.size()))).filter(end -> types.stream().allMatch(each -> each.endsWith(end) && each.length() > end.length())).findFirst();
        return common.or(() -> Optional.of(Words.upper(Branches.routineFor(chain).replaceFirst("^_+", "").replaceFirst("^(create|make|build|new)(_|$|(?=[A-Z]))", ""))));
    }

    /** {@code _quote_tug}. @param labels of an arm, as a reader would name them */
    public static String function(Chain chain, List<String> labels) {
        String word = Words.ofLabel(String.join("_", labels.stream().limit(2).map(each -> each.replaceFirst("^[rbuRBU]*(['\"])(.*)\\1$", "$2")).toList()));
        return "_" + Branches.routineFor(chain).replaceFirst("^_+", "").replaceFirst("_+$", "") + "_" + Words.snake(word);
    }
}
