package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.cli.Built.Run;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Whatever comes in: a clear message, the right exit code, no stack trace. */
class BadInputIT {
    @TempDir
    Path folder;

    private Run run(String... arguments) throws IOException, InterruptedException {
        Run run = Built.driftwood(folder, arguments);
        assertThat(run.out() + run.err()).doesNotContain("\tat ", "Exception in thread");
        return run;
    }

    static Stream<Arguments> wrongCommandLines() {
        return Stream.of(Arguments.of("scan nowhere", "there is no file or folder 'nowhere'"),
                Arguments.of("scan --wat", "scan has no option '--wat'"),
                Arguments.of("scan --formt json", "did you mean '--format'?"),
                Arguments.of("scan --format xml", "--format takes text, lines, json, sarif, markdown, not 'xml'"),
                Arguments.of("scan --format", "--format needs a value"),
                Arguments.of("scan --min-drag lots", "--min-drag takes a number of 0 or more, not 'lots'"),
                Arguments.of("scan --smells type-swich", "did you mean 'type-switch'?"),
                Arguments.of("scan --touched-since HEAD", "is not under git"),
                Arguments.of("scna", "did you mean 'scan'?"), Arguments.of("--wat", "there is no option '--wat'"),
                Arguments.of("explain", "name the id of a finding, the key of a smell or pattern, or a word"), Arguments.of("explain a b", "not 2: a b"),
                Arguments.of("explain ts-nothin", "no finding has the id 'ts-nothin'"),
                Arguments.of("plan ts-nothin", "no finding has the id"), Arguments.of("characterize Nope", "there is no type and no finding 'Nope'"),
                Arguments.of("confirm", "there are no recordings"), Arguments.of("confirm --classes gone", "there are no recordings"),
                Arguments.of("explain ts-x1 --project gone", "there is no file or folder 'gone'"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("wrongCommandLines")
    void aWrongCommandLineIsToldAndExitsWithTwo(String line, String message) throws Exception {
        Run run = run(line.split(" "));
        assertThat(run.err()).contains(message);
        assertThat(run.code()).isEqualTo(2);
        assertThat(run.out()).isEmpty();
    }

    @Test
    void anEmptyFolderIsToldAndIsNoError() throws Exception {
        Run run = run("scan", ".");
        assertThat(run.code()).isZero();
        assertThat(run.out()).contains("Nothing was read: no Java, Python, C#", "Kotlin source").doesNotContain("No findings");
    }

    @Test
    void whatIsNoTextIsListedAndExitsWithThree() throws Exception {
        Files.write(folder.resolve("Blob.java"), new byte[] {(byte) 0xCA, (byte) 0xFE, 0, 0, 1});
        Run run = run("scan", ".");
        assertThat(run.err()).contains("not read: Blob.java:1: not text (it holds zero bytes and is no UTF-8)");
        assertThat(run.code()).isEqualTo(3);
        assertThat(run("scan", "--format", "json").out()).contains("\"file\" : \"Blob.java\"");
    }

    @Test
    void anotherEncodingIsReadAndTold() throws Exception {
        Files.write(folder.resolve("Cafe.java"), "class Caf\u00e9 { }".getBytes(StandardCharsets.ISO_8859_1));
        Run run = run("scan");
        assertThat(run.err()).contains("Cafe.java is not UTF-8; it was read as ISO-8859-1.");
        assertThat(run.code()).isZero();
    }

    @Test
    void aHugeFileAndDeepNestingAreRead() throws Exception {
        StringBuilder huge = new StringBuilder("class Huge {\n");
        for (int i = 0; i < 5000; i++) {
            huge.append("    int m").append(i).append("(Object o) {\n        return o == null ? 0 : ").append(i).append(";\n    }\n\n");
        }
        Files.writeString(folder.resolve("Huge.java"), huge.append("}\n"));
        Files.writeString(folder.resolve("Deep.java"), "class Deep { int f(int a) { return " + "f(".repeat(5000) + "1"
                + ")".repeat(5000) + "; } }");
        Run run = run("scan");
        assertThat(run.code()).isZero();
        assertThat(run.out()).contains("in 2 files, 20003 lines");
    }

    @Test
    void linksThatGoRoundInACircleEnd() throws Exception {
        Files.writeString(folder.resolve("A.java"), "class A { }");
        Files.createSymbolicLink(folder.resolve("again"), folder);
        assertThat(run("scan").out()).contains("in 1 file");
    }

    @Test
    void aSyntaxErrorIsToldWithItsLineAndTheRestIsScanned() throws Exception {
        Files.writeString(folder.resolve("A.java"), "class A {\n    int x = ;\n}\n");
        Run run = run("scan");
        assertThat(run.err()).contains("not read: A.java:2: syntax: illegal start of expression");
        assertThat(run.code()).isEqualTo(3);
    }

    @Test
    void aProjectThatDoesNotCompileIsToldWithFileAndLine() throws Exception {
        Files.writeString(folder.resolve("A.java"), "class A {\n    Missing m;\n}\n");
        Run run = run("characterize", "A");
        assertThat(run.code()).isEqualTo(2);
        assertThat(run.err()).contains("A.java:2: cannot find symbol, symbol: class Missing", "--classpath lib/one.jar");
    }

    @Test
    void aDamagedRecordingIsToldAndKept() throws Exception {
        Path recording = folder.resolve(".driftwood/recordings/A.json");
        Files.createDirectories(recording.getParent());
        Files.writeString(recording, "{\n  \"format\": \"driftwood-recording/1\",\n  \"cases\": [");
        Files.writeString(folder.resolve("A.java"), "class A { }");
        Run run = run("confirm");
        assertThat(run.code()).isEqualTo(2);
        assertThat(run.err()).contains("A.json:3 is damaged");
        assertThat(recording).exists();
    }

    @Test
    void theDemoOverwritesNothing() throws Exception {
        Files.createDirectories(folder.resolve("kelp-quay"));
        Files.writeString(folder.resolve("kelp-quay/mine.txt"), "mine");
        Run run = run("demo");
        assertThat(run.code()).isEqualTo(2);
        assertThat(run.err()).contains("is not empty, and demo only writes to a new or empty one");
        assertThat(Files.readString(folder.resolve("kelp-quay/mine.txt"))).isEqualTo("mine");
    }

    @Test
    void aParserThatCannotBeLoadedCostsItsLanguageOnly() throws Exception {
        Files.writeString(folder.resolve("A.java"), "class A { int a(int b, int c, int d, int e, int f, int g, int h) { return b; } }\n");
        Files.writeString(folder.resolve("b.php"), "<?php class B { }\n");
        Run run = Built.driftwood(folder, java.util.Map.of("JAVA_TOOL_OPTIONS", "-Djava.io.tmpdir=" + folder.resolve("nowhere")), "scan", "--format", "lines");
        assertThat(run.code()).isEqualTo(3);
        assertThat(run.out()).contains("A.java:1: long-parameter-list");
        assertThat(run.err()).contains("not read: b.php:1: the native part of its parser cannot be loaded on this machine", "other languages are read all the same");
        assertThat(run("scan").err()).as("nothing of it is remembered").doesNotContain("not read");
    }
}
