package driftwood.refactor.java.ground;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.java.Attributed;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What may be worked out once more, or for nothing. */
class PurityTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        // what it is | may act at all | may do more than make a value
        "1 + 2|false|false", "\"a\" + COUNT|false|false", "new java.util.ArrayList<String>()|true|false", "java.util.List.of(1, 2)|true|false",
        "java.nio.charset.StandardCharsets.UTF_8.name()|true|false", "COUNT++|true|true", "new Plain(3)|true|false", "new Counting()|true|true", "new Busy()|true|true",
        "next()|true|true", "java.util.concurrent.Executors.newFixedThreadPool(2)|true|true", "System.nanoTime()|true|true", "new Thread()|true|true",
        "(java.util.function.IntSupplier) () -> next()|false|false", "new Implicit()|true|false", "new java.io.File(\"a\")|true|true"})
    void expressions(String value, boolean acts, boolean outside) {
        Attributed given = Attributed.of("""
                class Quay {
                    static int COUNT;
                    Object value = %s;
                    static int next() { return ++COUNT; }
                }
                class Plain { final int a; Plain(int a) { this.a = a; } }
                class Implicit { int a = 3; }
                class Counting { Counting() { Quay.next(); } }
                class Busy { int a = Quay.next(); }
                """.formatted(value));
        TypeElement quay = given.workspace().type("Quay");
        Element field = quay.getEnclosedElements().stream().filter(each -> each.getSimpleName().contentEquals("value")).findFirst().orElseThrow();
        TreePath declared = given.workspace().path(field).orElseThrow();
        TreePath initial = new TreePath(declared, ((VariableTree) declared.getLeaf()).getInitializer());
        assertThat(Purity.mayAct(initial)).isEqualTo(acts);
        assertThat(Purity.mayActOutside(given.workspace(), initial)).isEqualTo(outside);
    }
}
