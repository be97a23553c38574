package driftwood.refactor.java.ground;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Code that is put together and compared. */
class CodeTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "int a = 1;|int  a=1 ;|true", "say(\"a b\");|say(\"ab\");|false", "say('\\'', \" \");|say('\\'' ,\" \");|true", "say(\"\\\" x\");|say(\"\\\"x\");|false",
        "say(\"a\", \"b c\");|say(\"a\",\"b c\");|true", "say(' ');|say('');|false"})
    void layoutIsNoDifferenceAndLiteralsAre(String one, String other, boolean same) {
        assertThat(Code.compact(one).equals(Code.compact(other))).isEqualTo(same);
    }

    @Test
    void blanksOfTextBlocksStay() {
        assertThat(Code.compact("a(\"\"\"\n  x \"y\"\n  \"\"\" );")).isEqualTo("a(\"\"\"\n  x \"y\"\n  \"\"\");");
    }

    @Test
    void bodiesAndBlocks() {
        assertThat(Code.block("")).isEqualTo(" {\n}");
        assertThat(Code.block("a();\nb();")).isEqualTo(" {\n    a();\n    b();\n}");
        assertThat(Code.deeper("a\nb")).isEqualTo("a\n    b");
    }
}
