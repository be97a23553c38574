package driftwood.read.python;

import driftwood.read.Nesting;
import driftwood.read.Normal;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import driftwood.tree.Sequence;
import driftwood.tree.Unpacked;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Python's expressions. */
abstract class PythonExpressions {
    private static final Map<String, String> LOGIC = Map.of("and", "&&", "or", "||");

    final String text;
    /** Names that mean functions in this file, though they are spelled like classes. */
    final Set<String> functions;
    /** Texts of names and types, each kept once a file. */
    private static final int LONGEST_NAME = 200;
    private final Nesting conditionals = new Nesting("conditional expressions", 1000);
    private final Map<String, String> known = new HashMap<>();

    /** How a class calls itself in the routine that is read, and its name; empty in all others. */
    private String itself = "";
    private String owner = "";

    PythonExpressions(String text, Set<String> functions) {
        this.text = text;
        this.functions = functions;
    }

    /** In what is read next a name stands for a class. */
    void within(String name, String type) {
        itself = name;
        owner = type;
    }

    /** Whether a name is a local or parameter here: what is called on it is a routine, however it is spelled. */
    abstract boolean isLocal(String name);

    abstract Block block(Cst body);

    abstract List<Parameter> parameters(Cst node);

    String text(Cst node) {
        String own = node.text(text);
        String same = known.putIfAbsent(own, own);
        return same == null ? own : same;
    }

    /** The text of what may be a dotted name; empty where it is too long for one. */
    private String shortText(Cst node) {
        return node.end() - node.start() > LONGEST_NAME ? "" : text(node);
    }

    List<Node> expressions(List<Cst> nodes) {
        return nodes.stream().map(this::expression).toList();
    }

    Node expression(Cst node) {
        return PythonRules.EXPRESSIONS.of(node.kind(), PythonExpressions::other).of(this, node);
    }

    static Node literal(Cst node, LiteralKind kind, String text) {
        return new Literal(node.start(), node.end(), kind, text);
    }

    /** What stands for its only part. */
    Node only(Cst node) {
        return node.inner().size() == 1 ? expression(node.inner().get(0)) : other(node);
    }

    Node sequence(Cst node, String type) {
        return new Sequence(node.start(), node.end(), type, expressions(node.inner()));
    }

    Node conditional(Cst node) {
        List<Cst> inner = node.inner();
        return inner.size() < 3 ? other(node) : conditionals.in(() -> new Conditional(node.start(), node.end(),
                expression(inner.get(1)), expression(inner.get(0)), expression(inner.get(2))));
    }

    Node binary(Cst node) {
        return new Binary(node.start(), node.end(), LOGIC.getOrDefault(operator(node), operator(node)),
                expression(node.inner().get(0)), expression(node.inner().get(1)));
    }

    Node lambda(Cst node) {
        return new Lambda(node.start(), node.end(), node.part("parameters").map(this::parameters).orElse(List.of()),
                expression(node.part("body").orElse(node.inner().get(node.inner().size() - 1))));
    }

    Node index(Cst node) {
        List<Cst> inner = node.inner();
        return new Index(node.start(), node.end(), expression(inner.get(0)),
                inner.size() > 1 ? expression(inner.get(1)) : new Absent(node.end(), node.end()));
    }

    Node other(Cst node) {
        return new Other(node.start(), node.end(), node.kind(), expressions(node.inner()));
    }

    /** Where the parser only supposes a name, there is none. */
    Node name(Cst node) {
        String name = text(node);
        return Normal.name(node.start(), node.end(), name.equals("self") ? "this" : name);
    }

    static String operator(Cst node) {
        return node.children().stream().filter(child -> !child.named()).map(Cst::kind).findFirst().orElse("?");
    }

    /** Strings keep their contents; with values inside they are sums of texts. */
    Node string(Cst node) {
        List<Node> parts = new ArrayList<>();
        StringBuilder plain = new StringBuilder();
        if (node.children().isEmpty()) {
            plain.append(bare(text(node)));
        } else {
            collect(node, plain, parts);
        }
        return Normal.sum(node.start(), node.end(), plain.toString(), parts);
    }

    /** A text without its prefix and quotes. */
    private static String bare(String written) {
        int open = 0;
        while (open < written.length() && written.charAt(open) != '"' && written.charAt(open) != '\'') {
            open++;
        }
        int quotes = written.startsWith("\"\"\"", open) || written.startsWith("'''", open) ? 3 : 1;
        int to = written.length() - quotes;
        return open + quotes <= to ? written.substring(open + quotes, to) : "";
    }

    private void collect(Cst node, StringBuilder plain, List<Node> parts) {
        for (Cst child : node.children()) {
            // driftwood: leave type-switch because the grammar fixes what a text consists of
            switch (child.kind()) {
                case "string_content" -> plain.append(text(child));
                case "string" -> {
                    if (child.children().isEmpty()) {
                        plain.append(bare(text(child)));
                    } else {
                        collect(child, plain, parts);
                    }
                }
                case "interpolation" -> parts.add(expression(child));
                default -> collect(child, plain, parts);
            }
        }
    }

    /** Tests for None, for types and for equality; a chain of comparisons is their conjunction. */
    Node comparison(Cst node) {
        List<Cst> operands = node.inner();
        List<String> operators = new ArrayList<>();
        for (Cst child : node.children()) {
            if (!child.named()) {
                operators.add(child.kind().replaceAll("\\s+", " "));
            }
        }
        List<Node> each = new ArrayList<>();
        for (int i = 0; i + 1 < operands.size() && i < operators.size(); i++) {
            each.add(comparison(operands.get(i), operators.get(i), operands.get(i + 1)));
        }
        return Normal.all(node.start(), node.end(), each).orElseGet(() -> other(node));
    }

