package driftwood.read.ecmascript;

import driftwood.read.Nesting;
import driftwood.read.Normal;
import driftwood.read.sitter.Cst;
import driftwood.read.sitter.Expressions;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Expressions of JavaScript and TypeScript. */
abstract class EcmaExpressions extends Expressions {
    private final Nesting conditionals = new Nesting("conditional expressions", 1000);

    EcmaExpressions(String text) {
        super(text);
    }

    abstract Block block(Cst body);

    /** A function's parameters and body. */
    abstract Lambda function(Cst node);

    @Override
    public Node expression(Cst node) {
        return EcmaRules.EXPRESSIONS.of(node.kind(), EcmaExpressions::other).of(this, node);
    }

    /** What stands for its first part: a value in brackets, or one that a type is said of. */
    Node first(Cst node) {
        return node.inner().isEmpty() ? other(node) : expression(node.inner().get(0));
    }

    Node name(Cst node) {
        return Normal.name(node.start(), node.end(), text(node));
    }

    Node nothing(Cst node) {
        return new Literal(node.start(), node.end(), LiteralKind.NULL, text(node));
    }

    Node string(Cst node) {
        String written = text(node);
        return new Literal(node.start(), node.end(), LiteralKind.STRING, written.length() > 1 ? written.substring(1, written.length() - 1) : "");
    }

    /** A text with values in it is a sum of texts. */
    Node template(Cst node) {
        StringBuilder plain = new StringBuilder();
        List<Node> parts = new ArrayList<>();
        for (Cst each : node.inner()) {
            if (each.is("template_substitution")) {
                parts.add(first(each));
            } else {
                plain.append(text(each));
            }
        }
        return Normal.sum(node.start(), node.end(), plain.toString(), parts);
    }

    Node member(Cst node) {
        String name = node.part("property").map(this::text).orElse("");
        return asksFirst(node) ? Normal.memberIfAny(node.start(), node.end(), part(node, "object"), name)
                : new Member(node.start(), node.end(), part(node, "object"), name);
    }

    Node index(Cst node) {
        return new Index(node.start(), node.end(), part(node, "object"), part(node, "index"));
    }

    List<Node> arguments(Cst node) {
        return node.part("arguments").map(each -> each.is("arguments") ? expressions(each.inner()) : List.of(expression(each))).orElse(List.of());
    }

    private static boolean asksFirst(Cst member) {
        return member.part("optional_chain").isPresent() || member.inner().stream().anyMatch(each -> each.is("optional_chain"));
    }

    /** {@code a?.b()} gives nothing where a is nothing. */
    Node call(Cst node) {
        Cst callee = node.part("function").orElse(node);
        List<Node> arguments = arguments(node);
        int start = node.start();
        int end = node.end();
        return switch (callee.kind()) {
            case "identifier" -> new Call(start, end, Optional.empty(), text(callee), arguments);
            case "super" -> new Call(start, end, Optional.empty(), "super", arguments);
            case "member_expression" -> {
                Node receiver = part(callee, "object");
                Node call = new Call(start, end, Optional.of(receiver), callee.part("property").map(this::text).orElse(""), arguments);
                yield asksFirst(callee) ? Normal.ifAny(start, end, receiver, call) : call;
            }
            default -> {
                List<Node> parts = new ArrayList<>(List.of(part(node, "function")));
                parts.addAll(arguments);
                yield new Other(start, end, "call", parts);
            }
        };
    }

    Node creation(Cst node) {
        String type = node.part("constructor").map(this::text).orElse("");
        boolean named = type.matches("[\\w$.]+");
        return named ? new Creation(node.start(), node.end(), new TypeRef(type), arguments(node), Optional.empty(), false) : other(node);
    }

    Node assignment(Cst node) {
        String operator = node.part("operator").map(this::text).orElseGet(() -> operator(node));
        return Normal.assigned(node.start(), node.end(), part(node, "left"), operator, part(node, "right"));
    }

