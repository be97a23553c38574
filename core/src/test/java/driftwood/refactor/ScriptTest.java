package driftwood.refactor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Edits in stages, all told by offsets of the text as it is before the first. */
class ScriptTest {
    private static final String TEXT = "one two three four";
    private final Script script = new Script(Map.of("a", TEXT, "b", "other"));

    private List<String> texts() {
        return script.stages().stream().map(each -> each.files().get("a").orElse("(gone)")).toList();
    }

    @Test
    void eachStageKeepsWhatThoseBeforeItDid() {
        script.stage("first", List.of());
        script.replace("a", 0, 3, "1");
        script.stage("second", List.of());
        script.replace("a", 8, 13, "3");
        assertThat(texts()).containsExactly("1 two three four", "1 two 3 four");
    }

    @Test
    void aLaterEditSwallowsThoseThatLieInIt() {
        script.stage("first", List.of());
        script.replace("a", 4, 7, "2");
        script.stage("second", List.of());
        script.replace("a", 0, 13, "all");
        assertThat(texts()).containsExactly("one 2 three four", "all four");
    }

    @Test
    void whatIsInsertedAtTheEdgeOfALaterEditStays() {
        script.stage("first", List.of());
        script.insert("a", 4, "<");
        script.insert("a", 7, ">");
        script.stage("second", List.of());
        script.replace("a", 4, 7, "");
        assertThat(texts()).containsExactly("one <two> three four", "one <> three four");
    }

    @Test
    void anEditThatCutsThroughAnotherIsRefused() {
        script.stage("first", List.of());
        script.replace("a", 4, 13, "x");
        assertThatThrownBy(() -> script.replace("a", 8, 18, "y")).isInstanceOf(Refused.class).hasMessage("two changes of a meet at one place");
        assertThatThrownBy(() -> script.insert("a", 8, "y")).isInstanceOf(Refused.class);
    }

    @Test
    void textsInsertedAtOnePlaceStandInTheOrderOfTheirRanks() {
        script.stage("first", List.of());
        script.insert("a", 3, "}", "2");
        script.insert("a", 3, "{", "0");
        script.stage("second", List.of());
        script.insert("a", 3, "x", "1");
        script.insert("a", 3, "!");
        assertThat(texts()).containsExactly("one{} two three four", "one{x}! two three four");
    }

    @Test
    void aStretchIsToldWithTheEditsThatLieInIt() {
        script.stage("first", List.of());
        script.replace("a", 4, 7, "2");
        script.insert("a", 4, "<");
        script.insert("a", 13, "3");
        assertThat(script.text("a", 0, 13)).isEqualTo("one <2 three");
        assertThat(script.text("a", 4, 7)).isEqualTo("2");
        assertThat(script.text("a", 8, 18)).isEqualTo("three3 four");
    }

    @Test
    void filesComeAndGo() {
        script.stage("first", List.of());
        script.write("c", "new");
        script.stage("second", List.of());
        script.remove("b");
        assertThat(script.stages()).extracting(Stage::files).containsExactly(Map.of("c", Optional.of("new")), Map.of("b", Optional.empty()));
    }

    @Test
    void stagesThatChangeNothingAreLeftOut() {
        script.stage("nothing", List.of());
        script.stage("the same", List.of());
        script.replace("a", 0, 3, "one");
        script.stage("something", List.of());
        script.replace("a", 0, 3, "1");
        script.stage("nothing again", List.of());
        assertThat(script.stages()).extracting(Stage::does).containsExactly("something");
    }

    @Test
    void aStageSaysThatItIsMeantToChangeTheBehaviour() {
        script.stage("keeps", List.of());
        script.replace("a", 0, 3, "1");
        script.stage("changes", List.of());
        script.replace("a", 4, 7, "2");
        script.meant();
        assertThat(script.stages()).extracting(Stage::meant).containsExactly(false, true);
    }

    /** As two sources, in which comments are in round brackets. */
    private static List<int[]> remarks(String text) {
        List<int[]> found = new ArrayList<>();
        for (int at = text.indexOf('('); at >= 0; at = text.indexOf('(', at + 1)) {
            found.add(new int[] {at, text.indexOf(')', at) + 1});
        }
        return found;
    }

    @ParameterizedTest(name = "{0}, {1} to {2} becomes {3}: {4}")
    @CsvSource(delimiter = '|', nullValues = "none", textBlock = """
            ask; {(first) a; b;} tell;         | 5 | 20 | call;         | ask; call; tell;
            .  {(first) a; (then) b;}          | 3 | 25 | call;         | .  (first).  (then).  call;
            .{a; b;} (behind)                  | 1 | 8  | call;         | .call; (behind)
            .{(first) a;}                      | 1 | 13 | none          | .
            .{(first) a;}                      | 1 | 13 | (first) call; | .(first) call;
            .{(first   line) a;}               | 1 | 20 | (first line) call; | .(first line) call;
            """)
    void commentsStandBeforeWhatReplacesTheirCode(String text, int from, int to, String with, String after) {
        Script lines = new Script(Map.of("a", text.replace('.', '\n')));
        lines.stage("only", List.of());
        lines.replace("a", from, to, with == null ? "" : with);
        lines.keep(ScriptTest::remarks);
        assertThat(lines.stages().get(0).files().get("a").orElseThrow().replace('\n', '.')).isEqualTo(after);
    }

    @Test
    void aCommentThatStandsInAnotherFileAfterwardsIsNotKeptTwice() {
        Script moving = new Script(Map.of("a", "\n{(first) a;}"));
        moving.stage("only", List.of());
        moving.replace("a", 1, 13, "call;");
        moving.write("b", "new {(first) a;}");
        moving.keep(ScriptTest::remarks);
        assertThat(moving.stages().get(0).files().get("a")).contains("\ncall;");
    }

    @Test
    void theLastEditThatSwallowsACommentKeepsIt() {
        Script twice = new Script(Map.of("a", "\n{(first) a;} b;"));
        twice.stage("first", List.of());
        twice.replace("a", 1, 13, "call;");
        twice.stage("second", List.of());
        twice.replace("a", 1, 16, "all;");
        twice.keep(ScriptTest::remarks);
        assertThat(twice.stages()).extracting(each -> each.files().get("a").orElseThrow()).containsExactly("\ncall; b;", "\n(first)\nall;");
    }
}
