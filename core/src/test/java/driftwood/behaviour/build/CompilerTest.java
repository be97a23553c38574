package driftwood.behaviour.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.Given;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class CompilerTest {
    @TempDir
    Path root;

    @Test
    void classesComeIntoTheTargetAndOldOnesGo() throws Exception {
        Path a = Given.write(root.resolve("src/A.java"), "package quay; class A { int f(int n) { return n; } }");
        Path target = root.resolve("out");
        Given.write(target.resolve("quay/Old.class"), "old");
        Compiler.compile(root, List.of(a), List.of(), target);
        assertThat(target.resolve("quay/A.class")).isRegularFile();
        assertThat(target.resolve("quay/Old.class")).doesNotExist();
    }

    @Test
    void errorsAreToldWithFileAndLineAndTheTargetIsEmpty() {
        Path a = Given.write(root.resolve("src/A.java"), "class A {\n    Missing one;\n    Missing two;\n}\n");
        Path target = root.resolve("out");
        assertThatThrownBy(() -> Compiler.compile(root, List.of(a), List.of(), target)).isInstanceOf(Compiler.DoesNotCompile.class)
                .hasMessageContaining("src/A.java:2: cannot find symbol, symbol: class Missing").hasMessageContaining("src/A.java:3:");
        assertThat(target).isEmptyDirectory();
    }

    @Test
    void manyErrorsAreCut() {
        Path a = Given.write(root.resolve("A.java"), "class A { " + "Missing m%d; ".repeat(9).formatted(1, 2, 3, 4, 5, 6, 7, 8, 9) + "}");
        assertThatThrownBy(() -> Compiler.compile(root, List.of(a), List.of(), root.resolve("out"))).hasMessageContaining("and 4 errors more");
    }

    @Test
    void theClassPathIsUsed() throws Exception {
        Path a = Given.write(root.resolve("lib/A.java"), "package lib; public class A { }");
        Compiler.compile(root, List.of(a), List.of(), root.resolve("libs"));
        Path b = Given.write(root.resolve("src/B.java"), "class B extends lib.A { }");
        Compiler.compile(root, List.of(b), List.of(root.resolve("libs")), root.resolve("out"));
        assertThat(root.resolve("out/B.class")).isRegularFile();
    }
}
