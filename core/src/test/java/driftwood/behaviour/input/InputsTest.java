package driftwood.behaviour.input;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.Given;
import driftwood.behaviour.view.Ways;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.scan.Scan;
import driftwood.tree.TypeRef;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class InputsTest {
    @TempDir
    Path root;

    private Program program;
    private Inputs inputs;
    private TypeOutline desk;

    @BeforeEach
    void project() {
        Given.written(root, """
                package quay;
                import java.util.*;
                import java.util.function.*;
                class Desk {
                    int dues(Vessel v, int tonnage, String flag) {
                        if (tonnage > 500 || flag.equals("KQ")) { return 4; }
                        switch (v.kind()) { case TUG: return 1; default: return 2; }
                    }
                    <T> void any(T thing) { }
                    int pulls(Object part, Object either) {
                        int pulls = part instanceof Tug tug ? tug.pull() : part instanceof Yacht ? 1 : 0;
                        return either instanceof Tug || either instanceof String ? pulls : 0;
                    }
                    private Desk(int secret) { }
                    Desk() { }
                }
                enum Kind { TUG, YACHT }
                interface Vessel { Kind kind(); }
                record Tug(String name, int pull) implements Vessel { public Kind kind() { return Kind.TUG; } }
                class Yacht implements Vessel { Yacht(boolean sails) { } public Kind kind() { return Kind.YACHT; } }
                abstract class Wreck implements Vessel { }
                interface Bell { void ring(); }
                class Loop { Loop(Loop inner) { } }
                class Chain { Chain(Chain... links) { } Chain(List<Chain> links) { } }
                class Hidden { private Hidden() { } }
                class Outer { class Inner { } static class Nested { } }
                """);
        program = new Scan(Scan.Options.DEFAULT).run(root, List.of(root)).program();
        desk = program.type("quay.Desk").orElseThrow();
        inputs = new Inputs(program, Constants.of(root, List.of("quay/Desk.java")), new Ways(program));
    }

    private List<String> values(String type, String word) {
        return inputs.values(new TypeRef(type), desk, word, 40, 0).stream().map(JsonNode::toString).toList();
    }

    static Stream<Arguments> values() {
        return Stream.of(Arguments.of("int", "tonnage", List.of("500", "501", "499", "0", "1", "-1")),
                Arguments.of("Integer", "x", List.of("0", "null")), Arguments.of("long", "x", List.of("0", "-1")),
                Arguments.of("byte", "tonnage", List.of("0", "1")), Arguments.of("boolean", "x", List.of("true", "false")),
                Arguments.of("double", "x", List.of("0.0", "1.5")), Arguments.of("char", "x", List.of("\"a\"", "\" \"")),
                Arguments.of("String", "flag", List.of("\"KQ\"", "\"\"", "null")), Arguments.of("Object", "x", List.of("\"\"", "null")),
                Arguments.of("Kind", "x", List.of("{\"enum\":\"quay.Kind.TUG\"}", "{\"enum\":\"quay.Kind.YACHT\"}", "null")),
                Arguments.of("List<Kind>", "x", List.of("[]", "[{\"enum\":\"quay.Kind.TUG\"}]")),
                Arguments.of("Kind[]", "x", List.of("[]", "[{\"enum\":\"quay.Kind.YACHT\"}]")),
                Arguments.of("Set<Boolean>", "x", List.of("{\"set\":[]}", "{\"set\":[true,false]}")),
                Arguments.of("Optional<Boolean>", "x", List.of("{\"optional\":[]}", "{\"optional\":[true]}")),
                Arguments.of("Map<Kind,Boolean>", "x", List.of("{\"map\":[]}")),
                Arguments.of("LocalDate", "x", List.of("{\"is\":\"java.time.LocalDate\",\"text\":\"2024-02-29\"}")),
                Arguments.of("java.math.BigDecimal", "x", List.of("{\"is\":\"java.math.BigDecimal\",\"text\":\"1.50\"}")),
                Arguments.of("Comparable<String>", "x", List.of("\"KQ\"")),
                Arguments.of("java.util.Date", "x", List.of("{\"is\":\"java.util.Date\",\"text\":\"1970-01-01T00:00:00Z\"}")),
                Arguments.of("Bell", "x", List.of("{\"standIn\":\"quay.Bell\"}", "null")),
                Arguments.of("Supplier<String>", "x", List.of("{\"standIn\":\"java.util.function.Supplier\"}")),
                Arguments.of("Runnable", "x", List.of("{\"standIn\":\"java.lang.Runnable\"}")),
                Arguments.of("Yacht", "x", List.of("{\"is\":\"quay.Yacht\",\"sails\":true}", "{\"is\":\"quay.Yacht\",\"sails\":false}")));
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @MethodSource("values")
    void eachTypeHasItsValues(String type, String word, List<String> expected) {
        assertThat(values(type, word)).containsAll(expected);
    }

    /** What is kept as an Object is what the code asks whether it is; other things are tried where it asks for other things as well. */
    @Test
    void anObjectIsWhatItIsAskedToBe() {
        assertThat(values("Object", "part")).anyMatch(each -> each.contains("quay.Tug")).anyMatch(each -> each.contains("quay.Yacht"))
                .contains("null").allMatch(each -> each.equals("null") || each.startsWith("{\"is\":\"quay."));
        assertThat(values("Object", "either")).anyMatch(each -> each.contains("quay.Tug")).anyMatch(each -> each.startsWith("\""));
    }

    @Test
    void anAbstractTypeIsTriedByEachConcreteSubtype() {
        List<String> vessels = values("Vessel", "x");
        assertThat(vessels).anyMatch(each -> each.startsWith("{\"is\":\"quay.Tug\",\"name\":"))
                .anyMatch(each -> each.startsWith("{\"is\":\"quay.Yacht\"")).noneMatch(each -> each.contains("Wreck"));
    }

    @Test
    void typesThatContainThemselvesEnd() {
        assertThat(values("Loop", "x")).isNotEmpty();
        assertThat(values("Chain", "x")).isNotEmpty();
    }

    @Test
    void whatCannotBeMadeIsOnlyTriedAsNothing() {
        assertThat(values("Hidden", "x")).containsExactly("null");
        assertThat(values("java.lang.Thread", "x")).containsExactly("null");
    }

    @Test
    void combinationsNameTheirParameters() {
        RoutineOutline dues = desk.routines().get(0);
        List<String> given = inputs.given(dues, desk, 60).stream().map(JsonNode::toString).toList();
        assertThat(given).hasSizeBetween(30, 60).doesNotHaveDuplicates()
                .allMatch(each -> each.startsWith("{\"v\":") && each.contains("\"tonnage\":") && each.contains("\"flag\":"))
                .anyMatch(each -> each.contains("\"tonnage\":501")).anyMatch(each -> each.contains("\"flag\":\"KQ\""));
    }

    @Test
    void aFreeTypeParameterTakesAnything() {
        assertThat(inputs.given(desk.routines().get(1), desk, 5)).anyMatch(each -> each.get("thing").isTextual());
    }

    @Test
    void onlyWhatOthersMayMakeIsMakeable() {
        Ways ways = new Ways(program);
        assertThat(program.types().stream().filter(ways::isMakeable).map(TypeOutline::name))
                .contains("quay.Desk", "quay.Tug", "quay.Yacht", "quay.Outer", "quay.Outer.Nested")
                .doesNotContain("quay.Hidden", "quay.Wreck", "quay.Kind", "quay.Outer.Inner", "quay.Vessel");
        assertThat(ways.binaryName(program.type("quay.Outer.Nested").orElseThrow())).isEqualTo("quay.Outer$Nested");
    }

    @Test
    void manyKindsWithManyConstructorsThatTakeOneAnotherAreEnumeratedInTime() {
        StringBuilder fleet = new StringBuilder("package quay; interface Part { } class Fleet { void join(Part p) { } }\n");
        for (int i = 0; i < 40; i++) {
            fleet.append("class Part").append(i).append(" implements Part { Part").append(i)
                    .append("(Part a, Part b) { } Part").append(i).append("(Part a, Part b, Part c) { } }\n");
        }
        Given.written(root.resolve("fleet"), fleet.toString());
        Program many = new Scan(Scan.Options.DEFAULT).run(root.resolve("fleet"), List.of(root.resolve("fleet"))).program();
        Inputs of = new Inputs(many, Constants.of(root, List.of()), new Ways(many));
        TypeOutline joined = many.type("quay.Fleet").orElseThrow();

        List<JsonNode> values = assertTimeoutPreemptively(Duration.ofSeconds(20),
                () -> of.values(new TypeRef("Part"), joined, "p", 60, 0));

        assertThat(values).hasSizeGreaterThan(40);
    }
}
