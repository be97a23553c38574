package driftwood.smell.detect.flag;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.smell.detect.SmellCases;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FlagArgumentTest extends SmellCases {
    private static String desk(String routine) {
        return "package quay;\nclass Desk {\nint takings; int length() { return 4; } int watch() { return 9; }\n" + routine
                + "\n}\nclass Clerk { void go(Desk d) { d.fee(true); d.fee(false); } }\n";
    }

    @Override
    protected Map<String, String> smelly() {
        return Map.of(
                "the boolean night splits fee() in two", desk("int fee(boolean night) { if (night) { return length() * 9 + watch(); } else { return length() * 4; } }"),
                "2 calls with a bare true or false", desk("int fee(boolean night) { if (night) { return length() * 9; } return length() * 4; }"),
                "the boolean day splits", desk("void fee(boolean day) { if (!day) { takings += watch(); } else { takings += length(); } }"),
                "the boolean late splits", desk("int fee(boolean late) { int sum; if (late) { sum = watch() * 2; } else { sum = length() * 3; } return sum; }"),
                "the boolean urgent splits", desk("int fee(Boolean urgent) { int base = length(); if (urgent) { return base * watch(); } return base * length(); }"),
                "the boolean rush splits setFee() in two", "package quay;\nclass Desk { int sum; int length() { return 4; }\nvoid setFee(boolean rush, int base) { if (rush) { sum = length() * base; } else { sum = base; length(); } } }\n"
                        + "class Clerk { void go(Desk d) { d.setFee(true, 4); } }\n",
                "the boolean strict splits", desk("void fee(boolean strict) { if (takings < 0) { throw new IllegalStateException(); }\n"
                        + "if (strict) { takings += watch(); } else { takings += length(); } }"));
    }

    @Override
    protected Map<String, String> healthy() {
        return Map.of(
                "the flag is only stored", desk("boolean open; void fee(boolean night) { open = night; }"),
                "a branch in a longer body", desk("int fee(boolean night) { int sum = 0; sum += length(); if (night) { sum += watch(); } sum += 4; return sum; }"),
                "no caller writes a literal", "package quay;\nclass Desk { int fee(boolean n) { if (n) { return go() * 2; } return go() * 3; } int go() { return 1; } }\n"
                        + "class Clerk { void go(Desk d, boolean n) { d.fee(n); } }\n",
                "a setter", desk("void setNight(boolean on) { if (on) { takings += watch(); } else { takings -= watch(); } } void fee(boolean b) { setNight(b); }"),
                "a setter of one of many", "package quay;\nclass Desk { java.util.BitSet taken = new java.util.BitSet();\n"
                        + "void setTaken(int berth, boolean value) { if (value) taken.set(berth); else taken.clear(berth); } }\nclass Clerk { void go(Desk d) { d.setTaken(4, true); } }\n",
                "an overriding routine", "package quay;\nimport far.Base;\nclass Desk extends Base { @Override int fee(boolean n) { if (n) { return go() * 2; } return go() * 3; } }\n"
                        + "class Clerk { void go(Desk d) { d.fee(true); } }\n",
                "one side only throws", desk("int fee(boolean night) { if (night) { throw new IllegalStateException(); } else { return length() * 3; } }"),
                "a value among overloads", "package quay;\nclass Out { void put(int v) { } void put(boolean v) { if (v) { put(1 + go()); } else { put(2 + go()); } } int go() { return 1; } }\n"
                        + "class Clerk { void go(Out o) { o.put(true); } }\n");
    }

    @Override
    protected String smell() {
        return "flag-argument";
    }

    /** What stands behind the two sides may work something out of plain values, and nothing more. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            return loaded.size();              | true
            return loaded.size() - before;     | true
            return before + 1;                 | true
            return before;                     | true
            return sum(loaded) - before;       | false
            return loaded.indexOf(what) + 1;   | false
            """)
    void theEndMayBeShared(String end, boolean told) {
        String hold = """
                package quay;
                import java.util.*;
                class Hold {
                    final List<String> loaded = new ArrayList<>();
                    int sum(List<String> all) { return all.size(); }
                    int load(String what, boolean carefully) {
                        int before = loaded.size();
                        if (carefully) {
                            for (int i = 0; i < 2; i++) {
                                loaded.add("soft " + what);
                            }
                        } else {
                            loaded.addAll(List.of(what, what));
                        }
                        %s
                    }
                    int both() { return load("glass", true) + load("coal", false); }
                }
                """.formatted(end);
        assertThat(Given.messages("flag-argument", hold).isEmpty()).isEqualTo(!told);
    }
}
