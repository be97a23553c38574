package driftwood.smell.see;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail.Caller;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Who calls constructors from outside their type, and what they fill. */
class CallsTest {
    private static final String BERTH = """
            package quay;
            %s class Berth {
                %s Berth(String name, int depth, boolean tidal, String note) { }
                %s
            }
            """;
    private static final String BUILDER = "static class Builder { Berth build() { return new Berth(null, 0, false, null); } }";

    private static Program program(String constructor, String part, String user) {
        return Given.scan("", BERTH.formatted("public", constructor, part), "package quay;\nclass Office { " + user + " }").program();
    }

    @ParameterizedTest(name = "{0} constructor, {1} builder, {2}: {3}")
    @CsvSource(delimiter = '|', textBlock = """
            private | true  | int n;                                             | true
            ''      | true  | int n;                                             | true
            public  | true  | int n;                                             | false
            private | false | int n;                                             | false
            ''      | true  | Berth a() { return new Berth("a", 1, true, ""); }  | false
            ''      | true  | Berth a() { return new Berth.Builder().build(); }  | true
            """)
    void aConstructorIsKeptForABuilder(String constructor, boolean builder, String user, boolean kept) {
        Program program = program(constructor, builder ? BUILDER : "", user);
        TypeOutline berth = program.type("quay.Berth").orElseThrow();
        assertThat(new Calls(program).isKeptForBuilder(berth, berth.constructors().get(0))).isEqualTo(kept);
    }

    @Test
    void whatACallerFillsIsToldByParameter() {
        Program program = program("", "", "Berth a() { return new Berth(null, 0, false, \"x\"); } Berth b() { return new Berth(\"b\", 4, true, \"y\"); }");
        TypeOutline berth = program.type("quay.Berth").orElseThrow();
        RoutineOutline constructor = berth.constructors().get(0);
        List<Caller> outside = new Calls(program).outside(berth, constructor);
        assertThat(outside).hasSize(2);
        assertThat(outside.get(0).filled()).contains("name", "depth");
        assertThat(outside.get(0).of(Set.of("name")).filled()).containsExactly("name");
        assertThat(outside.get(0).of(Set.of("note")).isFilling()).as("what everybody must give is no filler").isFalse();
        assertThat(new Calls(program).withFillers(berth, constructor)).extracting(each -> each.place().symbol()).contains("quay.Office#a()");
    }
}
