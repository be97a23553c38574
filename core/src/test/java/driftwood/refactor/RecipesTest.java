package driftwood.refactor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.Given;
import driftwood.behaviour.view.Surface;
import driftwood.pattern.Answer;
import driftwood.pattern.Pattern;
import driftwood.pattern.Patterns;
import driftwood.scan.Scan;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Finding;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every recipe on small projects: each stage compiles and runs the same, the smell goes, and no other comes. */
class RecipesTest {
    @TempDir
    Path root;
    @TempDir
    Path classes;
    @TempDir
    Path patched;

    private static final String LATER = "o";

    /** The first half of them, so that both halves run side by side; while one is being written those whose names begin as {@code -Drecipes} says. */
    static List<RecipeCase> cases() throws IOException {
        String begin = System.getProperty("recipes", "");
        return all().stream().filter(each -> begin.isEmpty() ? each.name().compareTo(LATER) < 0 : each.name().startsWith(begin)).toList();
    }

    /** The other half. */
    static List<RecipeCase> later() throws IOException {
        return all().stream().filter(each -> each.name().compareTo(LATER) >= 0).toList();
    }

    private static List<RecipeCase> all() throws IOException {
        return RecipeCase.all(Path.of("src/test/resources/recipes"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("cases")
    void everyStageCompilesAndRunsTheSame(RecipeCase one) throws Exception {
        one.write(root);
        Scan.Result before = RecipeCase.scan(root);
        if (one.said().containsKey("refused")) {
            assertThatThrownBy(() -> one.refactoring(before)).isInstanceOf(Refused.class).hasMessageContaining(one.said().get("refused"));
            return;
        }
        Refactoring refactoring = one.refactoring(before);
        assertThat(Surface.around(one.finding(before), before.program()).targets()).as("what characterize observes").isNotEmpty();
        String wanted = RecipeCase.run(root, classes);
        for (Stage stage : refactoring.stages()) {
            write(stage.files());
            String ran = RecipeCase.run(root, classes);
            // One of the stages that are there to change something does: the others may.
            wanted = stage.meant() && ran.equals(one.said().get("meant")) ? ran : wanted;
            assertThat(ran).as(stage.does()).isEqualTo(wanted);
        }
        assertThat(wanted).as("what is meant came").isEqualTo(one.said().getOrDefault("meant", wanted));
        assertThat(RecipeCase.smells(RecipeCase.scan(root))).as("no other smell came, and the one is gone").isSubsetOf(one.left(before));
        thePlanSaysWhatIsThere(one, before, refactoring);
        one.thePatchGivesTheSame(refactoring, patched);
    }

    /** What a plan calls new is in the code that its stages wrote, and the drill names files that are there or are still to come. */
    private void thePlanSaysWhatIsThere(RecipeCase one, Scan.Result before, Refactoring refactoring) throws IOException {
        Finding finding = one.finding(before);
        String text = one.theCodeIsWritten(refactoring);
        Optional<Pattern> pattern = Patterns.byKey(one.said().get("pattern")).filter(each -> each.fit(finding, before.site().program()).isPresent());
        if (pattern.isEmpty()) {
            return;
        }
        Answer told = Patterns.answer(pattern.get(), finding, before.site());
        Answer answer = refactoring.kinds().map(each -> each.playing(pattern.get().key(), told, finding.detail(), Given.JAVA.idiom())).orElse(told).called(refactoring.played());
        assertThat(answer.roles()).filteredOn(role -> !role.exists()).allSatisfy(role -> assertThat(text).containsPattern("\\b"
                + role.name().replaceFirst("^.*\\.", "").replaceFirst("\\(.*", "") + "\\b"));
        if (Set.of("strategy", "state").contains(pattern.get().key()) && finding.detail() instanceof Branching branching) {
            String within = branching.chain().within();
            String routine = within.endsWith("." + branching.chain().routineName()) ? "setUp" : branching.chain().routineName();
            assertThat(java.util.regex.Pattern.compile("(?m)^[ \\t]*(?:abstract )?(?!return |throw )(?:<.*> )?[\\w<>\\[\\], .?]+ " + routine
                    + "\\([^()]*\\)(?: throws [\\w, .]+)?;").matcher(text).find()).as("the compiler asks for " + routine)
                    .isEqualTo(answer.after().get(0).note().contains("the compiler asks"));
        }
        assertThat(refactoring.next().isEmpty() ? answer.after() : refactoring.next()).allSatisfy(place -> assertThat(Files.exists(root.resolve(place.file()))
                || place.file().replaceFirst("^.*/", "").startsWith("New")).as(place.file() + ": " + place.note()).isTrue());
    }

    private void write(Map<String, Optional<String>> files) throws IOException {
        for (Map.Entry<String, Optional<String>> each : files.entrySet()) {
            Path file = root.resolve(each.getKey());
            if (each.getValue().isPresent()) {
                Files.createDirectories(file.getParent());
                Files.writeString(file, each.getValue().get());
            } else {
                Files.delete(file);
            }
        }
    }
}
