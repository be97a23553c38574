package driftwood.smell.detect.wiring;

import driftwood.smell.detect.SmellCases;
import java.util.Map;

class UncontrolledInstancesTest extends SmellCases {
    private static String log(String members, String users) {
        return "package quay;\nimport java.io.*;\nimport java.net.*;\nimport java.nio.file.*;\nclass HarbourLog {\n" + members + "\n}\n" + users;
    }

    private static final String TWO = "class A { void go() throws IOException { new HarbourLog(); } }\nclass B { HarbourLog log; B() throws IOException { log = new HarbourLog(); } }\n";

    @Override
    protected Map<String, String> smelly() {
        return Map.of(
                "every HarbourLog opens a file for itself, always the same (harbour.log); created in 2 places", log("private final FileWriter out = new FileWriter(\"harbour.log\"); HarbourLog() throws IOException { }", TWO),
                "opens the network for itself, always the same (8080)", log("final ServerSocket s; HarbourLog() throws IOException { s = new ServerSocket(8080); }", TWO),
                "for itself, always the same (PATH)", log("static final String PATH = \"x\"; final RandomAccessFile f; HarbourLog() throws IOException { this.f = new RandomAccessFile(PATH, \"rw\"); }", TWO),
                "created in 2 places", log("final PrintWriter out; HarbourLog() throws IOException { out = new PrintWriter(new FileWriter(\"harbour.log\")); }", TWO),
                "for itself, always the same (name)", log("final FileOutputStream out; HarbourLog(String name) throws IOException { out = new FileOutputStream(name); }",
                        "class A { void go() throws IOException { new HarbourLog(\"one\"); } void again() throws IOException { new HarbourLog(\"one\"); } }\n"),
                "created in 3 places", log("private final FileWriter out = new FileWriter(\"harbour.log\"); HarbourLog() throws IOException { }", TWO + "class C { Object o() throws IOException { return new HarbourLog(); } }\n"));
    }

    @Override
    protected Map<String, String> healthy() {
        return Map.of(
                "one place creates it", log("private final FileWriter out = new FileWriter(\"harbour.log\"); HarbourLog() throws IOException { }", "class A { void go() throws IOException { new HarbourLog(); } }\n"),
                "opened anew in each call", log("void add() throws IOException { try (FileWriter out = new FileWriter(\"harbour.log\")) { out.write(1); } }", TWO),
                "in memory", log("final ByteArrayOutputStream out = new ByteArrayOutputStream();", TWO),
                "different resources", log("final FileOutputStream out; HarbourLog(String name) throws IOException { out = new FileOutputStream(name); }",
                        "class A { void go() throws IOException { new HarbourLog(\"one\"); } void again() throws IOException { new HarbourLog(\"two\"); } }\n"),
                "a subclass's super call", log("private final FileWriter out = new FileWriter(\"harbour.log\"); HarbourLog() throws IOException { super(); }", "class Sub extends HarbourLog { Sub() throws IOException { super(); } }\nclass A { Object o() throws IOException { return new HarbourLog(); } }\n"),
                "a resource of whoever calls", log("final FileOutputStream out; HarbourLog(File f) throws IOException { out = new FileOutputStream(f); }",
                        "class A { void go(File f) throws IOException { new HarbourLog(f); new HarbourLog(f); } }\n"));
    }

    @Override
    protected String smell() {
        return "uncontrolled-instances";
    }
}
