package driftwood.smell.detect.half;

import driftwood.smell.detect.SmellCases;
import java.util.Map;

class HalfBuiltObjectTest extends SmellCases {
    private static String pilotage(String begin) {
        return "package quay;\nclass Vessel { String name() { return \"\"; } }\nclass Pilot { void board(Vessel v) { } }\nclass Tide { int level() { return 4; } }\n"
                + "class Pilotage {\nprivate Vessel vessel; private Pilot pilot; private Tide tide;\nvoid setVessel(Vessel v) { vessel = v; } void setPilot(Pilot p) { this.pilot = p; } void setTide(Tide t) { tide = t; }\n" + begin + "\n}\n";
    }

    private static final String CALLER = "class Office { void go(Vessel v, Pilot p, Tide t) { Pilotage x = new Pilotage(); x.setVessel(v); x.setPilot(p); x.setTide(t); x.begin(); } }\n";
    private static final String USE = "void begin() { pilot.board(vessel); vessel.name(); tide.level(); }";

    @Override
    protected Map<String, String> smelly() {
        return Map.of(
                "unusable until setVessel(), setPilot(), setTide() were called", pilotage(USE) + CALLER,
                "begin() fails without vessel", pilotage(USE) + CALLER.replace("Pilotage x", "var x"),
                "unusable until setTide() was called: begin() fails without tide", pilotage("void begin() { if (tide == null) { throw new IllegalStateException(\"no tide\"); } tide.level(); }"),
                "fails without vessel", pilotage("void begin() { if (vessel == null) throw new IllegalStateException(); }"),
                "setVessel(), setPilot(), setTide()", pilotage(USE) + CALLER + "class Desk { void go(Pilotage p) { p.begin(); } }\n",
                "until setPilot() was called", pilotage("void begin() { if (this.pilot == null) { throw new IllegalStateException(); } }"));
    }

    @Override
    protected Map<String, String> healthy() {
        return Map.of(
                "a plain data carrier", pilotage("Vessel getVessel() { return vessel; } Pilot getPilot() { return pilot; }") + CALLER.replace(" x.begin();", ""),
                "set by the constructor", "package quay;\nclass Tide { int level() { return 4; } }\nclass P { Tide tide; P(Tide t) { tide = t; } void setTide(Tide t) { tide = t; } void go() { if (tide == null) { throw new IllegalStateException(); } tide.level(); } }\n",
                "a working default", "package quay;\nclass Tide { int level() { return 4; } }\nclass P { Tide tide = new Tide(); void setTide(Tide t) { tide = t; } void go() { if (tide == null) { throw new IllegalStateException(); } } }\n",
                "two setters only", pilotage("void begin() { pilot.board(vessel); }") + CALLER.replace("x.setTide(t);", ""),
                "uses that allow for nothing", pilotage("void begin() { if (pilot != null) { pilot.board(vessel); } if (tide != null) { tide.level(); } if (vessel != null) { vessel.name(); } }") + CALLER,
                "a builder", pilotage(USE).replace("Pilotage", "PilotageBuilder") + CALLER.replace("Pilotage", "PilotageBuilder"),
                "a life-cycle call", "package quay;\nclass Link { java.io.Reader in; void open(java.io.Reader r) { in = r; } int read() throws Exception { if (in == null) { throw new IllegalStateException(); } return in.read(); } }\n");
    }

    @Override
    protected String smell() {
        return "half-built-object";
    }
}
