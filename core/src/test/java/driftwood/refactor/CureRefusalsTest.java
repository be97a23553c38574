package driftwood.refactor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.scan.Scan;
import java.io.IOException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Small changes of code that a cure carries out, each of which it must refuse, with the reason; and what it writes. */
class CureRefusalsTest {
    @TempDir
    Path root;

    private RecipeCase project(String smell, String pattern, String names, String... sources) throws IOException {
        Map<String, String> texts = new LinkedHashMap<>();
        for (String each : sources) {
            String type = each.replaceFirst("(?s).*?(?:class|interface|enum|record) (\\w+).*", "$1");
            texts.put(type + ".java", each);
        }
        RecipeCase one = new RecipeCase(smell, Map.of("smell", smell, "pattern", pattern, "names", names), texts);
        one.write(root);
        return one;
    }

    private static String after(Refactoring refactoring, String file) {
        return refactoring.after(file, refactoring.stages().size()).orElse("").replaceAll("\\s+", " ");
    }

    private static final String LOG = """
            class Log {
                private final StringBuilder text = new StringBuilder();
                %s write(String line, boolean loud) {
                    %s
                }
                String both() {
                    return write("a", true) + write("b", false);
                }
            }
            """;
    private static final String SIDES = "if (loud) { text.append(line).append('!'); return line.trim(); } else { text.append(line); return line.strip(); }";

    @ParameterizedTest(name = "{2}")
    @CsvSource(delimiter = '|', textBlock = """
            String   | loud = !line.isEmpty(); if (loud) { text.append(line).append('!'); return line.trim(); } else { text.append(line); return line.strip(); }                  | NO FINDING
            String   | if (loud) { text.append(line).append(loud); return line.trim(); } else { text.append(line); return line.strip(); }                                         | asked together with something else, or handed on
            String   | if (loud) { text.append(line); return write(line, loud); } else { text.append(line); return line.strip(); }                                                | asked together with something else, or handed on
            <T> String | if (loud) { T none = null; text.append(line).append(none); return line.trim(); } else { text.append(line); return line.strip(); }                         | an arm uses a type parameter
            """)
    void sidesOfAFlagAreLeftWhere(String head, String body, String why) throws IOException {
        RecipeCase one = project("flag-argument", "strategy", "", LOG.formatted(head, body));
        Scan.Result result = RecipeCase.scan(root);
        if (why.equals("NO FINDING")) {
            assertThat(result.findings()).noneMatch(each -> each.smell().equals("flag-argument"));
        } else {
            assertThatThrownBy(() -> one.refactoring(result)).isInstanceOf(Refused.class).hasMessageContaining(why);
        }
    }

    @ParameterizedTest(name = "with {0}")
    @CsvSource(delimiter = '|', textBlock = """
            ''                              | enum WriteMode { LOUD   | LOUD,  | PLAIN | WriteMode.LOUD)
            true=SHOUTED                    | enum WriteMode { SHOUTED | SHOUTED | PLAIN | WriteMode.SHOUTED)
            strategy=Voice, false=WHISPERED | enum Voice { LOUD        | LOUD   | WHISPERED | Voice.WHISPERED)
            """)
    void namesCanBeChosen(String names, String declared, String yes, String no, String called) throws IOException {
        RecipeCase one = project("flag-argument", "strategy", names, LOG.formatted("String", SIDES));
        Refactoring done = one.refactoring(RecipeCase.scan(root));
        assertThat(after(done, "Log.java")).contains(declared).contains(yes.replace(",", "")).contains(no).contains(called);
        assertThat(done.kinds()).hasValueSatisfying(kinds -> assertThat(kinds.constants()).hasSize(2).contains(no));
    }

    private static final String TWIN = """
            %s class %sGate %s {
                private int moves;
                %s
                String open(String who) {
                    moves++;
                    String told = who.trim() + moves;
                    return told + toll(who);
                }
                %s
            }
            """;

    private String twin(String head, String name, String parent, String more, String toll) {
        return TWIN.formatted(head, name, parent, more, toll);
    }

