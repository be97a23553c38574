package driftwood.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;

/**
 * What every reader makes of the constructs that detectors look at: a row a construct, a column a language, and the tree
 * that all of them must give. A language that has no such construct has a dash there.
 */
class ReaderContractTest {
    /** In the code, {@code ~} begins a new line and {@code >} one that is further in. */
    private static final String ROWS = """
            construct           | java                               | python                             | csharp                             | javascript                         | typescript                         | php                                | ruby                               | kotlin                             | tree
            null test           | return v == null;                  | return v is None                   | return v == null;                  | return v === null;                 | return v === null;                 | return is_null($v);                | return v.nil?                      | return v == null                   | Return(NullTest(v))
            negated null test   | return v != null;                  | return v is not None               | return v != null;                  | return v != undefined;             | return v != undefined;             | return $v != null;                 | return v != nil                    | return v != null                   | Return(NullTest(v negated))
            negation of it      | return !(v == null);               | return not v is None               | return !(v == null);               | return !(v === null);              | return !(v === null);              | return !($v == null);              | return !v.nil?                     | return !(v == null)                | Return(NullTest(v negated))
            null on the left    | return null == v;                  | return None is v                   | return null == v;                  | return null === v;                 | return null === v;                 | return null == $v;                 | return nil == v                    | return null == v                   | Return(NullTest(v))
            equality            | return v == 4;                     | return v == 4                      | return v == 4;                     | return v === 4;                    | return v === 4;                    | return $v === 4;                   | return v == 4                      | return v == 4                      | Return(EqualityTest(v INTEGER:4))
            unequal             | return v != 4;                     | return v != 4                      | return v != 4;                     | return v !== 4;                    | return v !== 4;                    | return $v != 4;                    | return v != 4                      | return v != 4                      | Return(EqualityTest(v INTEGER:4 negated))
            type test           | return v instanceof Tug;           | return isinstance(v, Tug)          | return v is Tug;                   | return v instanceof Tug;           | return v instanceof Tug;           | return $v instanceof Tug;          | return v.is_a?(Tug)                | return v is Tug                    | Return(TypeTest(v Tug))
            exact type          | return v.getClass() == Tug.class;  | return type(v) is Tug              | -                                  | return v.constructor === Tug;      | return v.constructor === Tug;      | return get_class($v) === Tug::class; | return v.class == Tug              | -                                  | Return(TypeTest(v Tug exact))
            both                | return v && w;                     | return v and w                     | return v && w;                     | return v && w;                     | return v && w;                     | return $v && $w;                   | return v && w                      | return v && w                      | Return(Binary(&& v w))
            either              | return v || w;                     | return v or w                      | return v || w;                     | return v || w;                     | return v || w;                     | return $v || $w;                   | return v || w                      | return v || w                      | Return(Binary(|| v w))
            negation            | return !v;                         | return not v                       | return !v;                         | return !v;                         | return !v;                         | return !$v;                        | return !v                          | return !v                          | Return(Unary(! v))
            order               | return v < 4;                      | return v < 4                       | return v < 4;                      | return v < 4;                      | return v < 4;                      | return $v < 4;                     | return v < 4                       | return v < 4                       | Return(Binary(< v INTEGER:4))
            conditional         | return v ? w : 4;                  | return w if v else 4               | return v ? w : 4;                  | return v ? w : 4;                  | return v ? w : 4;                  | return $v ? $w : 4;                | return v ? w : 4                   | return if (v) w else 4             | Return(Conditional(v w INTEGER:4))
            creation            | return new Tug(v);                 | return Tug(v)                      | return new Tug(v);                 | return new Tug(v);                 | return new Tug(v);                 | return new Tug($v);                | return Tug.new(v)                  | return Tug(v)                      | Return(Creation(Tug [v]))
            call                | v.tow(w);                          | v.tow(w)                           | v.tow(w);                          | v.tow(w);                          | v.tow(w);                          | $v->tow($w);                       | -                                  | v.tow(w)                           | Evaluate(Call(v tow [w]))
            call of its own     | this.tow(w);                       | self.tow(w)                        | this.tow(w);                       | this.tow(w);                       | this.tow(w);                       | $this->tow($w);                    | -                                  | this.tow(w)                        | Evaluate(Call(this tow [w]))
            member              | return v.depth;                    | return v.depth                     | return v.depth;                    | return v.depth;                    | return v.depth;                    | return $v->depth;                  | -                                  | return v.depth                     | Return(Member(v depth))
            element             | return v[4];                       | return v[4]                        | return v[4];                       | return v[4];                       | return v[4];                       | return $v[4];                      | return v[4]                        | return v[4]                        | Return(Index(v INTEGER:4))
            nothing             | return null;                       | return None                        | return null;                       | return null;                       | return null;                       | return null;                       | return nil                         | return null                        | Return(NULL)
            truth               | return true;                       | return True                        | return true;                       | return true;                       | return true;                       | return true;                       | return true                        | return true                        | Return(BOOLEAN:true)
            text                | return "ebb";                      | return "ebb"                       | return "ebb";                      | return 'ebb';                      | return 'ebb';                      | return "ebb";                      | return 'ebb'                       | return "ebb"                       | Return(STRING:ebb)
            assignment          | this.depth = v;                    | self.depth = v                     | this.depth = v;                    | this.depth = v;                    | this.depth = v;                    | $this->depth = $v;                 | @depth = v                         | this.depth = v                     | Evaluate(Assignment(Member(this depth) = v))
            added               | v.depth += 4;                      | v.depth += 4                       | v.depth += 4;                      | v.depth += 4;                      | v.depth += 4;                      | $v->depth += 4;                    | v.depth += 4                       | v.depth += 4                       | Evaluate(Assignment(Member(v depth) + INTEGER:4))
            local               | var x = v;                         | x = v                              | var x = v;                         | let x = v;                         | let x = v!;                        | $x = $v;                           | x = v                              | val x = v                          | Local(x v)
            branch              | if (v) { go(); }                   | if v:~>self.go()                   | if (v) { go(); }                   | if (v) { go(); }                   | if (v) { go(); }                   | if ($v) { go(); }                  | -                                  | if (v) { go() }                    | If(v {Evaluate(Call(%go []))})
            branch with another | if (v) { return w; } else { return v; } | if v:~>return w~else:~>return v    | if (v) { return w; } else { return v; } | if (v) { return w; } else { return v; } | if (v) { return w; } else { return v; } | if ($v) { return $w; } else { return $v; } | if v~>return w~else~>return v~end  | if (v) { return w } else { return v } | If(v {Return(w)} {Return(v)})
            ladder              | if (v) { return w; } else if (w) { return v; } | if v:~>return w~elif w:~>return v  | if (v) { return w; } else if (w) { return v; } | if (v) { return w; } else if (w) { return v; } | if (v) { return w; } else if (w) { return v; } | if ($v) { return $w; } elseif ($w) { return $v; } | if v~>return w~elsif w~>return v~end | if (v) { return w } else if (w) { return v } | If(v {Return(w)} If(w {Return(v)}))
            loop over elements  | for (var x : v) { w.go(x); }       | for x in v:~>w.go(x)               | foreach (var x in v) { w.go(x); }  | for (const x of v) { w.go(x); }    | for (const x of v) { w.go(x); }    | foreach ($v as $x) { $w->go($x); } | v.each do |x|~>w.go(x)~end         | for (x in v) { w.go(x) }           | Loop(EACH [Local(x) v] {Evaluate(Call(w go [x]))})
            loop while          | while (v) { w.go(); }              | while v:~>w.go()                   | while (v) { w.go(); }              | while (v) { w.go(); }              | while (v) { w.go(); }              | while ($v) { $w->go(); }           | while v~>w.go()~end                | while (v) { w.go() }               | Loop(WHILE [v] {Evaluate(Call(w go []))})
            next                | while (v) { continue; }            | while v:~>continue                 | while (v) { continue; }            | while (v) { continue; }            | while (v) { continue; }            | while ($v) { continue; }           | while v~>next~end                  | while (v) { continue }             | Loop(WHILE [v] {Jump(CONTINUE)})
            end of a loop       | while (v) { break; }               | while v:~>break                    | while (v) { break; }               | while (v) { break; }               | while (v) { break; }               | while ($v) { break; }              | while v~>break~end                 | while (v) { break }                | Loop(WHILE [v] {Jump(BREAK)})
            thrown              | throw new Bad();                   | raise Bad()                        | throw new Bad();                   | throw new Bad();                   | throw new Bad();                   | throw new Bad();                   | raise Bad.new                      | throw Bad()                        | Throw(Creation(Bad []))
            nothing done        | ;                                  | pass                               | ;                                  | ;                                  | ;                                  | ;                                  | -                                  | -                                  | Empty()
            asserted            | assert v;                          | assert v                           | -                                  | -                                  | -                                  | -                                  | -                                  | -                                  | Assertion([v])
            selection           | switch (v) { case 1: return w; default: return v; } | match v:~>case 1:~>>return w~>case _:~>>return v | switch (v) { case 1: return w; default: return v; } | switch (v) { case 1: return w; default: return v; } | switch (v) { case 1: return w; default: return v; } | switch ($v) { case 1: return $w; default: return $v; } | case v~when 1~>return w~else~>return v~end | when (v) { 1 -> return w~else -> return v } | Match(v [Arm([INTEGER:1] {Return(w)}) Arm([] isDefault {Return(v)})])
            lambda              | return x -> w;                     | return lambda x: w                 | return x => w;                     | return x => w;                     | return x => w;                     | return fn($x) => $w;               | return ->(x) { w }                 | return { x -> w }                  | Return(Lambda([x] w))
            """;

    @TestFactory
    Stream<DynamicTest> everyLanguageGivesTheSameTree() {
        List<String[]> rows = ROWS.lines().map(each -> each.strip().split("\\s* \\| \\s*")).toList();
        String[] head = rows.get(0);
        List<DynamicTest> tests = new ArrayList<>();
        for (String[] row : rows.subList(1, rows.size())) {
            for (int i = 1; i < head.length - 1; i++) {
                String language = head[i];
                String code = row[i];
                String wanted = row[row.length - 1];
                if (code.equals("-")) {
                    continue;
                }
                tests.add(DynamicTest.dynamicTest(row[0] + " in " + language, () -> assertThat(Constructs.body(language, code))
                        .isEqualTo(wanted.replace("%", language.equals("python") ? "this " : ""))));
            }
        }
        return tests.stream();
    }
}
