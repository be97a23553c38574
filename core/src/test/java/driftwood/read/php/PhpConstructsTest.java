package driftwood.read.php;

import driftwood.read.Constructs;

/** What is written in this language alone, or differently from others, and what becomes of it. */
class PhpConstructsTest extends Constructs {
    private static final String BODIES = """
            match | return match($v) { 1 => $w, 2, 3 => $v, default => 4 };
                Return(Match(v [Arm([INTEGER:1] {w}) Arm([INTEGER:2 INTEGER:3] {v}) Arm([] isDefault {INTEGER:4})] expression))
            match on truth | return match(true) { $v instanceof Tug => 1, default => 2 };
                Return(Conditional(TypeTest(v Tug) INTEGER:1 INTEGER:2))
            otherwise | return $v ?? $w;
                Return(Conditional(NullTest(v negated) v w))
            set where nothing is | $this->depth ??= $v;
                Evaluate(Assignment(Member(this depth) = Conditional(NullTest(Member(this depth) negated) Member(this depth) v)))
            short conditional | return $v ?: $w;
                Return(Conditional(v v w))
            safe call | return $v?->tow();
                Return(Conditional(NullTest(v negated told) Call(v tow []) NULL))
            safe member | return $v?->depth;
                Return(Conditional(NullTest(v negated told) Member(v depth) NULL))
            isset | return isset($v);
                Return(NullTest(v negated))
            not set | return !isset($this->depth);
                Return(NullTest(Member(this depth)))
            strict null | return $v === null;
                Return(NullTest(v))
            null by name | return is_null($v);
                Return(NullTest(v))
            not a type | return !$v instanceof Tug;
                Return(Unary(! TypeTest(v Tug)))
            type by text | return is_string($v);
                Return(TypeTest(v string))
            class of it | return get_class($v) === 'Tug';
                Return(EqualityTest(Call(get_class [v]) STRING:Tug))
            creation by text | return new self($v);
                Return(Creation(Desk [v]))
            late static | return new static($v);
                Return(Creation(Desk [v]))
            static call | return Tug::of($v);
                Return(Call(Tug of [v]))
            parent's | parent::f($v, $w);
                Evaluate(Call(super f [v w]))
            class constant read | return self::DEEP;
                Return(Member(Desk DEEP))
            static member | return self::$depth;
                Return(Member(Desk depth))
            named argument | $v->tow(speed: 4);
                Evaluate(Call(v tow [Named(speed INTEGER:4)]))
            appended | $x[] = $v;
                Evaluate(Assignment(Index(x _) = v))
            taken apart | [$a, $b] = $v;
                Unpacked([v Local(a) Local(b)])
            list | list($a, $b) = $v;
                Unpacked([v Local(a) Local(b)])
            text with a value | return "ebb $v of {$w->depth}";
                Return(Binary(+ Binary(+ STRING:ebb  of  v) Member(w depth)))
            joined text | return 'ebb ' . $v;
                Return(Binary(+ STRING:ebb  v))
            arrow function | return fn($x) => $x->go();
                Return(Lambda([x] Call(x go [])))
            closure | return function ($x) use ($w) { return $x->go($w); };
                Return(Lambda([x] {Return(Call(x go [w]))}))
            for loop | for ($i = 0; $i < 4; $i++) { $v->go($i); }
                Loop(COUNTED [Local(i INTEGER:0) Binary(< i INTEGER:4) Assignment(i + INTEGER:1)] {Evaluate(Call(v go [i]))})
            loop at least once | do { $v->go(); } while ($w);
                Loop(UNTIL [w] {Evaluate(Call(v go []))})
            finally | try { $v->go(); } finally { $w->go(); }
                Try([] {Evaluate(Call(v go []))} [] {Evaluate(Call(w go []))})
            thrown in an expression | $x = $v ?? throw new Bad();
                Local(x Conditional(NullTest(v negated) v Throw(Creation(Bad []))))
            reference | $x = &$v;
                Local(x v)
            alternative syntax | if ($v): return $w; else: return $v; endif;
                If(v {Return(w)} {Return(v)})
            instance of a variable | return $v instanceof $w;
                Return(TypeTest(v $w))
            truth of a call | if (!$v->go()) { return $w; } return $v;
                If(Unary(! Call(v go [])) {Return(w)}) Return(v)
            and by word | return $v and $w;
                Return(Binary(&& v w))
            class of it compared | return $v::class === Tug::class;
                Return(TypeTest(v Tug exact))
            """;

