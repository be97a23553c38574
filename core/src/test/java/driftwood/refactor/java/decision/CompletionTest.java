package driftwood.refactor.java.decision;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.source.tree.BlockTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.java.Attributed;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Whether code goes on behind its last statement, and which checked exceptions leave it. */
class CompletionTest {
    private Attributed given;

    private List<TreePath> code(String statements) {
        given = Attributed.of("class Quay { void all(int turn) throws Exception { while (turn > 0) { " + statements + " } }\nvoid read() throws java.io.IOException { } }");
        TreePath body = given.body("Quay#all(int)");
        TreePath loop = new TreePath(body, ((BlockTree) body.getLeaf()).getStatements().get(0));
        TreePath block = new TreePath(loop, ((com.sun.source.tree.WhileLoopTree) loop.getLeaf()).getStatement());
        return ((BlockTree) block.getLeaf()).getStatements().stream().map(each -> new TreePath(block, each)).toList();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "turn++;|true", "return;|false", "break;|false", "continue;|false", "throw new Exception();|false", "{ return; }|false", "{ }|true", "if (turn > 1) { return; }|true",
        "if (turn > 1) { return; } else { break; }|false", "if (turn > 1) { return; } else { turn--; }|true", "synchronized (this) { return; }|false", "while (true) { turn++; }|false",
        "while (turn > 2) { turn--; }|true", "try { return; } finally { turn++; }|false", "try { read(); return; } catch (Exception e) { turn++; }|true",
        "try { turn++; } finally { return; }|false"})
    void statements(String statements, boolean goesOn) {
        assertThat(Completion.canComplete(code(statements))).isEqualTo(goesOn);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "turn++;|[]", "read();|[java.io.IOException]", "throw new IllegalStateException();|[]", "if (turn > 3) { throw new Exception(); } read();|[java.lang.Exception, java.io.IOException]",
        "Runnable later = () -> { try { read(); } catch (Exception e) { } };|[]", "new java.io.FileReader(\"a\");|[java.io.FileNotFoundException]", "try { read(); } catch (java.io.IOException e) { }|[]",
        "try { read(); } finally { turn++; }|[java.io.IOException]"})
    void checkedExceptionsThatLeave(String statements, String thrown) {
        List<TreePath> code = code(statements);
        assertThat(Thrown.by(given.workspace(), code)).hasToString(thrown);
    }
}