    Node comparison(Cst left, String operator, Cst right) {
        int start = left.start();
        int end = right.end();
        boolean negated = operator.contains("not") || operator.equals("!=");
        boolean equality = operator.startsWith("is") || operator.equals("==") || operator.equals("!=");
        if (equality && !right.is("none") && left.is("call") && text(left).startsWith("type(") && left.inner().size() == 2
                && left.inner().get(1).inner().size() == 1) {
            Node test = Normal.exactlyOf(start, end, expression(left.inner().get(1).inner().get(0)), new TypeRef(text(right)));
            return negated ? Normal.negated(start, end, test) : test;
        }
        if (equality) {
            return Normal.equality(start, end, expression(left), expression(right), negated);
        }
        boolean several = right.is("tuple") || right.is("list") || right.is("set");
        if (operator.equals("in") && several && !right.inner().isEmpty()) {
            return Normal.any(start, end, right.inner().stream().map(each -> Normal.equality(start, end, expression(left),
                    expression(each), false)).toList()).orElseThrow();
        }
        return new Binary(start, end, operator, expression(left),
                expression(right));
    }

    /** {@code isinstance} is a type test, {@code super()} the parent, a name spelled like a class a creation. */
    Node call(Cst node) {
        int start = node.start();
        int end = node.end();
        Cst callee = node.part("function").orElse(node.inner().get(0));
        Optional<Cst> list = node.part("arguments");
        List<Cst> given = list.filter(each -> each.is("argument_list")).map(Cst::inner)
                .orElse(list.map(List::of).orElse(List.of()));
        String name = shortText(callee);
        if (name.equals("isinstance") && given.size() == 2) {
            return typeTest(node, given.get(0), given.get(1));
        }
        if (name.equals("super")) {
            return new Name(start, end, "super");
        }
        List<Node> arguments = expressions(given);
        if (callee.is("identifier")) {
            if (!itself.isEmpty() && name.equals(itself)) {
                return new Creation(start, end, new TypeRef(owner), arguments, Optional.empty(), false);
            }
            return isClass(name) ? new Creation(start, end, new TypeRef(name), arguments, Optional.empty(), false)
                    : new Call(start, end, Optional.empty(), name.intern(), arguments);
        }
        if (callee.is("attribute")) {
            Cst object = callee.part("object").orElse(callee);
            String last = text(callee.part("attribute").orElse(callee));
            String owner = shortText(object);
            if (owner.equals("super()") && last.equals("__init__")) {
                return new Call(start, end, Optional.empty(), "super", arguments);
            }
            boolean dotted = owner.matches("[a-z_][\\w.]*") && !owner.startsWith("self");
            boolean held = isLocal(owner.contains(".") ? owner.substring(0, owner.indexOf('.')) : owner);
            return dotted && !held && isClass(last)
                    ? new Creation(start, end, new TypeRef(name), arguments, Optional.empty(), false)
                    : new Call(start, end, Optional.of(expression(object)), last.intern(), arguments);
        }
        List<Node> parts = new ArrayList<>(List.of(expression(callee)));
        parts.addAll(arguments);
        return new Other(start, end, "call", parts);
    }

    private boolean isClass(String name) {
        String bare = name.startsWith("_") ? name.substring(1) : name;
        return !bare.isEmpty() && Character.isUpperCase(bare.charAt(0)) && !functions.contains(name)
                && (bare.length() == 1 || !bare.equals(bare.toUpperCase(java.util.Locale.ROOT)));
    }

    private Node typeTest(Cst node, Cst subject, Cst types) {
        List<Cst> kinds = types.is("tuple") ? types.inner() : List.of(types);
        return Normal.any(node.start(), node.end(), kinds.stream().map(kind -> Normal.ofType(node.start(), node.end(),
                expression(subject), new TypeRef(text(kind)), Optional.empty())).toList()).orElseGet(() -> other(node));
    }

    /** A loop whose value is collected. */
    Node comprehension(Cst node) {
        Node body = new Other(node.start(), node.end(), "collected", expressions(node.inner().stream()
                .filter(each -> !each.is("for_in_clause")).toList()));
        List<Cst> clauses = node.inner().stream().filter(each -> each.is("for_in_clause")).toList();
        for (int i = clauses.size() - 1; i >= 0; i--) {
            Cst clause = clauses.get(i);
            Optional<Cst> variable = clause.part("left");
            Optional<Cst> from = clause.part("right");
            if (variable.isPresent() && from.isPresent()) {
                body = new Loop(node.start(), node.end(), LoopKind.EACH,
                        List.of(variable(variable.get()), expression(from.get())), body);
            }
        }
        return body;
    }

    /** What a loop gives its elements to: one local, or the locals of a pattern. */
    Node variable(Cst target) {
        if (target.is("identifier")) {
            return new Local(target.start(), target.end(), text(target).intern(), TypeRef.NONE, Optional.empty());
        }
        List<Node> locals = new ArrayList<>();
        locals(target, locals);
        return new Unpacked(target.start(), target.end(), locals);
    }

    void locals(Cst target, List<Node> into) {
        if (target.is("identifier")) {
            into.add(new Local(target.start(), target.end(), text(target).intern(), TypeRef.NONE, Optional.empty()));
        } else if (target.is("attribute") || target.is("subscript")) {
            into.add(expression(target));
        } else {
            target.inner().forEach(each -> locals(each, into));
        }
    }
}
