package driftwood.smell.clause;

/** The clauses of the catalogue for long-parameter-list, each with a source that has it or has it not. */
class LongParameterListClausesTest extends Clauses {

    @Override
    String smell() {
        return "long-parameter-list";
    }

    @Override
    void clauses() {
        java("six params").has("""
                package quay;
                class Plan {
                    int q(int a, int b, int c, int d, int e, int f) { return a + b + c + d + e + f; } // <- long-parameter-list
                }
                """);
        java("five").hasNot("""
                package quay;
                class Plan {
                    int q(int a, int b, int c, int d, int e) { return a + b + c + d + e; }
                }
                """);
        java("five plus varargs").hasNot("""
                package quay;
                class Plan {
                    int q(int a, int b, int c, int d, int e, int... f) { return a + b + c + d + e; }
                }
                """);
        java("record").hasNot("""
                package quay;
                record Plan(int a, int b, int c, int d, int e, int f, int g) {
                }
                """);
        java("kept for a builder").hasNot("""
                package quay;
                class Plan {
                    final int s;
                    Plan(int a, int b, int c, int d, int e, int f) { s = a + b + c + d + e + f; }
                    static class Builder {
                        int a;
                        Builder a(int given) {
                            a = given;
                            return this;
                        }
                        Plan build() { return new Plan(a, 0, 0, 0, 0, 0); }
                    }
                }
                """);
        java("ctor repeats parent").hasNot("""
                package quay;
                class Base {
                    int s;
                    Base(int a, int b, int c, int d, int e) { s = a + b + c + d + e; }
                }
                class Sub extends Base {
                    Sub(int a, int b, int c, int d, int e) { super(a, b, c, d, e); }
                }
                """);
        java("override only interface reported").has("""
                package quay;
                interface Plan {
                    int q(int a, int b, int c, int d, int e, int f); // <- long-parameter-list
                }
                class P implements Plan {
                    public int q(int a, int b, int c, int d, int e, int f) { return a; }
                }
                """);
        ruby("a structure's own list").hasNot("""
                Plan = Struct.new(:berth, :from, :to, :vessel, :pilot, :tugs, :crane)
                """);
        ruby("seven").has("""
                class Plan
                  def put(berth, from, to, vessel, pilot, tugs, crane) # <- long-parameter-list
                    [berth, from, to, vessel, pilot, tugs, crane]
                  end
                end
                """);
        python("six").has("""
                class Plan:
                    def q(self, a, b, c, d, e, f):  # <- long-parameter-list
                        return a
                """);
        python("six with keyword only").has("""
                def q(a, b, c, *, d, e, f):  # <- long-parameter-list
                    return a
                """);
        python("five plus kwargs and args").hasNot("""
                class Plan:
                    def q(self, a, b, c, d, e, *args, **options):
                        return a
                """);
        python("cls").hasNot("""
                class Plan:
                    @classmethod
                    def q(cls, a, b, c, d, e):
                        return a
                """);
        python("dataclass").hasNot("""
                from dataclasses import dataclass
                @dataclass
                class Plan:
                    a: int
                    b: int
                    c: int
                    d: int
                    e: int
                    f: int
                """);
        python("override").hasNot("""
                class Base:
                    def q(self, a, b, c, d, e):
                        return a
                class Sub(Base):
                    def q(self, a, b, c, d, e):
                        return b
                """);
        java("a list written out one by one").hasNot("""
                package quay;
                class Pair {
                    static Pair of(String k1, int v1) { return new Pair(); }
                    static Pair of(String k1, int v1, String k2, int v2) { return new Pair(); }
                    static Pair of(String k1, int v1, String k2, int v2, String k3, int v3) {
                        return new Pair();
                    }
                }
                """);
        java("numbered parameters without overloads").has("""
                package quay;
                class Plan {
                    static int sum(int a1, int a2, int a3, int a4, int a5, int a6) { // <- long-parameter-list
                        return a1 + a2 + a3 + a4 + a5 + a6;
                    }
                }
                """);
        java("a message and its parts one by one").hasNot("""
                package quay;
                class Checks {
                    static void check(boolean ok, String text) { }
                    static void check(boolean ok, String text, Object p1) { }
                    static void check(boolean ok, String text, Object p1, Object p2, Object p3, Object p4) {
                        if (!ok) { throw new IllegalStateException(text + p1 + p2 + p3 + p4); }
                    }
                }
                """);
    }
}
