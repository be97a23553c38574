package driftwood.smell.clause;

/** The clauses of the catalogue for constructor-work, each with a source that has it or has it not. */
class ConstructorWorkClausesTest extends Clauses {

    @Override
    String smell() {
        return "constructor-work";
    }

    @Override
    void clauses() {
        java("loop").has("""
                package quay;
                import java.util.*;
                class Plan {
                    final List<String> out = new ArrayList<>();
                    Registry r;
                    Plan(List<String> in, Registry r) { // <- constructor-work
                        this.r = r;
                        for (String s : in) {
                            r.add(s);
                            out.add(s.trim());
                        }
                    }
                }
                class Registry {
                    List<String> l = new ArrayList<>();
                    void add(String s) { l.add(s); }
                }
                """);
        java("io").has("""
                package quay;
                import java.io.*;
                import java.nio.file.*;
                class Tide {
                    final String text;
                    Tide(Path p) throws IOException { text = Files.readString(p); } // <- constructor-work
                }
                """);
        java("registers itself").has("""
                package quay;
                import java.util.*;
                class Tower {
                    List<Object> l = new ArrayList<>();
                    void register(Object o) { l.add(o); }
                }
                class Pilot {
                    final Tower t;
                    Pilot(Tower t) { // <- constructor-work
                        this.t = t;
                        t.register(this);
                    }
                }
                """);
        java("overridable").has("""
                package quay;
                abstract class Berth {
                    int f;
                    Berth() { f = fee(); } // <- constructor-work
                    abstract int fee();
                }
                class Inner extends Berth {
                    int x = 3;
                    int fee() { return x; }
                }
                """);
        java("checks and copies").hasNot("""
                package quay;
                import java.util.*;
                class Plan {
                    final List<String> l;
                    final int n;
                    final Map<String, String> m;
                    Plan(List<String> l, int n) {
                        if (n < 0) throw new IllegalArgumentException("n");
                        this.l = new ArrayList<>(l);
                        this.n = n * 2 + Math.max(n, 3);
                        this.m = new HashMap<>();
                    }
                    Plan(int n) { this(List.of(), n); }
                }
                """);
        java("part").hasNot("""
                package quay;
                class Part {
                    int n;
                    Part(int n) { this.n = n; }
                }
                class Whole {
                    final Part p;
                    Whole(int n) { p = new Part(n); }
                }
                """);
        python("io").has("""
                class Tide:
                    def __init__(self, path):  # <- constructor-work
                        with open(path) as f:
                            self.text = f.read()
                """);
        python("loop with effects").has("""
                class Plan:
                    def __init__(self, items, registry):  # <- constructor-work
                        self.registry = registry
                        for i in items:
                            registry.add(i)
                """);
        python("registers itself").has("""
                class Tower:
                    def __init__(self): self.all = []
                    def register(self, x): self.all.append(x)
                class Pilot:
                    def __init__(self, tower: Tower):  # <- constructor-work
                        self.tower = tower
                        tower.register(self)
                """);
        python("checks").hasNot("""
                class Plan:
                    def __init__(self, items, n):
                        if n < 0:
                            raise ValueError(n)
                        self.items = list(items)
                        self.n = n
                        self.m = {}
                        self.total = sum(items)
                        self.lower = [i.lower() for i in items]
                """);
        java("starts a thread").has("""
                package quay;
                class Lamp {
                    final Thread t;
                    Lamp() { // <- constructor-work
                        t = new Thread(() -> System.out.println("blink"));
                        t.start();
                    }
                }
                """);
        java("registers in static registry").has("""
                package quay;
                import java.util.*;
                class Registry {
                    static final List<Object> ALL = new ArrayList<>();
                    static void register(Object o) { ALL.add(o); }
                }
                class Pilot {
                    final String n;
                    Pilot(String n) { // <- constructor-work
                        this.n = n;
                        Registry.register(this);
                    }
                }
                """);
        java("branch with effect").has("""
                package quay;
                class Journal {
                    void open(String s) { System.out.println(s); }
                }
                class Office {
                    final Journal j;
                    Office(Journal j, boolean open) { // <- constructor-work
                        this.j = j;
                        if (open) { j.open("office"); }
                    }
                }
                """);
        java("connects").has("""
                package quay;
                import java.io.*;
                import java.net.*;
                class Radio {
                    final Socket s;
                    Radio(String host) throws IOException { s = new Socket(host, 99); } // <- constructor-work
                }
                """);
        java("requireNonNull and unmodifiable copy").hasNot("""
                package quay;
                import java.util.*;
                class Plan {
                    final List<String> l;
                    final String n;
                    Plan(List<String> l, String n) {
                        this.l = Collections.unmodifiableList(new ArrayList<>(l));
                        this.n = Objects.requireNonNull(n).trim();
                    }
                }
                """);
        java("final routine called").hasNot("""
                package quay;
                final class Plan {
                    final int n;
                    Plan(int n) { this.n = twice(n); }
                    private static int twice(int n) { return n * 2; }
                }
                """);
        java("loop computing from arguments").hasNot("""
                package quay;
                class Mean {
                    final double m;
                    Mean(int[] xs) {
                        int sum = 0;
                        for (int x : xs) { sum += x; }
                        m = (double) sum / xs.length;
                    }
                }
                """);
        java("super and this").hasNot("""
                package quay;
                class Base {
                    final int a;
                    Base(int a) { this.a = a; }
                }
                class Sub extends Base {
                    final int b;
                    Sub(int a) { this(a, 3); }
                    Sub(int a, int b) {
                        super(a);
                        this.b = b;
                    }
                }
                """);
        python("connects").has("""
                import socket
                class Radio:
                    def __init__(self, host):  # <- constructor-work
                        self.s = socket.create_connection((host, 99))
                """);
        python("overridable").has("""
                class Berth:
                    def __init__(self):  # <- constructor-work
                        self.f = self.fee()
                    def fee(self): return 0
                class Inner(Berth):
                    def __init__(self):
                        super().__init__()
                        self.x = 3
                    def fee(self): return self.x
                """);
        python("parts").hasNot("""
                class Part:
                    def __init__(self, n): self.n = n
                class Whole:
                    def __init__(self, n):
                        self.part = Part(n)
                        self.names = [x for x in n]
                        self.index = {}
                        for i, x in enumerate(n):
                            self.index[x] = i
                """);
        for (boolean own : new boolean[] {true, false}) {
            Draft draft = java(own ? "hands itself to a routine of its own class" : "hands itself to a routine of another class");
            String source = """
                    package quay;
                    class Desk {
                        static void register(Entry each) { System.out.println(each); }
                    }
                    class Entry {
                        int rank;
                        Entry(int rank) {MARK
                            this.rank = rank;
                            TYPE.register(this);
                        }
                        static void register(Entry each) { each.rank++; }
                    }
                    """.replace("TYPE", own ? "Entry" : "Desk").replace("MARK", own ? "" : " // <- constructor-work");
            if (own) {
                draft.hasNot(source);
            } else {
                draft.has(source);
            }
        }
    }
}
