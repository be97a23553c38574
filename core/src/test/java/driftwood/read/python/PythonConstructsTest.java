package driftwood.read.python;

import driftwood.read.Constructs;

/** What is written in this language alone, or differently from others, and what becomes of it. */
class PythonConstructsTest extends Constructs {
    private static final String BODIES = """
            type of several | return isinstance(v, (Tug, Barge))
                Return(Binary(|| TypeTest(v Tug) TypeTest(v Barge)))
            not a type | return not isinstance(v, Tug)
                Return(Unary(! TypeTest(v Tug)))
            otherwise | return v or w
                Return(Binary(|| v w))
            conditional | return v if v is not None else w
                Return(Conditional(NullTest(v negated) v w))
            chained order | return 1 < v < 4
                Return(Binary(&& Binary(< INTEGER:1 v) Binary(< v INTEGER:4)))
            in | return v in ("a", "b")
                Return(Binary(|| EqualityTest(v STRING:a) EqualityTest(v STRING:b)))
            f text | return f"ebb {v} of {w.depth}"
                Return(Binary(+ Binary(+ STRING:ebb  of  v) Member(w depth)))
            walrus | if (x := v.go()) is None:~>return w
                If(NullTest(Assignment(x = Call(v go []))) {Return(w)})
            match on several | match v:~>case 1 | 2:~>>return w~>case None:~>>return v
                Match(v [Arm([INTEGER:1 INTEGER:2] {Return(w)}) Arm([NULL] {Return(v)})])
            with | with v.open() as x:~>x.go()
                Try([Local(x Call(v open []))] {Evaluate(Call(x go []))} [])
            try else finally | try:~>v.go()~except (Bad, Worse) as e:~>w.go()~else:~>v.end()~finally:~>w.end()
                Try([] {Evaluate(Call(v go [])) Evaluate(Call(v end []))} [{Local(e (Bad, Worse)) Evaluate(Call(w go []))}] {Evaluate(Call(w end []))})
            raised from | raise Bad("deep") from v
                Throw(Creation(Bad [STRING:deep]))
            named argument | v.tow(speed=4)
                Evaluate(Call(v tow [Named(speed INTEGER:4)]))
            class method | return Tug.of(v)
                Return(Call(Tug of [v]))
            super | super().f(v, w)
                Evaluate(Call(super f [v w]))
            taken apart | a, b = v
                Unpacked([v Local(a) Local(b)])
            chained | x = y = v
                Local(x Assignment(y = v))
            added | self.depth += v
                Evaluate(Assignment(Member(this depth) + v))
            typed local | x: Tug = v
                Local(x Tug v)
            lambda | return lambda x, y=4: x
                Return(Lambda([x y] x))
            yielded | yield v
                Evaluate(Yield([v]))
            awaited | return await v.go()
                Return(Call(v go []))
            for else | for x in v:~>w.go(x)~else:~>w.end()
                {Loop(EACH [Local(x) v] {Evaluate(Call(w go [x]))}) {Evaluate(Call(w end []))}}
            compared with nothing | return v == None
                Return(NullTest(v))
            truth of not | if not v:~>return w
                If(Unary(! v) {Return(w)})
            nested routine | def deep(x):~>return x~return deep
                Local(deep Lambda([x] {Return(x)})) Return(deep)
            type compared | return type(v) == Tug
                Return(TypeTest(v Tug exact))
            while else | while v:~>w.go()~else:~>w.end()
                {Loop(WHILE [v] {Evaluate(Call(w go []))}) {Evaluate(Call(w end []))}}
            loop over pairs | for k, x in v.items():~>w.go(k, x)
                Loop(EACH [Unpacked([Local(k) Local(x)]) Call(v items [])] {Evaluate(Call(w go [k x]))})
            """;

    private static final String FILES = """
            class | class Tug(Boat, Moors):\\n    count: int = 0\\n    DEEP = 4\\n    def __init__(self, name, depth=4, *rest, **more):\\n        self.name = name\\n        self.crew: Crew = None
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [Boat Moors] [] [] [Field(count int INTEGER:0) Field(DEEP INTEGER:4) Routine(Tug CONSTRUCTOR [] [name depth rest more] {Evaluate(Assignment(Member(this name) = name)) Evaluate(Assignment(Member(this crew) = NULL))}) Field(name) Field(crew Crew NULL)])])
            data class | @dataclass\\nclass Berth:\\n    name: str\\n    depth: int = 4\\n    crew: Optional[Crew] = None
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Berth CLASS [] [] [] [] [Field(name str) Field(depth int INTEGER:4) Field(crew Crew NULL) Routine(Berth CONSTRUCTOR [] [name depth crew])])])
            enum | class Kind(Enum):\\n    TUG = 1\\n    BARGE = auto()
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Kind ENUM [] [Enum] [] [] [EnumConstant(TUG [INTEGER:1]) EnumConstant(BARGE [Call(auto [])])])])
            properties | class Tug:\\n    @property\\n    def deep(self) -> bool:\\n        return True\\n    @deep.setter\\n    def deep(self, v):\\n        self._deep = v
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [] [] [] [Routine(deep METHOD [] bool [] {Return(BOOLEAN:true)}) Routine(deep METHOD [] [v] {Evaluate(Assignment(Member(this _deep) = v))}) Field(_deep)])])
            class and static routines | class Tug:\\n    @classmethod\\n    def of(cls, name):\\n        return cls(name)\\n    @staticmethod\\n    def two() -> int:\\n        return 2
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [] [] [] [Routine(of METHOD [] Tug [name] {Return(Creation(Tug [name]))}) Routine(two METHOD [] int [] {Return(INTEGER:2)})])])
            keyword only | def deep(v, /, w, *, speed=4, to: "Quay" = None): return 4
                TypeDeclaration(desk CLASS [] [] [] [] [Routine(deep METHOD [] [v w speed to] {Return(INTEGER:4)})])
            nested | class Quay:\\n    class Berth:\\n        pass
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Quay CLASS [] [] [] [] [TypeDeclaration(Berth CLASS [] [] [] [] [])])])
            top level code | tug = Tug()\\ntug.go()\\nif __name__ == "__main__":\\n    main()
                TypeDeclaration(desk CLASS [] [] [] [] [Field(tug Tug Creation(Tug [])) Routine(INITIALISER [] [] {Evaluate(Call(tug go [])) If(EqualityTest(__name__ STRING:__main__) {Evaluate(Call(main []))})})])
            typed | def deep(v: Tug | None, w: Union[Tug, None] = None, x: list[Tug] = ()) -> Optional[int]: return None
                TypeDeclaration(desk CLASS [] [] [] [] [Routine(deep METHOD [] int [v w x] {Return(NULL)})])
            """;

    PythonConstructsTest() {
        super("python", BODIES, FILES);
    }
}
