package driftwood.read.php;

import driftwood.read.Nesting;
import driftwood.read.Normal;
import driftwood.read.sitter.Cst;
import driftwood.read.sitter.Expressions;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** PHP's expressions. */
abstract class PhpExpressions extends Expressions {
    private final Nesting conditionals = new Nesting("conditional expressions", 1000);
    /** Simple names of the classes around, the innermost last. */
    private final List<String> around = new ArrayList<>();

    PhpExpressions(String text) {
        super(text);
    }

    abstract Block block(Cst body);

    abstract Lambda function(Cst node);

    abstract TypeDeclaration anonymous(Cst node);

    final <T> T within(String type, java.util.function.Supplier<T> inside) {
        around.add(type);
        try {
            return inside.get();
        } finally {
            around.remove(around.size() - 1);
        }
    }

    /** The class around, which {@code self} means; empty outside of classes. */
    final String owner() {
        return around.isEmpty() ? "" : around.get(around.size() - 1);
    }

    @Override
    public Node expression(Cst node) {
        return PhpRules.EXPRESSIONS.of(node.kind(), PhpExpressions::other).of(this, node);
    }

    /** What stands for its last part: a value in brackets, behind a word or an at sign. */
    Node last(Cst node) {
        return node.inner().isEmpty() ? other(node) : expression(node.inner().get(node.inner().size() - 1));
    }

    /** A variable's name without its sign. */
    Node variable(Cst node) {
        return Normal.name(node.start(), node.end(), bare(node));
    }

    String bare(Cst variable) {
        String name = text(variable);
        return (name.startsWith("$") ? name.substring(1) : name).intern();
    }

    /** A constant or a class, with its namespace. */
    Node name(Cst node) {
        String[] parts = PhpTypes.dotted(text(node)).split("\\.");
        Node made = Normal.name(node.start(), node.end(), parts[0]);
        for (int i = 1; i < parts.length; i++) {
            made = new Member(node.start(), node.end(), made, parts[i].intern());
        }
        return made;
    }

    /** What stands before {@code ::} is a class; self and static are the one around. */
    Node scope(Cst node) {
        return switch (text(node)) {
            case "parent" -> new Name(node.start(), node.end(), "super");
            case "self", "static" -> new Name(node.start(), node.end(), owner().isEmpty() ? "self" : owner());
            default -> expression(node);
        };
    }

    Node string(Cst node) {
        String written = text(node);
        return new Literal(node.start(), node.end(), LiteralKind.STRING, written.length() > 1 ? written.substring(1, written.length() - 1) : "");
    }

    /** A text with values in it is a sum of texts. */
    Node encapsed(Cst node) {
        StringBuilder plain = new StringBuilder();
        List<Node> parts = new ArrayList<>();
        collect(node, plain, parts);
        return Normal.sum(node.start(), node.end(), plain.toString(), parts);
    }

    private void collect(Cst node, StringBuilder plain, List<Node> parts) {
        for (Cst each : node.inner()) {
            if (each.is("heredoc_body")) {
                collect(each, plain, parts);
            } else if (each.kind().startsWith("string") || each.is("escape_sequence") || each.kind().startsWith("heredoc")) {
                plain.append(text(each));
            } else {
                parts.add(expression(each));
            }
        }
    }

    Node member(Cst node) {
        String name = node.part("name").map(this::text).orElse("");
        return node.is("nullsafe_member_access_expression") ? Normal.memberIfAny(node.start(), node.end(), part(node, "object"), name)
                : new Member(node.start(), node.end(), part(node, "object"), name);
    }

    Node constant(Cst node) {
        List<Cst> inner = node.inner();
        if (inner.size() < 2) {
            return other(node);
        }
        String name = text(inner.get(1));
        // driftwood: leave conditional-instantiation because each form of the grammar becomes the node it stands for
        return name.equals("class") && !inner.get(0).is("variable_name") ? new Literal(node.start(), node.end(), LiteralKind.TYPE, text(inner.get(0)))
                : new Member(node.start(), node.end(), scope(inner.get(0)), name);
    }

    Node shared(Cst node) {
        return new Member(node.start(), node.end(), node.part("scope").map(this::scope).orElse(new Absent(node.start(), node.start())),
                node.part("name").map(this::bare).orElse(""));
    }

    Node index(Cst node) {
        List<Cst> inner = node.inner();
        return new Index(node.start(), node.end(), expression(inner.get(0)), inner.size() > 1 ? expression(inner.get(1)) : new Absent(node.end(), node.end()));
    }

    List<Node> arguments(Cst node) {
        return node.part("arguments").or(() -> node.inner().stream().filter(each -> each.is("arguments")).findFirst())
                .map(each -> expressions(each.inner())).orElse(List.of());
    }

    Node argument(Cst node) {
        Optional<Cst> name = node.part("name");
        Node value = last(node);
        return name.isPresent() ? new Named(node.start(), node.end(), text(name.get()), value) : value;
    }

    /** Functions that ask for nothing or for a type are tests. */
    Node call(Cst node) {
        Cst callee = node.part("function").orElse(node);
        List<Node> arguments = arguments(node);
        int start = node.start();
        int end = node.end();
        if (!callee.is("name") && !callee.is("qualified_name")) {
            List<Node> parts = new ArrayList<>(List.of(expression(callee)));
            parts.addAll(arguments);
            return new Other(start, end, "call", parts);
        }
        String full = PhpTypes.dotted(text(callee));
        String name = full.substring(full.lastIndexOf('.') + 1).intern();
        return PhpQuestions.asked(start, end, name, arguments).orElseGet(() -> new Call(start, end, Optional.empty(), name, arguments));
    }

