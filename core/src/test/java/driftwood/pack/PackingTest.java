package driftwood.pack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class PackingTest {
    private enum Tide { LOW, HIGH }

    private sealed interface Craft {
    }

    private record Tug(String name, int power) implements Craft {
    }

    private record Yacht(String name, Optional<Double> draught, boolean moored) implements Craft {
    }

    private record Berth(String file, @Line int line, @Line int endLine, Tide tide, List<Craft> crafts, Set<String> marks,
            Map<String, List<Integer>> soundings, long seal, byte[] chart, int[] depths) {
    }

    private record Named(String name) {
    }

    private record Place(@Line int line) {
    }

    private record Walk(String name, @Line int line, @Line int lastLine, int height, List<Place> steps) {
    }

    private record Quay(String file, @Line int line, List<Walk> walks, Optional<Quay> opposite) {
    }

    private record Unknown(Thread thread) {
    }

    private static final Packing<Walk> WALK = Packing.of(Walk.class);

    private static Berth berth() {
        Map<String, List<Integer>> soundings = new LinkedHashMap<>();
        soundings.put("spring", List.of(4, -2, 300, Integer.MAX_VALUE, Integer.MIN_VALUE));
        soundings.put("neap", List.of());
        return new Berth("quay/Berth.java", 3, 90, Tide.HIGH, List.of(new Tug("Ebba", 900),
                new Yacht("Måne", Optional.of(2.25), true), new Yacht("", Optional.empty(), false)),
                new TreeSet<>(Set.of("red", "green")), soundings, -7_000_000_000L, new byte[] {0, -1, 127}, new int[] {5, 0, -9});
    }

    @Test
    void aRecordOfEverythingComesBack() {
        Packing<Berth> packing = Packing.of(Berth.class);
        Berth back = packing.unpack(packing.pack(berth())).orElseThrow();
        assertThat(back).usingRecursiveComparison().isEqualTo(berth());
        assertThat(packing.unpack(packing.pack(berth()).bytes()).orElseThrow()).usingRecursiveComparison().isEqualTo(berth());
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "berth", "Kråka", "ÿ", "\u0100", "潮位", "⛵ \uD83D\uDEA2", "\uD83D", "a\uDEA2b", "\0\n\t"})
    void everyTextComesBackProperUnicodeOrNot(String text) {
        Packing<List<Named>> packing = Packing.list(Named.class);
        List<Named> names = List.of(new Named(text), new Named("between"), new Named(text));
        assertThat(packing.unpack(packing.pack(names))).contains(names);
    }

    @Test
    void aTextIsWrittenOnce() {
        Packing<List<Named>> packing = Packing.list(Named.class);
        String text = "the harbour office at Kelp Quay";
        int once = packing.pack(List.of(new Named(text))).body().length;
        int often = packing.pack(IntStream.range(0, 20).mapToObj(each -> new Named(text)).toList()).body().length;
        assertThat(often - once).isEqualTo(19);
    }

    static Stream<Walk> elsewhere() {
        return Stream.of(
                new Walk("pier", 14, 19, 2, List.of(new Place(15), new Place(17))),
                new Walk("pier", 2, 700, 2, List.of(new Place(3), new Place(699))),
                new Walk("pier", 9, 4, 2, List.of(new Place(1), new Place(8))));
    }

    @ParameterizedTest
    @MethodSource("elsewhere")
    void whatStandsElsewhereIsAlike(Walk other) {
        Walk walk = new Walk("pier", 4, 9, 2, List.of(new Place(5), new Place(7)));
        assertThat(WALK.pack(walk).isAlike(WALK.pack(other))).isTrue();
        assertThat(WALK.pack(other).lines()).hasSize(4);
    }

    static Stream<Walk> others() {
        return Stream.of(
                new Walk("mole", 4, 9, 2, List.of(new Place(5), new Place(7))),
                new Walk("pier", 4, 9, 3, List.of(new Place(5), new Place(7))),
                new Walk("pier", 4, 9, 2, List.of(new Place(5))),
                new Walk("pier", 4, 4, 2, List.of(new Place(5), new Place(7))),
                new Walk("pier", 4, 9, 2, List.of(new Place(5), new Place(5))),
                new Walk("pier", 4, 9, 2, List.of(new Place(4), new Place(9))));
    }

    @ParameterizedTest
    @MethodSource("others")
    void whatSaysSomethingElseIsNotAlike(Walk other) {
        Walk walk = new Walk("pier", 4, 9, 2, List.of(new Place(5), new Place(7)));
        assertThat(WALK.pack(walk).isAlike(WALK.pack(other))).isFalse();
    }

    @Test
    void linesAreThoseOfTheInnermostFileAround() {
        Quay south = new Quay("South.java", 1, List.of(new Walk("a", 1, 2, 0, List.of(new Place(2)))), Optional.empty());
        Quay north = new Quay("North.java", 1, List.of(new Walk("b", 1, 3, 0, List.of())), Optional.of(south));
        Packing<Quay> packing = Packing.of(Quay.class);
        Moves moves = (file, line) -> file.equals("South.java") ? line + 100 : line;
        Quay moved = packing.unpack(packing.pack(north, moves)).orElseThrow();
        assertThat(moved.line()).isEqualTo(1);
        assertThat(moved.walks()).isEqualTo(north.walks());
        assertThat(moved.opposite().orElseThrow().line()).isEqualTo(101);
        assertThat(moved.opposite().orElseThrow().walks().get(0)).isEqualTo(new Walk("a", 101, 102, 0, List.of(new Place(102))));
    }

    @Test
    void setsWithoutAnOrderAreWrittenInOne() {
        record Marks(Set<String> marks) {
        }
        Packing<Marks> packing = Packing.of(Marks.class);
        Packed one = packing.pack(new Marks(Set.of("red", "green", "white", "amber")));
        assertThat(packing.pack(new Marks(new TreeSet<>(Set.of("white", "amber", "red", "green"))))).isEqualTo(one);
        assertThat(packing.unpack(one).orElseThrow().marks()).containsExactly("amber", "green", "red", "white");
    }

    @Test
    void whateverIsCutOffIsToldAsDamaged() {
        Packing<Berth> packing = Packing.of(Berth.class);
        byte[] whole = packing.pack(berth()).bytes();
        for (int length = 0; length < whole.length; length++) {
            assertThat(packing.unpack(Arrays.copyOf(whole, length))).as("first %d bytes", length).isEmpty();
        }
    }

    @Test
    void noDamageThrowsOrTakesForEver() {
        Packing<Berth> packing = Packing.of(Berth.class);
        byte[] whole = packing.pack(berth()).bytes();
        for (int at = 0; at < whole.length; at++) {
            for (int bit = 0; bit < Byte.SIZE; bit++) {
                byte[] damaged = whole.clone();
                damaged[at] ^= (byte) (1 << bit);
                assertThat(packing.unpack(damaged)).isNotNull();
            }
        }
    }

    @Test
    void aTypeWithoutAFormIsRefused() {
        assertThatThrownBy(() -> Packing.of(Unknown.class).pack(new Unknown(Thread.currentThread()))).isInstanceOf(UnsupportedOperationException.class)
                .hasMessageContaining("Thread");
    }
}
