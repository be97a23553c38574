package driftwood.smell.clause;

/** The clauses of the catalogue for half-built-object, each with a source that has it or has it not. */
class HalfBuiltObjectClausesTest extends Clauses {

    @Override
    String smell() {
        return "half-built-object";
    }

    @Override
    void clauses() {
        java("two that fail without, and a number").has("""
                package quay;
                class Sign { // <- half-built-object
                    private String title;
                    private String room;
                    private int year;
                    void setTitle(String title) { this.title = title; }
                    void setRoom(String room) { this.room = room; }
                    void setYear(int year) { this.year = year; }
                    String text() { return title.trim() + " " + year + " in " + room.trim(); }
                }
                class Office {
                    Sign make(String title) {
                        Sign sign = new Sign();
                        sign.setTitle(title);
                        sign.setRoom("12");
                        sign.setYear(1870);
                        return sign;
                    }
                }
                """);
        java("two that fail without, and a choice that has a default").hasNot("""
                package quay;
                class Sign {
                    private String title;
                    private String room;
                    private boolean loud;
                    void setTitle(String title) { this.title = title; }
                    void setRoom(String room) { this.room = room; }
                    void setLoud(boolean loud) { this.loud = loud; }
                    String text() { return title.trim() + loud + room.trim(); }
                }
                class Office {
                    Sign make(String title) {
                        Sign sign = new Sign();
                        sign.setTitle(title);
                        sign.setRoom("12");
                        sign.setLoud(true);
                        return sign;
                    }
                }
                """);
        java("setters needed").has("""
                package quay;
                class Report { // <- half-built-object
                    private String title;
                    private String author;
                    private int[] rows;
                    void setTitle(String t) { title = t; }
                    void setAuthor(String a) { author = a; }
                    void setRows(int[] r) { rows = r; }
                    String text() { return title.trim() + author.trim() + rows.length; }
                }
                class Office {
                    String a() {
                        Report r = new Report();
                        r.setTitle("t");
                        r.setAuthor("a");
                        r.setRows(new int[3]);
                        return r.text();
                    }
                    String b() {
                        Report r = new Report();
                        r.setTitle("t");
                        r.setAuthor("b");
                        r.setRows(new int[4]);
                        return r.text();
                    }
                }
                """);
        java("fails until set").has("""
                package quay;
                class Sender { // <- half-built-object
                    private String host;
                    private Integer port;
                    private String user;
                    void setHost(String h) { host = h; }
                    void setPort(Integer p) { port = p; }
                    void setUser(String u) { user = u; }
                    void send(String s) {
                        if (host == null) { throw new IllegalStateException("no host"); }
                        System.out.println(host + port + user + s);
                    }
                }
                class O {
                    void a() {
                        Sender s = new Sender();
                        s.setHost("h");
                        s.setPort(3);
                        s.setUser("u");
                        s.send("x");
                    }
                }
                """);
        java("data carrier").hasNot("""
                package quay;
                class Row {
                    private String a, b, c;
                    void setA(String x) { a = x; }
                    void setB(String x) { b = x; }
                    void setC(String x) { c = x; }
                    String getA() { return a; }
                    String getB() { return b; }
                    String getC() { return c; }
                }
                class O {
                    Row a() {
                        Row r = new Row();
                        r.setA("1");
                        r.setB("2");
                        r.setC("3");
                        return r;
                    }
                }
                """);
        java("builder").hasNot("""
                package quay;
                class RowBuilder {
                    private String a, b, c;
                    RowBuilder a(String x) {
                        a = x;
                        return this;
                    }
                    RowBuilder b(String x) {
                        b = x;
                        return this;
                    }
                    RowBuilder c(String x) {
                        c = x;
                        return this;
                    }
                    String build() { return a.trim() + b.trim() + c.trim(); }
                }
                class O {
                    String a() { return new RowBuilder().a("1").b("2").c("3").build(); }
                }
                """);
        java("defaults").hasNot("""
                package quay;
                class Report {
                    private String title = "none";
                    private String author = "nobody";
                    private int[] rows = new int[0];
                    void setTitle(String t) { title = t; }
                    void setAuthor(String a) { author = a; }
                    void setRows(int[] r) { rows = r; }
                    String text() { return title.trim() + author.trim() + rows.length; }
                }
                class Office {
                    String a() {
                        Report r = new Report();
                        r.setTitle("t");
                        r.setAuthor("a");
                        r.setRows(new int[3]);
                        return r.text();
                    }
                }
                """);
        java("lifecycle").hasNot("""
                package quay;
                class Pump {
                    private java.io.InputStream in;
                    void open() { in = System.in; }
                    int read() throws java.io.IOException {
                        if (in == null) throw new IllegalStateException("not open");
                        return in.read();
                    }
                }
                class O {
                    int a() throws Exception {
                        Pump p = new Pump();
                        p.open();
                        return p.read();
                    }
                }
                """);
        python("setters").has("""
                class Report:  # <- half-built-object
                    def __init__(self):
                        self.title = None
                        self.author = None
                        self.rows = None
                    def set_title(self, t): self.title = t
                    def set_author(self, a): self.author = a
                    def set_rows(self, r): self.rows = r
                    def text(self): return self.title.strip() + self.author.strip() + str(len(self.rows))
                def a():
                    r = Report()
                    r.set_title("t")
                    r.set_author("a")
                    r.set_rows([1])
                    return r.text()
                """);
        python("attributes from outside").has("""
                class Report:  # <- half-built-object
                    def __init__(self):
                        self.title = None
                        self.author = None
                        self.rows = None
                    def text(self): return self.title.strip() + self.author.strip() + str(len(self.rows))
                def a():
                    r = Report()
                    r.title = "t"
                    r.author = "a"
                    r.rows = [1]
                    return r.text()
                """);
        python("defaults").hasNot("""
                class Report:
                    def __init__(self):
                        self.title = "none"
                        self.author = "nobody"
                        self.rows = []
                    def set_title(self, t): self.title = t
                    def set_author(self, a): self.author = a
                    def set_rows(self, r): self.rows = r
                    def text(self): return self.title.strip() + self.author.strip() + str(len(self.rows))
                def a():
                    r = Report()
                    r.set_title("t")
                    r.set_author("a")
                    r.set_rows([1])
                    return r.text()
                """);
        java("open fields assigned from outside").has("""
                package quay;
                class Pilotage { // <- half-built-object
                    String vessel;
                    String pilot;
                    Integer tide;
                    void begin() { System.out.println(vessel.trim() + pilot.trim() + tide.intValue()); }
                }
                class Office {
                    void a() {
                        Pilotage p = new Pilotage();
                        p.vessel = "v";
                        p.pilot = "p";
                        p.tide = 3;
                        p.begin();
                    }
                }
                """);
        java("add collects parts").hasNot("""
                package quay;
                import java.util.*;
                class Order {
                    private List<String> lines = new ArrayList<>();
                    void addLine(String s) { lines.add(s); }
                    String text() { return String.join(",", lines); }
                }
                class Office {
                    String a() {
                        Order o = new Order();
                        o.addLine("a");
                        o.addLine("b");
                        o.addLine("c");
                        return o.text();
                    }
                }
                """);
        java("start and connect").hasNot("""
                package quay;
                class Pump {
                    private Thread t;
                    void start() { t = new Thread(); }
                    void stop() {
                        if (t == null) throw new IllegalStateException("not started");
                        t.interrupt();
                    }
                }
                """);
        python("raises without").has("""
                class Sender:  # <- half-built-object
                    def __init__(self):
                        self.host = None
                        self.port = None
                    def set_host(self, h): self.host = h
                    def set_port(self, p): self.port = p
                    def send(self, s):
                        if self.host is None:
                            raise RuntimeError("no host")
                        print(self.host, self.port, s)
                def a():
                    s = Sender()
                    s.set_host("h")
                    s.set_port(3)
                    s.send("x")
                """);
        python("data carrier").hasNot("""
                class Row:
                    def __init__(self):
                        self.a = None
                        self.b = None
                        self.c = None
                def make():
                    r = Row()
                    r.a = 1
                    r.b = 2
                    r.c = 3
                    return r
                """);
    }
}
