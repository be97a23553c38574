package driftwood.read.java;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlainCommentsTest {

    /** Line breaks are written as a bar. */
    @ParameterizedTest
    @CsvSource(delimiter = '~', value = {
        "/** Moors. */|class A { }~/*  Moors. */|class A { }",
        "class A {|    /**|     * Moors.|     */|}~class A {|    /* |     * Moors.|     */|}",
        "class A { String s = \"/** no */\"; }~class A { String s = \"/** no */\"; }",
        "/**/|class A { }~/**/|class A { }",
        "int a; /** behind code */~int a; /** behind code */",
        "/* plain */~/* plain */"})
    void onlyCommentsThatBeginALineBecomePlain(String before, String after) {
        assertThat(PlainComments.in(before.replace('|', '\n'))).isEqualTo(after.replace('|', '\n'))
                .hasSameSizeAs(before);
    }

    @org.junit.jupiter.api.Test
    void aFileWithATextBlockIsLeftAlone() {
        String text = "/** Moors. */\nclass A { String s = \"\"\"\n  /** no */\n  \"\"\"; }";
        assertThat(PlainComments.in(text)).isEqualTo(text);
    }
}
