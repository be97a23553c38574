package driftwood.smell.clause;

/** The clauses of the catalogue for hard-wired-notification, each with a source that has it or has it not. */
class HardWiredNotificationClausesTest extends Clauses {

    @Override
    String smell() {
        return "hard-wired-notification";
    }

    @Override
    void clauses() {
        java("each is given its own place").hasNot("""
                package quay;
                class Screen {
                    private final Map map = new Map();
                    private final Log log = new Log();
                    private int laid;
                    void lay(int width, int height) {
                        laid++;
                        map.place(0, 0, width, height - 2);
                        log.place(0, height - 2, width, 2);
                    }
                }
                class Map {
                    int area;
                    void place(int x, int y, int w, int h) { area = w * h + x + y; }
                }
                class Log {
                    int lines;
                    void place(int x, int y, int w, int h) { lines = h + x + y + w; }
                }
                """);
        java("told, then the current one is put away").has("""
                package quay;
                import java.util.ArrayList;
                import java.util.List;
                class Ledger { int n; void trainDeparted(Train t) { n++; } }
                class Pager { int calls; void trainLeft(Train t) { calls += t.size(); } }
                class Train { int size() { return 4; } }
                class Dispatcher {
                    private final Ledger ledger = new Ledger();
                    private final Pager pager = new Pager();
                    private final List<Train> departed = new ArrayList<>();
                    private Train current;
                    void depart(Train train) {
                        departed.add(train);
                        ledger.trainDeparted(train); // <- hard-wired-notification
                        pager.trainLeft(train);
                        current = null;
                    }
                }
                """);
        java("one is told what is read from what the others get").has("""
                package quay;
                import java.util.ArrayList;
                import java.util.List;
                class Ledger { int n; void trainDeparted(Train t) { n++; } }
                class Pager { int calls; void trainLeft(Train t) { calls += t.size(); } }
                class Display { String text; void showDeparture(String name, int size) { text = name + size; } }
                class Train { int size() { return 4; } String name() { return "7"; } }
                class Dispatcher {
                    private final Ledger ledger = new Ledger();
                    private final Display display = new Display();
                    private final Pager pager = new Pager();
                    private final List<Train> departed = new ArrayList<>();
                    void depart(Train train) {
                        departed.add(train);
                        ledger.trainDeparted(train); // <- hard-wired-notification
                        display.showDeparture(train.name(), train.size());
                        pager.trainLeft(train);
                    }
                }
                """);
        java("what comes after is worked out anew").hasNot("""
                package quay;
                import java.util.ArrayList;
                import java.util.List;
                class Ledger { int n; void trainDeparted(Train t) { n++; } int sum() { return n; } }
                class Pager { int calls; void trainLeft(Train t) { calls += t.size(); } }
                class Train { int size() { return 4; } }
                class Dispatcher {
                    private final Ledger ledger = new Ledger();
                    private final Pager pager = new Pager();
                    private final List<Train> departed = new ArrayList<>();
                    private int sum;
                    void depart(Train train) {
                        departed.add(train);
                        ledger.trainDeparted(train);
                        pager.trainLeft(train);
                        sum = ledger.sum();
                    }
                }
                """);
        java("tower tells three").has("""
                package quay;
                class Pilots {
                    void vesselArrived(String v) { System.out.println("p" + v); }
                }
                class Customs {
                    void declare(String v) { System.out.println("c" + v); }
                }
                class LockKeeper {
                    void prepare(String v) { System.out.println("l" + v); }
                }
                class Tower {
                    private final Pilots pilots;
                    private final Customs customs;
                    private final LockKeeper keeper;
                    int count;
                    Tower(Pilots p, Customs c, LockKeeper k) {
                        pilots = p;
                        customs = c;
                        keeper = k;
                    }
                    void arrived(String vessel) {
                        count++;
                        pilots.vesselArrived(vessel); // <- hard-wired-notification
                        customs.declare(vessel);
                        keeper.prepare(vessel);
                    }
                }
                """);
        java("subject itself shared").has("""
                package quay;
                class Board {
                    void show(Gate g) { System.out.println(g); }
                }
                class Ledger {
                    void gateMoved(Gate g) { System.out.println(g); }
                }
                class Gate {
                    Board board;
                    Ledger ledger;
                    int height;
                    void raise(int by) {
                        height += by;
                        board.show(this); // <- hard-wired-notification
                        ledger.gateMoved(this);
                    }
                }
                """);
        java("under condition").has("""
                package quay;
                class Pilots {
                    void come(String v) { System.out.println("p" + v); }
                }
                class Customs {
                    void declare(String v) { System.out.println("c" + v); }
                }
                class Tower {
                    Pilots pilots;
                    Customs customs;
                    int n;
                    void arrived(String v, boolean foreign) {
                        n++;
                        pilots.come(v); // <- hard-wired-notification
                        if (foreign) { customs.declare(v); }
                    }
                }
                """);
        java("one collaborator").hasNot("""
                package quay;
                class Pilots {
                    void come(String v) { System.out.println("p" + v); }
                    void go(String v) { System.out.println("g" + v); }
                }
                class Tower {
                    Pilots pilots;
                    int n;
                    void arrived(String v) {
                        n++;
                        pilots.come(v);
                        pilots.go(v);
                    }
                }
                """);
        java("results used").hasNot("""
                package quay;
                class Pilots {
                    int come(String v) { return 1; }
                }
                class Customs {
                    int declare(String v) { return 2; }
                }
                class Tower {
                    Pilots pilots;
                    Customs customs;
                    int n;
                    void arrived(String v) {
                        n++;
                        int a = pilots.come(v);
                        int b = customs.declare(v);
                        n += a + b;
                    }
                }
                """);
        java("data flows").hasNot("""
                package quay;
                class Reader {
                    String read(String v) { return v; }
                }
                class Parser {
                    String parse(String t) { return t; }
                }
                class Store {
                    void put(String p) { System.out.println(p); }
                }
                class Job {
                    Reader r;
                    Parser p;
                    Store s;
                    int n;
                    void run(String v) {
                        n++;
                        String t = r.read(v);
                        String x = p.parse(t);
                        s.put(x);
                    }
                }
                """);
        java("logging alone").hasNot("""
                package quay;
                class Log {
                    void info(String s) { System.out.println(s); }
                }
                class Pilots {
                    void come(String v) { System.out.println(v); }
                }
                class Tower {
                    Log log;
                    Pilots p;
                    int n;
                    void arrived(String v) {
                        n++;
                        log.info(v);
                        p.come(v);
                    }
                }
                """);
        python("tower").has("""
                class Pilots:
                    def vessel_arrived(self, v): print("p", v)
                class Customs:
                    def declare(self, v): print("c", v)
                class Tower:
                    def __init__(self, pilots: Pilots, customs: Customs):
                        self.pilots = pilots
                        self.customs = customs
                        self.count = 0
                    def arrived(self, vessel):
                        self.count += 1
                        self.pilots.vessel_arrived(vessel)  # <- hard-wired-notification
                        self.customs.declare(vessel)
                """);
        python("untyped").has("""
                class Tower:
                    def __init__(self, pilots, customs, keeper):
                        self.pilots = pilots
                        self.customs = customs
                        self.keeper = keeper
                        self.arrivals = []
                    def arrived(self, vessel):
                        self.arrivals.append(vessel)
                        self.pilots.vessel_arrived(vessel)  # <- hard-wired-notification
                        self.customs.declare(vessel)
                        self.keeper.prepare(vessel)
                class Pilots:
                    def vessel_arrived(self, v): print("p", v)
                class Customs:
                    def declare(self, v): print("c", v)
                class Keeper:
                    def prepare(self, v): print("c", v)
                def main():
                    Tower(Pilots(), Customs(), Keeper()).arrived("x")
                """);
        python("results used").hasNot("""
                class Pilots:
                    def come(self, v): return 1
                class Customs:
                    def declare(self, v): return 2
                class Tower:
                    def __init__(self, pilots: Pilots, customs: Customs):
                        self.pilots = pilots
                        self.customs = customs
                    def arrived(self, vessel):
                        a = self.pilots.come(vessel)
                        b = self.customs.declare(vessel)
                        return a + b
                """);
        java("made on the spot").has("""
                package quay;
                class Pilots {
                    void come(String v) { System.out.println("p" + v); }
                }
                class Customs {
                    void declare(String v) { System.out.println("c" + v); }
                }
                class Tower {
                    int n;
                    void arrived(String v) {
                        n++;
                        new Pilots().come(v); // <- hard-wired-notification
                        new Customs().declare(v);
                    }
                }
                """);
        java("shared getter argument").has("""
                package quay;
                class Vessel {
                    String name() { return "x"; }
                }
                class Pilots {
                    void come(String v) { System.out.println("p" + v); }
                }
                class Customs {
                    boolean declare(String v) { return true; }
                }
                class Tower {
                    Pilots pilots;
                    Customs customs;
                    int n;
                    void arrived(Vessel v) {
                        n++;
                        pilots.come(v.name()); // <- hard-wired-notification
                        customs.declare(v.name());
                    }
                }
                """);
        java("constructor parts set up").hasNot("""
                package quay;
                class Pilots {
                    void setDesk(String v) { System.out.println(v); }
                }
                class Customs {
                    void setDesk(String v) { System.out.println(v); }
                }
                class Tower {
                    Pilots pilots;
                    Customs customs;
                    int n;
                    void desk(String v) {
                        n++;
                        pilots.setDesk(v);
                        customs.setDesk(v);
                    }
                }
                """);
        java("same type twice").hasNot("""
                package quay;
                class Pilot {
                    void come(String v) { System.out.println("p" + v); }
                }
                class Tower {
                    Pilot first;
                    Pilot second;
                    int n;
                    void arrived(String v) {
                        n++;
                        first.come(v);
                        second.come(v);
                    }
                }
                """);
        java("no own work").hasNot("""
                package quay;
                class Pilots {
                    void come(String v) { System.out.println("p" + v); }
                }
                class Customs {
                    void declare(String v) { System.out.println(v); }
                }
                class Tower {
                    Pilots pilots;
                    Customs customs;
                    void arrived(String v) {
                        pilots.come(v);
                        customs.declare(v);
                    }
                }
                """);
        python("subject itself").has("""
                class Board:
                    def show(self, gate): print(gate)
                class Journal:
                    def gate_moved(self, gate): print(gate)
                class Gate:
                    def __init__(self):
                        self.board = Board()
                        self.journal = Journal()
                        self.height = 0
                    def raise_by(self, n):
                        self.height += n
                        self.board.show(self)  # <- hard-wired-notification
                        self.journal.gate_moved(self)
                """);
        python("implicit return value of the last").has("""
                class Board:
                    def show(self, gate): return gate
                class Journal:
                    def gate_moved(self, gate): return gate
                class Gate:
                    def __init__(self, board: Board, journal: Journal):
                        self.board = board
                        self.journal = journal
                        self.height = 0
                    def raise_by(self, n):
                        self.height += n
                        self.board.show(n)  # <- hard-wired-notification
                        if n > 3:
                            self.journal.gate_moved(n)
                """);
        python("collections").hasNot("""
                class Tower:
                    def __init__(self):
                        self.names = []
                        self.seen = set()
                        self.count = 0
                    def arrived(self, v):
                        self.count += 1
                        self.names.append(v)
                        self.seen.add(v)
                """);
        java("kept in collections of the project's own").hasNot("""
                package quay;
                class VesselList {
                    boolean add(String v) { return true; }
                }
                class NameSet {
                    boolean remove(String v) { return true; }
                }
                class Tower {
                    VesselList moored;
                    NameSet expected;
                    int n;
                    void arrived(String v) {
                        n++;
                        moored.add(v);
                        expected.remove(v);
                    }
                }
                """);
        java("one of the two only logs").hasNot("""
                package quay;
                class Log {
                    void note(String s) { System.out.println(s); }
                    boolean on() { return true; }
                }
                class Pilots {
                    void come(String v) { System.out.println(v); }
                }
                class Tower {
                    Log log;
                    Pilots pilots;
                    int n;
                    void arrived(String v) {
                        n++;
                        if (log.on()) { log.note(v); }
                        pilots.come(v);
                    }
                }
                """);
    }
}
