package driftwood.smell.detect.kind;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TypeSwitchTest {
    private static final String VESSELS = """
            package quay;
            abstract class Vessel { int tonnage; int tonnage() { return tonnage; } Kind kind; Kind getKind() { return kind; } }
            class Tug extends Vessel { int pull() { return 1; } }
            class Tanker extends Vessel { boolean hazardous; }
            class Yacht extends Vessel { }
            enum Kind { TUG, TANKER, YACHT }
            """;

    private static List<String> messages(String... sources) {
        return Given.messages("type-switch", sources);
    }

    private static String desk(String body) {
        return "package quay;\nimport java.util.*;\nclass Desk {\n    int sum;\n    void log(Object o) { }\n" + body + "\n}\n";
    }

    @Test
    void aLadderOfTypeTestsThatWorkIsReported() {
        Finding finding = Given.only("type-switch", VESSELS, desk("""
                int dues(Vessel vessel) {
                    if (vessel instanceof Tug) {
                        return vessel.tonnage() * 2;
                    } else if (vessel instanceof Tanker) {
                        log(vessel);
                        return vessel.tonnage() * 3;
                    }
                    return 0;
                }"""));
        assertThat(finding.message())
                .isEqualTo("picks behaviour by the run-time type of vessel in 2 cases: Tug, Tanker");
        assertThat(finding.symbol()).isEqualTo("quay.Desk#dues(Vessel)");
        assertThat(finding.line()).isEqualTo(7);
        assertThat(finding.endLine()).isEqualTo(12);
        assertThat(finding.evidence()).extracting(Evidence::note).containsExactly(
                "arm for Tug: return vessel.tonnage() * 2", "arm for Tanker: log(vessel)", "default: return 0");
    }

    @Test
    void aLastArmThatThrowsForAllButOneIsTheDefault() {
        assertThat(messages(VESSELS, desk("""
                int dues(Vessel v, String group) {
                    int dues = v.tonnage();
                    if (group.equals("guest")) {
                        dues = dues / 2;
                        log(group);
                    } else if (group.equals("member")) {
                        dues = dues * 7 / 10;
                        log(v);
                    } else if (!group.equals("all")) {
                        throw new IllegalArgumentException(group);
                    }
                    return dues;
                }"""))).containsExactly("picks behaviour by the tag group in 2 cases: \"guest\", \"member\"");
    }

    @Test
    void whatIsLookedUpByTheSameTypesIsOneMorePlace() {
        assertThat(messages(VESSELS, desk("""
                int dues(Vessel v) {
                    if (v instanceof Tug) {
                        return v.tonnage() * 2;
                    } else if (v instanceof Tanker) {
                        log(v);
                        return v.tonnage() * 3;
                    } else if (v instanceof Yacht) {
                        return v.tonnage() * 9;
                    }
                    throw new IllegalStateException();
                }
                String name(Vessel v) {
                    return v instanceof Tug ? "tug" : v instanceof Tanker ? "tanker" : v instanceof Yacht ? "yacht" : "vessel";
                }"""))).containsExactly("picks behaviour by the run-time type of v in 3 cases: Tug, Tanker, Yacht; 1 other choice looks something up by it");
    }

    @Test
    void anEnumSwitchIsReportedWithTheConstantsItLeavesOut() {
        assertThat(messages(VESSELS, desk("""
                void pay(Vessel v) {
                    switch (v.getKind()) {
                        case TUG:
                            sum += 4;
                            break;
                        case TANKER:
                            sum += v.tonnage();
                            break;
                    }
                }"""))).containsExactly(
                "picks behaviour by v.getKind() (Kind) in 2 cases: TUG, TANKER; no default, 1 left out");
    }

    @Test
    void anArrowSwitchThatTheCompilerGuardsDragsLess() {
        String guarded = desk("""
                int pay(Kind kind) {
                    return switch (kind) {
                        case TUG -> Math.max(sum, 4);
                        case TANKER -> Math.max(sum, 9);
                        case YACHT -> Math.max(sum, 2);
                    };
                }""");
        String open = guarded.replace("return switch", "int x = sum; switch").replaceAll("-> (Math[^;]*);", "-> { x = $1; sum++; }");
        assertThat(messages(VESSELS, guarded)).singleElement().asString().endsWith("the compiler guards it");
        assertThat(Given.only("type-switch", VESSELS, guarded).drag().value())
                .isLessThan(Given.only("type-switch", VESSELS, open).drag().value());
    }

    @Test
    void guardsInARowWithEarlyReturnsAreAChain() {
        assertThat(messages(VESSELS, desk("""
                int dues(Object o) {
                    if (o instanceof Tug t) return t.pull() + sum;
                    if (o instanceof Tanker t) return t.tonnage() + sum;
                    return 0;
                }"""))).hasSize(1);
    }

    @Test
    void comparingClassesIsATypeTestToo() {
        assertThat(messages(VESSELS, desk("""
                void f(Vessel v) {
                    if (v.getClass() == Tug.class) { sum += 1; } else if (Tanker.class.isInstance(v)) { sum += 2; }
                }"""))).hasSize(1);
    }

    @Test
    void aTagStringComparedWithAParameterIsReported() {
        assertThat(messages(desk("""
                void signal(String flag, int times) {
                    if (flag.equals("BRAVO")) { sum += times; }
                    else if ("KILO".equals(flag)) { sum -= times; }
                }"""))).containsExactly("picks behaviour by the tag flag in 2 cases: \"BRAVO\", \"KILO\"; no default");
    }

    @Test
    void namedIntConstantsOfTheProjectAreATag() {
        assertThat(messages("""
                package quay;
                class Marks { static final int RED = 1; static final int GREEN = 2; }
                """, desk("""
                void pass(int mark) {
                    switch (mark) { case Marks.RED: log(mark); break; case Marks.GREEN: sum++; break; default: break; }
                }"""))).containsExactly("picks behaviour by mark (Marks) in 2 cases: RED, GREEN");
    }

    @Test
    void conditionalExpressionsInARowAreAChain() {
        assertThat(messages(VESSELS, desk("""
                int f(Kind kind, int x) {
                    return kind == Kind.TUG ? Math.abs(x) : kind == Kind.TANKER ? Math.negateExact(x) : 0;
                }"""))).hasSize(1);
    }

    @Test
    void chainsOnTheSameVariantsNameEachOther() {
        String first = desk("int a(Kind k) { switch (k) { case TUG: sum++; return 1; case YACHT: sum--; return 2; } return 0; }");
        String second = first.replace("class Desk", "class Gate");
        List<Finding> findings = Given.scan("type-switch", VESSELS, first, second).findings();
        assertThat(findings).hasSize(2).allSatisfy(finding -> {
            assertThat(finding.message()).contains("1 other chain does the same");
            assertThat(finding.evidence()).extracting(Evidence::note).anyMatch(note -> note.startsWith("another chain"));
        });
    }

    @Test
    void aLoneTypeGuardIsNotASmell() {
        assertThat(messages(VESSELS, desk("void f(Vessel v) { if (v instanceof Tug t) { log(t); sum++; } }"))).isEmpty();
    }

    @Test
    void equalsAndCompareToAreNotASmell() {
        assertThat(messages(VESSELS, desk("""
                public boolean equals(Object o) {
                    if (o instanceof Tug t) { return t.pull() + sum == 4; }
                    if (o instanceof Tanker t) { return t.tonnage() + sum == 4; }
                    return false;
                }"""))).isEmpty();
    }

    @Test
    void aChainThatOnlyLooksUpIsNotASmell() {
        assertThat(messages(VESSELS, desk("""
                String name(Kind k) {
                    switch (k) { case TUG: return "tug"; case TANKER: return "tanker no. " + sum; default: return null; }
                }"""))).isEmpty();
    }

    @Test
    void oneWorkingArmAmongLookupsIsNotASmell() {
        assertThat(messages(VESSELS, desk("""
                int f(Kind k) { switch (k) { case TUG: return 1; case TANKER: return Math.max(1, sum); default: return 0; } }
                """))).isEmpty();
    }

    @Test
    void testsForBuiltInTypesAreNotASmell() {
        assertThat(messages(desk("""
                void f(Object o) {
                    if (o instanceof String s) { log(s); sum++; } else if (o instanceof List<?> l) { log(l); sum--; }
                }"""))).isEmpty();
    }

    @Test
    void constantsOfForeignTypesAreNotASmell() {
        assertThat(messages("""
                package quay;
                import java.util.concurrent.TimeUnit;
                class Clock {
                    int n;
                    void f(TimeUnit unit) {
                        switch (unit) { case DAYS: n += 4; n++; break; case HOURS: n -= 4; n--; break; default: }
                    }
                }
                """)).isEmpty();
    }

    @Test
    void charactersAreNotASmell() {
        assertThat(messages(desk("""
                void f(char c) { switch (c) { case 'a': sum++; log(c); break; case 'b': sum--; log(c); break; default: } }
                """))).isEmpty();
    }

    @Test
    void tokensInAParserAreNotASmell() {
        assertThat(messages("""
                package quay;
                class TideParser {
                    int n;
                    void parse(String[] words) {
                        for (String word : words) {
                            if (word.equals("high")) { n++; step(); } else if (word.equals("low")) { n--; step(); }
                        }
                    }
                    void step() { }
                }
                """)).isEmpty();
    }

    @Test
    void elementsThatAParserCallsBackForAreNotASmell() {
        assertThat(messages("""
                package quay;
                class ChartParser {
                    int n;
                    void endElement(String name, String text) {
                        if (name.equals("buoy")) { n += text.length(); } else if (name.equals("mark")) { n -= text.length(); }
                    }
                }
                """)).isEmpty();
    }

    @Test
    void armsThatOnlyCheckAreNotASmell() {
        assertThat(messages(VESSELS, desk("""
                void f(Vessel v) {
                    if (v instanceof Tug t) { checkArgument(t.pull() > 1); } else if (v instanceof Tanker t) { requireSafe(t); }
                }
                void checkArgument(boolean b) { }
                void requireSafe(Tanker t) { }"""))).isEmpty();
    }

    @Test
    void optionsOfAMainRoutineAreNotASmell() {
        assertThat(messages("""
                package quay;
                class Office {
                    static int n;
                    public static void main(String[] arguments) {
                        String mode = arguments[0];
                        if (mode.equals("open")) { n++; run(); } else if (mode.equals("shut")) { n--; run(); }
                    }
                    static void run() { }
                }
                """)).isEmpty();
    }

    @Test
    void armsThatOnlyCreateAreNotASmell() {
        assertThat(messages(VESSELS, desk("""
                Vessel make(Kind k) {
                    switch (k) { case TUG: return new Tug(); case TANKER: return new Tanker(); default: throw new Error(); }
                }"""))).isEmpty();
    }

    @Test
    void bareNumbersWithoutATagNameAreNotASmell() {
        assertThat(messages(desk("""
                int hash(int left) {
                    switch (left & 3) { case 2: sum ^= left << 8; sum++; case 1: sum ^= left; sum++; }
                    return sum;
                }"""))).isEmpty();
    }

    @Test
    void testCodeIsNotJudged() {
        String test = desk("void f(Kind k) { switch (k) { case TUG: sum++; log(k); break; case YACHT: log(k); sum--; } }")
                .replace("import java.util.*;", "import java.util.*;\nimport org.junit.jupiter.api.Test;");
        assertThat(messages(VESSELS, test)).isEmpty();
    }

    /** Two arms that ask for a tag say nothing of a chain that decides by many things; three do. */
    @ParameterizedTest(name = "{0} arms beside {1}")
    @CsvSource({"2, 0, true", "2, 2, true", "2, 4, true", "2, 5, false", "2, 9, false", "3, 3, true", "3, 9, true", "3, 14, true"})
    void twoArmsOfManyAreNoDecisionByOneTag(int tagged, int others, boolean told) {
        StringBuilder arms = new StringBuilder();
        for (int i = 0; i < others; i++) {
            arms.append("if (weather.startsWith(\"w").append(i).append("\") && sum > ").append(i).append(") {\n            log(\"").append(i).append("\");\n        } else ");
        }
        String third = tagged < 3 ? "" : " else if (kind == Kind.YACHT) {\n        sum += 5;\n        log(sum);\n    }";
        List<String> messages = messages(VESSELS, desk("""
                void tell(Kind kind, String weather) {
                    %sif (kind == Kind.TUG) {
                        sum += 3;
                        log(weather);
                    } else if (kind == Kind.TANKER) {
                        sum += 4;
                        log(kind);
                    }%s
                }""".formatted(arms, third)));
        assertThat(messages).hasSize(told ? 1 : 0).allSatisfy(each -> assertThat(each).contains("in " + tagged + " cases: TUG, TANKER"));
    }

    /** What only looks something up by the same constants is one more place to edit, and the first one says so. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {
        "another looks up           | switch (k) { case TUG: return 1; case TANKER: return 2; default: return 3; } | 2 places in 1 file to edit together",
        "it tells one of them       | if (k == Kind.TUG) { return 1; } return 3;                                     | 1 place to edit",
        "it is about something else | switch (sum) { case 1: return 1; case 2: return 2; default: return 3; }        | 1 place to edit"})
    void lookupsOnTheSameConstantsArePlaces(String what, String other, String places) {
        Finding finding = Given.only("type-switch", VESSELS, desk("""
                void tell(Kind k) {
                    switch (k) { case TUG: sum += 3; log(k); break; case TANKER: sum += 4; log(k); break; default: log(k); }
                }
                int lamps(Kind k) {
                    %s
                }""".formatted(other)));
        assertThat(finding.drag().reasons()).contains(places);
        assertThat(finding.message().contains("1 other choice looks something up by it")).isEqualTo(places.startsWith("2"));
    }
}
