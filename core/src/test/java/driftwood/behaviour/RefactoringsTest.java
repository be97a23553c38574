package driftwood.behaviour;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.behaviour.build.Compiler;
import driftwood.behaviour.build.Homes;
import driftwood.behaviour.process.Limits;
import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recordings;
import driftwood.behaviour.recording.Verdict;
import driftwood.behaviour.recording.Verdict.Kind;
import driftwood.behaviour.run.Runtimes;
import driftwood.behaviour.view.Surface;
import driftwood.pattern.Patterns;
import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.scan.Scan;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * A correct refactoring into a pattern, with all private state renamed, moved or replaced, is the same; each of three
 * slips in it is noticed. The code is in {@code src/test/resources/refactorings/NAME}: before, after, and slips as
 * {@code RIGHT => WRONG}. Here every ninth is tried; all thirty with {@code -Drefactorings=1}, or, as a user would, with
 * {@code bench/refactorings}.
 */
class RefactoringsTest {
    private static final Path ALL = Path.of("src/test/resources/refactorings");
    private static final Limits QUICK = new Limits(700, 128, 2);
    private static final Runtimes.Interpreter PYTHON = Runtimes.of(Given.PYTHON, "").orElseThrow();

    @TempDir
    Path root;

    private int runs;

    private static List<String> all() throws IOException {
        try (Stream<Path> all = Files.list(ALL)) {
            return all.map(each -> each.getFileName().toString()).sorted().toList();
        }
    }

    static List<String> some() throws IOException {
        int step = Integer.getInteger("refactorings", 9);
        List<String> some = new ArrayList<>();
        for (int at = 0; at < all().size(); at += step) {
            some.add(all().get(at));
        }
        return some;
    }

    @Test
    void thereIsOneForEachPatternOfTheCatalogueAndEightInPython() throws IOException {
        List<String> names = all();
        assertThat(Patterns.all().stream().map(each -> each.key()).filter(names::contains)).hasSize(15);
        assertThat(names).hasSize(30).filteredOn(each -> each.startsWith("python-")).hasSize(8);
        for (String name : names) {
            assertThat(slips(name)).as(name).hasSize(3).allSatisfy(slip ->
                    assertThat(Files.readString(file(name, "after"))).contains(slip.split(" =>", 2)[0]));
        }
    }

    /** The one file of the code. */
    private static Path file(String name, String when) throws IOException {
        try (Stream<Path> all = Files.list(ALL.resolve(name).resolve(when).resolve("quay"))) {
            return all.filter(each -> !each.endsWith("__init__.py")).findFirst().orElseThrow();
        }
    }

    private static List<String> slips(String name) throws IOException {
        return Files.readAllLines(ALL.resolve(name).resolve("slips.txt"));
    }

    /** The code as a project of its own; Java compiled. */
    private Path project(String name, String source) throws Exception {
        Path folder = Files.createDirectories(root.resolve("run" + runs++));
        Path written = Files.createDirectories(folder.resolve("src/quay")).resolve(file(name, "before").getFileName().toString());
        Files.writeString(written, source);
        if (isPython(name)) {
            Files.writeString(folder.resolve("src/quay/__init__.py"), "");
        } else {
            Compiler.compile(folder, List.of(written), List.of(), folder.resolve("classes"));
        }
        return folder;
    }

    private static boolean isPython(String name) {
        return name.startsWith("python-");
    }

    private static Program program(Path project) {
        return new Scan(Scan.Options.DEFAULT).run(project, List.of(project.resolve("src"))).program();
    }

    /** What a client of the code calls: the type named as its file, or the one class of a module that is not private. */
    private static TypeOutline type(String name, Program program) throws IOException {
        String simple = file(name, "before").getFileName().toString().replaceAll("\\..*", "");
        return program.types().stream().filter(each -> isPython(name) ? !each.isModule() && !each.simpleName().startsWith("_")
                : each.simpleName().equals(simple)).findFirst().orElseThrow();
    }

    private Recording record(String name) throws Exception {
        Path project = project(name, Files.readString(file(name, "before")));
        Program program = program(project);
        TypeOutline type = type(name, program);
        Characterization way = isPython(name) ? new Characterization(program, project, PYTHON, QUICK)
                : new Characterization(program, project, Homes.of(project.resolve("classes"), List.of()), QUICK);
        Recording made = way.record(type.name(), List.of(type.name()), Surface.of(type, program), 100, Duration.ofSeconds(20)).recording();
        Recordings store = new Recordings(project);
        return store.read(store.save(made));
    }

    private Map<Kind, Long> confirm(Recording recording, String name, String source) throws Exception {
        Path project = project(name, source);
        Program program = program(project);
        Confirmation way = isPython(name) ? new Confirmation(program, project, PYTHON, QUICK)
                : new Confirmation(program, Homes.of(project.resolve("classes"), List.of()), QUICK);
        return way.confirm(recording).stream().collect(Collectors.groupingBy(Verdict::kind, Collectors.counting()));
    }

    @ParameterizedTest
    @MethodSource("some")
    void aCorrectRefactoringIsTheSameAndThreeSlipsAreNoticed(String name) throws Exception {
        Recording recording = record(name);
        String after = Files.readString(file(name, "after"));
        assertThat(confirm(recording, name, after)).as("the correct refactoring").containsOnlyKeys(Kind.SAME);
        List<String> unnoticed = new ArrayList<>();
        for (String slip : slips(name)) {
            String[] sides = slip.split(" =>", 2);
            if (confirm(recording, name, after.replace(sides[0], sides[1].strip())).keySet().equals(Set.of(Kind.SAME))) {
                unnoticed.add(slip);
            }
        }
        assertThat(unnoticed).isEmpty();
    }
}
