package driftwood.read.ruby;

import driftwood.read.Constructs;

/** What is written in this language alone, or differently from others, and what becomes of it. */
class RubyConstructsTest extends Constructs {
    private static final String BODIES = """
            classes in case | case v~when Tug then 1~when Barge then 2~else 3~end
                Match(v [Arm([TypeTest(v Tug)] {Return(INTEGER:1)}) Arm([TypeTest(v Barge)] {Return(INTEGER:2)}) Arm([] isDefault {Return(INTEGER:3)})])
            symbols in case | case v~when :tug, :barge then w~else v~end
                Match(v [Arm([STRING::tug STRING::barge] {Return(w)}) Arm([] isDefault {Return(v)})])
            texts in case | case v~when "tug"~>return w~when "barge"~>return v~end
                Match(v [Arm([STRING:tug] {Return(w)}) Arm([STRING:barge] {Return(v)})])
            case without subject | case~when v.nil? then 1~when w then 2~else 3~end
                If(NullTest(v) {Return(INTEGER:1)} If(w {Return(INTEGER:2)} {Return(INTEGER:3)}))
            kind of | return v.kind_of?(Tug)
                Return(TypeTest(v Tug))
            instance of | return v.instance_of?(Tug)
                Return(TypeTest(v Tug exact))
            class compared | return Tug === v
                Return(TypeTest(v Tug))
            safe call | return v&.depth
                Return(Conditional(NullTest(v negated told) Call(v depth []) NULL))
            otherwise | return v || w
                Return(Binary(|| v w))
            set where nothing is | @depth ||= v
                Evaluate(Assignment(Member(this depth) = Conditional(NullTest(Member(this depth) negated) Member(this depth) v)))
            nothing there | return w if v.nil?
                If(NullTest(v) {Return(w)})
            unless | return w unless v
                If(Unary(! v) {Return(w)})
            unless with else | unless v~>return w~else~>return v~end
                If(Unary(! v) {Return(w)} {Return(v)})
            until | until v.done?~>v.go~end
                Loop(WHILE [Unary(! Call(v done? []))] {Evaluate(Call(v go []))})
            modifier while | v.go while w
                Loop(WHILE [w] {Evaluate(Call(v go []))})
            block with braces | v.each { |x| w.go(x) }
                Loop(EACH [Local(x) v] {Evaluate(Call(w go [x]))})
            block called | yield v
                Return(Yield([v]))
            creation | return Tug.new(v, depth: 4)
                Return(Creation(Tug [v Named(depth INTEGER:4)]))
            creation in own class | return self.class.new(v)
                Return(Creation(Desk [v]))
            keyword argument | v.tow(speed: 4)
                Return(Call(v tow [Named(speed INTEGER:4)]))
            own routine without self | go(v)
                Return(Call(go [v]))
            own routine without arguments | go
                Return(Call(go []))
            attribute set | self.depth = v
                Evaluate(Assignment(Member(this depth) = v))
            instance variable | return @depth
                Return(Member(this depth))
            class variable | return @@depth
                Return(Member(this depth))
            constant | return Quay::DEEP
                Return(Member(Quay DEEP))
            hash | return { kind: v, "name" => w }
                Return(Sequence(hash [Named(kind v) Other(pair [STRING:name w])]))
            array of words | return %w[ebb flow]
                Return(Sequence(list [STRING:ebb STRING:flow]))
            text with a value | return "ebb #{v} of #{w.depth}"
                Return(Binary(+ Binary(+ STRING:ebb  of  v) Call(w depth [])))
            symbol | return :ebb
                Return(STRING::ebb)
            element set | v[:depth] = w
                Evaluate(Assignment(Index(v STRING::depth) = w))
            appended | v << w
                Return(Binary(<< v w))
            rescued | begin~>v.go~rescue Bad => e~>w.go~ensure~>v.end_it~end
                Try([] {Return(Call(v go []))} [{Local(e Bad) Return(Call(w go []))}] {Evaluate(Call(v end_it []))})
            raised with words | raise Bad, "too deep"
                Throw(Creation(Bad [STRING:too deep]))
            raised again | raise
                Throw()
            taken apart | a, b = v
                Unpacked([v Local(a) Local(b)])
            conditional | return v ? w : 4
                Return(Conditional(v w INTEGER:4))
            if as a value | x = if v then 1 else 2 end
                Local(x Conditional(v INTEGER:1 INTEGER:2))
            super | super(v)
                Return(Call(super [v]))
            not | return (not v)
                Return(Unary(! v))
            many returned | return v, w
                Return(Sequence(list [v w]))
            begin while | begin~>v.go~end while w
                Loop(UNTIL [w] {{Evaluate(Call(v go []))}})
            until behind | v.go until w
                Loop(WHILE [Unary(! w)] {Evaluate(Call(v go []))})
            names | return %i[ebb flow]
                Return(Sequence(list [STRING::ebb STRING::flow]))
            yield two | yield v, w
                Return(Yield([v w]))
            yield in brackets | yield(v)
                Return(Yield([v]))
            """;

