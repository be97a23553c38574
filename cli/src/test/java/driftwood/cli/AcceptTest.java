package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.cli.InProcess.Run;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class AcceptTest {
    @TempDir
    Path folder;

    @BeforeEach
    void unpack() {
        SampleFiles.copy("kelp-quay", folder);
    }

    private Run scan(String... options) {
        String[] all = new String[options.length + 2];
        all[0] = "scan";
        System.arraycopy(options, 0, all, 1, options.length);
        all[all.length - 1] = folder.toString();
        return InProcess.run(all);
    }

    private Path file() {
        return folder.resolve(".driftwood/accepted.json");
    }

    @Test
    void acceptedFindingsAreLeftOutAndToldOfInOneLine() {
        assertThat(scan("--accept").out()).isEqualTo(
                "Accepted 5 findings in " + file() + ". Write the reasons into that file, and commit it.\n");
        Run run = scan("--fail-at", "1");
        assertThat(run.out()).startsWith("No findings in 27 files");
        assertThat(run.out()).contains("; 5 accepted (--with-accepted shows them).");
        assertThat(run.code()).isEqualTo(ExitCode.FINE);
        assertThat(scan("--with-accepted").out()).contains("5 findings in 27 files");
    }

    @Test
    void onlyWhatIsNewCounts() throws IOException {
        scan("--accept");
        Path pilot = folder.resolve("src/main/java/quay/Pilot.java");
        Files.writeString(pilot, Files.readString(pilot).replace("    public String getName", """
                    public Pilot() { this("nobody"); }
                    public Pilot(String name) { this(name, 100); }
                    public String getName"""));
        Run run = scan("--fail-at", "0.1");
        assertThat(run.code()).isEqualTo(ExitCode.ACT);
        assertThat(run.out()).contains("Pilot has 3 constructors", "1 finding in 27 files");
    }

    @Test
    void whatIsGoneIsToldUntilTheFileIsRenewed() throws IOException {
        scan("--accept");
        Files.delete(folder.resolve("src/main/java/quay/RenewalDesk.java"));
        Files.delete(folder.resolve("src/main/java/quay/PermitOffice.java"));
        assertThat(scan().err()).contains("1 accepted finding is gone: ci-").contains("updates the file");
        scan("--accept");
        assertThat(scan().err()).doesNotContain("gone");
    }

    @Test
    void reasonsAreKeptWhenTheFileIsRenewed() throws IOException {
        scan("--accept");
        Files.writeString(file(), Files.readString(file()).replaceFirst("\"symbol\": \"quay.Berth#Berth\"",
                "\"symbol\": \"quay.Berth#Berth\", \"reason\": \"rebuilt next year\""));
        scan("--accept");
        assertThat(Files.readString(file())).contains("\"reason\": \"rebuilt next year\"");
    }

    @Test
    void acceptingSomeSmellsKeepsTheOthers() throws IOException {
        scan("--accept");
        assertThat(scan("--accept", "--smells", "null-check").out()).startsWith("Accepted 1 finding ");
        assertThat(scan().out()).startsWith("No findings");
    }

    @Test
    void onlyWhatIsOverTheLimitIsAccepted() {
        assertThat(scan("--accept", "--min-drag", "4").out()).startsWith("Accepted 1 finding ");
        assertThat(scan().out()).contains("4 findings in 27 files");
    }

    @Test
    void aDamagedFileIsToldAndKept() throws IOException {
        scan("--accept");
        Files.writeString(file(), "{\"format\": ");
        Run run = scan();
        assertThat(run.code()).isEqualTo(ExitCode.USAGE);
        assertThat(run.err()).contains("accepted.json:1 is damaged", "Fix it");
        assertThat(Files.readString(file())).isEqualTo("{\"format\": ");
    }
}
