package driftwood.read.java;

import driftwood.read.Constructs;

/** What is written in this language alone, or differently from others, and what becomes of it. */
class JavaConstructsTest extends Constructs {
    private static final String BODIES = """
            pattern with a name | return v instanceof Tug t ? t.depth() : w;
                Return(Conditional(TypeTest(v Tug t) Call(t depth []) w))
            arrow selection | return switch (v.kind()) { case TUG -> 1; case BARGE, LIGHTER -> 2; default -> 3; };
                Return(Match(Call(v kind []) [Arm([TUG] {INTEGER:1}) Arm([BARGE LIGHTER] {INTEGER:2}) Arm([] isDefault {INTEGER:3})] expression))
            yield | return switch (v.kind()) { case TUG: yield 1; default: yield 2; };
                Return(Match(Call(v kind []) [Arm([TUG] {Jump(YIELD INTEGER:1)}) Arm([] isDefault {Jump(YIELD INTEGER:2)})] expression))
            arrow with a block | switch (v.kind()) { case TUG -> { v.go(); } default -> w.go(); }
                Match(Call(v kind []) [Arm([TUG] {Evaluate(Call(v go []))}) Arm([] isDefault {Evaluate(Call(w go []))})])
            falls through | switch (v.kind()) { case TUG: case BARGE: return w; default: return v; }
                Match(Call(v kind []) [Arm([TUG] {} fallsThrough) Arm([BARGE] {Return(w)}) Arm([] isDefault {Return(v)})])
            equals | return v.equals(w);
                Return(EqualityTest(v w))
            equals of nothing | return java.util.Objects.equals(v, null);
                Return(NullTest(v))
            is null | return java.util.Objects.isNull(v);
                Return(NullTest(v))
            non null | return java.util.Objects.nonNull(v);
                Return(NullTest(v negated))
            class of it | return v.getClass() == Tug.class;
                Return(TypeTest(v Tug exact))
            class of it asked | return Tug.class.isInstance(v);
                Return(TypeTest(v Tug))
            class equals | return v.getClass().equals(Tug.class);
                Return(TypeTest(v Tug exact))
            method reference | return v.stream().map(Tug::depth).toList();
                Return(Call(Call(Call(v stream []) map [Lambda([] Member(Tug depth))]) toList []))
            constructor reference | return v.stream().map(Tug::new).toList();
                Return(Call(Call(Call(v stream []) map [Lambda([] Creation(Tug []))]) toList []))
            array | return new int[] {1, 2};
                Return(Creation(int[] [INTEGER:1 INTEGER:2] array))
            array of size | return new Tug[4];
                Return(Creation(Tug[] [INTEGER:4] array))
            anonymous | return new Tow() { public void go() { v.go(); } };
                Return(Creation(Tow [] TypeDeclaration(CLASS [] [] [] [] [Routine(go METHOD [] void [] {Evaluate(Call(v go []))})])))
            try with | try (var x = v.open()) { x.go(); } catch (Bad | Worse e) { w.go(); } finally { w.end(); }
                Try([Local(x Call(v open []))] {Evaluate(Call(x go []))} [{Local(e Bad) Evaluate(Call(w go []))}] {Evaluate(Call(w end []))})
            conditional chain | return v == null ? w : v.deep() ? 1 : 2;
                Return(Conditional(NullTest(v) w Conditional(Call(v deep []) INTEGER:1 INTEGER:2)))
            compound | v.depth <<= 2;
                Evaluate(Assignment(Member(v depth) << INTEGER:2))
            cast | return (Tug) v;
                Return(Cast(Tug v))
            local class | class Deep { int d; } return new Deep();
                TypeDeclaration(Deep CLASS [] [] [] [] [Field(d int)]) Return(Creation(Deep []))
            local record | record Deep(int d) { } return new Deep(4);
                TypeDeclaration(Deep RECORD [] [] [d] [] [Field(d int)]) Return(Creation(Deep [INTEGER:4]))
            explicit type | return java.util.List.<Tug>of();
                Return(Call(Member(Member(java util) List) of []))
            do while | do { v.go(); } while (w);
                Loop(UNTIL [w] {Evaluate(Call(v go []))})
            assertion | assert v != null : "none";
                Assertion([NullTest(v negated) STRING:none])
            this handed | w.go(this);
                Evaluate(Call(w go [this]))
            outer this | return Desk.this.depth;
                Return(Member(Member(Desk this) depth))
            negative | return -4;
                Return(INTEGER:-4)
            character | return 'c';
                Return(CHARACTER:c)
            string in a switch | switch (w) { case "ebb": return v; case "flow": return w; }
                Match(w [Arm([STRING:ebb] {Return(v)}) Arm([STRING:flow] {Return(w)})])
            ternary throws nothing | Object x = v != null ? v : w; return x;
                Local(x Object Conditional(NullTest(v negated) v w)) Return(x)
            boolean not | return !(v instanceof Tug);
                Return(Unary(! TypeTest(v Tug)))
            not equals | return !v.equals(w);
                Return(EqualityTest(v w negated))
            """;

