package driftwood.smell.detect.kind;

import driftwood.smell.detect.SmellCases;
import java.util.Map;

class ThresholdLadderTest extends SmellCases {
    private static String port(String body) {
        return "package quay;\nclass Vessel { int metres() { return 4; } }\nclass Yard { void moor(Vessel v) { } boolean accepts(Vessel v) { return true; } int dues(Vessel v) { return 1; } }\n"
                + "class Port {\nYard yard; Yard basin; Yard roads; int sum;\n" + body + "\n}\n";
    }

    @Override
    protected Map<String, String> smelly() {
        return Map.of(
                "a ladder of 3 rungs on metres: metres < 20, metres < 120", port("void take(Vessel v, int metres) { if (metres < 20) { yard.moor(v); } else if (metres < 120) { basin.moor(v); } else { roads.moor(v); } }"),
                "on v.metres()", port("void take(Vessel v) { if (v.metres() <= 20) { yard.moor(v); } else if (v.metres() <= 120) { basin.moor(v); } else { roads.moor(v); } }"),
                "a ladder of 3 rungs on m", port("int take(Vessel v, int m) { if (m > 100) { return yard.dues(v); } if (m > 50) { return basin.dues(v); } return roads.dues(v); }"),
                "m >= 0 && m < 20", port("void take(Vessel v, int m) { if (m >= 0 && m < 20) { yard.moor(v); } else if (m >= 20 && m < 90) { basin.moor(v); } else if (m >= 90 && m < 200) { roads.moor(v); } }"),
                "asks 3 candidates in turn", port("void take(Vessel v) { if (yard.accepts(v)) { yard.moor(v); } else if (basin.accepts(v)) { basin.moor(v); } else if (roads.accepts(v)) { roads.moor(v); } }"),
                "a ladder of 4 rungs on load", port("String answer(Vessel v, int load) { if (load < 10) { return \"idle\"; } else if (load < 50) { return \"fine\"; } else if (load < 90) { yard.moor(v); return \"busy\"; } else { basin.moor(v); return \"full\"; } }"),
                "length < SMALL, length < LARGE", port("static final int SMALL = 9, LARGE = 90; void take(Vessel v, int length) { if (length < SMALL) { sum++; yard.moor(v); } else if (length < LARGE) { sum++; basin.moor(v); } else { roads.moor(v); } }"));
    }

    @Override
    protected Map<String, String> healthy() {
        return Map.of(
                "a band that is looked up", port("int rate(int m) { if (m < 20) { return 4; } else if (m < 120) { return 9; } else { return 12; } }"),
                "different values", port("void take(Vessel v, int m, int d) { if (m < 20) { yard.moor(v); } else if (d < 9) { basin.moor(v); } else { roads.moor(v); } }"),
                "a clamp", port("int clamp(int m) { if (m < 0) { return 0; } if (m > 100) { return 100; } return m; }"),
                "two rungs", port("void take(Vessel v, int m) { if (m < 20) { yard.moor(v); } else { basin.moor(v); } }"),
                "a comparison's sign", port("void order(Vessel v, int c) { if (c < 0) { yard.moor(v); } else if (c > 0) { basin.moor(v); } else { roads.moor(v); } }"),
                "numbers encoded by width", port("void put(byte[] out, int code) { if (code < 128) { out[0] = (byte) code; } else if (code < 2048) { out[0] = (byte) (code >> 6); } else { out[0] = (byte) (code >> 12); } }"),
                "limits that fall and rise", port("void take(Vessel v, int m) { if (m < 50) { yard.moor(v); } else if (m < 20) { basin.moor(v); } else if (m < 90) { roads.moor(v); } }"));
    }

    @Override
    protected String smell() {
        return "threshold-ladder";
    }
}