    Node methodCall(Cst node) {
        Node receiver = part(node, "object");
        Node call = new Call(node.start(), node.end(), Optional.of(receiver), node.part("name").map(this::text).orElse(""), arguments(node));
        return node.is("nullsafe_member_call_expression") ? Normal.ifAny(node.start(), node.end(), receiver, call) : call;
    }

    Node scopedCall(Cst node) {
        String scope = node.part("scope").map(this::text).orElse("");
        String name = node.part("name").map(this::text).orElse("");
        List<Node> arguments = arguments(node);
        if (scope.equals("parent") && name.equals("__construct")) {
            return new Call(node.start(), node.end(), Optional.empty(), "super", arguments);
        }
        Node receiver = scope.equals("self") || scope.equals("static") ? new Name(node.start(), node.start(), "this")
                : node.part("scope").map(this::scope).orElse(new Absent(node.start(), node.start()));
        return new Call(node.start(), node.end(), Optional.of(receiver), name, arguments);
    }

    Node creation(Cst node) {
        Cst type = node.inner().isEmpty() ? node : node.inner().get(0);
        List<Node> arguments = arguments(node);
        if (type.is("anonymous_class")) {
            return new Creation(node.start(), node.end(), type.inner().stream().filter(each -> each.is("base_clause")).findFirst()
                    .map(each -> new TypeRef(PhpTypes.dotted(text(each.inner().get(0))))).orElse(new TypeRef("object")), arguments, Optional.of(anonymous(type)), false);
        }
        boolean named = type.is("name") || type.is("qualified_name") || type.is("relative_scope");
        if (!named) {
            return other(node);
        }
        TypeRef made = PhpTypes.of(text(type), owner()).type();
        return new Creation(node.start(), node.end(), made.isPresent() ? made : new TypeRef(PhpTypes.dotted(text(type))), arguments, Optional.empty(), false);
    }

    Node assignment(Cst node) {
        String operator = operator(node).equals("=&") || node.is("reference_assignment_expression") ? "=" : operator(node);
        return Normal.assigned(node.start(), node.end(), part(node, "left"), operator.equals(".=") ? "+=" : operator, part(node, "right"));
    }

    Node binary(Cst node) {
        String operator = operator(node).toLowerCase(java.util.Locale.ROOT);
        int start = node.start();
        int end = node.end();
        Cst left = node.part("left").orElse(node);
        Cst right = node.part("right").orElse(node);
        boolean unequal = operator.equals("!=") || operator.equals("!==") || operator.equals("<>");
        if (operator.equals("==") || operator.equals("===") || unequal) {
            Optional<Node> exact = new PhpQuestions(this).exactly(node, left, right);
            return exact.isEmpty() ? Normal.equality(start, end, expression(left), expression(right), unequal)
                    : unequal ? Normal.negated(start, end, exact.get()) : exact.get();
        }
        // driftwood: leave type-switch because operators are fixed by the language
        if (operator.equals("instanceof")) {
            return Normal.ofType(start, end, expression(left), new TypeRef(PhpTypes.dotted(text(right))), Optional.empty());
        }
        if (operator.equals("??")) {
            return Normal.orElse(start, end, expression(left), expression(right));
        }
        String plain = operator.equals("and") ? "&&" : operator.equals("or") ? "||" : operator.equals(".") ? "+" : operator;
        return new Binary(start, end, plain, expression(left), expression(right));
    }

    Node unary(Cst node) {
        String operator = operator(node);
        Node operand = node.part("argument").map(this::expression).orElseGet(() -> last(node));
        return operator.equals("!") ? Normal.negated(node.start(), node.end(), operand) : new Unary(node.start(), node.end(), operator, operand);
    }

    Node step(Cst node) {
        return Normal.step(node.start(), node.end(), part(node, "argument"), operator(node).substring(0, 1));
    }

    Node conditional(Cst node) {
        return conditionals.in(() -> {
            Node condition = part(node, "condition");
            return new Conditional(node.start(), node.end(), condition, node.part("body").map(this::expression).orElse(condition), part(node, "alternative"));
        });
    }

    Node lambda(Cst node) {
        return function(node);
    }

    /** A cast to a built-in type converts. */
    Node converted(Cst node) {
        return new Unary(node.start(), node.end(), "(" + node.part("type").map(this::text).orElse("") + ")", part(node, "value"));
    }

    Node array(Cst node) {
        List<Node> parts = new ArrayList<>();
        for (Cst each : node.inner()) {
            List<Cst> inner = each.inner();
            boolean keyed = each.is("array_element_initializer") && inner.size() == 2;
            parts.add(keyed ? new Other(each.start(), each.end(), "pair", expressions(inner)) : each.is("array_element_initializer") ? last(each) : expression(each));
        }
        return new Sequence(node.start(), node.end(), "array", parts);
    }

    /** Variables that a list takes apart. */
    void variables(Cst pattern, List<Cst> into) {
        if (pattern.is("variable_name")) {
            into.add(pattern);
        } else {
            pattern.inner().forEach(each -> variables(each, into));
        }
    }
}
