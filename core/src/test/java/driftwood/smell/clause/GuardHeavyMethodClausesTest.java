package driftwood.smell.clause;

/** The clauses of the catalogue for guard-heavy-method, each with a source that has it or has it not. */
class GuardHeavyMethodClausesTest extends Clauses {

    @Override
    String smell() {
        return "guard-heavy-method";
    }

    @Override
    void clauses() {
        java("guards").has("""
                package quay;
                class Sluice {
                    int count, last, max = 4;
                    boolean closed;
                    int level;
                    void fill(int by) { // <- guard-heavy-method
                        if (closed) { return; }
                        if (by < 0) { throw new IllegalArgumentException("by"); }
                        if (by == last) { return; }
                        by = Math.min(by, max);
                        count++;
                        last = by;
                        level += by * 2;
                    }
                }
                """);
        java("guards in try").has("""
                package quay;
                class Sluice {
                    int count, last, max = 4;
                    boolean closed;
                    Pump pump;
                    void fill(int by) { // <- guard-heavy-method
                        try {
                            if (closed) { return; }
                            if (by < 0) { return; }
                            if (by > max) { by = max; }
                            count++;
                            last = by;
                            pump.run(by);
                        } finally { closed = false; }
                    }
                }
                class Pump {
                    void run(int n) { System.out.println(n); }
                }
                """);
        java("validator").hasNot("""
                package quay;
                class V {
                    void check(String n, int a, int b, int c) {
                        if (n == null) throw new IllegalArgumentException();
                        if (a < 0) throw new IllegalArgumentException();
                        if (b < 0) throw new IllegalArgumentException();
                        if (c < 0) throw new IllegalArgumentException();
                        if (a > b) throw new IllegalArgumentException();
                        if (b > c) throw new IllegalArgumentException();
                    }
                }
                """);
        java("few statements").hasNot("""
                package quay;
                class S {
                    int n;
                    void f(int b) {
                        if (b < 0) return;
                        if (b > 9) return;
                        n += b;
                    }
                }
                """);
        java("half guards").hasNot("""
                package quay;
                class S {
                    int n, k, m;
                    void f(int b) {
                        if (b < 0) return;
                        if (b > 9) return;
                        n += b;
                        k = n * 2 + b;
                        m = compute(k);
                        show(m);
                    }
                    int compute(int x) { return x; }
                    void show(int x) { System.out.println(x); }
                }
                """);
        python("guards").has("""
                class Sluice:
                    def __init__(self):
                        self.closed = False
                        self.count = 0
                        self.last = 0
                        self.level = 0
                    def fill(self, by):  # <- guard-heavy-method
                        if self.closed:
                            return
                        if by < 0:
                            raise ValueError(by)
                        if by == self.last:
                            return
                        by = min(by, 4)
                        self.count += 1
                        self.last = by
                        self.level += by * 2
                """);
        python("validator").hasNot("""
                def check(n, a, b, c):
                    if n is None: raise ValueError
                    if a < 0: raise ValueError
                    if b < 0: raise ValueError
                    if c < 0: raise ValueError
                    if a > b: raise ValueError
                    if b > c: raise ValueError
                """);
        java("checks by library").has("""
                package quay;
                import java.util.*;
                class Sluice {
                    int level, opened;
                    boolean closed;
                    void fill(Integer by, String who) { // <- guard-heavy-method
                        Objects.requireNonNull(by);
                        Objects.requireNonNull(who);
                        if (closed) { return; }
                        if (by < 0) { throw new IllegalArgumentException("by"); }
                        opened++;
                        level += by * 2;
                    }
                }
                """);
        java("clamp by conditional").has("""
                package quay;
                class Sluice {
                    int level, last;
                    boolean closed, jammed;
                    void fill(int by) { // <- guard-heavy-method
                        if (closed) { return; }
                        if (jammed) { return; }
                        int safe = by > 9 ? 9 : by;
                        if (safe == last) { return; }
                        last = safe;
                        pump(safe);
                    }
                    void pump(int n) { level += n; }
                }
                """);
        java("a row of lookups").hasNot("""
                package quay;
                class T {
                    String name(int n) {
                        if (n == 1) { return "one"; }
                        if (n == 2) { return "two"; }
                        if (n == 3) { return "three"; }
                        if (n == 4) { return "four"; }
                        if (n == 5) { return "five"; }
                        return "many" + n;
                    }
                }
                """);
        java("two cores").hasNot("""
                package quay;
                class S {
                    int a, b;
                    void go(int n) {
                        if (n < 0) { return; }
                        if (n > 9) { return; }
                        if (n == a) { return; }
                        pump(n);
                        drain(n);
                        empty(n);
                    }
                    void pump(int n) { a += n; }
                    void drain(int n) { b += n; }
                    void empty(int n) { a -= n; }
                }
                """);
        python("returns early").has("""
                class Sluice:
                    def __init__(self):
                        self.closed = False
                        self.jammed = False
                        self.calls = 0
                        self.level = 0
                    def fill(self, by):  # <- guard-heavy-method
                        if self.closed:
                            return
                        if self.jammed:
                            return
                        if by is None:
                            return
                        by = max(0, by)
                        self.calls += 1
                        self.pump(by)
                    def pump(self, n): self.level += n
                """);
        python("a table of decisions").hasNot("""
                class Power:
                    def of(self, e):
                        if e.positive:
                            return Inf
                        if e.negative:
                            return Zero
                        if e.nan:
                            return Nan
                        if e.complex:
                            return Nan
                        if e.odd:
                            return Zero
                        return self.work(e)
                    def work(self, e): return e
                """);
        java("a question").hasNot("""
                package quay;
                class Match {
                    int a, b, c, d;
                    boolean covers(Match m) {
                        if (m.a < a) { return false; }
                        if (m.b < b) { return false; }
                        if (m.c < c) { return false; }
                        if (m.d == d) { return false; }
                        if (m == this) { return false; }
                        return m.sum() == sum();
                    }
                    int sum() { return a + b; }
                }
                """);
        java("two effects").hasNot("""
                package quay;
                import java.util.*;
                class Entry {
                    Map<String, String> all = new HashMap<>();
                    String set(String k, String v) {
                        if (k == null) { return null; }
                        if (v == null) { return null; }
                        if (k.equals(v)) { return null; }
                        if (v.isEmpty()) { return null; }
                        String old = all.put(k, v);
                        changed(k);
                        return old;
                    }
                    void changed(String k) { System.out.println(k); }
                }
                """);
        java("where it stands is an iterator's own work").hasNot("""
                package quay;
                class BerthItr {
                    private final java.util.List<String> berths = new java.util.ArrayList<>();
                    private int last;
                    private int next;
                    private int expected;
                    void remove() {
                        if (last < 0) { throw new IllegalStateException("nothing to remove"); }
                        if (expected < 0) { throw new IllegalStateException("changed"); }
                        berths.remove(last);
                        next = last;
                        last = -1;
                        expected = berths.size();
                    }
                }
                """);
    }
}
