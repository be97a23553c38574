package driftwood.read;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.source.Language;
import driftwood.source.SourceFinder;
import driftwood.source.SourceText;
import driftwood.tree.Routine;
import driftwood.tree.Search;
import driftwood.tree.Unit;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.commons.io.FileUtils;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;

/** Small pieces of code in one language, read: bodies of a routine f with parameters v and w, and whole files. */
public abstract class Constructs {
    /** The body of the routine goes where the % stands. */
    private static final Map<String, String> AROUND = Map.of("java", "class Desk { Object f(Object v, Object w) { % } }",
            "python", "class Desk:\n    def f(self, v, w):\n        %\n", "csharp", "class Desk { object f(object v, object w) { % } }",
            "javascript", "class Desk { f(v, w) { % } }", "typescript", "class Desk { f(v: any, w?: string): any { % } }", "php", "<?php class Desk { function f($v, $w) { % } }",
            "ruby", "class Desk\n    def f(v, w)\n        %\n    end\nend\n",
            "kotlin", "class Desk {\n    fun f(v: Any?, w: Any?): Any? {\n        %\n    }\n}\n");
    private static final Map<String, String> FILE = Map.of("java", "Desk.java", "python", "desk.py", "csharp", "Desk.cs",
            "javascript", "desk.js", "typescript", "desk.ts", "php", "Desk.php", "ruby", "desk.rb", "kotlin", "Desk.kt");

    private final String language;
    private final String bodies;
    private final String files;

    /**
     * Two tables.
     *
     * @param bodies each pair of lines: a name and code for the body, and below it the tree
     * @param files  each pair of lines: a name and the code of a file, its lines divided by a written {@code \\n}, and below it what the file declares
     */
    protected Constructs(String language, String bodies, String files) {
        this.language = language;
        this.bodies = bodies;
        this.files = files;
    }

    @TestFactory
    Stream<DynamicTest> expressionsAndStatements() {
        return tests(bodies, code -> body(language, code));
    }

    @TestFactory
    Stream<DynamicTest> declarations() {
        return tests(files, code -> TreeText.of(unit(language, code.replace("\\n", "\n") + "\n")).replaceFirst("^Unit\\(\\[] \\[(.*)]\\)$", "$1"));
    }

    private static Stream<DynamicTest> tests(String rows, java.util.function.UnaryOperator<String> reading) {
        List<String> lines = rows.lines().toList();
        return IntStream.range(0, lines.size() / 2).mapToObj(i -> {
            String[] row = lines.get(2 * i).split(" \\| ", 2);
            return DynamicTest.dynamicTest(row[0], () -> assertThat(reading.apply(row[1])).as(row[1]).isEqualTo(lines.get(2 * i + 1).strip()));
        });
    }

    /** The tree of a body. In the code, {@code ~} begins a new line and {@code >} one that is further in. */
    static String body(String language, String code) {
        String shift = "\n        ";
        String body = code.replace("~>>", shift + "        ").replace("~>", shift + "    ").replace("~", shift);
        Unit unit = unit(language, AROUND.get(language).replace("%", body));
        Routine routine = Search.all(unit, Routine.class).stream().filter(each -> each.name().equals("f")).findFirst().orElseThrow();
        String text = TreeText.of(routine.body().orElseThrow());
        return text.substring(1, text.length() - 1);
    }

    private static Unit unit(String key, String text) {
        Language language = Language.ofKey(key).orElseThrow();
        try {
            Path root = Files.createTempDirectory("driftwood-constructs");
            Path file = Given.write(root.resolve(FILE.get(key)), text);
            List<FileTree> trees = new ArrayList<>();
            new Readers().of(language).read(List.of(SourceText.read(new SourceFinder(root).find(List.of(file)).files().get(0))), trees::add);
            FileUtils.deleteDirectory(root.toFile());
            assertThat(trees.get(0).unread()).as(text).isEmpty();
            return trees.get(0).unit();
        } catch (IOException | SourceText.NotReadable e) {
            throw new UncheckedIOException(new IOException(e));
        }
    }
}
