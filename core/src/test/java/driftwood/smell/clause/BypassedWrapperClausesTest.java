package driftwood.smell.clause;

/** The clauses of the catalogue for bypassed-wrapper, each with a source that has it or has it not. */
class BypassedWrapperClausesTest extends Clauses {

    @Override
    String smell() {
        return "bypassed-wrapper";
    }

    @Override
    void clauses() {
        java("two wrapped one not").has("""
                package quay;
                interface Voyage {
                    int miles();
                }
                class Route implements Voyage {
                    public int miles() { return 3; }
                }
                class Checked implements Voyage {
                    private final Voyage v;
                    Checked(Voyage v) { this.v = v; }
                    public int miles() {
                        int m = v.miles();
                        if (m < 0) throw new IllegalStateException();
                        return m;
                    }
                }
                class A {
                    Voyage a() { return new Checked(new Route()); }
                    Voyage b() {
                        Route r = new Route();
                        return new Checked(r);
                    }
                    Voyage c() { return new Route(); } // <- bypassed-wrapper
                }
                """);
        java("always wrapped").hasNot("""
                package quay;
                interface Voyage {
                    int miles();
                }
                class Route implements Voyage {
                    public int miles() { return 3; }
                }
                class Checked implements Voyage {
                    private final Voyage v;
                    Checked(Voyage v) { this.v = v; }
                    public int miles() { return v.miles(); }
                }
                class A {
                    Voyage a() { return new Checked(new Route()); }
                    Voyage b() {
                        Route r = new Route();
                        return new Checked(r);
                    }
                }
                """);
        java("once wrapped").hasNot("""
                package quay;
                interface Voyage {
                    int miles();
                }
                class Route implements Voyage {
                    public int miles() { return 3; }
                }
                class Checked implements Voyage {
                    private final Voyage v;
                    Checked(Voyage v) { this.v = v; }
                    public int miles() { return v.miles(); }
                }
                class A {
                    Voyage a() { return new Checked(new Route()); }
                    Voyage c() { return new Route(); }
                }
                """);
        java("other interface").hasNot("""
                package quay;
                interface Voyage {
                    int miles();
                }
                class Route implements Voyage {
                    public int miles() { return 3; }
                }
                class Report {
                    private final Voyage v;
                    Report(Voyage v) { this.v = v; }
                    String text() { return "" + v.miles(); }
                }
                class A {
                    Report a() { return new Report(new Route()); }
                    Report b() {
                        Route r = new Route();
                        return new Report(r);
                    }
                    Voyage c() { return new Route(); }
                }
                """);
        python("wrapper with parent").has("""
                class Voyage:
                    def miles(self): raise NotImplementedError
                class Route(Voyage):
                    def miles(self): return 3
                class Checked(Voyage):
                    def __init__(self, inner): self.inner = inner
                    def miles(self):
                        m = self.inner.miles()
                        if m < 0: raise ValueError(m)
                        return m
                def a(): return Checked(Route())
                def b():
                    r = Route()
                    return Checked(r)
                def c(): return Route()  # <- bypassed-wrapper
                """);
        java("abstract parent").has("""
                package quay;
                abstract class Gauge {
                    abstract int depth();
                }
                class TideGauge extends Gauge {
                    int depth() { return 3; }
                }
                class CheckedGauge extends Gauge {
                    private final Gauge inner;
                    CheckedGauge(Gauge inner) { this.inner = inner; }
                    int depth() { return Math.max(0, inner.depth()); }
                }
                class A {
                    Gauge a() { return new CheckedGauge(new TideGauge()); }
                }
                class B {
                    Gauge b() {
                        TideGauge g = new TideGauge();
                        return new CheckedGauge(g);
                    }
                }
                class C {
                    Gauge c = new TideGauge(); // <- bypassed-wrapper
                }
                """);
        java("bare only in tests").hasNot(at("src/main/java/quay/A.java", """
                package quay;
                interface Gauge {
                    int depth();
                }
                class TideGauge implements Gauge {
                    public int depth() { return 3; }
                }
                class CheckedGauge implements Gauge {
                    private final Gauge inner;
                    CheckedGauge(Gauge inner) { this.inner = inner; }
                    public int depth() { return Math.max(0, inner.depth()); }
                }
                class A {
                    Gauge a() { return new CheckedGauge(new TideGauge()); }
                    Gauge b() { return new CheckedGauge(new TideGauge()); }
                }
                """),
                at("src/test/java/quay/ATest.java", """
                package quay;
                class ATest {
                    Gauge g = new TideGauge();
                }
                """));
        python("duck typed").has("""
                class TideGauge:
                    def depth(self): return 3
                class CheckedGauge:
                    def __init__(self, inner): self.inner = inner
                    def depth(self):
                        return max(0, self.inner.depth())
                def a(): return CheckedGauge(TideGauge())
                def b(): return CheckedGauge(TideGauge())
                def c():
                    g = TideGauge()  # <- bypassed-wrapper
                    return g.depth()
                """);
    }
}
