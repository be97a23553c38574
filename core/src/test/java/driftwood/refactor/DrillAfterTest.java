package driftwood.refactor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.plan.Plan;
import driftwood.plan.Planner;
import driftwood.scan.Scan;
import driftwood.smell.Evidence;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * The change drill is true once a recipe is carried out: with one variant more in the places that it names, and in no
 * other, the program does what it should; forgotten, it comes to what the drill says.
 */
class DrillAfterTest {
    private static final Path DRILLS = Path.of("src/test/resources/drills");
    private static final Path RECIPES = Path.of("src/test/resources/recipes");

    @TempDir
    Path root;
    @TempDir
    Path classes;

    static Stream<String> drills() throws IOException {
        try (Stream<Path> all = Files.list(DRILLS)) {
            return all.map(each -> each.getFileName().toString()).sorted().toList().stream();
        }
    }

    /** What somebody writes for one variant more, and what it comes to. */
    private record Addition(String gives, String compiler, List<Edit> edits) {
    }

    /** @param before empty for a new file */
    private record Edit(String file, String before, String after) {
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("drills")
    void itNamesThePlacesAndWhatIsForgotten(String name) throws Exception {
        String[] parts = Files.readString(DRILLS.resolve(name)).split("(?m)^#### ");
        RecipeCase one = RecipeCase.read(RECIPES.resolve(said(parts[0], "recipe") + ".txt"));
        one.write(root);
        Scan.Result before = RecipeCase.scan(root);
        Plan plan = new Planner(before.site()).plan(one.finding(before), Optional.of(one.said().get("pattern")), one.wishes());
        Refactoring refactoring = one.refactoring(before);
        for (int i = 1; i < parts.length; i++) {
            for (String file : refactoring.files()) {
                put(file, refactoring.after(file, refactoring.stages().size()));
            }
            one.sources().keySet().stream().filter(each -> !refactoring.files().contains(each)).forEach(each -> put(each, Optional.of(one.sources().get(each))));
            Addition addition = addition(parts[i]);
            addition.edits().forEach(this::write);
            if (addition.compiler().isEmpty()) {
                assertThat(RecipeCase.run(root, classes)).isEqualTo(addition.gives());
            } else {
                assertThatThrownBy(() -> RecipeCase.run(root, classes)).hasMessageContaining(addition.compiler());
            }
            if (parts[i].startsWith("written")) {
                assertThat(places(plan.drill().after(), addition)).as("what the drill names").isEqualTo(new TreeSet<>(addition.edits().stream().map(Edit::file)
                        .filter(each -> !each.endsWith("Main.java") || names(plan, each)).toList()));
            }
            for (Edit each : addition.edits()) {
                if (each.before().isEmpty()) {
                    Files.delete(root.resolve(each.file()));
                }
            }
        }
        String reminds = said(parts[0], "reminds");
        assertThat(plan.drill().after()).as("what becomes of a forgotten one").anyMatch(each -> each.note().contains(reminds));
    }

    private static boolean names(Plan plan, String file) {
        return plan.drill().after().stream().anyMatch(each -> each.file().equals(file));
    }

    /** The files that the drill names; one that it calls new for the variant is the one that was added. */
    private static Set<String> places(List<Evidence> after, Addition addition) {
        Set<String> files = new TreeSet<>();
        List<String> added = addition.edits().stream().filter(each -> each.before().isEmpty()).map(Edit::file).toList();
        for (Evidence each : after) {
            files.add(each.toBeWritten() && each.file().matches("(.*/)?New\\w+\\.java") && added.size() == 1 ? added.get(0) : each.file());
        }
        return files;
    }

    private void put(String file, Optional<String> text) {
        try {
            if (text.isPresent()) {
                Files.createDirectories(root.resolve(file).getParent());
                Files.writeString(root.resolve(file), text.get());
            } else {
                Files.deleteIfExists(root.resolve(file));
            }
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private void write(Edit edit) {
        try {
            String text = edit.before().isEmpty() ? "" : Files.readString(root.resolve(edit.file()));
            assertThat(text).as(edit.file()).contains(edit.before());
            int at = text.indexOf(edit.before());
            put(edit.file(), Optional.of(text.substring(0, at) + edit.after() + text.substring(at + edit.before().length())));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static Addition addition(String part) {
        List<Edit> edits = new ArrayList<>();
        String[] blocks = part.split("(?m)^(?=(?:===|@@) )");
        for (int i = 1; i < blocks.length; i++) {
            String file = blocks[i].lines().findFirst().orElseThrow().replaceFirst("^(===|@@) ", "").strip();
            String body = blocks[i].substring(blocks[i].indexOf('\n') + 1);
            String[] sides = body.split("(?m)^=>\\n");
            edits.add(blocks[i].startsWith("@@") ? new Edit(file, sides[0].stripTrailing(), sides[1].stripTrailing()) : new Edit(file.strip(), "", body));
        }
        return new Addition(said(blocks[0], "gives"), said(blocks[0], "compiler"), edits);
    }

    private static String said(String head, String key) {
        return head.lines().filter(each -> each.startsWith(key + ": ")).map(each -> each.substring(key.length() + 2)).findFirst().orElse("");
    }
}
