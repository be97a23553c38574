package driftwood.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.Given;
import java.nio.file.Files;
import java.nio.file.Path;
import org.eclipse.jgit.api.Git;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ChangesTest {
    @TempDir
    Path root;

    private void commit(Git git, String message) throws Exception {
        git.add().addFilepattern(".").call();
        git.commit().setMessage(message).setAuthor("Clerk", "clerk@kelp.quay").setCommitter("Clerk", "clerk@kelp.quay")
                .setSign(false).call();
    }

    private Git history() throws Exception {
        Git git = Git.init().setDirectory(root.toFile()).call();
        Given.write(root.resolve("src/A.java"), "class A { }");
        Given.write(root.resolve("src/B.java"), "class B { }");
        Given.write(root.resolve("docs/C.java"), "class C { }");
        commit(git, "begin");
        Given.write(root.resolve("src/A.java"), "class A { int n; }");
        commit(git, "change A");
        return git;
    }

    @Test
    void committedAndUncommittedAndNewFilesCount() throws Exception {
        try (Git git = history()) {
            Given.write(root.resolve("src/D.java"), "class D { }");
            Files.delete(root.resolve("src/B.java"));
            Given.write(root.resolve("docs/C.java"), "class C { int n; }");
            assertThat(Changes.since(root, "HEAD~1")).containsExactly("docs/C.java", "src/A.java", "src/D.java");
            assertThat(Changes.since(root, "HEAD")).containsExactly("docs/C.java", "src/D.java");
            assertThat(Changes.since(root.resolve("src"), "HEAD~1")).containsExactly("A.java", "D.java");
        }
    }

    @Test
    void whatHistoryCannotAnswerIsTold() throws Exception {
        assertThatThrownBy(() -> Changes.since(root, "HEAD")).isInstanceOf(Changes.NoAnswer.class).hasMessageEndingWith("is not under git");
        try (Git git = history()) {
            assertThatThrownBy(() -> Changes.since(root, "nowhere")).hasMessageStartingWith("git knows no revision 'nowhere'");
            assertThatThrownBy(() -> Changes.since(root, "a..b^{")).isInstanceOf(Changes.NoAnswer.class);
        }
    }
}
