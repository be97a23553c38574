package driftwood.behaviour;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.behaviour.Verdict.Kind;
import driftwood.pattern.Patterns;
import driftwood.program.Program;
import driftwood.smell.Scan;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * A correct refactoring into each pattern of the catalogue is the same; each of three slips in it is noticed. The code is in
 * {@code src/test/resources/refactorings/PATTERN}: before, after, and slips as {@code RIGHT => WRONG}.
 */
class RefactoringsTest {
    private static final Path ALL = Path.of("src/test/resources/refactorings");
    private static final Limits QUICK = new Limits(700, 128, 1);

    @TempDir
    Path root;

    private int runs;

    static List<String> patterns() throws IOException {
        try (Stream<Path> all = Files.list(ALL)) {
            return all.map(each -> each.getFileName().toString()).sorted().toList();
        }
    }

    @Test
    void thereIsOneForEachPatternOfTheCatalogue() throws IOException {
        assertThat(patterns()).containsExactlyInAnyOrder("builder", "factory-method", "factory", "registry", "strategy", "state",
                "null-object", "singleton", "adapter", "decorator", "composite", "observer", "chain-of-responsibility",
                "template-method", "visitor");
        assertThat(Patterns.all()).extracting(each -> each.key()).containsAll(patterns());
    }

    private static String source(String pattern, String when) throws IOException {
        try (Stream<Path> all = Files.list(ALL.resolve(pattern).resolve(when).resolve("quay"))) {
            return Files.readString(all.findFirst().orElseThrow());
        }
    }

    private static String type(String pattern) throws IOException {
        try (Stream<Path> all = Files.list(ALL.resolve(pattern).resolve("before/quay"))) {
            return all.findFirst().orElseThrow().getFileName().toString().replace(".java", "");
        }
    }

    /** The code as a project of its own, compiled. */
    private Path project(String type, String source) throws Exception {
        Path folder = Files.createDirectories(root.resolve("run" + runs++));
        Files.createDirectories(folder.resolve("src/quay"));
        Files.writeString(folder.resolve("src/quay").resolve(type + ".java"), source);
        Compiler.compile(folder, List.of(folder.resolve("src/quay").resolve(type + ".java")), List.of(), folder.resolve("classes"));
        return folder;
    }

    private static Program program(Path project) {
        return new Scan(Scan.Options.DEFAULT).run(project, List.of(project.resolve("src"))).program();
    }

    private Recording record(String pattern) throws Exception {
        Path project = project(type(pattern), source(pattern, "before"));
        Program program = program(project);
        Surface whole = Surface.of(program.type("quay." + type(pattern)).orElseThrow(), program);
        Surface surface = pattern.equals("builder") ? whole : new Surface(whole.targets().stream()
                .filter(each -> each.routine().isPresent()).toList(), whole.left());
        Recording made = new Characterization(program, project, List.of(project.resolve("classes")), QUICK)
                .record("quay." + type(pattern), surface, 200, Duration.ofSeconds(12)).recording();
        Recordings store = new Recordings(project);
        return store.read(store.save(made));
    }

    private Map<Kind, Long> confirm(Recording recording, String pattern, String source) throws Exception {
        Path project = project(type(pattern), source);
        return new Confirmation(program(project), List.of(project.resolve("classes")), QUICK).confirm(recording).stream()
                .collect(Collectors.groupingBy(Verdict::kind, Collectors.counting()));
    }

    @ParameterizedTest
    @MethodSource("patterns")
    void aCorrectRefactoringIsTheSameAndThreeSlipsAreNoticed(String pattern) throws Exception {
        Recording recording = record(pattern);
        String after = source(pattern, "after");
        assertThat(confirm(recording, pattern, after)).as("the correct refactoring").containsOnlyKeys(Kind.SAME);
        List<String> unnoticed = new ArrayList<>();
        List<String> slips = Files.readAllLines(ALL.resolve(pattern).resolve("slips.txt"));
        assertThat(slips).hasSize(3);
        for (String slip : slips) {
            String[] sides = slip.split(" =>", 2);
            assertThat(after).contains(sides[0]);
            if (!confirm(recording, pattern, after.replace(sides[0], sides[1].strip())).containsKey(Kind.DIFFERENT)) {
                unnoticed.add(slip);
            }
        }
        assertThat(unnoticed).isEmpty();
    }
}
