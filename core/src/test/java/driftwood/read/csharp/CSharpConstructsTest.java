package driftwood.read.csharp;

import driftwood.read.Constructs;

/** What is written in this language alone, or differently from others, and what becomes of it. */
class CSharpConstructsTest extends Constructs {
    private static final String BODIES = """
            pattern with a name | return v is Tug t ? t.Depth : w;
                Return(Conditional(TypeTest(v Tug t) Member(t Depth) w))
            not a pattern | return v is not Tug;
                Return(Unary(! TypeTest(v Tug)))
            null pattern | return v is null;
                Return(NullTest(v))
            not null pattern | return v is not null;
                Return(NullTest(v negated))
            pattern with a part | return v is Tug { Depth: 4 };
                Return(Binary(&& TypeTest(v Tug) EqualityTest(Member(v Depth) INTEGER:4)))
            switch expression | return v switch { Tug t => t.Depth, Barge => 2, _ => 3 };
                Return(Match(v [Arm([TypeTest(v Tug t)] {Member(t Depth)}) Arm([TypeTest(v Barge)] {INTEGER:2}) Arm([] isDefault {INTEGER:3})] expression))
            switch expression on constants | return v switch { Kind.Tug => 1, Kind.Barge => 2, _ => throw new Bad() };
                Return(Match(v [Arm([Member(Kind Tug)] {INTEGER:1}) Arm([Member(Kind Barge)] {INTEGER:2}) Arm([] isDefault {Throw(Creation(Bad []))})] expression))
            type in a case | switch (v) { case Tug t: return t; default: return w; }
                Match(v [Arm([TypeTest(v Tug t)] {Return(t)}) Arm([] isDefault {Return(w)})])
            guarded case | switch (v) { case Tug t when t.Depth > 4: return t; default: return w; }
                Match(v [Arm([TypeTest(v Tug t)] Binary(> Member(t Depth) INTEGER:4) {Return(t)}) Arm([] isDefault {Return(w)})])
            fall through | switch (v) { case 1: case 2: return w; default: return v; }
                Match(v [Arm([INTEGER:1] {} fallsThrough) Arm([INTEGER:2] {Return(w)}) Arm([] isDefault {Return(v)})])
            or pattern | return v switch { 1 or 2 => w, _ => v };
                Return(Match(v [Arm([INTEGER:1 INTEGER:2] {w}) Arm([] isDefault {v})] expression))
            conditional access | return v?.Depth;
                Return(Conditional(NullTest(v negated told) Member(v Depth) NULL))
            conditional call | v?.Tow(w);
                Evaluate(Conditional(NullTest(v negated told) Call(v Tow [w]) NULL))
            conditional element | return v?[4];
                Return(Conditional(NullTest(v negated told) Index(v INTEGER:4) NULL))
            otherwise | return v ?? w;
                Return(Conditional(NullTest(v negated) v w))
            otherwise thrown | return v ?? throw new Bad();
                Return(Conditional(NullTest(v negated) v Throw(Creation(Bad []))))
            set where nothing is | this.depth ??= v;
                Evaluate(Assignment(Member(this depth) = Conditional(NullTest(Member(this depth) negated) Member(this depth) v)))
            object initialiser | return new Tug { Depth = 4, Name = w };
                Return(Creation(Tug [] [Named(Depth INTEGER:4) Named(Name w)]))
            object initialiser with arguments | return new Tug(v) { Depth = 4 };
                Return(Creation(Tug [v] [Named(Depth INTEGER:4)]))
            collection initialiser | return new List<Tug> { v, w };
                Return(Creation(List<Tug> [] [v w]))
            target typed | Tug t = new(v); return t;
                Local(t Tug Creation(Tug [v])) Return(t)
            cast | return (Tug)v;
                Return(Cast(Tug v))
            soft cast | return v as Tug;
                Return(Cast(Tug v))
            named argument | v.Tow(speed: 4);
                Evaluate(Call(v Tow [Named(speed INTEGER:4)]))
            given back by parameter | v.Try(out var x);
                Evaluate(Call(v Try [Local(x)]))
            type itself | return typeof(Tug);
                Return(TYPE:typeof(Tug))
            name itself | return nameof(v);
                Return(STRING:nameof(v))
            exact type | return v.GetType() == typeof(Tug);
                Return(TypeTest(v Tug exact))
            interpolated | return $"ebb {v} of {w.Depth}";
                Return(Binary(+ Binary(+ STRING:ebb  of  v) Member(w Depth)))
            using statement | using (var x = v.Open()) { x.Go(); }
                Try([Local(x Call(v Open []))] {Evaluate(Call(x Go []))} [])
            using declaration | using var x = v.Open();
                Local(x Call(v Open []))
            locked | lock (v) { w.Go(); }
                {Evaluate(Call(w Go []))}
            awaited | return await v.Go();
                Return(Call(v Go []))
            yielded | yield return v;
                Evaluate(Yield([v]))
            thrown again | try { v.Go(); } catch (Bad e) { throw; }
                Try([] {Evaluate(Call(v Go []))} [{Local(e Bad) Throw()}])
            local routine | int Deep(int x) { return x; } return Deep(4);
                Local(Deep Lambda([x] {Return(x)})) Return(Call(Deep [INTEGER:4]))
            event subscribed | v.Left += OnLeft;
                Evaluate(Assignment(Member(v Left) + OnLeft))
            event raised | Left?.Invoke(this, v);
                Evaluate(Call(Left Invoke [this v]))
            static routine | return Tug.Of(v);
                Return(Call(Tug Of [v]))
            generic call | return v.Find<Tug>(w);
                Return(Call(v Find [w]))
            deconstructed | var (a, b) = v;
                Unpacked([v Local(a) Local(b)])
            null forgiven | return v!.Depth;
                Return(Member(v Depth))
            same object | return ReferenceEquals(v, null);
                Return(NullTest(v))
            for loop | for (int i = 0; i < 4; i++) { v.Go(i); }
                Loop(COUNTED [Local(i int INTEGER:0) Binary(< i INTEGER:4) Assignment(i + INTEGER:1)] {Evaluate(Call(v Go [i]))})
            exact type turned | return typeof(Tug) != v.GetType();
                Return(Unary(! TypeTest(v Tug exact)))
            same object by itself | return object.ReferenceEquals(v, w);
                Return(EqualityTest(v w))
            member pattern in a selection | return v switch { Tug { Depth: 4, Name: null } t => t, _ => w };
                Return(Match(v [Arm([TypeTest(v Tug t)] Binary(&& EqualityTest(Member(v Depth) INTEGER:4) NullTest(Member(v Name))) {t}) Arm([] isDefault {w})] expression))
            member pattern with a name | return v is Tug { Depth: var d };
                Return(TypeTest(v Tug))
            members of nothing certain | return v is { Depth: 4 };
                Return(Binary(&& NullTest(v negated) EqualityTest(Member(v Depth) INTEGER:4)))
            target typed with members | Tug t = new() { Depth = 4 }; return t;
                Local(t Tug Creation(Tug [])) Evaluate(Assignment(Member(t Depth) = INTEGER:4)) Return(t)
            """;

