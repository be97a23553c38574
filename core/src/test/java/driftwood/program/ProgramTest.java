package driftwood.program;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.program.Outline.CallFact;
import driftwood.tree.TypeRef;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class ProgramTest {
    private static final String HARBOUR = """
            package quay;
            import java.util.*;
            import quay.sea.Buoy;
            import static quay.sea.Marks.RED;
            class Harbour extends Place {
                private Gate gate;
                private final List<Gate> gates = new ArrayList<>();
                private final Map<String, Berth> berths = new HashMap<>();
                private Box<Gate> box;
                private Berth[] row;
                Berth berth() { return null; }
                static Harbour main() { return null; }
                static class Berth { Gate nearest() { return null; } int depth; }
                enum Tide { HIGH, LOW }
            }
            """;
    private static final String OTHERS = """
            package quay;
            class Place { protected Bell bell; Bell ring() { return bell; } class Mark { } }
            class Gate { Keeper keeper() { return null; } Keeper chief; }
            class Keeper { String name; }
            class Bell { }
            class Box<T> { T content() { return null; } T inside; }
            record Leg(String from, Keeper by) { }
            """;
    private static final String SEA = "package quay.sea; public class Buoy { public quay.Gate gate() { return null; } }";
    private static final String MARKS = "package quay.sea; public class Marks { public static final Buoy RED = null; }";

    private static Program program(String... more) {
        String[] all = Stream.concat(Stream.of(HARBOUR, OTHERS, SEA, MARKS), Stream.of(more)).toArray(String[]::new);
        return Given.scan("", all).program();
    }

    static Stream<Arguments> values() {
        return Stream.of(
                Arguments.of("gate", "quay.Gate"), Arguments.of("this.gate", "quay.Gate"),
                Arguments.of("gate.keeper()", "quay.Keeper"), Arguments.of("gate.chief", "quay.Keeper"),
                Arguments.of("bell", "quay.Bell"), Arguments.of("ring()", "quay.Bell"), Arguments.of("super.ring()", "quay.Bell"),
                Arguments.of("berth()", "quay.Harbour.Berth"), Arguments.of("berth().nearest().keeper()", "quay.Keeper"),
                Arguments.of("gates.get(0)", "quay.Gate"), Arguments.of("gates.iterator().next()", "quay.Gate"),
                Arguments.of("gates.stream().findFirst().get().keeper()", "quay.Keeper"),
                Arguments.of("berths.get(\"a\")", "quay.Harbour.Berth"), Arguments.of("box.content()", "quay.Gate"),
                Arguments.of("box.inside", "quay.Gate"), Arguments.of("row[0]", "quay.Harbour.Berth"),
                Arguments.of("Harbour.main().gate", "quay.Gate"), Arguments.of("quay.Harbour.main()", "quay.Harbour"),
                Arguments.of("new Buoy().gate()", "quay.Gate"), Arguments.of("((Gate) x).chief", "quay.Keeper"),
                Arguments.of("RED.gate()", "quay.Gate"), Arguments.of("Tide.HIGH", "quay.Harbour.Tide"),
                Arguments.of("new Leg(\"a\", null).by()", "quay.Keeper"), Arguments.of("\"text\".trim()", ""),
                Arguments.of("unknown.gate", ""), Arguments.of("gate.keeper().name", ""));
    }

    @ParameterizedTest(name = "{0} is a {1}")
    @MethodSource("values")
    void valuesHaveTheTypesThatTheirTrailsLeadTo(String code, String type) {
        Program program = program("package quay; import quay.sea.*; import static quay.sea.Marks.RED; "
                + "class Probe extends Harbour { Object x; void f() { var probed = " + code.replace("this.", "")
                + "; probed.toString(); } }", "package quay; class Unrelated { }");
        String inside = code.startsWith("this.") ? code.substring(5) : code;
        assertThat(inside).isNotEmpty();
        CallFact call = program.outlines().stream().flatMap(each -> each.calls().stream())
                .filter(each -> each.trail().lastName().equals("toString")).findFirst()
                .orElse(new CallFact("quay.Probe", "", Trail.UNKNOWN, List.of(), 0));
        Optional<TypeOutline> found = program.projectType(call.trail().owner(), "quay.Harbour");
        assertThat(found.map(TypeOutline::name).orElse("")).isEqualTo(type);
    }

    static Stream<Arguments> names() {
        return Stream.of(Arguments.of("Gate", "quay.Gate"), Arguments.of("Berth", "quay.Harbour.Berth"),
                Arguments.of("Harbour.Berth", "quay.Harbour.Berth"), Arguments.of("Mark", "quay.Place.Mark"),
                Arguments.of("Buoy", "quay.sea.Buoy"), Arguments.of("quay.sea.Marks", "quay.sea.Marks"),
                Arguments.of("Marks", ""), Arguments.of("String", ""), Arguments.of("List", ""), Arguments.of("Box", "quay.Box"));
    }

    @ParameterizedTest(name = "{0} means {1}")
    @MethodSource("names")
    void typeNamesMeanWhatTheLanguageSays(String name, String type) {
        Program program = program();
        TypeOutline scope = program.type("quay.Harbour").orElseThrow();
        assertThat(program.resolve(new TypeRef(name), scope).map(TypeOutline::name).orElse("")).isEqualTo(type);
    }

    @Test
    void aTypeParameterHidesATypeOfItsName() {
        Program program = program("package quay; class T { } ");
        TypeOutline box = program.type("quay.Box").orElseThrow();
        assertThat(program.resolve(new TypeRef("T"), box)).isEmpty();
    }

    @Test
    void anImportOfAForeignTypeHidesANeighbour() {
        Program program = Given.scan("", "package quay; import other.Gate; class A { Gate gate; }",
                "package quay; class Gate { }").program();
        TypeOutline scope = program.type("quay.A").orElseThrow();
        assertThat(program.resolve(new TypeRef("Gate"), scope)).isEmpty();
    }

    @Test
    void hierarchiesGoUpAndDown() {
        Program program = Given.scan("", "package a; interface X { } class B implements X { } class C extends B { }",
                "package b; class D extends a.C { }").program();
        TypeOutline x = program.type("a.X").orElseThrow();
        assertThat(program.descendants(x)).extracting(TypeOutline::name).containsExactly("a.B", "a.C", "b.D");
        assertThat(program.ancestors(program.type("b.D").orElseThrow())).extracting(TypeOutline::name)
                .containsExactly("a.C", "a.B", "a.X");
    }

    @Test
    void circlesInTheHierarchyEnd() {
        Program program = Given.scan("", "class A extends B { } class B extends A { A x() { return x().x(); } }").program();
        assertThat(program.ancestors(program.type("A").orElseThrow())).extracting(TypeOutline::name).containsExactly("B");
    }

    @Test
    void creationsAreKnownByType() {
        Program program = program("package quay; class Yard { Gate a = new Gate(); Object b = new Gate() { }; "
                + "java.util.function.Supplier<Gate> c = Gate::new; }");
        assertThat(program.creations(program.type("quay.Gate").orElseThrow())).extracting(Outline.CreationFact::anonymous)
                .containsExactly(false, true, false);
    }

    @Test
    void anOverridingRoutineHasItsRootInTheFirstDeclaration() {
        Program program = Given.scan("", "interface A { void f(int x); } class B implements A { public void f(int x) { } "
                + "void f() { } } class C extends B { public void f(int x) { } }").program();
        RoutineOutline last = program.type("C").orElseThrow().routines().get(0);
        assertThat(program.rootOf(last).symbol()).isEqualTo("A#f(int)");
        RoutineOutline other = program.type("B").orElseThrow().routines().get(1);
        assertThat(program.rootOf(other).symbol()).isEqualTo("B#f()");
    }

    @Test
    void anonymousTypesInheritWhatTheyAreMadeFrom() {
        Program program = program("package quay; class Yard { Gate a = new Gate() { Keeper first() { return chief; } }; }");
        TypeOutline anonymous = program.types().stream().filter(TypeOutline::anonymous).findFirst().orElseThrow();
        assertThat(program.parents(anonymous)).extracting(TypeOutline::name).containsExactly("quay.Gate");
    }
}
