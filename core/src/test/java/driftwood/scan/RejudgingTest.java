package driftwood.scan;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.pattern.Fit;
import driftwood.pattern.Pattern;
import driftwood.pattern.Patterns;
import driftwood.scan.memory.Memory;
import driftwood.smell.Finding;
import driftwood.smell.Settings;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** After any change a scan that remembers says the same, word for word and line for line, as one that does not. */
class RejudgingTest {
    private static final Path SAMPLES = Path.of("../demo");
    private static final String OFFICE = """
            package quay;
            class Office {
                Pilots pilots = new Pilots();
                int dues(Object vessel) {
                    if (vessel instanceof Tug) { int base = 4; return base * 2; }
                    else if (vessel instanceof Yacht) { int base = 9; return base * 3; }
                    return 0;
                }
                void board(String name) {
                    Pilot pilot = pilots.of(name);
                    if (pilot != null) {
                        pilot.board(2, 3);
                    }
                    log("boarded");
                }
                void meet(String name) {
                    pilots.of(name).board(1, 2);
                }
                void log(String text) { System.out.println(text); }
            }
            """;
    private static final String PILOTS = """
            package quay;
            class Pilots {
                java.util.List<Pilot> all = new java.util.ArrayList<>();
                Pilot of(String name) {
                    if (name.isEmpty()) { return null; }
                    return new Pilot(name, 1, 2, 3, 4, true);
                }
            }
            class Pilot {
                Pilot(String name, int from, int to, int low, int high, boolean tug) { }
                void board(int deck, int ladder) { }
            }
            """;

    @TempDir
    Path root;

    private final Kept memory = new Kept();
    private final AtomicInteger answered = new AtomicInteger();

    private static final class Kept implements Memory {
        private final Map<String, String> stamps = new ConcurrentHashMap<>();
        private final Map<String, byte[]> values = new ConcurrentHashMap<>();
        private final List<String> uses = new CopyOnWriteArrayList<>();

        @Override
        public Optional<byte[]> recall(Kind kind, String key, String stamp) {
            if (kind == Kind.USED) {
                uses.add(key);
            }
            return stamp.equals(stamps.get(kind + key)) ? Optional.of(values.get(kind + key)) : Optional.empty();
        }

        @Override
        public Optional<String> stamp(Kind kind, String key) {
            return Optional.ofNullable(stamps.get(kind + key));
        }

        @Override
        public void remember(Kind kind, String key, String stamp, byte[] value) {
            values.put(kind + key, value);
            stamps.put(kind + key, stamp);
        }
    }

    /** Gives no answer of its own. */
    private final Pattern counting = Asking.pattern(program -> {
        answered.incrementAndGet();
        return Optional.empty();
    });

    private Scan.Result scan(Memory with) {
        return scan(with, counting);
    }

    private Scan.Result scan(Memory with, Pattern more) {
        answered.set(0);
        Settings settings = new Settings(5, List.of(), false, List.of(), false, false, List.of());
        List<Pattern> patterns = new ArrayList<>(Patterns.all());
        patterns.add(more);
        return new Scan(Scan.Options.DEFAULT.on(2).with(settings).with(with).answeredBy(patterns)).run(root, List.of(root));
    }

    private static List<String> told(Scan.Result result) {
        List<String> told = new ArrayList<>();
        result.findings().forEach(each -> told.add(each + " " + result.fits().get(each.id())));
        result.unread().forEach(each -> told.add(each.toString()));
        result.complaints().forEach(each -> told.add(each.toString()));
        told.add(result.left().size() + " left out");
        return told;
    }

    /** Scans after a change, and compares. @return for how many findings the patterns were asked */
    private int checked(String what) {
        List<String> remembering = told(scan(memory));
        int asked = answered.get();
        assertThat(remembering).as(what).isEqualTo(told(scan(Memory.NONE)));
        return asked;
    }

    @BeforeEach
    void write() {
        Given.written(root, OFFICE, PILOTS, "package quay;\nclass Tug { }\n", "package quay;\nclass Yacht { }\n");
    }

