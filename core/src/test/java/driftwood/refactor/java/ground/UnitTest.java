package driftwood.refactor.java.ground;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.refactor.java.Attributed;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The manner of a file: its line ends, its indentation, where its lines are. */
class UnitTest {

    private static Unit of(String text) {
        return new Unit("Quay.java", text.replace("\\n", "\n").replace("\\r", "\r").replace("\\t", "\t"), null);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "class A {\\n    int a;\\n}|4", "class A {\\n  int a;\\n}|2", "class A {\\n\\tint a;\\n}|-1", "class A { // so\\n   int a;\\n}|3", "class A {\\r\\n\\r\\n  int a;\\r\\n}|2", "class A { }|4", "/**\\n * class B {\\n * }\\n */\\nclass A {\\n    int a;\\n}|4"})
    void oneLevelOfIndentation(String text, int blanks) {
        assertThat(of(text).indent()).isEqualTo(blanks < 0 ? "\t" : " ".repeat(blanks));
    }

    @ParameterizedTest
    @CsvSource({"class A {\\r\\n}, true", "class A {\\n}, false", "class A { }, false"})
    void lineEnds(String text, boolean carriage) {
        assertThat(of(text).newLine()).isEqualTo(carriage ? "\r\n" : "\n");
    }

    @Test
    void linesAreCountedFromOne() {
        Unit unit = of("a\nbc\n\nd");
        assertThat(unit.line(0)).isEqualTo(1);
        assertThat(unit.line(3)).isEqualTo(2);
        assertThat(unit.line(6)).isEqualTo(4);
        assertThat(unit.lineStart(3)).isEqualTo(2);
        assertThat(unit.lineEnd(3)).isEqualTo(5);
        assertThat(unit.lineEnd(6)).isEqualTo(7);
    }

    @Test
    void codeTakesTheMannerOfTheFile() {
        assertThat(of("class A {\n\tint a;\n}").styled("if (x) {\n    a();\n\n        b();\n}", "\t")).isEqualTo("\tif (x) {\n\t\ta();\n\n\t\t\tb();\n\t}");
        assertThat(of("class A {\r\n  int a;\r\n}").styled("if (x) {\n    a(1,\n      2);\n}", "  ")).isEqualTo("  if (x) {\r\n    a(1,\r\n      2);\r\n  }");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "void b() {\\n}                              | void b()\\n{\\n}",
        "if (x) {\\n    b();\\n} else {\\n    c();\\n}  | if (x)\\n{\\n    b();\\n}\\nelse\\n{\\n    c();\\n}",
        "enum Kind {\\n    TUG {\\n    }\\n}            | enum Kind\\n{\\n    TUG\\n    {\\n    }\\n}",
        "List<String> names = of(each -> {\\n});     | List<String> names = of(each -> {\\n});",
        "int[] limits = {\\n    3\\n};               | int[] limits = {\\n    3\\n};",
        "record B(\\n        int c,\\n        int d) {\\n}   | record B(\\n        int c,\\n        int d)\\n{\\n}",
        "    void b(int c,\\n            D<E> f) throws G {\\n    } | void b(int c,\\n            D<E> f) throws G\\n{\\n    }",
        "// begins here {\\nb();                     | // begins here {\\nb();"})
    void bracesStandAloneWhereTheyDoInTheFile(String code, String styled) {
        String taken = code.replace("\\n", "\n");
        assertThat(of("class A\n{\n    int a;\n}").styled(taken, "")).isEqualTo(styled.replace("\\n", "\n"));
        assertThat(of("class A {\n    int a;\n}").styled(taken, "")).isEqualTo(taken);
    }

    @Test
    void codeOfTheFileIsTakenWithoutItsManner() {
        Unit unit = of("class A {\n  void a() {\n    if (x) {\n      b();\n    }\n  }\n}");
        int from = unit.text().indexOf("if");
        assertThat(unit.bare(from, unit.text().indexOf("    }\n  }") + 5)).isEqualTo("if (x) {\n    b();\n}");
    }

    @Test
    void takenAndStyledItIsAsBefore() {
        String block = "if (x) {\n\t\t\tb(1,\n\t\t\t\t\t2);\n\t\t}";
        Unit unit = of("class A {\n\tvoid a() {\n\t\t" + block + "\n\t}\n}");
        int from = unit.text().indexOf("if");
        assertThat(unit.styled(unit.bare(from, from + block.length()), "\t\t")).isEqualTo("\t\t" + block);
    }

    @Test
    void aChainStaysOnItsLineWhereThereIsRoom() {
        Unit unit = new Unit("Quay.java", "class Quay {\n    Object ship = HERE;\n}\n", null);
        int at = unit.text().indexOf("HERE");
        assertThat(unit.chain(at, "Ship.builder(1)", List.of(".flag(2)", ".crew(3)", ".build()"))).isEqualTo("Ship.builder(1).flag(2).crew(3).build()");
        String crew = ".crew(" + "a".repeat(90) + ")";
        assertThat(unit.chain(at, "Ship.builder(1)", List.of(".flag(2)", crew, ".build()"))).isEqualTo("Ship.builder(1)\n            .flag(2)\n            " + crew + "\n            .build()");
        assertThat(unit.chain(at, "Ship.builder(1)", List.of(crew, ".build()"))).as("two steps are no chain").doesNotContain("\n");
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(delimiter = '|', textBlock = """
            class A { void a(final int b, final int c) { } }                       | true
            class A { void a(final int b, int c) { } }                             | false
            class A { void a(final int b) { } void c(final int d, int e) { } }     | true
            class A { void a() { final int b = 1; } }                              | false
            interface A { void a(int b, int c); default void d(final int e) { } }  | true
            """)
    void parametersAreFinalWhereMostAre(String source, boolean fixed) {
        Attributed given = Attributed.of(source);
        assertThat(given.workspace().unit(given.workspace().path(given.workspace().type("A")).orElseThrow()).hasFinalParameters()).isEqualTo(fixed);
    }
}
