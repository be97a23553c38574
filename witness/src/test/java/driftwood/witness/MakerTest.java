package driftwood.witness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class MakerTest {
    private static final String HERE = MakerTest.class.getName() + "$";

    static class Gate {
        int width;
        String name;

        private Gate(int width, String name) {
            this.width = width;
            this.name = name;
        }

        static Gate of(long width) {
            return new Gate((int) width, "of");
        }

        Gate named(String value) {
            name = value;
            return this;
        }
    }

    interface Ear {
        int hear(String tone);

        default int twice() {
            return hear("a") + hear("b");
        }
    }

    abstract static class Shape {
    }

    static class Queue<T extends Comparable<T>> {
        final Object first;

        Queue(T first) {
            this.first = first;
        }

        Queue(Gate gate) {
            this.first = gate;
        }
    }

    private final StandIns standIns = new StandIns();
    private final Maker maker = new Maker(standIns, Map.of());

    private static Make number(String type, String text) {
        return new Make.Literal(type, text);
    }

    @Test
    void privateConstructorsAndStaticRoutinesAreReached() throws Throwable {
        Gate made = (Gate) maker.make(new Make.New(HERE + "Gate", List.of("int", "String"),
                List.of(number("int", "4"), number("String", "sea"))));
        assertThat(made.name).isEqualTo("sea");
        Gate called = (Gate) maker.make(new Make.Call(HERE + "Gate", List.of(), "of", List.of("long"), List.of(number("long", "7"))));
        assertThat(called.width).isEqualTo(7);
    }

    @Test
    void whatATypeParameterStandsForIsTakenForAnObject() throws Throwable {
        Queue<?> made = (Queue<?>) maker.make(new Make.New(HERE + "Queue", List.of("Object"), List.of(number("String", "sea"))));
        assertThat(made.first).isEqualTo("sea");
    }

    @Test
    void stepsConfigureAValue() throws Throwable {
        Make base = new Make.Call(HERE + "Gate", List.of(), "of", List.of("long"), List.of(number("long", "7")));
        Gate made = (Gate) maker.make(new Make.Configured(base, List.of(new Make.Call(HERE + "Gate", List.of(), "named",
                List.of("String"), List.of(number("String", "basin"))))));
        assertThat(made.name).isEqualTo("basin");
    }

    @Test
    void collectionsAreMade() throws Throwable {
        List<Make> items = List.of(number("int", "1"), number("int", "2"));
        assertThat(maker.make(new Make.Many("list", "", items))).isEqualTo(List.of(1, 2));
        assertThat(maker.make(new Make.Many("map", "", items))).isEqualTo(Map.of(1, 2));
        assertThat((int[]) maker.make(new Make.Many("array", "int", items))).containsExactly(1, 2);
    }

    @Test
    void standInsAnswerNeutrallyAndRememberTheirCalls() throws Throwable {
        Ear ear = (Ear) maker.make(new Make.StandIn(HERE + "Ear"));
        assertThat(ear.twice()).isZero();
        assertThat(ear).isEqualTo(ear).hasToString("stand-in for Ear");
        assertThat(standIns.calls()).hasSize(2).extracting(Value::text).containsExactly("Ear.hear", "Ear.hear");
    }

    @Test
    void whatIsNotThereAnyMoreIsToldByName() {
        assertThatThrownBy(() -> maker.make(new Make.New(HERE + "Lost", List.of(), List.of()))).isInstanceOf(Unmade.class)
                .hasMessage("there is no type " + HERE + "Lost any more");
        assertThatThrownBy(() -> maker.make(new Make.New(HERE + "Gate", List.of("List"), List.of(number("null", "")))))
                .isInstanceOf(Unmade.class).hasMessageContaining("no constructor (List) any more");
        assertThatThrownBy(() -> maker.make(new Make.Call(HERE + "Gate", List.of(), "shut", List.of(), List.of())))
                .isInstanceOf(Unmade.class).hasMessageContaining("no routine shut() any more");
        assertThatThrownBy(() -> maker.make(new Make.New(HERE + "Shape", List.of(), List.of()))).isInstanceOf(Unmade.class)
                .hasMessageContaining("is abstract now");
    }

    @Test
    void whatObservedCodeThrowsComesThroughAsItIs() {
        assertThatThrownBy(() -> maker.make(new Make.Call("java.lang.Integer", List.of(), "parseInt", List.of("String"),
                List.of(number("String", "x"))))).isInstanceOfAny(NumberFormatException.class, Unmade.class);
    }
}
