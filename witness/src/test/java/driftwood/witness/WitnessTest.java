package driftwood.witness;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Runs the witness as what it is: a process. */
class WitnessTest {
    @TempDir
    Path folder;

    private int begun;

    private List<Outcome> run(Script... scripts) throws IOException, InterruptedException {
        Path in = folder.resolve("scripts");
        Path out = Files.write(folder.resolve("outcomes"), new byte[0]);
        try (DataOutputStream to = new DataOutputStream(Files.newOutputStream(in))) {
            Wire.write(to, new Asking(Map.of(), List.of(), Asking.Manner.ALONG), List.of(scripts));
        }
        Process process = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-cp",
                "target/classes:target/test-classes", Witness.class.getName(), in.toString(), out.toString(),
                "400").redirectErrorStream(true).start();
        assertThat(process.waitFor(30, TimeUnit.SECONDS)).isTrue();
        List<Outcome> outcomes = new ArrayList<>();
        begun = 0;
        try (DataInputStream from = new DataInputStream(Files.newInputStream(out))) {
            for (int tag = from.read(); tag >= 0; tag = from.read()) {
                if (tag == Witness.BEGIN) {
                    begun++;
                } else {
                    outcomes.add(Wire.outcome(from));
                }
            }
        }
        return outcomes;
    }

    private static Script calling(String id, String name, Make... arguments) {
        List<String> parameters = new ArrayList<>();
        List<String> names = new ArrayList<>();
        for (int i = 0; i < arguments.length; i++) {
            parameters.add(arguments[i] instanceof Make.Many ? "List" : "int");
            names.add("p" + i);
        }
        return new Script(id, List.of(), List.of(new Script.Step("", new Make.Call(Subject.class.getName(), List.of(), name, parameters,
                List.of(arguments)), names)));
    }

    private static Make number(int value) {
        return new Make.Literal("int", Integer.toString(value));
    }

    @Test
    void eachCaseIsToldWithWhatItPrinted() throws Exception {
        List<Outcome> outcomes = run(calling("a", "half", number(8)), calling("b", "half", number(-1)));
        assertThat(outcomes).extracting(each -> each.steps().get(0).ending()).containsExactly("gives", "throws");
        assertThat(outcomes.get(0).steps().get(0).value()).isEqualTo(Value.scalar("number", "4"));
        assertThat(outcomes.get(0).out()).isEqualTo("half of 8\n");
        assertThat(outcomes.get(1).err()).isEqualTo("negative\n");
        assertThat(outcomes.get(1).steps().get(0).value().text()).isEqualTo("java.lang.IllegalArgumentException");
    }

    @Test
    void changedArgumentsAreTold() throws Exception {
        Outcome outcome = run(calling("a", "grow", new Make.Many("list", "", List.of(number(1))))).get(0);
        assertThat(outcome.steps().get(0).names()).containsExactly("1.p0");
        assertThat(outcome.steps().get(0).left().get(0).parts()).hasSize(2);
    }

    @Test
    void anEndlessCaseEndsTheProcessAndIsTold() throws Exception {
        List<Outcome> outcomes = run(calling("a", "spin"), calling("b", "half", number(2)));
        assertThat(outcomes).extracting(Outcome::ending).containsExactly("endless");
        assertThat(outcomes).extracting(Outcome::id).containsExactly("a");
    }

    @Test
    void aCaseThatOnlyWaitsALittleIsNotEndless() throws Exception {
        assertThat(run(calling("a", "nap"))).extracting(Outcome::ending).containsExactly("ran");
    }

    @Test
    void aCaseThatEndsTheProcessWasBegunButNotEnded() throws Exception {
        assertThat(run(calling("a", "half", number(2)), calling("b", "leave"))).hasSize(1);
        assertThat(begun).isEqualTo(2);
    }

    @Test
    void whatCannotBeMadeIsToldAsThat() throws Exception {
        Outcome outcome = run(calling("a", "lost")).get(0);
        assertThat(outcome.ending()).isEqualTo("unmade");
        assertThat(outcome.value().text()).endsWith("has no routine lost() any more");
    }
}
