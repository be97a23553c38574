package driftwood.program;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Which files may call a routine of a name: never one too few. */
class NameIndexTest {
    private static final String OFFICE = """
            class Office {
                Roster roster;
                void open() { roster.first().greet("morning"); close(); }
                void close() { roster.clear(); }
            }
            """;
    private static final String ROSTER = """
            class Roster {
                Pilot first() { return null; }
                void clear() { }
            }
            class Pilot { void greet(String text) { } }
            """;
    private static final String BUOY = """
            class Buoy {
                int depth;
                int sound() { return new Roster().first() == null ? depth : 0; }
            }
            """;

    private final List<Outline> outlines = Given.scan("", OFFICE, ROSTER, BUOY).program().outlines();
    private final NameIndex index = new NameIndex(outlines);

    static Stream<Arguments> names() {
        return Stream.of(
                Arguments.of(List.of("greet"), List.of("Office.java")),
                Arguments.of(List.of("first"), List.of("Buoy.java", "Office.java")),
                Arguments.of(List.of("clear", "close"), List.of("Office.java")),
                Arguments.of(List.of("first", "clear", "sound"), List.of("Buoy.java", "Office.java")),
                Arguments.of(List.of("sound"), List.of()),
                Arguments.of(List.of("nobody", "depth"), List.of()),
                Arguments.of(List.of(), List.of()));
    }

    @ParameterizedTest
    @MethodSource("names")
    void filesAreFoundByWhatTheyCall(List<String> names, List<String> files) {
        assertThat(index.mayCall(names)).extracting(Outline::file).containsExactlyElementsOf(files);
    }

    @ParameterizedTest
    @CsvSource({"greet, 1, 1", "first, 2, 2", "clear, 1, 1", "sound, 0, 0", "AaAa, 0, 0", "nobody, 0, 0"})
    void callsAreFoundByTheirNames(String name, int calls, int again) {
        assertThat(index.calls(name)).hasSize(calls).allMatch(each -> each.trail().lastName().equals(name));
        assertThat(index.calls(name)).hasSize(again);
        assertThat(index.callsOfAny(Set.of(name))).isEqualTo(index.calls(name));
        assertThat(index.callsOnResultOf(name)).allMatch(each -> each.onResultOf().equals(name));
    }

    @Test
    void callsOfSeveralNamesComeInTheOrderOfFiles() {
        assertThat(index.callsOfAny(Set.of("greet", "first", "clear"))).extracting(each -> each.trail().lastName())
                .startsWith("first").contains("greet", "clear").hasSize(4);
        assertThat(index.callsOnResultOf("first")).extracting(each -> each.trail().lastName()).containsExactly("greet");
    }

    /** Two names of one hash code are told apart by their letters. */
    @Test
    void namesOfOneHashCodeAreNotMixedUp() {
        NameIndex mixed = new NameIndex(Given.scan("", "class Hold { void Aa() { BB(); } void BB() { Aa(); BB(); } }").program().outlines());
        assertThat(mixed.calls("Aa")).hasSize(1);
        assertThat(mixed.calls("BB")).hasSize(2);
        assertThat(mixed.callsOfAny(Set.of("Aa", "none"))).hasSize(1);
    }

    @Test
    void whatAResultIsTakenOfCountsAsCalled() {
        Outline office = outlines.stream().filter(each -> each.file().equals("Office.java")).findFirst().orElseThrow();
        assertThat(office.calls()).extracting(Outline.CallFact::onResultOf).contains("first", "");
        assertThat(office.named()).isEqualTo(NameSet.of(Stream.of("greet", "first", "close", "clear")));
    }

    @Test
    void aFileWithoutCallsHasNoNames() {
        Outline roster = outlines.stream().filter(each -> each.file().equals("Roster.java")).findFirst().orElseThrow();
        assertThat(roster.named()).isEqualTo(NameSet.NONE).hasSameHashCodeAs(NameSet.NONE);
    }

    @ParameterizedTest
    @CsvSource({"a b c, c a b, true", "a a b, b a, true", "a b, a, false", "Aa, BB, true"})
    void setsAreEqualByWhatTheyHold(String one, String other, boolean equal) {
        NameSet first = NameSet.of(Stream.of(one.split(" ")));
        NameSet second = NameSet.of(Stream.of(other.split(" ")));
        assertThat(first.equals(second)).isEqualTo(equal);
        assertThat(first.hashes()).isSorted();
    }

    @Test
    void namesAreKeptWhereCallsAreFoundOutLater() {
        Outline office = outlines.stream().filter(each -> each.file().equals("Office.java")).findFirst().orElseThrow();
        Outline without = office.using(List.of(), List.of(), office.named());
        assertThat(without.calls()).isEmpty();
        assertThat(new NameIndex(List.of(without)).mayCall(List.of("greet"))).containsExactly(without);
        assertThat(office.using(List.of(), List.of()).named()).isEqualTo(NameSet.NONE);
        assertThat(office.ofLines(3).named()).isEqualTo(office.named());
        assertThat(office.judged().named()).isEqualTo(office.named());
    }
}
