package driftwood.smell.clause;

/** The clauses of the catalogue for swapped-arguments, each with a source that has it or has it not. */
class SwappedArgumentsClausesTest extends Clauses {

    @Override
    String smell() {
        return "swapped-arguments";
    }

    @Override
    void clauses() {
        java("locals swapped").has("""
                package quay;
                class Berth {
                    static int area(int width, int height) { return width * height; }
                }
                class Plan {
                    int a(int width, int height) { return Berth.area(height, width); } // <- swapped-arguments
                }
                """);
        java("getters swapped").has("""
                package quay;
                class Size {
                    int w, h;
                    int getWidth() { return w; }
                    int getHeight() { return h; }
                }
                class Plan {
                    Plan(int width, int height) { }
                    static Plan of(Size s) { return new Plan(s.getHeight(), s.getWidth()); } // <- swapped-arguments
                }
                """);
        java("three cycle").has("""
                package quay;
                class D {
                    void at(int year, int month, int day) { }
                }
                class P {
                    void go(D d, int year, int month, int day) { d.at(month, day, year); } // <- swapped-arguments
                }
                """);
        java("fields").has("""
                package quay;
                class D {
                    void move(int from, int to) { System.out.println(from + to); }
                }
                class P {
                    int from, to;
                    D d;
                    void go() { d.move(to, from); } // <- swapped-arguments
                }
                """);
        java("constants").has("""
                package quay;
                class D {
                    void draw(int width, int height) { System.out.println(width + height); }
                }
                class P {
                    static final int WIDTH = 3, HEIGHT = 4;
                    D d;
                    void go() { d.draw(HEIGHT, WIDTH); } // <- swapped-arguments
                }
                """);
        java("prefix only").hasNot("""
                package quay;
                class D {
                    void draw(int width, int height) { }
                }
                class P {
                    D d;
                    void go(int widthMax, int heightMax) { d.draw(heightMax, widthMax); }
                }
                """);
        java("one way").hasNot("""
                package quay;
                class D {
                    void draw(int width, int height) { }
                }
                class P {
                    D d;
                    void go(int x, int width) { d.draw(x, width); }
                }
                """);
        java("swap routine").hasNot("""
                package quay;
                class P {
                    static P flip(int width, int height) { return new P(height, width); }
                    P(int width, int height) { }
                    P transposed(int width, int height) { return new P(height, width); }
                }
                """);
        java("comparator").hasNot("""
                package quay;
                import java.util.*;
                class P {
                    int compare(int left, int right) { return left - right; }
                    Comparator<Integer> c() { return (left, right) -> compare(right, left); }
                }
                """);
        java("types forbid").hasNot("""
                package quay;
                class D {
                    void draw(String name, int count) { }
                    void draw(int count, String name) { }
                }
                class P {
                    void go(D d, String name, int count) { d.draw(count, name); }
                }
                """);
        python("swapped").has("""
                class Berth:
                    def area(self, width, height):
                        return width - height
                def plan(berth: Berth, width, height):
                    return berth.area(height, width)  # <- swapped-arguments
                """);
        python("function swapped").has("""
                def area(width, height):
                    return width * height
                def plan(width, height):
                    return area(height, width)  # <- swapped-arguments
                """);
        python("ctor attributes").has("""
                class Box:
                    def __init__(self, width, height):
                        self.width = width
                        self.height = height
                class Frame:
                    def __init__(self, width, height):
                        self.width = width
                        self.height = height
                    def box(self):
                        return Box(self.height, self.width)  # <- swapped-arguments
                """);
        python("keyword").hasNot("""
                def area(width, height):
                    return width * height
                def plan(width, height):
                    return area(height=height, width=width)
                """);
        java("record accessors").has("""
                package quay;
                record Size(int width, int height) { }
                class Frame {
                    Frame(int width, int height) { System.out.println(width - height); }
                }
                class Plan {
                    Frame frame(Size s) { return new Frame(s.height(), s.width()); } // <- swapped-arguments
                }
                """);
        java("descending comparator").hasNot("""
                package quay;
                import java.util.*;
                class V {
                    int n;
                }
                class P {
                    static int compare(V left, V right) { return left.n - right.n; }
                    void sort(List<V> l) { l.sort((left, right) -> compare(right, left)); }
                    int descending(V left, V right) { return compare(right, left); }
                }
                """);
        java("named back").hasNot("""
                package quay;
                class Archive {
                    void copy(String draft, String record) { }
                    void renameBook(String draft, String record) { }
                    void write(String draft, String record) {
                        copy(draft, record);
                        renameBook(record, draft);
                    }
                }
                """);
        java("transposed").hasNot("""
                package quay;
                class M {
                    M(int rows, int columns) { }
                    static M of(int rows, int columns) { return new M(rows, columns); }
                    M transpose(int rows, int columns) { return new M(columns, rows); }
                }
                """);
        python("named argument is right but positions wrong").has("""
                class Berth:
                    def __init__(self, length, depth, name):
                        self.length = length
                        self.depth = depth
                def make(length, depth):
                    return Berth(depth, length, name="x")  # <- swapped-arguments
                """);
        python("comparison the other way round").hasNot("""
                def is_ge(left, right):
                    return left >= right
                def is_le(left, right):
                    return is_ge(right, left)
                """);
        python("inverse").hasNot("""
                class Term:
                    def __init__(self, numer, denom):
                        self.numer = numer
                        self.denom = denom
                    def inv(self):
                        return Term(self.denom, self.numer)
                """);
    }
}
