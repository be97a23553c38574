package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import driftwood.cli.InProcess.Run;
import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The office in each language: the same smells, and where it can be run, a slip that is noticed. */
class DemoLanguagesTest {
    @TempDir
    Path folder;

    private static boolean isThere(String program) {
        return Arrays.stream(System.getenv("PATH").split(File.pathSeparator)).anyMatch(each -> Files.isExecutable(Path.of(each, program)));
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({"csharp, Pilots.cs", "javascript, src/pilots.js", "kotlin, quay/Pilots.kt", "php, src/PilotRoster.php", "python, quay/pilots.py", "ruby, lib/quay/pilots.rb",
        "typescript, src/pilots.ts"})
    void theOfficeHasTheSameSmellsInEach(String language, String roster) {
        SampleFiles.copy("kelp-quay-" + language, folder);
        Run run = InProcess.run("scan", "--format", "json", "--top", "0", folder.toString());
        assertThat(run.out()).contains("\"file\" : \"" + roster + "\"", "\"language\" : \"" + language + "\"", "\"unread\" : [ ]");
        for (String smell : new String[] {"null-check", "state-switch", "uncontrolled-instances", "flag-argument", "type-switch", "long-parameter-list", "hard-wired-notification",
            "conditional-instantiation"}) {
            assertThat(run.out()).as(smell).contains("\"smell\" : \"" + smell + "\"");
        }
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({"javascript, node, node day.js", "php, php, php day.php", "ruby, ruby, ruby day.rb"})
    void aDayIsRecordedAndASlipNoticed(String language, String program, String command) {
        assumeThat(isThere(program)).as(program + " is on the PATH").isTrue();
        Path office = folder.resolve("office");
        Run run = InProcess.run("demo", "--language", language, office.toString());
        assertThat(run.code()).as(run.err()).isEqualTo(ExitCode.FINE);
        assertThat(run.out()).contains("characterize --run \"" + command + "\"", "4 lines on standard output", "Same: the one case", "at standard output, line 1", "The slip was noticed");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {"csharp|switch (position)", "javascript|if (this.position === 'shut')", "kotlin|when (position)", "php|if ($this->position === 'shut')",
        "python|if self.position == \"shut\":", "ruby|case @position", "typescript|switch (this.position)"})
    void aSmellIsExplainedByCodeInTheLanguageOfTheProject(String language, String code) {
        SampleFiles.copy("kelp-quay-" + language, folder);
        assertThat(InProcess.run("explain", "state-switch", "--project", folder.toString()).out()).contains("Such as ", "of driftwood demo --language " + language + ":", code);
    }

    @Test
    void aLanguageThatThereIsNotIsToldWithThoseThereAre() {
        Run run = InProcess.run("demo", "--language", "cobol", folder.resolve("office").toString());
        assertThat(run.code()).isEqualTo(ExitCode.USAGE);
        assertThat(run.err()).contains("there is no sample in 'cobol'. There are java, csharp, javascript, kotlin, php, python, ruby, typescript.");
    }
}
