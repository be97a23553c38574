package driftwood.refactor.java;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Lines that are written too long are broken at the commas of their longest list, and no others. */
class WideTest {
    private static final String LONG = "    public static Berth withDepthAndLength(final Harbour harbour, final int depthAtLowTide, final int lengthOverAll, final String name) {";
    private static final String BROKEN = """
                public static Berth withDepthAndLength(final Harbour harbour, final int depthAtLowTide, final int lengthOverAll,
                        final String name) {""".indent(4).stripTrailing();

    @Test
    void aNewLineGoesOnWithinTheUsualWidth() {
        assertThat(Wide.within(LONG, "")).isEqualTo(BROKEN);
        assertThat(Wide.within("a\r\n" + LONG + "\r\nb", "")).isEqualTo("a\r\n" + BROKEN.replace("\n", "\r\n") + "\r\nb");
        assertThat(Wide.within(LONG.replace("    ", "\t"), "")).as("tabs").isEqualTo(BROKEN.replace("            ", "\t\t\t").replace("    ", "\t"));
    }

    @Test
    void whatStoodThereBeforeStays() {
        assertThat(Wide.within(LONG, "class A {\n" + LONG + "\n}")).isEqualTo(LONG);
        assertThat(Wide.within("    " + LONG, "class A {\n" + LONG + "\n}")).as("moved").isEqualTo("    " + LONG);
    }

    @Test
    void aFileOfLongLinesIsGivenMoreOfThem() {
        assertThat(Wide.within(LONG, "// " + "x".repeat(140))).isEqualTo(LONG);
    }

    @Test
    void aListThatNeedsThreeLinesGetsThem() {
        String many = "record Voyage(" + "String abcdefghijklmnopqrst, ".repeat(9) + "int last) {";
        assertThat(Wide.within(many, "").lines()).hasSize(3).allMatch(each -> each.length() <= 120).last().asString().endsWith("int last) {");
        assertThat(Wide.within(many, "").replaceAll("\\n *", " ")).isEqualTo(many);
    }

    @Test
    void aListThatWentOnGoesOnWithoutCuttingItsParts() {
        String part = "Berth.withDepth(5, 12), ";
        String line = "            " + part.repeat(6).strip();
        assertThat(Wide.within(line, "")).isEqualTo("            " + part.repeat(4).strip() + "\n            " + part.repeat(2).strip());
        String first = "    Berth[] all = { " + part.repeat(6).strip();
        assertThat(Wide.within(first, "").lines()).allMatch(each -> each.endsWith("12),")).hasSize(2);
    }

    @ParameterizedTest(name = "{0} ...")
    @CsvSource(delimiter = '|', quoteCharacter = '`', textBlock = """
            // quote(one, two)
            * quote(one, two)
            quote("one, two", x)
            Map<String, List<String>> all = quote();
            quote(one)
            """)
    void commentsTextsAndTypesAreNotBroken(String head) {
        String line = "        " + head + " ".repeat(3) + "y".repeat(120);
        assertThat(Wide.within(line, "")).doesNotContain("one,\n").doesNotContain("String,\n");
    }
}
