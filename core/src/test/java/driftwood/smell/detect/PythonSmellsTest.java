package driftwood.smell.detect;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.scan.Scan;
import driftwood.smell.Finding;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;

/** The same detectors on Python: for each smell a source that has it, and one that only looks like it. */
class PythonSmellsTest {
    @TempDir
    Path root;

    private static final Map<String, String> SMELLY = Map.ofEntries(
            Map.entry("type-switch", """
                    class Tug: pass
                    class Yacht: pass
                    class Dues:
                        def quote(self, vessel, nights):
                            if isinstance(vessel, Tug):
                                return self.base(nights) // 2
                            elif isinstance(vessel, Yacht):
                                return self.base(nights) + 4
                            return 0
                        def base(self, nights): return nights * 9
                    """),
            Map.entry("telescoping-constructor", """
                    class Berth:
                        def __init__(self, name, depth=None, length=None, tidal=False, owner=None):
                            self.name = name
                            self.depth = 4 if depth is None else depth
                            self.length = 30 if length is None else length
                            self.owner = owner
                    def make():
                        return Berth("a", None, None, False, None)
                    """),
            Map.entry("swapped-arguments", """
                    def resize(width, height): return width * height
                    def fit(width, height): return resize(height, width)
                    """),
            Map.entry("mismatched-interfaces", """
                    class Sonar:
                        def measure(self, berth) -> int: return 4
                    class LeadLine:
                        def lower(self, berth, rope) -> int: return 9
                    class Survey:
                        def __init__(self, sonar: Sonar, line: LeadLine):
                            self.sonar = sonar
                            self.line = line
                        def depth(self, berth, digital):
                            return self.sonar.measure(berth) if digital else self.line.lower(berth, 30)
                    """),
            Map.entry("near-twin-classes", """
                    class TugInvoice:
                        def total(self, base):
                            amount = base + 4
                            return amount * self.nights
                    class YachtInvoice:
                        def total(self, base):
                            amount = base + 9
                            return amount * self.nights
                    """),
            Map.entry("misplaced-behaviour", """
                    class Berth:
                        def __init__(self, length, depth, rate):
                            self.length = length
                            self.depth = depth
                            self.rate = rate
                    class Office:
                        def dues(self, berth: Berth):
                            return berth.length * berth.depth + berth.rate
                    """),
            Map.entry("guard-heavy-method", """
                    class Pump:
                        def pump(self, litres):
                            if self.closed:
                                return
                            if litres < 0:
                                raise ValueError()
                            litres = min(litres, 9)
                            self.calls += 1
                            self.last = litres
                            self.engine.pump(litres)
                    """),
            Map.entry("hard-coded-instantiation", """
                    class TideGauge:
                        def depth(self):
                            return open("gauge").read()
                    class Arrivals:
                        def __init__(self):
                            self.gauge = TideGauge()
                        def may_enter(self, draught):
                            return self.gauge.depth() > draught
                    """),
            Map.entry("half-built-object", """
                    class Pilotage:
                        def __init__(self):
                            self.tide = None
                        def set_tide(self, tide):
                            self.tide = tide
                        def begin(self):
                            if self.tide is None:
                                raise RuntimeError("no tide")
                            return self.tide.level()
                    """),
            Map.entry("threshold-ladder", """
                    class Yard:
                        def moor(self, vessel): pass
                    class Port:
                        def __init__(self, yard: Yard, basin: Yard, roads: Yard):
                            self.yard = yard
                            self.basin = basin
                            self.roads = roads
                        def take(self, vessel, metres):
                            if metres < 20:
                                self.yard.moor(vessel)
                            elif metres < 120:
                                self.basin.moor(vessel)
                            else:
                                self.roads.moor(vessel)
                    """),
            Map.entry("subclass-explosion", """
                    class Tariff: pass
                    class DayTugTariff(Tariff):
                        def quote(self, base):
                            amount = base * 2
                            return amount + 1
                    class NightTugTariff(Tariff):
                        def quote(self, base):
                            amount = base - 2
                            return amount / 3
                    class DayYachtTariff(Tariff):
                        def quote(self, base):
                            amount = base * 2
                            return amount + 1
                    class NightYachtTariff(Tariff):
                        def quote(self, base):
                            amount = base - 2
                            return amount / 3
                    """),
            Map.entry("bypassed-wrapper", """
                    class Gauge: pass
                    class TideGauge(Gauge): pass
                    class Checked(Gauge):
                        def __init__(self, inner: Gauge):
                            self.inner = inner
                    def outer(): return Checked(TideGauge())
                    def inner(): return Checked(TideGauge())
                    def spare(): return TideGauge()
                    """));

    private static final Map<String, String> HEALTHY = Map.ofEntries(
            Map.entry("type-switch", "def text(v):\n    if isinstance(v, str):\n        return clean(v)\n    elif isinstance(v, list):\n        return join(v)\n"),
            Map.entry("telescoping-constructor", "class Berth:\n    def __init__(self, name, *, depth=4, length=30, tidal=False, owner=None):\n        self.name = name\ndef make():\n    return Berth('a', depth=9)\n"),
            Map.entry("long-parameter-list", "class Log:\n    def note(self, a, b, c, d, *rest, **options):\n        return a\n"),
            Map.entry("swapped-arguments", "def resize(width, height): return 4\ndef fit(width, height): return resize(width=width, height=height)\n"),
            Map.entry("null-check", "def find(x):\n    if x > 3:\n        return None\n    return x\ndef use(x):\n    y = find(x)\n    if y is None:\n        raise KeyError(x)\n    return y\n"),
            Map.entry("flag-argument", "def fee(night):\n    return 4 if night else 9\nfee(True)\n"),
            Map.entry("near-twin-classes", "class A:\n    def go(self): return 4\nclass B:\n    def go(self): return 4\n"),
            Map.entry("uncontrolled-instances", "class Log:\n    def add(self, text):\n        with open('x') as out:\n            out.write(text)\ndef a(): return Log()\ndef b(): return Log()\n"),
            Map.entry("constructor-work", "class Table:\n    def __init__(self, rows):\n        self.rows = []\n        for row in rows:\n            self.rows.append(row)\n"),
            Map.entry("conditional-instantiation", "class A(P): pass\nclass B(P): pass\nclass P: pass\ndef choose(big):\n    if big:\n        return A()\n    return B()\n"));

    private List<Finding> scan(String smell, String text) {
        Path folder = root.resolve(smell);
        Given.write(folder.resolve("desk.py"), text);
        return new Scan(Scan.Options.DEFAULT).run(folder, List.of(folder)).findings().stream()
                .filter(each -> each.smell().equals(smell)).toList();
    }

    @TestFactory
    Stream<DynamicTest> reported() {
        return SMELLY.entrySet().stream().map(each -> DynamicTest.dynamicTest(each.getKey(), () ->
                assertThat(scan(each.getKey(), each.getValue())).as(each.getKey()).isNotEmpty()
                        .allSatisfy(finding -> assertThat(finding.language()).isEqualTo("python"))));
    }

    @TestFactory
    Stream<DynamicTest> leftAlone() {
        return HEALTHY.entrySet().stream().map(each -> DynamicTest.dynamicTest(each.getKey(), () ->
                assertThat(scan(each.getKey(), each.getValue())).as(each.getKey()).isEmpty()));
    }
}
