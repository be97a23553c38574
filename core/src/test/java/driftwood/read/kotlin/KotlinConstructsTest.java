package driftwood.read.kotlin;

import driftwood.read.Constructs;

/** What is written in this language alone, or differently from others, and what becomes of it. */
class KotlinConstructsTest extends Constructs {
    private static final String BODIES = """
            type in when | return when (v) { is Tug -> 1~is Barge -> 2~else -> 3 }
                Return(Match(v [Arm([TypeTest(v Tug)] {INTEGER:1}) Arm([TypeTest(v Barge)] {INTEGER:2}) Arm([] isDefault {INTEGER:3})] expression))
            not a type in when | return when (v) { !is Tug -> 1~else -> 2 }
                Return(Match(v [Arm([Unary(! TypeTest(v Tug))] {INTEGER:1}) Arm([] isDefault {INTEGER:2})] expression))
            when without subject | return when { v == null -> 1~w == null -> 2~else -> 3 }
                Return(Conditional(NullTest(v) INTEGER:1 Conditional(NullTest(w) INTEGER:2 INTEGER:3)))
            when with a name | return when (val x = w) { 1 -> v~else -> x }
                Return(Match(w [Arm([INTEGER:1] {v}) Arm([] isDefault {x})] expression))
            several in one arm | return when (v) { 1, 2 -> w~else -> v }
                Return(Match(v [Arm([INTEGER:1 INTEGER:2] {w}) Arm([] isDefault {v})] expression))
            range in when | return when (v) { in 1..4 -> w~else -> v }
                Return(Match(v [Arm([Binary(&& Binary(>= v INTEGER:1) Binary(<= v INTEGER:4))] {w}) Arm([] isDefault {v})] expression))
            safe call | return v?.depth
                Return(Conditional(NullTest(v negated told) Member(v depth) NULL))
            safe call of a routine | v?.tow(w)
                Evaluate(Conditional(NullTest(v negated told) Call(v tow [w]) NULL))
            elvis | return v ?: w
                Return(Conditional(NullTest(v negated) v w))
            elvis that leaves | val x = v ?: return w
                Local(x Conditional(NullTest(v negated) v Other(jump_expression [Return(w)])))
            elvis that throws | val x = v ?: throw Bad()
                Local(x Conditional(NullTest(v negated) v Throw(Creation(Bad []))))
            not null by force | return v!!.depth
                Return(Member(v depth))
            cast | return v as Tug
                Return(Cast(Tug v))
            safe cast | return v as? Tug
                Return(Cast(Tug v))
            not a type | return v !is Tug
                Return(Unary(! TypeTest(v Tug)))
            same object | return v === w
                Return(EqualityTest(v w))
            default left out | v.tow()
                Evaluate(Call(v tow []))
            trailing lambda | v.each { x -> w.go(x) }
                Evaluate(Call(v each [Lambda([x] Call(w go [x]))]))
            it in a lambda | v.each { w.go(it) }
                Evaluate(Call(v each [Lambda([it] Call(w go [it]))]))
            let where there is something | v?.let { w.go(it) }
                Evaluate(Conditional(NullTest(v negated told) Call(v let [Lambda([it] Call(w go [it]))]) NULL))
            also | v.also { w.go(it) }
                Evaluate(Call(v also [Lambda([it] Call(w go [it]))]))
            apply | v.apply { go() }
                Evaluate(Call(v apply [Lambda([it] Call(go []))]))
            with | with(v) { go() }
                Evaluate(Call(with [v Lambda([it] Call(go []))]))
            run where there is something | v?.run { go() }
                Evaluate(Conditional(NullTest(v negated told) Call(v run [Lambda([it] Call(go []))]) NULL))
            template | return "ebb $v of ${w.depth}"
                Return(Binary(+ Binary(+ STRING:ebb  of  v) Member(w depth)))
            destructured | val (a, b) = v
                Unpacked([v Local(a) Local(b)])
            if as a value | val x = if (v == null) 1 else 2
                Local(x Conditional(NullTest(v) INTEGER:1 INTEGER:2))
            catch and finally | try { v.go() } catch (e: Bad) { w.go() } finally { v.end() }
                Try([] {Evaluate(Call(v go []))} [{Local(e Bad) Evaluate(Call(w go []))}] {Evaluate(Call(v end []))})
            loop at least once | do { v.go() } while (w)
                Loop(UNTIL [w] {Evaluate(Call(v go []))})
            labelled | outer@ for (x in v) { break@outer }
                Loop(EACH [Local(x) v] {Jump(BREAK)})
            require | require(v != null) { "no vessel" }
                Evaluate(Call(require [NullTest(v negated) Lambda([it] STRING:no vessel)]))
            anonymous object | return object : Tow { override fun go() { v.go() } }
                Return(Creation(Tow [] TypeDeclaration(CLASS [] [Tow] [] [] [Routine(go METHOD [] [] {Evaluate(Call(v go []))})])))
            listed | return listOf(v, w)
                Return(Call(listOf [v w]))
            infix | return v to w
                Return(Call(v to [w]))
            typed creation | return ArrayList<Tug>(v)
                Return(Creation(ArrayList [v]))
            companion's routine | return Tug.of(v)
                Return(Call(Tug of [v]))
            extension called | return v.orEmpty()
                Return(Call(v orEmpty []))
            assigned through nothing | v?.depth = 4
                Evaluate(Conditional(NullTest(v negated told) Assignment(Member(v depth) = INTEGER:4) NULL))
            class compared | return v::class == Tug::class
                Return(TypeTest(v Tug exact))
            class of the platform compared | return v.javaClass != Tug::class.java
                Return(Unary(! TypeTest(v Tug exact)))
            """;

