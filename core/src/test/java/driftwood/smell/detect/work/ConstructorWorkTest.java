package driftwood.smell.detect.work;

import driftwood.smell.detect.SmellCases;
import java.util.Map;

class ConstructorWorkTest extends SmellCases {
    private static String table(String members) {
        return "package quay;\nimport java.nio.file.*;\nimport java.util.*;\n"
                + "class Tower { void announce(Object o) { } static void register(Object o) { } void subscribe(Object o) { } }\n"
                + "class Table {\nint depth; List<String> lines = new ArrayList<>();\n" + members + "\n}\n";
    }

    /** A class that holds an open file and can be closed. */
    private static String holding(String name) {
        return "package quay;\nimport java.io.*;\nclass " + name + " {\nprivate final RandomAccessFile held;\n"
                + name + "(String path) throws IOException { held = new RandomAccessFile(path, \"r\"); }\nvoid close() throws IOException { held.close(); }\n}\n";
    }

    @Override
    protected Map<String, String> smelly() {
        return Map.of(
                "reaches outside: a file (RandomAccessFile)", holding("TideReport"),
                "reaches outside: a file (Files.readAllLines)", table("Table(Path p) throws Exception { lines = Files.readAllLines(p); }"),
                "acts on others in a loop: tower.announce(name)", table("Table(Tower tower, List<String> names) { for (String name : names) { tower.announce(name); } }"),
                "acts on others under a condition: tower.announce(1)", table("Table(Tower tower, boolean loud) { if (loud) { tower.announce(1); } }"),
                "hands itself out: tower.subscribe(this)", table("Table(Tower tower) { tower.subscribe(this); }"),
                "hands itself out: Tower.register(this)", table("Table() { Tower.register(this); }"),
                "calls its own overridable fill()", table("Table() { fill(); } void fill() { }") + "class Tidal extends Table { @Override void fill() { depth = 4; } }\n",
                "calls its own overridable name()", "package quay;\nabstract class Base { String title; Base() { title = name(); } abstract String name(); }\n");
    }

    @Override
    protected Map<String, String> healthy() {
        return Map.of(
                "an open file by its nature", holding("TideFile") + holding("QuayFileImpl").replaceFirst("(?s)package.*?;\n", ""),
                "a stream two levels down, which inherits its close", "package quay;\nimport java.io.*;\nimport java.nio.file.*;\nabstract class Bridge extends FilterOutputStream {\n"
                        + "Bridge() { super(null); } }\nclass Kept extends Bridge { private final Path path; Kept() throws IOException { path = Files.createTempFile(\"kelp\", \"quay\");\n"
                        + "out = Files.newOutputStream(path); } }\n",
                "taking values", table("Table(int depth) { this.depth = depth; }"),
                "a check that throws", table("Table(int depth) { if (depth < 0) { throw new IllegalArgumentException(); } this.depth = depth; }"),
                "a defensive copy", table("Table(List<String> given) { for (String each : given) { lines.add(each); } }"),
                "computation on the arguments", table("Table(int[] parts) { for (int each : parts) { depth += each; } }"),
                "creating and filling a part", table("Map<String, Integer> index; Table(List<String> g) { index = new HashMap<>(); for (String s : g) { index.put(s, 1); } }"),
                "delegation", table("Table() { this(4); } Table(int depth) { this.depth = depth; }"),
                "a private routine of its own", table("Table() { fill(); } private void fill() { depth = 9; }"),
                "what a lambda will do later", table("Runnable later; Table(Tower tower, boolean b) { later = () -> { if (b) { tower.announce(1); } }; }"));
    }

    @Override
    protected String smell() {
        return "constructor-work";
    }
}
