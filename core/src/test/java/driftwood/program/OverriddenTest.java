package driftwood.program;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.scan.Scan;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which of several overloads of a parent a routine overrides. */
class OverriddenTest {
    @TempDir
    Path root;

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        // what the parent declares | what the child overrides | its first declaration
        "abstract int find(String name); abstract int find(String... names);|int find(String name)|quay.Roster#find(String)",
        "abstract int find(String... names); abstract int find(String name);|int find(String name)|quay.Roster#find(String)",
        "abstract int find(String name); abstract int find(String... names);|int find(String... names)|quay.Roster#find(String[])",
        "abstract int find(String name); abstract int find(Integer name);|int find(String name)|quay.Roster#find(String)",
        "abstract int find(Integer name); abstract int find(Object name);|int find(Integer name)|quay.Roster#find(Integer)",
        "abstract int find(String... names);|int find(String name)|quay.Short#find(String)",
        "abstract int find(java.util.List<String> names);|int find(List<String> names)|quay.Roster#find(List)",
        "private int find(String name) { return 1; }|int find(String name)|quay.Short#find(String)"})
    void theFirstDeclaration(String parent, String child, String first) throws Exception {
        Files.writeString(root.resolve("Roster.java"), "package quay;\nabstract class Roster {\n" + parent + "\n}\n");
        Files.writeString(root.resolve("Short.java"), "package quay;\nimport java.util.List;\nclass Short extends Roster {\n    " + child + " { return 2; }\n}\n");
        Program program = new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root)).program();
        RoutineOutline own = program.type("quay.Short").orElseThrow().routines().get(0);
        assertThat(program.rootOf(own).symbol()).isEqualTo(first);
    }
}
