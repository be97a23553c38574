package driftwood.behaviour;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.behaviour.process.Limits;
import driftwood.behaviour.run.Ground;
import driftwood.behaviour.run.InterpreterGround;
import driftwood.behaviour.run.InterpreterRun;
import driftwood.behaviour.run.Runtimes;
import driftwood.behaviour.slip.Notices;
import driftwood.behaviour.slip.Slips;
import driftwood.behaviour.view.Surface;
import driftwood.program.Program;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Slips planted in Python code, in a real interpreter. */
class PythonNoticesTest {
    private static final Limits QUICK = InPython.QUICK;
    private static final Runtimes.Interpreter PYTHON = InPython.PYTHON;

    @TempDir
    Path root;

    @BeforeAll
    static void needsPython() throws InterruptedException {
        InPython.isNeeded();
    }

    private Program written(String text) throws IOException {
        return InPython.written(root, "lock", text);
    }

    private Notices notices(String type, String text) throws IOException {
        Program program = written(text);
        return new Characterization(program, root, PYTHON, QUICK)
                .record(type, List.of(type), Surface.of(program.type(type).orElseThrow(), program), 80, Duration.ofSeconds(15)).notices();
    }

    /** All slips of a module's routines, none of them planted. */
    private List<String> slips(String text) throws IOException {
        Program program = written(text);
        InterpreterRun run = Runtimes.run(program, root, PYTHON);
        Ground ground = new InterpreterGround(run, root, QUICK, Surface.of(program.type("quay.lock").orElseThrow(), program));
        List<String> told = new ArrayList<>();
        ground.slips().forEach(each -> told.add(each.line() + " " + each.kind() + " " + each.what()));
        return told;
    }

    @Test
    void everySortOfSlipIsFoundAndTextsThatOnlyExplainAreNot() throws IOException {
        assertThat(slips("""
                def dues(tonnage: int, local: bool, flags: list) -> int:
                    \"\"\"What a vessel pays.\"\"\"
                    total = 20 + tonnage * 2
                    if tonnage > 500 and local:
                        flags.append("large")
                    for _ in range(1):
                        total -= helper(tonnage, total)
                        "Told below it, as some do."
                    return total

                def helper(one, other):
                    return one if one == other else None

                def nobody_asks():
                    return 9
                """)).containsExactlyInAnyOrder("3 CONSTANT 20 becomes 21", "3 CONSTANT 2 becomes 3", "3 OPERATOR + becomes -",
                "3 OPERATOR * becomes /", "4 CONDITION the condition is turned round", "4 CONDITION and becomes or",
                "4 LIMIT > becomes >=", "4 CONSTANT 500 becomes 501", "5 REMOVED_CALL the call of append is left out",
                "5 CONSTANT \"large\" becomes another text", "6 CONSTANT 1 becomes 0", "7 OPERATOR - becomes +",
                "7 SWAPPED the last two arguments of helper change places", "9 RESULT None is handed back",
                "12 RESULT None is handed back", "12 CONDITION the condition is turned round", "15 RESULT None is handed back",
                "15 CONSTANT 9 becomes 10");
    }

    @Test
    void aSmallTariffIsPinnedDown() throws IOException {
        Notices notices = notices("quay.lock.Tariff", """
                class Tariff:
                    def __init__(self, base: int):
                        self.base = base
                    def dues(self, tonnage: int, local: bool) -> int:
                        dues = self.base + tonnage // 10
                        if tonnage > 500:
                            dues += 40
                        return dues // 2 if local else dues
                """);
        assertThat(notices.missed()).isEmpty();
        assertThat(notices.unreached()).isEmpty();
        assertThat(notices.noticed()).isGreaterThan(9);
    }

    @Test
    void aSlipInWhatIsRememberedIsNoticedToo() throws IOException {
        Notices notices = notices("quay.lock", """
                from functools import lru_cache

                @lru_cache(maxsize=None)
                def depth(berth: int) -> int:
                    return berth * 3
                """);
        assertThat(notices.missed()).isEmpty();
        assertThat(notices.noticed()).isEqualTo(3);
    }

    @Test
    void slipsArePlantedWhereNamesArePrivateParentsAreAskedAndTypesAreNested() throws IOException {
        Notices notices = notices("quay.lock.Gate", """
                from __future__ import annotations
                import functools

                def doubled(routine):
                    @functools.wraps(routine)
                    def around(self):
                        return 2 * routine(self)
                    return around

                class Basin:
                    def __init__(self, depth: int):
                        self.__depth = depth
                    def level(self) -> int:
                        return self.__depth + 3

                class Gate(Basin):
                    class Wheel:
                        def turns(self) -> int:
                            return 4
                    def __init__(self, depth: int):
                        super().__init__(depth)
                        self.__wheel = Gate.Wheel()
                    @property
                    def width(self) -> int:
                        return self.level() * self.__wheel.turns()
                    @doubled
                    def height(self) -> int:
                        return super().level() - 1
                    @staticmethod
                    def spare(count: int) -> int:
                        return count - 1
                """);
        assertThat(notices.missed()).isEmpty();
        assertThat(notices.untried()).isZero();
        assertThat(notices.noticed()).isGreaterThan(14);
    }

    @Test
    void slipsThatNeverEndAreNoticedAndContained() throws IOException {
        Notices notices = notices("quay.lock", """
                def hours(depth: int) -> int:
                    hours, left = 0, min(depth, 40)
                    while left > 0:
                        hours += 1
                        left -= 4
                    return hours
                """);
        assertThat(notices.untried()).isZero();
        assertThat(notices.noticed()).isGreaterThan(4);
    }

    @Test
    void whatNoCaseComesToIsToldByFileAndLine() throws IOException {
        Notices notices = notices("quay.lock", """
                def open(word: str) -> str:
                    if word is not None and len(word) == 91827:
                        return "open" + word
                    return "shut"
                """);
        assertThat(notices.unreached()).isNotEmpty().allSatisfy(each -> {
            assertThat(each.slip().line()).isEqualTo(3);
            assertThat(each.file()).isEqualTo("quay/lock.py");
        });
    }

    @Test
    void attributesThatAreAnnotatedAndParametersThatMayBeLeftOutAreTried() throws IOException {
        assertThat(notices("quay.lock.Roster", """
                class Pilot:
                    def __init__(self, most: int):
                        self.most = most

                class Roster:
                    def __init__(self, spare=()):
                        self.on_duty: list[Pilot] = []
                        self.spare = len(spare)

                    def fee(self, tonnage: int) -> int:
                        for pilot in self.on_duty:
                            if tonnage <= pilot.most:
                                return 7 + self.spare
                        return 0
                """).unreached()).isEmpty();
    }
}
