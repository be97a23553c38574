package driftwood.smell.detect.guard;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.scan.Scan;
import driftwood.smell.Finding;
import driftwood.smell.detect.SmellCases;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class GuardHeavyMethodTest extends SmellCases {
    private static String pump(String body) {
        return "package quay;\nclass Engine { void pump(int litres) { } int read() { return 4; } }\nclass Pump {\n"
                + "boolean closed; int calls; int last; int LIMIT = 9; Engine engine = new Engine();\n" + body + "\n}\n";
    }

    @Override
    protected Map<String, String> smelly() {
        return Map.of(
                "5 of 6 statements guard one: engine.pump(litres)", pump("void pump(int litres) { if (closed) { return; } if (litres < 0) { throw new IllegalArgumentException(); }\n"
                        + "litres = Math.min(litres, LIMIT); calls++; last = litres; engine.pump(litres); }"),
                "4 of 6 statements guard one: return engine.read() * factor", pump("int read(int factor) { if (closed) { return 0; } if (factor < 1) { return 0; } if (factor > 9) { factor = 9; }\n"
                        + "calls++; int spare = 4; return engine.read() * factor; }"),
                "guard one: engine.pump(a)", pump("void three(int a) { java.util.Objects.requireNonNull(engine); if (closed) return; if (a == LIMIT) return; calls += 1; last = a; engine.pump(a); }"),
                "guard one: this.engine.pump(a + 1)", pump("void four(int a) { try { if (closed) { return; } if (a < 0) { return; } if (a > 9) { a = 9; } calls++; last = a; this.engine.pump(a + 1); } finally { } }"),
                "guard one: while (litres > 0) engine.pump(litres--)", pump("void five(int litres) { if (closed) { return; } if (litres > LIMIT) { return; } if (litres < 0) { return; } calls++; last = litres; while (litres > 0) engine.pump(litres--); }"),
                "guard one: for (int i = 0; i < n; i++)", pump("void six(int n) { if (closed) { return; } if (n < 0) { return; } n = Math.min(n, 9); n = Math.max(n, 1); calls++; for (int i = 0; i < n; i++) { engine.pump(i); } }"));
    }

    @Override
    protected Map<String, String> healthy() {
        return Map.of(
                "five statements", pump("void pump(int a) { if (closed) { return; } if (a < 0) { return; } calls++; last = a; engine.pump(a); }"),
                "a pure validator", pump("void validate(int a) { if (a < 0) { throw new IllegalStateException(); } if (a > 1) { throw new IllegalStateException(); } if (a > 2) { throw new IllegalStateException(); }\n"
                        + "if (a > 3) { throw new IllegalStateException(); } if (a > 4) { throw new IllegalStateException(); } engine.pump(a); }"),
                "more work than guards", pump("void pump(int a) { if (closed) { return; } engine.pump(a); engine.pump(a + 1); engine.pump(a + 2); engine.pump(4); engine.pump(5); }"),
                "a lookup written as a row of tests", pump("int find(String s) { if (s == \"a\") { return 1; } if (s == \"b\") { return 2; } if (s == \"c\") { return 3; } if (s == \"d\") { return 4; } if (closed) { return 5; } return engine.read() + 1; }"),
                "conditions that do the work", pump("void move(java.util.Map<String, Engine> m) { if (closed) { return; } if (m == null) { return; } if (m.putIfAbsent(\"a\", engine) != null) { return; }\n"
                        + "if (!m.remove(\"b\", engine)) { return; } calls++; engine.pump(1); }"),
                "a field made ready, others beside it", pump("void open(int a) { if (closed) { return; } if (a < 0) { return; } LIMIT = engine.read(); if (LIMIT < 0) { return; } last = LIMIT; calls = 0; }"),
                "larger and smaller of computed values", pump("int width(int a, int b) { if (closed) { return 0; } if (a < 0) { return 0; } int l = Math.min(a, b - 1); int r = Math.max(b, a + 1); int s = Math.max(l, r - 2); return engine.read() * s; }"),
                "equals", pump("public boolean equals(Object o) { if (o == this) { return true; } if (o == null) { return false; } if (closed) { return false; } if (calls == 1) { return false; } if (last == 2) { return false; } return o.hashCode() == hashCode(); }"),
                "guards whose results are computed", pump("int rate(int a) { if (a > 1) { return a * 2; } if (a > 2) { return a * 3; } if (a > 3) { return a * 4; } if (a > 4) { return a * 5; } if (a > 6) { return a * 9; } return engine.read() * a; }"));
    }

    @Override
    protected String smell() {
        return "guard-heavy-method";
    }

    @Test
    void assertionsAreTheWorkOfATest(@TempDir Path root) {
        String source = """
                package quay;
                class PumpTest {
                    void pumpsNothing() {
                        Pump pump = new Pump();
                        assertEquals(0, pump.level());
                        assertEquals(0, pump.calls());
                        assertTrue(pump.isOpen());
                        assertNull(pump.last());
                        assertFalse(pump.isJammed());
                    }
                }
                """;
        Given.write(root.resolve("src/main/java/quay/Pump.java"), source.replace("PumpTest", "PumpProbe"));
        Given.write(root.resolve("src/test/java/quay/PumpTest.java"), source);
        Scan.Options all = Scan.Options.DEFAULT.only(smell()).withTests().on(1);
        assertThat(new Scan(all).run(root, List.of(root)).findings()).extracting(Finding::file)
                .containsExactly("src/main/java/quay/Pump.java");
    }
}
