package driftwood.witness;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class DescriberTest {

    enum Kind { TUG }

    record Leg(String from, int miles) { }

    static class Berth {
        private final int depth = 4;
        private final Berth next;
        int secret = 9;

        Berth(Berth next) {
            this.next = next;
        }

        public int getDepth() {
            return depth;
        }

        public Berth getNext() {
            return next;
        }

        public int getAndForget() {
            return secret--;
        }

        public int getBroken() {
            throw new IllegalStateException();
        }
    }

    static class Bare {
        private final int count;

        Bare(int count) {
            this.count = count;
        }

        int doubled() {
            return 2 * count;
        }
    }

    static class Knot {
        Knot self() {
            return this;
        }
    }

    static class Open {
        public int width = 7;
    }

    static class Newcomer {
        int getDepth() {
            return 9;
        }
    }

    static Stream<Arguments> values() {
        return Stream.of(Arguments.of(null, "null"), Arguments.of(true, "flag true"), Arguments.of(4, "number 4"),
                Arguments.of(4.5, "number 4.5"), Arguments.of(Double.NaN, "number NaN"), Arguments.of("a", "text a"),
                Arguments.of('x', "char x"), Arguments.of(Kind.TUG, "enum " + Kind.class.getName() + ".TUG"),
                Arguments.of(List.of(1, 2), "list[number 1, number 2]"), Arguments.of(new int[] {3}, "list[number 3]"),
                Arguments.of(new LinkedHashSet<>(List.of(2, 1)), "set[number 2, number 1]"),
                Arguments.of(Set.of(2), "set[number 2]"), Arguments.of(new TreeMap<>(Map.of("a", 1)), "map[text a, number 1]"),
                Arguments.of(Optional.of(1), "optional[number 1]"), Arguments.of(Optional.empty(), "optional[]"),
                Arguments.of(LocalDate.of(2026, 3, 1), "object java.time.LocalDate{text=text 2026-03-01}"),
                Arguments.of(new Leg("a", 3), "object " + Leg.class.getName() + "{from=text a, miles=number 3}"),
                Arguments.of(new Bare(2), "object " + Bare.class.getName()), Arguments.of(Stream.of(1, 2), "list[number 1, number 2]"),
                Arguments.of(new Object(), "opaque java.lang.Object"), Arguments.of((Supplier<String>) () -> "x", "opaque a function"),
                Arguments.of(new Knot(), "object " + Knot.class.getName() + "{self=same 1 up}"),
                Arguments.of(new IllegalStateException("x"), "object java.lang.IllegalStateException{message=text x}"));
    }

    /** What the types of this test are asked. */
    private static Answers asked() {
        return new Answers(Map.of(Leg.class.getName(), List.of("from", "miles"), Knot.class.getName(), List.of("self"),
                Bare.class.getName(), List.of(), Berth.class.getName(), List.of("getBroken", "getDepth", "getNext"),
                Open.class.getName(), List.of("width")));
    }

    @ParameterizedTest(name = "{1}")
    @MethodSource("values")
    void valuesAreDescribedByWhatCanBeAskedOfThem(Object value, String described) {
        assertThat(text(new Describer(asked(), true).describe(value))).isEqualTo(described);
    }

    private static String text(Value value) {
        String head = value.kind() + (value.text().isEmpty() ? "" : " " + value.text());
        if (!value.names().isEmpty()) {
            List<String> parts = new ArrayList<>();
            for (int i = 0; i < value.names().size(); i++) {
                parts.add(value.names().get(i) + "=" + text(value.parts().get(i)));
            }
            return head + "{" + String.join(", ", parts) + "}";
        }
        boolean many = Set.of("list", "set", "map", "optional").contains(value.kind());
        return many ? head + "[" + String.join(", ", value.parts().stream().map(DescriberTest::text).toList()) + "]" : head;
    }

    @Test
    void queriesAreAskedAndWhatIsPrivateIsNot() {
        assertThat(text(new Describer(asked(), false).describe(new Berth(null)))).isEqualTo("object " + Berth.class.getName()
                + "{getBroken=throws, getDepth=number 4, getNext=null}");
        assertThat(text(new Describer(asked(), false).describe(new Open()))).endsWith("{width=number 7}");
    }

    @Test
    void anObjectOfAClassThatNobodyKnowsIsAskedWhateverItCanAnswer() {
        assertThat(text(new Describer(asked(), false).describe(new Newcomer()))).endsWith("{getDepth=number 9}");
    }

    @Test
    void mapsWithoutOrderAreSortedByKey() {
        Map<String, Integer> map = new HashMap<>();
        List.of("zebra", "apple", "mango", "kelp").forEach(key -> map.put(key, key.length()));
        assertThat(text(new Describer(asked(), false).describe(map))).startsWith("map[text apple, number 5, text kelp");
    }

    @Test
    void twoObjectsAndOneTwiceAreDescribedAlike() {
        Berth shared = new Berth(null);
        assertThat(new Describer(asked(), false).describe(List.of(shared, shared)))
                .isEqualTo(new Describer(asked(), false).describe(List.of(new Berth(null), new Berth(null))));
    }

    @Test
    void whatIsTooLargeIsToldLessDeeply() {
        List<List<Integer>> large = Collections.nCopies(100, List.of(1, 2, 3, 4, 5, 6, 7, 8, 9));
        assertThat(text(new Describer(asked(), false).describe(large))).startsWith("list[cut collection, cut collection");
    }

    @Test
    void whatThePlatformSaysOfAWrongCastIsNotTold() {
        assertThat(text(new Describer(asked(), false).describe(new ClassCastException("class A cannot be cast to class B"))))
                .isEqualTo("object java.lang.ClassCastException{message=null}");
    }
}
