package driftwood.smell.detect.container;

import driftwood.smell.detect.SmellCases;
import java.util.Map;

class ContainerTypeCheckTest extends SmellCases {
    private static final String CARGO = "package quay;\nimport java.util.*;\nabstract class Cargo { int weight() { return 1; } boolean isContainer() { return false; } }\n"
            + "class Sack extends Cargo { }\nclass Crate extends Cargo { List<Cargo> contents = new ArrayList<>(); List<Cargo> contents() { return contents; } }\n";

    private static String hold(String body) {
        return CARGO + "class Hold {\nint sum;\n" + body + "\n}\n";
    }

    @Override
    protected Map<String, String> smelly() {
        return Map.of(
                "asks each part whether it is a Crate", hold("int weigh(List<Cargo> hold) { int w = 0; for (Cargo c : hold) { if (c instanceof Crate) { w += weigh(((Crate) c).contents()); } else { w += c.weight(); } } return w; }"),
                "descends into it by itself", hold("void count(List<Cargo> hold) { for (Cargo c : hold) { if (c instanceof Crate crate) { for (Cargo in : crate.contents()) { sum += in.weight(); } } } }"),
                "is a Crate and descends", hold("int weigh(Cargo top) { int w = 0; Deque<Cargo> open = new ArrayDeque<>(); open.add(top); while (!open.isEmpty()) { Cargo c = open.poll(); if (c instanceof Crate) { open.addAll(((Crate) c).contents()); } else { w += c.weight(); } } return w; }"),
                "whether it is a Crate", hold("int weigh(Cargo c) { if (c instanceof Crate crate) { int w = 0; for (Cargo in : crate.contents()) { w += weigh(in); } return w; } return c.weight(); }"),
                "asked in 1 other place", hold("void a(Cargo c) { if (c instanceof Crate k) { for (Cargo in : k.contents()) { a(in); } } else { sum++; } }\n"
                        + "void b(Cargo c) { if (c instanceof Crate k) { for (Cargo in : k.contents()) { b(in); } } else { sum += 2; } }"),
                "it is a Part and descends", "package quay;\nimport java.util.*;\nclass Part { boolean group; List<Part> parts; boolean isGroup() { return group; } List<Part> parts() { return parts; } }\n"
                        + "class Walk { int n; void all(List<Part> list) { for (Part p : list) { if (p.isGroup()) { all(p.parts()); } else { n++; } } } }\n");
    }

    @Override
    protected Map<String, String> healthy() {
        return Map.of(
                "a foreign tree", "package quay;\nimport java.io.File;\nclass Tree { int n; void walk(File[] all) { for (File f : all) { if (f.isDirectory()) { walk(f.listFiles()); } else { n++; } } } }\n",
                "a filter that descends nowhere", hold("List<Crate> crates(List<Cargo> all) { List<Crate> found = new ArrayList<>(); for (Cargo c : all) { if (c instanceof Crate) { found.add((Crate) c); } } return found; }"),
                "no test at all", hold("int weigh(List<Cargo> all) { int w = 0; for (Cargo c : all) { w += c.weight(); } return w; }"),
                "a test outside of a walk", hold("void look(Cargo c) { if (c instanceof Crate) { sum += ((Crate) c).contents().size(); } }"),
                "a test for something that holds none of its like", CARGO + "class Barrel extends Cargo { List<String> marks; List<String> marks() { return marks; } }\nclass Hold { void look(List<Cargo> all) { for (Cargo c : all) { if (c instanceof Barrel b) { for (String m : b.marks()) { m.length(); } } } } }\n",
                "one or many arguments", "package quay;\nimport java.util.*;\nclass Args { void all(Object o) { if (o instanceof List<?> list) { for (Object each : list) { all(each); } } } }\n");
    }

    @Override
    protected String smell() {
        return "container-type-check";
    }
}
