package driftwood.read.ruby;

import driftwood.read.AssignedLocals;
import driftwood.read.Nesting;
import driftwood.read.Normal;
import driftwood.read.sitter.Cst;
import driftwood.read.sitter.Expressions;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Ruby's expressions. */
abstract class RubyExpressions extends Expressions {
    final AssignedLocals locals = new AssignedLocals();
    private final Nesting conditionals = new Nesting("conditional expressions", 1000);

    RubyExpressions(String text) {
        super(text);
    }

    abstract Block block(Cst body);

    abstract List<Parameter> parameters(Cst list);

    /** Simple name of the class around, which a bare {@code new} makes; empty outside of classes. */
    abstract String owner();

    @Override
    public Node expression(Cst node) {
        return RubyRules.EXPRESSIONS.of(node.kind(), RubyExpressions::other).of(this, node);
    }

    Node literal(Cst node, LiteralKind kind, String value) {
        return new Literal(node.start(), node.end(), kind, value);
    }

    /** A bare word is a local that has been given something, or a call of an own routine. */
    Node word(Cst node) {
        String name = text(node);
        if (name.equals("raise") && !locals.isKnown(name)) {
            return new Throw(node.start(), node.end(), Optional.empty());
        }
        return name.isBlank() || locals.isKnown(name) ? Normal.name(node.start(), node.end(), name) : new Call(node.start(), node.end(), Optional.empty(), name, List.of());
    }

    /** {@code %w[ebb flow]}, {@code %i[ebb flow]}: texts, or names. */
    Node words(Cst node) {
        String written = text(node);
        String colon = node.is("symbol_array") ? ":" : "";
        List<Node> each = Arrays.stream(written.substring(Math.min(3, written.length()), Math.max(3, written.length() - 1)).strip().split("\\s+")).filter(one -> !one.isEmpty())
                .<Node>map(one -> new Literal(node.start(), node.end(), LiteralKind.STRING, colon + one)).toList();
        return new Sequence(node.start(), node.end(), "list", each);
    }

    Node constant(Cst node) {
        return Normal.name(node.start(), node.end(), text(node));
    }

    Node scoped(Cst node) {
        String name = node.part("name").map(this::text).orElse("");
        return node.part("scope").<Node>map(each -> new Member(node.start(), node.end(), expression(each), name)).orElseGet(() -> new Name(node.start(), node.end(), name));
    }

    /** {@code @name} is a part of the object, {@code @@count} one of all its kind. */
    Node ownField(Cst node) {
        return new Member(node.start(), node.end(), new Name(node.start(), node.start(), "this"), text(node).replace("@", "").intern());
    }

    Node string(Cst node) {
        StringBuilder plain = new StringBuilder();
        List<Node> parts = new ArrayList<>();
        for (Cst each : node.inner()) {
            if (each.is("interpolation")) {
                parts.add(only(each));
            } else if (each.is("string") || each.is("chained_string")) {
                parts.add(expression(each));
            } else {
                plain.append(text(each));
            }
        }
        return Normal.sum(node.start(), node.end(), plain.toString(), parts);
    }

    Node index(Cst node) {
        List<Cst> inner = node.inner();
        return new Index(node.start(), node.end(), expression(inner.get(0)), inner.size() > 1 ? expression(inner.get(1)) : new Absent(node.end(), node.end()));
    }

    Node pair(Cst node) {
        Cst key = node.part("key").orElse(node);
        Node value = node.part("value").map(this::expression).orElseGet(() -> new Name(key.start(), key.end(), text(key)));
        return key.is("hash_key_symbol") ? new Named(node.start(), node.end(), text(key), value)
                : new Other(node.start(), node.end(), "pair", List.of(expression(key), value));
    }

    Node conditional(Cst node) {
        return conditionals.in(() -> new Conditional(node.start(), node.end(), part(node, "condition"), part(node, "consequence"), part(node, "alternative")));
    }

    Node binary(Cst node) {
        String operator = operator(node);
        int start = node.start();
        int end = node.end();
        Cst left = node.part("left").orElse(node);
        Cst right = node.part("right").orElse(node);
        // driftwood: leave type-switch because operators are fixed by the language
        if (operator.equals("==") || operator.equals("!=")) {
            boolean exact = left.is("call") && left.part("method").map(this::text).orElse("").equals("class") && left.part("receiver").isPresent() && RubyCalls.isType(right, this);
            Node test = exact ? Normal.exactlyOf(start, end, part(left, "receiver"), RubyCalls.type(right, this))
                    : Normal.equality(start, end, expression(left), expression(right), false);
            return operator.equals("!=") ? Normal.negated(start, end, test) : test;
        }
        if (operator.equals("===") && RubyCalls.isType(left, this)) {
            return Normal.ofType(start, end, expression(right), RubyCalls.type(left, this), Optional.empty());
        }
        String plain = operator.equals("and") ? "&&" : operator.equals("or") ? "||" : operator;
        return new Binary(start, end, plain, expression(left), expression(right));
    }

    Node unary(Cst node) {
        String operator = operator(node);
        Node operand = part(node, "operand");
        return operator.equals("!") || operator.equals("not") ? Normal.negated(node.start(), node.end(), operand) : new Unary(node.start(), node.end(), operator, operand);
    }

    /** What is given to; {@code v.depth = 3} gives to a part of v. */
    Node target(Cst node) {
        if (node.is("call") && node.part("receiver").isPresent()) {
            return new Member(node.start(), node.end(), part(node, "receiver"), node.part("method").map(this::text).orElse(""));
        }
        return node.is("identifier") ? new Name(node.start(), node.end(), text(node)) : expression(node);
    }

    Node assignment(Cst node) {
        Cst left = node.part("left").orElse(node);
        if (left.is("identifier")) {
            locals.takes(text(left));
        }
        return new Assignment(node.start(), node.end(), target(left), "=", part(node, "right"));
    }

    /** {@code @memo ||= make} keeps what it makes. */
    Node operated(Cst node) {
        String operator = operator(node);
        return Normal.assigned(node.start(), node.end(), target(node.part("left").orElse(node)), operator, part(node, "right"));
    }

    Node lambda(Cst node) {
        List<Parameter> taken = node.part("parameters").map(this::parameters).orElse(List.of());
        taken.forEach(each -> locals.know(each.name()));
        Block body = node.part("body").map(each -> block(each.part("body").orElse(each))).orElseGet(() -> new Block(node.end(), node.end(), List.of()));
        Node only = body.statements().size() == 1 && body.statements().get(0) instanceof Evaluate evaluate ? evaluate.expression() : body;
        return new Lambda(node.start(), node.end(), taken, only);
    }
}
