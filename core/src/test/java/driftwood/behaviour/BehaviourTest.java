package driftwood.behaviour;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.behaviour.build.Compiler;
import driftwood.behaviour.build.Homes;
import driftwood.behaviour.process.Limits;
import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recordings;
import driftwood.behaviour.recording.Verdict;
import driftwood.behaviour.recording.Verdict.Kind;
import driftwood.behaviour.view.Surface;
import driftwood.program.Program;
import driftwood.scan.Scan;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Records, changes the code, and confirms: with a real compiler and a real witness process. */
class BehaviourTest {
    private static final Limits QUICK = new Limits(700, 128, 1);

    @TempDir
    Path root;

    private Path classes() throws Compiler.DoesNotCompile, IOException {
        Path target = root.resolve("classes");
        try (Stream<Path> files = Files.walk(root.resolve("src"))) {
            List<Path> sources = files.filter(each -> each.toString().endsWith(".java")).toList();
            Compiler.compile(root, sources, List.of(), target);
        }
        return target;
    }

    private Program program() {
        return new Scan(Scan.Options.DEFAULT).run(root, List.of(root.resolve("src"))).program();
    }

    private Recording record(String type, String... sources) throws Exception {
        Given.written(root.resolve("src"), sources);
        Program program = program();
        Surface surface = Surface.of(program.type(type).orElseThrow(), program);
        Recording made = new Characterization(program, root, Homes.of(classes(), List.of()), QUICK).record(type, List.of(type), surface, 120, Duration.ZERO).recording();
        Recordings store = new Recordings(root);
        return store.read(store.save(made));
    }

    private Map<Kind, Long> confirm(Recording recording, String... sources) throws Exception {
        Given.written(root.resolve("src"), sources);
        return new Confirmation(program(), Homes.of(classes(), List.of()), QUICK).confirm(recording).stream()
                .collect(Collectors.groupingBy(Verdict::kind, Collectors.counting()));
    }

    private static final String TARIFF = """
            package quay;
            public class Tariff {
                private static final int LARGE = 500;
                private final int base;
                private int asked;
                public Tariff(int base) { this.base = base; }
                public int dues(int tonnage, boolean local, String flag) {
                    asked++;
                    int dues = base + tonnage / 10;
                    if (tonnage > LARGE) { dues += 40; }
                    if (flag != null && flag.startsWith("KQ")) { dues -= 5; }
                    return local ? dues / 2 : dues;
                }
                public int getAsked() { return asked; }
                public void reset() { asked = 0; }
            }
            """;

    static Stream<Arguments> slips() {
        return Stream.of(Arguments.of("tonnage > LARGE", "tonnage >= LARGE"), Arguments.of("tonnage / 10", "tonnage / 11"),
                Arguments.of("dues -= 5", "dues -= 6"), Arguments.of("\"KQ\"", "\"KX\""),
                Arguments.of("local ? dues / 2 : dues", "local ? dues : dues / 2"), Arguments.of("asked++;", ""),
                Arguments.of("flag != null && ", ""), Arguments.of("asked = 0;", "asked = 1;"),
                Arguments.of("+= 40", "-= 40"), Arguments.of("LARGE = 500", "LARGE = 501"));
    }

    @ParameterizedTest(name = "{0} -> {1}")
    @MethodSource("slips")
    void aSlipIsNoticed(String right, String wrong) throws Exception {
        Recording recording = record("quay.Tariff", TARIFF);
        assertThat(TARIFF).contains(right);
        assertThat(confirm(recording, TARIFF.replace(right, wrong))).containsKey(Kind.DIFFERENT);
    }

    @Test
    void unchangedCodeIsTheSameEveryTime() throws Exception {
        Recording recording = record("quay.Tariff", TARIFF);
        assertThat(recording.cases()).hasSizeGreaterThan(40);
        for (int i = 0; i < 3; i++) {
            assertThat(confirm(recording, TARIFF)).containsOnlyKeys(Kind.SAME);
        }
    }

    @Test
    void theSameSeedMakesTheSameRecording() throws Exception {
        assertThat(record("quay.Tariff", TARIFF)).isEqualTo(record("quay.Tariff", TARIFF));
    }

    private static final String WATCH = """
            package quay;
            import java.nio.file.*;
            import java.time.LocalDate;
            import java.util.*;
            public class Watch {
                private static int kept;
                public String day() { return LocalDate.now() + " " + new Date().getTime() / 86_400_000L; }
                public int turn() { return ++kept; }
                public int log(int tons) throws java.io.IOException {
                    kept++;
                    Files.writeString(Path.of("log.txt"), "moored " + tons * 2);
                    return tons;
                }
            }
            """;

