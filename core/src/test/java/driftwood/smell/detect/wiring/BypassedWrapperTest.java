package driftwood.smell.detect.wiring;

import driftwood.smell.detect.SmellCases;
import java.util.Map;

class BypassedWrapperTest extends SmellCases {
    private static String dock(String body) {
        return "package quay;\nimport java.util.*;\ninterface Gauge { int depth(); }\nclass TideGauge implements Gauge { TideGauge() { } TideGauge(int n) { } public int depth() { return 1; } }\n"
                + "class Checked implements Gauge { final Gauge inner; Checked(Gauge g) { inner = g; } public int depth() { return inner.depth(); } }\nclass Plain { Plain(Gauge g) { } }\nclass Dock {\n" + body + "\n}\n";
    }

    @Override
    protected Map<String, String> smelly() {
        return Map.of(
                "TideGauge is wrapped in Checked at 2 places, but not here", dock("Gauge a = new Checked(new TideGauge()); Gauge b = new Checked(new TideGauge(4)); Gauge c = new TideGauge();"),
                "at 2 places", dock("Gauge a() { TideGauge t = new TideGauge(); return new Checked(t); } Gauge b() { Gauge t = new TideGauge(); return new Checked(t); } Gauge c() { return new TideGauge(); }"),
                "at 3 places", dock("Gauge a = new Checked(new TideGauge()), b = new Checked(new TideGauge()), c = new Checked(new TideGauge()); Gauge d() { Gauge bare = new TideGauge(); return bare; }"),
                "is wrapped in Checked", dock("void go(List<Gauge> all) { all.add(new Checked(new TideGauge(1))); all.add(new Checked(new TideGauge(2))); Gauge g = new TideGauge(3); all.add(g); }"),
                "TideGauge is wrapped in Checked at 2 places", dock("void go(List<Gauge> all) { all.add(new Checked(new TideGauge(1))); all.add(new Checked(new TideGauge(2))); all.add(new TideGauge(3)); }"),
                "but not here", dock("int a() { return new Checked(new TideGauge()).depth(); } int b() { return new Checked(new TideGauge()).depth(); } int c() { return new TideGauge().depth(); }"),
                "wrapped in Checked at 3 places, but not here and at 1 other place", dock("Gauge a = new Checked(new TideGauge()), b = new Checked(new TideGauge()), c = new Checked(new TideGauge()), d = new TideGauge(), e = new TideGauge();"));
    }

    @Override
    protected Map<String, String> healthy() {
        return Map.of(
                "always wrapped", dock("Gauge a = new Checked(new TideGauge()); Gauge b = new Checked(new TideGauge());"),
                "handed to whoever wraps it", dock("Gauge wrap(Gauge g) { return new Checked(g); } Gauge a = new Checked(new TideGauge()); Gauge b = new Checked(new TideGauge()); Gauge c = wrap(new TideGauge());"),
                "wrapped only once", dock("Gauge a = new Checked(new TideGauge()); Gauge b = new TideGauge();"),
                "never wrapped", dock("Gauge a = new TideGauge(); Gauge b = new TideGauge();"),
                "handed to another interface", dock("Plain a = new Plain(new TideGauge()); Plain b = new Plain(new TideGauge()); Gauge c = new TideGauge();"),
                "more often bare than wrapped", dock("Gauge a = new Checked(new TideGauge()), b = new Checked(new TideGauge()), c = new TideGauge(), d = new TideGauge(), e = new TideGauge();"),
                "inside the wrapper", "package quay;\ninterface Gauge { }\nclass Tide implements Gauge { }\nclass Checked implements Gauge { Checked(Gauge g) { } static Gauge spare() { return new Tide(); } }\nclass Dock { Gauge a = new Checked(new Tide()); Gauge b = new Checked(new Tide()); }\n");
    }

    @Override
    protected String smell() {
        return "bypassed-wrapper";
    }
}
