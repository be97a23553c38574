package driftwood.read.csharp;

import driftwood.read.Nesting;
import driftwood.read.Normal;
import driftwood.read.sitter.Cst;
import driftwood.read.sitter.Expressions;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** C#'s expressions. */
abstract class CSharpExpressions extends Expressions {
    /** Types of the fields and properties of the type that is being read, by name. */
    Map<String, TypeRef> declared = Map.of();
    private final Nesting conditionals = new Nesting("conditional expressions", 1000);

    CSharpExpressions(String text) {
        super(text);
    }

    abstract Block block(Cst body);

    abstract List<Parameter> parameters(Cst list);

    TypeRef type(Cst node) {
        return CSharpTypes.of(text(node)).type();
    }

    @Override
    public Node expression(Cst node) {
        return CSharpRules.EXPRESSIONS.of(node.kind(), CSharpExpressions::other).of(this, node);
    }

    /** What stands for its only part. */
    @Override
    public Node only(Cst node) {
        return node.inner().size() == 1 ? expression(node.inner().get(0)) : node.inner().isEmpty() ? self(node) : other(node);
    }

    /** The object itself is a bare keyword, which the parser gives no name. */
    Node self(Cst around) {
        return around.has("base") ? new Name(around.start(), around.end(), "super") : around.has("this")
                ? new Name(around.start(), around.end(), "this") : other(around);
    }

    /** The part of a node that a field names, which may be a bare keyword. */
    @Override
    public Node part(Cst node, String field) {
        return node.part(field).map(this::expression).orElseGet(() -> self(node));
    }

    /** A text without its quotes. */
    Node string(Cst node) {
        String written = text(node);
        int from = 0;
        while (from < written.length() && written.charAt(from) != '"') {
            from++;
        }
        int to = written.lastIndexOf('"');
        return new Literal(node.start(), node.end(), LiteralKind.STRING, to > from ? written.substring(from + 1, to).replaceAll("^\"+|\"+$", "") : "");
    }

    /** A text with values in it is a sum of texts. */
    Node interpolated(Cst node) {
        StringBuilder plain = new StringBuilder();
        List<Node> parts = new ArrayList<>();
        for (Cst each : node.inner()) {
            if (each.is("string_content")) {
                plain.append(text(each));
            } else if (each.is("interpolation")) {
                each.inner().stream().filter(one -> !one.kind().startsWith("interpolation_")).findFirst().map(this::expression).ifPresent(parts::add);
            }
        }
        return Normal.sum(node.start(), node.end(), plain.toString(), parts);
    }

    Node name(Cst node) {
        return Normal.name(node.start(), node.end(), CSharpTypes.plain(text(node)));
    }

    /** A type that is called on, with its namespace or its own arguments. */
    Node dotted(Cst node) {
        String[] segments = CSharpTypes.plain(text(node)).replace("global::", "").split("\\s*\\.\\s*");
        Node made = new Name(node.start(), node.end(), segments[0].intern());
        for (int i = 1; i < segments.length; i++) {
            made = new Member(node.start(), node.end(), made, segments[i].intern());
        }
        return made;
    }

    Node member(Cst node) {
        return new Member(node.start(), node.end(), part(node, "expression"), node.part("name").map(this::text).map(CSharpTypes::plain).orElse(""));
    }

    /** {@code a?.b} gives nothing where a is nothing. */
    Node conditionalAccess(Cst node) {
        Node receiver = part(node, "condition");
        return Normal.ifAny(node.start(), node.end(), receiver, bound(node, receiver));
    }

    private Node bound(Cst access, Node receiver) {
        Cst last = access.inner().get(access.inner().size() - 1);
        if (last.is("element_binding_expression")) {
            List<Node> asked = expressions(last.inner());
            return new Index(access.start(), access.end(), receiver, asked.isEmpty() ? new Absent(access.end(), access.end()) : asked.get(0));
        }
        return new Member(access.start(), access.end(), receiver, last.part("name").map(this::text).map(CSharpTypes::plain).orElse(""));
    }

    Node index(Cst node) {
        List<Node> arguments = node.part("subscript").map(Cst::inner).map(this::expressions).orElse(List.of());
        return new Index(node.start(), node.end(), part(node, "expression"), arguments.isEmpty() ? new Absent(node.end(), node.end()) : arguments.get(0));
    }

    List<Node> arguments(Cst node) {
        return node.part("arguments").or(() -> node.inner().stream().filter(each -> each.is("argument_list")).findFirst())
                .map(each -> expressions(each.inner())).orElse(List.of());
    }

