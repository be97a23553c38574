package driftwood.read.kotlin;

import driftwood.read.AssignedFields.Told;
import driftwood.read.Choices;
import driftwood.read.Nesting;
import driftwood.read.Normal;
import driftwood.read.sitter.Cst;
import driftwood.read.sitter.Expressions;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Kotlin's expressions. Its grammar names no parts: they are known by their order. */
abstract class KotlinExpressions extends Expressions {
    private static final Set<String> TYPES = Set.of("user_type", "nullable_type", "not_nullable_type", "function_type", "parenthesized_type");

    private final Nesting conditionals = new Nesting("conditional expressions", 1000);

    KotlinExpressions(String text) {
        super(text);
    }

    abstract Block block(Cst body);

    abstract TypeDeclaration anonymous(Cst node);

    abstract Node statement(Cst node);

    static Optional<Cst> find(Cst node, String kind) {
        return node.inner().stream().filter(each -> each.is(kind)).findFirst();
    }

    static List<Cst> all(Cst node, String kind) {
        return node.inner().stream().filter(each -> each.is(kind)).toList();
    }

    static boolean isType(Cst node) {
        return TYPES.contains(node.kind());
    }

    /** What the first type written in a node says. */
    Told told(Cst node) {
        return node.inner().stream().filter(KotlinExpressions::isType).findFirst().map(this::toldBy).orElse(Told.NOTHING);
    }

    Told toldBy(Cst type) {
        String written = text(type).replaceAll("\\s+", "");
        boolean nullable = written.endsWith("?");
        String bare = nullable ? written.substring(0, written.length() - 1) : written;
        return new Told(bare.matches("[A-Za-z_][\\w.]*(<.*>)?") && !bare.equals("Unit") ? new TypeRef(bare.intern()) : TypeRef.NONE, nullable);
    }

    @Override
    public Node expression(Cst node) {
        return KotlinRules.EXPRESSIONS.of(node.kind(), KotlinExpressions::other).of(this, node);
    }

    @Override
    public Node other(Cst node) {
        return new Other(node.start(), node.end(), node.kind(), expressions(node.inner().stream().filter(each -> !isType(each)).toList()));
    }

    /** A part by its place; null is a bare keyword, which has none of its own. */
    Node part(Cst node, int at) {
        List<Cst> inner = node.inner();
        return at < inner.size() ? expression(inner.get(at)) : node.has("null") ? nothing(node) : new Absent(node.end(), node.end());
    }

    @Override
    public Node only(Cst node) {
        return part(node, 0);
    }

    Node nothing(Cst node) {
        return new Literal(node.end(), node.end(), LiteralKind.NULL, "null");
    }

    Node name(Cst node) {
        if (text(node).startsWith("\"")) {
            return Normal.sum(node.start(), node.end(), text(node).substring(1, text(node).length() - 1), List.of());
        }
        return Normal.name(node.start(), node.end(), text(node).replace("`", ""));
    }

    Node self(Cst node) {
        return new Name(node.start(), node.end(), node.is("super_expression") ? "super" : "this");
    }

    /** A text with values in it is a sum of texts. */
    Node string(Cst node) {
        StringBuilder plain = new StringBuilder();
        List<Node> parts = new ArrayList<>();
        for (Cst each : node.inner()) {
            if (each.is("string_content") || each.is("character_escape_seq")) {
                plain.append(text(each));
            } else {
                parts.add(each.is("interpolated_expression") ? only(each) : name(each));
            }
        }
        return Normal.sum(node.start(), node.end(), plain.toString(), parts);
    }

    private static boolean isSafe(Cst navigation) {
        return find(navigation, "navigation_suffix").filter(each -> each.has("?.")).isPresent();
    }

    private String called(Cst navigation) {
        return find(navigation, "navigation_suffix").filter(each -> !each.inner().isEmpty()).map(each -> text(each.inner().get(0))).orElse("");
    }

    Node member(Cst node) {
        return isSafe(node) ? Normal.memberIfAny(node.start(), node.end(), only(node), called(node))
                : new Member(node.start(), node.end(), only(node), called(node));
    }

