package driftwood.read.ecmascript;

import driftwood.read.Constructs;

/** What is written in this language alone, or differently from others, and what becomes of it. */
class JavaScriptConstructsTest extends Constructs {
    private static final String BODIES = """
            type of | return typeof v === 'string';
                Return(TypeTest(v string))
            undefined | return v === undefined;
                Return(NullTest(v))
            type of undefined | return typeof v === 'undefined';
                Return(NullTest(v))
            safe member | return v?.depth;
                Return(Conditional(NullTest(v negated told) Member(v depth) NULL))
            safe call | v?.tow(w);
                Evaluate(Conditional(NullTest(v negated told) Call(v tow [w]) NULL))
            otherwise | return v ?? w;
                Return(Conditional(NullTest(v negated) v w))
            set where nothing is | this.depth ??= v;
                Evaluate(Assignment(Member(this depth) = Conditional(NullTest(Member(this depth) negated) Member(this depth) v)))
            taken apart | const { depth, name: n = 4 } = v; return n;
                Unpacked([v Local(depth) Local(n)]) Return(n)
            taken apart array | const [a, ...rest] = v; return a;
                Unpacked([v Local(a) Local(rest)]) Return(a)
            options with defaults | return go({ depth: 4, ...v });
                Return(Call(go [Sequence(object [Named(depth INTEGER:4) v])]))
            array | return [v, ...w];
                Return(Sequence(list [v w]))
            template | return `ebb ${v} of ${w.depth}`;
                Return(Binary(+ Binary(+ STRING:ebb  of  v) Member(w depth)))
            arrow | return x => x.go();
                Return(Lambda([x] Call(x go [])))
            arrow with a body | return (x, y) => { return x.go(y); };
                Return(Lambda([x y] {Return(Call(x go [y]))}))
            function expression | return function (x) { return x.go(); };
                Return(Lambda([x] {Return(Call(x go []))}))
            creation | return new Tug(v, w);
                Return(Creation(Tug [v w]))
            creation of a member | return new v.Tug(w);
                Return(Creation(v.Tug [w]))
            super | super.f(v);
                Evaluate(Call(super f [v]))
            each over elements | v.forEach(x => w.go(x));
                Evaluate(Call(v forEach [Lambda([x] Call(w go [x]))]))
            for in | for (const k in v) { w.go(k); }
                Loop(EACH [Local(k) v] {Evaluate(Call(w go [k]))})
            for loop | for (let i = 0; i < 4; i++) { v.go(i); }
                Loop(COUNTED [Local(i INTEGER:0) Binary(< i INTEGER:4) Assignment(i + INTEGER:1)] {Evaluate(Call(v go [i]))})
            loop at least once | do { v.go(); } while (w);
                Loop(UNTIL [w] {Evaluate(Call(v go []))})
            switch on true | switch (true) { case v > 4: return w; default: return v; }
                If(Binary(> v INTEGER:4) {Return(w)} {Return(v)})
            switch on texts | switch (v.kind) { case 'tug': return w; case 'barge': case 'lighter': return v; }
                Match(Member(v kind) [Arm([STRING:tug] {Return(w)}) Arm([STRING:barge] {} fallsThrough) Arm([STRING:lighter] {Return(v)})])
            discriminated | if (v.kind === 'tug') { return w; } else if (v.kind === 'barge') { return v; }
                If(EqualityTest(Member(v kind) STRING:tug) {Return(w)} If(EqualityTest(Member(v kind) STRING:barge) {Return(v)}))
            awaited | return await v.go();
                Return(Call(v go []))
            caught | try { v.go(); } catch (e) { w.go(e); } finally { v.end(); }
                Try([] {Evaluate(Call(v go []))} [{Local(e) Evaluate(Call(w go [e]))}] {Evaluate(Call(v end []))})
            caught without a name | try { v.go(); } catch { w.go(); }
                Try([] {Evaluate(Call(v go []))} [{Evaluate(Call(w go []))}])
            thrown | throw v;
                Throw(v)
            deleted | delete v.depth;
                Evaluate(Unary(delete Member(v depth)))
            both kinds of nothing | return v == null;
                Return(NullTest(v))
            truth of not | if (!v) { return w; } return v;
                If(Unary(! v) {Return(w)}) Return(v)
            double not | return !!v;
                Return(Unary(! Unary(! v)))
            increased | v.depth++;
                Evaluate(Assignment(Member(v depth) + INTEGER:1))
            computed member | return v[w];
                Return(Index(v w))
            yielded | yield v;
                Evaluate(Yield([v]))
            private member | return this.#depth;
                Return(Member(this #depth))
            """;