    private static final String FILES = """
            auto property | class Tug { public string Name { get; set; } = "Ada"; public int Depth { get; } }
                TypeDeclaration(Tug CLASS [] [] [] [] [Field(Name string STRING:Ada) Field(Depth int)])
            computed property | class Tug { public bool Deep => Depth > 4; }
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(Deep METHOD [] bool [] {Return(Binary(> Depth INTEGER:4))})])
            property with bodies | class Tug { int depth; public int Depth { get { return depth; } set { depth = value; } } }
                TypeDeclaration(Tug CLASS [] [] [] [] [Field(depth int) Routine(Depth METHOD [] int [] {Return(depth)}) Routine(setDepth METHOD [] [value] {Evaluate(Assignment(depth = value))})])
            record | record Tug(string Name, int? Depth);
                TypeDeclaration(Tug RECORD [] [] [Name Depth] [] [Field(Name string) Field(Depth int)])
            record with a body | record Tug(string Name) { public int Depth { get; init; } }
                TypeDeclaration(Tug RECORD [] [] [Name] [] [Field(Name string) Field(Depth int)])
            constructor chain | class Tug { public Tug() : this("Ada") { } public Tug(string name) { } }
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(Tug CONSTRUCTOR [] [] {Evaluate(Call(this [STRING:Ada]))}) Routine(Tug CONSTRUCTOR [] [name] {})])
            constructor of the base | class Tug : Boat { public Tug(string name) : base(name) { } }
                TypeDeclaration(Tug CLASS [] [Boat] [] [] [Routine(Tug CONSTRUCTOR [] [name] {Evaluate(Call(super [name]))})])
            event | class Quay { public event EventHandler Left; }
                TypeDeclaration(Quay CLASS [] [] [] [] [Field(Left EventHandler)])
            delegate | delegate void Moored(Tug tug);
                TypeDeclaration(Moored INTERFACE [] [] [] [] [Routine(Invoke METHOD [] void [tug])])
            enum | enum Kind { Tug, Barge = 4 }
                TypeDeclaration(Kind ENUM [] [] [] [] [EnumConstant(Tug []) EnumConstant(Barge [INTEGER:4])])
            interface | interface IMoors { bool Moor(int at); void Leave() { } }
                TypeDeclaration(IMoors INTERFACE [] [] [] [] [Routine(Moor METHOD [] bool [at]) Routine(Leave METHOD [] void [] {})])
            static class | static class Depths { public const int Low = 4; public static int Of(Tug t) => 4; }
                TypeDeclaration(Depths CLASS [] [] [] [] [Field(Low int INTEGER:4) Routine(Of METHOD [] int [t] {Return(INTEGER:4)})])
            extension | static class Depths { public static int Of(this Tug t) { return 4; } }
                TypeDeclaration(Depths CLASS [] [] [] [] [Routine(Of METHOD [] int [t] {Return(INTEGER:4)})])
            struct | struct Berth { public int Depth; }
                TypeDeclaration(Berth CLASS [] [] [] [] [Field(Depth int)])
            destructor | class Tug { ~Tug() { } }
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(Finalize METHOD [] [] {})])
            optional parameter | class Tug { void Go(int depth = 4, params string[] names) { } }
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(Go METHOD [] void [depth names] {})])
            nullable | class Tug { Crew? crew; int? depth; }
                TypeDeclaration(Tug CLASS [] [] [] [] [Field(crew Crew) Field(depth int)])
            generic | class Fleet<T> where T : Boat { List<T> boats = new List<T>(); }
                TypeDeclaration(Fleet CLASS [T] [] [] [] [Field(boats List<T> Creation(List<T> []))])
            expression routine | class Tug { bool Deep() => depth > 4; }
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(Deep METHOD [] bool [] {Return(Binary(> depth INTEGER:4))})])
            override | class Tug : Boat { public override void Go() { } }
                TypeDeclaration(Tug CLASS [] [Boat] [] [] [Routine(Go METHOD [] void [] {})])
            abstract | abstract class Boat { public abstract void Go(); protected virtual void Stop() { } }
                TypeDeclaration(Boat CLASS [] [] [] [] [Routine(Go METHOD [] void []) Routine(Stop METHOD [] void [] {})])
            nested | class Quay { class Berth { } enum Side { Left } }
                TypeDeclaration(Quay CLASS [] [] [] [] [TypeDeclaration(Berth CLASS [] [] [] [] []) TypeDeclaration(Side ENUM [] [] [] [] [EnumConstant(Left [])])])
            operators | class Dues { public static Dues operator +(Dues a, Dues b) { return a; } public static implicit operator Berth(Dues v) { return v.At; } public static explicit operator int(Dues v) { return 4; } }
                TypeDeclaration(Dues CLASS [] [] [] [] [Routine(operator+ METHOD [] Dues [a b] {Return(a)}) Routine(operator:Berth METHOD [] Berth [v] {Return(Member(v At))}) Routine(operator:int METHOD [] int [v] {Return(INTEGER:4)})])
            """;

    CSharpConstructsTest() {
        super("csharp", BODIES, FILES);
    }
}
