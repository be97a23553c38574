package driftwood.scan;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.smell.Finding;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a language spells in its own way is the same matter as elsewhere. */
class SpellingsTest {
    @TempDir
    Path root;

    private List<Finding> found(String file, String text) {
        Given.write(root.resolve(file), text);
        Scan.Result result = new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root));
        assertThat(result.unread()).isEmpty();
        return result.findings();
    }

    private List<String> smells(String file, String text) {
        return found(file, text).stream().map(Finding::smell).toList();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            Sketch.php | fopen('php://memory', 'w+')        | 0
            Sketch.php | fopen('php://temp', 'w+')          | 0
            Sketch.php | fopen('php://output', 'w')         | 0
            Sketch.php | fopen('php://stderr', 'w')         | 0
            Sketch.php | fopen('sketch.txt', 'w+')          | 1
            Sketch.php | new PDO('sqlite::memory:')         | 0
            Sketch.php | new PDO('sqlite:quay.db')          | 1
            """)
    void whatIsInMemoryIsNoResource(String file, String opened, int findings) {
        assertThat(smells(file, """
                <?php
                class Sketch { private $out; public function __construct() { $this->out = %s; } public function add(string $t): void { fwrite($this->out, $t); } }
                class Left { public function draw(): void { $s = new Sketch(); $s->add('l'); } }
                class Right { public function draw(): void { $s = new Sketch(); $s->add('r'); } }
                """.formatted(opened)).stream().filter(each -> each.equals("uncontrolled-instances"))).hasSize(findings);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            ("scale.local", 4001) | scale.local:4001
            "scale.local"         | scale.local
            """)
    void anAddressMayHaveSeveralParts(String address, String told) {
        assertThat(found("scale.py", """
                import socket


                class Scale:
                    def __init__(self):
                        self.link = socket.create_connection(%s)

                    def grams(self):
                        return int(self.link.recv(16))


                def fish():
                    return Scale().grams()


                def fruit():
                    return Scale().grams() * 2
                """.formatted(address))).anySatisfy(each -> assertThat(each.message()).contains("always the same (" + told + ")"));
    }

    @ParameterizedTest
    @CsvSource({"#[\\Override], 0", "#[Override], 0", "#[Deprecated], 1", "'', 1"})
    void whatOverridesRepeatsTheListOfItsParent(String attribute, int findings) {
        assertThat(smells("Cart.php", """
                <?php
                namespace Quay;
                use Other\\Carrier;
                class Cart extends Carrier
                {
                    private array $taken = [];
                    %s
                    public function carry(string $what, string $from, string $to, int $kilos, int $day, bool $fragile): void
                    {
                        $this->taken[] = [$what, $from, $to, $kilos, $day, $fragile];
                    }
                }
                """.formatted(attribute))).hasSize(findings);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            meter.litresSince(day) | meter.reading(day, 3) | mismatched-interfaces
            meter.litresSince(day) | 0L                    |
            """)
    void aTypeTestTellsTheTypeOfWhatIsAsked(String one, String other, String smell) {
        List<String> smells = smells("Billing.kt", """
                package energy
                class WaterMeter { private var litres = 0L; fun litresSince(day: Int): Long = litres + day }
                class PowerMeter { private var total = 0L; fun reading(day: Int, phase: Int): Long = total * phase + day }
                class Billing {
                    private var billed = 0L
                    fun bill(meter: Any, day: Int) {
                        val units = when (meter) {
                            is WaterMeter -> %s
                            is PowerMeter -> %s
                            else -> error("unknown meter")
                        }
                        billed += units * 2
                    }
                }
                """.formatted(one, other));
        assertThat(smells).isEqualTo(smell == null ? List.of() : List.of(smell));
    }

    @Test
    void typesAndMarkupStandInOneFile() {
        assertThat(smells("Panel.tsx", """
                type Ship = { kind: 'tug' | 'tanker'; name: string; tonnage: number };
                export class Panel {
                  private clicks = 0;
                  cell<T extends Ship>(ship: T): JSX.Element {
                    switch (ship.kind) {
                      case 'tug': this.clicks += ship.tonnage; return <b className="tug">{ship.name.toUpperCase()}</b>;
                      case 'tanker': { const weight = (ship as Ship).tonnage * 2; return <><i>{weight} t</i></>; }
                    }
                  }
                }
                """)).containsExactly("type-switch");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '@', textBlock = """
            if (host == null) throw new IllegalStateException("no host");                    @ SetHost
            if (host == null || port == null) throw new IllegalStateException("not ready");  @ SetHost,SetPort
            if (port == null || to.isEmpty()) throw new IllegalStateException("not ready");  @ SetPort
            """)
    void anyOfSeveralPartsThatAreMissingIsDemanded(String check, String setters) {
        String text = found("Mailer.java", """
                class Mailer {
                    private String host; private String port; private int sent;
                    void setHost(String host) { this.host = host; }
                    void setPort(String port) { this.port = port; }
                    String send(String to) { %s sent++; return host.trim() + port.trim() + to; }
                }
                """.formatted(check)).get(0).message();
        for (String each : List.of("SetHost", "SetPort")) {
            assertThat(text.contains("s" + each.substring(1) + "()")).as(each).isEqualTo(List.of(setters.split(",")).contains(each));
        }
    }

    @ParameterizedTest
    @CsvSource({"2, 1", "9, 0"})
    void typesThatDoMoreOutsideOfRoutinesThanTheyRepeatAreNoTwins(int statements, int findings) {
        StringBuilder rules = new StringBuilder();
        for (int i = 0; i < statements; i++) {
            rules.append("  rule(:%1$s, /%1$s").append(i).append("/) { |found| token found, ").append(i).append(" }\n");
        }
        String twin = """
                class %2$s < Reader
                %3$s
                  def self.detect?(text)
                    return true if text.begins?('%1$s')
                    return true if text.ends?('%1$s')
                  end
                end
                """;
        assertThat(smells("readers.rb", twin.formatted("tide", "Tide", rules.toString().formatted("tide"))
                + twin.formatted("wind", "Wind", rules.toString().formatted("wind").replace("token", "mark"))))
                .filteredOn("near-twin-classes"::equals).hasSize(findings);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            Far.ts | export function far(a: any) { return a%s; }       | ?.m()
            Far.ts | export function far(a: any) { return a%s; }       | ?.p.q
            Far.kt | fun far(a: Any) = a%s                             | ?.m()
            Far.cs | class Far { object Of(dynamic a) => a%s; }        | ?.P
            Far.rb | def far(a) = a%s                                  | &.m()
            """)
    @Timeout(20)
    void longWaysOfSafeStepsAreWalkedOnce(String file, String text, String step) {
        assertThat(smells(file, text.formatted(step.repeat(40)))).isEmpty();
    }

    /** The grammar knows none of these; each is read, and as what it is. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            roster().pilot = name
            desk.roster().pilot = name
            desk.roster(2, "east").pilot += name
            desk.roster()[2] = name
            also { roster().pilot = name }
            for (i in 0..<name.length) { call(name) }
            when { desk.isOpen(name) -> if (late) call(name) else "" ; else -> "" }
            when { !isOpen(name.take(2)) -> call(name) ; else -> call("") }
            """)
    void kotlinIsReadWhereItsGrammarGivesUp(String statement) {
        assertThat(found("Desk.kt", "class Desk {\n    fun at(desk: Any, name: String, late: Boolean) {\n        "
                + statement.replace(" ; ", "\n            ") + "\n    }\n}\n")).isEmpty();
    }

    @Test
    void aKotlinCallThatIsAssignedToIsACall() {
        Given.write(root.resolve("Roster.kt"), """
                class Pilot {
                    var name: String = ""
                    fun again(): Pilot { return this }
                }
                class Roster {
                    fun pilot(name: String): Pilot { return Pilot() }
                }
                class Desk(private val roster: Roster) {
                    fun a(n: String) { roster.pilot(n).again().name = n }
                    fun b(n: String): Int { return when { !isFree(n) -> 1 ; else -> 2 } }
                    fun isFree(n: String): Boolean { return n.length > 2 }
                }
                """.replace(" ; ", "\n"));
        Scan.Result result = new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root));
        assertThat(result.unread()).isEmpty();
        for (String name : List.of("pilot", "again", "isFree")) {
            assertThat(result.program().callsOf(name)).as(name).hasSize(1);
        }
    }

    @ParameterizedTest
    @CsvSource({"(gauge as Float).read(), true", "(other as Float).read(), false"})
    void aCastOfSomethingElseSaysNothingOfWhatIsAskedAbout(String does, boolean told) {
        List<Finding> found = found("Gauge.kt", """
                open class Gauge { var kind: String = "" }
                class Float : Gauge() { fun read() { println(1) } }
                class Mast(private var level: Int) {
                    fun read(gauge: Gauge, other: Gauge) {
                        when (gauge.kind) {
                            "float" -> { level += 2; %s }
                            "step" -> { level += 3; println(level) }
                            "radar" -> { level += 4; println(level + 1) }
                        }
                    }
                }
                """.formatted(does));
        assertThat(found).extracting(Finding::smell).contains("type-switch");
        assertThat(found.stream().filter(each -> each.smell().equals("type-switch")).findFirst().orElseThrow().drag().reasons().toString().contains("cast")).isEqualTo(told);
    }

    @ParameterizedTest
    @CsvSource({"parent, true", "chart, false"})
    void aLinkOfNoDeclaredTypeIsToldByItsName(String field, boolean link) {
        List<Finding> found = found("berth.js", """
                class Berth {
                    constructor() { this.%1$s = null; this.name = ''; }
                    put(other) { other.%1$s = this; }
                    take() { this.%1$s = null; }
                    a() { if (this.%1$s !== null) { this.%1$s.draw(); } }
                    b() { if (this.%1$s !== null) { this.%1$s.move(2); } }
                    c() { if (this.%1$s !== null) { this.%1$s.name = 'c'; } }
                    d() { if (this.%1$s !== null) { this.%1$s.name = 'd'; } }
                }
                """.formatted(field));
        assertThat(found).extracting(Finding::smell).containsExactly("null-check");
        assertThat(found.get(0).drag().reasons().toString().contains("links end somewhere")).isEqualTo(link);
    }

    @ParameterizedTest
    @CsvSource({"'m11, m12, m13, m21, m22, m23', true", "'left, top, width, height, from, to', false"})
    void aRowOfNumberedValuesDragsLess(String parameters, boolean numbered) {
        List<Finding> found = found("chart.js", "export class Chart { set(" + parameters + ") { this.all = [" + parameters + "]; } }\n"
                + "export class Desk { a(c) { c.set(1, 2, 3, 4, 5, 6); } b(c) { c.set(2, 3, 4, 5, 6, 7); } }\n");
        assertThat(found).extracting(Finding::smell).contains("long-parameter-list");
        assertThat(found.toString().contains("its parameters are numbered")).isEqualTo(numbered);
    }
}