    private static final String FILES = """
            class | class Tug extends Boat { #depth = 4; static count = 0; name; constructor(name, depth = 4) { super(name); this.name = name; } get deep() { return true; } set deep(v) { } static of() { return new Tug(); } async go() { } *all() { } }
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [Boat] [] [] [Field(#depth INTEGER:4) Field(count INTEGER:0) Field(name) Routine(Tug CONSTRUCTOR [] [name depth] {Evaluate(Call(super [name])) Evaluate(Assignment(Member(this name) = name))}) Routine(deep METHOD [] [] {Return(BOOLEAN:true)}) Routine(setDeep METHOD [] [v] {}) Routine(of METHOD [] [] {Return(Creation(Tug []))}) Routine(go METHOD [] [] {}) Routine(all METHOD [] [] {})])])
            prototype | function Tug(name) { this.name = name; }\\nTug.prototype.go = function (v) { return v; };\\nTug.of = function () { return new Tug(); };
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [] [] [] [Routine(Tug CONSTRUCTOR [] [name] {Evaluate(Assignment(Member(this name) = name))}) Routine(go METHOD [] [v] {Return(v)}) Field(name)]) Routine(of METHOD [] [] {Return(Creation(Tug []))})])
            prototype at once | function Tug(name) { this.name = name; }\\nTug.prototype = { go: function (v) { return v; }, stop() { } };
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [] [] [] [Routine(Tug CONSTRUCTOR [] [name] {Evaluate(Assignment(Member(this name) = name))}) Routine(go METHOD [] [v] {Return(v)}) Routine(stop METHOD [] [] {}) Field(name)])])
            inherits the old way | function Tug() { Boat.call(this); }\\nTug.prototype = Object.create(Boat.prototype);
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [Boat] [] [] [Routine(Tug CONSTRUCTOR [] [] {Evaluate(Call(Boat call [this]))})])])
            constant function | const deep = (v, w = 4) => v > w;
                TypeDeclaration(desk CLASS [] [] [] [] [Routine(deep METHOD [] [v w] {Return(Binary(> v w))})])
            function | function deep(v, { depth, name = 'a' }, ...rest) { return 4; }
                TypeDeclaration(desk CLASS [] [] [] [] [Routine(deep METHOD [] [v options rest] {Unpacked([options Local(depth) Local(name)]) Return(INTEGER:4)})])
            exported | export default class Tug { }\\nexport const deep = v => v;\\nexport function low(v) { return v; }
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [] [] [] []) Routine(deep METHOD [] [v] {Return(v)}) Routine(low METHOD [] [v] {Return(v)})])
            common module | module.exports = { deep(v) { return v; }, low: function (v) { return v; } };\\nexports.high = v => v;
                TypeDeclaration(desk CLASS [] [] [] [] [Routine(deep METHOD [] [v] {Return(v)}) Routine(low METHOD [] [v] {Return(v)}) Routine(high METHOD [] [v] {Return(v)})])
            object of functions | const desk = { moor(v) { return v; }, leave: v => v, depth: 4 };
                TypeDeclaration(desk CLASS [] [] [] [] [Field(desk object Sequence(object [Named(moor Lambda([v] {Return(v)})) Named(leave Lambda([v] v)) Named(depth INTEGER:4)]))])
            class as a value | const Tug = class extends Boat { go() { } };
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [Boat] [] [] [Routine(go METHOD [] [] {})])])
            documented | /** @param {Tug} v @returns {number|null} */\\nfunction deep(v) { return null; }
                TypeDeclaration(desk CLASS [] [] [] [] [Routine(deep METHOD [] number [v] {Return(NULL)})])
            top level code | const tug = new Tug();\\ntug.go();
                TypeDeclaration(desk CLASS [] [] [] [] [Field(tug Tug Creation(Tug [])) Routine(INITIALISER [] [] {Evaluate(Call(tug go []))})])
            assigned at once | function Tug(name) { this.name = name; }\\nObject.assign(Tug.prototype, { go(v) { return v; } });
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [] [] [] [Routine(Tug CONSTRUCTOR [] [name] {Evaluate(Assignment(Member(this name) = name))}) Routine(go METHOD [] [v] {Return(v)}) Field(name)])])
            more for a class | class Tug { }\\nTug.prototype.go = function () { };\\nObject.assign(Tug.prototype, { stop() { } });
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [] [] [] []) Routine(INITIALISER [] [] {Evaluate(Assignment(Member(Member(Tug prototype) go) = Lambda([] {}))) Evaluate(Call(Object assign [Member(Tug prototype) Sequence(object [Named(stop Lambda([] {}))])]))})])
            inherits by a helper | function Tug() { }\\nutil.inherits(Tug, Boat);\\nTug.prototype.go = function () { };
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [Boat] [] [] [Routine(Tug CONSTRUCTOR [] [] {}) Routine(go METHOD [] [] {})])])
            wrapped and called | (function (quay, $) { 'use strict'; var Tug = function (name) { this.name = name; }; Tug.prototype = { go: function (v) { return v; } }; quay.Tug = Tug; }(Quay, jQuery));
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [] [] [] [Routine(Tug CONSTRUCTOR [] [name] {Evaluate(Assignment(Member(this name) = name))}) Routine(go METHOD [] [v] {Return(v)}) Field(name)]) Routine(INITIALISER [] [] {Empty() Evaluate(Assignment(Member(quay Tug) = Tug))})])
            wrapped by an arrow | ;(() => { function deep(v) { return v; } class Tug { } })();
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [] [] [] []) Routine(deep METHOD [] [v] {Return(v)}) Routine(INITIALISER [] [] {Empty()})])
            wrapped with a sign | !function () { function deep(v) { return v; } }();
                TypeDeclaration(desk CLASS [] [] [] [] [Routine(deep METHOD [] [v] {Return(v)})])
            wrapped and bound | (function () { function deep(v) { return v; } }).call(this);
                TypeDeclaration(desk CLASS [] [] [] [] [Routine(deep METHOD [] [v] {Return(v)})])
            handed to another wrapper | (function (root, factory) { if (typeof define === 'function') { define(factory); } else { root.quay = factory(); } })(this, function () { function deep(v) { return v; } return { deep: deep, low: function () { } }; });
                TypeDeclaration(desk CLASS [] [] [] [] [Routine(deep METHOD [] [v] {Return(v)}) Routine(low METHOD [] [] {})])
            loaded by a loader | define(['boat'], function (boat) { function deep(v) { return v; } return deep; });
                TypeDeclaration(desk CLASS [] [] [] [] [Routine(deep METHOD [] [v] {Return(v)})])
            wrapped for a name | var Tug = (function () { function Tug(name) { this.name = name; } Tug.prototype.go = function () { }; return Tug; })();
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [] [] [] [Routine(Tug CONSTRUCTOR [] [name] {Evaluate(Assignment(Member(this name) = name))}) Routine(go METHOD [] [] {}) Field(name)])])
            kept in another | Quay.Tug = function (name) { this.name = name; };\\nQuay.Tug.prototype = new Quay.Boat();\\nQuay.Tug.prototype.go = function () { };\\nQuay.ui.show = function (v) { return v; };
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [Quay.Boat] [] [] [Routine(Tug CONSTRUCTOR [] [name] {Evaluate(Assignment(Member(this name) = name))}) Routine(go METHOD [] [] {}) Field(name)]) Routine(show METHOD [] [v] {Return(v)})])
            a calculation called at once | const depth = (function () { var sum = 4; return sum; })();
                TypeDeclaration(desk CLASS [] [] [] [] [Field(depth Other(call [Lambda([] {Local(sum INTEGER:4) Return(sum)})]))])
            two wrapped apart | (function () { function deep(v) { return v; } })();\\n(function () { function deep(w) { return w; } })();
                TypeDeclaration(desk CLASS [] [] [] [] [Routine(deep METHOD [] [v] {Return(v)}) Routine(INITIALISER [] [] {Local(deep Lambda([w] {Return(w)}))})])
            class of its own routines | function Tug(name) { this.name = name; this.go = function (v) { return v; }; this.stop = () => { this.halted = true; }; start(); }
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [] [] [] [Routine(Tug CONSTRUCTOR [] [name] {Evaluate(Assignment(Member(this name) = name)) Evaluate(Call(start []))}) Routine(go METHOD [] [v] {Return(v)}) Routine(stop METHOD [] [] {Evaluate(Assignment(Member(this halted) = BOOLEAN:true))}) Field(name) Field(halted boolean)])])
            one routine given | function hoist(v) { this.done = function () { return v; }; }
                TypeDeclaration(desk CLASS [] [] [] [] [Routine(hoist METHOD [] [v] {Evaluate(Assignment(Member(this done) = Lambda([] {Return(v)})))})])
            extended the old way | var Tug = Boat.extend({ depth: 4, initialize: function (name) { this.name = name; }, go: function (v) { return v; }, stop() { } });\\nQuay.Barge = Quay.Boat.extend({ go: function () { } });
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Tug CLASS [] [Boat] [] [] [Field(depth INTEGER:4) Routine(Tug CONSTRUCTOR [] [name] {Evaluate(Assignment(Member(this name) = name))}) Routine(go METHOD [] [v] {Return(v)}) Routine(stop METHOD [] [] {}) Field(name)]) TypeDeclaration(Barge CLASS [] [Quay.Boat] [] [] [Routine(go METHOD [] [] {})])])
            merged, no class | var all = Util.merge({ go: function () { } });\\nvar more = $.extend({ go: function () { } });
                TypeDeclaration(desk CLASS [] [] [] [] [Field(all Call(Util merge [Sequence(object [Named(go Lambda([] {}))])])) Field(more Call($ extend [Sequence(object [Named(go Lambda([] {}))])]))])
            one object like a class | var Desk = { open: false, moor: function (v) { return this.find(v); }, find(v) { return null; } };\\nQuay.Office = { go: function () { }, stop: function () { } };
                TypeDeclaration(desk CLASS [] [] [] [] [TypeDeclaration(Desk CLASS [] [] [] [] [Field(open BOOLEAN:false) Routine(moor METHOD [] [v] {Return(Call(this find [v]))}) Routine(find METHOD [] [v] {Return(NULL)})]) TypeDeclaration(Office CLASS [] [] [] [] [Routine(go METHOD [] [] {}) Routine(stop METHOD [] [] {})])])
            one function is no class | var Desk = { moor: function (v) { return v; }, depth: 4 };
                TypeDeclaration(desk CLASS [] [] [] [] [Field(Desk object Sequence(object [Named(moor Lambda([v] {Return(v)})) Named(depth INTEGER:4)]))])
            """;

    JavaScriptConstructsTest() {
        super("javascript", BODIES, FILES);
    }
}
