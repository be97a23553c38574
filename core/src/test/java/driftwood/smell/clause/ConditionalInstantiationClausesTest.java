package driftwood.smell.clause;

/** The clauses of the catalogue for conditional-instantiation, each with a source that has it or has it not. */
class ConditionalInstantiationClausesTest extends Clauses {

    @Override
    String smell() {
        return "conditional-instantiation";
    }

    @Override
    void clauses() {
        java("in middle of work").has("""
                package quay;
                interface Vessel {
                    int dues();
                }
                class Tug implements Vessel {
                    public int dues() { return 1; }
                }
                class Tanker implements Vessel {
                    public int dues() { return 2; }
                }
                class Office {
                    int charge(String kind, int nights) {
                        Vessel v;
                        if (kind.equals("tug")) { // <- conditional-instantiation
                            v = new Tug();
                        } else { v = new Tanker(); }
                        int sum = v.dues() * nights;
                        System.out.println(sum);
                        return sum;
                    }
                }
                """);
        java("the rest of a routine is no choice against its first guard").hasNot("""
                package quay;
                import java.util.List;
                interface Answer { }
                class Refused implements Answer {
                    Refused(String why) { }
                }
                class Moored implements Answer {
                    Moored(int nights, double dues) { }
                }
                class Office {
                    Answer moor(List<Integer> nights) {
                        if (nights.isEmpty()) {
                            return new Refused("nothing booked");
                        }
                        int sum = 0;
                        double dues = 0;
                        for (int each : nights) {
                            sum += each;
                            dues += each * 1.5;
                        }
                        return new Moored(sum, dues);
                    }
                }
                """);
        java("a guard and what follows at once, in the middle of work").has("""
                package quay;
                interface Vessel { }
                class Tug implements Vessel { }
                class Tanker implements Vessel { }
                class Office {
                    int calls;
                    Vessel next(String kind) {
                        calls++;
                        System.out.println(calls);
                        announce(kind);
                        if (kind.equals("tug")) { // <- conditional-instantiation
                            return new Tug();
                        }
                        return new Tanker();
                    }
                    void announce(String kind) { System.out.println(kind); }
                }
                """);
        java("a decision told with another is not told once more where a third repeats its other half").has("""
                package quay;
                interface Vessel { }
                class Tug implements Vessel { }
                class Tanker implements Vessel { }
                class Yacht implements Vessel { }
                class Barge implements Vessel { }
                class Office {
                    void first(String k) {
                        Vessel v = null;
                        if (k.equals("tug")) v = new Tug(); // <- conditional-instantiation
                        else if (k.equals("tanker")) v = new Tanker();
                        System.out.println(v);
                    }
                    void second(String k) {
                        Vessel v = null;
                        if (k.equals("tug")) v = new Tug();
                        else if (k.equals("tanker")) v = new Tanker();
                        else if (k.equals("yacht")) v = new Yacht();
                        else if (k.equals("barge")) v = new Barge();
                        System.out.println(v);
                    }
                    void third(String k) {
                        Vessel v = null;
                        if (k.equals("yacht")) v = new Yacht(); // <- conditional-instantiation
                        else if (k.equals("barge")) v = new Barge();
                        System.out.println(v);
                    }
                }
                """);
        java("factory repeated elsewhere").has("""
                package quay;
                interface Vessel { }
                class Tug implements Vessel { }
                class Tanker implements Vessel { }
                class Factory {
                    static Vessel make(String k) {
                        switch (k) {
                            case "tug": return new Tug();
                            case "tanker": return new Tanker();
                            default: throw new IllegalArgumentException(k);
                        }
                    }
                }
                class Office {
                    void a(String k) {
                        Vessel v = null;
                        if (k.equals("tug")) v = new Tug(); // <- conditional-instantiation
                        else if (k.equals("tanker")) v = new Tanker();
                        System.out.println(v);
                    }
                }
                """);
        java("ternary argument").has("""
                package quay;
                interface Rate {
                    int r();
                }
                class Low implements Rate {
                    public int r() { return 1; }
                }
                class High implements Rate {
                    public int r() { return 2; }
                }
                class Office {
                    int total;
                    void a(boolean summer, int n) {
                        total += quote(summer ? new High() : new Low(), n); // <- conditional-instantiation
                        System.out.println(total);
                    }
                    int quote(Rate r, int n) { return r.r() * n; }
                }
                """);
        java("added to collection").has("""
                package quay;
                import java.util.*;
                interface Leg { }
                class Hop implements Leg { }
                class Drift implements Leg { }
                class Reader {
                    List<Leg> read(List<String> lines) {
                        List<Leg> legs = new ArrayList<>();
                        for (String l : lines) {
                            if (l.startsWith("hop")) { // <- conditional-instantiation
                                legs.add(new Hop());
                            } else if (l.startsWith("drift")) { legs.add(new Drift()); }
                        }
                        return legs;
                    }
                }
                """);
        java("lone factory").hasNot("""
                package quay;
                interface Vessel { }
                class Tug implements Vessel { }
                class Tanker implements Vessel { }
                class Factory {
                    static Vessel make(String k) {
                        if (k.equals("tug")) { return new Tug(); }
                        if (k.equals("tanker")) { return new Tanker(); }
                        throw new IllegalArgumentException(k);
                    }
                }
                """);
        java("same class other args").hasNot("""
                package quay;
                class Tug {
                    Tug(int a) { }
                }
                class O {
                    void a(boolean b) {
                        Tug t;
                        if (b) {
                            t = new Tug(1);
                        } else { t = new Tug(2); }
                        System.out.println(t);
                        System.out.println(t);
                    }
                }
                """);
        java("exceptions").hasNot("""
                package quay;
                class A1 extends RuntimeException { }
                class A2 extends RuntimeException { }
                class O {
                    void a(int b) {
                        RuntimeException e;
                        if (b == 1) {
                            e = new A1();
                        } else { e = new A2(); }
                        System.out.println(e);
                        throw e;
                    }
                }
                """);
        java("table").hasNot("""
                package quay;
                import java.util.*;
                import java.util.function.*;
                interface Vessel { }
                class Tug implements Vessel { }
                class Tanker implements Vessel { }
                class R {
                    static final Map<String, Supplier<Vessel>> M = Map.of("tug", Tug::new, "tanker", Tanker::new);
                    Vessel a(String k) { return M.get(k).get(); }
                }
                """);
        python("in work").has("""
                class Tug:
                    def dues(self): return 1
                class Tanker:
                    def dues(self): return 2
                def charge(kind, nights):
                    if kind == "tug":  # <- conditional-instantiation
                        v = Tug()
                    else:
                        v = Tanker()
                    s = v.dues() * nights
                    print(s)
                    return s
                """);
        python("conditional expression").has("""
                class Low:
                    def r(self): return 1
                class High:
                    def r(self): return 2
                def a(summer, n):
                    rate = High() if summer else Low()  # <- conditional-instantiation
                    print(n)
                    return rate.r() * n
                """);
        python("factory").hasNot("""
                class Tug: pass
                class Tanker: pass
                def make(kind):
                    if kind == "tug":
                        return Tug()
                    elif kind == "tanker":
                        return Tanker()
                    raise ValueError(kind)
                """);
        python("table").hasNot("""
                class Tug: pass
                class Tanker: pass
                KINDS = {"tug": Tug, "tanker": Tanker}
                def make(kind, n):
                    v = KINDS[kind]()
                    print(n)
                    return v
                """);
        java("switch expression assigned").has("""
                package quay;
                interface Rate {
                    int of(int n);
                }
                class Low implements Rate {
                    public int of(int n) { return n; }
                }
                class High implements Rate {
                    public int of(int n) { return n * 2; }
                }
                enum Season {
                    LOW, HIGH }
                class Office {
                    int sum;
                    void book(Season s, int n) {
                        Rate rate = switch (s) { // <- conditional-instantiation
                            case LOW -> new Low();
                            case HIGH -> new High();
                        };
                        sum += rate.of(n);
                        System.out.println(sum);
                    }
                }
                """);
        java("any predicate and handed to a call").has("""
                package quay;
                interface Leg { }
                class Hop implements Leg {
                    Hop(int n) { }
                }
                class Drift implements Leg {
                    Drift(int n) { }
                }
                class Planner {
                    void add(Leg l) { System.out.println(l); }
                    void plan(int wind, int n) {
                        n++;
                        if (wind > 20 && n > 3) { // <- conditional-instantiation
                            add(new Drift(n));
                        } else { add(new Hop(n)); }
                        System.out.println(n);
                    }
                }
                """);
        java("same decision twice in two factories").has("""
                package quay;
                interface V { }
                class Tug implements V { }
                class Yacht implements V { }
                class F {
                    static V make(String k) {
                        if (k.equals("tug")) return new Tug(); // <- conditional-instantiation
                        if (k.equals("yacht")) return new Yacht();
                        throw new IllegalArgumentException(k);
                    }
                }
                class G {
                    static V build(String k) {
                        switch (k) {
                            case "tug": return new Tug();
                            case "yacht": return new Yacht();
                            default: throw new IllegalArgumentException(k);
                        }
                    }
                }
                """);
        java("lone factory with ternary").hasNot("""
                package quay;
                interface V { }
                class Tug implements V { }
                class Yacht implements V { }
                class F {
                    static V make(boolean small) { return small ? new Yacht() : new Tug(); }
                }
                """);
        python("match").has("""
                class Hop:
                    def miles(self): return 1
                class Drift:
                    def miles(self): return 2
                def plan(kind, n):
                    n += 1
                    match kind:  # <- conditional-instantiation
                        case "hop":
                            leg = Hop()
                        case "drift":
                            leg = Drift()
                        case _:
                            raise ValueError(kind)
                    print(n)
                    return leg.miles() * n
                """);
        python("appended").has("""
                class Leg: pass
                class Hop(Leg):
                    def __init__(self, n): self.n = n
                class Drift(Leg):
                    def __init__(self, n): self.n = n
                def read(lines):
                    legs = []
                    for line in lines:
                        if line.startswith("hop"):  # <- conditional-instantiation
                            legs.append(Hop(line))
                        elif line.startswith("drift"):
                            legs.append(Drift(line))
                    return legs
                """);
        python("same class").hasNot("""
                class Hop:
                    def __init__(self, n): self.n = n
                def plan(far):
                    if far:
                        leg = Hop(9)
                    else:
                        leg = Hop(1)
                    print(leg)
                    return leg
                """);
        java("errors by their parents").hasNot("""
                package quay;
                class Late extends RuntimeException { }
                class Lost extends Late { }
                class O {
                    int n;
                    void a(boolean b) {
                        n++;
                        RuntimeException e;
                        if (b) {
                            e = new Late();
                        } else { e = new Lost(); }
                        System.out.println(n);
                        throw e;
                    }
                }
                """);
    }
}
