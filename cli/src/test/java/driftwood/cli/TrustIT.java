package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.cli.Built.Run;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A repository is not trusted because it was cloned. */
class TrustIT {
    private static final String RECORDING = "{\"format\": \"driftwood-recording/2\", \"of\": \"%s\", \"surface\": [\"%s\"], %s\"cases\": [%s]}";

    @TempDir
    Path folder;
    private Path project;

    @BeforeEach
    void unpack() throws IOException {
        project = Files.createDirectories(folder.resolve("kelp-quay"));
        SampleFiles.copy("kelp-quay", project);
        Files.createDirectories(project.resolve(".driftwood/recordings"));
    }

    private Run run(String... words) throws IOException, InterruptedException {
        return Built.driftwood(project, Map.of("XDG_DATA_HOME", folder.resolve("user").toString()), words);
    }

    private void recording(String of, String surface, String more, String cases) throws IOException {
        Files.writeString(project.resolve(".driftwood/recordings/" + of.replace('#', '_') + ".json"), RECORDING.formatted(of, surface, more, cases));
    }

    @Test
    void aCommandThatCameWithTheRepositoryIsRunOnlyWhenTrusted() throws Exception {
        Path mark = folder.resolve("mark");
        recording("run-x", "run#x", "", "{\"id\": \"c1\", \"routine\": \"run#x\", \"given\": {\"command\": \"touch " + mark + "\"}, "
                + "\"outcome\": {\"gives\": {\"exit\": 0, \"out\": [], \"err\": []}}}");
        Run first = run("confirm");
        assertThat(first.code()).isEqualTo(2);
        assertThat(first.err()).contains("the recording run-x would", "run the command: touch " + mark, "--trust");
        assertThat(mark).doesNotExist();
        assertThat(run("confirm", "--trust").code()).isZero();
        assertThat(mark).exists();
        assertThat(run("confirm").code()).isZero();
    }

