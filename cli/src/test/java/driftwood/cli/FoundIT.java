package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.cli.Built.Run;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The project is found from wherever the user stands, and what was hidden is said. */
class FoundIT {
    @TempDir
    Path folder;
    private Path quay;

    @BeforeEach
    void unpack() throws IOException {
        SampleFiles.copy("kelp-quay", folder);
        quay = folder.resolve("src/main/java/quay");
    }

    private static Run run(Path from, String... words) throws IOException, InterruptedException {
        return Built.driftwood(from, words);
    }

    @Test
    void oneFileIsJudgedWithinItsProject() throws Exception {
        Run run = run(quay, "scan", "HarbourDues.java");
        assertThat(run.out()).contains("type-switch  ts-zq8j2q  HarbourDues.java:17", "1 finding in 1 file, 43 lines.");
        assertThat(run.err()).isEqualTo("driftwood: the project is " + folder.toRealPath() + ".\n");
        assertThat(run(quay, "scan", "--quiet", "HarbourDues.java").err()).isEmpty();
        assertThat(quay.resolve(".driftwood")).doesNotExist();
        assertThat(run(folder, "scan", "src/main/java/quay/HarbourDues.java").out()).contains("ts-zq8j2q  src/main/java/quay/HarbourDues.java:17");
    }

    @Test
    void acceptedFindingsAndSettingsCountInAFolderBelow() throws Exception {
        Files.writeString(folder.resolve("driftwood.yaml"), "exclude: [Berth.java]\nmin-drag: 3\nfail-at: 3.2\n");
        Run run = run(quay, "scan");
        assertThat(run.out()).contains("2 findings of drag 3.0 or more in 26 files", "; 2 of less drag.");
        assertThat(run.code()).isEqualTo(1);
        assertThat(run(quay, "scan", "--accept", ".").code()).isZero();
        assertThat(folder.resolve(".driftwood/accepted.json")).exists();
        assertThat(run(folder, "scan").out()).containsIgnoringWhitespaces("No findings of drag 3.0 or more in 26 files", "2 accepted (--with-accepted shows them)");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {
        "--min-drag 4.9 | 0 | No findings of drag 4.9 or more in 27 files, 677 lines; 5 of less drag.",
        "src/main/java/quay/Leg.java | 0 | No findings in 1 file, 34 lines; 5 elsewhere in the project.",
        "--smells state-switch | 0 | No findings of state-switch in 27 files, 677 lines.",
        "--top 1 | 0 | 4 more are not shown: --top 0 shows all, --summary tells where they are."})
    void whatIsHiddenIsSaid(String words, int code, String told) throws Exception {
        Run run = run(folder, ("scan " + words).split(" "));
        assertThat(run.out()).containsIgnoringWhitespaces(told.replace("34 lines", Files.readAllLines(quay.resolve("Leg.java")).size() + " lines"));
        assertThat(run.code()).isEqualTo(code);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {
        "--fail-at 7 | --fail-at takes a drag from 0.0 to 5.0, not '7'",
        "--min-drag 5.1 | --min-drag takes a drag from 0.0 to 5.0",
        "NOTHING | is a variable of the shell empty"})
    void whatCannotBeReachedIsRefused(String words, String told) throws Exception {
        Run run = run(folder, words.equals("NOTHING") ? new String[] {"scan", ""} : ("scan " + words).split(" "));
        assertThat(run.code()).isEqualTo(2);
        assertThat(run.err()).containsIgnoringCase(told);
    }

    @Test
    void whatIsInNoLanguageIsSaid() throws Exception {
        Files.writeString(folder.resolve("notes.txt"), "tide");
        Run run = run(folder, "scan", "notes.txt");
        assertThat(run.code()).isEqualTo(3);
        assertThat(run.err()).contains("not read: notes.txt is in no language that Driftwood reads: Java (.java), Python (.py), C# (.cs),");
        assertThat(run.out()).doesNotContain("No findings");
    }

    @Test
    void severalTreesAreSeveralProjects() throws Exception {
        for (String each : new String[] {"a", "b"}) {
            Files.createDirectories(folder.resolve(each).resolve(".git"));
            Files.writeString(folder.resolve(each).resolve("Pilot.java"), Files.readString(quay.resolve("Pilot.java")));
        }
        Run run = run(folder, "scan", "a", "b");
        assertThat(run.out()).contains("Project " + folder.toRealPath().resolve("a"), "Project " + folder.toRealPath().resolve("b"));
        assertThat(run(folder, "scan", "a", "b", "--format", "json").err()).contains("these places are in 2 projects");
    }

    @Test
    void aResultThatCannotBeWrittenIsNoSuccess() throws Exception {
        Process process = new ProcessBuilder("bash", "-c", System.getProperty("driftwood.launcher") + " scan --format json > /dev/full")
                .directory(folder.toFile()).redirectErrorStream(true).start();
        String told = new String(process.getInputStream().readAllBytes());
        assertThat(process.waitFor()).isEqualTo(2);
        assertThat(told).contains("the results cannot be written");
    }
}
