package driftwood.refactor;

import java.io.IOException;
import java.util.List;

/** The other half of the recipes, at the same time. */
class LaterRecipesTest extends RecipesTest {

    static List<RecipeCase> cases() throws IOException {
        return later();
    }
}
