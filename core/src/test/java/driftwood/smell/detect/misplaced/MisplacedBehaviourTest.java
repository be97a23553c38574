package driftwood.smell.detect.misplaced;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.smell.detect.SmellCases;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MisplacedBehaviourTest extends SmellCases {
    private static String office(String body) {
        return "package quay;\nclass Berth { int length; int depth; boolean tidal; int surcharge; int length() { return length; } int depth() { return depth; } boolean tidal() { return tidal; } int surcharge() { return surcharge; } int getRate() { return 4; } int getZone() { return 2; } int getFee() { return 1; } }\n"
                + "class Other { int a; int b; int c; }\nclass Office {\nint own; int more; Berth berth;\n" + body + "\n}\n";
    }

    /** Two kinds of vessel, and a class with some routines of three lines. */
    private static String yard(String family, String... routines) {
        StringBuilder text = new StringBuilder("package quay;\n" + family + "\nclass Yard {\n int own; int more; Vessel first; Kind kind;\n");
        for (String each : routines) {
            text.append("int ").append(each).append("(int tons) {\n  int sum = own + tons;\n  return sum * more;\n}\n");
        }
        return text.append("}\n").toString();
    }

    private static final String VESSELS = "abstract class Vessel { }\nclass Tug extends Vessel { }\nclass Yacht extends Vessel { }";
    private static final String KINDS = "enum Kind { TUG, FISHING_BOAT }";

    @Override
    protected Map<String, String> smelly() {
        return Map.of(
                "Yard keeps 2 duties apart for each Vessel (tug, yacht)", yard(VESSELS, "duesForTug", "duesForYacht", "berthForTug", "berthForYacht"),
                "keeps 2 duties apart for each Kind (fishing boat, tug)", yard(KINDS, "tugDues", "tugTurn", "fishingBoatDues", "fishingBoatTurn"),
                "dues() uses 4 members of Berth and none of its own", office("int dues(Berth b) { return b.length() * b.depth() + (b.tidal() ? b.surcharge() : 0); }"),
                "uses 3 members of Berth and none of its own: getRate(), getZone(), getFee()", office("int cost(Berth b) { return b.getRate() * b.getZone() + b.getFee(); }"),
                "and one of its own", office("int cost(Berth b) { return b.getRate() * b.getZone() + b.getFee() + own; }"),
                "uses 3 members of Berth", office("int area() { return berth.length * berth.depth + berth.surcharge; }"),
                "none of its own: length, depth, tidal", office("static int size(Berth b) { if (b.tidal) { return b.length * 2; } return b.length * b.depth; }".replace("if (b.tidal) { return b.length * 2; } return b.length * b.depth;", "int s = b.length * b.depth; return b.tidal ? s * 2 : s;")),
                "cost() uses 3 members", office("private int cost(Berth b) { int r = b.getRate(); int z = b.getZone(); return r * z - b.getFee(); }"));
    }

    @Override
    protected Map<String, String> healthy() {
        Map<String, String> all = new java.util.HashMap<>(ofDuties());
        all.putAll(ofMembers());
        all.putAll(ofWays());
        return all;
    }

    private static Map<String, String> ofDuties() {
        return Map.of(
                "one duty only", yard(VESSELS, "duesForTug", "duesForYacht", "cleanUp"),
                "one variant only", yard(VESSELS, "duesForTug", "berthForTug"),
                "different duties for different variants", yard(VESSELS, "duesForTug", "berthForYacht", "turnForTug", "moorForYacht"),
                "words that are no variants", yard(VESSELS, "duesForDay", "duesForNight", "berthForDay", "berthForNight"),
                "a parent that knows its kinds by name", "package quay;\nabstract class Vessel {\n int a; int b;\n int duesForTug(int t) {\n  int s = a + t;\n  return s * b;\n }\n int duesForYacht(int t) {\n  int s = a + t;\n  return s * b;\n }\n int berthForTug(int t) {\n  int s = a + t;\n  return s * b;\n }\n int berthForYacht(int t) {\n  int s = a + t;\n  return s * b;\n }\n}\nclass Tug extends Vessel { }\nclass Yacht extends Vessel { }",
                "strangers to the kinds", yard(VESSELS, "duesForTug", "duesForYacht", "berthForTug", "berthForYacht").replace("Vessel first;", "int first;"),
                "accessors", yard(VESSELS, "getTugDues", "getYachtDues", "setTugDues", "setYachtDues"),
                "a visitor", yard(VESSELS, "visitTug", "visitYacht", "acceptTug", "acceptYacht"));
    }

    private static Map<String, String> ofWays() {
        return Map.of(
                "an overload that takes its argument apart", office("int cost(int rate, int zone, int fee) { return rate * zone + fee + own + more; } int cost(Berth b) { return cost(b.getRate(), b.getZone(), b.getFee()); }"),
                "members that are only asserted", office("int cost(Berth b) { assert b.getRate() > 0; assert b.getZone() > 1; return b.getFee() + b.length(); }"),
                "a comparison by another name", office("boolean ratesEqual(Berth b, Berth c) { return b.getRate() == c.getRate() && b.getZone() == c.getZone() && b.getFee() == c.getFee(); }"),
                "a text put together", office("String sign(Berth b) { return b.getRate() + \"/\" + b.getZone() + \"/\" + b.getFee(); }"),
                "members that are only filled", office("void reset(Other o) { o.a = 1; o.b = 2; o.c = 3; }"));
    }

    private static Map<String, String> ofMembers() {
        return Map.of(
                "two members only", office("int cost(Berth b) { return b.getRate() * b.getZone(); }"),
                "two of its own", office("int cost(Berth b) { return b.getRate() * b.getZone() + b.getFee() + own + more; }"),
                "a printer", office("").replace("class Office", "class BerthPrinter").replace("int own;", "String line(Berth b) { return \"\" + b.getRate() + b.getZone() + b.getFee(); } int own;"),
                "a mapping routine", office("int toRow(Berth b) { return b.getRate() * b.getZone() + b.getFee(); }"),
                "an implemented contract", "package quay;\ninterface Pricing { int cost(Berth b); }\nclass Berth { int a; int b; int c; }\nclass Office implements Pricing { public int cost(Berth x) { return x.a * x.b + x.c; } }\n",
                "between two types", office("int cost(Berth b, Other o) { return b.getRate() * b.getZone() + b.getFee() + o.a * o.b + o.c; }"),
                "a foreign type", "package quay;\nclass Office { int cost(java.time.LocalDate d) { return d.getYear() * d.getMonthValue() + d.getDayOfYear(); } }\n",
                "commands rather than parts", "package quay;\nclass Engine { int n; void start(int a) { } void warm(int a) { } void stop(int a) { } }\nclass Office { void run(Engine e) { e.start(1); e.warm(2); e.stop(3); } }\n");
    }

    @Override
    protected String smell() {
        return "misplaced-behaviour";
    }

    /** Duties that another object keeps are not kept here. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            guard.%s(metres);              | false
            count++; guard.%s(metres);     | true
            count += metres * 2; count--;  | true
            this.log("%s"); count++;       | true
            """)
    void whatOnlyHandsOnIsNotKept(String body, boolean told) {
        StringBuilder routines = new StringBuilder();
        StringBuilder contract = new StringBuilder();
        for (String each : List.of("duesTug", "duesFerry", "labelTug", "labelFerry")) {
            String lines = String.join(";\n        ", body.formatted(each).split(";\\s*")) + ";";
            routines.append("    void ").append(each).append("(int metres) {\n        ").append(lines).append("\n    }\n\n");
            contract.append("void ").append(each).append("(int metres); ");
        }
        String desk = "package quay;\nenum Boat { TUG, FERRY }\ninterface Guard { " + contract + "}\nclass Desk {\n    Guard guard;\n    Boat boat;\n    int count;\n    void log(String text) { }\n" + routines + "}\n";
        assertThat(Given.messages("misplaced-behaviour", desk).stream().anyMatch(each -> each.contains("keeps 2 duties apart"))).isEqualTo(told);
    }
}