    /** Tests for nothing, for types and for equality, with two signs or three. */
    Node binary(Cst node) {
        String operator = operator(node);
        int start = node.start();
        int end = node.end();
        Optional<Node> kind = operator.matches("[!=]==?") ? ofKind(node, operator) : Optional.empty();
        if (kind.isPresent()) {
            return kind.get();
        }
        Node left = part(node, "left");
        Node right = part(node, "right");
        // driftwood: leave type-switch because operators are fixed by the language
        return switch (operator) {
            case "==", "===" -> Normal.equality(start, end, left, right, false);
            case "!=", "!==" -> Normal.equality(start, end, left, right, true);
            case "instanceof" -> Normal.ofType(start, end, left, new TypeRef(node.part("right").map(this::text).orElse("")), Optional.empty());
            case "??" -> Normal.orElse(start, end, left, right);
            default -> new Binary(start, end, operator, left, right);
        };
    }

    /** {@code typeof v === 'string'} and {@code v.constructor === Tug} ask for a type. */
    private Optional<Node> ofKind(Cst node, String operator) {
        Cst left = node.part("left").orElse(node);
        Cst right = node.part("right").orElse(node);
        Node test = null;
        if (left.is("unary_expression") && left.has("typeof") && right.is("string")) {
            String type = ((Literal) string(right)).text();
            test = type.equals("undefined") ? Normal.nothing(node.start(), node.end(), part(left, "argument"), false)
                    : Normal.ofType(node.start(), node.end(), part(left, "argument"), new TypeRef(type), Optional.empty());
        } else if (left.is("member_expression") && left.part("property").map(this::text).orElse("").equals("constructor") && right.is("identifier")) {
            test = Normal.exactlyOf(node.start(), node.end(), part(left, "object"), new TypeRef(text(right)));
        }
        boolean negated = operator.startsWith("!");
        return Optional.ofNullable(test).map(each -> negated ? Normal.negated(node.start(), node.end(), each) : each);
    }

    Node unary(Cst node) {
        String operator = operator(node);
        Node operand = part(node, "argument");
        return operator.equals("!") ? Normal.negated(node.start(), node.end(), operand) : new Unary(node.start(), node.end(), operator, operand);
    }

    Node step(Cst node) {
        return Normal.step(node.start(), node.end(), part(node, "argument"), operator(node).substring(0, 1));
    }

    Node conditional(Cst node) {
        return conditionals.in(() -> new Conditional(node.start(), node.end(), part(node, "condition"), part(node, "consequence"), part(node, "alternative")));
    }

    Node lambda(Cst node) {
        return function(node);
    }

    /** {@code v as Tug}: a cast, unless it says nothing definite. */
    Node cast(Cst node) {
        List<Cst> inner = node.inner();
        boolean before = node.is("type_assertion");
        Cst value = inner.get(before ? inner.size() - 1 : 0);
        Cst type = inner.get(before ? 0 : inner.size() - 1);
        TypeRef wanted = inner.size() < 2 ? TypeRef.NONE : EcmaTypes.of(text(type).replaceAll("^<|>$", "")).type();
        return wanted.isPresent() ? new Cast(node.start(), node.end(), wanted, expression(value)) : expression(value);
    }

    /** An object made on the spot: its parts by name. */
    Node object(Cst node) {
        List<Node> parts = new ArrayList<>();
        for (Cst each : node.inner()) {
            if (each.is("pair")) {
                parts.add(new Named(each.start(), each.end(), each.part("key").map(this::text).orElse(""), part(each, "value")));
            } else if (each.is("method_definition")) {
                parts.add(new Named(each.start(), each.end(), each.part("name").map(this::text).orElse(""), function(each)));
            } else if (each.is("shorthand_property_identifier")) {
                parts.add(new Named(each.start(), each.end(), text(each), name(each)));
            } else {
                parts.add(expression(each));
            }
        }
        return new Sequence(node.start(), node.end(), "object", parts);
    }

    /** What a pattern takes apart becomes locals. */
    void locals(Cst pattern, List<Node> into) {
        // driftwood: leave type-switch because the grammar fixes the parts of a pattern
        switch (pattern.kind()) {
            case "identifier", "shorthand_property_identifier_pattern" -> into.add(new Local(pattern.start(), pattern.end(), text(pattern), TypeRef.NONE,
                    Optional.empty()));
            case "pair_pattern" -> pattern.part("value").ifPresent(each -> locals(each, into));
            case "object_assignment_pattern", "assignment_pattern" -> pattern.part("left").ifPresent(each -> locals(each, into));
            case "member_expression", "subscript_expression" -> into.add(expression(pattern));
            default -> pattern.inner().forEach(each -> locals(each, into));
        }
    }
}
