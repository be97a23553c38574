package driftwood.pattern;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.pattern.Answer.Sketch;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SketchTest {
    private static final List<String> FILE = List.of("class A {", "    void f() {", "        old();", "        older();", "    }", "}");

    @Test
    void replacedLinesKeepTheirIndentation() {
        Sketch sketch = new Edit("A.java", FILE).replace(3, 4, List.of("fresh();")).sketch();
        assertThat(sketch.after()).isEqualTo("class A {\n    void f() {\n        fresh();\n    }\n}");
        assertThat(sketch.before()).isEqualTo(String.join("\n", FILE));
    }

    @Test
    void whatIsInsertedStandsBeforeTheClosingBrace() {
        assertThat(new Edit("A.java", FILE).insertAtEnd(6, List.of("int g() {", "    return 1;", "}")).sketch().after())
                .endsWith("    }\n\n    int g() {\n        return 1;\n    }\n}");
    }

    @Test
    void linesThatAreNotThereChangeNothing() {
        assertThat(new Edit("A.java", FILE).replace(99, 99, List.of("x")).insertAtEnd(0, List.of("y")).sketch().after())
                .isEqualTo(String.join("\n", FILE));
    }

    @ParameterizedTest(name = "{0} becomes {1}")
    @CsvSource(delimiter = '|', value = {"TUG|Tug", "FIRST_CLASS|FirstClass", "\"first-class\"|FirstClass", "heavyLoad|HeavyLoad", "4|Case4", "\"\"|Case"})
    void labelsBecomePartsOfNames(String label, String name) {
        assertThat(Words.ofLabel(label)).isEqualTo(name);
    }

    @ParameterizedTest
    @CsvSource({"quote, Quote", "Quote, Quote", "q, Q"})
    void wordsBeginLarge(String word, String large) {
        assertThat(Words.upper(word)).isEqualTo(large);
        assertThat(Words.lower(large)).startsWith(large.substring(0, 1).toLowerCase());
    }
}
