package driftwood.refactor.java.recipe.twin;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.refactor.java.Attributed;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Whether one routine does all that another does, and what it does around that. */
class WrappingTest {
    private static final String HORN = """
            class Horn {
                int blown;
                String plain(String text, int times) {
                    %s
                }
                String more(String text, int times) {
                    %s
                }
            }
            """;

    private static Optional<String> around(String plain, String more) {
        Attributed given = Attributed.of(HORN.formatted(plain, more));
        return new Wrapping(given.workspace(), given.routine("Horn#plain(String,int)"), given.routine("Horn#more(String,int)")).around("wrapped");
    }

    @ParameterizedTest(name = "{1}")
    @CsvSource(delimiter = '|', textBlock = """
            return text.trim();                              | return "<" + text.trim() + ">";                                | return "<" + wrapped.more(text, times) + ">";
            return text;                                     | return "<" + text + ">";                                       | return "<" + wrapped.more(text, times) + ">";
            return text + times;                             | blown++; return (text + times).trim();                         | blown++; return wrapped.more(text, times).trim();
            int at = times / 2; return text.substring(at);   | int at = times / 2; return "!" + text.substring(at);           | return "!" + wrapped.more(text, times);
            int at = times / 2; return text.substring(at);   | blown++; int at = times / 2; return text.substring(at) + blown; | blown++; return wrapped.more(text, times) + blown;
            """)
    void whatIsDoneAroundStays(String plain, String more, String body) {
        assertThat(around(plain, more)).map(each -> each.replaceAll("\\s+", " ")).contains(body);
    }

    @ParameterizedTest(name = "{1}")
    @CsvSource(delimiter = '|', textBlock = """
            return text.trim();                            | return text.strip();                                                | another routine
            return text;                                   | return text + text.length();                                        | it is used twice
            return text + times;                           | times++; return "<" + (text + times);                               | a parameter is another one
            int at = times / 2; return text.substring(at); | int at = times / 3; return "!" + text.substring(at);                | it begins with something else
            int at = times / 2; return text.substring(at); | int at = times / 2; return text.trim() + text.substring(at);        | something acts before the result
            if (times > 2) { return "many"; } return text; | blown++; if (times > 2) { return "many"; } return "!" + text;       | it leaves in two places
            return text.trim();                            | String all = text.trim(); all += text.trim(); return all;           | it does it twice
            """)
    void whatDoesSomethingElseWrapsNothing(String plain, String more, String why) {
        assertThat(around(plain, more)).as(why).isEmpty();
    }

    @Test
    void whatIsDoneForItsEffectIsCalledInItsPlace() {
        Attributed given = Attributed.of("""
                class Bell {
                    int rung;
                    void plain(StringBuilder out) {
                        out.append("ding");
                        rung++;
                    }
                    void more(StringBuilder out) {
                        out.append("(");
                        out.append("ding");
                        rung++;
                        // and again
                        out.append(")");
                    }
                    void other(StringBuilder out) {
                        out.append("ding");
                        out.append(")");
                        rung++;
                    }
                    void nothing(StringBuilder out) {
                    }
                }
                """);
        String symbol = "Bell#%s(StringBuilder)";
        Wrapping wrapping = new Wrapping(given.workspace(), given.routine(symbol.formatted("plain")), given.routine(symbol.formatted("more")));
        assertThat(wrapping.around("inner")).contains("out.append(\"(\");\ninner.more(out);\nout.append(\")\");");
        assertThat(new Wrapping(given.workspace(), given.routine(symbol.formatted("plain")), given.routine(symbol.formatted("other"))).around("inner")).isEmpty();
        assertThat(new Wrapping(given.workspace(), given.routine(symbol.formatted("nothing")), given.routine(symbol.formatted("more"))).around("inner")).isEmpty();
    }
}
