package driftwood.smell.clause;

/** The clauses of the catalogue for misplaced-behaviour, each with a source that has it or has it not. */
class MisplacedBehaviourClausesTest extends Clauses {

    @Override
    String smell() {
        return "misplaced-behaviour";
    }

    @Override
    void clauses() {
        java("envy").has("""
                package quay;
                class Vessel {
                    int length, draught;
                    String name;
                    int getLength() { return length; }
                    int getDraught() { return draught; }
                    String getName() { return name; }
                }
                class Office {
                    int fee;
                    int quote(Vessel v) { // <- misplaced-behaviour
                        return v.getLength() * 3 + v.getDraught() * 2 + v.getName().length();
                    }
                }
                """);
        java("duties per variant").has("""
                package quay;
                enum Kind {
                    TUG, TANKER }
                class Vessel {
                    Kind kind;
                    int power, tonnage;
                }
                class Office {
                    Kind kind;
                    int n;
                    int tugDues(Vessel v) { // <- misplaced-behaviour
                        n++;
                        return v.power * 2;
                    }
                    String tugLabel(Vessel v) {
                        n++;
                        return "T" + v.power;
                    }
                    int tankerDues(Vessel v) {
                        n++;
                        return v.tonnage * 3;
                    }
                    String tankerLabel(Vessel v) {
                        n++;
                        return "K" + v.tonnage;
                    }
                    int dues(Vessel v) { return v.kind == Kind.TUG ? tugDues(v) : tankerDues(v); }
                    String label(Vessel v) { return v.kind == Kind.TUG ? tugLabel(v) : tankerLabel(v); }
                }
                """);
        python("what is done with one part each").hasNot("""
                class Widget:
                    def __init__(self):
                        self.visible = False
                class Console(Widget):
                    pass
                class Pager(Widget):
                    pass
                class Screen:
                    def __init__(self, first: Widget):
                        self.first = first
                        self.console = Console()
                        self.pager = Pager()
                    def open_console(self):
                        self.pager.visible = False
                        self.console.visible = True
                    def close_console(self):
                        self.console.visible = False
                        self.pager.visible = True
                    def open_pager(self):
                        self.console.visible = False
                        self.pager.visible = True
                    def close_pager(self):
                        self.pager.visible = False
                        self.console.visible = True
                """);
        java("callbacks in the words of the type's own condition").hasNot("""
                package quay;
                class Office {
                    enum Status { NEW, OPENED, CLOSED }
                    Status status = Status.NEW;
                    int n;
                    void dayOpened() {
                        status = Status.OPENED;
                        n++;
                    }
                    void dayClosed() {
                        status = Status.CLOSED;
                        n--;
                    }
                    void gateOpened(String gate) {
                        n += gate.length();
                        status = Status.OPENED;
                    }
                    void gateClosed(String gate) {
                        n -= gate.length();
                        status = Status.CLOSED;
                    }
                }
                """);
        java("mapper").hasNot("""
                package quay;
                class Vessel {
                    int length, draught;
                    String name;
                }
                class Row {
                    int a, b;
                    String c;
                }
                class Mapper {
                    Row toRow(Vessel v) {
                        Row r = new Row();
                        r.a = v.length;
                        r.b = v.draught;
                        r.c = v.name;
                        return r;
                    }
                }
                """);
        java("printer").hasNot("""
                package quay;
                class Vessel {
                    int length, draught;
                    String name;
                }
                class VesselPrinter {
                    String print(Vessel v) { return v.name + ": " + v.length + " / " + v.draught; }
                }
                """);
        java("comparator").hasNot("""
                package quay;
                class Vessel {
                    int length, draught, kind;
                }
                class ByLength implements java.util.Comparator<Vessel> {
                    public int compare(Vessel a, Vessel b) {
                        int c = a.length - b.length;
                        if (c == 0) c = a.draught - b.draught;
                        return c == 0 ? a.kind - b.kind : c;
                    }
                }
                """);
        python("envy").has("""
                class Vessel:
                    def __init__(self, length, draught, beam):
                        self.length = length
                        self.draught = draught
                        self.beam = beam
                class Office:
                    def __init__(self): self.fee = 3
                    def quote(self, v: Vessel):  # <- misplaced-behaviour
                        s = v.length * 3
                        s += v.draught * 2
                        return s + v.beam
                """);
        java("static service over one type").has("""
                package quay;
                class Vessel {
                    int length, beam, draught;
                    int length() { return length; }
                    int beam() { return beam; }
                    int draught() { return draught; }
                }
                class Dues {
                    static int volume(Vessel v) { // <- misplaced-behaviour
                        int deck = v.length() * v.beam();
                        return deck * v.draught();
                    }
                }
                """);
        java("two of its own").hasNot("""
                package quay;
                class Vessel {
                    int length, beam, draught;
                    int length() { return length; }
                    int beam() { return beam; }
                    int draught() { return draught; }
                }
                class Dues {
                    int rate, extra;
                    int volume(Vessel v) { return v.length() * rate + v.beam() * extra + v.draught(); }
                }
                """);
        java("only two members").hasNot("""
                package quay;
                class Vessel {
                    int length, beam;
                    int length() { return length; }
                    int beam() { return beam; }
                }
                class Dues {
                    int deck(Vessel v) { return v.length() * v.beam(); }
                }
                """);
        java("serialiser").hasNot("""
                package quay;
                class Vessel {
                    int length, beam, draught;
                }
                class VesselSerializer {
                    String toJson(Vessel v) { return "{" + v.length + "," + v.beam + "," + v.draught + "}"; }
                }
                """);
        java("test code").hasNot(at("src/test/java/quay/VesselTest.java", """
                package quay;
                class VesselTest {
                    int volume(Vessel v) { return v.length * v.beam * v.draught; }
                }
                """),
                at("src/main/java/quay/Vessel.java", """
                package quay;
                class Vessel {
                    int length, beam, draught;
                }
                """));
        python("function over one type").has("""
                class Berth:
                    def __init__(self, length, depth, rate):
                        self.length = length
                        self.depth = depth
                        self.rate = rate
                def dues(berth: Berth, nights):  # <- misplaced-behaviour
                    surface = berth.length * berth.depth
                    return surface * berth.rate * nights
                """);
        python("own members").hasNot("""
                class Berth:
                    def __init__(self, length, depth, rate):
                        self.length = length
                        self.depth = depth
                        self.rate = rate
                class Office:
                    def __init__(self):
                        self.a = 1
                        self.b = 2
                    def dues(self, berth: Berth):
                        return self.a * berth.length + self.b * berth.depth + berth.rate
                """);
        java("part of the parent's own structure").hasNot("""
                package quay;
                abstract class BlockQueue {
                    Block head;
                    static class Block {
                        Block next;
                        int from, to;
                        int[] flags;
                    }
                }
                class Fifo extends BlockQueue {
                    void clear(int f) {
                        for (Block b = head; b != null; b = b.next) {
                            for (int i = b.from; i < b.to; i++) { b.flags[i] &= ~f; }
                        }
                    }
                }
                """);
        java("envy of an interface asked for its parts by number").has("""
                package quay;
                interface Soundings {
                    int getStations();
                    double getDepth(int station);
                    double getTide(int station);
                    String getName(int station);
                }
                class Chart implements Soundings {
                    public int getStations() { return 3; }
                    public double getDepth(int station) { return station; }
                    public double getTide(int station) { return station; }
                    public String getName(int station) { return "s" + station; }
                }
                class Pilotage {
                    int fee;
                    double least(Soundings all) { // <- misplaced-behaviour
                        double least = 99;
                        for (int i = 0; i < all.getStations(); i++) {
                            if (!all.getName(i).isEmpty()) {
                                least = Math.min(least, all.getDepth(i) - all.getTide(i));
                            }
                        }
                        return least;
                    }
                }
                """);
        java("three members of an interface that is walked by number").hasNot("""
                package quay;
                interface Soundings {
                    int getStations();
                    double getDepth(int station);
                    double getTide(int station);
                    String getName(int station);
                }
                class Chart implements Soundings {
                    public int getStations() { return 3; }
                    public double getDepth(int station) { return station; }
                    public double getTide(int station) { return station; }
                    public String getName(int station) { return "s" + station; }
                }
                class Pilotage {
                    int fee;
                    double deepest(Soundings all) {
                        double most = 0;
                        for (int i = 0; i < all.getStations(); i++) {
                            most = Math.max(most, all.getDepth(i) - all.getTide(i));
                        }
                        return most;
                    }
                }
                """);
        java("computes another of the same type").has("""
                package quay;
                class Area {
                    int left, right, top;
                    Area(int left, int right, int top) {
                        this.left = left;
                        this.right = right;
                        this.top = top;
                    }
                    int getLeft() { return left; }
                    int getRight() { return right; }
                    int getTop() { return top; }
                }
                class Berthing {
                    int fee;
                    Area padded(Area area, int by) { // <- misplaced-behaviour
                        int left = area.getLeft() - by;
                        int right = area.getRight() + by;
                        return new Area(left, right, area.getTop() + by);
                    }
                }
                """);
        java("only keys of a dictionary are asked for").hasNot("""
                package quay;
                class Papers {
                    java.util.Map<String, String> all;
                    String getText(String key) { return all.get(key); }
                    int getNumber(String key) { return all.size(); }
                    boolean isGiven(String key) { return all.containsKey(key); }
                    String getOr(String key, String other) { return other; }
                }
                class Office {
                    int fee;
                    int price(Papers papers) {
                        return papers.isGiven("tug") ? papers.getNumber("power") * papers.getText("name").length()
                                : papers.getOr("kind", "none").length();
                    }
                }
                """);
    }
}
