package driftwood.refactor;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What stands above several members stays when the first of them goes. */
class HeadingsTest {
    @TempDir
    Path root;

    @Test
    void aHeadingIsNoCommentOfTheMemberBelow() throws Exception {
        RecipeCase one = RecipeCase.read(Path.of("src/test/resources/recipes/named-creations-type-parameters.txt"));
        one.write(root);
        List<Stage> stages = one.refactoring(RecipeCase.scan(root)).stages();
        assertThat(stages.get(stages.size() - 1).files().values().toString()).contains("    // Ways to make one\n    // ----------------------------------------\n\n    private Store(K first")
                .contains("/** Keeps three. */\n    public static");
    }
}
