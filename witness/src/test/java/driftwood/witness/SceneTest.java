package driftwood.witness;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.witness.Outcome.Told;
import driftwood.witness.Outcome.Writing;
import driftwood.witness.Script.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class SceneTest {
    private static final String HERE = SceneTest.class.getName() + "$";

    static class Gauge {
        private int level;

        void rise(int by) {
            if (by < 0) {
                throw new IllegalArgumentException("rise");
            }
            level += by;
        }

        public int level() {
            return level;
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Gauge gauge && gauge.level == level;
        }

        @Override
        public int hashCode() {
            return level;
        }
    }

    static class Station {
        private final List<Gauge> gauges = new ArrayList<>();

        Station install(Gauge gauge) {
            gauges.add(gauge);
            return this;
        }

        public int total() {
            return gauges.stream().mapToInt(Gauge::level).sum();
        }

        void drain() {
            gauges.forEach(each -> each.rise(-each.level() < 0 ? 0 : 0));
            gauges.forEach(each -> each.level = 0);
        }
    }

    private static final Answers ANSWERS = new Answers(Map.of(HERE + "Gauge", List.of("level"), HERE + "Station", List.of("total")));
    private static final Make GAUGE = new Make.New(HERE + "Gauge", List.of(), List.of());
    private static final Make STATION = new Make.New(HERE + "Station", List.of(), List.of());

    private static Step call(String of, String type, String name, Make... arguments) {
        List<String> parameters = arguments.length == 0 ? List.of() : List.of(arguments[0] instanceof Make.Literal ? "int" : "Gauge");
        return new Step(of, new Make.Call(HERE + type, List.of(), name, parameters, List.of(arguments)),
                arguments.length == 0 ? List.of() : List.of("it"));
    }

    private static Make number(int value) {
        return new Make.Literal("int", Integer.toString(value));
    }

    private static Outcome play(Make receiver, Step... steps) {
        return new Scene(new Script("c1", List.of(receiver), List.of(steps)), ANSWERS, false).play();
    }

    @Test
    void eachStepTellsWhatAnswersOtherwiseThanBefore() {
        Outcome outcome = play(GAUGE, call("this", "Gauge", "rise", number(3)), call("this", "Gauge", "rise", number(0)));
        assertThat(outcome.value().parts()).containsExactly(Value.scalar("number", "0"));
        assertThat(outcome.steps().get(0).left().get(0).parts()).containsExactly(Value.scalar("number", "3"));
        assertThat(outcome.steps().get(1).names()).isEmpty();
    }

    @Test
    void aStepThatThrowsIsToldAndTheCaseGoesOn() {
        Outcome outcome = play(GAUGE, call("this", "Gauge", "rise", number(-1)), call("this", "Gauge", "rise", number(2)));
        assertThat(outcome.steps()).extracting(Told::ending).containsExactly("throws", "gives");
        assertThat(outcome.ending()).isEqualTo("ran");
    }

    @Test
    void whatWasHandedInCanBeCalledAndIsWatched() {
        Outcome outcome = play(STATION, call("this", "Station", "install", GAUGE), call("1.it", "Gauge", "rise", number(5)),
                call("this", "Station", "drain"));
        assertThat(outcome.steps().get(0).value()).isEqualTo(Value.scalar("same", "this"));
        assertThat(outcome.steps().get(1).names()).containsExactly("this", "1.it");
        assertThat(outcome.steps().get(2).names()).containsExactly("this", "1.it");
    }

    @Test
    void theSameObjectCanBeHandedInTwice() {
        Outcome outcome = play(STATION, call("this", "Station", "install", GAUGE), call("this", "Station", "install", new Make.Same("1.it")),
                call("1.it", "Gauge", "rise", number(5)));
        assertThat(outcome.steps().get(2).left().get(0).parts()).containsExactly(Value.scalar("number", "10"));
    }

    @Test
    void objectsOfOneCaseAreComparedWhereTheirTypeSaysHow() {
        Outcome outcome = play(GAUGE, new Step(Script.NEW, GAUGE, List.of()), call("1", "Gauge", "rise", number(1)));
        assertThat(outcome.pairs()).containsExactly(new Writing("this, 1", "unequal"));
        assertThat(play(GAUGE, new Step(Script.NEW, GAUGE, List.of())).pairs()).containsExactly(new Writing("this, 1", "equal"));
    }

    @Test
    void aStepOnWhatIsNotThereIsSkipped() {
        Outcome outcome = play(GAUGE, call("this", "Gauge", "rise", number(1)), call("1", "Gauge", "rise", number(1)));
        assertThat(outcome.steps().get(1).ending()).isEqualTo("skips");
    }
}