    @Test
    void whatTheClockAndEarlierCasesDecideIsMaskedAndWhatIsWrittenIsKept() throws Exception {
        Recording recording = record("quay.Watch", WATCH);
        assertThat(recording.cases()).filteredOn(each -> each.routine().contains("#day"))
                .allMatch(each -> each.varies().equals(List.of("/gives")));
        assertThat(recording.cases()).filteredOn(each -> each.routine().contains("#turn"))
                .allMatch(each -> each.varies().equals(List.of("/gives")));
        assertThat(recording.cases()).filteredOn(each -> each.routine().contains("#log"))
                .allMatch(each -> each.outcome().at("/files/log.txt/0").asText().startsWith("moored "));
        assertThat(confirm(recording, WATCH)).containsOnlyKeys(Kind.SAME);
        assertThat(confirm(recording, WATCH.replace("tons * 2", "tons * 3"))).containsKey(Kind.DIFFERENT);
    }

    @Test
    void howThePlatformTalksToItsOwnInterfacesIsLeftOut() throws Exception {
        Recording recording = record("quay.Tide", """
                package quay;
                import java.time.Duration;
                import java.time.Instant;
                import java.time.temporal.Temporal;
                public class Tide {
                    public long since(Temporal start) { return Duration.between(Instant.EPOCH, start).toHours(); }
                    public void each(Runnable work) { work.run(); }
                }
                """);
        assertThat(recording.cases()).filteredOn(each -> each.routine().contains("#since")).isNotEmpty()
                .noneMatch(each -> each.outcome().has("asks"));
        assertThat(recording.cases()).filteredOn(each -> each.routine().contains("#each"))
                .anyMatch(each -> each.outcome().at("/asks/0").asText().equals("Runnable.run()"));
    }

    @Test
    void severalProcessesComeToTheSame() throws Exception {
        Recording recording = record("quay.Tariff", TARIFF);
        List<Verdict> verdicts = new Confirmation(program(), Homes.of(classes(), List.of()), new Limits(700, 128, 3)).confirm(recording);
        assertThat(verdicts).allMatch(each -> each.kind() == Kind.SAME).hasSameSizeAs(recording.cases());
        assertThat(verdicts).extracting(each -> each.of().id()).isEqualTo(recording.cases().stream().map(Case::id).toList());
    }

    private static final String BERTH = """
            package quay;
            public class Berth {
                private final String name; private final int depth; private final boolean tidal;
                public Berth(String name, int depth, boolean tidal) { this.name = name; this.depth = depth; this.tidal = tidal; }
                public String getName() { return name; }
                public int getDepth() { return depth; }
                public boolean isTidal() { return tidal; }
            }
            """;

    @Test
    void aRecordingMadeThroughAConstructorIsReplayedThroughABuilder() throws Exception {
        Recording recording = record("quay.Berth", BERTH);
        String built = BERTH.replace("public Berth(", "private Berth(").replace("    public String getName", """
                    public static Builder named(String name) { return new Builder(name); }
                    public static class Builder {
                        private final String name; private int depth; private boolean tidal;
                        Builder(String name) { this.name = name; }
                        public Builder depth(int value) { depth = value; return this; }
                        public Builder withTidal(boolean value) { tidal = value; return this; }
                        public Berth build() { return new Berth(name, depth, tidal); }
                    }
                    public String getName""");
        assertThat(confirm(recording, built)).containsOnlyKeys(Kind.SAME);
        assertThat(confirm(recording, built.replace("depth = value", "depth = -value"))).containsKey(Kind.DIFFERENT);
    }

    @Test
    void aRecordingIsReplayedThroughAParameterObject() throws Exception {
        String desk = """
                package quay;
                public class Desk {
                    private int sum;
                    public int moor(String vessel, int berth, int nights) { sum += vessel.length() * nights; return sum + berth; }
                }
                """;
        String stays = """
                package quay;
                public class Desk {
                    private int sum;
                    public int moor(Stay stay) { sum += stay.vessel().length() * stay.nights(); return sum + stay.berth(); }
                }
                record Stay(String vessel, int nights, int berth) { }
                """;
        Recording recording = record("quay.Desk", desk);
        assertThat(confirm(recording, stays)).containsOnlyKeys(Kind.SAME);
        assertThat(confirm(recording, stays.replace("* stay.nights()", "+ stay.nights()"))).containsKey(Kind.DIFFERENT).doesNotContainKey(Kind.GONE);
    }

