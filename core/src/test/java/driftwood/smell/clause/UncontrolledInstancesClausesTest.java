package driftwood.smell.clause;

/** The clauses of the catalogue for uncontrolled-instances, each with a source that has it or has it not. */
class UncontrolledInstancesClausesTest extends Clauses {

    @Override
    String smell() {
        return "uncontrolled-instances";
    }

    @Override
    void clauses() {
        java("file two sites").has("""
                package quay;
                import java.io.*;
                class Ledger { // <- uncontrolled-instances
                    private final FileWriter out;
                    Ledger() throws IOException { out = new FileWriter("ledger.txt", true); }
                    void write(String s) throws IOException { out.write(s); }
                }
                class Office {
                    void a() throws IOException { new Ledger().write("a"); }
                }
                class Desk {
                    void b() throws IOException {
                        Ledger l = new Ledger();
                        l.write("b");
                    }
                }
                """);
        java("same path passed").has("""
                package quay;
                import java.io.*;
                class Ledger { // <- uncontrolled-instances
                    private final FileWriter out;
                    Ledger(String f) throws IOException { out = new FileWriter(f, true); }
                    void write(String s) throws IOException { out.write(s); }
                }
                class Office {
                    void a() throws IOException { new Ledger("quay.log").write("a"); }
                }
                class Desk {
                    void b() throws IOException {
                        Ledger l = new Ledger("quay.log");
                        l.write("b");
                    }
                }
                """);
        java("port via method ref").has("""
                package quay;
                import java.io.*;
                import java.net.*;
                import java.util.function.*;
                class Radio { // <- uncontrolled-instances
                    private ServerSocket s;
                    Radio() {
                        try {
                            s = new ServerSocket(9090);
                        } catch (IOException e) { throw new RuntimeException(e); }
                    }
                    void on() { System.out.println(s); }
                }
                class A {
                    void a() { new Radio().on(); }
                }
                class B {
                    Supplier<Radio> s = Radio::new;
                }
                """);
        java("once").hasNot("""
                package quay;
                import java.io.*;
                class Ledger {
                    private final FileWriter out;
                    Ledger() throws IOException { out = new FileWriter("ledger.txt", true); }
                    void write(String s) throws IOException { out.write(s); }
                }
                class Office {
                    void a() throws IOException { new Ledger().write("a"); }
                }
                """);
        java("opened each call").hasNot("""
                package quay;
                import java.io.*;
                class Ledger {
                    void write(String s) throws IOException {
                        try (FileWriter out = new FileWriter("ledger.txt", true)) { out.write(s); }
                    }
                }
                class Office {
                    void a() throws IOException { new Ledger().write("a"); }
                }
                class Desk {
                    void b() throws IOException {
                        Ledger l = new Ledger();
                        l.write("b");
                    }
                }
                """);
        java("different files").hasNot("""
                package quay;
                import java.io.*;
                class Ledger {
                    private final FileWriter out;
                    Ledger(String f) throws IOException { out = new FileWriter(f, true); }
                    void write(String s) throws IOException { out.write(s); }
                }
                class Office {
                    void a() throws IOException { new Ledger("a.log").write("a"); }
                }
                class Desk {
                    void b(String x) throws IOException {
                        Ledger l = new Ledger(x);
                        l.write("b");
                    }
                }
                """);
        java("memory").hasNot("""
                package quay;
                import java.io.*;
                class Buf {
                    private final ByteArrayOutputStream out;
                    Buf() { out = new ByteArrayOutputStream(); }
                    void w(int b) { out.write(b); }
                }
                class A {
                    void a() { new Buf().w(1); }
                }
                class B {
                    void b() { new Buf().w(1); }
                }
                """);
        python("file").has("""
                class Ledger:  # <- uncontrolled-instances
                    def __init__(self):
                        self.out = open("ledger.txt", "a")
                    def write(self, s): self.out.write(s)
                def a():
                    Ledger().write("a")
                def b():
                    l = Ledger()
                    l.write("b")
                """);
        python("sqlite").has("""
                import sqlite3
                class Store:  # <- uncontrolled-instances
                    def __init__(self):
                        self.db = sqlite3.connect("quay.db")
                    def put(self, s): self.db.execute("insert", (s,))
                class A:
                    def __init__(self): self.store = Store()
                    def go(self): self.store.put(1)
                class B:
                    def __init__(self): self.store = Store()
                    def go(self): self.store.put(2)
                """);
        python("each call").hasNot("""
                class Ledger:
                    def write(self, s):
                        with open("ledger.txt", "a") as f: f.write(s)
                def a():
                    Ledger().write("a")
                def b():
                    Ledger().write("b")
                """);
        java("socket port").has("""
                package quay;
                import java.io.*;
                import java.net.*;
                class Beacon { // <- uncontrolled-instances
                    private final ServerSocket socket;
                    Beacon() throws IOException { socket = new ServerSocket(4711); }
                    void accept() throws IOException { socket.accept(); }
                }
                class A {
                    Beacon b = make();
                    Beacon make() {
                        try {
                            return new Beacon();
                        } catch (IOException e) { return null; }
                    }
                }
                class B {
                    void go() throws IOException {
                        Beacon b = new Beacon();
                        b.accept();
                    }
                }
                """);
        java("connection").has("""
                package quay;
                import java.sql.*;
                class Store { // <- uncontrolled-instances
                    private final Connection c;
                    Store() throws SQLException { c = DriverManager.getConnection("jdbc:quay"); }
                    void put(String s) throws SQLException { c.createStatement().execute(s); }
                }
                class A {
                    void a() throws SQLException { new Store().put("a"); }
                }
                class B {
                    void b() throws SQLException {
                        Store s = new Store();
                        s.put("b");
                    }
                }
                """);
        java("constant path").has("""
                package quay;
                import java.io.*;
                class Ledger { // <- uncontrolled-instances
                    static final String FILE = "ledger.txt";
                    private final RandomAccessFile f;
                    Ledger() throws IOException { f = new RandomAccessFile(FILE, "rw"); }
                    void w(int n) throws IOException { f.write(n); }
                }
                class A {
                    void a() throws IOException { new Ledger().w(1); }
                }
                class B {
                    void b() throws IOException { new Ledger().w(2); }
                }
                """);
        java("enum single object").hasNot("""
                package quay;
                import java.io.*;
                enum Ledger {
                    ONE;
                    private FileWriter out;
                    void w(String s) throws IOException {
                        out = new FileWriter("l.txt");
                        out.write(s);
                    }
                }
                class A {
                    void a() throws IOException { Ledger.ONE.w("a"); }
                }
                class B {
                    void b() throws IOException { Ledger.ONE.w("b"); }
                }
                """);
        java("only tests create it again").hasNot(at("src/main/java/quay/Ledger.java", """
                package quay;
                import java.io.*;
                class Ledger {
                    private final FileWriter out;
                    Ledger() throws IOException { out = new FileWriter("l.txt"); }
                    void w(String s) throws IOException { out.write(s); }
                }
                """),
                at("src/main/java/quay/Main.java", """
                package quay;
                class Main {
                    public static void main(String[] a) throws Exception { new Ledger().w("a"); }
                }
                """),
                at("src/test/java/quay/LedgerTest.java", """
                package quay;
                class LedgerTest {
                    void t() throws Exception { new Ledger().w("a"); }
                }
                """));
        python("socket").has("""
                import socket
                class Beacon:  # <- uncontrolled-instances
                    def __init__(self):
                        self.s = socket.socket()
                        self.s.bind(("", 4711))
                    def accept(self): return self.s.accept()
                def a():
                    Beacon().accept()
                def b():
                    b = Beacon()
                    b.accept()
                """);
        python("path given and different").hasNot("""
                class Ledger:
                    def __init__(self, path):
                        self.out = open(path, "a")
                    def write(self, s): self.out.write(s)
                def a():
                    Ledger("a.txt").write("a")
                def b():
                    Ledger("b.txt").write("b")
                """);
        python("same path passed").has("""
                class Ledger:  # <- uncontrolled-instances
                    def __init__(self, path):
                        self.out = open(path, "a")
                    def write(self, s): self.out.write(s)
                def a():
                    Ledger("ledger.txt").write("a")
                def b():
                    Ledger("ledger.txt").write("b")
                """);
    }
}