    Node index(Cst node) {
        List<Node> inside = find(node, "indexing_suffix").map(Cst::inner).map(this::expressions).orElse(List.of());
        if (text(node).endsWith(")")) {
            return call(node, inside);
        }
        return new Index(node.start(), node.end(), only(node), inside.isEmpty() ? new Absent(node.end(), node.end()) : inside.get(0));
    }

    private List<Node> arguments(Cst call) {
        List<Node> all = new ArrayList<>();
        find(call, "call_suffix").ifPresent(suffix -> {
            find(suffix, "value_arguments").ifPresent(list -> all(list, "value_argument").forEach(each -> all.add(argument(each))));
            all(suffix, "annotated_lambda").forEach(each -> all.add(expression(each)));
        });
        return all;
    }

    List<Node> values(Cst node) {
        return find(node, "value_arguments").map(list -> all(list, "value_argument").stream().map(this::argument).toList()).orElse(List.of());
    }

    private Node argument(Cst node) {
        List<Cst> inner = node.inner();
        boolean named = node.has("=") && !inner.isEmpty();
        Node value = named ? inner.size() > 1 ? expression(inner.get(inner.size() - 1)) : nothing(node) : only(node);
        return named ? new Named(node.start(), node.end(), text(inner.get(0)), value) : value;
    }

    /** A name spelled like a class makes an instance; {@code a?.b()} gives nothing where a is nothing. */
    Node call(Cst node) {
        return call(node, arguments(node));
    }

    private Node call(Cst node, List<Node> arguments) {
        Cst callee = node.inner().get(0);
        int start = node.start();
        int end = node.end();
        if (callee.is("simple_identifier") || callee.is("navigation_expression")) {
            String name = callee.is("simple_identifier") ? text(callee) : called(callee);
            boolean path = callee.is("simple_identifier") || text(callee).matches("[\\w.]+");
            if (path && isClass(name)) {
                return new Creation(start, end, new TypeRef(text(callee)), arguments, Optional.empty(), false);
            }
            if (callee.is("simple_identifier") && name.equals("error") && arguments.size() == 1) {
                return thrown(node, arguments.get(0));
            }
            Optional<Node> receiver = callee.is("simple_identifier") ? Optional.empty() : Optional.of(only(callee));
            Node call = new Call(start, end, receiver, name, arguments);
            return receiver.isPresent() && isSafe(callee) ? Normal.ifAny(start, end, receiver.get(), call) : call;
        }
        List<Node> parts = new ArrayList<>(List.of(expression(callee)));
        parts.addAll(arguments);
        return callee.is("call_expression") && parts.get(0) instanceof Call inner && !arguments.isEmpty()
                ? new Call(start, end, inner.receiver(), inner.name(), java.util.stream.Stream.concat(inner.arguments().stream(), arguments.stream()).toList())
                : new Other(start, end, "call", parts);
    }

    /** A call of what a name or a member stands for. */
    static Node called(int start, int end, Node callee, List<Node> arguments) {
        if (callee instanceof Name name) {
            // driftwood: leave conditional-instantiation because each form of the grammar becomes the node it stands for
            return isClass(name.name()) ? new Creation(start, end, new TypeRef(name.name()), arguments, Optional.empty(), false)
                    : new Call(start, end, Optional.empty(), name.name(), arguments);
        }
        return callee instanceof Member member ? new Call(start, end, Optional.of(member.receiver()), member.name(), arguments) : callee;
    }

    private static Node thrown(Cst node, Node error) {
        return new Throw(node.start(), node.end(), Optional.of(error));
    }

    private static final Pattern CLASS_OF = Pattern.compile("([a-z]\\w*)(?:::class(?:\\.java)?|\\??\\.javaClass)");
    private static final Pattern CLASS = Pattern.compile("([A-Z][\\w.]*)::class(?:\\.java)?");

    private static boolean isClass(String name) {
        return !name.isEmpty() && Character.isUpperCase(name.charAt(0)) && !name.equals("TODO");
    }

    Node binary(Cst node) {
        return new Binary(node.start(), node.end(), operator(node), part(node, 0), part(node, 1));
    }

    Node equality(Cst node) {
        boolean unequal = operator(node).startsWith("!");
        Optional<Node> exact = exactly(node);
        return exact.isEmpty() ? Normal.equality(node.start(), node.end(), part(node, 0), part(node, 1), unequal)
                : unequal ? Normal.negated(node.start(), node.end(), exact.get()) : exact.get();
    }

