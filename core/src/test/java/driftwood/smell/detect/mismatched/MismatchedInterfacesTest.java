package driftwood.smell.detect.mismatched;

import driftwood.smell.detect.SmellCases;
import java.util.Map;

class MismatchedInterfacesTest extends SmellCases {
    private static final String GAUGES = "package quay;\nclass Sonar { int measure(int berth) { return 4; } String name() { return \"\"; } }\nclass LeadLine { int lower(int berth, int rope) { return 9; } String title() { return \"\"; } }\n";

    private static String survey(String body) {
        return GAUGES + "class Survey {\nSonar sonar; LeadLine line; boolean digital; int depth;\n" + body + "\n}\n";
    }

    @Override
    protected Map<String, String> smelly() {
        return Map.of(
                "Sonar.measure(), LeadLine.lower()", survey("int depth(int b) { return digital ? sonar.measure(b) : line.lower(b, 30); }"),
                "chooses between unrelated types", survey("void take(int b) { if (digital) { depth = sonar.measure(b); } else { depth = line.lower(b, 30); } }"),
                "for one purpose", survey("int take(Object gauge, int b) { if (gauge instanceof Sonar s) { return s.measure(b); } else if (gauge instanceof LeadLine l) { return l.lower(b, 9); } return 0; }"),
                "LeadLine.lower(), Sonar.measure()", survey("int take(int b) { if (!digital) { return line.lower(b, 1); } return sonar.measure(b); }"),
                "Sonar.name(), LeadLine.title()", survey("String label() { return digital ? sonar.name() : line.title(); }"),
                "Sonar.measure(), LeadLine.lower", survey("int take(Object g, int b) { if (g instanceof Sonar) { return ((Sonar) g).measure(b); } else { return ((LeadLine) g).lower(b, 4); } }"));
    }

    @Override
    protected Map<String, String> healthy() {
        return Map.of(
                "a common supertype offers it", "package quay;\ninterface Gauge { int depth(int b); }\nclass Sonar implements Gauge { public int depth(int b) { return 1; } int quick(int b) { return 2; } }\nclass Line implements Gauge { public int depth(int b) { return 2; } }\n"
                        + "class Survey { Sonar s; Line l; boolean d; int take(int b) { return d ? s.quick(b) : l.depth(b); } }\n",
                "the same call on both", "package quay;\nclass A { int go(int n) { return n; } }\nclass B { int go(int n) { return n; } }\nclass C { A a; B b; boolean d; int take(int n) { return d ? a.go(n) : b.go(n); } }\n",
                "arms that do different things", survey("int x; String y; void take(int b) { if (digital) { x = sonar.measure(b); } else { y = line.title(); } }"),
                "a fallback for nothing", survey("int take(int b) { return sonar == null ? line.lower(b, 4) : sonar.measure(b); }"),
                "its own routine", survey("int own(int b) { return b; } int take(int b) { return digital ? sonar.measure(b) : own(b); }"),
                "results nobody uses", survey("void take(int b) { if (digital) { sonar.measure(b); } else { line.lower(b, 4); } }"),
                "results of different kinds", survey("Object take(int b) { if (digital) { return sonar.measure(b); } else { return line.title(); } }"));
    }

    @Override
    protected String smell() {
        return "mismatched-interfaces";
    }
}
