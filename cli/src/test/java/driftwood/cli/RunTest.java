package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import driftwood.cli.InProcess.Run;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.DisabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;
import org.w3c.dom.Element;

/** Recorded commands, and what confirm can be asked for. */
@DisabledOnOs(OS.WINDOWS)
class RunTest {
    @TempDir
    Path folder;

    private String project;

    @BeforeEach
    void write() throws IOException {
        Files.writeString(folder.resolve("tide.txt"), "high\nlow\n");
        project = folder.toString();
    }

    private Run driftwood(String... arguments) {
        String[] all = java.util.Arrays.copyOf(arguments, arguments.length + 2);
        all[arguments.length] = "--project";
        all[arguments.length + 1] = project;
        return InProcess.run(all);
    }

    @Test
    void commandsAreRecordedAndConfirmed() throws IOException {
        Run recorded = driftwood("characterize", "--run", "cat tide.txt", "--run", "date +%N; echo on >&2; exit 2");
        assertThat(recorded.code()).isEqualTo(ExitCode.FINE);
        assertThat(recorded.out()).contains("Recorded 2 commands as run-cat-tide.txt.", "exit code 0; 2 lines on standard output",
                "1 place differs", "/gives/out/0", "driftwood confirm");
        assertThat(driftwood("confirm").code()).isEqualTo(ExitCode.FINE);
        Files.writeString(folder.resolve("tide.txt"), "high\nslack\n");
        Run confirmed = driftwood("confirm");
        assertThat(confirmed.code()).isEqualTo(ExitCode.ACT);
        assertThat(confirmed.out()).contains("cat tide.txt", "at standard output, line 2", "Not the same: 1 of 2 cases.");
    }

    @Test
    void onlySomeCasesAreRun() throws IOException {
        driftwood("characterize", "--run", "cat tide.txt", "--run", "echo steady");
        Files.writeString(folder.resolve("tide.txt"), "slack\n");
        assertThat(driftwood("confirm", "--only", "c2").out()).contains("the one case behaves as recorded");
        assertThat(driftwood("confirm", "--only", "c1").code()).isEqualTo(ExitCode.ACT);
        Run none = driftwood("confirm", "--only", "c9");
        assertThat(none.code()).isEqualTo(ExitCode.USAGE);
        assertThat(none.err()).contains("no recording has a case c9");
    }

    @Test
    void theProjectsOwnTestsCount() {
        driftwood("characterize", "--run", "echo steady");
        Run passed = driftwood("confirm", "--tests", "echo eleven tests; true");
        assertThat(passed.code()).isEqualTo(ExitCode.FINE);
        assertThat(passed.out()).contains("Passed: the project's own tests.").doesNotContain("eleven");
        assertThat(passed.err()).contains("eleven tests");
        Run failed = driftwood("confirm", "--tests", "exit 7");
        assertThat(failed.code()).isEqualTo(ExitCode.ACT);
        assertThat(failed.out()).contains("Failed: the project's own tests, with exit code 7.");
    }

    @Test
    void verdictsAsXmlCanBeRead() throws Exception {
        driftwood("characterize", "--run", "cat tide.txt; printf '<\\001>'", "--run", "echo steady");
        Files.writeString(folder.resolve("tide.txt"), "<tide & \"wind\">\n");
        Run run = driftwood("confirm", "--format", "junit", "--tests", "false");
        Element suites = DocumentBuilderFactory.newInstance().newDocumentBuilder()
                .parse(new ByteArrayInputStream(run.out().getBytes(StandardCharsets.UTF_8))).getDocumentElement();
        assertThat(suites.getElementsByTagName("testcase").getLength()).isEqualTo(3);
        assertThat(suites.getElementsByTagName("failure").getLength()).isEqualTo(2);
        assertThat(((Element) suites.getElementsByTagName("testsuite").item(0)).getAttribute("failures")).isEqualTo("1");
        assertThat(((Element) suites.getElementsByTagName("failure").item(0)).getAttribute("type")).isEqualTo("different");
    }

    @Test
    void aCaseIsRecordedAgainOnlyWithAReason() throws IOException {
        driftwood("characterize", "--run", "cat tide.txt");
        Files.writeString(folder.resolve("tide.txt"), "slack\n");
        Run bare = driftwood("characterize", "run-cat-tide.txt", "--again", "c1");
        assertThat(bare.code()).isEqualTo(ExitCode.USAGE);
        assertThat(bare.err()).contains("needs --because REASON");
        Run again = driftwood("characterize", "run-cat-tide.txt", "--again", "c1", "--because", "the table was renewed");
        assertThat(again.code()).isEqualTo(ExitCode.FINE);
        assertThat(driftwood("confirm").code()).isEqualTo(ExitCode.FINE);
        assertThat(new ObjectMapper().readTree(folder.resolve(".driftwood/recordings/run-cat-tide.txt.json").toFile())
                .at("/judged/c1").asText()).isEqualTo("the table was renewed");
    }

    @Test
    void badOptionsAreTold() {
        assertThat(driftwood("characterize", "--run", "true", "--env", "PILOT").err()).contains("not of the form NAME=VALUE");
        assertThat(driftwood("characterize", "--run", "true", "--name", "a b").err()).contains("must be made of letters");
        assertThat(driftwood("characterize", "--run", "true", "--input", "absent").err()).contains("there is no file absent");
        assertThat(driftwood("characterize", "--run", "true", "Berth").err()).contains("nothing is done with Berth");
        assertThat(driftwood("characterize", "--run", " ").err()).contains("the command is empty");
    }

    @Test
    void aCommandThatFailsIsToldAndItsTimeIsKept() {
        assertThat(driftwood("characterize", "--run", "nosuchprogram").out()).contains("This command failed: there is no such program.");
        driftwood("characterize", "--run", "sleep 3", "--case-time", "300", "--name", "slow");
        assertThat(driftwood("confirm", "slow").code()).isEqualTo(ExitCode.FINE);
    }

    @Test
    void whatTheSecondChangesIsNotCompared() throws InterruptedException {
        driftwood("characterize", "--run", "date +%s", "--name", "clock");
        Thread.sleep(1_100);
        assertThat(driftwood("confirm").code()).isEqualTo(ExitCode.FINE);
    }

    @Test
    void aRecordingThatNoLongerHoldsIsNotReplacedUnasked() throws IOException {
        driftwood("characterize", "--run", "cat tide.txt", "--name", "tide");
        assertThat(driftwood("characterize", "--run", "echo", "--name", "tide").err()).contains("a recording run-tide of other commands");
        assertThat(driftwood("characterize", "--run", "cat tide.txt", "--name", "tide").code()).isEqualTo(ExitCode.FINE);
        Files.writeString(folder.resolve("tide.txt"), "slack\n");
        Run refused = driftwood("characterize", "--run", "cat tide.txt", "--name", "tide");
        assertThat(refused.code()).isEqualTo(ExitCode.USAGE);
        assertThat(refused.err()).contains("it no longer holds", "--anew");
        assertThat(driftwood("characterize", "--run", "cat tide.txt", "--name", "tide", "--anew").code()).isEqualTo(ExitCode.FINE);
        assertThat(driftwood("confirm").code()).isEqualTo(ExitCode.FINE);
    }
}