    private static final String FILES = """
            promotion | <?php class Tug { public function __construct(private string $name, protected ?Crew $crew = null, int $depth = 4) { } }
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(Tug CONSTRUCTOR [] [name crew depth] {Evaluate(Assignment(Member(this name) = name)) Evaluate(Assignment(Member(this crew) = crew))}) Field(name string) Field(crew Crew)])
            property | <?php class Tug { public ?Crew $crew = null; private static int $count = 0; const DEEP = 4; }
                TypeDeclaration(Tug CLASS [] [] [] [] [Field(crew Crew NULL) Field(count int INTEGER:0) Field(DEEP INTEGER:4)])
            doc type | <?php class Tug { /** @var Crew[] */ private $crew = []; /** @param Crew $c @return string|null */ function go($c) { } }
                TypeDeclaration(Tug CLASS [] [] [] [] [Field(crew Crew[] Sequence(array [])) Routine(go METHOD [] string [c] {})])
            enum | <?php enum Kind: string { case Tug = 'tug'; case Barge = 'barge'; public function dues(): int { return 4; } }
                TypeDeclaration(Kind ENUM [] [] [] [] [EnumConstant(Tug [STRING:tug]) EnumConstant(Barge [STRING:barge]) Routine(dues METHOD [] int [] {Return(INTEGER:4)})])
            interface | <?php interface Moors { public function moor(int $at): bool; }
                TypeDeclaration(Moors INTERFACE [] [] [] [] [Routine(moor METHOD [] bool [at])])
            inherits | <?php final class Tug extends Boat implements Moors, Leaves { }
                TypeDeclaration(Tug CLASS [] [Boat Moors Leaves] [] [] [])
            abstract | <?php abstract class Boat { abstract protected function go(): void; }
                TypeDeclaration(Boat CLASS [] [] [] [] [Routine(go METHOD [] [])])
            trait | <?php trait Named { private string $name; } class Tug { use Named; }
                TypeDeclaration(Named CLASS [] [] [] [] [Field(name string)]) TypeDeclaration(Tug CLASS [] [Named] [] [] [])
            static routine | <?php class Tug { public static function of(string $name): static { return new static($name); } }
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(of METHOD [] Tug [name] {Return(Creation(Tug [name]))})])
            readonly | <?php readonly class Berth { public function __construct(public int $depth) { } }
                TypeDeclaration(Berth CLASS [] [] [] [] [Routine(Berth CONSTRUCTOR [] [depth] {Evaluate(Assignment(Member(this depth) = depth))}) Field(depth int)])
            top level | <?php function deep($v, &$w, ...$rest) { return 4; }
                TypeDeclaration(Desk CLASS [] [] [] [] [Routine(deep METHOD [] [v w rest] {Return(INTEGER:4)})])
            namespace | <?php namespace Kelp\\Quay; use Kelp\\Boats\\Tug as T; class Desk { private T $tug; }
                Unit(Kelp.Quay [Import(Kelp.Boats.Tug T)] [TypeDeclaration(Desk CLASS [] [] [] [] [Field(tug T)])])
            code around | <?php $tug = new Tug(); $tug->go();
                TypeDeclaration(Desk CLASS [] [] [] [] [Routine(INITIALISER [] [] {Local(tug Creation(Tug [])) Evaluate(Call(tug go []))})])
            """;

    PhpConstructsTest() {
        super("php", BODIES, FILES);
    }
}
