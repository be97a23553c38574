package driftwood.smell.clause;

/** The clauses of the catalogue for threshold-ladder, each with a source that has it or has it not. */
class ThresholdLadderClausesTest extends Clauses {

    @Override
    String smell() {
        return "threshold-ladder";
    }

    @Override
    void clauses() {
        java("approve ladder").has("""
                package quay;
                class Office {
                    void ask(int tonnage) {
                        if (tonnage < 100) { // <- threshold-ladder
                            clerk(tonnage);
                        } else if (tonnage < 1000) {
                            master(tonnage);
                        } else { board(tonnage); }
                    }
                    void clerk(int t) { System.out.println(t); }
                    void master(int t) { System.out.println(t); }
                    void board(int t) { System.out.println(t); }
                }
                """);
        java("early return guards falling").has("""
                package quay;
                class Office {
                    Master m;
                    Clerk c;
                    Board b;
                    String ask(Permit p) {
                        if (p.tonnage() > 5000) { return b.decide(p); } // <- threshold-ladder
                        if (p.tonnage() > 500) { return m.decide(p); }
                        return c.decide(p);
                    }
                }
                class Permit {
                    int t;
                    int tonnage() { return t; }
                }
                class Master {
                    String decide(Permit p) { return "m"; }
                }
                class Clerk {
                    String decide(Permit p) { return "c" + p; }
                }
                class Board {
                    String decide(Permit p) { return "b"; }
                }
                """);
        java("hands on and says that it did").has("""
                package quay;
                class Complaints {
                    Clerk clerk;
                    Captain captain;
                    boolean handle(Letter letter, String boat) {
                        if (letter.weight() < 3) { // <- threshold-ladder
                            clerk.thank(letter);
                            return true;
                        } else if (letter.weight() < 7) {
                            captain.answer(letter, boat);
                            return true;
                        }
                        return false;
                    }
                }
                class Letter {
                    int w;
                    int weight() { return w; }
                }
                class Clerk {
                    void thank(Letter l) { System.out.println(l); }
                }
                class Captain {
                    void answer(Letter l, String b) { System.out.println(l + b); }
                }
                """);
        python("a formula written on several lines").hasNot("""
                def told(size, digits):
                    if size >= 1024 ** 3:
                        return '%.*f %s' % (
                            digits,
                            size / 1024 ** 3,
                            'G',
                        )
                    elif size >= 1024 ** 2:
                        return '%.*f %s' % (
                            digits,
                            size / 1024 ** 2,
                            'M',
                        )
                    elif size >= 1024:
                        return '%.*f %s' % (
                            digits,
                            size / 1024,
                            'K',
                        )
                    elif size >= 1:
                        return '%.*f %s' % (
                            digits,
                            size,
                            'B',
                        )
                    else:
                        return '0'
                """);
        java("the same call with other numbers").hasNot("""
                package quay;
                class Digits {
                    Roll put(Roll roll, int n) {
                        if (n < 10) {
                            roll.add(n);
                            return roll;
                        } else if (n < 100) {
                            roll.add(n / 10);
                            roll.add(n % 10);
                            return roll;
                        } else {
                            roll.add(n / 100);
                            roll.add(n / 10 % 10);
                            roll.add(n % 10);
                            return roll;
                        }
                    }
                }
                class Roll {
                    int sum;
                    void add(int digit) { sum += digit; }
                }
                """);
        java("ranges").has("""
                package quay;
                class Office {
                    int n;
                    void ask(double wind) {
                        if (wind >= 0 && wind < 10) { // <- threshold-ladder
                            sail();
                        } else if (wind >= 10 && wind < 20) {
                            reef();
                        } else if (wind >= 20) { stay(); }
                    }
                    void sail() { n++; }
                    void reef() { n--; }
                    void stay() { n = 0; }
                }
                """);
        java("canTake candidates").has("""
                package quay;
                class Pilot {
                    boolean canTake(Ship s) { return true; }
                    void take(Ship s) { System.out.println(s); }
                }
                class Ship { }
                class Desk {
                    Pilot a, b, c;
                    void assign(Ship s) {
                        if (a.canTake(s)) { // <- threshold-ladder
                            a.take(s);
                        } else if (b.canTake(s)) {
                            b.take(s);
                        } else if (c.canTake(s)) {
                            c.take(s);
                        } else { System.out.println("none"); }
                    }
                }
                """);
        java("tax bands").hasNot("""
                package quay;
                class Dues {
                    int rate(int t) {
                        if (t < 100) return 5;
                        else if (t < 500) return 7;
                        else if (t < 900) return 9;
                        else return 12;
                    }
                    double r2(int t) {
                        double r;
                        if (t < 10) {
                            r = 0.1;
                        } else if (t < 20) {
                            r = 0.2;
                        } else { r = 0.3; }
                        return r;
                    }
                }
                """);
        java("different values").hasNot("""
                package quay;
                class Office {
                    void ask(int a, int b, int c) {
                        if (a < 3) {
                            x();
                        } else if (b < 10) {
                            y();
                        } else if (c < 20) { z(); }
                    }
                    void x() { System.out.println(1); }
                    void y() { System.out.println(2); }
                    void z() { System.out.println(3); }
                }
                """);
        java("clamp").hasNot("""
                package quay;
                class Clamp {
                    int v;
                    int lo, hi;
                    void set(int x) {
                        if (x < lo) {
                            v = lo;
                        } else if (x > hi) {
                            v = hi;
                        } else { v = x; }
                    }
                }
                """);
        java("two arms").hasNot("""
                package quay;
                class Office {
                    void ask(int t) {
                        if (t < 100) {
                            clerk(t);
                        } else if (t < 1000) { master(t); }
                    }
                    void clerk(int t) { System.out.println(t); }
                    void master(int t) { System.out.println(t); }
                }
                """);
        python("ladder").has("""
                class Office:
                    def ask(self, tonnage):
                        if tonnage < 100:  # <- threshold-ladder
                            return self.clerk.decide(tonnage)
                        elif tonnage < 1000:
                            return self.master.decide(tonnage)
                        else:
                            return self.board.decide(tonnage)
                """);
        python("chained ranges").has("""
                class Office:
                    def ask(self, wind):
                        if 0 <= wind < 10:  # <- threshold-ladder
                            self.sail()
                        elif 10 <= wind < 20:
                            self.reef()
                        elif 20 <= wind:
                            self.stay()
                    def sail(self): print("s")
                    def reef(self): print("r")
                    def stay(self): print("t")
                """);
        python("candidates").has("""
                class Desk:
                    def assign(self, ship):
                        if self.north.can_take(ship):  # <- threshold-ladder
                            self.north.take(ship)
                        elif self.south.can_take(ship):
                            self.south.take(ship)
                        elif self.east.can_take(ship):
                            self.east.take(ship)
                        else:
                            print("none")
                """);
        python("bands").hasNot("""
                def rate(t):
                    if t < 100:
                        return 5
                    elif t < 500:
                        return 7
                    return 9
                """);
        java("limits as constants").has("""
                package quay;
                class Desk {
                    static final int SMALL = 50, LARGE = 500;
                    final Yard yard = new Yard();
                    final Basin basin = new Basin();
                    final Roads roads = new Roads();
                    void moor(Vessel v) {
                        if (v.length() < SMALL) { // <- threshold-ladder
                            yard.moor(v);
                        } else if (v.length() < LARGE) {
                            basin.take(v);
                        } else { roads.anchor(v); }
                    }
                }
                class Vessel {
                    int length() { return 3; }
                }
                class Yard {
                    void moor(Vessel v) { System.out.println(v); }
                }
                class Basin {
                    void take(Vessel v) { System.out.println(v); }
                }
                class Roads {
                    void anchor(Vessel v) { System.out.println(v); }
                }
                """);
        java("reversed operands").has("""
                package quay;
                class Desk {
                    void go(int n) {
                        if (100 > n) { // <- threshold-ladder
                            a(n);
                        } else if (1000 > n) {
                            b(n);
                        } else { c(n); }
                    }
                    void a(int n) { System.out.println(n); }
                    void b(int n) { System.out.println(n); }
                    void c(int n) { System.out.println(n); }
                }
                """);
        java("assigning only").hasNot("""
                package quay;
                class Desk {
                    String grade;
                    void go(int n) {
                        if (n < 10) {
                            grade = "small";
                        } else if (n < 100) {
                            grade = "middle";
                        } else { grade = "large"; }
                    }
                }
                """);
        java("comparison sign").hasNot("""
                package quay;
                class Desk {
                    void go(int n) {
                        if (n < 0) {
                            a(n);
                        } else if (n > 0) {
                            b(n);
                        } else { c(n); }
                    }
                    void a(int n) { System.out.println(n); }
                    void b(int n) { System.out.println(n); }
                    void c(int n) { System.out.println(n); }
                }
                """);
        python("typed collaborators").has("""
                class Yard:
                    def moor(self, v): print(v)
                class Basin:
                    def take(self, v): print(v)
                class Roads:
                    def anchor(self, v): print(v)
                class Desk:
                    def __init__(self):
                        self.yard = Yard()
                        self.basin = Basin()
                        self.roads = Roads()
                    def moor(self, vessel):
                        if vessel.length < 20:  # <- threshold-ladder
                            self.yard.moor(vessel)
                        elif vessel.length < 120:
                            self.basin.take(vessel)
                        else:
                            self.roads.anchor(vessel)
                """);
        python("raising").has("""
                class Office:
                    def approve(self, tonnage):
                        if tonnage <= 100:  # <- threshold-ladder
                            self.clerk(tonnage)
                        elif tonnage <= 1000:
                            self.master(tonnage)
                        else:
                            raise ValueError(tonnage)
                    def clerk(self, t): print(t)
                    def master(self, t): print(t)
                """);
        python("two limits assigned").hasNot("""
                def rate(t):
                    if t < 100:
                        r = 0.1
                    elif t < 200:
                        r = 0.2
                    else:
                        r = 0.3
                    return r
                """);
        java("written by the number of bytes").hasNot("""
                package quay;
                class Writer {
                    void put(int n) {
                        if (n <= 0xff) {
                            one(n);
                        } else if (n <= 0xffff) {
                            two(n);
                        } else { four(n); }
                    }
                    void one(int n) { System.out.println(n); }
                    void two(int n) { System.out.println(n); }
                    void four(int n) { System.out.println(n); }
                }
                """);
        java("a formula cut in pieces").hasNot("""
                package quay;
                class Hash {
                    static long of(byte[] b, int length) {
                        if (length <= 16) {
                            return small(b, length);
                        } else if (length <= 32) {
                            return middle(b, length);
                        } else { return large(b, length); }
                    }
                    private static long small(byte[] b, int n) { return n; }
                    private static long middle(byte[] b, int n) { return n * 3L; }
                    private static long large(byte[] b, int n) { return n * 7L; }
                }
                """);
        java("the same call with other units").hasNot("""
                package quay;
                class Sizes {
                    String text(long v) {
                        if (v < 1024) {
                            return scale(v, "B");
                        } else if (v < 1048576) {
                            return scale(v, "KB");
                        } else { return scale(v, "MB"); }
                    }
                    String scale(long v, String unit) { return v + unit; }
                }
                """);
    }
}
