package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.cli.InProcess.Run;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class MainTest {
    @TempDir
    Path folder;

    static Stream<Command> commands() {
        return Main.COMMANDS.stream();
    }

    @ParameterizedTest
    @MethodSource("commands")
    void everyCommandHelpsInTheSameForm(Command command) {
        Run run = InProcess.run(command.name(), "--help");
        assertThat(run.code()).isEqualTo(ExitCode.FINE);
        assertThat(run.out()).startsWith("usage: driftwood " + command.name() + " [OPTION...]")
                .isEqualTo(InProcess.run("help", command.name()).out());
        assertThat(run.out().lines()).allMatch(line -> line.length() <= 120);
        command.options().getOptions().forEach(option -> assertThat(run.out()).contains("--" + option.getLongOpt()));
    }

    @Test
    void theOverviewListsEveryCommandWithASentence() {
        Run run = InProcess.run("--help");
        assertThat(run.code()).isEqualTo(ExitCode.FINE);
        Main.COMMANDS.forEach(command -> assertThat(run.out()).contains("  " + command.name() + " ").containsIgnoringWhitespaces(command.summary()));
    }

    @Test
    void withoutACommandTheOverviewGoesToStandardError() {
        Run run = InProcess.run();
        assertThat(run.code()).isEqualTo(ExitCode.USAGE);
        assertThat(run.out()).isEmpty();
        assertThat(run.err()).contains("usage: driftwood COMMAND");
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(delimiter = '|', value = {"scn|did you mean 'scan'?", "frobnicate|there is no command 'frobnicate'.", "--verison|there is no option '--verison'",
        "scan --min-drag -1|takes a number of 0 or more", "scan --min-drag|--min-drag needs a value (N)", "demo a b|demo takes one folder, not 2",
        "plan|name the id of a finding", "drill a b|name one the id of a finding, not 2"})
    void wrongCommandLinesAreTold(String line, String message) {
        Run run = InProcess.run(line.split(" "));
        assertThat(run.code()).isEqualTo(ExitCode.USAGE);
        assertThat(run.err()).startsWith("driftwood: ").contains(message);
        assertThat(run.out()).isEmpty();
    }

    @Test
    void optionsEndAtTwoDashes() throws IOException {
        Path odd = folder.resolve("--odd");
        Files.createDirectories(odd);
        Files.writeString(odd.resolve("A.java"), "class A { }");
        assertThat(InProcess.run("scan", "--", odd.toString()).out()).contains("in 1 file, 1 line.");
    }

    @Test
    void aDefectIsReportedWithAFileToSend() {
        Run run = InProcess.run("scan", "--top", "4", "\u0000");
        assertThat(run.code()).isEqualTo(ExitCode.USAGE);
        assertThat(run.err()).contains("is not a path");
    }

    @Test
    void anUnexpectedErrorIsADefectWithItsDetailsInAFile() throws IOException {
        Console console = new Console(System.out, new java.io.PrintStream(folder.resolve("err").toFile()), false, false, false, 100);
        Defect.report(new IllegalStateException("boom"), new String[] {"scan", "x"}, console);
        String told = Files.readString(folder.resolve("err"));
        assertThat(told).startsWith("driftwood: this is a defect in Driftwood (IllegalStateException). The details are in ");
        Path details = Path.of(told.replaceAll("(?s).*details are in (\\S+): please.*", "$1"));
        assertThat(Files.readString(details)).contains("arguments: [scan, x]", "java.lang.IllegalStateException: boom", "\tat ");
        Files.delete(details);
    }

    @ParameterizedTest
    @CsvSource({"FINE, 0", "ACT, 1", "USAGE, 2", "UNREAD, 3", "DEFECT, 4"})
    void exitCodesArePartOfTheInterface(ExitCode code, int number) {
        assertThat(code.number()).isEqualTo(number);
    }

    @Test
    void severalTreesAreSeveralProjects() throws IOException {
        for (String name : new String[] {"a/A.java", "b/c/B.java", "d/D.java"}) {
            Files.createDirectories(folder.resolve(name).getParent());
            Files.writeString(folder.resolve(name), "class X { int x = ; }");
        }
        Run run = InProcess.run("scan", folder.resolve("a").toString(), folder.resolve("b/c/B.java").toString());
        assertThat(run.err()).contains("not read: " + folder.resolve("a/A.java") + ":1:", "not read: " + folder.resolve("b/c/B.java") + ":1:").doesNotContain("d/D.java");
        assertThat(run.code()).isEqualTo(ExitCode.UNREAD);
    }

    @Test
    void manyUnreadFilesAreNotAllPrinted() throws IOException {
        for (int i = 0; i < 30; i++) {
            Files.write(folder.resolve("B" + i + ".java"), new byte[] {0});
        }
        Run run = InProcess.run("scan", folder.toString());
        assertThat(run.err().lines()).hasSize(21);
        assertThat(run.err()).contains("not read: 10 more; 'driftwood scan --format json' lists them all.");
    }
}