    /** An argument, perhaps by its name; one that is handed over to be set is set. */
    Node argument(Cst node) {
        Optional<Cst> name = node.part("name");
        List<Cst> values = node.inner().stream().filter(each -> name.isEmpty() || each != name.get()).toList();
        Node given = values.isEmpty() ? self(node) : expression(values.get(values.size() - 1));
        boolean set = (node.has("ref") || node.has("out")) && (given instanceof Name || given instanceof Member);
        Node value = set ? new Assignment(node.start(), node.end(), given, "=", new Absent(node.end(), node.end())) : given;
        return name.isPresent() && !values.isEmpty() ? new Named(node.start(), node.end(), text(name.get()), value) : value;
    }

    Node call(Cst node) {
        Cst function = node.part("function").orElse(node);
        int start = node.start();
        int end = node.end();
        List<Node> arguments = arguments(node);
        // driftwood: leave type-switch because the grammar fixes the forms of a call
        return switch (function.kind()) {
            case "identifier", "generic_name" -> text(function).equals("nameof") ? new Literal(start, end, LiteralKind.STRING, text(node))
                    : named(node, Optional.empty(), text(function), arguments);
            case "member_access_expression" -> named(node, Optional.of(part(function, "expression")), function.part("name").map(this::text).orElse(""), arguments);
            case "conditional_access_expression" -> {
                Node receiver = part(function, "condition");
                Cst last = function.inner().get(function.inner().size() - 1);
                String name = last.part("name").map(this::text).orElse("");
                Node call = named(node, Optional.of(receiver), name, arguments);
                yield name.equals("Invoke") ? call : Normal.ifAny(start, end, receiver, call);
            }
            default -> {
                List<Node> parts = new ArrayList<>(List.of(node.part("function").map(this::expression).orElseGet(() -> self(node))));
                parts.addAll(arguments);
                yield new Other(start, end, "call", parts);
            }
        };
    }

    /** {@code x.Equals(y)} and {@code x.GetType()} stay calls; {@code ReferenceEquals} is a comparison. */
    private Node named(Cst node, Optional<Node> receiver, String written, List<Node> arguments) {
        String name = CSharpTypes.plain(written);
        if (name.equals("ReferenceEquals") && arguments.size() == 2) {
            return Normal.equality(node.start(), node.end(), arguments.get(0), arguments.get(1), false);
        }
        return new Call(node.start(), node.end(), receiver, name, arguments);
    }

    Node creation(Cst node) {
        return creation(node, node.part("type").map(this::type).orElse(TypeRef.NONE));
    }

    private Creation creation(Cst node, TypeRef type) {
        return new Creation(node.start(), node.end(), type, arguments(node), Optional.empty(), false,
                braces(node).map(Cst::inner).orElse(List.of()).stream().map(this::filled).toList());
    }

    /** What stands in braces behind a creation. */
    static Optional<Cst> braces(Cst creation) {
        return creation.part("initializer").or(() -> creation.inner().stream().filter(each -> each.is("initializer_expression")).findFirst());
    }

    /** {@code Name = n} within braces is a member by its name; all else is an element. */
    private Node filled(Cst node) {
        return isMember(node) ? new Named(node.start(), node.end(), text(node.part("left").orElseThrow()), part(node, "right")) : expression(node);
    }

    static boolean isMember(Cst node) {
        return node.is("assignment_expression") && node.part("left").filter(each -> each.is("identifier")).isPresent();
    }

    /** {@code new(...)} makes what is declared around it. */
    Node creationOf(Cst node, TypeRef wanted) {
        return node.is("implicit_object_creation_expression") ? creation(node, wanted) : expression(node);
    }

    Node array(Cst node) {
        TypeRef type = node.part("type").map(this::text).map(written -> new TypeRef(written.replaceAll("\\[[^]]*]", "[]"))).orElse(new TypeRef("var[]"));
        List<Node> parts = node.inner().stream().filter(each -> each.is("initializer_expression")).flatMap(each -> each.inner().stream())
                .map(this::expression).toList();
        return new Creation(node.start(), node.end(), type, parts, Optional.empty(), true);
    }

    Node assignment(Cst node) {
        String operator = node.part("operator").map(this::text).orElseGet(() -> operator(node));
        Node target = part(node, "left");
        TypeRef wanted = target instanceof Name || target instanceof Member ? declared.get(CSharpTypes.lastName(target)) : null;
        Node value = wanted != null && node.part("right").isPresent() ? creationOf(node.part("right").get(), wanted) : part(node, "right");
        return Normal.assigned(node.start(), node.end(), target, operator, value);
    }

