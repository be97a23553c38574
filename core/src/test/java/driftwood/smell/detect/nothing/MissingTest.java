package driftwood.smell.detect.nothing;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail.Guard;
import driftwood.smell.Detail.Place;
import driftwood.smell.Detail.Reaction;
import driftwood.smell.Drag;
import driftwood.tree.TypeRef;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What can stand for a thing that is missing. */
class MissingTest {
    private static final String[] QUAY = {"package quay;\nclass Pilot { Pilot next; Pilot after() { return next; } }", "package quay;\ninterface Part { Group around(); }",
        "package quay;\nclass Group implements Part { public Group around() { return null; } }", "package quay;\nclass Item implements Part { public Group around() { return null; } }"};

    private static Missing of(String routine) {
        String[] all = java.util.Arrays.copyOf(QUAY, QUAY.length + 1);
        all[QUAY.length] = "package quay;\nclass Roster<T> { " + routine + " }";
        Program program = Given.scan("", all).program();
        TypeOutline owner = program.type("quay.Roster").orElseThrow();
        RoutineOutline asked = owner.routines().get(0);
        return Missing.of(asked, owner, program);
    }

    @ParameterizedTest(name = "{0}: value {1}, link {2}")
    @CsvSource(delimiter = '|', textBlock = """
            Pilot find() { return null; }               | false | false
            String find() { return null; }              | true  | false
            Integer find() { return null; }             | true  | false
            Object find() { return null; }              | true  | false
            T find() { return null; }                   | true  | false
            <P extends Pilot> P find() { return null; } | true  | false
            java.io.File find() { return null; }        | false | false
            Roster<T> find() { return null; }           | false | true
            Roster<T> next() { return null; }           | false | true
            """)
    void whatAResultCanBe(String routine, boolean value, boolean link) {
        Missing missing = of(routine);
        assertThat(missing.isValue()).isEqualTo(value);
        assertThat(missing.isLink()).isEqualTo(link);
        assertThat(missing.isChecked()).isFalse();
    }

    @ParameterizedTest(name = "{0}#{1}: {2}")
    @CsvSource({"quay.Pilot, 0, true", "quay.Part, 0, true", "quay.Group, 0, true", "quay.Item, 0, true"})
    void whatIsOfTheSameKindIsALink(String type, int routine, boolean link) {
        Program program = Given.scan("", QUAY).program();
        TypeOutline owner = program.type(type).orElseThrow();
        assertThat(Missing.of(owner.routines().get(routine), owner, program).isLink()).isEqualTo(link);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(delimiter = '|', textBlock = """
            class Held<T> { T find() { return null; } } class Desk extends Held<Berth> { @Override Berth find() { return null; } }           | true
            interface Held<T> { T find(); } class Desk implements Held<Berth> { @Override public Berth find() { return null; } }             | true
            interface Held<T> { Berth find(); } class Desk implements Held<String> { @Override public Berth find() { return null; } }        | false
            class Held { Berth find() { return null; } } class Desk extends Held { @Override Berth find() { return null; } }                 | false
            """)
    void whatTheFirstDeclarationLeavesOpenIsOpen(String types, boolean value) {
        Program program = Given.scan("", "package quay;\nclass Berth { void moor() { } }\n" + types).program();
        TypeOutline owner = program.type("quay.Desk").orElseThrow();
        assertThat(Missing.of(owner.routines().get(0), owner, program).isValue()).isEqualTo(value);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(delimiter = '|', textBlock = """
            interface Part { Group around(); } interface Group extends Part { } abstract class Desk implements Part { public Group around() { return null; } } | true
            interface Part { Berth around(); } interface Group extends Part { } abstract class Desk implements Part { public Berth around() { return null; } } | false
            """)
    void whatTheFirstDeclarationLinksToIsALink(String types, boolean link) {
        Program program = Given.scan("", "package quay;\nclass Berth { void moor() { } }\n" + types).program();
        TypeOutline owner = program.type("quay.Desk").orElseThrow();
        assertThat(Missing.of(owner.routines().get(0), owner, program).isLink()).isEqualTo(link);
    }

    @ParameterizedTest(name = "value {0}, link {1}, checked {2}, asked in {3} places: {5}")
    @CsvSource({"false, false, false, 9, true, 2.7", "true, false, false, 9, true, 0.0", "false, true, false, 9, true, 0.9", "false, true, false, 4, true, 0.9", "false, false, true, 9, true, 1.3",
        "true, false, true, 9, true, 0.0", "false, false, false, 2, true, 0.5", "false, false, false, 2, false, 1.3", "false, false, false, 1, true, 0.8"})
    void theLessCanStandForItTheLessItDrags(boolean value, boolean link, boolean checked, int guards, boolean careful, double drag) {
        Drag.Builder plain = Drag.of(guards, 1, 0);
        assertThat(new Missing(value, link, checked, false).weighed(plain, guards, careful).build().value()).isEqualTo(drag);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"quay.Grounded, false, 0.5", "java.io.IOException, false, 0.5", "Throwable, false, 0.5", "quay.Pilot, false, 2.7", "String, false, 2.7"})
    void whatWentWrongIsNoObject(String type, boolean value, double drag) {
        Program program = Given.scan("", "package quay;\nclass Pilot { } class Grounded extends RuntimeException { }").program();
        TypeOutline owner = program.type("quay.Pilot").orElseThrow();
        Missing missing = Missing.of(new TypeRef(type), owner, program);
        assertThat(new Missing(value, false, false, missing.isError()).weighed(Drag.of(9, 1, 0), 9, true).build().value()).isEqualTo(drag);
    }

    @ParameterizedTest(name = "{0} skip it, to {1} it is an error: {2}")
    @CsvSource({"8, 0, 2.5, ''", "8, 1, 1.9, to 1 of its callers it is an error", "4, 4, 1.3, to 4 of its callers", "4, 5, 0.5, to most that ask it is an error", "1, 9, 0.0, to most that ask"})
    void whereNothingIsAnErrorNoObjectHelps(int skipping, int failing, double drag, String reason) {
        Place place = new Place("quay/Desk.java", 4, 4, "quay.Desk#go()", "");
        List<Guard> guards = Stream.concat(Stream.generate(() -> new Guard(place, Reaction.PASSES_OVER)).limit(skipping),
                Stream.generate(() -> new Guard(place, Reaction.THROWS)).limit(failing)).toList();
        Drag weighed = Missing.failing(Drag.of(guards.size(), 1, 0), guards).build();
        assertThat(weighed.value()).isEqualTo(drag);
        assertThat(String.join("; ", weighed.reasons())).contains(reason);
    }
}
