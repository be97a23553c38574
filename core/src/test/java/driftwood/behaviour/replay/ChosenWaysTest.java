package driftwood.behaviour.replay;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.Given;
import driftwood.behaviour.Characterization;
import driftwood.behaviour.Confirmation;
import driftwood.behaviour.build.Compiler;
import driftwood.behaviour.build.Homes;
import driftwood.behaviour.process.Limits;
import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recordings;
import driftwood.behaviour.recording.Verdict;
import driftwood.behaviour.recording.Verdict.Kind;
import driftwood.behaviour.view.Surface;
import driftwood.program.Program;
import driftwood.scan.Scan;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The code leaves open how an object is made; people say it in a file. */
class ChosenWaysTest {
    private static final Limits QUICK = new Limits(700, 128, 1);
    private static final String BERTH = """
            package quay;
            public class Berth {
                private final String name; private final int depth;
                public Berth(String name, int depth) { this.name = name; this.depth = depth; }
                public String sign() { return name + " " + depth; }
            }
            """;
    private static final String FACTORIES = BERTH.replace("public Berth(", "private Berth(").replace("public String sign", """
            public static Berth deep(String name, int depth) { return new Berth(name, depth); }
            public static Berth tidal(String name, int depth) { return new Berth(name, depth - 1); }
            public String sign""");
    private static final String RENAMED = BERTH.replace("Berth(String name, int depth) { this.name = name; this.depth = depth; }",
            "Berth(String label, int metres) { this.name = label; this.depth = metres; }");

    @TempDir
    Path root;

    private Program program() {
        return new Scan(Scan.Options.DEFAULT).run(root, List.of(root.resolve("src"))).program();
    }

    private Homes compiled() throws Exception {
        Compiler.compile(root, List.of(root.resolve("src/quay/Berth.java")), List.of(), root.resolve("classes"));
        return Homes.of(root.resolve("classes"), List.of());
    }

    private Recording recorded() throws Exception {
        Given.written(root.resolve("src"), BERTH);
        Program program = program();
        Recordings store = new Recordings(root);
        return store.read(store.save(new Characterization(program, root, compiled(), QUICK).record("quay.Berth", List.of("quay.Berth"),
                Surface.of(program.type("quay.Berth").orElseThrow(), program), 40, Duration.ZERO).recording()));
    }

    private Map<Kind, Long> confirm(Recording recording, String now) throws Exception {
        Given.written(root.resolve("src"), now);
        ChosenWays chosen = ChosenWays.of(root);
        Program program = program();
        List<Verdict> verdicts = new Confirmation(program, compiled(), QUICK).asking(chosen, program).confirm(recording);
        chosen.save();
        return verdicts.stream().collect(Collectors.groupingBy(Verdict::kind, Collectors.counting()));
    }

    private void answer(String question, String answer) throws IOException {
        Path file = root.resolve(".driftwood/ways.json");
        assertThat(file).content().contains(question);
        Files.writeString(file, Files.readString(file).replace(question, answer));
    }

    @Test
    void ambiguousCreationRoutinesAreAskedForAndTheAnswerIsKept() throws Exception {
        Recording recording = recorded();
        assertThat(confirm(recording, FACTORIES)).containsOnlyKeys(Kind.GONE);
        assertThat(root.resolve(".driftwood/ways.json")).content().contains("\"deep(name, depth)\"", "\"tidal(name, depth)\"");
        answer("\"by\": \"\"", "\"by\": \"deep\"");
        assertThat(confirm(recording, FACTORIES)).containsOnlyKeys(Kind.SAME);
        answer("\"by\": \"deep\"", "\"by\": \"tidal\"");
        assertThat(confirm(recording, FACTORIES)).containsKey(Kind.DIFFERENT);
    }

    @Test
    void renamedPartsAreAskedForAsWell() throws Exception {
        Recording recording = recorded();
        assertThat(confirm(recording, RENAMED)).containsOnlyKeys(Kind.GONE);
        answer("\"by\": \"\"", "\"by\": \"new\"");
        answer("\"names\": {}", "\"names\": {\"name\": \"label\", \"depth\": \"metres\"}");
        assertThat(confirm(recording, RENAMED)).containsOnlyKeys(Kind.SAME);
    }

    @Test
    void whatNeedsNoAnswerAsksNothing() throws Exception {
        assertThat(confirm(recorded(), BERTH)).containsOnlyKeys(Kind.SAME);
        assertThat(root.resolve(".driftwood/ways.json")).doesNotExist();
    }

    @Test
    void aDamagedFileIsToldByItsPlace() throws Exception {
        Files.createDirectories(root.resolve(".driftwood"));
        Files.writeString(root.resolve(".driftwood/ways.json"), "{\n\"ways\": 4");
        assertThatThrownBy(() -> ChosenWays.of(root)).isInstanceOf(IOException.class).hasMessageContaining("ways.json:2");
        Files.writeString(root.resolve(".driftwood/ways.json"), "{}");
        assertThatThrownBy(() -> ChosenWays.of(root)).hasMessageEndingWith("is not a driftwood-ways/1 file");
    }
}