    Node binary(Cst node) {
        String operator = operator(node);
        int start = node.start();
        int end = node.end();
        Node left = part(node, "left");
        Node right = part(node, "right");
        if (operator.equals("??")) {
            return Normal.orElse(start, end, left, right);
        }
        boolean unequal = operator.equals("!=");
        if (!unequal && !operator.equals("==")) {
            return new Binary(start, end, operator, left, right);
        }
        Optional<Node> exact = exactly(node, left, right).or(() -> exactly(node, right, left));
        return exact.isEmpty() ? Normal.equality(start, end, left, right, unequal) : unequal ? Normal.negated(start, end, exact.get()) : exact.get();
    }

    /** {@code x.GetType() == typeof(Tug)} asks for the exact type of x. */
    private static Optional<Node> exactly(Cst node, Node asked, Node type) {
        boolean exact = asked instanceof Call call && call.name().equals("GetType") && call.arguments().isEmpty() && call.receiver().isPresent()
                && type instanceof Literal literal && literal.kind() == LiteralKind.TYPE && literal.text().startsWith("typeof(");
        return exact ? Optional.of(Normal.exactlyOf(node.start(), node.end(), ((Call) asked).receiver().orElseThrow(),
                new TypeRef(((Literal) type).text().replaceAll("^typeof\\(|\\)$", "")))) : Optional.empty();
    }

    Node unary(Cst node) {
        Node operand = only(node);
        String operator = operator(node);
        if (operator.equals("!")) {
            return node.is("postfix_unary_expression") ? operand : Normal.negated(node.start(), node.end(), operand);
        }
        boolean steps = operator.equals("++") || operator.equals("--");
        return steps ? Normal.step(node.start(), node.end(), operand, operator.substring(0, 1))
                : new Unary(node.start(), node.end(), operator, operand);
    }

    Node conditional(Cst node) {
        return conditionals.in(() -> new Conditional(node.start(), node.end(), part(node, "condition"), part(node, "consequence"), part(node, "alternative")));
    }

    Node lambda(Cst node) {
        Cst body = node.part("body").or(() -> node.inner().stream().filter(each -> each.is("block")).findFirst()).orElse(node);
        List<Parameter> parameters = node.part("parameters").map(each -> each.is("parameter_list") ? parameters(each) : List.of(
                new Parameter(each.start(), each.end(), text(each), TypeRef.NONE, Traits.NONE, false, Optional.empty()))).orElse(List.of());
        return new Lambda(node.start(), node.end(), parameters, body.is("block") ? block(body) : body == node ? self(node) : expression(body));
    }

    Node cast(Cst node) {
        return new Cast(node.start(), node.end(), node.part("type").map(this::type).orElse(TypeRef.NONE), part(node, "value"));
    }

    /** {@code x as T} is a test and a cast at once. */
    Node as(Cst node) {
        return new Cast(node.start(), node.end(), node.part("right").map(this::type).orElse(TypeRef.NONE), part(node, "left"));
    }

    Node is(Cst node) {
        return Normal.ofType(node.start(), node.end(), part(node, "left"), node.part("right").map(this::type).orElse(TypeRef.NONE), Optional.empty());
    }

    Node isPattern(Cst node) {
        return new CSharpPatterns(this).test(part(node, "expression"), node.part("pattern").orElse(node));
    }

    /** {@code out var x} declares a local in the middle of a call. */
    Node declared(Cst node) {
        String name = node.part("name").map(this::text).orElse("_");
        return new Local(node.start(), node.end(), name, node.part("type").map(this::type).orElse(TypeRef.NONE), Optional.empty());
    }

    Node choice(Cst node) {
        CSharpPatterns patterns = new CSharpPatterns(this);
        Node subject = node.inner().isEmpty() || node.inner().get(0).is("switch_expression_arm") ? self(node) : expression(node.inner().get(0));
        List<Arm> arms = new ArrayList<>();
        for (Cst arm : node.inner()) {
            if (arm.is("switch_expression_arm")) {
                Cst value = arm.inner().get(arm.inner().size() - 1);
                arms.add(patterns.arm(subject, arm, List.of(arm.inner().get(0)), List.of(expression(value)), false));
            }
        }
        return new Match(node.start(), node.end(), subject, arms, true);
    }
}
