package driftwood.pattern;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.smell.Chain;
import driftwood.smell.Detail.Part;
import driftwood.smell.Gathered;
import driftwood.smell.RoutineFacts;
import driftwood.smell.TypeFacts;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;

class PatternWordsTest {
    private static final String R = "quay.Desk#pay(Vessel)";
    private static final String T = "quay.Desk";
    private static final List<String> SOME = List.of("some");
    private static final Chain CHAIN = new Chain(T, R, 1, 2, Chain.Form.LADDER, Chain.Subject.NONE, List.of(), Optional.empty(), false, false);

    /** What findings of each smell know whose plans are told in words. */
    private static final Map<String, List<Gathered>> KNOWN = Map.ofEntries(
            Map.entry("hard-wired-notification", List.of(new RoutineFacts.Telling(R, SOME, "vessel"))),
            Map.entry("uncontrolled-instances", List.of(new TypeFacts.Holding(T, "log", List.of()))),
            Map.entry("hard-coded-instantiation", List.of(new TypeFacts.Creating(T, T, List.of(), List.of()))),
            Map.entry("bypassed-wrapper", List.of(new TypeFacts.Wrapping(T, T, List.of()))),
            Map.entry("threshold-ladder", List.of(new RoutineFacts.Limits(CHAIN, SOME))),
            Map.entry("flag-argument", List.of(new RoutineFacts.Flag(R, "loud", 0, List.of()))),
            Map.entry("long-parameter-list", List.of(new RoutineFacts.Parameters(R, SOME, List.of()))),
            Map.entry("swapped-arguments", List.of(new RoutineFacts.Swap(R, SOME))),
            Map.entry("misplaced-behaviour", List.of(new TypeFacts.Kept(T, T, SOME, List.of()), new RoutineFacts.Envy(R, T, SOME, List.of()))),
            Map.entry("mismatched-interfaces", List.of(new RoutineFacts.Mismatch(CHAIN, List.of(T), SOME, List.of()))),
            Map.entry("constructor-work", List.of(new RoutineFacts.Work(R, T, List.of()))),
            Map.entry("near-twin-classes", List.of(new TypeFacts.Twins(List.of(T), SOME, SOME, List.of()))),
            Map.entry("subclass-explosion", List.of(new TypeFacts.Grid(T, SOME, SOME, List.of(), List.of()))),
            Map.entry("container-type-check", List.of(new TypeFacts.Descent(T, T, SOME, List.of()))),
            Map.entry("half-built-object", List.of(new TypeFacts.Unfinished(T, SOME, List.of()))),
            Map.entry("guard-heavy-method", List.of(new RoutineFacts.Guarded(R, "core()", 3))));
    private static final Pattern BRACES = Pattern.compile("\\{([^}]*)}");

    @TestFactory
    Stream<DynamicTest> everyPartThatIsNamedIsKnownAndEveryRoleIsThePatternsOwn() {
        return Patterns.all().stream().flatMap(pattern -> pattern.answers().entrySet().stream()
                .filter(each -> each.getValue().advice().isPresent()).map(each -> DynamicTest.dynamicTest(pattern.key() + " for " + each.getKey(),
                        () -> holds(pattern, each.getKey(), each.getValue().advice().get()))));
    }

    private static void holds(driftwood.pattern.Pattern pattern, String smell, Advice advice) {
        assertThat(pattern.roles()).containsAll(advice.cast().values());
        List<String> texts = new ArrayList<>(advice.steps());
        texts.add(advice.because());
        texts.addAll(advice.after());
        for (Gathered each : KNOWN.getOrDefault(smell, List.of())) {
            List<String> offered = each.parts().stream().map(Part::called).toList();
            assertThat(offered).containsAll(advice.cast().keySet());
            texts.forEach(text -> {
                Matcher named = BRACES.matcher(text);
                while (named.find()) {
                    assertThat(offered).contains(named.group(1));
                }
            });
        }
        assertThat(KNOWN).containsKey(smell);
    }
}