    @Test
    void aPatternIsAskedAgainWhenWhatItAskedHasChanged() throws IOException {
        Pattern asking = Asking.pattern(program -> Optional.of(new Fit("asking", 0.5, program.callsOf("log").size() + " calls")));
        List<String> before = told(scan(memory, asking));
        Path file = root.resolve("quay/Office.java");
        Given.write(file, Files.readString(file).replace("log(\"boarded\");", "log(\"boarded\"); log(\"twice\");"));
        List<String> now = told(scan(memory, asking));
        assertThat(now).isEqualTo(told(scan(Memory.NONE, asking))).isNotEqualTo(before);
    }

    static Stream<Arguments> edits() {
        return Stream.of(
                edit("a blank line", text -> "\n" + text, 0),
                edit("a comment between routines", text -> text.replace("    void board", "    // by day\n    void board"), 0),
                edit("a comment inside the chain", text -> text.replace("        else if", "        // or\n        else if"), 0),
                edit("a line less", text -> text.replace("package quay;\n", "package quay; "), 0),
                edit("a call that nobody asked for", text -> text.replace("log(\"boarded\");", "log(\"boarded\"); log(\"twice\");"), 0),
                edit("another literal", text -> text.replace("base = 9", "base = 7"), 0),
                edit("a statement in another arm", text -> text.replace("base * 3;", "base * 3 + base;"), 1),
                edit("a guard more", text -> text.replace("pilots.of(name).board(1, 2);",
                        "Pilot one = pilots.of(name); if (one != null) { one.board(1, 2); }"), 1),
                edit("a careless call more", text -> text.replace("log(\"boarded\");", "pilots.of(\"Ebba\").board(4, 5);"), 1),
                edit("the chain away", text -> text.replace("else if (vessel instanceof Yacht)", "if (vessel == null)"), 0),
                edit("a creation more", text -> text.replace("log(\"boarded\");", "new Pilot(\"Ebba\", 4, 3, 2, 1, true);"), 1),
                edit("two statements the other way round", text -> text.replace("base * 2; }\n", "base * 2; }\n\n")
                        .replace("            pilot.board(2, 3);\n", "").replace("log(\"boarded\");", "log(\"boarded\"); log(\"out\");"), 1));
    }

