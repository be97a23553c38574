package driftwood.smell.detect;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.scan.Scan;
import driftwood.smell.Finding;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What reaches outside by the project's own static helpers, however many lie between, reaches outside. */
class HelpersTest {
    private static final String DESK = """
            class Desk {
                private final Ledger ledger = new Ledger();
                private int asked;
                int sum(String name) { asked++; return ledger.read(name) + asked; }
                int twice(String name) { asked += 2; return ledger.read(name) * 2; }
            }
            """;
    @TempDir
    Path root;

    private List<String> found(String helpers, String reading) throws Exception {
        Files.writeString(root.resolve("Desk.java"), DESK);
        Files.writeString(root.resolve("Ledger.java"), "class Ledger {\n    private int seen;\n    int read(String name) throws RuntimeException { seen++; return " + reading + "; }\n    int seen() { return seen; }\n}\n");
        Files.writeString(root.resolve("Texts.java"), "import java.nio.file.Files;\nimport java.nio.file.Path;\n" + helpers + "\n");
        return new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root)).findings().stream().map(Finding::smell).filter("hard-coded-instantiation"::equals).toList();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        // helpers | what the collaborator does | how many
        "class Texts { static int size(String n) { try { return Files.readString(Path.of(n)).length(); } catch (java.io.IOException e) { return 0; } } }|Texts.size(name)|1",
        "class Texts { static int size(String n) { return whole(n).length(); } static String whole(String n) { try { return Files.readString(Path.of(n)); } catch (java.io.IOException e) { return n; } } }|Texts.size(name)|1",
        "class Texts { static int size(String n) { return n.length(); } static String whole(String n) { try { return Files.readString(Path.of(n)); } catch (java.io.IOException e) { return n; } } }|Texts.size(name)|0",
        // by an object of its own, by what an abstract class does, by five others, by one that somebody else hands in
        "class Texts { static int size(String n) { return new Texts().whole(n).length(); } String whole(String n) { try { return Files.readString(Path.of(n)); } catch (java.io.IOException e) { return n; } } }|Texts.size(name)|1",
        "abstract class Texts { static Texts all() { return null; } abstract String open(String n); int length(String n) { return open(n).length(); } static int size(String n) { return all().length(n); } } class Disk extends Texts { String open(String n) { try { return Files.readString(Path.of(n)); } catch (java.io.IOException e) { return n; } } }|Texts.size(name)|1",
        "class Texts { static int size(String n) { return a(n); } static int a(String n) { return b(n); } static int b(String n) { return c(n); } static int c(String n) { return d(n); } static int d(String n) { return whole(n).length(); } static String whole(String n) { try { return Files.readString(Path.of(n)); } catch (java.io.IOException e) { return n; } } }|Texts.size(name)|0",
        "class Texts { static int size(String n) { return n.length(); } }|Texts.size(name)|0", "class Texts { }|name.length()|0"})
    void byHelpersOfHelpers(String helpers, String reading, int count) throws Exception {
        assertThat(found(helpers, reading)).hasSize(count);
    }
}