    @Test
    void aRecordingIsReplayedThroughACreationRoutineOrSetters() throws Exception {
        Recording recording = record("quay.Berth", BERTH);
        assertThat(confirm(recording, BERTH.replace("public Berth(", "private Berth(").replace("    public String getName",
                "    public static Berth of(int depth, String name, boolean tidal) { return new Berth(name, depth, tidal); }\n"
                        + "    public String getName"))).containsOnlyKeys(Kind.SAME);
        assertThat(confirm(recording, BERTH.replace("final ", "").replace("(String name, int depth, boolean tidal)", "(String name)")
                .replace("this.depth = depth; this.tidal = tidal;", "").replace("    public String getName",
                "    public void setDepth(int depth) { this.depth = depth; } public void setTidal(boolean t) { tidal = t; }\n"
                        + "    public String getName"))).containsOnlyKeys(Kind.SAME);
    }

    @Test
    void whatOnlyCreationRoutinesMakeIsMadeByThemUnderTheirNames() throws Exception {
        String span = """
                package quay;
                public class Span {
                    private final int from; private final int to; private final boolean open;
                    private Span(int from, int to, boolean open) { this.from = from; this.to = to; this.open = open; }
                    public static Span within(int from, int to) { return new Span(from, to, false); }
                    public static Span outside(int from, int to) { return new Span(from, to, true); }
                    public boolean has(int n) { return open != (n >= from && n <= to); }
                    public int getFrom() { return from; }
                }
                """;
        Recording recording = record("quay.Span", span);
        assertThat(recording.cases()).filteredOn(each -> each.routine().contains("has"))
                .extracting(each -> each.on().path("by").asText()).contains("within", "outside");
        assertThat(confirm(recording, span)).containsOnlyKeys(Kind.SAME);
        assertThat(confirm(recording, span.replace("to, true", "to, false"))).containsKey(Kind.DIFFERENT);
    }

    @Test
    void aPartThatNothingTakesAnyMoreIsGone() throws Exception {
        Recording recording = record("quay.Berth", BERTH);
        String without = BERTH.replace(", boolean tidal)", ")").replace("this.tidal = tidal;", "tidal = true;");
        Given.written(root.resolve("src"), without);
        List<Verdict> verdicts = new Confirmation(program(), Homes.of(classes(), List.of()), QUICK).confirm(recording);
        assertThat(verdicts).allSatisfy(verdict -> {
            assertThat(verdict.kind()).isEqualTo(Kind.GONE);
            assertThat(verdict.why()).contains("no constructor, creation routine, builder or setters of quay.Berth");
        });
    }

    @Test
    void aChangedOrderIsToldApartFromChangedContent() throws Exception {
        String marks = """
                package quay;
                import java.util.*;
                public class Marks { public static List<String> all(int n) { List<String> l = new ArrayList<>(List.of("a", "b")); l.add("c" + n); return l; } }
                """;
        Recording recording = record("quay.Marks", marks);
        assertThat(confirm(recording, marks.replace("return l;", "Collections.reverse(l); return l;"))).containsKey(Kind.REORDERED)
                .doesNotContainKey(Kind.DIFFERENT);
    }

    @Test
    void whatVariesByItselfIsMasked() throws Exception {
        String clock = """
                package quay;
                public class Clock {
                    public static String stamp(int n) { return n + " at " + System.nanoTime(); }
                    public static Object fresh() { return new Object(); }
                    public static double luck() { return Math.random(); }
                    public static boolean isQuick(int n) {
                        long begun = System.currentTimeMillis();
                        return System.currentTimeMillis() - begun < 50;
                    }
                }
                """;
        Recording recording = record("quay.Clock", clock);
        assertThat(recording.cases()).filteredOn(each -> each.routine().contains("stamp") || each.routine().contains("isQuick"))
                .allSatisfy(each -> assertThat(each.varies()).containsExactly("/gives"));
        assertThat(confirm(recording, clock)).containsOnlyKeys(Kind.SAME);
    }

