package driftwood.plan;

/** Small sources with one smell each, for tests of plans. */
final class PlannedCode {
    static final String VESSELS = """
            package quay;
            abstract class Vessel {
                int tonnage() { return 4; }
            }
            """;
    static final String TUG = "package quay;\nclass Tug extends Vessel {\n}\n";
    static final String TANKER = "package quay;\nclass Tanker extends Vessel {\n    int load;\n}\n";
    static final String DUES = """
            package quay;
            class Dues {
                int quote(Vessel vessel, int nights) {
                    if (vessel instanceof Tug) {
                        Tug tug = (Tug) vessel;
                        return tug.tonnage() * nights;
                    } else if (vessel instanceof Tanker) {
                        return ((Tanker) vessel).load * nights + 1;
                    }
                    return 0;
                }
            }
            """;
    static final String GATE = """
            package quay;
            class Gate {
                enum Position { OPEN, SHUT }
                private Position position = Position.SHUT;
                int turns;
                void push() {
                    switch (position) {
                        case OPEN: position = Position.SHUT; turns++; break;
                        case SHUT: position = Position.OPEN; turns++; break;
                    }
                }
                int toll(int weight) {
                    switch (position) {
                        case OPEN: turns++; return weight * 2;
                        case SHUT: turns--; return weight * 3;
                        default: return 0;
                    }
                }
            }
            """;
    static final String NUMBERED_GATE = GATE.replace("enum Position { OPEN, SHUT }", "static final int OPEN = 0; static final int SHUT = 1;")
            .replace("private Position position = Position.SHUT;", "private int position = SHUT;").replace("Position.", "");
    static final String BERTH = """
            package quay;
            class Berth {
                Berth(String name) { this(name, 4); }
                Berth(String name, int depth) { this(name, depth, 30); }
                Berth(String name, int depth, int length) { this(name, depth, length, false); }
                Berth(String name, int depth, int length, boolean tidal) { }
            }
            """;
    static final String ROSTER = """
            package quay;
            class Roster {
                Pilot find(int t) { if (t > 3) { return null; } return new Pilot(); }
            }
            class Pilot { void board() { } int trips() { return 1; } Pilot next() { return this; } }
            class Desk { Roster roster; void f() { Pilot p = roster.find(1); if (p != null) { p.board(); } } }
            """;
    static final String OFFICE = """
            package quay;
            class Office {
                int n;
                Permit issue(String kind) {
                    n++;
                    switch (kind) {
                        case "light": return new Light();
                        case "heavy": return new Heavy();
                        default: throw new IllegalArgumentException(kind);
                    }
                }
            }
            interface Permit { }
            class Light implements Permit { }
            class Heavy implements Permit { }
            """;

    private PlannedCode() {
    }
}
