package driftwood.behaviour;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.behaviour.process.Limits;
import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recordings;
import driftwood.behaviour.recording.Verdict;
import driftwood.behaviour.recording.Verdict.Kind;
import driftwood.behaviour.run.Runtimes;
import driftwood.behaviour.view.Surface;
import driftwood.program.Program;
import driftwood.scan.Scan;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Records Python code, changes it, and confirms: in a real interpreter. */
class PythonBehaviourTest {
    private static final Limits QUICK = InPython.QUICK;
    private static final Runtimes.Interpreter PYTHON = InPython.PYTHON;

    @TempDir
    Path root;

    @BeforeAll
    static void needsPython() throws InterruptedException {
        InPython.isNeeded();
    }

    private Program written(String text) throws Exception {
        return InPython.written(root, "tariff", text);
    }

    private Recording record(String type, String text) throws Exception {
        Program program = written(text);
        Surface surface = Surface.of(program.type(type).orElseThrow(), program);
        Recording made = new Characterization(program, root, PYTHON, QUICK).record(type, List.of(type), surface, 120, Duration.ZERO).recording();
        Recordings store = new Recordings(root);
        return store.read(store.save(made));
    }

    private Map<Kind, Long> confirm(Recording recording, String text) throws Exception {
        return new Confirmation(written(text), root, PYTHON, QUICK).confirm(recording).stream()
                .collect(Collectors.groupingBy(Verdict::kind, Collectors.counting()));
    }

    private static final String TARIFF = """
            LARGE = 500

            class Tariff:
                def __init__(self, base: int):
                    self.base = base
                    self.asked = 0

                def dues(self, tonnage: int, local: bool, flag: str) -> int:
                    self.asked += 1
                    dues = self.base + tonnage // 10
                    if tonnage > 500:
                        dues += 40
                    if flag is not None and flag.startswith("KQ"):
                        dues -= 5
                    return dues // 2 if local else dues

            def spread(prices):
                return max(prices) - min(prices) if prices else None
            """;

    static Stream<Arguments> slips() {
        return Stream.of(Arguments.of("tonnage > 500", "tonnage >= 500"), Arguments.of("tonnage // 10", "tonnage // 11"),
                Arguments.of("dues -= 5", "dues -= 6"), Arguments.of("\"KQ\"", "\"KX\""),
                Arguments.of("dues // 2 if local else dues", "dues if local else dues // 2"),
                Arguments.of("flag is not None and ", ""), Arguments.of("+= 40", "-= 40"));
    }

    @ParameterizedTest(name = "{0} -> {1}")
    @MethodSource("slips")
    void aSlipIsNoticed(String right, String wrong) throws Exception {
        Recording recording = record("quay.tariff.Tariff", TARIFF);
        assertThat(TARIFF).contains(right);
        assertThat(confirm(recording, TARIFF)).containsOnlyKeys(Kind.SAME);
        assertThat(confirm(recording, TARIFF.replace(right, wrong))).containsKey(Kind.DIFFERENT);
    }

    @Test
    void functionsOfAModuleAreObservedWithoutTypes() throws Exception {
        Recording recording = record("quay.tariff", TARIFF);
        assertThat(recording.cases()).extracting(Case::routine).containsOnly("quay.tariff#spread(prices)");
        assertThat(confirm(recording, TARIFF.replace("else None", "else 0"))).containsKey(Kind.DIFFERENT);
        assertThat(confirm(recording, TARIFF.replace("def spread", "def width"))).containsOnlyKeys(Kind.GONE);
    }

    @Test
    void anObjectIsBuiltInTheWayTheCodeNowOffers() throws Exception {
        Recording recording = record("quay.tariff.Tariff", TARIFF);
        assertThat(confirm(recording, TARIFF.replace("def __init__(self, base: int):\n        self.base = base",
                "def __init__(self):\n        self.base = 0"))).containsOnlyKeys(Kind.SAME);
    }

    private static final String UNTYPED = """
            class Parcel:
                def __init__(self, number, text, set):
                    self.number = number
                    self.text = text
                    self.set = set

                def weight(self):
                    return self.number * 2

            class Scale:
                def __init__(self):
                    self.sum = 0

                def put(self, parcel):
                    self.sum += parcel.weight()

            class Counter:
                def __init__(self, scale, lamp):
                    self.scale = scale
                    self.lamp = lamp

                def take(self, parcel):
                    self.scale.put(parcel)
                    return self.scale.sum

                def word(self, fmt):
                    if fmt == "short":
                        return "p"
                    raise ValueError(fmt)
            """;

