package driftwood.smell.clause;

/** The clauses of the catalogue for mismatched-interfaces, each with a source that has it or has it not. */
class MismatchedInterfacesClausesTest extends Clauses {

    @Override
    String smell() {
        return "mismatched-interfaces";
    }

    @Override
    void clauses() {
        java("choice of unrelated").has("""
                package quay;
                class NorthStation {
                    double windKnots() { return 3; }
                }
                class SouthStation {
                    double readWind(String unit) { return 4; }
                }
                class Weather {
                    NorthStation n;
                    SouthStation s;
                    double wind(boolean north) {
                        if (north) { // <- mismatched-interfaces
                            return n.windKnots();
                        } else { return s.readWind("kn"); }
                    }
                }
                """);
        java("instanceof choice").has("""
                package quay;
                class NorthStation {
                    double windKnots() { return 3; }
                }
                class SouthStation {
                    double readWind(String unit) { return 4; }
                }
                class Weather {
                    double wind(Object st) {
                        double w;
                        if (st instanceof NorthStation) { // <- mismatched-interfaces
                            w = ((NorthStation) st).windKnots();
                        } else { w = ((SouthStation) st).readWind("kn"); }
                        return w * 2;
                    }
                }
                """);
        java("switch").has("""
                package quay;
                class A {
                    double windKnots() { return 3; }
                }
                class B {
                    double readWind(String unit) { return 4; }
                }
                class C {
                    double blow() { return 5; }
                }
                enum Src {
                    A, B, C }
                class Weather {
                    A a;
                    B b;
                    C c;
                    double wind(Src x) {
                        switch (x) { // <- mismatched-interfaces
                            case A: return a.windKnots();
                            case B: return b.readWind("kn");
                            default: return c.blow();
                        }
                    }
                }
                """);
        java("common type").hasNot("""
                package quay;
                interface Station {
                    double wind();
                }
                class A implements Station {
                    public double wind() { return 1; }
                }
                class B implements Station {
                    public double wind() { return 2; }
                }
                class W {
                    A a;
                    B b;
                    double wind(boolean n) { return n ? a.wind() : b.wind(); }
                }
                """);
        java("different things").hasNot("""
                package quay;
                class Printer {
                    void print(String s) { System.out.println(s); }
                }
                class Store {
                    int save(String s) { return 1; }
                }
                class W {
                    Printer p;
                    Store s;
                    int n;
                    void go(boolean x, String t) {
                        if (x) {
                            p.print(t);
                        } else { n = s.save(t); }
                    }
                }
                """);
        python("choice").has("""
                class North:
                    def wind_knots(self): return 3
                class South:
                    def read_wind(self, unit): return 4
                class Weather:
                    def __init__(self):
                        self.north = North()
                        self.south = South()
                    def wind(self, north):
                        if north:  # <- mismatched-interfaces
                            return self.north.wind_knots()
                        return self.south.read_wind("kn")
                """);
        python("isinstance").has("""
                class North:
                    def wind_knots(self): return 3
                class South:
                    def read_wind(self, unit): return 4
                def wind(station):
                    if isinstance(station, North):  # <- mismatched-interfaces
                        w = station.wind_knots()
                    else:
                        w = station.read_wind("kn")
                    return w * 2
                """);
        python("isinstance elif").has("""
                class North:
                    def wind_knots(self): return 3
                class South:
                    def read_wind(self, unit): return 4
                def wind(station):
                    if isinstance(station, North):  # <- mismatched-interfaces
                        return station.wind_knots()
                    elif isinstance(station, South):
                        return station.read_wind("kn")
                """);
        python("same name").hasNot("""
                class North:
                    def wind(self): return 3
                class South:
                    def wind(self): return 4
                class Weather:
                    def __init__(self):
                        self.north = North()
                        self.south = South()
                    def wind(self, north):
                        if north:
                            return self.north.wind()
                        return self.south.wind()
                """);
        java("ternary").has("""
                package quay;
                class Sonar {
                    double measure(String berth) { return 1; }
                }
                class LeadLine {
                    double lower(String berth, int rope) { return 2; }
                }
                class Survey {
                    Sonar sonar;
                    LeadLine line;
                    double depth(String berth, boolean digital) {
                        return digital ? sonar.measure(berth) : line.lower(berth, 30); // <- mismatched-interfaces
                    }
                }
                """);
        java("fallback for nothing").hasNot("""
                package quay;
                class Sonar {
                    double measure() { return 1; }
                }
                class LeadLine {
                    double lower(int rope) { return 2; }
                }
                class Survey {
                    Sonar sonar;
                    LeadLine line;
                    double depth() { return sonar != null ? sonar.measure() : line.lower(30); }
                }
                """);
        java("one type").hasNot("""
                package quay;
                class Sonar {
                    double fast() { return 1; }
                    double slow(int n) { return 2; }
                }
                class Survey {
                    Sonar a, b;
                    double depth(boolean f) { return f ? a.fast() : b.slow(3); }
                }
                """);
        python("typed fields").has("""
                class Sonar:
                    def measure(self, berth): return 1
                class LeadLine:
                    def lower(self, berth, rope): return 2
                class Survey:
                    def __init__(self, sonar: Sonar, line: LeadLine):
                        self.sonar = sonar
                        self.line = line
                    def depth(self, berth, digital):
                        if digital:  # <- mismatched-interfaces
                            d = self.sonar.measure(berth)
                        else:
                            d = self.line.lower(berth, 30)
                        return d * 2
                """);
        java("asks whether the subject can do more").hasNot("""
                package quay;
                interface Gauge {
                    double depth();
                }
                interface Fine {
                    double fineDepth(int digits);
                }
                class Survey {
                    double depth(Gauge gauge) {
                        double d = (gauge instanceof Fine) ? ((Fine) gauge).fineDepth(3) : gauge.depth();
                        return d * 2;
                    }
                }
                """);
        java("a whole and its part").hasNot("""
                package quay;
                class Index {
                    long start(int doc) { return doc; }
                }
                class Store {
                    private final Index index = new Index();
                    Index index() { return index; }
                    long end() { return 9; }
                }
                class Copy {
                    long pointer(Store store, Index index, int doc, boolean last) {
                        return last ? store.end() : index.start(doc);
                    }
                }
                """);
        python("built-in function").hasNot("""
                class Domain:
                    def abs(self, x): return x
                class Line:
                    def distance(self, p): return 1
                class Ray:
                    def far(self, line: Line, p, inside):
                        if inside:
                            return line.distance(p)
                        return abs(p)
                """);
        python("asked of what a library gave").hasNot("""
                class Cursor:
                    def get_size(self): return 1
                class Pier:
                    def count(self): return 2
                class Channel:
                    def __init__(self, found):
                        self.found = found
                    def cursor(self): return Cursor()
                    def size(self, queue, broad):
                        if broad:
                            return self.cursor().get_size()
                        return self.found.find({"queue": queue}).count()
                """);
    }
}
