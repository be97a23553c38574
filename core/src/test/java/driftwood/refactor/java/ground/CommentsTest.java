package driftwood.refactor.java.ground;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.refactor.java.Attributed;
import org.junit.jupiter.api.Test;

/** What doc comments say of parameters that move. */
class CommentsTest {
    private static final String DOC = """
            /**
             * What a stay costs.
             *
             * @param vessel its name
             * @param nights how many,
             *               the last one too
             * @param rate   {@code 2} in winter
             * @return cents
             */
            """;

    @Test
    void aParameterIsToldOnOneLine() {
        assertThat(Comments.ofParameter(DOC, "vessel")).isEqualTo("its name");
        assertThat(Comments.ofParameter(DOC, "nights")).isEqualTo("how many, the last one too");
        assertThat(Comments.ofParameter(DOC, "rate")).isEqualTo("{@code 2} in winter");
        assertThat(Comments.ofParameter(DOC, "night")).isEmpty();
        assertThat(Comments.ofParameter("/** @param a one */", "a")).isEqualTo("one");
    }

    @Test
    void whatIsSaidOfItGoesWithAllItsLines() {
        assertThat(Comments.without(DOC, "nights")).isEqualTo("""
                /**
                 * What a stay costs.
                 *
                 * @param vessel its name
                 * @param rate   {@code 2} in winter
                 * @return cents
                 */
                """);
    }

    @Test
    void aCommentThatSaidNothingElseGoes() {
        assertThat(Comments.without("/** @param a one */\n", "a")).isEmpty();
        assertThat(Comments.without("/**\n * @param a one\n */\n", "a")).isEmpty();
        assertThat(Comments.without("// nothing\n", "a")).isEqualTo("// nothing\n");
    }

    @Test
    void theDocCommentOfADeclarationWithoutItsIndentation() {
        Attributed given = Attributed.of("class Quay {\n    // a mark\n\n    /**\n     * Moors.\n     *\n     * @param ship   which\n     */\n    void moor(String ship) { }\n\n    // aside\n    void leave() { }\n}");
        assertThat(Comments.doc(given.workspace(), given.workspace().path(given.routine("Quay#moor(String)")).orElseThrow())).isEqualTo("/**\n * Moors.\n *\n * @param ship   which\n */\n");
        assertThat(Comments.doc(given.workspace(), given.workspace().path(given.routine("Quay#leave()")).orElseThrow())).isEmpty();
    }
}
