package driftwood.smell.clause;

import java.util.List;

/** The clauses of the catalogue for near-twin-classes, each with a source that has it or has it not. */
class NearTwinClassesClausesTest extends Clauses {

    @Override
    String smell() {
        return "near-twin-classes";
    }

    @Override
    void clauses() {
        java("literals differ").has("""
                package quay;
                abstract class Rate {
                    abstract int quote(int n);
                }
                class TugRate extends Rate { // <- near-twin-classes
                    int quote(int n) {
                        int s = n * 4;
                        if (n > 10) { s -= 5; }
                        return s;
                    }
                }
                class YachtRate extends Rate {
                    int quote(int n) {
                        int s = n * 9;
                        if (n > 20) { s -= 6; }
                        return s;
                    }
                }
                """);
        java("one routine differs, locals renamed").has("""
                package quay;
                class TugLog { // <- near-twin-classes
                    int n;
                    void open() {
                        n = 0;
                        System.out.println("open");
                    }
                    void add(String line) {
                        n++;
                        System.out.println(line + n);
                    }
                    String title() { return "tugs " + n; }
                }
                class YachtLog {
                    int n;
                    void open() {
                        n = 0;
                        System.out.println("open");
                    }
                    void add(String text) {
                        n++;
                        System.out.println(text + n);
                    }
                    String title() {
                        StringBuilder b = new StringBuilder();
                        b.append(n);
                        return b.toString();
                    }
                }
                """);
        java("members in other order").has("""
                package quay;
                class A1 { // <- near-twin-classes
                    int n;
                    void open() {
                        n = 0;
                        System.out.println("open");
                    }
                    void add(String line) {
                        n++;
                        System.out.println(line + n);
                    }
                }
                class B1 {
                    int n;
                    void add(String line) {
                        n++;
                        System.out.println(line + n);
                    }
                    void open() {
                        n = 0;
                        System.out.println("open");
                    }
                }
                """);
        java("two routines differ").hasNot("""
                package quay;
                abstract class R {
                    abstract int a(int n);
                    abstract int b(int n);
                }
                class A extends R {
                    int a(int n) {
                        int s = n * 4;
                        return s + n;
                    }
                    int b(int n) {
                        int k = n - 2;
                        return k / 3;
                    }
                    void c() {
                        System.out.println(1);
                        System.out.println(2);
                    }
                }
                class B extends R {
                    int a(int n) { return n; }
                    int b(int n) { return n % 7 + a(n); }
                    void c() {
                        System.out.println(1);
                        System.out.println(2);
                    }
                }
                """);
        java("strategies only one routine differs").hasNot("""
                package quay;
                interface S {
                    int q(int n);
                }
                class A implements S {
                    public int q(int n) {
                        int s = n * 4;
                        return s + n;
                    }
                }
                class B implements S {
                    public int q(int n) {
                        if (n > 3) return 2;
                        return n % 7;
                    }
                }
                """);
        python("literals").has("""
                class TugRate:  # <- near-twin-classes
                    def quote(self, n):
                        s = n * 4
                        if n > 10:
                            s -= 5
                        return s
                class YachtRate:
                    def quote(self, n):
                        s = n * 9
                        if n > 20:
                            s -= 6
                        return s
                """);
        python("one routine").has("""
                class TugLog:  # <- near-twin-classes
                    def __init__(self): self.n = 0
                    def add(self, line):
                        self.n += 1
                        print(line, self.n)
                    def title(self): return "tugs " + str(self.n)
                class YachtLog:
                    def __init__(self): self.n = 0
                    def add(self, text):
                        self.n += 1
                        print(text, self.n)
                    def title(self):
                        b = []
                        b.append(self.n)
                        return str(b)
                """);
        python("strategies").hasNot("""
                class A:
                    def q(self, n):
                        s = n * 4
                        return s + n
                class B:
                    def q(self, n):
                        if n > 3: return 2
                        return n % 7
                """);
        java("cells of a grid are told as that").hasNot("""
                package quay;
                abstract class Boat {
                    abstract int go(int n);
                }
                class FastTug extends Boat {
                    int go(int n) {
                        int s = n * 2;
                        s += 3;
                        return s;
                    }
                }
                class SlowTug extends Boat {
                    int go(int n) {
                        int s = n * 4;
                        s += 3;
                        return s;
                    }
                }
                class FastYacht extends Boat {
                    int go(int n) {
                        int s = n * 2;
                        s += 7;
                        return s;
                    }
                }
                class SlowYacht extends Boat {
                    int go(int n) {
                        int s = n * 4;
                        s += 7;
                        return s;
                    }
                }
                """);
        java("only accessors").hasNot("""
                package quay;
                class A {
                    int n;
                    int getN() { return n; }
                    void setN(int x) { n = x; }
                }
                class B {
                    int n;
                    int getN() { return n; }
                    void setN(int x) { n = x; }
                }
                """);
        java("three levels of repeated work").has("""
                package quay;
                class TugPermit { // <- near-twin-classes
                    int tonnage;
                    String holder;
                    int fee() {
                        int base = tonnage * 3;
                        if (base > 100) { base = 100; }
                        return base;
                    }
                    String text() {
                        StringBuilder b = new StringBuilder();
                        b.append("TUG ").append(holder);
                        return b.toString();
                    }
                }
                class TankerPermit {
                    int tonnage;
                    String holder;
                    int fee() {
                        int base = tonnage * 5;
                        if (base > 900) { base = 900; }
                        return base;
                    }
                    String text() {
                        StringBuilder b = new StringBuilder();
                        b.append("TANKER ").append(holder);
                        return b.toString();
                    }
                }
                """);
        python("order of members differs").has("""
                class TugLog:  # <- near-twin-classes
                    def __init__(self):
                        self.n = 0
                    def add(self, line):
                        self.n += 1
                        print(line)
                    def clear(self):
                        self.n = 0
                        print("cleared")
                class YachtLog:
                    def __init__(self):
                        self.n = 0
                    def clear(self):
                        self.n = 0
                        print("cleared")
                    def add(self, text):
                        self.n += 1
                        print(text)
                """);
        python("modules that only warn").hasNot(at("a.py", """
                \"""old\"""
                from warnings import warn
                warn("a is old")
                print("a")
                """),
                at("b.py", """
                \"""old\"""
                from warnings import warn
                warn("b is old")
                print("b")
                """));
        for (String folder : List.of("tides/alembic/versions", "tides/reports")) {
            At[] steps = {at(folder + "/a1_berths.py", step("berth", folder.endsWith("s/reports"))), at(folder + "/a2_tugs.py", step("tug", false))};
            if (folder.endsWith("versions")) {
                python("steps of a data base's history").hasNot(steps);
            } else {
                python("modules that go up and down elsewhere").has(steps);
            }
        }
    }

    private static String step(String table, boolean first) {
        return """
                NAME = "TABLE"MARK


                def upgrade(op):
                    op.create(NAME)
                    op.index(NAME, "TABLE_berth")


                def downgrade(op):
                    op.drop_index("TABLE_berth")
                    op.drop(NAME)
                """.replace("TABLE", table).replace("MARK", first ? "  # <- near-twin-classes" : "");
    }
}
