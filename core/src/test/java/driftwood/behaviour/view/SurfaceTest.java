package driftwood.behaviour.view;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.behaviour.view.Surface.Target;
import driftwood.scan.Scan;
import java.util.List;
import org.junit.jupiter.api.Test;

class SurfaceTest {

    private static List<String> around(String smell, String... sources) {
        Scan.Result result = Given.scan(smell, sources);
        return Surface.around(result.findings().get(0), result.program()).targets().stream().map(Target::symbol).toList();
    }

    @Test
    void aPrivateRoutineIsObservedThroughThoseThatCallIt() {
        assertThat(around("type-switch", """
                package quay;
                class Desk {
                    enum Kind { A, B }
                    int n;
                    void open(Kind k) { inner(k); }
                    private void inner(Kind k) { deep(k); }
                    private void deep(Kind k) { switch (k) { case A: n++; open(k); break; case B: n--; open(k); break; } }
                }
                """)).containsExactly("quay.Desk#open(Kind)");
    }

    @Test
    void aSourceOfNullIsObservedThroughTheCallersThatGuardIt() {
        assertThat(around("null-check", """
                package quay;
                class Roster {
                    Roster find(int n) { return n > 1 ? this : null; }
                    void a() { Roster r = find(1); if (r != null) { r.a(); } }
                    void b() { find(1).b(); }
                }
                """)).containsExactly("quay.Roster#a()");
    }

    @Test
    void constructorsAreObservedThroughWhatTheyMake() {
        assertThat(around("telescoping-constructor", """
                package quay;
                class Berth { Berth(int a) { this(a, 1); } Berth(int a, int b) { this(a, b, 2); } Berth(int a, int b, int c) { } }
                """)).containsExactly("quay.Berth#new");
    }

    @Test
    void aFindingAtARoutineIsObservedThroughIt() {
        assertThat(around("long-parameter-list", """
                package quay;
                class Desk {
                    void enter(String ship, int length, int draught, int berth, String flag, boolean pilot) { }
                    void call() { enter("a", 1, 2, 3, "b", true); }
                    int rest() { return 1; }
                }
                """)).containsExactly("quay.Desk#enter(String,int,int,int,String,boolean)");
    }

    @Test
    void aFindingAtAFieldIsObservedThroughItsType() {
        assertThat(around("hard-coded-instantiation", """
                package quay;
                class Book {
                    private final Store store = new Store();
                    void note(String line) { store.save(line); }
                    int pending() { return 1; }
                    private void hidden() { }
                }
                """, """
                package quay;
                class Store {
                    void save(String line) {
                        try { java.nio.file.Files.writeString(java.nio.file.Path.of("x"), line); } catch (java.io.IOException e) { throw new IllegalStateException(e); }
                    }
                }
                """)).containsExactly("quay.Book#new", "quay.Book#note(String)", "quay.Book#pending()");
    }

    @Test
    void aFindingAtSeveralTypesIsObservedThroughAllOfThem() {
        assertThat(around("subclass-explosion", """
                package quay;
                abstract class Ferry { abstract int price(int people); }
                class FastCarFerry extends Ferry { int price(int people) { int each = 12; return people * each; } }
                class SlowCarFerry extends Ferry { int price(int people) { int each = 12; return people * each; } }
                class FastFootFerry extends Ferry { int price(int people) { int half = people / 2; return half * 7; } }
                class SlowFootFerry extends Ferry { int price(int people) { int half = people / 2; return half * 7; } }
                """)).contains("quay.FastCarFerry#price(int)", "quay.SlowFootFerry#price(int)");
    }

    @Test
    void aTypeIsObservedThroughAllThatOthersMayCall() {
        Scan.Result result = Given.scan("", """
                package quay;
                class Gate { Gate() { } void open() { } private void creak() { } static int count() { return 1; } public static void main(String[] a) { } }
                """);
        Surface surface = Surface.of(result.program().type("quay.Gate").orElseThrow(), result.program());
        assertThat(surface.targets()).extracting(Target::symbol)
                .containsExactly("quay.Gate#new", "quay.Gate#open()", "quay.Gate#count()");
        assertThat(surface.left()).containsExactly("quay.Gate#main(String[]): a main routine");
    }

    @Test
    void aClassOfWhichNoConstructorStaysCanBeMadeByNobody() {
        Scan.Result result = Given.scan("type-switch", """
                package quay;
                class Bill { int sum; void add(int n) { sum += n; } }
                class Berth { Berth() { } }
                class Crane { Crane(int n) { } Crane() { } }
                """);
        for (String each : List.of("quay.Bill", "quay.Berth")) {
            assertThat(makeable(result, each)).isTrue();
            assertThat(makeable(result.with(routine -> !routine.isConstructor()), each)).isFalse();
        }
        assertThat(makeable(result.with(routine -> !routine.isConstructor() || routine.parameters().size() == 1), "quay.Crane")).isTrue();
    }

    private static boolean makeable(Scan.Result result, String type) {
        return new Ways(result.program()).isMakeable(result.program().type(type).orElseThrow());
    }
}
