package driftwood.smell.clause;

/** The clauses of the catalogue for null-check, each with a source that has it or has it not. */
class NullCheckClausesTest extends Clauses {

    @Override
    String smell() {
        return "null-check";
    }

    @Override
    void clauses() {
        java("routine").has("""
                package quay;
                import java.util.*;
                class Pilot {
                    String name;
                    void board() { System.out.println(1); }
                }
                class Roster {
                    List<Pilot> all = new ArrayList<>();
                    Pilot find(String n) { // <- null-check
                        for (Pilot p : all) {
                            if (p.name.equals(n)) { return p; }
                        }
                        return null;
                    }
                }
                class Office {
                    Roster r;
                    void a(String n) {
                        Pilot p = r.find(n);
                        if (p != null) { p.board(); }
                    }
                }
                """);
        java("map get handed on").has("""
                package quay;
                import java.util.*;
                class Pilot {
                    void board() { System.out.println(1); }
                }
                class Roster {
                    Map<String, Pilot> all = new HashMap<>();
                    Pilot find(String n) { return all.get(n); } // <- null-check
                }
                class Office {
                    Roster r;
                    void a(String n) {
                        Pilot p = r.find(n);
                        if (p != null) { p.board(); }
                    }
                }
                """);
        java("map get via local").has("""
                package quay;
                import java.util.*;
                class Pilot {
                    void board() { System.out.println(1); }
                }
                class Roster {
                    Map<String, Pilot> all = new HashMap<>();
                    Pilot find(String n) { // <- null-check
                        Pilot p = all.get(n);
                        return p;
                    }
                }
                class Office {
                    Roster r;
                    String a(String n) {
                        Pilot p = r.find(n);
                        if (p == null) { return "none"; }
                        p.board();
                        return "ok";
                    }
                }
                """);
        java("field in three places").has("""
                package quay;
                class Pilot {
                    void board() { System.out.println(1); }
                    void leave() { System.out.println(2); }
                    String n() { return "x"; }
                }
                class Ship {
                    Pilot pilot; // <- null-check
                    void set(Pilot p) { pilot = p; }
                    void a() {
                        if (pilot != null) { pilot.board(); }
                    }
                    void b() {
                        if (pilot != null) { pilot.leave(); }
                    }
                    String c() { return pilot == null ? "none" : pilot.n(); }
                }
                """);
        java("getter three places").has("""
                package quay;
                class Pilot {
                    void board() { System.out.println(1); }
                    String n() { return "x"; }
                }
                class Ship {
                    private Pilot pilot; // <- null-check
                    Pilot getPilot() { return pilot; }
                    void setPilot(Pilot p) { pilot = p; }
                }
                class O {
                    void a(Ship s) {
                        if (s.getPilot() != null) { s.getPilot().board(); }
                    }
                    String b(Ship s) { return s.getPilot() == null ? "none" : s.getPilot().n(); }
                    void c(Ship s) {
                        if (s.getPilot() == null) return;
                        s.getPilot().board();
                    }
                }
                """);
        java("argument check").hasNot("""
                package quay;
                class Ship {
                    String n;
                    void a(String n) {
                        if (n == null) throw new IllegalArgumentException("n");
                        this.n = n;
                    }
                }
                """);
        java("lazy").hasNot("""
                package quay;
                class Pilot {
                    void board() { System.out.println(1); }
                }
                class Ship {
                    private Pilot p;
                    Pilot pilot() {
                        if (p == null) { p = new Pilot(); }
                        return p;
                    }
                    void a() { pilot().board(); }
                    void b() {
                        if (p == null) { p = new Pilot(); }
                        p.board();
                    }
                    void c() {
                        if (p == null) { p = new Pilot(); }
                        p.board();
                    }
                }
                """);
        java("error thrown at once").hasNot("""
                package quay;
                class Pilot {
                    void board() { System.out.println(1); }
                }
                class Roster {
                    Pilot p;
                    boolean k;
                    Pilot find(String n) {
                        if (k) { return p; }
                        return null;
                    }
                }
                class Office {
                    Roster r;
                    void a(String n) {
                        Pilot p = r.find(n);
                        if (p == null) { throw new IllegalStateException("none"); }
                        p.board();
                    }
                }
                """);
        java("foreign").hasNot("""
                package quay;
                import java.util.*;
                class O {
                    void a(Map<String, String> m) {
                        String s = m.get("x");
                        if (s != null) { System.out.println(s); }
                    }
                    void b() {
                        String e = System.getenv("X");
                        if (e != null) System.out.println(e);
                    }
                }
                """);
        java("optional").hasNot("""
                package quay;
                import java.util.*;
                class Pilot {
                    void board() { }
                }
                class R {
                    Optional<Pilot> find() { return Optional.empty(); }
                }
                class O {
                    void a(R r) { r.find().ifPresent(Pilot::board); }
                }
                """);
        python("routine is None").has("""
                class Pilot:
                    def board(self): print(1)
                class Roster:
                    def __init__(self): self.all = []
                    def find(self, name):  # <- null-check
                        for p in self.all:
                            if p.name == name:
                                return p
                        return None
                class Office:
                    def __init__(self): self.roster = Roster()
                    def a(self, n):
                        p = self.roster.find(n)
                        if p is not None:
                            p.board()
                """);
        python("truth guard").has("""
                class Pilot:
                    def board(self): print(1)
                class Roster:
                    def __init__(self): self.all = []
                    def find(self, name):  # <- null-check
                        for p in self.all:
                            if p.name == name:
                                return p
                        return None
                class Office:
                    def __init__(self): self.roster = Roster()
                    def a(self, n):
                        p = self.roster.find(n)
                        if p:
                            p.board()
                    def b(self, n):
                        p = self.roster.find(n)
                        if not p:
                            return "none"
                        return p.board()
                """);
        python("implicit None").has("""
                class Roster:
                    def __init__(self): self.all = []
                    def find(self, name):  # <- null-check
                        for p in self.all:
                            if p.name == name:
                                return p
                def a(r: Roster, n):
                    p = r.find(n)
                    if p is None:
                        return "nobody"
                    return p.name
                """);
        python("dict get handed on").has("""
                class Roster:
                    def __init__(self): self.all = {}
                    def find(self, name):  # <- null-check
                        return self.all.get(name)
                def a(r: Roster, n):
                    p = r.find(n)
                    if p is None:
                        return "nobody"
                    return p.name
                """);
        python("field").has("""
                class Ship:
                    def __init__(self, name):
                        self.name = name
                        self.pilot = None  # <- null-check
                    def take(self, pilot): self.pilot = pilot
                    def a(self):
                        if self.pilot is not None:
                            self.pilot.board()
                    def b(self):
                        if self.pilot is not None:
                            self.pilot.leave()
                    def c(self):
                        return "none" if self.pilot is None else self.pilot.name
                """);
        python("default replaced").hasNot("""
                class Ship:
                    def __init__(self, crew=None):
                        if crew is None:
                            crew = []
                        self.crew = crew
                    def a(self, log=None):
                        log = log if log is not None else print
                        log("x")
                """);
        python("lazy").hasNot("""
                class Ship:
                    def __init__(self):
                        self._pilot = None
                    def pilot(self):
                        if self._pilot is None:
                            self._pilot = object()
                        return self._pilot
                    def b(self):
                        if self._pilot is None:
                            self._pilot = object()
                        return self._pilot
                    def c(self):
                        if self._pilot is None:
                            self._pilot = object()
                        return self._pilot
                """);
        python("raised at once").hasNot("""
                class Roster:
                    def find(self, name):
                        if name in self.all:
                            return self.all[name]
                        return None
                def a(r: Roster, n):
                    p = r.find(n)
                    if p is None:
                        raise KeyError(n)
                    return p.name
                """);
        java("stream orElse null").has("""
                package quay;
                import java.util.*;
                class Pilot {
                    String name;
                    void board() { System.out.println(1); }
                }
                class Roster {
                    List<Pilot> all = new ArrayList<>();
                    Pilot find(String n) { // <- null-check
                        return all.stream().filter(p -> p.name.equals(n)).findFirst().orElse(null);
                    }
                }
                class Office {
                    Roster r;
                    void a(String n) {
                        Pilot p = r.find(n);
                        if (p != null) { p.board(); }
                    }
                }
                """);
        java("Objects.nonNull guard").has("""
                package quay;
                import java.util.*;
                class Pilot {
                    String name;
                    void board() { System.out.println(1); }
                }
                class Roster {
                    Map<String, Pilot> all = new HashMap<>();
                    Pilot find(String n) { // <- null-check
                        if (all.containsKey(n)) { return all.get(n); }
                        return null;
                    }
                }
                class Office {
                    Roster r;
                    void a(String n) {
                        Pilot p = r.find(n);
                        if (Objects.nonNull(p)) { p.board(); }
                    }
                }
                """);
        java("conditional default").has("""
                package quay;
                class Pilot {
                    String name() { return "x"; }
                }
                class Roster {
                    Pilot duty;
                    boolean open;
                    Pilot onDuty() { return open ? duty : null; } // <- null-check
                }
                class Office {
                    Roster r;
                    String a() {
                        Pilot p = r.onDuty();
                        return p == null ? "nobody" : p.name();
                    }
                }
                """);
        java("guard directly on the call").has("""
                package quay;
                class Pilot {
                    void board() { System.out.println(1); }
                }
                class Roster {
                    Pilot duty;
                    boolean open;
                    Pilot onDuty() { // <- null-check
                        if (!open) { return null; }
                        return duty;
                    }
                }
                class Office {
                    Roster r;
                    void a() {
                        if (r.onDuty() != null) { r.onDuty().board(); }
                    }
                }
                """);
        java("ofNullable wraps").has("""
                package quay;
                import java.util.*;
                class Pilot {
                    void board() { System.out.println(1); }
                }
                class Roster {
                    Pilot duty;
                    boolean open;
                    Pilot onDuty() { // <- null-check
                        if (!open) { return null; }
                        return duty;
                    }
                }
                class Office {
                    Roster r;
                    void a() { Optional.ofNullable(r.onDuty()).ifPresent(Pilot::board); }
                }
                """);
        java("null in null out").hasNot("""
                package quay;
                class Names {
                    String trimmed(String s) {
                        if (s == null) { return null; }
                        return s.trim();
                    }
                }
                class Office {
                    Names n;
                    void a(String s) {
                        String t = n.trimmed(s);
                        if (t != null) { System.out.println(t); }
                    }
                }
                """);
        java("field guarded twice only").hasNot("""
                package quay;
                class Pilot {
                    void board() { System.out.println(1); }
                }
                class Ship {
                    Pilot p;
                    void set(Pilot q) { p = q; }
                    void a() { if (p != null) p.board(); }
                    void b() { if (p != null) p.board(); }
                }
                """);
        python("next with default None").has("""
                class Roster:
                    def __init__(self): self.all = []
                    def find(self, name):  # <- null-check
                        return next((p for p in self.all if p.name == name), None)
                class Office:
                    def __init__(self, roster: Roster): self.roster = roster
                    def board(self, name):
                        p = self.roster.find(name)
                        if p is not None:
                            p.board()
                """);
        python("walrus").has("""
                class Roster:
                    def __init__(self): self.all = {}
                    def find(self, name):  # <- null-check
                        if name in self.all:
                            return self.all[name]
                        return None
                class Office:
                    def __init__(self): self.roster = Roster()
                    def board(self, name):
                        if (p := self.roster.find(name)) is not None:
                            p.board()
                """);
        python("or default").has("""
                class Roster:
                    def find(self, name):  # <- null-check
                        for p in self.all:
                            if p.name == name:
                                return p
                        return None
                def board(roster: Roster, name):
                    p = roster.find(name) or Guest()
                    p.board()
                class Guest:
                    def board(self): print(1)
                """);
        python("nothing for nothing").hasNot("""
                class Roster:
                    def tenant(self, berth):
                        if berth > 3:
                            return None
                        return str(berth)
                class Office:
                    def __init__(self, roster: Roster):
                        self.roster = roster
                    def a(self):
                        return self.roster.tenant(1) or None
                    def b(self):
                        return self.roster.tenant(2) or None
                """);
        python("one of two things that a caller chooses between has no result").hasNot("""
                class Roster:
                    def run(self, words, caught=True):
                        if caught:
                            return '-'.join(words)
                        else:
                            print(words)
                            return None
                class Office:
                    def __init__(self, roster: Roster):
                        self.roster = roster
                    def a(self):
                        told = self.roster.run(['a'])
                        if told:
                            return told.split('-')
                        return []
                    def b(self):
                        told = self.roster.run(['b'])
                        if told:
                            return told.split('-')
                        return []
                """);
        java("a caller's leave to make one is no choice between two things").has("""
                package quay;
                class Berth {
                    int depth;
                    int depth() { return depth; }
                }
                class Roster {
                    Berth kept;
                    Berth berth(boolean make) { // <- null-check
                        if (kept != null) {
                            return kept;
                        }
                        if (!make) {
                            return null;
                        }
                        return new Berth();
                    }
                }
                class Office {
                    Roster roster;
                    int a() {
                        Berth berth = roster.berth(false);
                        return berth != null ? berth.depth() : 0;
                    }
                    int b() {
                        Berth berth = roster.berth(false);
                        if (berth == null) {
                            return -1;
                        }
                        return berth.depth();
                    }
                }
                """);
        python("optional annotation and guard in other module").has(at("roster.py", """
                from typing import Optional
                class Pilot:
                    def board(self) -> None:
                        print("x")
                class Roster:
                    def __init__(self) -> None:
                        self.pilots: list[Pilot] = []
                    def find(self, name: str) -> Optional[Pilot]:  # <- null-check
                        for pilot in self.pilots:
                            if pilot.name == name:
                                return pilot
                        return None
                """),
                at("office.py", """
                from roster import Roster
                class Office:
                    def __init__(self, roster: Roster) -> None:
                        self.roster = roster
                    def arrive(self, name: str) -> None:
                        pilot = self.roster.find(name)
                        if pilot is None:
                            return
                        pilot.board()
                """));
        python("boolean result").hasNot("""
                class Gate:
                    def is_open(self, name):
                        if name == "x":
                            return True
                def a(gate: Gate, name):
                    o = gate.is_open(name)
                    if o:
                        print(o)
                """);
        python("generator").hasNot("""
                class Roster:
                    def names(self):
                        for p in self.all:
                            if p.hidden:
                                return
                            yield p.name
                def a(r: Roster):
                    n = r.names()
                    if n:
                        print(list(n))
                """);
        java("a field that is filled only if there is something to fill it with").has("""
                package quay;
                class Chart {
                    String depth() { return "3"; }
                }
                class Locker {
                    boolean stocked;
                    private Chart chart;
                    Chart chart() { // <- null-check
                        if (chart == null) {
                            if (stocked) {
                                chart = new Chart();
                            }
                        }
                        return chart;
                    }
                }
                class Bridge {
                    int seen;
                    String plan(Locker locker) {
                        if (locker.chart() == null) {
                            return "";
                        }
                        return locker.chart().depth();
                    }
                    void look(Locker locker) {
                        Chart chart = locker.chart();
                        if (chart != null) {
                            seen += chart.depth().length();
                        }
                    }
                    String read(Locker locker) {
                        Chart chart = locker.chart();
                        return chart == null ? "none" : chart.depth();
                    }
                }
                """);
        java("a field that is always filled when it is asked for").hasNot("""
                package quay;
                class Chart {
                    String depth() { return "3"; }
                }
                class Locker {
                    private Chart chart;
                    Chart chart() {
                        if (chart == null) {
                            chart = new Chart();
                        }
                        return chart;
                    }
                }
                class Bridge {
                    String plan(Locker locker) {
                        if (locker.chart() == null) {
                            return "";
                        }
                        return locker.chart().depth();
                    }
                    String read(Locker locker) {
                        return locker.chart() == null ? "none" : locker.chart().depth();
                    }
                }
                """);
        java("a condition that is gathered bit by bit").has("""
                package quay;
                class Rule {
                    Rule and(Rule other) { return this; }
                    boolean holds(int n) { return n > 0; }
                }
                class Watch {
                    private Rule rule; // <- null-check
                    int n;
                    void add(Rule more) {
                        if (rule == null) {
                            rule = more;
                        } else {
                            rule = rule.and(more);
                        }
                    }
                    void clear() { rule = null; }
                    boolean isQuiet() { return rule == null || rule.holds(1); }
                    void tick() {
                        if (rule != null) {
                            n += rule.holds(n) ? 1 : 0;
                        }
                    }
                    String told() { return rule == null ? "" : "ruled " + rule.holds(2); }
                }
                """);
        java("an abstract class's empty answer, which everybody overrides").hasNot("""
                package quay;
                class Pilot { void board() { System.out.println(1); } }
                abstract class Watch {
                    Pilot pilot() {
                        return null;
                    }
                }
                class DayWatch extends Watch {
                    Pilot pilot() { return new Pilot(); }
                }
                class Office {
                    Watch watch = new DayWatch();
                    void a() {
                        Pilot p = watch.pilot();
                        if (p != null) { p.board(); }
                    }
                    void b() {
                        Pilot p = watch.pilot();
                        if (p != null) { p.board(); }
                    }
                }
                """);
        java("an abstract class's empty answer, which somebody inherits").has("""
                package quay;
                class Pilot { void board() { System.out.println(1); } }
                abstract class Watch {
                    Pilot pilot() { // <- null-check
                        return null;
                    }
                }
                class DayWatch extends Watch {
                    Pilot pilot() { return new Pilot(); }
                }
                class NightWatch extends Watch {
                    int lamps() { return 2; }
                }
                class Office {
                    Watch watch = new NightWatch();
                    void a() {
                        Pilot p = watch.pilot();
                        if (p != null) { p.board(); }
                    }
                    void b() {
                        Pilot p = watch.pilot();
                        if (p != null) { p.board(); }
                    }
                }
                """);
        java("a look-up handed on only where it found something").hasNot("""
                package quay;
                import java.util.*;
                class Berth { void book() { System.out.println(1); } }
                class Quay {
                    private final Map<String, Berth> berths = new HashMap<>();
                    private final Berth outside = new Berth();
                    Berth berth(String name) {
                        Berth found = berths.get(name);
                        if (found != null) { return found; }
                        return outside;
                    }
                    Berth other(String name) {
                        Berth found = berths.get(name);
                        return found == null ? outside : found;
                    }
                }
                class Office {
                    Quay quay = new Quay();
                    void a(String n) {
                        Berth b = quay.berth(n);
                        if (b != null) { b.book(); }
                        Berth c = quay.other(n);
                        if (c != null) { c.book(); }
                    }
                    void b(String n) {
                        Berth b = quay.berth(n);
                        if (b != null) { b.book(); }
                        Berth c = quay.other(n);
                        if (c != null) { c.book(); }
                    }
                }
                """);
    }
}
