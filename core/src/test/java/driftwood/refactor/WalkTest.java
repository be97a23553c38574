package driftwood.refactor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.refactor.Refactoring.Counts;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A walk on files: every file is as a stage leaves it, whenever it ends. */
class WalkTest {
    @TempDir
    Path root;
    private Refactoring refactoring;

    @BeforeEach
    void given() throws IOException {
        Files.createDirectories(root.resolve("quay"));
        write("quay/A.java", "a0\r\n");
        write("quay/Old.java", "old");
        Map<String, Optional<String>> first = new LinkedHashMap<>();
        first.put("quay/A.java", Optional.of("a1\r\n"));
        first.put("quay/deep/New.java", Optional.of("new"));
        Map<String, Optional<String>> second = new LinkedHashMap<>();
        second.put("quay/A.java", Optional.of("a2\r\n"));
        second.put("quay/Old.java", Optional.empty());
        refactoring = new Refactoring(List.of(new Stage("first", List.of(), first, false), new Stage("second", List.of(), second, true)),
                Map.of("quay/A.java", "a0\r\n", "quay/Old.java", "old"), List.of(), Set.of(), Set.of(), new Counts(0, 0, 0, 0, 0), Optional.empty(), List.of(), Map.of());
    }

    private void write(String file, String text) throws IOException {
        Files.writeString(root.resolve(file), text);
    }

    private String read(String file) throws IOException {
        return Files.readString(root.resolve(file));
    }

    private Walk unfinished() throws IOException {
        return Walk.unfinished(root).orElseThrow();
    }

    @Test
    void stagesAreWrittenOneAfterTheOther() throws Exception {
        Walk walk = Walk.begin(root, "plan.json", refactoring);
        assertThat(read("quay/A.java")).as("nothing is written yet").isEqualTo("a0\r\n");
        walk = walk.write().accept();
        assertThat(read("quay/A.java")).isEqualTo("a1\r\n");
        assertThat(read("quay/deep/New.java")).isEqualTo("new");
        walk = walk.write().accept();
        assertThat(read("quay/A.java")).isEqualTo("a2\r\n");
        assertThat(root.resolve("quay/Old.java")).doesNotExist();
        assertThat(walk.done()).isEqualTo(walk.stages()).isEqualTo(2);
        walk.end();
        assertThat(Walk.unfinished(root)).isEmpty();
    }

    @Test
    void nothingButSourcesEverLiesBesideThem() throws Exception {
        Walk walk = Walk.begin(root, "plan.json", refactoring);
        Files.delete(root.resolve("quay/A.java"));
        Files.createDirectories(root.resolve("quay/A.java/in the way"));
        assertThatThrownBy(walk::write).isInstanceOf(Exception.class);
        try (var files = Files.list(root.resolve("quay"))) {
            assertThat(files.map(each -> each.getFileName().toString())).containsExactlyInAnyOrder("A.java", "Old.java");
        }
    }

    @Test
    void whatIsKnownOfItIsReadBack() throws Exception {
        Walk.begin(root, "plan.json", refactoring).write().accept();
        Walk read = unfinished();
        assertThat(read.plan()).isEqualTo("plan.json");
        assertThat(read.done()).isEqualTo(1);
        assertThat(read.isTorn()).isFalse();
        assertThat(read.does(1)).isEqualTo("second");
        assertThat(read.files(1)).containsExactly("quay/A.java", "quay/Old.java");
        assertThat(List.of(read.isMeant(0), read.isMeant(1))).containsExactly(false, true);
    }

    @Test
    void aStageThatWasBeingWrittenIsPutBack() throws Exception {
        Walk.begin(root, "plan.json", refactoring).write();
        assertThat(unfinished().isTorn()).isTrue();
        Walk before = unfinished().rollBack();
        assertThat(read("quay/A.java")).isEqualTo("a0\r\n");
        assertThat(root.resolve("quay/deep/New.java")).doesNotExist();
        assertThat(before.done()).isZero();
        assertThat(unfinished().isTorn()).isFalse();
    }

    @Test
    void aStageOfWhichHalfIsWrittenIsPutBack() throws Exception {
        Walk.begin(root, "plan.json", refactoring).write().accept().write();
        write("quay/Old.java", "old");
        unfinished().rollBack();
        assertThat(read("quay/A.java")).isEqualTo("a1\r\n");
        assertThat(read("quay/Old.java")).isEqualTo("old");
        assertThat(read("quay/deep/New.java")).as("of the stage before").isEqualTo("new");
    }

    @Test
    void aFileThatSomebodyChangedStopsTheNextStage() throws Exception {
        Walk walk = Walk.begin(root, "plan.json", refactoring);
        write("quay/A.java", "mine");
        assertThatThrownBy(walk::write).isInstanceOf(Walk.Disturbed.class).hasMessageContaining("quay/A.java is neither");
        assertThat(read("quay/A.java")).isEqualTo("mine");
        assertThat(root.resolve("quay/deep/New.java")).doesNotExist();
    }

    @Test
    void aFileThatSomebodyChangedIsNotPutBack() throws Exception {
        Walk.begin(root, "plan.json", refactoring).write();
        write("quay/A.java", "mine");
        assertThatThrownBy(() -> unfinished().rollBack()).isInstanceOf(Walk.Disturbed.class);
        assertThat(read("quay/A.java")).isEqualTo("mine");
        assertThat(read("quay/deep/New.java")).as("nothing is changed then").isEqualTo("new");
    }

    @Test
    void filesKeepTheirMarkAndEncoding() throws Exception {
        Files.write(root.resolve("quay/A.java"), "\uFEFFa0\r\n".getBytes(StandardCharsets.UTF_8));
        Walk.begin(root, "plan.json", refactoring).write();
        assertThat(Files.readAllBytes(root.resolve("quay/A.java"))).isEqualTo("\uFEFFa1\r\n".getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void aNewFileThatIsThereAlreadyIsNotOverwritten() throws Exception {
        Files.createDirectories(root.resolve("quay/deep"));
        write("quay/deep/New.java", "somebody's");
        assertThatThrownBy(() -> Walk.begin(root, "plan.json", refactoring).write()).isInstanceOf(Walk.Disturbed.class);
        assertThat(read("quay/deep/New.java")).isEqualTo("somebody's");
    }

    @Test
    void allStagesTogetherAreOneDiff() {
        assertThat(refactoring.diff()).contains("-a0", "+a2", "deleted file mode", "+new").doesNotContain("a1");
        assertThat(refactoring.diff(1)).contains("-a1", "+a2").doesNotContain("+new");
        assertThat(refactoring.after("quay/A.java", 1)).contains("a1\r\n");
    }
}
