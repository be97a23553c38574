package driftwood.smell.clause;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.scan.Scan;
import driftwood.smell.Finding;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;

/** What the catalogue says of one smell, clause by clause: each a small project that has the smell, or has it not. */
abstract class Clauses {
    private final List<Clause> all = new ArrayList<>();

    @TempDir
    Path folder;

    /** A file of a project. */
    record At(String path, String text) {
    }

    private record Clause(String title, boolean smelly, List<At> files) {

        /** Where findings are expected: the lines that end in {@code // <- key-of-the-smell}, or in the same behind a #. */
        List<String> marked(String smell) {
            List<String> marked = new ArrayList<>();
            for (At file : files) {
                List<String> lines = file.text().lines().toList();
                for (int i = 0; i < lines.size(); i++) {
                    if (lines.get(i).matches(".*(//|#) <- " + smell)) {
                        marked.add(file.path() + ":" + (i + 1));
                    }
                }
            }
            marked.sort(null);
            return marked;
        }
    }

    /** A clause that is being written down. @param file the name of its only file */
    final class Draft {
        private final String title;
        private final String file;

        private Draft(String title, String file) {
            this.title = title;
            this.file = file;
        }

        void has(String source) {
            has(at(file, source));
        }

        void has(At... files) {
            all.add(new Clause(title, true, List.of(files)));
        }

        void hasNot(String source) {
            hasNot(at(file, source));
        }

        void hasNot(At... files) {
            all.add(new Clause(title, false, List.of(files)));
        }
    }

    /** Key of the smell. */
    abstract String smell();

    /** Writes all clauses down. */
    abstract void clauses();

    final Draft java(String title) {
        return new Draft("java: " + title, "quay/Quay.java");
    }

    final Draft python(String title) {
        return new Draft("python: " + title, "quay.py");
    }

    final Draft ruby(String title) {
        return new Draft("ruby: " + title, "quay.rb");
    }

    static At at(String path, String text) {
        return new At(path, text);
    }

    @TestFactory
    Stream<DynamicTest> holds() {
        clauses();
        return all.stream().map(each -> DynamicTest.dynamicTest((each.smelly() ? "+ " : "- ") + each.title(), () ->
                judge(each, folder.resolve(Integer.toString(all.indexOf(each))))));
    }

    private void judge(Clause clause, Path root) {
        clause.files().forEach(each -> Given.write(root.resolve(each.path()), each.text()));
        Scan.Result result = new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root));
        assertThat(result.unread()).isEmpty();
        List<String> found = result.findings().stream().filter(each -> each.smell().equals(smell()))
                .map(each -> each.file() + ":" + each.line()).sorted().toList();
        assertThat(found).as("among " + result.findings()).isEqualTo(clause.marked(smell()));
        assertThat(found.isEmpty()).isNotEqualTo(clause.smelly());
    }
}
