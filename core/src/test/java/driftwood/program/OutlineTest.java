package driftwood.program;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.program.Argument.Kind;
import driftwood.program.Outline.CallFact;
import driftwood.program.Outline.CreationFact;
import driftwood.tree.TypeKind;
import driftwood.tree.TypeRef;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class OutlineTest {

    private static Outline outline(String source) {
        return Given.scan("", source).program().outlines().get(0);
    }

    private static CallFact call(String name, String body) {
        return outline("package quay; class Desk { Book book; void f(Vessel v, int n) { " + body + " } }").calls().stream()
                .filter(each -> each.trail().lastName().equals(name)).findFirst().orElseThrow();
    }

    @Test
    void typesAreKnownWithTheirMembers() {
        Outline outline = outline("""
                package quay;
                import java.util.*;
                public abstract class Vessel extends Thing implements Comparable<Vessel> {
                    static final int LIMIT = 4;
                    private Berth berth = null;
                    Vessel(String name) { }
                    abstract int dues();
                    enum Kind { TUG, YACHT }
                    interface Crew<T> { T chief(); }
                }
                """);
        assertThat(outline.packageName()).isEqualTo("quay");
        assertThat(outline.types()).extracting(TypeOutline::name).containsExactly("quay.Vessel", "quay.Vessel.Kind", "quay.Vessel.Crew");
        TypeOutline vessel = outline.types().get(0);
        assertThat(vessel.supertypes()).extracting(TypeRef::text).containsExactly("Thing", "Comparable<Vessel>");
        assertThat(vessel.isConcrete()).isFalse();
        assertThat(vessel.field("LIMIT").orElseThrow().isConstant()).isTrue();
        assertThat(vessel.field("berth").orElseThrow().start()).isEqualTo(FieldOutline.Start.NULL);
        assertThat(vessel.constructors()).hasSize(1);
        assertThat(vessel.routines()).extracting(RoutineOutline::hasBody).containsExactly(true, false);
        assertThat(outline.types().get(1).kind()).isEqualTo(TypeKind.ENUM);
        assertThat(outline.types().get(1).constants()).containsExactly("TUG", "YACHT");
        assertThat(outline.types().get(2).typeParameters()).containsExactly("T");
    }

    @ParameterizedTest(name = "{0} arguments: {1}")
    @CsvSource({"0, true", "1, true", "2, true", "5, true"})
    void variadicRoutinesTakeAnyNumber(int arguments, boolean takes) {
        RoutineOutline routine = outline("class A { void f(String... all) { } }").types().get(0).routines().get(0);
        assertThat(routine.takes(arguments)).isEqualTo(takes);
        assertThat(routine.symbol()).isEqualTo("A#f(String[])");
    }

    @Test
    void signaturesReadLikeCode() {
        RoutineOutline routine = outline("class A { void f(Map<String,? extends B> all, int n) { } }").types().get(0).routines().get(0);
        assertThat(routine.signature()).isEqualTo("f(Map<String, ? extends B> all, int n)");
        assertThat(routine.takes(2)).isTrue();
        assertThat(routine.takes(1)).isFalse();
    }

    static Stream<Arguments> trails() {
        return Stream.of(Arguments.of("v.go();", Trail.Start.TYPED, "Vessel", List.of("go/0")),
                Arguments.of("go();", Trail.Start.THIS, "", List.of("go/0")), Arguments.of("this.go();", Trail.Start.THIS, "", List.of("go/0")),
                Arguments.of("super.go();", Trail.Start.SUPER, "", List.of("go/0")),
                Arguments.of("book.page(n).go();", Trail.Start.NAME, "book", List.of("page/1", "go/0")),
                Arguments.of("new Tug().go();", Trail.Start.CREATED, "Tug", List.of("go/0")),
                Arguments.of("((Tug) v).go();", Trail.Start.TYPED, "Tug", List.of("go/0")),
                Arguments.of("Tug t = find(); t.go();", Trail.Start.THIS, "", List.of("find/0", ":Tug", "go/0")),
                Arguments.of("var t = book.last; t.go();", Trail.Start.NAME, "book", List.of("last", "go/0")),
                Arguments.of("Tug t = null; t = find(); t.go();", Trail.Start.THIS, "", List.of("find/0", ":Tug", "go/0")),
                Arguments.of("for (Tug t : book.all()) { t.go(); }", Trail.Start.TYPED, "Tug", List.of("go/0")),
                Arguments.of("for (var t : book.all()) { t.go(); }", Trail.Start.NAME, "book", List.of("all/0", "[]", "go/0")),
                Arguments.of("if (v instanceof Tug t) { t.go(); }", Trail.Start.TYPED, "Tug", List.of("go/0")),
                Arguments.of("book.rows[2].go();", Trail.Start.NAME, "book", List.of("rows", "[]", "go/0")),
                Arguments.of("{ Tug book = find(); } book.go();", Trail.Start.NAME, "book", List.of("go/0")));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("trails")
    void aCallKnowsTheWayToItsReceiver(String body, Trail.Start start, String head, List<String> steps) {
        assertThat(call("go", body).trail()).isEqualTo(new Trail(start, head, steps.stream().map(each -> Step.ofKey(each).orElseThrow()).toList()));
    }

    @ParameterizedTest(name = "{0} is {1}")
    @CsvSource(delimiter = '|', quoteCharacter = '`', value = {"null|NULL|null", "true|TRUE|true", "false|FALSE|false", "0|ZERO|0", "0.0|ZERO|0",
        "\"\"|EMPTY|\"\"", "4|LITERAL|4", "\"a\"|LITERAL|a", "n|NAME|n", "v.depth|NAME|depth", "v.getDepth()|NAME|getDepth", "n + 1|OTHER|``",
        "v.at(3)|OTHER|``"})
    void argumentsAreKnownByWhatTheyAre(String code, Kind kind, String name) {
        Argument argument = call("go", "go(" + code + ");").arguments().get(0);
        assertThat(argument.kind()).isEqualTo(kind);
        assertThat(argument.name()).isEqualTo(name);
        assertThat(argument.isFiller()).isEqualTo(List.of(Kind.NULL, Kind.FALSE, Kind.ZERO, Kind.EMPTY).contains(kind));
    }

    @Test
    void creationsAreKnownWithTheirPlace() {
        Outline outline = outline("package quay;\nclass Yard {\n    Object a = new Tug(1);\n    Yard() {\n        new int[3].clone();\n        new Berth() { };\n    }\n}\n");
        assertThat(outline.creations()).extracting(CreationFact::routine).containsExactly("quay.Yard#a", "quay.Yard#Yard()");
        assertThat(outline.creations()).extracting(CreationFact::line).containsExactly(3, 6);
        assertThat(outline.types()).filteredOn(TypeOutline::anonymous).extracting(TypeOutline::name).containsExactly("quay.Yard.<1>");
    }

    @Test
    void anUnknownTrailStaysUnknown() {
        assertThat(Trail.UNKNOWN.then(Step.get("a")).thenCall("b", 2)).isSameAs(Trail.UNKNOWN);
        assertThat(Trail.UNKNOWN.isKnown()).isFalse();
    }

    @Test
    void trailsTellTheirLastStep() {
        Trail trail = Trail.name("office").then(Step.get("desk")).thenCall("open", 2).heldAs(new TypeRef("Door"));
        assertThat(trail.unheld().isCall()).isTrue();
        assertThat(trail.unheld().lastName()).isEqualTo("open");
        assertThat(trail.unheld().arguments()).isEqualTo(2);
        assertThat(trail.unheld().owner().arguments()).isEqualTo(-1);
        assertThat(trail.unheld().owner()).isEqualTo(Trail.name("office").then(Step.get("desk")));
        assertThat(trail.heldAs(TypeRef.NONE)).isSameAs(trail);
    }
}