    @ParameterizedTest(name = "{4}")
    @CsvSource(delimiter = '|', textBlock = """
            ''   | ''                | private int toll(String who) { int all = who.length(); return all * 2; } | private int toll(String who) { if (who.isEmpty()) { return 0; } return 7; } | carried out
            ''   | ''                | private static int toll(String who) { int all = who.length(); return all * 2; } | private static int toll(String who) { if (who.isEmpty()) { return 0; } return 7; } | is static, and no object can do it in its own way
            ''   | ''                | private int toll(String who) { return 2; }                              | private int toll(String who) { return 7; }                                  | one class that is given them says it more simply
            ''   | extends Thread    | private int toll(String who) { int all = who.length(); return all * 2; } | private int toll(String who) { if (who.isEmpty()) { return 0; } return 7; } | carried out
            """)
    void whatTwinsShareIsHandedTheRest(String head, String parent, String north, String south, String why) throws IOException {
        RecipeCase one = project("near-twin-classes", "strategy", "", twin(head, "North", parent, "", north), twin(head, "South", parent, "", south));
        Scan.Result result = RecipeCase.scan(root);
        if (!why.equals("carried out")) {
            assertThatThrownBy(() -> one.refactoring(result)).isInstanceOf(Refused.class).hasMessageContaining(why);
            return;
        }
        Refactoring done = one.refactoring(result);
        assertThat(after(done, "Toll.java")).contains("interface Toll { int toll(String who); }");
        assertThat(after(done, "Gate.java")).contains("class Gate " + (parent.isEmpty() ? "" : parent + " ") + "{ private int moves; private final Toll toll;")
                .contains("return toll.toll(who);");
        assertThat(after(done, "NorthGate.java")).contains("class NorthGate extends Gate { NorthGate() { super(new NorthToll()); }");
        assertThat(after(done, "SouthGate.java")).contains("private static final class SouthToll implements Toll");
    }

    private static final String STAY = "class Stay { int nights = 2; int metres = 9; int people = 3; boolean power; }";

    @ParameterizedTest(name = "{1}")
    @CsvSource(delimiter = '|', textBlock = """
            class Bills { private int count; static int cost(Stay stay) { int all = stay.nights * stay.metres; return all + stay.people; } int all(Stay stay) { return cost(stay) + count; } } | is static
            class Bills { private int count; <T> int cost(Stay stay, T more) { int all = stay.nights * stay.metres; return all + stay.people; } int all(Stay stay) { return cost(stay, 1) + count; } } | has type parameters around it
            class Bills { private int cost = 1; int cost(Stay stay) { int all = stay.nights * stay.metres; return all + stay.people; } int all(Stay stay) { return cost(stay) + cost; } } | there is a cost already
            """)
    void whatIsComputedStaysWhere(String bills, String why) throws IOException {
        RecipeCase one = project("misplaced-behaviour", "strategy", "", STAY, bills);
        Scan.Result result = RecipeCase.scan(root);
        assertThatThrownBy(() -> one.refactoring(result)).isInstanceOf(Refused.class).hasMessageContaining(why);
    }

    @ParameterizedTest(name = "{2}")
    @CsvSource(delimiter = '|', textBlock = """
            Rope(int length, int width) { this.length = length; this.width = width; }       | return new Rope(width, length);                     | Rope.builder().length(length).width(width).build()
            Rope(int length, int width) { this.length = length; this.width = width; } Rope(Rope other) { this(other.length, other.width); } | return new Rope(width, length); | REFUSED takes one object as well
            Rope(int length, int width, Object... more) { this.length = length; this.width = width; } | return new Rope(width, length);          | REFUSED takes any number of arguments
            static Object builder() { return null; } Rope(int length, int width) { this.length = length; this.width = width; } | return new Rope(width, length); | REFUSED has a Builder or builder() already
            """)
    void whatWasMixedUpIsToldByName(String members, String call, String result) throws IOException {
        String rope = "class Rope { final int length; final int width; " + members + " }";
        RecipeCase one = project("swapped-arguments", "builder", "", rope, "class Yard { Rope rope(int length, int width) { " + call + " } }");
        Scan.Result scanned = RecipeCase.scan(root);
        if (result.startsWith("REFUSED ")) {
            assertThatThrownBy(() -> one.refactoring(scanned)).isInstanceOf(Refused.class).hasMessageContaining(result.substring(8));
            return;
        }
        Refactoring done = one.refactoring(scanned);
        assertThat(after(done, "Yard.java")).contains(result);
        assertThat(after(done, "Rope.java")).contains("missing.remove(\"width\");").contains("not said: ").doesNotContain("Rope(int length");
        assertThat(done.meant()).singleElement().asString().contains("length and width in their own places");
    }

    @Test
    void recordsKeepTheirConstructorAndAreBuiltByIt() throws IOException {
        RecipeCase one = project("swapped-arguments", "builder", "", "record Trip(String from, String to) { }", "class Desk { Trip back(String to, String from) { String told = to + from; return new Trip(to, from); } }");
        Scan.Result result = RecipeCase.scan(root);
        Refactoring done = one.refactoring(result);
        assertThat(after(done, "Trip.java")).contains("return new Trip(from, to);").contains("private String from;").doesNotContain("private Trip(");
        assertThat(after(done, "Desk.java")).contains(".from(from)").contains(".to(to)").contains(".build()");
    }

