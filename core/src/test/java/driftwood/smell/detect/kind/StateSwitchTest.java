package driftwood.smell.detect.kind;

import driftwood.smell.detect.SmellCases;
import java.util.Map;

class StateSwitchTest extends SmellCases {
    private static String gate(String body) {
        return "package quay;\nclass Gate {\nenum Position { OPEN, SHUT, STUCK }\nPosition position = Position.SHUT; String mode = \"\"; int turns; boolean closed;\n"
                + "void shut() { turns++; } void open() { turns--; } int count(int n) { return n * turns; }\n" + body + "\n}\n";
    }

    @Override
    protected Map<String, String> smelly() {
        return Map.of(
                "2 routines branch on the field position: OPEN, SHUT", gate("void push() { switch (position) { case OPEN: shut(); break; case SHUT: open(); break; } }\n"
                        + "int toll() { switch (position) { case OPEN: return count(2); case SHUT: return count(1); } return 0; }"),
                "3 routines branch on the field position", gate("void a() { if (position == Position.OPEN) { shut(); } else if (position == Position.SHUT) { open(); } }\n"
                        + "void b() { if (position == Position.OPEN) { turns++; } else if (position == Position.SHUT) { turns--; } }\nvoid c() { switch (position) { case OPEN -> open(); case STUCK -> shut(); default -> { } } }"),
                "branch on the field mode: \"day\", \"night\"", gate("void a() { if (mode.equals(\"day\")) { shut(); } else if (mode.equals(\"night\")) { open(); } }\nint b() { switch (mode) { case \"day\": return count(1); case \"night\": return count(2); default: return 0; } }"),
                "OPEN, SHUT, STUCK", gate("void a() { switch (this.position) { case OPEN: shut(); position = Position.SHUT; break; case SHUT: open(); break; default: } }\nvoid b() { switch (this.position) { case SHUT: open(); break; case STUCK: shut(); break; default: } }"),
                "branch on the field kind: DAY, NIGHT", "package quay;\nclass Watch { static final int DAY = 1, NIGHT = 2; int kind; int n; void go() { n++; }\n"
                        + "void a() { if (kind == DAY) { go(); } else if (kind == NIGHT) { go(); go(); } }\nvoid b() { if (kind == DAY) { n = n * 2; go(); } else if (kind == NIGHT) { go(); } } }\n",
                "2 routines branch on the field phase", "package quay;\nenum Phase { EBB, FLOOD }\nclass Tide { private Phase phase; int n; void up() { n++; } void down() { n--; }\n"
                        + "int level() { return switch (phase) { case EBB -> n * 2; case FLOOD -> n * 3; }; }\nvoid next() { switch (phase) { case EBB: up(); break; case FLOOD: down(); break; } } }\n");
    }

    @Override
    protected Map<String, String> healthy() {
        return Map.of(
                "one routine only", gate("void push() { switch (position) { case OPEN: shut(); break; case SHUT: open(); break; } }"),
                "tests against one value", gate("void a() { if (position == Position.OPEN) { shut(); } } void b() { if (position == Position.OPEN) { open(); } }"),
                "lookups", gate("int a() { switch (position) { case OPEN: return 1; case SHUT: return 2; default: return 3; } } String b() { switch (position) { case OPEN: return \"o\"; case SHUT: return \"s\"; default: return \"\"; } }"),
                "a boolean field", gate("void a() { if (closed) { shut(); } else { open(); } } void b() { if (closed) { open(); } else { shut(); } }"),
                "an enum that branches on itself", "package quay;\nenum Sign { GO, STOP; int n() { return 4; } int a() { switch (this) { case GO: return n() * 2; case STOP: return n() * 3; } return 0; } int b() { switch (this) { case GO: return n() * 4; case STOP: return n() * 5; } return 0; } }\n",
                "a number that is a count", gate("int a() { switch (turns) { case 0: return count(3); case 1: return count(4); default: return count(5); } } int b() { switch (turns) { case 0: return count(6); case 1: return count(7); default: return count(8); } }"),
                "somebody else's field", "package quay;\nenum Kind { TUG, TANKER }\nclass Vessel { Kind kind; }\nclass Dues { int n; int go() { return n++; } int a(Vessel v) { switch (v.kind) { case TUG: return go() * 2; case TANKER: return go() * 3; } return 0; } int b(Vessel v) { switch (v.kind) { case TUG: return go() * 4; case TANKER: return go() * 5; } return 0; } }\n");
    }

    @Override
    protected String smell() {
        return "state-switch";
    }
}
