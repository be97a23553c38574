package driftwood.smell.clause;

/** The clauses of the catalogue for flag-argument, each with a source that has it or has it not. */
class FlagArgumentClausesTest extends Clauses {

    @Override
    String smell() {
        return "flag-argument";
    }

    @Override
    void clauses() {
        python("two that the same calls may mean are one").has("""
                class Plain:
                    def quote(self, nights, summer):  # <- flag-argument
                        if summer:
                            self.note("summer")
                            return nights * 3
                        self.log(nights)
                        return nights * 2

                    def note(self, text):
                        print(text)

                    def log(self, nights):
                        print(nights)

                class Fancy:
                    def quote(self, nights, summer):
                        if summer:
                            self.ring()
                            return nights * 4
                        return nights + 2

                    def ring(self):
                        print("!")

                def ask(tariff):
                    return tariff.quote(3, True)
                """);
        java("split").has("""
                package quay;
                class Tower {
                    void signal(String s, boolean urgent) { // <- flag-argument
                        if (urgent) {
                            ring();
                            System.out.println(s + "!");
                        } else {
                            System.out.println(s);
                            log(s);
                        }
                    }
                    void ring() { System.out.println(1); }
                    void log(String s) { System.out.println(s); }
                }
                class O {
                    void go(Tower t) { t.signal("x", true); }
                }
                """);
        java("shared declarations and return").has("""
                package quay;
                class Dues {
                    int quote(int n, boolean summer) { // <- flag-argument
                        int sum;
                        if (summer) {
                            sum = n * 3;
                            sum += extra(n);
                        } else {
                            sum = n * 2;
                            log(n);
                        }
                        return sum;
                    }
                    int extra(int n) { return n; }
                    void log(int n) { System.out.println(n); }
                    int a() { return quote(3, false); }
                }
                """);
        java("early return").has("""
                package quay;
                class Dues {
                    int quote(int n, boolean summer) { // <- flag-argument
                        if (summer) {
                            log(n);
                            return n * 3;
                        }
                        log(n + 1);
                        return n * 2;
                    }
                    void log(int n) { System.out.println(n); }
                    int a() { return quote(3, true) + quote(4, false); }
                }
                """);
        java("no literal").hasNot("""
                package quay;
                class Dues {
                    int quote(int n, boolean summer) {
                        if (summer) {
                            log(n);
                            return n * 3;
                        }
                        log(n + 1);
                        return n * 2;
                    }
                    void log(int n) { System.out.println(n); }
                    int a(boolean b) { return quote(3, b); }
                }
                """);
        java("partial body").hasNot("""
                package quay;
                class Dues {
                    int quote(int n, boolean summer) {
                        log(n);
                        log(n + 2);
                        int s = n * 4;
                        if (summer) { s += 3; }
                        log(s);
                        return s;
                    }
                    void log(int n) { System.out.println(n); }
                    int a() { return quote(3, true); }
                }
                """);
        java("setter").hasNot("""
                package quay;
                class Dues {
                    boolean open;
                    void setOpen(boolean open) { this.open = open; }
                    void a() { setOpen(true); }
                }
                """);
        python("split").has("""
                class Tower:
                    def signal(self, text, urgent):  # <- flag-argument
                        if urgent:
                            self.ring()
                            print(text + "!")
                        else:
                            print(text)
                            self.log(text)
                    def ring(self): print(1)
                    def log(self, t): print(t)
                def go(t: Tower):
                    t.signal("x", True)
                """);
        python("keyword default").has("""
                class Tower:
                    def signal(self, text, urgent=False):  # <- flag-argument
                        if urgent:
                            self.ring()
                            print(text + "!")
                        else:
                            print(text)
                            self.log(text)
                    def ring(self): print(1)
                    def log(self, t): print(t)
                def go():
                    Tower().signal("x", urgent=True)
                """);
        python("function").has("""
                def quote(n, summer):  # <- flag-argument
                    if summer:
                        print(n)
                        return n * 3
                    print(n + 1)
                    return n * 2
                def a(): return quote(3, True)
                """);
        python("partial").hasNot("""
                def quote(n, summer):
                    print(n)
                    s = n * 4
                    if summer:
                        s += 3
                    print(s)
                    return s
                def a(): return quote(3, True)
                """);
        java("conditional return").has("""
                package quay;
                class Horn {
                    int loud(int n) { return n; }
                    int soft(int n) { return n; }
                    int blow(int n, boolean loud) { return loud ? loud(n) * 2 : soft(n) + 1; } // <- flag-argument
                    int a() { return blow(3, true); }
                }
                """);
        java("negated with shared locals").has("""
                package quay;
                class Horn {
                    void blow(int n, boolean quiet) { // <- flag-argument
                        int times = n * 2;
                        if (!quiet) {
                            for (int i = 0; i < times; i++) { sound(); }
                        } else { lamp(times); }
                    }
                    void sound() { System.out.println(1); }
                    void lamp(int t) { System.out.println(t); }
                }
                class O {
                    void a(Horn h) { h.blow(2, false); }
                }
                """);
        java("flag handed on").hasNot("""
                package quay;
                class Horn {
                    void blow(boolean quiet) { sound(quiet); }
                    void sound(boolean q) { System.out.println(q); }
                    void a() { blow(true); }
                }
                """);
        java("guard only").hasNot("""
                package quay;
                class Horn {
                    int n;
                    void blow(boolean on) {
                        if (!on) { return; }
                        n++;
                        sound(n);
                    }
                    void sound(int q) { System.out.println(q); }
                    void a() { blow(true); }
                }
                """);
        python("conditional return").has("""
                class Horn:
                    def blow(self, n, loud=False):  # <- flag-argument
                        return self.loud(n) * 2 if loud else self.soft(n) + 1
                    def loud(self, n): return n
                    def soft(self, n): return n
                def a(h: Horn):
                    h.blow(3, True)
                """);
        python("never literal").hasNot("""
                class Horn:
                    def blow(self, n, loud):
                        if loud:
                            print(n)
                            return self.a(n)
                        return self.b(n) + 1
                    def a(self, n): return n
                    def b(self, n): return n
                def go(h: Horn, x):
                    h.blow(3, x)
                """);
        java("carries out a contract that is called with a literal").has("""
                package quay;
                abstract class Table {
                    long size(boolean total) { return 0; }
                }
                class Berths extends Table {
                    java.util.List<Integer> used;
                    @Override // <- flag-argument
                    long size(boolean total) {
                        if (total) {
                            long sum = 0;
                            for (int each : used) {
                                sum += each;
                            }
                            return sum;
                        } else {
                            return used.get(0) * 2;
                        }
                    }
                }
                class Report {
                    long all(Table table) { return table.size(true); }
                    long one(Table table) { return table.size(false); }
                }
                """);
        java("carries out a contract that hands on what it is given").hasNot("""
                package quay;
                class Visit {
                    Visit next;
                    void see(int mark, boolean seen) {
                        if (next != null) {
                            next.see(mark, seen);
                        }
                    }
                }
                class Log extends Visit {
                    java.util.List<Integer> open, shut;
                    @Override
                    void see(int mark, boolean seen) {
                        if (seen) {
                            open.add(mark);
                        } else {
                            shut.add(mark + 1);
                        }
                    }
                }
                class Walk {
                    void go(Visit visit) {
                        visit.see(1, true);
                        visit.see(2, false);
                    }
                }
                """);
    }
}