    /** No type is declared: a parcel is tried where something goes by that name, or is asked what a parcel can answer. */
    @Test
    void objectsAreTriedForWhatIsCalledLikeThemOrAskedLikeThem() throws Exception {
        Recording recording = record("quay.tariff.Counter", UNTYPED);
        List<Case> taking = recording.cases().stream().filter(each -> each.routine().contains("#take")).toList();
        assertThat(taking).filteredOn(each -> each.given().at("/parcel/is").asText().equals("quay.tariff.Parcel")).hasSizeGreaterThan(taking.size() / 2);
        assertThat(taking).anyMatch(each -> each.outcome().path("gives").isNumber());
        assertThat(recording.cases().stream().filter(each -> each.routine().contains("#word")).map(each -> each.given().get("fmt")))
                .isNotEmpty().noneMatch(each -> each.isContainerNode());
    }

    /** A part called number is a part, and not the number that recordings write so. */
    @Test
    void partsMayGoByTheWordsOfRecordings() throws Exception {
        Recording recording = record("quay.tariff.Parcel", UNTYPED);
        assertThat(recording.cases()).filteredOn(each -> each.routine().contains("#weight"))
                .anyMatch(each -> each.outcome().path("gives").asInt() == 2 * each.on().path("number").asInt() && each.on().path("number").asInt() != 0);
        assertThat(confirm(recording, UNTYPED)).containsOnlyKeys(Kind.SAME);
        assertThat(confirm(recording, UNTYPED.replace("number * 2", "number * 3"))).containsKey(Kind.DIFFERENT);
    }

    /** The scripts that run the code are no modules of the code. */
    @Test
    void modulesMayBeCalledLikeDriftwoodsOwnScripts() throws Exception {
        for (String module : List.of("making", "mistakes")) {
            Files.writeString(root.resolve(module + ".py"), "WORD = \"" + module + "\"\n\ndef shout(times: int):\n    return WORD * times\n");
            Program program = new Scan(Scan.Options.DEFAULT).run(root, List.of(root)).program();
            Surface surface = Surface.of(program.type(module).orElseThrow(), program);
            assertThat(new Characterization(program, root, PYTHON, QUICK).record(module, List.of(module), surface, 20, module.equals("making") ? Duration.ZERO : Duration.ofSeconds(2)).recording().cases())
                    .anyMatch(each -> each.outcome().path("gives").asText().equals(module));
        }
    }

    private static final String HOSTILE = """
            import os, sys, time, datetime

            def endless(tons: int):
                while True: pass

            def leaves(tons: int):
                sys.exit(3)

            def dies(tons: int):
                os._exit(7)

            def deep(tons: int):
                return deep(tons)

            def floods(tons: int):
                for _ in range(200): print("x" * 100000)

            def writes(tons: int):
                with open("log.txt", "a") as file: file.write("moored %d" % tons)

            def day(tons: int):
                return str(datetime.date.today())

            def waves(tons: int):
                yield 1
                yield 10 // tons

            def odd(tons: int):
                return {str(each) + "x" for each in range(3)}, hash("quay"), float("nan")
            """;

    @Test
    void hostileCodeIsContainedAndToldAsWhatItIs() throws Exception {
        Recording recording = record("quay.tariff", HOSTILE);
        Map<String, List<Case>> byRoutine = recording.cases().stream().collect(Collectors.groupingBy(each ->
                each.routine().substring(each.routine().indexOf('#') + 1, each.routine().indexOf('('))));
        assertThat(byRoutine.get("endless")).allMatch(each -> each.outcome().has("endless"));
        assertThat(byRoutine.get("leaves")).allMatch(each -> each.outcome().at("/exits").asText().equals("exit code 3"));
        assertThat(byRoutine.get("dies")).allMatch(each -> each.outcome().at("/exits").asText().equals("exit code 7"));
        assertThat(byRoutine.get("deep")).allMatch(each -> each.outcome().at("/throws/is").asText().equals("RecursionError"));
        assertThat(byRoutine.get("floods")).allMatch(each -> each.outcome().at("/prints").toString().length() < 80_000);
        assertThat(byRoutine.get("writes")).allMatch(each -> each.outcome().at("/files/log.txt/0").asText().startsWith("moored "));
        assertThat(byRoutine.get("day")).allMatch(each -> each.varies().equals(List.of("/gives")));
        assertThat(byRoutine.get("waves")).anyMatch(each -> each.outcome().at("/gives/iterates/0").asInt() == 1)
                .anyMatch(each -> each.outcome().has("throws") && each.outcome().get("iterating").asBoolean());
        assertThat(byRoutine.get("odd")).allMatch(each -> each.varies().equals(List.of("/gives/tuple/1")));
        assertThat(confirm(recording, HOSTILE)).containsOnlyKeys(Kind.SAME);
    }
}