    private static final String FILES = """
            primary constructor | class Tug(val name: String, private var depth: Int = 4, length: Int) {}
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(Tug CONSTRUCTOR [] [name depth length] {Evaluate(Assignment(Member(this name) = name)) Evaluate(Assignment(Member(this depth) = depth))}) Field(name String) Field(depth Int)])
            data class | data class Berth(val name: String, val depth: Int?)
                TypeDeclaration(Berth CLASS [] [] [] [] [Routine(Berth CONSTRUCTOR [] [name depth] {Evaluate(Assignment(Member(this name) = name)) Evaluate(Assignment(Member(this depth) = depth))}) Field(name String) Field(depth Int)])
            enum | enum class Kind { TUG, BARGE }
                TypeDeclaration(Kind ENUM [] [] [] [] [EnumConstant(TUG []) EnumConstant(BARGE [])])
            sealed | sealed class Event { class Left(val at: Int) : Event()\\nobject Moored : Event() }
                TypeDeclaration(Event CLASS [] [] [] [] [TypeDeclaration(Left CLASS [] [Event] [] [] [Routine(Left CONSTRUCTOR [] [at] {Evaluate(Assignment(Member(this at) = at))}) Field(at Int)]) TypeDeclaration(Moored CLASS [] [Event] [] [] [])])
            object | object Office { val name = "Kelp" }
                TypeDeclaration(Office CLASS [] [] [] [] [Field(name STRING:Kelp)])
            companion | class Tug { companion object { fun of(name: String) = Tug() } }
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(of METHOD [] [name] {Return(Creation(Tug []))})])
            secondary constructor | class Tug(val name: String) { constructor() : this("") { go() } }
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(Tug CONSTRUCTOR [] [name] {Evaluate(Assignment(Member(this name) = name))}) Field(name String) Routine(Tug CONSTRUCTOR [] [] {Evaluate(Call(this [STRING:])) Evaluate(Call(go []))})])
            init | class Tug(name: String) { val shown: String\\ninit { shown = name } }
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(Tug CONSTRUCTOR [] [name] {}) Field(shown String) Routine(INITIALISER [] [] {Evaluate(Assignment(shown = name))})])
            interface | interface Moors { fun moor(at: Int): Boolean\\nfun leave() {} }
                TypeDeclaration(Moors INTERFACE [] [] [] [] [Routine(moor METHOD [] Boolean [at]) Routine(leave METHOD [] [] {})])
            inherits | open class Boat(val name: String)\\nclass Tug(name: String) : Boat(name), Moors { override fun moor(at: Int) = true }
                TypeDeclaration(Boat CLASS [] [] [] [] [Routine(Boat CONSTRUCTOR [] [name] {Evaluate(Assignment(Member(this name) = name))}) Field(name String)]) TypeDeclaration(Tug CLASS [] [Boat Moors] [] [] [Routine(Tug CONSTRUCTOR [] [name] {}) Routine(moor METHOD [] [at] {Return(BOOLEAN:true)})])
            delegates | class Tug(boat: Boat) : Moors by boat
                TypeDeclaration(Tug CLASS [] [Moors] [] [] [Routine(Tug CONSTRUCTOR [] [boat] {})])
            later | class Tug { lateinit var crew: Crew }
                TypeDeclaration(Tug CLASS [] [] [] [] [Field(crew Crew)])
            getter | class Tug { val deep: Boolean get() = depth > 4 }
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(deep METHOD [] Boolean [] {Return(Binary(> depth INTEGER:4))})])
            expression routine | class Tug { fun deep(): Boolean = depth > 4 }
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(deep METHOD [] Boolean [] {Return(Binary(> depth INTEGER:4))})])
            top level | fun deep(v: Tug?): Int { return 4 }
                TypeDeclaration(DeskKt CLASS [] [] [] [] [Routine(deep METHOD [] Int [v] {Return(INTEGER:4)})])
            generic | class Fleet<T : Boat> { val boats: List<T> = listOf() }
                TypeDeclaration(Fleet CLASS [T] [] [] [] [Field(boats List<T> Call(listOf []))])
            variable arguments | fun all(vararg v: Tug) {}
                TypeDeclaration(DeskKt CLASS [] [] [] [] [Routine(all METHOD [] [v] {})])
            suspending | suspend fun go(then: () -> Unit) {}
                TypeDeclaration(DeskKt CLASS [] [] [] [] [Routine(go METHOD [] [then] {})])
            nested | class Quay { class Berth(val name: String)\\ninner class Desk }
                TypeDeclaration(Quay CLASS [] [] [] [] [TypeDeclaration(Berth CLASS [] [] [] [] [Routine(Berth CONSTRUCTOR [] [name] {Evaluate(Assignment(Member(this name) = name))}) Field(name String)]) TypeDeclaration(Desk CLASS [] [] [] [] [])])
            """;

    KotlinConstructsTest() {
        super("kotlin", BODIES, FILES);
    }
}