    private static final String FILES = """
            class | class Tug < Boat\\n    def initialize(name, depth = 4)\\n        @name = name\\n    end\\nend
                TypeDeclaration(Tug CLASS [] [Boat] [] [] [Routine(Tug CONSTRUCTOR [] [name depth] {Evaluate(Assignment(Member(this name) = name))}) Field(name)])
            attributes | class Tug\\n    attr_reader :name, :depth\\n    attr_accessor :crew\\nend
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(name METHOD [] [] {Return(Member(this name))}) Routine(depth METHOD [] [] {Return(Member(this depth))}) Routine(crew METHOD [] [] {Return(Member(this crew))}) Field(crew)])
            mix-in | module Named\\n    def name\\n        @name\\n    end\\nend\\nclass Tug\\n    include Named\\nend
                TypeDeclaration(Named CLASS [] [] [] [] [Routine(name METHOD [] [] {Return(Member(this name))})]) TypeDeclaration(Tug CLASS [] [Named] [] [] [])
            class routine | class Tug\\n    def self.of(name)\\n        new(name)\\n    end\\n    class << self\\n        def two\\n            2\\n        end\\n    end\\nend
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(of METHOD [] [name] {Return(Creation(Tug [name]))}) Routine(two METHOD [] [] {Return(INTEGER:2)})])
            keyword arguments | class Tug\\n    def go(speed:, to: nil, *rest, **more, &block)\\n    end\\nend
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(go METHOD [] [speed to rest more] {})])
            private part | class Tug\\n    def go\\n    end\\n    private\\n    def stop\\n    end\\nend
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(go METHOD [] [] {}) Routine(stop METHOD [] [] {})])
            constant | class Tug\\n    DEEP = 4\\n    KINDS = %w[tug barge].freeze\\nend
                TypeDeclaration(Tug CLASS [] [] [] [] [Field(DEEP INTEGER:4) Field(KINDS Call(Sequence(list [STRING:tug STRING:barge]) freeze []))])
            module routine | module Depths\\n    module_function\\n    def of(v)\\n        4\\n    end\\nend
                TypeDeclaration(Depths CLASS [] [] [] [] [Routine(of METHOD [] [v] {Return(INTEGER:4)})])
            nested | module Kelp\\n    class Quay\\n        class Berth\\n        end\\n    end\\nend
                TypeDeclaration(Kelp CLASS [] [] [] [] [TypeDeclaration(Quay CLASS [] [] [] [] [TypeDeclaration(Berth CLASS [] [] [] [] [])])])
            top level | def deep(v)\\n    4\\nend
                TypeDeclaration(desk CLASS [] [] [] [] [Routine(deep METHOD [] [v] {Return(INTEGER:4)})])
            endless | class Tug\\n    def deep? = @depth > 4\\nend
                TypeDeclaration(Tug CLASS [] [] [] [] [Routine(deep? METHOD [] [] {Return(Binary(> Member(this depth) INTEGER:4))})])
            parent in a version | class AddBerths < Quay::Migration[4.2]\\n  def up\\n    go\\n  end\\nend
                TypeDeclaration(AddBerths CLASS [] [Quay.Migration] [] [] [Routine(up METHOD [] [] {Return(Call(go []))})])
            """;

    RubyConstructsTest() {
        super("ruby", BODIES, FILES);
    }
}
