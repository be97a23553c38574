package driftwood.smell.detect.wiring;

import driftwood.smell.detect.SmellCases;
import java.util.Map;

class HardCodedInstantiationTest extends SmellCases {
    private static final String GAUGE = "package quay;\nimport java.io.*;\nimport java.net.*;\nimport java.nio.file.*;\nimport java.util.*;\nimport java.time.*;\n"
            + "class TideGauge { int depth() throws IOException { return new FileReader(\"gauge\").read(); } }\nclass Wire { void send(String s) throws IOException { new Socket(\"pilot\", 4).close(); } }\n"
            + "class TideClock { Instant now() { return Instant.now(); } }\nclass Dice { final Random random = new Random(); int roll() { return random.nextInt(); } }\nclass Sum { int add(int a) { return a + 1; } }\n";

    private static String arrivals(String body) {
        return GAUGE + "class Arrivals {\nint n;\n" + body + "\n}\n";
    }

    @Override
    protected Map<String, String> smelly() {
        return Map.of(
                "creates its own TideGauge, which reaches a file (FileReader)", arrivals("private final TideGauge gauge = new TideGauge();\nboolean may(int draught) throws Exception {\n return gauge.depth() > draught; }"),
                "creates its own Wire, which reaches the network (Socket)", arrivals("void tell(String s) throws Exception {\n n++;\n Wire wire = new Wire(); wire.send(s); }"),
                "creates its own TideClock, which reaches the clock", arrivals("TideClock clock; Arrivals() { this.clock = new TideClock(); }\nboolean late() {\n return clock.now() != null; }"),
                "creates its own Dice", arrivals("Dice dice = new Dice();\nint turn() {\n return dice.roll(); }"),
                "and cannot be given another", arrivals("void tell(String s) throws Exception {\n n++;\n new Wire().send(s); }"),
                "which reaches a file", arrivals("TideGauge g; int one() throws Exception {\n g = new TideGauge();\n return g.depth(); }"));
    }

    @Override
    protected Map<String, String> healthy() {
        return Map.of(
                "it can be given another", arrivals("final TideGauge gauge; Arrivals() { this(new TideGauge()); } Arrivals(TideGauge g) { gauge = g; }\nint d() throws Exception {\n return gauge.depth(); }"),
                "the created thing reaches nothing", arrivals("Sum sum = new Sum();\nint go() {\n return sum.add(4); }"),
                "a factory", GAUGE + "class GaugeFactory { int n; TideGauge gauge = new TideGauge();\nint go() throws Exception {\n return gauge.depth(); } }\n",
                "a main routine", arrivals("public static void main(String[] a) throws Exception { new Wire().send(\"\"); }\nint go() {\n return n; }"),
                "a result that is only returned", arrivals("TideGauge make() {\n TideGauge g = new TideGauge();\n return g; }"),
                "a default for nothing", arrivals("TideGauge gauge; void use(TideGauge g) throws Exception {\n gauge = g == null ? new TideGauge() : g;\n gauge.depth(); }"),
                "a nested part", "package quay;\nimport java.io.*;\nclass Outer { int n; Inner inner = new Inner();\nint go() throws IOException {\n return inner.read(); }\nstatic class Inner { int read() throws IOException { return new FileReader(\"x\").read(); } } }\n");
    }

    @Override
    protected String smell() {
        return "hard-coded-instantiation";
    }
}
