package driftwood.smell.clause;

/** The clauses of the catalogue for type-switch, each with a source that has it or has it not. */
class TypeSwitchClausesTest extends Clauses {

    @Override
    String smell() {
        return "type-switch";
    }

    @Override
    void clauses() {
        java("instanceof chain with casts").has("""
                package quay;
                class Vessel { }
                class Tug extends Vessel {
                    int power;
                }
                class Tanker extends Vessel {
                    int tonnage;
                }
                class Dues {
                    int total;
                    int quote(Vessel v) {
                        if (v instanceof Tug) { // <- type-switch
                            Tug t = (Tug) v;
                            total += t.power;
                            return t.power * 2;
                        } else if (v instanceof Tanker) {
                            Tanker t = (Tanker) v;
                            total += 3;
                            return t.tonnage * 3 + 5;
                        }
                        return 0;
                    }
                }
                """);
        java("early returns guard rows").has("""
                package quay;
                interface Vessel { }
                record Tug(int power) implements Vessel { }
                record Tanker(int tonnage) implements Vessel { }
                class Dues {
                    int quote(Vessel v) {
                        if (v instanceof Tug t) return t.power() * 2 + fee(); // <- type-switch
                        if (v instanceof Tanker t) return t.tonnage() * 3 + fee();
                        throw new IllegalArgumentException("unknown " + v);
                    }
                    int fee() { return 3; }
                }
                """);
        java("texts put together of what each type has").has("""
                package quay;
                interface Vessel { }
                record Tug(int power) implements Vessel { }
                class Tanker implements Vessel {
                    int tonnage;
                }
                class Board {
                    String line(Vessel v) {
                        if (v instanceof Tug t) return "Tug of " + t.power(); // <- type-switch
                        if (v instanceof Tanker) return "Tanker, " + ((Tanker) v).tonnage + " t";
                        return "Vessel";
                    }
                }
                """);
        java("texts that are looked up by type").hasNot("""
                package quay;
                interface Vessel { }
                record Tug(int power) implements Vessel { }
                record Tanker(int tonnage) implements Vessel { }
                class Board {
                    static final String SIGN = "#";
                    String line(Vessel v) {
                        if (v instanceof Tug) return "Tug " + SIGN;
                        if (v instanceof Tanker) return "Tanker " + SIGN;
                        return "Vessel";
                    }
                }
                """);
        java("switch on enum field with statements").has("""
                package quay;
                enum Kind {
                    TUG, TANKER, YACHT }
                class Vessel {
                    Kind kind;
                    int length;
                    int power;
                }
                class Dues {
                    int sum;
                    void charge(Vessel v) {
                        switch (v.kind) { // <- type-switch
                            case TUG: sum += v.power * 2;
                            break;
                            case TANKER: sum += v.length * 7;
                            log("tanker");
                            break;
                            default: sum += v.length;
                        }
                    }
                    void log(String s) { System.out.println(s); }
                }
                """);
        java("sealed exhaustive switch expression").has("""
                package quay;
                sealed interface Vessel permits Tug, Tanker { }
                record Tug(int power) implements Vessel { }
                record Tanker(int tonnage) implements Vessel { }
                class Dues {
                    int quote(Vessel v) {
                        return switch (v) { // <- type-switch
                            case Tug t -> t.power() * 2 + 1;
                            case Tanker t -> t.tonnage() * 3 + 7;
                        };
                    }
                }
                """);
        java("string tag parameter equals chain").has("""
                package quay;
                class Tower {
                    int rung;
                    void signal(String kind) {
                        if ("arrival".equals(kind)) { // <- type-switch
                            ring(1);
                            rung++;
                        } else if ("departure".equals(kind)) {
                            ring(2);
                            rung += 2;
                        } else if ("fog".equals(kind)) { ring(5); }
                    }
                    void ring(int n) { System.out.println(n); }
                }
                """);
        java("int constants of own class").has("""
                package quay;
                class Vessel {
                    static final int TUG = 1;
                    static final int TANKER = 2;
                    int type;
                    int power, tonnage;
                    int getType() { return type; }
                }
                class Dues {
                    int quote(Vessel v) {
                        if (v.getType() == Vessel.TUG) { return v.power * 2; } // <- type-switch
                        if (v.getType() == Vessel.TANKER) { return v.tonnage * 3 + 1; }
                        return 0;
                    }
                }
                """);
        java("conditional expressions in a row").has("""
                package quay;
                enum Kind {
                    TUG, TANKER, YACHT }
                class Dues {
                    int quote(Kind kind, int n) {
                        return kind == Kind.TUG ? n * 2 + base(n) : kind == Kind.TANKER ? n * 9 + base(n + 1) : 0; // <- type-switch
                    }
                    int base(int n) { return n; }
                }
                """);
        java("getClass comparison").has("""
                package quay;
                class Vessel { }
                class Tug extends Vessel {
                    void tow() { }
                }
                class Tanker extends Vessel {
                    void pump() { }
                }
                class Crew {
                    void work(Vessel v) {
                        if (v.getClass() == Tug.class) { // <- type-switch
                            ((Tug) v).tow();
                            log(v);
                        } else if (v.getClass() == Tanker.class) {
                            ((Tanker) v).pump();
                            log(v);
                        }
                    }
                    void log(Object o) { System.out.println(o); }
                }
                """);
        java("local tag from getter").has("""
                package quay;
                enum Kind {
                    TUG, TANKER }
                class Vessel {
                    private Kind kind;
                    private int power;
                    Kind getKind() { return kind; }
                    int getPower() { return power; }
                }
                class Dues {
                    int paid;
                    void pay(Vessel v) {
                        Kind k = v.getKind();
                        if (k == Kind.TUG) { // <- type-switch
                            paid += v.getPower() * 2;
                        } else if (k == Kind.TANKER) { paid += v.getPower() * 3; }
                    }
                }
                """);
        java("equals method").hasNot("""
                package quay;
                class Tug {
                    int p;
                }
                class Vessel {
                    int id;
                    @Override public boolean equals(Object o) {
                        if (o instanceof Vessel) {
                            Vessel v = (Vessel) o;
                            return v.id == id;
                        }
                        if (o instanceof Tug) {
                            Tug t = (Tug) o;
                            return t.p == id;
                        }
                        return false;
                    }
                    @Override public int hashCode() { return id; }
                }
                """);
        java("lone type guard").hasNot("""
                package quay;
                class Vessel { }
                class Tug extends Vessel {
                    int power;
                }
                class Dues {
                    int quote(Vessel v) {
                        if (v instanceof Tug t) { return t.power * 2; }
                        return 0;
                    }
                }
                """);
        java("lookup of literals").hasNot("""
                package quay;
                enum Kind {
                    TUG, TANKER, YACHT }
                class Dues {
                    int rate(Kind k) {
                        switch (k) {
                            case TUG: return 5;
                            case TANKER: return 9;
                            case YACHT: return 2;
                            default: return 0;
                        }
                    }
                    String name(Kind k) {
                        return switch (k) {
                            case TUG -> "tug";
                            case TANKER -> "tank" + "er";
                            case YACHT -> "yacht";
                        };
                    }
                }
                """);
        java("one plain getter per arm is lookup").hasNot("""
                package quay;
                enum Kind {
                    TUG, TANKER }
                class Rates {
                    int tug, tanker;
                    int getTug() { return tug; }
                    int getTanker() { return tanker; }
                }
                class Dues {
                    int rate(Kind k, Rates r) {
                        if (k == Kind.TUG) return r.getTug();
                        if (k == Kind.TANKER) return r.getTanker();
                        return 0;
                    }
                }
                """);
        java("lexer loop on characters").hasNot("""
                package quay;
                class Lexer {
                    int pos;
                    String text;
                    int count;
                    void lex() {
                        while (pos < text.length()) {
                            char c = text.charAt(pos);
                            switch (c) {
                                case '(': open();
                                pos++;
                                break;
                                case ')': close();
                                pos++;
                                break;
                                default: pos++;
                                count++;
                            }
                        }
                    }
                    void open() { count++; }
                    void close() { count--; }
                }
                """);
        java("foreign http status").hasNot("""
                package quay;
                class Client {
                    int fails;
                    void on(int status) {
                        if (status == 404) {
                            fails++;
                            retry();
                        } else if (status == 500) {
                            fails += 2;
                            stop();
                        }
                    }
                    void retry() { System.out.println("r"); }
                    void stop() { System.out.println("s"); }
                }
                """);
        java("key codes foreign constants").hasNot("""
                package quay;
                import java.awt.event.KeyEvent;
                class Keys {
                    int x;
                    void press(KeyEvent e) {
                        switch (e.getKeyCode()) {
                            case KeyEvent.VK_LEFT: x--;
                            paint();
                            break;
                            case KeyEvent.VK_RIGHT: x++;
                            paint();
                            break;
                        }
                    }
                    void paint() { System.out.println(x); }
                }
                """);
        java("builtin type tests").hasNot("""
                package quay;
                class Args {
                    String text(Object o) {
                        if (o instanceof String s) { return s.trim() + "!"; }
                        if (o instanceof Number n) { return "n" + n.intValue() * 2; }
                        if (o instanceof java.util.List<?> l) { return l.size() + "x" + l.get(0); }
                        return String.valueOf(o);
                    }
                }
                """);
        java("option parsing in main").hasNot("""
                package quay;
                class Main {
                    static int n;
                    static String f;
                    public static void main(String[] args) {
                        for (int i = 0; i < args.length; i++) {
                            switch (args[i]) {
                                case "--count": n = Integer.parseInt(args[++i]);
                                break;
                                case "--file": f = args[++i].trim();
                                break;
                                default: System.err.println("?");
                            }
                        }
                    }
                }
                """);
        java("arms only create").hasNot("""
                package quay;
                interface Vessel { }
                class Tug implements Vessel { }
                class Tanker implements Vessel { }
                class VesselFactory {
                    Vessel make(String kind) {
                        switch (kind) {
                            case "tug": return new Tug();
                            case "tanker": return new Tanker();
                            default: throw new IllegalArgumentException(kind);
                        }
                    }
                }
                """);
        python("isinstance chain").has("""
                class Vessel: pass
                class Tug(Vessel):
                    def __init__(self): self.power = 3
                class Tanker(Vessel):
                    def __init__(self): self.tonnage = 5
                class Dues:
                    def __init__(self): self.total = 0
                    def quote(self, v):
                        if isinstance(v, Tug):  # <- type-switch
                            self.total += v.power
                            return v.power * 2
                        elif isinstance(v, Tanker):
                            self.total += 1
                            return v.tonnage * 3
                        return 0
                """);
        python("string tag").has("""
                class Tower:
                    def signal(self, kind):
                        if kind == "arrival":  # <- type-switch
                            self.ring(1)
                            self.count += 1
                        elif kind == "departure":
                            self.ring(2)
                            self.count += 2
                        else:
                            self.ring(9)
                    def ring(self, n):
                        print(n)
                """);
        python("match statement over enum").has("""
                from enum import Enum
                class Kind(Enum):
                    TUG = 1
                    TANKER = 2
                class Dues:
                    def __init__(self): self.sum = 0
                    def charge(self, vessel, kind: Kind):
                        match kind:  # <- type-switch
                            case Kind.TUG:
                                self.sum += vessel.power * 2
                            case Kind.TANKER:
                                self.sum += vessel.length * 7
                """);
        python("match class patterns").has("""
                class Tug:
                    def __init__(self, power): self.power = power
                class Tanker:
                    def __init__(self, tonnage): self.tonnage = tonnage
                def quote(v):
                    match v:  # <- type-switch
                        case Tug(power=p):
                            return p * 2 + fee()
                        case Tanker(tonnage=t):
                            return t * 3 + fee()
                        case _:
                            raise ValueError(v)
                def fee(): return 3
                """);
        python("attr tag").has("""
                class Vessel:
                    def __init__(self, kind, power):
                        self.kind = kind
                        self.power = power
                def quote(vessel):
                    if vessel.kind == "tug":  # <- type-switch
                        return vessel.power * 2 + base(vessel)
                    if vessel.kind == "tanker":
                        return vessel.power * 5 + base(vessel)
                    return 0
                def base(v): return 1
                """);
        python("type(x) is").has("""
                class Tug: 
                    def tow(self): print("t")
                class Tanker:
                    def pump(self): print("p")
                def work(v):
                    if type(v) is Tug:  # <- type-switch
                        v.tow()
                        print("done")
                    elif type(v) == Tanker:
                        v.pump()
                        print("done")
                """);
        python("builtin normalising").hasNot("""
                def text(o):
                    if isinstance(o, str):
                        return o.strip() + "!"
                    elif isinstance(o, int):
                        return "n" + str(o * 2)
                    elif isinstance(o, (list, tuple)):
                        return ",".join(text(x) for x in o)
                    return repr(o)
                """);
        python("eq").hasNot("""
                class Tug: pass
                class Vessel:
                    def __eq__(self, other):
                        if isinstance(other, Vessel):
                            return self.id == other.id
                        elif isinstance(other, Tug):
                            return self.id == other.p + 1
                        return NotImplemented
                """);
        python("lookups").hasNot("""
                def rate(kind):
                    if kind == "tug":
                        return 5
                    elif kind == "tanker":
                        return 9
                    return 0
                """);
        python("http status").hasNot("""
                def on(response, log):
                    if response.status == 404:
                        log.append("missing")
                        retry(response)
                    elif response.status == 500:
                        log.append("broken")
                        stop(response)
                def retry(r): print(r)
                def stop(r): print(r)
                """);
        python("main args").hasNot("""
                import sys
                def main():
                    n = 0
                    for a in sys.argv[1:]:
                        if a == "--count":
                            n = int(a) + 1
                            print(n)
                        elif a == "--file":
                            print(a)
                            n = 2
                """);
        java("switch arrows with statements and enum").has("""
                package quay;
                enum Kind {
                    TUG, TANKER, YACHT }
                class Ledger {
                    int sum;
                    void book(Kind kind, int n) {
                        switch (kind) { // <- type-switch
                            case TUG -> {
                                sum += n;
                                note("tug");
                            }
                            case TANKER -> {
                                sum += n * 3;
                                note("tanker");
                            }
                            case YACHT -> { }
                        }
                    }
                    void note(String s) { System.out.println(s); }
                }
                """);
        java("symbol compared in a local of char-less string switch").has("""
                package quay;
                class Desk {
                    int n;
                    void take(Form form) {
                        String type = form.type();
                        switch (type) { // <- type-switch
                            case "arrival": n++;
                            file(form);
                            break;
                            case "departure": n--;
                            drop(form);
                            break;
                            default: throw new IllegalArgumentException(type);
                        }
                    }
                    void file(Form f) { System.out.println(f); }
                    void drop(Form f) { System.out.println(f); }
                }
                class Form {
                    String t;
                    String type() { return t; }
                }
                """);
        java("negated guards in a row then work").has("""
                package quay;
                abstract class Vessel { }
                class Tug extends Vessel {
                    int pull() { return 3; }
                }
                class Tanker extends Vessel {
                    int load() { return 4; }
                }
                class Dues {
                    int log;
                    int quote(Vessel v) {
                        if (v instanceof Tug) { // <- type-switch
                            log++;
                            return ((Tug) v).pull() * 3;
                        }
                        if (v instanceof Tanker) {
                            log += 2;
                            return ((Tanker) v).load() * 9;
                        }
                        return 1;
                    }
                }
                """);
        java("compareTo on kinds").hasNot("""
                package quay;
                enum Kind {
                    TUG, TANKER }
                class Vessel implements Comparable<Vessel> {
                    Kind kind;
                    int n, m;
                    public int compareTo(Vessel o) {
                        if (kind == Kind.TUG) {
                            return n - o.n + m;
                        } else if (kind == Kind.TANKER) { return m - o.m + n; }
                        return 0;
                    }
                }
                """);
        java("parser on tokens").hasNot("""
                package quay;
                enum Token {
                    OPEN, CLOSE, WORD }
                class Parser {
                    Token next() { return Token.OPEN; }
                    int depth;
                    void parse() {
                        Token token = next();
                        while (token != null) {
                            switch (token) {
                                case OPEN: depth++;
                                push();
                                break;
                                case CLOSE: depth--;
                                pop();
                                break;
                                default: word();
                            }
                            token = next();
                        }
                    }
                    void push() { System.out.println(1); }
                    void pop() { System.out.println(2); }
                    void word() { System.out.println(3); }
                }
                """);
        java("foreign enum the project cannot extend").hasNot("""
                package quay;
                import java.util.concurrent.TimeUnit;
                class Wait {
                    int n;
                    void go(TimeUnit u) {
                        switch (u) {
                            case SECONDS: n += 3;
                            log();
                            break;
                            case MINUTES: n += 60;
                            log();
                            break;
                            default: break;
                        }
                    }
                    void log() { System.out.println(n); }
                }
                """);
        java("arms throw or return constants only").hasNot("""
                package quay;
                enum Kind {
                    TUG, TANKER }
                class D {
                    int max(Kind k) {
                        switch (k) {
                            case TUG: return 3;
                            case TANKER: throw new IllegalStateException("no");
                            default: return 0;
                        }
                    }
                }
                """);
        python("elif on enum members").has("""
                from enum import Enum
                class Kind(Enum):
                    TUG = 1
                    TANKER = 2
                class Office:
                    def __init__(self):
                        self.total = 0
                    def book(self, vessel):
                        if vessel.kind is Kind.TUG:  # <- type-switch
                            self.total += vessel.pull
                            self.note("tug")
                        elif vessel.kind is Kind.TANKER:
                            self.total += vessel.load * 3
                            self.note("tanker")
                    def note(self, text): print(text)
                """);
        python("early returns on isinstance of one type each").has("""
                class Tug:
                    def __init__(self, pull): self.pull = pull
                class Tanker:
                    def __init__(self, load): self.load = load
                class Office:
                    def dues(self, vessel):
                        if isinstance(vessel, Tug):  # <- type-switch
                            self.count("tug")
                            return vessel.pull * 3
                        if isinstance(vessel, Tanker):
                            self.count("tanker")
                            return vessel.load * 9
                        raise TypeError(vessel)
                    def count(self, t): print(t)
                """);
        python("lone guard").hasNot("""
                class Tug: pass
                def pull(v):
                    if isinstance(v, Tug):
                        v.start()
                        return v.pull * 3
                    return 0
                """);
        python("creates only").hasNot("""
                class Tug: pass
                class Tanker: pass
                class Office:
                    def make(self, kind):
                        if kind == "tug":
                            return Tug()
                        if kind == "tanker":
                            return Tanker()
                        raise ValueError(kind)
                """);
        python("argparse like").hasNot("""
                def main(argv):
                    for a in argv:
                        if a == "-v":
                            print("verbose")
                            set_level(3)
                        elif a == "-q":
                            print("quiet")
                            set_level(0)
                def set_level(n): print(n)
                """);
        java("instructions of a loop that reads them").hasNot("""
                package quay;
                class Tape {
                    static final int PUSH = 1, POP = 2;
                    int at, depth;
                    byte[] code;
                    void read() {
                        while (at < code.length) {
                            int opcode = code[at++];
                            switch (opcode) {
                                case PUSH: depth++;
                                push(opcode);
                                break;
                                case POP: depth--;
                                pop(opcode);
                                break;
                                default: at++;
                            }
                        }
                    }
                    void push(int n) { System.out.println(n); }
                    void pop(int n) { System.out.println(n); }
                }
                """);
        python("tokens of a lexer").hasNot("""
                from enum import Enum
                class TokenType(Enum):
                    BLOCK = 1
                    TEXT = 2
                def render(source):
                    out = []
                    for t in source.tokens():
                        if t.token_type == TokenType.BLOCK:
                            out.append(block(t))
                            print("block")
                        elif t.token_type == TokenType.TEXT:
                            out.append(text(t))
                            print("text")
                    return out
                def block(t): return t
                def text(t): return t
                """);
        java("kinds of tokens and what a token says, without a loop").hasNot("""
                package quay;
                class Token {
                    enum TokenType { OPEN, CLOSE }
                    TokenType type;
                    String text;
                    String word() { return text; }
                }
                class Builder {
                    int depth;
                    void take(Token t) {
                        switch (t.type) {
                            case OPEN: depth++; push(1); break;
                            case CLOSE: depth--; pop(2); break;
                        }
                        String name = t.word();
                        switch (name) {
                            case "tide": push(3); depth++; break;
                            case "berth": pop(4); depth--; break;
                        }
                    }
                    void push(int n) { System.out.println(n); }
                    void pop(int n) { System.out.println(n); }
                }
                """);
        python("ifs that share a label both run").hasNot("""
                class Chart:
                    def grid(self, axis):
                        if axis in ["x", "both"]:
                            self.across.draw(1)
                            self.across.show()
                        if axis in ["y", "both"]:
                            self.down.draw(2)
                            self.down.show()
                """);
        python("the subject changes in between").hasNot("""
                class Tug:
                    def pull(self): return Barge()
                class Barge:
                    def load(self): return Tug()
                def settle(vessel):
                    if isinstance(vessel, Tug):
                        vessel = vessel.pull()
                        print("pulled")
                    if isinstance(vessel, Barge):
                        vessel = vessel.load()
                        print("loaded")
                    return vessel
                """);
        python("tags with a type beside them").has("""
                class Chart:
                    def place(self, unit, x):
                        if unit == "metres": # <- type-switch
                            self.scale(x)
                            return self.metres(x)
                        elif unit == "feet":
                            self.scale(x)
                            return self.feet(x)
                        elif isinstance(unit, tuple):
                            return self.pair(unit)
                        return x
                """);
        python("a routine that is spelled like a type").has("""
                class Path:
                    MOVE = 1
                    LINE = 2
                def draw(surface, path):
                    pen = surface.NewPen()
                    for point, code in path:
                        if code == Path.MOVE: # <- type-switch
                            pen.MoveTo(point)
                        elif code == Path.LINE:
                            pen.LineTo(point)
                """);
        java("an exit for another reason stands before it").has("""
                package quay;
                class Desk {
                    int count;
                    void take(String error, String action) {
                        if (error != null) {
                            System.out.println(error);
                            return;
                        }
                        if (action.equals("berth")) { // <- type-switch
                            count += 2;
                            System.out.println("berthed");
                        } else if (action.equals("leave")) {
                            count -= 2;
                            System.out.println("left");
                        } else if (action.equals("wait")) {
                            count++;
                            System.out.println("waits");
                        }
                    }
                }
                """);
        python("what is to be done with each piece of two texts").hasNot("""
                import difflib


                def told(a, b):
                    out = []
                    for op, a1, a2, b1, b2 in difflib.SequenceMatcher(None, a, b).get_opcodes():
                        if op == "equal":
                            out.append(a[a1:a2])
                        elif op == "insert":
                            out.append("+" + b[b1:b2])
                        elif op == "delete":
                            out.append("-" + a[a1:a2])
                    return out
                """);
        java("what comes next in the text").hasNot("""
                package quay;
                class Terms {
                    private int lookaheadType;
                    String term() {
                        if (lookaheadType == Words.NUMBER) { return number(); }
                        if (lookaheadType == Words.NAME) { return name(); }
                        return "";
                    }
                    String number() { return "1" + lookaheadType; }
                    String name() { return "a" + lookaheadType; }
                }
                class Words { static final int NUMBER = 1; static final int NAME = 2; }
                """);
        python("what a parser of pages calls back for").hasNot("""
                from html.parser import HTMLParser


                class PageParser(HTMLParser):
                    def __init__(self):
                        super().__init__()
                        self.depth = 0
                        self.titles = []

                    def handle_starttag(self, tag, attrs):
                        if tag == "head":
                            self.depth += 1
                        elif tag == "title":
                            self.titles.append(attrs)
                        elif tag == "body":
                            self.depth -= 1
                """);
        python("the letters of a format").hasNot("""
                def unpack(data, form):
                    out = []
                    for f in form:
                        if f == "s":
                            out.append(str(data.pop()))
                        elif f == "i":
                            out.append(int(data.pop()))
                        elif f == "r":
                            out.append(data.pop())
                    return out
                """);
        python("a letter that stands for a kind").has("""
                def start(kind, port):
                    if kind == "s":  # <- type-switch
                        port.send(kind)
                        port.close()
                    elif kind == "r":
                        port.receive(kind)
                        port.open()
                    elif kind == "q":
                        port.wait(kind)
                        port.open()
                """);
        python("endings that are cut off").hasNot("""
                def stem(word):
                    for suffix in ("ung", "heit", "keit", "lich"):
                        if word.endswith(suffix):
                            if suffix == "ung":
                                word = word[:-len(suffix)]
                            elif suffix == "heit":
                                word = word[:-4] + "e"
                            elif suffix in ("keit", "lich"):
                                word = word.replace(suffix, "ig")
                            break
                    return word
                """);
        python("a kind of entry in a loop").has("""
                def post(entries, book):
                    for entry in entries:
                        if entry.kind == "due":  # <- type-switch
                            book.debit(entry.amount)
                            book.mark(entry)
                        elif entry.kind == "refund":
                            book.credit(entry.amount)
                            book.close(entry)
                        elif entry.kind == "fine":
                            book.debit(entry.amount * 2)
                            book.warn(entry)
                """);
    }
}
