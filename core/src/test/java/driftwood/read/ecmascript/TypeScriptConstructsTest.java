package driftwood.read.ecmascript;

import driftwood.read.Constructs;

/** What is written in this language alone, or differently from others, and what becomes of it. */
class TypeScriptConstructsTest extends Constructs {
    private static final String BODIES = """
            as | return v as Tug;
                Return(Cast(Tug v))
            as const | return { kind: 'tug' } as const;
                Return(Sequence(object [Named(kind STRING:tug)]))
            angle cast | return <Tug>v;
                Return(Cast(Tug v))
            satisfied | return v satisfies Tug;
                Return(Cast(Tug v))
            not null by force | return v!.depth;
                Return(Member(v depth))
            typed local | const x: Tug = v; return x;
                Local(x Tug v) Return(x)
            typed function | return (x: Tug): number => x.depth;
                Return(Lambda([x] Member(x depth)))
            generic call | return v.find<Tug>(w);
                Return(Call(v find [w]))
            type guard | return typeof v === 'number';
                Return(TypeTest(v number))
            enum constant | return Kind.Tug;
                Return(Member(Kind Tug))
            enum switch | switch (v) { case Kind.Tug: return 1; case Kind.Barge: return 2; default: return 3; }
                Match(v [Arm([Member(Kind Tug)] {Return(INTEGER:1)}) Arm([Member(Kind Barge)] {Return(INTEGER:2)}) Arm([] isDefault {Return(INTEGER:3)})])
            generic creation | return new Map<string, Tug>(v);
                Return(Creation(Map [v]))
            optional parameter asked | if (w === undefined) { return v; } return w;
                If(NullTest(w) {Return(v)}) Return(w)
            definite | let x!: Tug; return x;
                Local(x Tug) Return(x)
            """;

    private static final String FILES = """
            parameter properties | class Tug { constructor(private readonly name: string, public crew?: Crew, depth = 4) { } }
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [] [] [] [Routine(Tug CONSTRUCTOR [] [name crew depth] {Evaluate(Assignment(Member(this name) = name)) Evaluate(Assignment(Member(this crew) = crew))}) Field(name string) Field(crew Crew)])])
            interface | interface Moors { name: string; crew?: Crew; moor(at: number): boolean; readonly deep: boolean }
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Moors INTERFACE [] [] [] [] [Field(name string) Field(crew Crew) Routine(moor METHOD [] boolean [at]) Field(deep boolean)])])
            enum | enum Kind { Tug, Barge = 4 }\\nconst enum Side { Left = 'left' }
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Kind ENUM [] [] [] [] [EnumConstant(Tug []) EnumConstant(Barge [INTEGER:4])]) TypeDeclaration(Side ENUM [] [] [] [] [EnumConstant(Left [STRING:left])])])
            abstract | abstract class Boat implements Moors { abstract go(): void; protected stop?(): void; }
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Boat CLASS [] [Moors] [] [] [Routine(go METHOD [] void [])])])
            generic | class Fleet<T extends Boat> { private boats: T[] = []; first(): T | undefined { return this.boats[0]; } }
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Fleet CLASS [T] [] [] [] [Field(boats T[] Sequence(list [])) Routine(first METHOD [] T [] {Return(Index(Member(this boats) INTEGER:0))})])])
            namespace | namespace Kelp { export class Tug { } }
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [] [] [] [])])
            decorated | @Injectable() class Tug { @Input() name: string; constructor(@Inject(CREW) private crew: Crew) { } }
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [] [] [] [Field(name string) Routine(Tug CONSTRUCTOR [] [crew] {Evaluate(Assignment(Member(this crew) = crew))}) Field(crew Crew)])])
            accessors | class Tug { private _depth = 4; get depth(): number { return this._depth; } set depth(v: number) { this._depth = v; } }
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [] [] [] [Field(_depth INTEGER:4) Routine(depth METHOD [] number [] {Return(Member(this _depth))}) Routine(setDepth METHOD [] [v] {Evaluate(Assignment(Member(this _depth) = v))})])])
            definite | class Tug { crew!: Crew; static readonly DEEP = 4; declare name: string; }
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [] [] [] [Field(crew Crew) Field(DEEP INTEGER:4) Field(name string)])])
            """;

    TypeScriptConstructsTest() {
        super("typescript", BODIES, FILES);
    }
}
