package driftwood.smell.see.shape;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What counts as the same text, literals aside. */
class TokensTest {

    private static Tokens tokens(String text) {
        return new Tokens(text, 0, text.length(), Map.of("ship", "p0", "vessel", "p0"));
    }

    private static boolean alike(String one, String other) {
        return tokens(one).outline() == tokens(other).outline();
    }

    @ParameterizedTest(name = "{0} ~ {1}: {2}")
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            return "a";                        | return "b";                          | true
            return 1 + 2;                      | return 300 + 0x1f;                   | true
            return true;                       | return false;                        | true
            return ship.name();                | return vessel.name();                | true
            return ship.name();                | return pilot.name();                 | false
            f('a', 2)                          | f('bc', 19)                          | true
            f(/* one */ 1)                     | f(2)                                 | true
            f(1); // one                       | f(1);                                | true
            return /^[a-z ]+$/.test(text);     | return /^[A-Z]{2}-\\d+$/i.test(text); | true
            return /[/]x/.test(text);          | return /y/.test(text);               | true
            x = /a b/                          | x = /c/                              | true
            if (/tug/.test(a)) {}              | if (/ferry/.test(a)) {}              | true
            when /tug/ then 1                  | when /yacht/ then 1                  | true
            return a / b / c;                  | return a / d / c;                    | false
            return (a) / b / c;                | return (a) / d / c;                  | false
            return rows[0] / b / c;            | return rows[0] / d / c;              | false
            return 4 / b / c;                  | return 4 / d / c;                    | false
            return `name: ${this.n}`;          | return `plate: ${this.n}!`;          | true
            return `name: ${this.n}`;          | return `name: ${this.m}`;            | false
            return `a`;                        | return `b c`;                        | true
            return `a ${f(`b ${x}`)}`;         | return `c ${f(`d ${x}`)}`;           | true
            return `a ${f(`b ${x}`)}`;         | return `a ${f(`b ${y}`)}`;           | false
            """)
    void sameButForLiterals(String one, String other, boolean same) {
        assertThat(alike(one, other)).isEqualTo(same);
    }

    @Test
    void literalsCountInWhatIsExact() {
        assertThat(tokens("return \"a\";").exact()).isNotEqualTo(tokens("return \"b\";").exact());
        assertThat(tokens("x = /a/").exact()).isNotEqualTo(tokens("x = /b/").exact());
        assertThat(tokens("return `a ${n}`").exact()).isNotEqualTo(tokens("return `b ${n}`").exact());
        assertThat(tokens("return  `a ${n}` ;").exact()).isEqualTo(tokens("return `a ${ n }`;").exact());
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            return "never ended
            return `never ended ${a
            return /never ended
            return 'a\\
            /* never ended
            ${
            """)
    void whatNeverEndsIsReadToTheEnd(String text) {
        assertThat(tokens(text).outline()).isEqualTo(tokens(text).outline());
    }
}