    @ParameterizedTest(name = "{0} parts")
    @CsvSource({"5, false", "6, true", "8, true"})
    void longListsAreToldByName(int parts, boolean long_) throws IOException {
        StringBuilder taken = new StringBuilder();
        StringBuilder kept = new StringBuilder();
        StringBuilder fields = new StringBuilder();
        StringBuilder given = new StringBuilder();
        for (int i = 0; i < parts; i++) {
            String name = "part" + (char) ('A' + i);
            taken.append(i == 0 ? "" : ", ").append("String ").append(name);
            kept.append("this.").append(name).append(" = ").append(name).append("; ");
            fields.append("final String ").append(name).append("; ");
            given.append(i == 0 ? "\"" : ", \"").append(name).append('"');
        }
        RecipeCase one = project("long-parameter-list", "builder", "", "class Crate { " + fields + "Crate(" + taken + ") { " + kept + "} }",
                "class Yard { Crate first() { return new Crate(" + given + "); } Crate second() { return new Crate(" + given + "); } }");
        Scan.Result result = RecipeCase.scan(root);
        assertThat(result.findings().stream().anyMatch(each -> each.smell().equals("long-parameter-list"))).isEqualTo(long_);
        if (long_) {
            assertThat(after(one.refactoring(result), "Yard.java")).contains("Crate.builder()").contains(".partA(\"partA\")").contains(".build()");
        }
    }

    private static final String BELL = "class %s%sBell implements Bell { public String ring(int times) { %s } public int weight() { int base = %d; return base * 2; } }";

    /** A word is a wrapper only where each of its cells does what another's does, and the same more. */
    @ParameterizedTest(name = "{0} and {1}")
    @CsvSource(delimiter = '|', textBlock = """
            return "<" + "ding".repeat(times) + ">"; | return "<" + ("dong" + times) + ">";     | return "<" + wrapped.ring(times) + ">";
            return "ding".repeat(times) + times;     | return "dong" + times + times;           | return wrapped.ring(times) + times;
            return "<" + "ding".repeat(times) + ">"; | return "[" + ("dong" + times) + "]";     | REFUSED
            return "ding".repeat(times + 1) + ">";   | return ("dong" + times) + ">";           | REFUSED
            """)
    void aWordThatOnlyAddsWraps(String ship, String fog, String body) throws IOException {
        RecipeCase one = project("subclass-explosion", "decorator", "", "interface Bell { String ring(int times); int weight(); }",
                BELL.formatted("Plain", "Ship", "return \"ding\".repeat(times);", 3), BELL.formatted("Plain", "Fog", "return \"dong\" + times;", 4),
                BELL.formatted("Loud", "Ship", ship, 3), BELL.formatted("Loud", "Fog", fog, 4));
        Scan.Result result = RecipeCase.scan(root);
        if (body.equals("REFUSED")) {
            assertThatThrownBy(() -> one.refactoring(result)).isInstanceOf(Refused.class).hasMessageContaining("no word of their names only adds to what those of another word do");
            return;
        }
        Refactoring done = one.refactoring(result);
        assertThat(after(done, "LoudBell.java")).contains("class LoudBell implements Bell").contains(body).contains("return wrapped.weight();");
        assertThat(after(done, "LoudFogBell.java")).contains("class LoudFogBell extends LoudBell { LoudFogBell() { super(new PlainFogBell()); } }");
        assertThat(done.files()).doesNotContain("PlainFogBell.java", "PlainShipBell.java");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            private int cost | interface Cost | class UsualCost implements Cost | return cost.cost(stay);
            int computeCost  | interface Cost | class UsualCost implements Cost | return cost.computeCost(stay);
            """)
    void whatIsComputedIsAnObject(String head, String contract, String usual, String call) throws IOException {
        String name = head.replaceFirst(".* ", "");
        RecipeCase one = project("misplaced-behaviour", "strategy", "", STAY, "class Bills { private int count; " + head
                + "(Stay stay) { int all = stay.nights * stay.metres; return all + stay.people; } int all(Stay stay) { return " + name + "(stay) + count; } }");
        Refactoring done = one.refactoring(RecipeCase.scan(root));
        assertThat(after(done, "Cost.java")).contains(contract).contains("int " + name + "(Stay stay);");
        assertThat(after(done, "UsualCost.java")).contains(usual);
        assertThat(after(done, "Bills.java")).contains(call).contains("this(new UsualCost());").contains("private final Cost cost;");
    }
}
