package driftwood.history;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.smell.Drag;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.eclipse.jgit.api.Git;
import org.eclipse.jgit.lib.PersonIdent;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class HistoryTest {
    private static final Instant START = Instant.parse("2026-01-10T08:00:00Z");
    private static final Duration LONG = Duration.ofSeconds(60);

    @TempDir
    Path root;
    private Git git;
    private int day;

    @BeforeEach
    void begin() throws Exception {
        git = Git.init().setDirectory(root.toFile()).call();
    }

    @AfterEach
    void end() {
        git.close();
    }

    private void commit(String... files) throws Exception {
        commitAt(START.plus(Duration.ofDays(day++)), files);
    }

    private void commitAt(Instant when, String... files) throws Exception {
        for (String file : files) {
            Given.write(root.resolve(file), "class A { int n = " + when.toEpochMilli() + day + "; }");
        }
        git.add().addFilepattern(".").call();
        PersonIdent who = new PersonIdent("Mate", "mate@quay.example", when, ZoneOffset.UTC);
        git.commit().setMessage("change").setAuthor(who).setCommitter(who).setSign(false).call();
    }

    @Test
    void withoutARepositoryThereIsNoHistory(@TempDir Path elsewhere) {
        assertThat(History.of(elsewhere, LONG).isKnown()).isFalse();
    }

    @Test
    void aRepositoryWithoutCommitsHasNoHistory() {
        assertThat(History.of(root, LONG)).isSameAs(History.NONE);
    }

    @Test
    void commitsAreKnownByTheSourceFilesTheyTouched() throws Exception {
        commit("quay/Berth.java", "notes.txt");
        commit("quay/Dues.java");
        commit("readme.txt");
        History history = History.of(root, LONG);
        assertThat(history.size()).isEqualTo(2);
        assertThat(history.touching("quay/Berth.java")).containsExactly(1);
        assertThat(history.touching("notes.txt")).isEmpty();
    }

    @Test
    void pathsAreToldFromTheScannedFolder() throws Exception {
        commit("quay/Berth.java", "other/Dues.java");
        History history = History.of(root.resolve("quay"), LONG);
        assertThat(history.touching("Berth.java")).containsExactly(0);
        assertThat(history.commit(0).files()).containsExactly("Berth.java");
    }

    @Test
    void changesTogetherAreCountedAmongTheLatest() throws Exception {
        commit("A.java", "B.java");
        commit("A.java");
        commit("A.java", "B.java");
        Churn churn = Churn.of(List.of("A.java", "B.java"), History.of(root, LONG));
        assertThat(churn).isEqualTo(new Churn(3, 3, 2, 3, 2));
    }

    @Test
    void onlyTheLastYearIsRecent() throws Exception {
        commitAt(START.minus(Duration.ofDays(800)), "A.java");
        commitAt(START.minus(Duration.ofDays(700)), "A.java");
        commit("B.java");
        assertThat(Churn.of(List.of("A.java"), History.of(root, LONG))).extracting(Churn::touches, Churn::recent)
                .containsExactly(2, 0);
    }

    @Test
    void noTimeLeavesTheRestUnread() throws Exception {
        commit("A.java");
        assertThat(History.of(root, Duration.ZERO)).extracting(History::isCut, History::size).containsExactly(true, 0);
    }

    @Test
    void whatChangesTogetherDragsMoreAndSaysSo() {
        Drag drag = Drag.of(5, 3, 2).build().with(new Churn(9, 6, 4, 6, 3));
        assertThat(drag.value()).isGreaterThan(Drag.of(5, 3, 2).build().value());
        assertThat(drag.reasons().get(0)).isEqualTo("5 places in 3 files, changed together in 4 of the last 6 commits to them");
    }

    @Test
    void codeAtRestDragsLess() {
        Drag drag = Drag.of(1, 1, 2).build().with(new Churn(3, 0, 0, 3, 1));
        assertThat(drag.value()).isLessThan(Drag.of(1, 1, 2).build().value());
        assertThat(drag.reasons()).endsWith("at rest: not changed within a year");
    }

    @Test
    void aFileThatNoCommitTouchedIsWeighedAsBefore() {
        Drag drag = Drag.of(1, 1, 2).build();
        assertThat(drag.with(new Churn(0, 0, 0, 0, 1))).isEqualTo(drag);
    }
}
