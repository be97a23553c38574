package driftwood.refactor.java.ground;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.refactor.java.Attributed;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

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

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
            "/** Null where it was not seen. */ | /** An empty Optional where it was not seen. */",
            "/** The pilot, or {@code null}. @param a may be null */ | /** The pilot, or an empty Optional. @param a may be null */",
            "/** Fails if a is null. Returns null if none. */ | /** Fails if a is null. Returns an empty Optional if none. */",
            "/** Null pilots are left out. */ | /** Null pilots are left out. */", "// or null | // or null"})
    void whatIsNullIsSaidAnew(String before, String after) {
        assertThat(Comments.optional(before)).isEqualTo(after);
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

    @Test
    void noEmptyLineIsLeftAtTheEnd() {
        assertThat(Comments.without("/**\n * A quote.\n *\n * @param a one\n */\n", "a")).isEqualTo("/**\n * A quote.\n */\n");
        assertThat(Comments.without("/**\n * A quote.\n *\n */\n", "a")).as("what was so before").isEqualTo("/**\n * A quote.\n *\n */\n");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', quoteCharacter = '`', textBlock = """
            int a; // one                          | // one
            /* one */ int a; /* two */             | /* one */ /* two */
            /** one */ int a;                      | none
            String a = "// none"; // one           | // one
            String a = "\\"// none"; // one       | // one
            char a = '"'; // "one"                 | // "one"
            char a = '\\''; /* one // two */      | /* one // two */
            // one /* two                          | // one /* two
            String a = "http://quay"; int b;       | none
            """)
    void remarksAreAllCommentsThatDocumentNothing(String source, String remarks) {
        String found = Comments.remarks(source).stream().map(each -> source.substring(each[0], each[1])).collect(Collectors.joining(" "));
        assertThat(found.isEmpty() ? "none" : found).isEqualTo(remarks);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            /** @return the pilot, or {@code null} */         | /** @return the pilot, or {@code Optional.empty()} */
            /** @return the pilot, or <code>null</code> */    | /** @return the pilot, or {@code Optional.empty()} */
            /** @return the pilot or null if away */          | /** @return the pilot or an empty Optional if away */
            /** @return null where no pilot is on duty */      | /** @return an empty Optional where no pilot is on duty */
            /** @param a or null @return the pilot */         | /** @param a or null @return the pilot */
            /** Nullable things. */                           | /** Nullable things. */
            /** @param a may be {@code null} */               | /** @param a may be {@code null} */
            """)
    void aDocCommentSaysThatTheResultIsOptional(String before, String after) {
        assertThat(Comments.optional(before)).isEqualTo(after);
    }

    @Test
    void whatADocCommentSaysOfOthersStays() {
        String doc = "/**\n * Never {@code null}.\n *\n * @param a or {@code null}\n * @return the pilot,\n *     or {@code null}\n * @throws B where {@code null} is given\n */\n";
        assertThat(Comments.optional(doc)).isEqualTo(doc.replace("    or {@code null}", "    or {@code Optional.empty()}"));
    }
}
