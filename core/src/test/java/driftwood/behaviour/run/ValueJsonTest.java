package driftwood.behaviour.run;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.behaviour.recording.Plain;
import driftwood.witness.Outcome;
import driftwood.witness.Outcome.Told;
import driftwood.witness.Value;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class ValueJsonTest {
    private static final Value ONE = Value.scalar("number", "1");

    static Stream<Arguments> values() {
        return Stream.of(Arguments.of(Value.NULL, "null"), Arguments.of(Value.scalar("flag", "true"), "true"), Arguments.of(ONE, "1"),
                Arguments.of(Value.scalar("number", "12345678901234567890"), "12345678901234567890"),
                Arguments.of(Value.scalar("number", "0.1"), "0.1"), Arguments.of(Value.scalar("number", "NaN"), "{\"number\":\"NaN\"}"),
                Arguments.of(Value.scalar("number", "-Infinity"), "{\"number\":\"-Infinity\"}"),
                Arguments.of(Value.scalar("text", "a\"b"), "\"a\\\"b\""), Arguments.of(Value.scalar("char", "x"), "{\"char\":\"x\"}"),
                Arguments.of(Value.scalar("enum", "quay.Gate$Position.OPEN"), "{\"enum\":\"quay.Gate.Position.OPEN\"}"),
                Arguments.of(Value.many("list", List.of(ONE)), "[1]"), Arguments.of(Value.many("set", List.of(ONE)), "{\"set\":[1]}"),
                Arguments.of(Value.many("map", List.of(Value.scalar("text", "a"), ONE)), "{\"map\":[[\"a\",1]]}"),
                Arguments.of(Value.many("optional", List.of()), "{\"optional\":[]}"),
                Arguments.of(new Value("object", "quay.Gate$Bar", List.of("n"), List.of(ONE)), "{\"is\":\"quay.Gate.Bar\",\"n\":1}"),
                Arguments.of(Value.scalar("stand-in", "quay.Ear"), "{\"standIn\":\"quay.Ear\"}"),
                Arguments.of(Value.scalar("opaque", "java.lang.Object"), "{\"opaque\":\"java.lang.Object\"}"),
                Arguments.of(Value.scalar("same", "it[0]"), "{\"same\":\"it[0]\"}"));
    }

    @ParameterizedTest(name = "{1}")
    @MethodSource("values")
    void valuesHaveAFormInJson(Value value, String json) {
        assertThat(ValueJson.of(value)).hasToString(json);
    }

    @Test
    void anOutcomeLeavesOutWhatIsEmpty() {
        assertThat(ValueJson.of(new Outcome("c", "ran", ONE, List.of(), "", "", List.of(), List.of(), List.of()))).hasToString("{\"gives\":1}");
        Told told = new Told("gives", ONE, List.of("this"), List.of(ONE));
        assertThat(ValueJson.of(new Outcome("c", "ran", Value.NULL, List.of(told), "a\nb", "c", List.of(new Outcome.Writing("this, 1", "equal")),
                List.of(new Value("call", "Ear.hear", List.of(), List.of(ONE))), List.of(new Outcome.Writing("log.txt", "moored\nleft")))))
                .hasToString("{\"gives\":1,\"leaves\":{\"this\":1},\"prints\":[\"a\",\"b\"],\"complains\":[\"c\"],"
                        + "\"compares\":{\"this, 1\":\"equal\"},\"asks\":[\"Ear.hear(1)\"],\"files\":{\"log.txt\":[\"moored\",\"left\"]}}");
    }

    @Test
    void theLastStepIsWhatHappenedAndThoseBeforeItAreOnTheWay() {
        Value tug = new Value("object", "quay.Tug", List.of("name"), List.of(ONE));
        Told quiet = new Told("gives", Value.NULL, List.of(), List.of());
        assertThat(ValueJson.of(new Outcome("c", "ran", tug, List.of(quiet, new Told("throws", tug, List.of(), List.of())), "", "", List.of(),
                List.of(), List.of()))).hasToString("{\"starts\":{\"is\":\"quay.Tug\",\"name\":1},\"before\":[{}],"
                + "\"throws\":{\"is\":\"quay.Tug\",\"name\":1}}");
    }

    @ParameterizedTest(name = "{0} is {1} after writing and reading")
    @CsvSource({"0.1, 0.1", "1.0E10, 1.0E10", "100, 100", "0.30000000000000004, 0.30000000000000004", "4.9E-324, 4.9E-324", "1.50, 1.50"})
    void numbersSurviveBeingWrittenAndRead(String text, String again) throws Exception {
        var written = new com.fasterxml.jackson.databind.ObjectMapper().readTree(ValueJson.of(Value.scalar("number", text)).toString());
        assertThat(Plain.of(written)).isEqualTo(Plain.of(ValueJson.of(Value.scalar("number", again))));
    }
}
