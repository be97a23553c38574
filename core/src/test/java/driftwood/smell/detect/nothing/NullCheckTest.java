package driftwood.smell.detect.nothing;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NullCheckTest {
    private static final String ROSTER = """
            package quay;
            import java.util.*;
            class Roster {
                private final List<Pilot> pilots = new ArrayList<>();
                Pilot pilotFor(int tonnage) {
                    for (Pilot pilot : pilots) {
                        if (pilot.limit() > tonnage) { return pilot; }
                    }
                    return null;
                }
            }
            class Pilot { int limit() { return 3; } void board() { } String name() { return "Mira"; } }
            """;

    private static String desk(String body) {
        return "package quay;\nimport java.util.*;\nclass Desk {\n    private Roster roster = new Roster();\n" + body + "\n}\n";
    }

    private static List<String> messages(String... sources) {
        return Given.messages("null-check", sources);
    }

    @Test
    void aGuardThatSkipsIsReportedAtTheSource() {
        Finding finding = Given.only("null-check", ROSTER, desk("""
                void arrive(int tonnage) {
                    Pilot pilot = roster.pilotFor(tonnage);
                    if (pilot != null) {
                        pilot.board();
                    }
                }"""));
        assertThat(finding.message()).isEqualTo("pilotFor() returns null where there is nothing: 1 caller checks it");
        assertThat(finding.file()).isEqualTo("quay/Roster.java");
        assertThat(finding.line()).isEqualTo(5);
        assertThat(finding.symbol()).isEqualTo("quay.Roster#pilotFor(int)");
        assertThat(finding.evidence()).extracting(Evidence::note).containsExactly(
                "returns null at the end", "skips pilot.board();");
    }

    @Test
    void aGuardThatDefaultsIsReported() {
        assertThat(messages(ROSTER, desk("""
                String board() { Pilot p = roster.pilotFor(9); return p == null ? "no pilot" : p.name(); }"""))).hasSize(1);
    }

    @Test
    void callersThatForgetTheGuardAreTold() {
        Finding finding = Given.only("null-check", ROSTER, desk("""
                void a() { Pilot p = roster.pilotFor(9); if (p == null) { return; } p.board(); }
                String b() { return roster.pilotFor(9).name(); }
                String c() { Pilot p = roster.pilotFor(9); return p.name(); }"""));
        assertThat(finding.message()).endsWith("1 caller checks it, 2 do not");
        assertThat(finding.drag().reasons()).contains("2 callers do not check");
    }

    @Test
    void aMapLookUpHandedOnIsASource() {
        assertThat(messages("""
                package quay;
                import java.util.Map;
                class Book {
                    private Map<String, Page> pages;
                    Page find(String key) { Page page = pages.get(key); return page; }
                    void show(String key) { Page page = find(key); if (page != null) { page.print(); } }
                }
                class Page { void print() { } }
                """)).hasSize(1);
    }

    @Test
    void aSourceThatOnlyHandsOnIsToldWithItsOrigin() {
        assertThat(messages(ROSTER, desk("""
                private Pilot any() { return roster.pilotFor(1); }
                void arrive() { Pilot p = any(); if (p != null) { p.board(); } }"""))).containsExactly(
                "pilotFor() returns null where there is nothing: 1 caller checks it");
    }

    @Test
    void aLocalThatMayStayEmptyIsASource() {
        assertThat(messages("""
                package quay;
                class Search {
                    Search found() {
                        Search hit = null;
                        for (int i = 0; i < 3; i++) { if (i == 2) { hit = this; } }
                        return hit;
                    }
                    void use() { Search s = found(); if (s == null) { return; } s.use(); }
                }
                """)).hasSize(1);
    }

    @Test
    void overridingRoutinesAreOneSource() {
        assertThat(messages("""
                package quay;
                interface Tower { Flag flag(); }
                class North implements Tower { public Flag flag() { return null; } }
                class South implements Tower { public Flag flag() { return new Flag(); } }
                class Flag { void hoist() { } }
                class Watch { void f(Tower t) { Flag flag = t.flag(); if (flag != null) { flag.hoist(); } } }
                """)).containsExactly("flag() returns null where there is nothing: 1 caller checks it");
    }

    @Test
    void aFieldGuardedInThreePlacesIsReported() {
        Finding finding = Given.only("null-check", """
                package quay;
                class Hall {
                    private Clerk clerk;
                    void hire(Clerk c) { clerk = c; }
                    void a() { if (clerk != null) { clerk.file(); } }
                    void b() { if (clerk == null) { return; } clerk.file(); }
                    int c() { return clerk == null ? 0 : clerk.count(); }
                }
                class Clerk { void file() { } int count() { return 1; } }
                """);
        assertThat(finding.message()).isEqualTo("field clerk is null where there is nothing: checked in 3 places");
        assertThat(finding.line()).isEqualTo(3);
    }

    @Test
    void guardsThatAllThrowAreNotASmell() {
        assertThat(messages(ROSTER, desk("""
                void a() { Pilot p = roster.pilotFor(9); if (p == null) { throw new IllegalStateException(); } p.board(); }
                """))).isEmpty();
    }

    @Test
    void argumentChecksAreNotASmell() {
        assertThat(messages("""
                package quay;
                class Book {
                    int size(String text) { if (text == null) { return 0; } return text.length(); }
                    int twice(String text) { return text == null ? 0 : size(text) * 2; }
                }
                """)).isEmpty();
    }

    @Test
    void nothingInNothingOutIsNotASource() {
        assertThat(messages("""
                package quay;
                class Texts {
                    static String upper(String text) { if (text == null) { return null; } return text.toUpperCase(); }
                    static int length(String text) { String up = upper(text); return up == null ? 0 : up.length(); }
                }
                """)).isEmpty();
    }

    @Test
    void lazyInitialisationIsNotASmell() {
        assertThat(messages("""
                package quay;
                class Hall {
                    private Clerk clerk;
                    Clerk clerk() { if (clerk == null) { clerk = new Clerk(); } return clerk; }
                    void a() { if (clerk != null) { clerk.file(); } }
                    void b() { if (clerk != null) { clerk.file(); } }
                    void c() { if (clerk != null) { clerk.file(); } }
                }
                class Clerk { void file() { } }
                """)).isEmpty();
    }

    @Test
    void theEndOfAnIterationIsNotASmell() {
        assertThat(messages("""
                package quay;
                class Feed {
                    private int left = 3;
                    String next() { if (left == 0) { return null; } left--; return "leg"; }
                    int all() { int n = 0; while (true) { String leg = next(); if (leg == null) { break; } n += leg.length(); } return n; }
                    int loop() { String leg; int n = 0; while ((leg = next()) != null) { n += leg.length(); } return n; }
                }
                """)).isEmpty();
    }

    @Test
    void linksOfADataStructureAreNotASmell() {
        assertThat(messages("""
                package quay;
                class Chain {
                    private Chain next;
                    int length() { return next == null ? 1 : 1 + next.length(); }
                    void a() { if (next != null) { next.a(); } }
                    void b() { if (next != null) { next.b(); } }
                    void cut() { next = null; }
                }
                """)).isEmpty();
    }

    @Test
    void valuesFromOutsideTheProjectAreNotASmell() {
        assertThat(messages(desk("""
                int f(Map<String, String> map) {
                    String a = map.get("a"); if (a == null) { return 0; }
                    String home = System.getProperty("home"); return home == null ? 1 : 2;
                }"""))).isEmpty();
    }

    @Test
    void contractsOfForeignTypesAreNotASource() {
        assertThat(messages("""
                package quay;
                import java.util.function.Supplier;
                class Last implements Supplier<String> {
                    @Override public String get() { return null; }
                    void f() { String s = get(); if (s != null) { s.length(); } }
                }
                """)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            implements Map<String, Berth>           | public Berth get(Object key)             | get("a")      | 0
            implements Map<String, Berth>           | public Berth remove(Object key)          | remove("a")   | 0
            extends Names                           | public Berth get(Object key)             | get("a")      | 0
            implements Deque<Berth>                 | public Berth peekFirst()                 | peekFirst()   | 0
            implements Map<String, Berth>           | public Berth get(String harbour, int at) | get("a", 1)   | 1
            implements Map<String, Berth>           | public Berth berthAt(String key)         | berthAt("a")  | 1
            extends Quays                           | public Berth get(Object key)             | get("a")      | 1
            implements Supplier<Berth>              | public Berth remove(String key)          | remove("a")   | 1
            """)
    void whatTheCollectionsOfThePlatformPromiseIsNotASource(String kind, String routine, String call, int findings) {
        assertThat(messages("""
                package quay;
                import java.util.*;
                import java.util.function.Supplier;
                class Berths %1$s {
                    private final Map<String, Berth> held = new HashMap<>();
                    %2$s { return held.isEmpty() ? null : held.values().iterator().next(); }
                }
                abstract class Names implements Map<String, Berth> { }
                class Quays { }
                class Berth { void moor() { } }
                class Pilot {
                    void a(Berths all) { Berth one = all.%3$s; if (one != null) { one.moor(); } }
                    void b(Berths all) { Berth one = all.%3$s; if (one != null) { one.moor(); } }
                }
                """.formatted(kind, routine, call))).as(kind + " " + routine).hasSize(findings);
    }

    @Test
    void aFieldGuardedTwiceIsNotReported() {
        assertThat(messages("""
                package quay;
                class Hall {
                    private Clerk clerk = null;
                    void a() { if (clerk != null) { clerk.file(); } }
                    void b() { if (clerk != null) { clerk.file(); } }
                }
                class Clerk { void file() { } }
                """)).isEmpty();
    }

    @ParameterizedTest(name = "{0}({1}): {2}")
    @CsvSource(delimiter = '|', value = {"next||true", "nextPilot||true", "getNextPilot||true", "next|int at|false", "nextdoor||false", "pilot||false"})
    void aSeriesEndsSomewhere(String name, String parameter, boolean series) {
        String asked = name + (parameter == null ? "()" : "(3)");
        Finding finding = Given.only("null-check", """
                package quay;
                class Roster { int left; Pilot %s(%s) { return left == 0 ? null : new Pilot(); } }
                class Pilot { void board() { } }
                """.formatted(name, parameter == null ? "" : parameter), desk("""
                void arrive() { Pilot one = roster.%1$s; if (one != null) { one.board(); } }
                void leave() { Pilot one = roster.%1$s; if (one != null) { one.board(); } }""".formatted(asked)));
        assertThat(finding.drag().reasons().contains("it gives one after another, and a series ends somewhere")).isEqualTo(series);
    }
}