    private static Arguments edit(String what, UnaryOperator<String> edit, int asked) {
        return Arguments.of(what, edit, asked);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("edits")
    void afterAnEditInsideRoutines(String what, UnaryOperator<String> edit, int asked) throws IOException {
        assertThat(scan(memory).findings()).extracting(Finding::smell)
                .containsExactlyInAnyOrder("type-switch", "null-check", "long-parameter-list");
        Path file = root.resolve("quay/Office.java");
        String changed = edit.apply(Files.readString(file));
        assertThat(changed).isNotEqualTo(OFFICE);
        Files.writeString(file, changed);
        assertThat(checked(what)).as("findings judged anew after " + what).isLessThanOrEqualTo(Math.max(asked, 1));
        Files.writeString(file, OFFICE);
        checked(what + ", undone");
    }

    static Stream<Arguments> declarations() {
        return Stream.of(
                edit("a routine more", text -> text.replace("void log", "void hail() { }\n    void log"), 3),
                edit("a parameter more", text -> text.replace("log(String text)", "log(String text, int level)"), 3),
                edit("a type more", text -> text + "class Mole { }\n", 3),
                edit("a field less", text -> text.replace("    Pilots pilots = new Pilots();\n", ""), 2),
                edit("routines the other way round", text -> text.replace("void board", "void swap").replace("void meet", "void board")
                        .replace("void swap", "void meet"), 3));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("declarations")
    void afterAnEditOfWhatIsDeclaredAllIsJudged(String what, UnaryOperator<String> edit, int asked) {
        scan(memory);
        Given.write(root.resolve("quay/Office.java"), edit.apply(OFFICE));
        assertThat(checked(what)).isEqualTo(asked);
    }

    @Test
    void filesThatComeAndGoAreJudged() throws IOException {
        scan(memory);
        Given.written(root, "package quay;\nclass Ferry { }\n");
        checked("a file more");
        Files.delete(root.resolve("quay/Ferry.java"));
        checked("a file less");
    }

    @Test
    void commentsThatLeaveFindingsOutAreHeard() {
        scan(memory);
        Given.write(root.resolve("quay/Office.java"), OFFICE.replace("        if (vessel",
                "        // driftwood: leave type-switch because the kinds are fixed by law\n        if (vessel"));
        checked("a comment that leaves a finding out");
        assertThat(scan(memory).left()).hasSize(1);
        Given.write(root.resolve("quay/Office.java"), OFFICE.replace("    void log",
                "    // driftwood: leave null-check because nobody knows\n    void log"));
        checked("one that leaves nothing out");
    }

    @Test
    void severalFilesAtOnce() {
        scan(memory);
        Given.write(root.resolve("quay/Office.java"), "// one\n" + OFFICE);
        Given.write(root.resolve("quay/Pilots.java"), "// one\n// two\n" + PILOTS);
        assertThat(checked("two files")).isZero();
    }

    @ParameterizedTest
    @CsvSource({"kelp-quay, 11", "kelp-quay, 12", "kelp-quay-python, 13"})
    void afterAnyNumberOfChangesAtRandom(String sample, long seed) throws IOException {
        copy(SAMPLES.resolve(sample));
        scan(memory);
        Random random = new Random(seed);
        List<Path> files;
        try (Stream<Path> all = Files.walk(root)) {
            files = all.filter(Files::isRegularFile).sorted().toList();
        }
        for (int round = 0; round < 25; round++) {
            Path file = files.get(random.nextInt(files.size()));
            String before = Files.readString(file);
            Files.writeString(file, TextEdits.any(before, file.toString().endsWith(".py") ? "#" : "//", random));
            checked("round " + round + " in " + file.getFileName());
            if (random.nextBoolean()) {
                Files.writeString(file, before);
            }
        }
    }

    private void copy(Path from) throws IOException {
        try (Stream<Path> all = Files.walk(from)) {
            for (Path each : all.filter(Files::isRegularFile).filter(file -> !from.relativize(file).startsWith(".driftwood")).toList()) {
                Given.write(root.resolve(from.relativize(each)), Files.readString(each));
            }
        }
    }

    @Test
    void aHelperThatReachesOutsideNowIsNoticedByWhoUsesIt() throws IOException {
        Path texts = root.resolve("quay/Texts.java");
        String quiet = "package quay;\nclass Texts { static int size(String n) { return whole(n).length(); }\n static String whole(String n) { return n; } }\n";
        Given.write(texts, quiet);
        Given.written(root, "package quay;\nclass Ledger { int seen; int read(String n) { seen++; return Texts.size(n); } int seen() { return seen; } }\n",
                "package quay;\nclass Desk { private final Ledger ledger = new Ledger(); int asked; int sum(String n) { asked++; return ledger.read(n) + asked; } }\n");
        assertThat(scan(memory).findings()).extracting(Finding::smell).doesNotContain("hard-coded-instantiation");
        Given.write(texts, quiet.replace("return n;", "return java.nio.file.Files.readString(java.nio.file.Path.of(n));"));
        assertThat(scan(memory).findings()).extracting(Finding::smell).contains("hard-coded-instantiation");
        checked("a helper that reaches a file");
        Given.write(texts, quiet);
        checked("and does not any more");
    }

    @Test
    void onlyFilesThatCallWhatIsAskedForAreUnpacked() throws IOException {
        for (int i = 0; i < 40; i++) {
            Given.write(root.resolve("quay/Buoy" + i + ".java"), "package quay;\nclass Buoy" + i + " { int depth() { return sound" + i + "(4); } int sound" + i + "(int at) { return at; } }\n");
        }
        scan(memory);
        memory.uses.clear();
        Path file = root.resolve("quay/Office.java");
        Given.write(file, OFFICE.replace("pilots.of(name).board(1, 2);", "Pilot one = pilots.of(name); if (one != null) { one.board(1, 2); }"));
        scan(memory);
        assertThat(memory.uses).isNotEmpty().noneMatch(each -> each.contains("Buoy"));
    }
}