    /** {@code x::class == Tug::class}, {@code x.javaClass == Tug::class.java} ask for the exact type of x. */
    private Optional<Node> exactly(Cst node) {
        Matcher asked = CLASS_OF.matcher(text(node.inner().get(0)));
        Matcher type = CLASS.matcher(node.inner().size() > 1 ? text(node.inner().get(1)) : "");
        return asked.matches() && type.matches() ? Optional.of(Normal.exactlyOf(node.start(), node.end(),
                new Name(node.start(), node.start() + asked.end(1), asked.group(1).intern()), new TypeRef(type.group(1)))) : Optional.empty();
    }

    /** {@code 0 until 3} is a call of until. */
    Node infix(Cst node) {
        return node.inner().size() < 3 ? other(node) : new Call(node.start(), node.end(), Optional.of(part(node, 0)), text(node.inner().get(1)), List.of(part(node, 2)));
    }

    Node check(Cst node) {
        String operator = operator(node);
        if (operator.endsWith("in")) {
            return new Binary(node.start(), node.end(), operator, part(node, 0), part(node, 1));
        }
        Node test = Normal.ofType(node.start(), node.end(), part(node, 0), told(node).type(), Optional.empty());
        return operator.startsWith("!") ? Normal.negated(node.start(), node.end(), test) : test;
    }

    Node cast(Cst node) {
        return new Cast(node.start(), node.end(), told(node).type(), part(node, 0));
    }

    Node elvis(Cst node) {
        return Normal.orElse(node.start(), node.end(), part(node, 0), part(node, 1));
    }

    Node unary(Cst node) {
        if (node.is("postfix_expression") && text(node).endsWith("()")) {
            return call(node, List.of());
        }
        String operator = text(node).startsWith("!") ? "!" : operator(node);
        Node operand = only(node);
        if (operator.equals("!") || operator.equals("!!")) {
            return node.is("postfix_expression") ? operand : Normal.negated(node.start(), node.end(), operand);
        }
        return operator.equals("++") || operator.equals("--") ? Normal.step(node.start(), node.end(), operand, operator.substring(0, 1)) : new Unary(node.start(), node.end(), operator, operand);
    }

    Node lambda(Cst node) {
        List<Parameter> taken = new ArrayList<>();
        find(node, "lambda_parameters").ifPresent(list -> list.inner().forEach(each -> taken.add(new Parameter(each.start(), each.end(),
                each.inner().isEmpty() ? text(each) : text(each.inner().get(0)), told(each).type(), Traits.NONE, false, Optional.empty()))));
        if (taken.isEmpty() && node.children().stream().noneMatch(each -> each.kind().equals("->"))) {
            taken.add(new Parameter(node.start(), node.start(), "it", TypeRef.NONE, Traits.NONE, false, Optional.empty()));
        }
        Block body = find(node, "statements").map(this::block).orElseGet(() -> new Block(node.end(), node.end(), List.of()));
        Node only = body.statements().size() == 1 && body.statements().get(0) instanceof Evaluate evaluate ? evaluate.expression() : body;
        return new Lambda(node.start(), node.end(), taken, only);
    }

    Node object(Cst node) {
        TypeRef type = find(node, "delegation_specifier").map(this::parent).orElse(new TypeRef("Any"));
        return new Creation(node.start(), node.end(), type, List.of(), Optional.of(anonymous(node)), false);
    }

    TypeRef parent(Cst specifier) {
        return toldBy(find(specifier, "constructor_invocation").flatMap(each -> find(each, "user_type")).or(() -> find(specifier, "user_type"))
                .or(() -> find(specifier, "explicit_delegation").flatMap(each -> find(each, "user_type"))).orElse(specifier)).type();
    }

    /** A choice whose value is used. */
    Node chosen(Cst node) {
        Node made = statement(node);
        if (made instanceof If branch) {
            return conditionals.in(() -> Choices.value(branch, Optional.empty()));
        }
        return made instanceof Match match ? Choices.value(match)
                : made instanceof Throw ? made : new Other(node.start(), node.end(), node.kind(), List.of(made));
    }
}
