package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import driftwood.cli.Built.Run;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.apache.commons.io.FileUtils;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Plans carried out by the built program. */
class RefactorIT {
    private static final Map<String, String> SOURCES = Map.of("Ledger.java", """
            package quay;

            class Ledger {
                private int told;

                String print(String title, boolean detailed) {
                    if (detailed) {
                        told += title.length();
                        return title + " in full " + told;
                    } else {
                        told++;
                        return title + " in short " + told;
                    }
                }
            }
            """, "Desk.java", """
            package quay;

            class Desk {
                private final Ledger ledger = new Ledger();

                String morning(String title) {
                    return ledger.print(title, true) + ledger.print(title, false);
                }
            }
            """);

    @TempDir
    static Path planned;
    private static String plan;

    @TempDir
    Path folder;

    private Run run(String... arguments) throws Exception {
        return Built.driftwood(folder, arguments);
    }

    private void git(String... words) throws Exception {
        git(folder, words);
    }

    private static void git(Path folder, String... words) throws Exception {
        Process git = new ProcessBuilder(Stream.concat(Stream.of("git", "-c", "user.name=Ida", "-c", "user.email=ida@quay.invalid"), Stream.of(words)).toList())
                .directory(folder.toFile()).redirectErrorStream(true).start();
        String said = new String(git.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(git.waitFor()).as(said).isZero();
    }

    /** One project with one plan: each walk has a copy of it. */
    @BeforeAll
    static void plan() throws Exception {
        Path quay = Files.createDirectories(planned.resolve("quay"));
        for (Map.Entry<String, String> each : SOURCES.entrySet()) {
            Files.writeString(quay.resolve(each.getKey()), each.getValue());
        }
        git(planned, "init", "-q");
        git(planned, "add", "quay");
        git(planned, "commit", "-qm", "start");
        JsonNode found = new ObjectMapper().readTree(Built.driftwood(planned, "scan", "--format", "json").out());
        String id = found.at("/findings/0/id").asText();
        Run told = Built.driftwood(planned, "plan", id);
        assertThat(told.out()).as(told.err()).contains("printDetailed()", "Next: driftwood refactor " + id + "-separate-routines");
        plan = id + "-separate-routines";
    }

    @BeforeEach
    void copy() throws Exception {
        FileUtils.copyDirectory(planned.toFile(), folder.toFile());
    }

    private Map<String, String> sources() throws Exception {
        Map<String, String> all = new TreeMap<>();
        try (Stream<Path> files = Files.list(folder.resolve("quay"))) {
            for (Path each : files.toList()) {
                all.put(each.getFileName().toString(), Files.readString(each));
            }
        }
        return all;
    }

    @Test
    void aPlanIsShownAndNothingIsChanged() throws Exception {
        Run shown = run("refactor", plan);
        assertThat(shown.code()).as(shown.err()).isZero();
        assertThat(shown.out()).contains("3 stages", "+    String printDetailed(String title) {", "Nothing is changed yet");
        assertThat(sources()).isEqualTo(SOURCES);
        assertThat(run("status").out()).contains(plan + "  planned");
    }

    @Test
    void eachStageIsConfirmedAndCommitted() throws Exception {
        Run done = run("refactor", plan, "--apply", "--commit", "--trial-time", "0");
        assertThat(done.code()).as(done.err()).isZero();
        assertThat(done.out()).contains("Pinned: ", "Stage 3 of 3", "  same, committed as ", "Carried out: 3 stages");
        assertThat(sources().get("Desk.java")).contains("ledger.printDetailed(title) + ledger.print(title)");
        assertThat(sources().get("Ledger.java")).doesNotContain("boolean detailed");
        assertThat(run("scan").out()).contains("No findings");
        assertThat(run("status").out()).contains(plan + "  carried out");
        git("diff", "--exit-code", "HEAD", "--", "quay");
        assertThat(run("refactor", plan, "--apply").code()).isEqualTo(1);
    }

    @Test
    void theWalkStopsWhereItIsToldAndGoesOn() throws Exception {
        assertThat(run("refactor", plan, "--apply", "--compile-only", "--until", "1").out()).contains("Stopped after stage 1 of 3");
        assertThat(run("status").out()).contains("stage 1 of 3");
        Run again = run("refactor", plan, "--apply");
        assertThat(again.code()).isEqualTo(1);
        assertThat(again.err()).contains("1 of 3 stages", "--resume");
        assertThat(run("refactor", "--resume", "--compile-only").out()).contains("Carried out: 3 stages");
        assertThat(sources().get("Ledger.java")).doesNotContain("boolean detailed");
    }

    @Test
    void whatIsNotTheSameIsPutBack() throws Exception {
        Run failed = run("refactor", plan, "--apply", "--compile-only", "--tests", "! grep -q printDetailed quay/Desk.java");
        assertThat(failed.code()).isEqualTo(1);
        assertThat(failed.err()).contains("stage 2 was put back: the project's own tests end with 1");
        assertThat(sources().get("Ledger.java")).contains("printDetailed", "boolean detailed");
        assertThat(sources().get("Desk.java")).isEqualTo(SOURCES.get("Desk.java"));
        assertThat(run("refactor", "--end").out()).contains("Ended: 1 of 3 stages");
    }

    @Test
    void changesThatSomebodyMadeStopIt() throws Exception {
        Path desk = folder.resolve("quay/Desk.java");
        Files.writeString(folder.resolve("quay/Other.java"), "package quay;\n\nclass Other {\n}\n");
        git("add", "quay/Other.java");
        Run dirty = run("refactor", plan, "--apply");
        assertThat(dirty.code()).isEqualTo(1);
        assertThat(dirty.err()).contains("not committed: quay/Other.java");
        Files.writeString(desk, Files.readString(desk) + "\n");
        Run stale = run("refactor", plan, "--apply", "--over-changes");
        assertThat(stale.code()).isEqualTo(1);
        assertThat(stale.err()).contains("made for other sources; changed since: quay/Desk.java");
        assertThat(sources().get("Ledger.java")).isEqualTo(SOURCES.get("Ledger.java"));
    }

    @Test
    void thePatchIsTakenByVersionControl() throws Exception {
        assertThat(run("refactor", plan, "--patch", "all.patch").code()).isZero();
        assertThat(sources()).isEqualTo(SOURCES);
        git("apply", "all.patch");
        Map<String, String> patched = sources();
        git("checkout", "-q", "quay");
        assertThat(run("refactor", plan, "--apply", "--compile-only").code()).isZero();
        assertThat(sources()).isEqualTo(patched);
    }

    @Test
    void aWalkThatIsKilledLeavesEveryFileWholeAndCanBeFinished() throws Exception {
        Map<String, List<String>> whole = new TreeMap<>();
        SOURCES.forEach((file, text) -> whole.put(file, new ArrayList<>(List.of(text))));
        for (int until = 1; until <= 3; until++) {
            run("refactor", until == 1 ? plan : "--resume", "--apply", "--compile-only", "--until", Integer.toString(until));
            sources().forEach((file, text) -> whole.get(file).add(text));
        }
        Random random = new Random(7);
        for (int i = 0; i < 1; i++) {
            git("checkout", "-q", "quay");
            ProcessBuilder builder = new ProcessBuilder(System.getProperty("driftwood.launcher"), "refactor", plan, "--apply", "--compile-only").directory(folder.toFile());
            builder.environment().put("DRIFTWOOD_AS_BUILT", "1");
            Process walk = builder.redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD).start();
            walk.waitFor(900 + random.nextInt(2500), TimeUnit.MILLISECONDS);
            walk.descendants().forEach(ProcessHandle::destroyForcibly);
            walk.destroyForcibly().waitFor();
            sources().forEach((file, text) -> assertThat(whole.get(file)).as(file).contains(text));
            run("refactor", "--resume", "--compile-only");
            sources().forEach((file, text) -> assertThat(whole.get(file)).as(file).contains(text));
            Run open = run("refactor", "--end");
            assertThat(open.code()).isIn(0, 2);
        }
    }
}