    private static final String FILES = """
            class | class Tug extends Boat implements Moors, Leaves { private final String name; static int count = 0; Tug(String name) { super(name); this.name = name; } boolean deep() { return true; } }
                TypeDeclaration(Tug CLASS [] [Boat Moors Leaves] [] [] [Field(name String) Field(count int INTEGER:0) Routine(Tug CONSTRUCTOR [] [name] {Evaluate(Call(super [name])) Evaluate(Assignment(Member(this name) = name))}) Routine(deep METHOD [] boolean [] {Return(BOOLEAN:true)})])
            constructor chain | class Tug { Tug() { this("Ada"); } Tug(String name) { } }
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(Tug CONSTRUCTOR [] [] {Evaluate(Call(this [STRING:Ada]))}) Routine(Tug CONSTRUCTOR [] [name] {})])
            initialisers | class Tug { int depth; { depth = 4; } static int low; static { low = 4; } }
                TypeDeclaration(Tug CLASS [] [] [] [] [Field(depth int) Routine(INITIALISER [] [] {Evaluate(Assignment(depth = INTEGER:4))}) Field(low int) Routine(INITIALISER [] [] {Evaluate(Assignment(low = INTEGER:4))})])
            enum | enum Kind { TUG(4), BARGE(5) { int go() { return 1; } }; final int dues; Kind(int dues) { this.dues = dues; } int go() { return 2; } }
                TypeDeclaration(Kind ENUM [] [] [] [] [EnumConstant(TUG [INTEGER:4]) EnumConstant(BARGE [INTEGER:5] TypeDeclaration(ENUM [] [] [] [] [Routine(go METHOD [] int [] {Return(INTEGER:1)})])) Field(dues int) Routine(Kind CONSTRUCTOR [] [dues] {Evaluate(Assignment(Member(this dues) = dues))}) Routine(go METHOD [] int [] {Return(INTEGER:2)})])
            record | record Berth(String name, Integer depth) implements Place { Berth { check(depth); } static Berth of(String name) { return new Berth(name, 4); } }
                TypeDeclaration(Berth RECORD [] [Place] [name depth] [] [Field(name String) Field(depth Integer) Routine(Berth CONSTRUCTOR [] [name depth] {Evaluate(Call(check [depth]))}) Routine(of METHOD [] Berth [name] {Return(Creation(Berth [name INTEGER:4]))})])
            interface | interface Moors { int LOW = 4; boolean moor(int at); default void leave() { } static Moors none() { return null; } }
                TypeDeclaration(Moors INTERFACE [] [] [] [] [Field(LOW int INTEGER:4) Routine(moor METHOD [] boolean [at]) Routine(leave METHOD [] void [] {}) Routine(none METHOD [] Moors [] {Return(NULL)})])
            abstract | abstract class Boat { abstract void go(); protected void stop() { } }
                TypeDeclaration(Boat CLASS [] [] [] [] [Routine(go METHOD [] void []) Routine(stop METHOD [] void [] {})])
            generic | class Fleet<T extends Boat> { java.util.List<T> boats = new java.util.ArrayList<>(); <R> R first(R other) { return other; } }
                TypeDeclaration(Fleet CLASS [T] [] [] [] [Field(boats java.util.List<T> Creation(java.util.ArrayList<> [])) Routine(first METHOD [R] R [other] {Return(other)})])
            nested | class Quay { static class Berth { } class Desk { } enum Side { LEFT } }
                TypeDeclaration(Quay CLASS [] [] [] [] [TypeDeclaration(Berth CLASS [] [] [] [] []) TypeDeclaration(Desk CLASS [] [] [] [] []) TypeDeclaration(Side ENUM [] [] [] [] [EnumConstant(LEFT [])])])
            annotation | @interface Shown { String value() default ""; }
                TypeDeclaration(Shown ANNOTATION [] [] [] [] [Routine(value METHOD [] String [])])
            several fields | class Tug { int depth, low = 4; String[] names; }
                TypeDeclaration(Tug CLASS [] [] [] [] [Field(depth int) Field(low int INTEGER:4) Field(names String[])])
            thrown | class Tug { void go() throws java.io.IOException { } }
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(go METHOD [] void [] {})])
            variable arguments | class Tug { void all(Tug... v) { } }
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(all METHOD [] void [v] {})])
            sealed | sealed interface Event permits Left { } record Left(int at) implements Event { }
                TypeDeclaration(Event INTERFACE [] [] [] [Left] []) TypeDeclaration(Left RECORD [] [Event] [at] [] [Field(at int)])
            package | package quay; import java.util.List; import static java.lang.Math.*; class Tug { List<String> names; }
                Unit(quay [Import(java.util.List List) Import(java.lang.Math onDemand isStatic)] [TypeDeclaration(Tug CLASS [] [] [] [] [Field(names List<String>)])])
            """;

    JavaConstructsTest() {
        super("java", BODIES, FILES);
    }
}
