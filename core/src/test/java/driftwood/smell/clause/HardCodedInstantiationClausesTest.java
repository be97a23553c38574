package driftwood.smell.clause;

/** The clauses of the catalogue for hard-coded-instantiation, each with a source that has it or has it not. */
class HardCodedInstantiationClausesTest extends Clauses {

    @Override
    String smell() {
        return "hard-coded-instantiation";
    }

    @Override
    void clauses() {
        java("field collaborator with file").has("""
                package quay;
                import java.io.*;
                import java.nio.file.*;
                class Ledger {
                    void write(String s) throws IOException { Files.writeString(Path.of("ledger.txt"), s); }
                }
                class Office {
                    private final Ledger ledger = new Ledger(); // <- hard-coded-instantiation
                    int n;
                    void charge(int x) throws IOException {
                        n += x;
                        ledger.write("x" + n);
                    }
                }
                """);
        java("in constructor").has("""
                package quay;
                import java.io.*;
                import java.net.*;
                class Radio {
                    void send(String s) throws IOException {
                        try (Socket k = new Socket("quay", 99)) { k.getOutputStream().write(s.getBytes()); }
                    }
                }
                class Tower {
                    private final Radio radio;
                    int n;
                    Tower() { radio = new Radio(); } // <- hard-coded-instantiation
                    void signal(String s) throws IOException {
                        n++;
                        radio.send(s);
                    }
                }
                """);
        java("local in routine").has("""
                package quay;
                class Printer {
                    void print(String s) { System.out.println(s); }
                }
                class Office {
                    int total;
                    void bill(int n) {
                        total += n;
                        Printer p = new Printer(); // <- hard-coded-instantiation
                        p.print("bill " + total);
                    }
                }
                """);
        java("random").has("""
                package quay;
                import java.util.Random;
                class Dice {
                    private final Random r = new Random();
                    int roll() { return r.nextInt(6); }
                }
                class Game {
                    private final Dice dice = new Dice(); // <- hard-coded-instantiation
                    int sum;
                    int turn() {
                        sum += dice.roll();
                        return sum;
                    }
                }
                """);
        java("clock").has("""
                package quay;
                import java.time.*;
                class Clock2 {
                    LocalTime now() { return LocalTime.now(); }
                }
                class Tide {
                    private final Clock2 clock = new Clock2(); // <- hard-coded-instantiation
                    boolean high() { return clock.now().getHour() > 6; }
                }
                """);
        java("main root").hasNot("""
                package quay;
                import java.io.*;
                import java.nio.file.*;
                class Ledger {
                    void write(String s) throws IOException { Files.writeString(Path.of("ledger.txt"), s); }
                }
                class Office {
                    private final Ledger ledger;
                    Office(Ledger l) { ledger = l; }
                    void c() throws IOException { ledger.write("x"); }
                }
                class Main {
                    public static void main(String[] a) throws IOException {
                        Ledger l = new Ledger();
                        l.write("start");
                        new Office(l).c();
                    }
                }
                """);
        java("second ctor takes it").hasNot("""
                package quay;
                import java.io.*;
                import java.nio.file.*;
                class Ledger {
                    void write(String s) throws IOException { Files.writeString(Path.of("ledger.txt"), s); }
                }
                class Office {
                    private final Ledger ledger;
                    int n;
                    Office() { this(new Ledger()); }
                    Office(Ledger l) { ledger = l; }
                    void c() throws IOException {
                        n++;
                        ledger.write("x");
                    }
                }
                """);
        java("value object").hasNot("""
                package quay;
                class Money {
                    final int a;
                    Money(int a) { this.a = a; }
                    Money plus(Money o) { return new Money(a + o.a); }
                }
                class Office {
                    int n;
                    int c() {
                        Money m = new Money(3);
                        n++;
                        return m.plus(new Money(n)).a;
                    }
                }
                """);
        java("only returned").hasNot("""
                package quay;
                import java.io.*;
                import java.nio.file.*;
                class Ledger {
                    void write(String s) throws IOException { Files.writeString(Path.of("ledger.txt"), s); }
                }
                class Office {
                    int n;
                    Ledger open() {
                        n++;
                        return new Ledger();
                    }
                }
                """);
        python("field").has("""
                class Ledger:
                    def write(self, s):
                        with open("ledger.txt", "a") as f:
                            f.write(s)
                class Office:
                    def __init__(self):
                        self.ledger = Ledger()  # <- hard-coded-instantiation
                        self.n = 0
                    def charge(self, x):
                        self.n += x
                        self.ledger.write(str(self.n))
                """);
        python("datetime").has("""
                import datetime
                class Clock:
                    def now(self): return datetime.datetime.now()
                class Tide:
                    def __init__(self): self.clock = Clock()  # <- hard-coded-instantiation
                    def high(self): return self.clock.now().hour > 6
                """);
        python("default parameter").hasNot("""
                class Ledger:
                    def write(self, s):
                        with open("ledger.txt", "a") as f:
                            f.write(s)
                class Office:
                    def __init__(self, ledger=None):
                        self.ledger = ledger or Ledger()
                        self.n = 0
                    def charge(self, x):
                        self.n += x
                        self.ledger.write(str(self.n))
                """);
        python("default parameter is None").hasNot("""
                class Ledger:
                    def write(self, s):
                        with open("ledger.txt", "a") as f:
                            f.write(s)
                class Office:
                    def __init__(self, ledger=None):
                        if ledger is None:
                            ledger = Ledger()
                        self.ledger = ledger
                        self.n = 0
                    def charge(self, x):
                        self.n += x
                        self.ledger.write(str(self.n))
                """);
        python("main").hasNot("""
                class Ledger:
                    def write(self, s):
                        with open("ledger.txt", "a") as f:
                            f.write(s)
                def main():
                    ledger = Ledger()
                    ledger.write("x")
                if __name__ == "__main__":
                    main()
                """);
        java("abstraction exists").has("""
                package quay;
                import java.io.*;
                import java.nio.file.*;
                interface Ledger {
                    void write(String s);
                }
                class FileLedger implements Ledger {
                    public void write(String s) {
                        try {
                            Files.writeString(Path.of("l.txt"), s);
                        } catch (IOException e) { throw new UncheckedIOException(e); }
                    }
                }
                class Office {
                    private final Ledger ledger;
                    private int n;
                    Office() { this.ledger = new FileLedger(); } // <- hard-coded-instantiation
                    void charge(int x) {
                        n += x;
                        ledger.write("n" + n);
                    }
                }
                """);
        java("receiver on the spot").has("""
                package quay;
                import java.io.*;
                import java.net.*;
                class Mailer {
                    void send(String s) {
                        try (Socket k = new Socket("mail", 25)) {
                            k.getOutputStream().write(s.getBytes());
                        } catch (IOException e) { throw new UncheckedIOException(e); }
                    }
                }
                class Office {
                    private int n;
                    void charge(int x) {
                        n += x;
                        new Mailer().send("n" + n); // <- hard-coded-instantiation
                    }
                }
                """);
        java("database").has("""
                package quay;
                import java.sql.*;
                class Store {
                    void put(String s) throws SQLException {
                        try (Connection c = DriverManager.getConnection("jdbc:x")) {
                            c.createStatement().execute(s);
                        }
                    }
                }
                class Office {
                    private final Store store = new Store(); // <- hard-coded-instantiation
                    private int n;
                    void charge(int x) throws SQLException {
                        n += x;
                        store.put("n" + n);
                    }
                }
                """);
        java("wiring class").hasNot("""
                package quay;
                import java.io.*;
                import java.nio.file.*;
                class Ledger {
                    void write(String s) throws IOException { Files.writeString(Path.of("l.txt"), s); }
                }
                class Office {
                    Office(Ledger l) { }
                }
                class OfficeConfiguration {
                    Office office() throws IOException {
                        Ledger ledger = new Ledger();
                        ledger.write("start");
                        return new Office(ledger);
                    }
                }
                """);
        java("factory").hasNot("""
                package quay;
                import java.io.*;
                import java.nio.file.*;
                class Ledger {
                    void write(String s) throws IOException { Files.writeString(Path.of("l.txt"), s); }
                }
                class LedgerFactory {
                    Ledger make() throws IOException {
                        Ledger ledger = new Ledger();
                        ledger.write("start");
                        return ledger;
                    }
                }
                """);
        java("exception and list").hasNot("""
                package quay;
                import java.util.*;
                class Late extends RuntimeException { }
                class Office {
                    List<String> l = new ArrayList<>();
                    void a(boolean b) {
                        if (b) throw new Late();
                        l.add("x");
                    }
                }
                """);
        python("requests like socket").has("""
                import socket
                class Radio:
                    def send(self, text):
                        with socket.create_connection(("quay", 99)) as s:
                            s.sendall(text.encode())
                class Tower:
                    def __init__(self):
                        self.radio = Radio()  # <- hard-coded-instantiation
                        self.count = 0
                    def signal(self, text):
                        self.count += 1
                        self.radio.send(text)
                """);
        python("local").has("""
                import random
                class Dice:
                    def roll(self):
                        return random.randint(1, 6)
                class Game:
                    def __init__(self):
                        self.total = 0
                    def turn(self):
                        dice = Dice()  # <- hard-coded-instantiation
                        self.total += dice.roll()
                        return self.total
                """);
        python("value object").hasNot("""
                class Money:
                    def __init__(self, a): self.a = a
                    def plus(self, o): return Money(self.a + o.a)
                class Office:
                    def __init__(self): self.total = Money(0)
                    def charge(self, n):
                        self.total = self.total.plus(Money(n))
                        return self.total.a
                """);
        java("looks at the clock for itself").hasNot("""
                package quay;
                class Monitor {
                    private long start;
                    void enter() { start = now(); }
                    private long now() { return System.nanoTime(); }
                    boolean free() { return start == 0; }
                }
                class Service {
                    private final Monitor monitor = new Monitor();
                    int n;
                    void go() {
                        n++;
                        monitor.enter();
                    }
                }
                """);
        java("prints in one of many routines").hasNot("""
                package quay;
                class Table {
                    int n;
                    void put(int x) { n = x; }
                    int get() { return n; }
                    int twice() { return n * 2; }
                    void dump() { System.out.println(n); }
                }
                class Office {
                    private final Table table = new Table();
                    int s;
                    void a(int x) {
                        s += x;
                        table.put(s);
                    }
                }
                """);
        java("routine named open of one's own").hasNot("""
                package quay;
                class Gate {
                    boolean up;
                    void raise() { open(3); }
                    void open(int n) { up = n > 0; }
                    boolean isUp() { return up; }
                }
                class Lock {
                    private final Gate gate = new Gate();
                    int n;
                    void go() {
                        n++;
                        gate.raise();
                    }
                }
                """);
        java("one of two that are created by what is asked of something else").has("""
                package quay;
                import java.io.FileReader;
                class PlainLog {
                    int read(String name) throws java.io.IOException { return new FileReader(name).read(); }
                }
                class Roll {
                    String key;
                    int lines;
                    int read(String name) throws java.io.IOException {
                        PlainLog log = null;
                        if (key == null) {
                            log = new PlainLog(); // <- hard-coded-instantiation
                        } else {
                            log = new PlainLog();
                        }
                        lines++;
                        return log.read(name);
                    }
                }
                """);
        java("what an own field of the platform's type reaches").has("""
                package quay;
                import java.net.URL;
                class Bulletin {
                    private final URL from;
                    Bulletin(URL from) { this.from = from; }
                    int first() throws java.io.IOException { return from.openStream().read(); }
                }
                class Board {
                    int shown;
                    void show(URL url) throws java.io.IOException {
                        Bulletin bulletin = new Bulletin(url); // <- hard-coded-instantiation
                        shown += bulletin.first();
                    }
                }
                """);
        java("what is handed in does the reading").hasNot("""
                package quay;
                import java.io.FileReader;
                interface Archive { int read(String name) throws java.io.IOException; }
                class FileArchive implements Archive {
                    public int read(String name) throws java.io.IOException { return new FileReader(name).read(); }
                }
                class Entry {
                    private final Archive archive;
                    Entry(Archive archive) { this.archive = archive; }
                    int first() throws java.io.IOException { return archive.read("first"); }
                }
                class Index {
                    int shown;
                    void show(Archive archive) throws java.io.IOException {
                        Entry entry = new Entry(archive);
                        shown += entry.first();
                    }
                }
                """);
        python("prints into what it holds").hasNot("""
                import io


                class Digest:
                    def __init__(self):
                        self.text = io.StringIO()

                    def add(self, line):
                        print(line, file=self.text)


                class Desk:
                    def __init__(self):
                        self.lines = 0

                    def post(self, line):
                        self.lines += 1
                        digest = Digest()
                        digest.add(line)
                        digest.add(str(self.lines))
                """);
        python("prints").has("""
                import io


                class Digest:
                    def __init__(self):
                        self.text = io.StringIO()

                    def add(self, line):
                        print(line)


                class Desk:
                    def __init__(self):
                        self.lines = 0

                    def post(self, line):
                        self.lines += 1
                        digest = Digest()  # <- hard-coded-instantiation
                        digest.add(line)
                        digest.add(str(self.lines))
                """);
        python("a check that only the class itself runs").hasNot("""
                class Digest:
                    def __init__(self):
                        self.text = ""

                    def add(self, line):
                        self.text += line

                    @classmethod
                    def try_out(cls):
                        with open("digest.txt") as file:
                            print(file.read())


                class Desk:
                    def __init__(self):
                        self.lines = 0

                    def post(self, line):
                        self.lines += 1
                        digest = Digest()
                        digest.add(line)
                        digest.add(str(self.lines))
                """);
        java("a routine of the class that the object calls").has("""
                package quay;
                import java.io.IOException;
                import java.nio.file.Files;
                import java.nio.file.Path;
                class Log {
                    static void write(String line) throws IOException { Files.writeString(Path.of("log.txt"), line); }
                    void add(String line) throws IOException { write(line + "\\n"); }
                }
                class Desk {
                    private int lines;
                    void post(String line) throws IOException {
                        lines++;
                        Log log = new Log(); // <- hard-coded-instantiation
                        log.add(line);
                        log.add(String.valueOf(lines));
                    }
                }
                """);
        java("the clock beside other things").hasNot("""
                package quay;
                import java.util.Date;
                class Order {
                    private String berth = "";
                    private int days;
                    private Date when;
                    void at(String name) { berth = name; }
                    void lasting(int many) { days = many; }
                    String berth() { return berth; }
                    int cost(int rate) { return days * rate; }
                    void send() { when = new Date(); }
                }
                class Desk {
                    private int orders;
                    void post(String berth) {
                        orders++;
                        Order order = new Order();
                        order.at(berth);
                        order.send();
                    }
                }
                """);
    }
}