    @Test
    void codeThatDoesNotEndOrEndsTheProcessIsContained() throws Exception {
        Recording recording = record("quay.Trap", """
                package quay;
                public class Trap {
                    public static int spin(boolean on) { while (on) { } return 1; }
                    public static int leave(boolean on) { if (on) { System.exit(3); } return 2; }
                    public static int fall(boolean on) { return on ? fall(on) + 1 : 3; }
                    public static int eat(boolean on) { java.util.List<long[]> l = new java.util.ArrayList<>(); while (on) { l.add(new long[1 << 20]); } return 4; }
                    public static void shout(boolean on) { for (int i = 0; on && i < 2_000_000; i++) { System.out.println("loud"); } }
                }
                """);
        Map<String, String> trapped = recording.cases().stream().filter(each -> each.given() != null
                && each.given().path("on").asBoolean()).collect(Collectors.toMap(Case::routine,
                each -> each.outcome().toString(), (a, b) -> a));
        assertThat(trapped.get("quay.Trap#spin(boolean)")).startsWith("{\"endless\"");
        assertThat(trapped.get("quay.Trap#leave(boolean)")).isEqualTo("{\"exits\":\"exit code 3\"}");
        assertThat(trapped.get("quay.Trap#fall(boolean)")).contains("StackOverflowError");
        assertThat(trapped.get("quay.Trap#eat(boolean)")).contains("OutOfMemoryError");
        assertThat(trapped.get("quay.Trap#shout(boolean)")).contains("bytes more");
        assertThat(recording.cases()).filteredOn(each -> each.given() != null && !each.given().path("on").asBoolean())
                .hasSize(5).allSatisfy(each -> assertThat(each.outcome().has("gives")).isTrue());
    }

    @Test
    void printedLinesErrorsAndChangedArgumentsAreObserved() throws Exception {
        Recording recording = record("quay.Desk", """
                package quay;
                import java.util.List;
                public class Desk {
                    public static void note(List<String> book, String line) {
                        System.out.println("noted " + line);
                        if (line.isEmpty()) { throw new IllegalStateException("empty", new RuntimeException("cause")); }
                        book.add(line);
                    }
                }
                """);
        List<String> outcomes = recording.cases().stream().map(each -> each.outcome().toString()).toList();
        assertThat(outcomes).anyMatch(each -> each.contains("\"prints\":[\"noted Ada of Kelp Quay\",\"\"]")
                && each.contains("\"leaves\":{\"1.book\":[\"Ada of Kelp Quay\"]}"));
        assertThat(outcomes).anyMatch(each -> each.contains("java.lang.IllegalStateException")
                && each.contains("\"cause\":{\"is\":\"java.lang.RuntimeException\",\"message\":\"cause\"}"));
    }

    @Test
    void interfacesWithoutImplementationsGetStandInsThatRememberCalls() throws Exception {
        Recording recording = record("quay.Bell", """
                package quay;
                public class Bell {
                    public static int ring(Ear ear, Runnable after, int times) { for (int i = 0; i < times && i < 3; i++) { ear.hear("dong", i); } after.run(); return times; }
                }
                interface Ear { void hear(String tone, int n); }
                """);
        assertThat(recording.cases()).anyMatch(each -> each.outcome().toString()
                .contains("\"asks\":[\"Ear.hear(\\\"dong\\\", 0)\",\"Runnable.run()\"]"));
    }

    @Test
    void theProjectIsNotTouchedByObservingIt() throws Exception {
        String hostile = """
                package quay;
                import java.nio.file.*;
                public class Vandal { public static String act() throws Exception { Files.writeString(Path.of("mess.txt"), "x"); return Path.of("").toAbsolutePath().getFileName().toString(); } }
                """;
        Recording recording = record("quay.Vandal", hostile);
        assertThat(recording.cases()).filteredOn(each -> each.routine().contains("act"))
                .allSatisfy(each -> assertThat(each.outcome().path("gives").asText()).isEqualTo("work"));
        assertThat(root.resolve("mess.txt")).doesNotExist();
        assertThat(Path.of("mess.txt")).doesNotExist();
    }

    @Test
    void aCaseThatEndsLaterThanItsTimeIsRunAgainWithMore() throws Exception {
        Recording recording = record("quay.Tide", "package quay; public class Tide { "
                + "public static int high() throws Exception { Thread.sleep(400); return 7; } }");
        List<Verdict> verdicts = new Confirmation(program(), Homes.of(classes(), List.of()), new Limits(60, 128, 1)).confirm(recording);
        assertThat(verdicts).isNotEmpty().allMatch(each -> each.kind() == Kind.SAME);
        Given.written(root.resolve("src"), "package quay; public class Tide { "
                + "public static int high() throws Exception { while (true) { Thread.sleep(400); } } }");
        assertThat(new Confirmation(program(), Homes.of(classes(), List.of()), new Limits(60, 128, 1)).confirm(recording))
                .anyMatch(each -> each.kind() == Kind.DIFFERENT && each.actual().has("endless"));
    }
}
