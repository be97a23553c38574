package driftwood.smell.clause;

/** The clauses of the catalogue for telescoping-constructor, each with a source that has it or has it not. */
class TelescopingConstructorClausesTest extends Clauses {

    @Override
    String smell() {
        return "telescoping-constructor";
    }

    @Override
    void clauses() {
        java("three ctors extend").has("""
                package quay;
                class Berth {
                    int a;
                    String n;
                    boolean h;
                    Berth(String n) { this(n, 0); } // <- telescoping-constructor
                    Berth(String n, int a) { this(n, a, false); }
                    Berth(String n, int a, boolean h) {
                        this.n = n;
                        this.a = a;
                        this.h = h;
                    }
                }
                """);
        java("two with five").has("""
                package quay;
                class Berth {
                    int a, b, c, d;
                    String n;
                    Berth(String n, int a) { this(n, a, 0, 0, 0); } // <- telescoping-constructor
                    Berth(String n, int a, int b, int c, int d) {
                        this.n = n;
                        this.a = a;
                        this.b = b;
                        this.c = c;
                        this.d = d;
                    }
                }
                """);
        python("nothing for a part that everybody gives is a value").hasNot("""
                class Box:
                    def __init__(self, x, y, width, height, rx=0, ry=0):
                        self.x = x
                        self.y = y
                        self.width = width
                        self.height = height
                        self.rx = rx
                        self.ry = ry
                def frame():
                    return Box(0, 0, 10, 20)
                def shade():
                    return Box(0, 0, 12, 22)
                """);
        python("filled by position").has("""
                class Box:
                    def __init__(self, x, y, width, height, rx=0, ry=0):  # <- telescoping-constructor
                        self.x = x
                        self.y = y
                        self.width = width
                        self.height = height
                        self.rx = rx
                        self.ry = ry
                def frame():
                    return Box(0, 0, 10, 20, 0, 3)
                def shade():
                    return Box(0, 0, 12, 22, 0, 4)
                """);
        java("kept for a builder").hasNot("""
                package quay;
                class Berth {
                    int a, b, c, d;
                    String n;
                    protected Berth() { this(null, 0, 0, 0, 0); }
                    Berth(String n, int a, int b, int c, int d) {
                        this.n = n;
                        this.a = a;
                        this.b = b;
                        this.c = c;
                        this.d = d;
                    }
                    static class Builder {
                        int a, b, c, d;
                        String n;
                        Builder named(String given) {
                            n = given;
                            return this;
                        }
                        Berth build() { return new Berth(n, a, b, c, d); }
                    }
                }
                """);
        java("beside a builder, for anybody").has("""
                package quay;
                public class Berth {
                    int a, b, c, d;
                    String n;
                    public Berth(String n) { this(n, 0, 0, 0, 0); } // <- telescoping-constructor
                    public Berth(String n, int a, int b, int c, int d) {
                        this.n = n;
                        this.a = a;
                        this.b = b;
                        this.c = c;
                        this.d = d;
                    }
                    public static class Builder {
                        String n;
                        public Berth build() { return new Berth(n); }
                    }
                }
                """);
        java("ladder without delegation").has("""
                package quay;
                class Berth {
                    int a, c;
                    String n;
                    Berth(String n) { this.n = n; } // <- telescoping-constructor
                    Berth(String n, int a) {
                        this.n = n;
                        this.a = a;
                    }
                    Berth(String n, int a, int c) {
                        this.n = n;
                        this.a = a;
                        this.c = c;
                    }
                }
                """);
        java("static creation routines of same name").has("""
                package quay;
                class Berth {
                    int a, c;
                    String n;
                    private Berth(String n, int a, int c) {
                        this.n = n;
                        this.a = a;
                        this.c = c;
                    }
                    static Berth of(String n) { return of(n, 0); } // <- telescoping-constructor
                    static Berth of(String n, int a) { return of(n, a, 0); }
                    static Berth of(String n, int a, int c) { return new Berth(n, a, c); }
                }
                """);
        java("one ctor fillers by callers").has("""
                package quay;
                class Berth {
                    int a, c;
                    String n, s;
                    boolean h;
                    Berth(String n, int a, int c, String s, boolean h) { // <- telescoping-constructor
                        this.n = n;
                        this.a = a;
                        this.c = c;
                        this.s = s;
                        this.h = h;
                    }
                }
                class Office {
                    Berth x() { return new Berth("x", 3, 0, null, false); }
                    Berth y() { return new Berth("y", 4, 2, "", false); }
                    Berth z() { return new Berth("y", 4, 0, null, true); }
                }
                """);
        java("one ctor optional by null check").has("""
                package quay;
                class Berth {
                    int a, c;
                    String n, s, t;
                    Berth(String n, int a, int c, String s, String t) { // <- telescoping-constructor
                        this.n = n;
                        this.a = a;
                        this.c = c;
                        this.s = s == null ? "" : s;
                        if (t == null) { t = "none"; }
                        this.t = t;
                    }
                }
                """);
        java("record canonical").hasNot("""
                package quay;
                record Berth(String n, int a, int b, String c, boolean d, String e) {
                }
                class O {
                    Berth a() { return new Berth("a", 1, 2, "c", true, "e"); }
                }
                """);
        java("copy ctor").hasNot("""
                package quay;
                class Berth {
                    String n;
                    int a;
                    Berth(String n, int a) {
                        this.n = n;
                        this.a = a;
                    }
                    Berth(Berth o) { this(o.n, o.a); }
                }
                """);
        java("exception").hasNot("""
                package quay;
                class QuayException extends Exception {
                    QuayException() { super(); }
                    QuayException(String m) { super(m); }
                    QuayException(String m, Throwable c) { super(m, c); }
                    QuayException(Throwable c) { super(c); }
                }
                """);
        java("named creation routines").hasNot("""
                package quay;
                class Berth {
                    final String n;
                    final int a;
                    final boolean h;
                    private Berth(String n, int a, boolean h) {
                        this.n = n;
                        this.a = a;
                        this.h = h;
                    }
                    static Berth small(String n) { return new Berth(n, 10, false); }
                    static Berth large(String n) { return new Berth(n, 50, false); }
                    static Berth heated(String n) { return new Berth(n, 20, true); }
                }
                """);
        java("subclass repeats parent").hasNot("""
                package quay;
                abstract class Base {
                    int a;
                    Base(int a) { this.a = a; }
                    Base(int a, int b) { this(a + b); }
                }
                class Sub extends Base {
                    Sub(int a) { super(a); }
                    Sub(int a, int b) { super(a, b); }
                }
                """);
        python("positional with optional").has("""
                class Berth:
                    def __init__(self, name, length, depth=0, heated=False, owner=None):  # <- telescoping-constructor
                        self.name = name
                        self.length = length
                        self.depth = depth
                        self.heated = heated
                        self.owner = owner
                def make():
                    return Berth("a", 3, 4, True)
                def other():
                    return Berth("b", 3, 0, False, None)
                """);
        python("named only").hasNot("""
                class Berth:
                    def __init__(self, name, length, depth=0, heated=False, owner=None):
                        self.name = name
                        self.length = length
                        self.depth = depth
                        self.heated = heated
                        self.owner = owner
                def make():
                    return Berth("a", length=3, heated=True)
                """);
        python("dataclass").hasNot("""
                from dataclasses import dataclass
                @dataclass
                class Berth:
                    name: str
                    length: int
                    depth: int = 0
                    heated: bool = False
                    owner: str = None
                def make():
                    return Berth(name="a", length=3, heated=True)
                """);
        java("booleans passed as literals").has("""
                package quay;
                class Berth {
                    String n;
                    int a, b;
                    boolean h, t;
                    Berth(String n, int a, int b, boolean h, boolean t) { // <- telescoping-constructor
                        this.n = n;
                        this.a = a;
                        this.b = b;
                        this.h = h;
                        this.t = t;
                    }
                }
                class O {
                    Berth x() { return new Berth("x", 1, 2, true, false); }
                    Berth y() { return new Berth("y", 1, 2, false, false); }
                }
                """);
        java("nullable annotated").has("""
                package quay;
                class Berth {
                    String n;
                    int a, b;
                    String s, t;
                    Berth(String n, int a, int b, @Nullable String s, @Nullable String t) { // <- telescoping-constructor
                        this.n = n;
                        this.a = a;
                        this.b = b;
                        this.s = s;
                        this.t = t;
                    }
                }
                @interface Nullable { }
                """);
        java("two small ctors").hasNot("""
                package quay;
                class Berth {
                    String n;
                    int a;
                    Berth(String n) { this(n, 4); }
                    Berth(String n, int a) {
                        this.n = n;
                        this.a = a;
                    }
                }
                """);
        java("converting ctor").hasNot("""
                package quay;
                class Point {
                    int x, y, z;
                    Point(int x, int y, int z) {
                        this.x = x;
                        this.y = y;
                        this.z = z;
                    }
                    Point(String s) { this(Integer.parseInt(s), 0, 0); }
                    Point(Point o) { this(o.x, o.y, o.z); }
                }
                """);
        java("calls inside only").hasNot("""
                package quay;
                class Berth {
                    String n;
                    int a, b;
                    String s, t;
                    private Berth(String n, int a, int b, String s, String t) {
                        this.n = n;
                        this.a = a;
                        this.b = b;
                        this.s = s;
                        this.t = t;
                    }
                    static Berth plain(String n) { return new Berth(n, 0, 0, null, null); }
                }
                """);
        python("fillers by keyword").has("""
                class Berth:
                    def __init__(self, name, length, depth=4, heated=False, owner=None):  # <- telescoping-constructor
                        self.name = name
                        self.length = length
                        self.depth = depth
                        self.heated = heated
                        self.owner = owner
                def make():
                    return Berth("a", 3, depth=0, heated=False, owner=None)
                """);
        python("three parameters").hasNot("""
                class Berth:
                    def __init__(self, name, depth=4, owner=None):
                        self.name = name
                        self.depth = depth
                        self.owner = owner
                def make():
                    return Berth("a", 3, None)
                """);
        python("fillers for required parts only").hasNot("""
                class Berth:
                    def __init__(self, name, length, depth, owner=None, note=None):
                        self.name = name
                        self.length = length
                        self.depth = depth
                        self.owner = owner
                        self.note = note
                def make():
                    return Berth("", 0, 0)
                """);
        String ladder = """
                package quay;
                class Property {
                    private final String name;
                    private final boolean inner;
                    private final String kind;
                    private final String[] choices;
                    PRIVATEProperty(String name, boolean inner, String kind, String[] choices) {MARK
                        this.name = name;
                        this.inner = inner;
                        this.kind = kind;
                        this.choices = choices;
                    }
                    PRIVATEProperty(String name, boolean inner, String kind) { this(name, inner, kind, null); }
                    PRIVATEProperty(String name, boolean inner) { this(name, inner, "text", null); }
                    static Property date(String name) { return new Property(name, true, "date"); }
                    static Property text(String name) { return new Property(name, false); }
                    static Property choice(String name, String... choices) { return new Property(name, true, "choice", choices); }
                }
                """;
        java("a ladder that only the type itself climbs").hasNot(ladder.replace("PRIVATE", "private ").replace("MARK", ""));
        java("a ladder that others climb as well").has(ladder.replace("PRIVATE", "").replace("MARK", " // <- telescoping-constructor"));
    }
}
