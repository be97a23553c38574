package driftwood.witness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class WireTest {

    @Test
    void aScriptComesBackAsItWas() throws IOException {
        Make tug = new Make.New("quay.Tug", List.of("String", "int"), List.of(new Make.Literal("String", "Ad\u00e4"),
                new Make.Literal("int", "80")));
        Make built = new Make.Call("B", List.of(new Make.Configured(new Make.StandIn("quay.Ear"),
                List.of(new Make.Call("B", List.of(), "n", List.of("int"), List.of(new Make.Literal("null", "")))))), "build",
                List.of(), List.of());
        Script script = new Script("c1", List.of(tug), List.of(new Script.Step(Script.NEW, built, List.of()),
                new Script.Step("this", new Make.Call("quay.Desk", List.of(), "f", List.of("List", "Object"), List.of(new Make.Many("list", "",
                List.of(built, new Make.Constant("quay.Kind", "TUG"))), new Make.Same("1"))), List.of("all", "one"))));
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        Wire.write(new DataOutputStream(bytes), script);
        assertThat(Wire.script(new DataInputStream(new ByteArrayInputStream(bytes.toByteArray())))).isEqualTo(script);
    }

    @Test
    void whatObjectsAreAskedComesBackAsItWas() throws IOException {
        Asking asking = new Asking(Map.of("quay.Tug", List.of("name")), List.of("/classes"), Asking.Manner.TWICE);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        Wire.write(new DataOutputStream(bytes), asking);
        assertThat(Wire.asking(new DataInputStream(new ByteArrayInputStream(bytes.toByteArray())))).isEqualTo(asking);
    }

    @Test
    void anOutcomeComesBackAsItWas() throws IOException {
        Outcome outcome = new Outcome("c1", "ran", new Value("object", "quay.Tug", List.of("name"),
                List.of(Value.scalar("text", "Ada"))), List.of(new Outcome.Told("gives", Value.NULL, List.of("this"), List.of(Value.NULL))),
                "out", "err", List.of(new Outcome.Writing("this, 1", "equal")), List.of(Value.many("call", List.of())),
                List.of(new Outcome.Writing("log.txt", "moored\n")));
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        Wire.write(new DataOutputStream(bytes), outcome);
        assertThat(Wire.outcome(new DataInputStream(new ByteArrayInputStream(bytes.toByteArray())))).isEqualTo(outcome);
    }

    @Test
    void absurdLengthsAreRefused() {
        byte[] hostile = {0x7f, 0x7f, 0x7f, 0x7f, 1, 2, 3};
        assertThatThrownBy(() -> Wire.outcome(new DataInputStream(new ByteArrayInputStream(hostile))))
                .isInstanceOf(IOException.class).hasMessageStartingWith("a text of ");
    }
}
