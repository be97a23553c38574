package driftwood.smell.detect.construction;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.smell.detect.SmellCases;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LongParameterListTest extends SmellCases {
    private static String desk(String members) {
        return "package quay;\nclass Vessel { }\nclass Desk {\n" + members + "\n}\n";
    }

    @Override
    protected Map<String, String> smelly() {
        return Map.of(
                "moor() takes 6 parameters", desk("void moor(Vessel v, String berth, int from, int to, boolean tug, long fee) { }"),
                "easily mixed up: from and to (int)", desk("void moor(Vessel v, String b, int from, int to, Object o, long f) { }"),
                "the constructor takes 7 parameters", desk("Desk(int a, int b, int c, int d, int e, int f, String g) { }"),
                "book() takes 6 parameters", desk("static int book(int a, String b, int c, String d, int e, String f) { return 1; }"),
                "called from 1 place outside", desk("void moor(int a, String b, int c, String d, int e, String f) { }")
                        + "class Clerk { void go(Desk desk) { desk.moor(1, \"\", 2, \"\", 3, \"\"); } }\n",
                "plan() takes 6 parameters", "package quay;\ninterface Plans { void plan(int a, int b, int c, int d, int e, int f); }\n"
                        + "class Fast implements Plans { public void plan(int a, int b, int c, int d, int e, int f) { } }\n");
    }

    @Override
    protected Map<String, String> healthy() {
        return Map.of(
                "five are within the limit", desk("void moor(Vessel v, String berth, int from, int to, boolean tug) { }"),
                "variadic parameters do not count", desk("void note(int a, int b, int c, int d, int e, Object... more) { }"),
                "an overriding routine follows its declaration", "package quay;\nimport java.util.*;\nclass Desk implements Runner {\n"
                        + "@Override public void run(int a, int b, int c, int d, int e, int f) { } }\n",
                "a constructor that repeats its parent's list", "package quay;\nimport far.Base;\nclass Desk extends Base {\n"
                        + "Desk(int a, int b, int c, int d, int e, int f) { super(a, b, c, d, e, f); } }\n",
                "a record's own list", "package quay;\nrecord Stay(int a, int b, int c, int d, int e, int f) {\n"
                        + "Stay { if (a < 0) { throw new IllegalArgumentException(); } } }\n",
                "a deprecated routine", desk("@Deprecated void moor(int a, int b, int c, int d, int e, int f) { }"),
                "a native routine", desk("native void moor(int a, int b, int c, int d, int e, int f);"));
    }

    @Override
    protected String smell() {
        return "long-parameter-list";
    }

    /** The same list is dragged along less where nobody takes one part for another. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            void add(Point t1, Point t2, Point ax, Point az, Point bx, Point dx)                          | formula
            int small(byte[] p, byte[] q, int m, byte[] x, int n, int z)                                  | formula
            void set(long _0, long _1, long _2, long _3, long _4, long _5)                                | numbered
            void set(double m11, double m12, double m21, double m22, double dx, double m32)               | numbered
            void book(int a, String b, int c, String d, int e, String f)                                  |
            void add(Point first, Point second, Point left, Point right, Point below, Point above)        |
            void add(Point a, Vessel b, int c, Point d, Vessel e, long f)                                 |
            """)
    void lettersOfAFormulaAndNumbersAreNoList(String routine, String reason) {
        List<String> reasons = Given.scan("", "package quay;\nclass Point { }\nclass Vessel { }\nabstract class Desk { abstract " + routine + "; }").findings().stream()
                .filter(each -> each.smell().equals(smell())).flatMap(each -> each.drag().reasons().stream()).toList();
        assertThat(reasons).as(routine).isNotEmpty();
        assertThat(reasons.stream().anyMatch(each -> each.contains("letters of a formula"))).as(routine).isEqualTo("formula".equals(reason));
        assertThat(reasons.stream().anyMatch(each -> each.contains("numbered"))).as(routine).isEqualTo("numbered".equals(reason));
    }

    private static List<String> reasons(String source) {
        return Given.scan("", "package quay;\n" + source).findings().stream().filter(each -> each.smell().equals("long-parameter-list"))
                .flatMap(each -> each.drag().reasons().stream()).toList();
    }

    /** Who does it is outside: nothing here does, or does more than hand it on. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {
        "nobody | | true",
        "a wrapper | class Slow implements Signals { Signals to; public void flash(int a, int b, int lamp, int colour, int nights, int from) { to.flash(a, b, lamp, colour, nights, from); } public void off() { } } | true",
        "a class that does it | class Lamps implements Signals { public void flash(int a, int b, int lamp, int colour, int nights, int from) { System.out.println(a + b + lamp); } public void off() { } } | false"})
    void aContractThatOthersFulfil(String who, String source, boolean contract) {
        assertThat(reasons("interface Signals { void flash(int a, int b, int lamp, int colour, int nights, int from); void off(); }\n"
                + (source == null ? "" : source)).stream().anyMatch(each -> each.contains("whoever does is outside"))).isEqualTo(contract);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {
        "parts of two objects | place(from.east, from.north, from.depth, to.east, to.north, to.depth) | true",
        "numbers of its own | place(1, 2, 3, 4, 5, 6) | false"})
    void anOverloadThatTakesTheObjects(String what, String call, boolean spelled) {
        assertThat(reasons("class Point { int east; int north; int depth; }\nclass Chart { void place(Point from, Point to) { " + call + "; }\n"
                + "void place(int fromEast, int fromNorth, int fromDepth, int toEast, int toNorth, int toDepth) { System.out.println(fromEast); } }")
                .stream().anyMatch(each -> each.contains("spells them out"))).isEqualTo(spelled);
    }
}
