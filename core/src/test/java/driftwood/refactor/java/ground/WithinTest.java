package driftwood.refactor.java.ground;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.refactor.java.Attributed;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What names become in an object that stands within the type. */
class WithinTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "depth++;|depth++;", "this.depth++;|Quay.this.depth++;", "add(this);|add(Quay.this);", "say(toString());|say(Quay.this.toString());",
        "answer(1);|Quay.this.answer(1);", "count(1);|Quay.count(1);", "other.answer(1);|other.answer(1);", "Runnable r = () -> add(this);|Runnable r = () -> add(Quay.this);",
        "new Object() { public String toString() { return \"\" + this.hashCode() + hashCode(); } };|new Object() { public String toString() { return \"\" + this.hashCode() + hashCode(); } };",
        "int answer = 3; say(\"\" + answer);|int answer = 3; say(\"\" + answer);", "java.util.function.IntConsumer c = this::answer;|java.util.function.IntConsumer c = Quay.this::answer;"})
    void code(String before, String after) {
        Attributed given = Attributed.of("""
                class Quay {
                    int depth;
                    void add(Object what) { }
                    void say(String what) { }
                    void answer(int what) { }
                    static void count(int what) { }
                    void all(Quay other) { %s }
                }
                """.formatted(before));
        Within within = new Within(given.workspace(), given.workspace().type("Quay"), name -> name.equals("answer") || name.equals("count"));
        assertThat(new Rewriting(given.workspace(), within::anew).of(given.body("Quay#all(Quay)"))).isEqualTo("{ " + after + " }");
    }
}
