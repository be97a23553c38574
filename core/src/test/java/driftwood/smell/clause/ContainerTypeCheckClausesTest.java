package driftwood.smell.clause;

/** The clauses of the catalogue for container-type-check, each with a source that has it or has it not. */
class ContainerTypeCheckClausesTest extends Clauses {

    @Override
    String smell() {
        return "container-type-check";
    }

    @Override
    void clauses() {
        java("by the routine of the part").has("""
                package quay;
                import java.util.*;
                abstract class Cargo {
                }
                class Crate extends Cargo {
                    String label;
                }
                class Hold extends Cargo {
                    List<Cargo> inside = new ArrayList<>();
                    void list(List<String> into) {
                        for (Cargo each : inside) { // <- container-type-check
                            if (each instanceof Hold) {
                                ((Hold) each).list(into);
                            } else {
                                into.add(((Crate) each).label);
                            }
                        }
                    }
                }
                """);
        java("instanceof container recursion").has("""
                package quay;
                import java.util.*;
                abstract class Leg { }
                class Hop extends Leg {
                    int miles;
                }
                class Voyage extends Leg {
                    List<Leg> legs = new ArrayList<>();
                }
                class Planner {
                    int miles(List<Leg> legs) {
                        int sum = 0;
                        for (Leg l : legs) { // <- container-type-check
                            if (l instanceof Voyage) {
                                sum += miles(((Voyage) l).legs);
                            } else { sum += ((Hop) l).miles; }
                        }
                        return sum;
                    }
                }
                """);
        java("flag isGroup").has("""
                package quay;
                import java.util.*;
                class Berth {
                    boolean group;
                    List<Berth> children = new ArrayList<>();
                    int length;
                    boolean isGroup() { return group; }
                    List<Berth> getChildren() { return children; }
                }
                class Plan {
                    int total(Berth b) {
                        int sum = 0;
                        for (Berth c : b.getChildren()) { // <- container-type-check
                            if (c.isGroup()) {
                                sum += total(c);
                            } else { sum += c.length; }
                        }
                        return sum;
                    }
                }
                """);
        java("work list").has("""
                package quay;
                import java.util.*;
                interface Leg { }
                record Hop(int miles) implements Leg { }
                record Voyage(List<Leg> legs) implements Leg { }
                class Planner {
                    int miles(Leg start) {
                        Deque<Leg> todo = new ArrayDeque<>();
                        todo.push(start);
                        int sum = 0;
                        while (!todo.isEmpty()) { // <- container-type-check
                            Leg l = todo.pop();
                            if (l instanceof Voyage v) {
                                for (Leg x : v.legs()) todo.push(x);
                            } else if (l instanceof Hop h) { sum += h.miles(); }
                        }
                        return sum;
                    }
                }
                """);
        java("pattern binding stream-less inner loop").has("""
                package quay;
                import java.util.*;
                interface Leg { }
                record Hop(int miles) implements Leg { }
                record Voyage(List<Hop> hops) implements Leg { }
                class Planner {
                    int miles(List<Leg> legs) {
                        int sum = 0;
                        for (Leg l : legs) { // <- container-type-check
                            if (l instanceof Voyage v) {
                                for (Hop h : v.hops()) { sum += h.miles(); }
                            } else if (l instanceof Hop h) { sum += h.miles(); }
                        }
                        return sum;
                    }
                }
                """);
        java("object lists untyped").has("""
                package quay;
                import java.util.*;
                class Hop {
                    int miles;
                }
                class Voyage {
                    List<Object> parts = new ArrayList<>();
                }
                class Planner {
                    int miles(List<Object> parts) {
                        int sum = 0;
                        for (Object p : parts) { // <- container-type-check
                            if (p instanceof Hop) sum += ((Hop) p).miles;
                            else if (p instanceof Voyage) sum += miles(((Voyage) p).parts);
                        }
                        return sum;
                    }
                }
                """);
        java("File tree foreign").hasNot("""
                package quay;
                import java.io.File;
                class Sizes {
                    long size(File f) {
                        long s = 0;
                        for (File c : f.listFiles()) {
                            if (c.isDirectory()) s += size(c);
                            else s += c.length();
                        }
                        return s;
                    }
                }
                """);
        java("leaf types told apart").hasNot("""
                package quay;
                import java.util.*;
                interface Leg { }
                record Hop(int miles) implements Leg { }
                record Drift(int hours) implements Leg { }
                class Planner {
                    int miles(List<Leg> legs) {
                        int sum = 0;
                        for (Leg l : legs) {
                            if (l instanceof Drift d) {
                                sum += d.hours() * 2;
                                log(d);
                            } else if (l instanceof Hop h) {
                                sum += h.miles();
                                log(h);
                            }
                        }
                        return sum;
                    }
                    void log(Object o) { System.out.println(o); }
                }
                """);
        java("filter keeps one type").hasNot("""
                package quay;
                import java.util.*;
                interface Leg { }
                record Hop(int miles) implements Leg { }
                record Voyage(List<Leg> legs) implements Leg { }
                class Planner {
                    List<Voyage> voyages(List<Leg> legs) {
                        List<Voyage> out = new ArrayList<>();
                        for (Leg l : legs) {
                            if (l instanceof Voyage v) { out.add(v); }
                        }
                        return out;
                    }
                }
                """);
        java("test for no children").hasNot("""
                package quay;
                import java.util.*;
                class Berth {
                    List<Berth> children = new ArrayList<>();
                    int length;
                    int total() {
                        if (children.isEmpty()) return length;
                        int s = 0;
                        for (Berth b : children) s += b.total();
                        return s;
                    }
                }
                """);
        java("nested lists of objects").hasNot("""
                package quay;
                import java.util.*;
                class Flat {
                    List<Object> flat(List<?> in) {
                        List<Object> out = new ArrayList<>();
                        for (Object o : in) {
                            if (o instanceof List<?> l) out.addAll(flat(l));
                            else out.add(o);
                        }
                        return out;
                    }
                }
                """);
        python("isinstance recursion").has("""
                class Hop:
                    def __init__(self, miles): self.miles = miles
                class Voyage:
                    def __init__(self): self.legs = []
                def miles(legs):
                    total = 0
                    for leg in legs:  # <- container-type-check
                        if isinstance(leg, Voyage):
                            total += miles(leg.legs)
                        else:
                            total += leg.miles
                    return total
                """);
        python("flag").has("""
                class Berth:
                    def __init__(self):
                        self.is_group = False
                        self.children = []
                        self.length = 3
                class Plan:
                    def total(self, berth):
                        s = 0
                        for child in berth.children:  # <- container-type-check
                            if child.is_group:
                                s += self.total(child)
                            else:
                                s += child.length
                        return s
                """);
        python("work list").has("""
                class Hop:
                    def __init__(self, miles): self.miles = miles
                class Voyage:
                    def __init__(self): self.legs = []
                def miles(start):
                    todo = [start]
                    total = 0
                    while todo:  # <- container-type-check
                        leg = todo.pop()
                        if isinstance(leg, Voyage):
                            todo.extend(leg.legs)
                        else:
                            total += leg.miles
                    return total
                """);
        python("nested lists").hasNot("""
                def flat(items):
                    out = []
                    for i in items:
                        if isinstance(i, list):
                            out.extend(flat(i))
                        else:
                            out.append(i)
                    return out
                """);
        python("one or many").hasNot("""
                class Hop: pass
                def add(self, legs):
                    if not isinstance(legs, list):
                        legs = [legs]
                    for l in legs:
                        self.legs.append(l)
                """);
        python("os walk").hasNot("""
                import os
                def size(path):
                    s = 0
                    for name in os.listdir(path):
                        p = os.path.join(path, name)
                        if os.path.isdir(p):
                            s += size(p)
                        else:
                            s += os.path.getsize(p)
                    return s
                """);
        java("getter flag with getter parts").has("""
                package quay;
                import java.util.*;
                class Crate {
                    private final List<Crate> contents = new ArrayList<>();
                    private boolean container;
                    int weight;
                    boolean isContainer() { return container; }
                    List<Crate> contents() { return contents; }
                }
                class Scales {
                    int weigh(List<Crate> crates) {
                        int sum = 0;
                        for (Crate c : crates) { // <- container-type-check
                            if (c.isContainer()) {
                                sum += weigh(c.contents());
                            } else { sum += c.weight; }
                        }
                        return sum;
                    }
                }
                """);
        java("switch pattern").has("""
                package quay;
                import java.util.*;
                sealed interface Cargo permits Box, Pallet { }
                record Box(int weight) implements Cargo { }
                record Pallet(List<Cargo> cargo) implements Cargo { }
                class Scales {
                    int weigh(List<Cargo> all) {
                        int sum = 0;
                        for (Cargo c : all) { // <- container-type-check
                            switch (c) {
                                case Pallet p -> sum += weigh(p.cargo());
                                case Box b -> sum += b.weight();
                            }
                        }
                        return sum;
                    }
                }
                """);
        java("parsed document foreign").hasNot("""
                package quay;
                import org.w3c.dom.*;
                class Docs {
                    int count(Node n) {
                        int c = 0;
                        NodeList l = n.getChildNodes();
                        for (int i = 0; i < l.getLength(); i++) {
                            Node k = l.item(i);
                            if (k instanceof Element) {
                                c += count(k);
                            } else { c++; }
                        }
                        return c;
                    }
                }
                """);
        python("annotated").has("""
                class Leg:
                    pass
                class Hop(Leg):
                    def __init__(self, miles: int): self.miles = miles
                class Voyage(Leg):
                    def __init__(self, legs: list[Leg]): self.legs = legs
                class Planner:
                    def miles(self, legs: list[Leg]) -> int:
                        total = 0
                        for leg in legs:  # <- container-type-check
                            if isinstance(leg, Voyage):
                                for inner in leg.legs:
                                    total += self.miles([inner])
                            else:
                                total += leg.miles
                        return total
                """);
        python("leaf kinds").hasNot("""
                class Hop:
                    def __init__(self, miles): self.miles = miles
                class Drift:
                    def __init__(self, hours): self.hours = hours
                def miles(legs):
                    total = 0
                    for leg in legs:
                        if isinstance(leg, Drift):
                            total += leg.hours * 2
                            print(leg)
                        elif isinstance(leg, Hop):
                            total += leg.miles
                            print(leg)
                    return total
                """);
        python("expression of which every kind has parts").hasNot("""
                class Expr:
                    @property
                    def args(self): return []
                class Add(Expr): pass
                class Mul(Expr): pass
                class Sym(Expr): pass
                def simplify(e):
                    if isinstance(e, Add):
                        return Add([simplify(a) for a in e.args])
                    elif isinstance(e, Mul):
                        return Mul([simplify(a) for a in e.args])
                    return e
                """);
        python("asks the parts themselves").hasNot("""
                class Dyadic:
                    def __init__(self): self.parts = []
                    def dot(self, other):
                        if isinstance(other, Dyadic):
                            total = 0
                            for part in other.parts:
                                total += part.dot(self)
                            return total
                        return 0
                """);
        java("two kinds of container in one walk").has("""
                package quay;
                interface Cargo { int weight(); }
                class Crate implements Cargo {
                    java.util.List<Cargo> inside;
                    public int weight() { return 1; }
                }
                class Pallet implements Cargo {
                    java.util.List<Cargo> on;
                    public int weight() { return 2; }
                }
                class Barrel implements Cargo {
                    public int weight() { return 3; }
                }
                class Hold {
                    int sum;
                    void weigh(java.util.List<Cargo> all) {
                        for (Cargo each : all) { // <- container-type-check
                            if (each instanceof Crate) {
                                weigh(((Crate) each).inside);
                            } else if (each instanceof Pallet) {
                                weigh(((Pallet) each).on);
                            } else {
                                sum += each.weight();
                            }
                        }
                    }
                }
                """);
        java("parts that are looked up by name").has("""
                package quay;
                interface Store { java.util.Set<String> names(); Part part(String name); }
                class Part { }
                class Form extends Part {
                    Store own;
                    Store store() { return own; }
                }
                class Picture extends Part {
                    int size;
                }
                class Copying {
                    int done;
                    void copy(Store store) {
                        for (String name : store.names()) { // <- container-type-check
                            Part part = store.part(name);
                            if (part instanceof Form) {
                                copy(((Form) part).store());
                            } else if (part instanceof Picture) {
                                done += ((Picture) part).size;
                            }
                        }
                    }
                }
                """);
    }
}
