package driftwood.smell.detect;

import java.util.Map;

class MisplacedBehaviourTest extends SmellCases {
    private static String office(String body) {
        return "package quay;\nclass Berth { int length; int depth; boolean tidal; int surcharge; int length() { return length; } int depth() { return depth; } boolean tidal() { return tidal; } int surcharge() { return surcharge; } int getRate() { return 4; } int getZone() { return 2; } int getFee() { return 1; } }\n"
                + "class Other { int a; int b; int c; }\nclass Office {\nint own; int more; Berth berth;\n" + body + "\n}\n";
    }

    @Override
    Map<String, String> smelly() {
        return Map.of(
                "dues() uses 4 members of Berth and none of its own", office("int dues(Berth b) { return b.length() * b.depth() + (b.tidal() ? b.surcharge() : 0); }"),
                "uses 3 members of Berth and none of its own: getRate(), getZone(), getFee()", office("int cost(Berth b) { return b.getRate() * b.getZone() + b.getFee(); }"),
                "and one of its own", office("int cost(Berth b) { return b.getRate() * b.getZone() + b.getFee() + own; }"),
                "uses 3 members of Berth", office("int area() { return berth.length * berth.depth + berth.surcharge; }"),
                "none of its own: length, depth, tidal", office("static int size(Berth b) { if (b.tidal) { return b.length * 2; } return b.length * b.depth; }".replace("if (b.tidal) { return b.length * 2; } return b.length * b.depth;", "int s = b.length * b.depth; return b.tidal ? s * 2 : s;")),
                "cost() uses 3 members", office("private int cost(Berth b) { int r = b.getRate(); int z = b.getZone(); return r * z - b.getFee(); }"));
    }

    @Override
    Map<String, String> healthy() {
        return Map.of(
                "two members only", office("int cost(Berth b) { return b.getRate() * b.getZone(); }"),
                "two of its own", office("int cost(Berth b) { return b.getRate() * b.getZone() + b.getFee() + own + more; }"),
                "a printer", office("").replace("class Office", "class BerthPrinter").replace("int own;", "String line(Berth b) { return \"\" + b.getRate() + b.getZone() + b.getFee(); } int own;"),
                "a mapping routine", office("int toRow(Berth b) { return b.getRate() * b.getZone() + b.getFee(); }"),
                "an implemented contract", "package quay;\ninterface Pricing { int cost(Berth b); }\nclass Berth { int a; int b; int c; }\nclass Office implements Pricing { public int cost(Berth x) { return x.a * x.b + x.c; } }\n",
                "between two types", office("int cost(Berth b, Other o) { return b.getRate() * b.getZone() + b.getFee() + o.a * o.b + o.c; }"),
                "a foreign type", "package quay;\nclass Office { int cost(java.time.LocalDate d) { return d.getYear() * d.getMonthValue() + d.getDayOfYear(); } }\n",
                "commands rather than parts", "package quay;\nclass Engine { int n; void start(int a) { } void warm(int a) { } void stop(int a) { } }\nclass Office { void run(Engine e) { e.start(1); e.warm(2); e.stop(3); } }\n");
    }

    @Override
    String smell() {
        return "misplaced-behaviour";
    }
}