    @Test
    void whatTheUserRecordedIsTrusted() throws Exception {
        assertThat(run("characterize", "--run", "echo tide", "--name", "tide").code()).isZero();
        assertThat(run("confirm").code()).isZero();
        Path file = project.resolve(".driftwood/recordings/run-tide.json");
        Files.writeString(file, Files.readString(file).replace("echo tide", "echo ebb"));
        assertThat(run("confirm").err()).contains("run the command: echo ebb");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {
        "\"ran\": {\"interpreter\": \"./evil\"}, | start the interpreter: ./evil",
        "\"ran\": {\"classpath\": [\"/tmp/evil.jar\"]}, | load classes from /tmp/evil.jar",
        "\"ran\": {\"classes\": [\"../evil\"]}, | load classes from "})
    void interpretersAndClassesFromElsewhereAreAskedFor(String ran, String told) throws Exception {
        recording("quay.Leg", "quay.Leg#getMiles()", ran, "{\"id\": \"c1\", \"routine\": \"quay.Leg#getMiles()\"}");
        Run run = run("confirm");
        assertThat(run.code()).isEqualTo(2);
        assertThat(run.err()).contains(told);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {
        "{\"id\": \"c1\", \"routine\": \"java.lang.ProcessBuilder#start()\", \"on\": {\"is\": \"java.lang.ProcessBuilder\"}} | there is no type java.lang.ProcessBuilder in this project",
        "{\"id\": \"c1\", \"routine\": \"java.lang.System#exit(status)\", \"given\": {\"status\": 3}} | there is no type java.lang.System in this project",
        "{\"id\": \"c1\", \"routine\": \"quay.Leg#getMiles()\", \"on\": {\"is\": \"java.io.FileOutputStream\", \"name\": \"/tmp/x\"}} | there is no type java.io.FileOutputStream in this project"})
    void typesOfThePlatformAreNoReceivers(String one, String told) throws Exception {
        recording("quay.Leg", "quay.Leg#getMiles()", "", one);
        Run run = run("confirm");
        assertThat(run.code()).isEqualTo(1);
        assertThat(run.out()).contains("gone", told);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {
        "\"routine\": \"os#system(command)\", \"given\": {\"command\": \"touch MARK\"} | there is no os in this project",
        "\"routine\": \"quay.run#system(command)\", \"given\": {\"command\": \"touch MARK\"} | quay.run has no routine system of its own",
        "\"routine\": \"quay.run.Run#go\", \"on\": {\"is\": \"subprocess.Popen\", \"args\": [\"touch\", \"MARK\"]} | there is no subprocess.Popen in this project",
        "\"routine\": \"quay.run.Run#go\", \"on\": {\"is\": \"quay.run\", \"by\": \"system\", \"command\": \"touch MARK\"} | there is no quay.run in this project",
        "\"routine\": \"quay.run.Run#go\", \"before\": [{\"make\": {\"is\": \"pathlib.os.system\", \"text\": \"touch MARK\"}}] | there is no pathlib.os.system in this project"})
    void whatPythonCouldImportIsNotTheProjects(String one, String told) throws Exception {
        Files.createDirectories(project.resolve("quay"));
        Files.writeString(project.resolve("quay/__init__.py"), "");
        Files.writeString(project.resolve("quay/run.py"), "from os import system\n\n\nclass Run:\n    def go(self):\n        return 1\n");
        Path mark = folder.resolve("mark");
        recording("quay.run.Run", "quay.run.Run#go", "", "{\"id\": \"c1\", " + one.strip().replace("MARK", mark.toString()) + "}");
        Run run = run("confirm");
        assertThat(mark).doesNotExist();
        assertThat(run.out()).containsIgnoringWhitespaces(told);
        assertThat(run.code()).isEqualTo(1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"scan", "scan --touched-since HEAD", "explain ts-zq8j2q", "drill ts-zq8j2q", "plan ts-zq8j2q", "explain null-check"})
    void readingStartsNoProcess(String words) throws Exception {
        Path poison = Files.createDirectories(folder.resolve("poison"));
        Path mark = folder.resolve("mark");
        for (String each : List.of("git", "mvn", "gradle", "sh", "bash", "python3", "java", "javac", "evil")) {
            Path program = Files.writeString(poison.resolve(each), "#!/bin/sh\necho " + each + " >> " + mark + "\n");
            Files.setPosixFilePermissions(program, PosixFilePermissions.fromString("rwxr-xr-x"));
        }
        repository(poison.resolve("evil"));
        List<String> command = new java.util.ArrayList<>(List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-jar",
                Path.of("target/app/driftwood-cli-0.1.0.jar").toAbsolutePath().toString()));
        command.addAll(List.of(words.split(" ")));
        ProcessBuilder builder = new ProcessBuilder(command).directory(project.toFile()).redirectErrorStream(true).redirectOutput(folder.resolve("told").toFile());
        builder.environment().put("PATH", poison.toString());
        assertThat(builder.start().waitFor()).as(Files.readString(folder.resolve("told"))).isLessThanOrEqualTo(1);
        assertThat(mark).doesNotExist();
    }

    /** With a filter that would run, for every file. */
    private void repository(Path evil) throws Exception {
        try (org.eclipse.jgit.api.Git git = org.eclipse.jgit.api.Git.init().setDirectory(project.toFile()).call()) {
            git.add().addFilepattern(".").call();
            git.commit().setMessage("Open the office").setAuthor("Ada", "ada@kelp-quay.example").setCommitter("Ada", "ada@kelp-quay.example")
                    .setSign(false).call();
        }
        Files.writeString(project.resolve(".gitattributes"), "* filter=evil\n");
        Path config = project.resolve(".git/config");
        Files.writeString(config, Files.readString(config) + "[filter \"evil\"]\n\tclean = " + evil + "\n\tsmudge = " + evil + "\n");
        Path leg = project.resolve("src/main/java/quay/Leg.java");
        Files.writeString(leg, Files.readString(leg) + "\n");
    }

    @Test
    void whatIsWrittenHasTheRightsOfAnyNewFile() throws Exception {
        assertThat(run("plan", "ts-zq8j2q").code()).isZero();
        assertThat(run("scan", "--accept", "--output", "told.txt").code()).isZero();
        Path own = Files.createFile(folder.resolve("own"));
        Map<String, String> rights = new TreeMap<>();
        for (String each : List.of(".driftwood/plans/ts-zq8j2q-strategy.json", ".driftwood/accepted.json", "told.txt")) {
            rights.put(each, PosixFilePermissions.toString(Files.getPosixFilePermissions(project.resolve(each))));
        }
        assertThat(rights.values()).containsOnly(PosixFilePermissions.toString(Files.getPosixFilePermissions(own)));
    }
}
