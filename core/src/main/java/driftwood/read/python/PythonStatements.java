package driftwood.read.python;

import driftwood.read.AssignedFields.Told;
import driftwood.read.AssignedLocals;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import driftwood.tree.Empty;
import driftwood.tree.Unpacked;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Python's statements. */
abstract class PythonStatements extends PythonExpressions {
    /** What assignments to something else than a bare name are annotated with, by where they begin. */
    private final Map<Integer, Told> annotated = new HashMap<>();
    private final AssignedLocals locals = new AssignedLocals();
    final PythonPatterns patterns = new PythonPatterns(this);

    PythonStatements(String text, Set<String> functions) {
        super(text, functions);
    }

    /** A class or function in the middle of a routine. */
    abstract Node declaration(Cst node);

    /** Called for imports wherever they stand. */
    abstract void imported(Cst node);

    /** The body of a routine with parameters. */
    Block routineBody(Cst body, List<Parameter> parameters) {
        return locals.inRoutine(parameters.stream().map(Parameter::name).toList(), () -> block(body));
    }

    @Override
    boolean isLocal(String name) {
        return locals.isKnown(name);
    }

    /** Statements outside of any routine. */
    List<Node> looseStatements(List<Cst> nodes) {
        return locals.outside(() -> nodes.stream().map(this::statement).toList());
    }

    @Override
    Block block(Cst body) {
        List<Cst> inner = body.is("block") ? body.inner() : List.of(body);
        return locals.inBlock(() -> new Block(body.start(), body.end(), inner.stream()
                .filter(each -> each != inner.get(0) || !isDocstring(each)).map(this::statement).toList()));
    }

    private static boolean isDocstring(Cst node) {
        return node.is("expression_statement") && node.inner().size() == 1 && node.inner().get(0).is("string");
    }

    Node statement(Cst node) {
        return PythonRules.STATEMENTS.of(node.kind(), PythonStatements::other).of(this, node);
    }

    Node evaluated(Cst node) {
        List<Cst> inner = node.inner();
        return inner.isEmpty() ? empty(node) : inner.size() > 1 ? other(node) : simple(inner.get(0), node);
    }

    Node imports(Cst node) {
        imported(node);
        return empty(node);
    }

    Node shares(Cst node) {
        node.inner().forEach(each -> locals.know(text(each)));
        return empty(node);
    }

    static Node empty(Cst node) {
        return new Empty(node.start(), node.end());
    }

    Block body(Cst node) {
        return node.part("body").or(() -> node.part("consequence")).map(this::block)
                .orElseGet(() -> new Block(node.end(), node.end(), List.of()));
    }

    private Node simple(Cst inner, Cst statement) {
        if (inner.is("assignment")) {
            return assignment(inner, statement);
        }
        if (inner.is("augmented_assignment")) {
            String operator = inner.children().stream().filter(each -> !each.named()).map(Cst::kind).findFirst().orElse("+=");
            return new Evaluate(statement.start(), statement.end(), new Assignment(inner.start(), inner.end(),
                    expression(inner.part("left").orElseThrow()), operator.substring(0, operator.length() - 1),
                    expression(inner.part("right").orElseThrow())));
        }
        if (inner.is("ellipsis") || inner.is("string")) {
            return empty(statement);
        }
        return new Evaluate(statement.start(), statement.end(), expression(inner));
    }

    /** The first assignment of a bare name declares a local; a name assigned several at once is unpacked. */
    private Node assignment(Cst node, Cst statement) {
        Cst target = node.part("left").orElseThrow();
        Optional<Cst> value = node.part("right");
        Told told = node.part("type").map(each -> PythonTypes.of(text(each))).orElse(Told.NOTHING);
        TypeRef type = told.type();
        int start = statement.start();
        int end = statement.end();
        if (target.is("identifier") && locals.takes(text(target))) {
            if (value.isPresent() && locals.hoists(text(target))) {
                return new Evaluate(start, end, new Assignment(node.start(), node.end(), expression(target), "=",
                        assigned(value.get())));
            }
            return new Local(start, end, text(target).intern(), type, value.map(this::assigned));
        }
        if (target.is("pattern_list") || target.is("tuple_pattern") || target.is("list_pattern")) {
            List<Node> parts = new ArrayList<>();
            target.inner().forEach(each -> locals(each, parts));
            parts.forEach(each -> {
                if (each instanceof Local local) {
                    locals.know(local.name());
                }
            });
            value.ifPresent(each -> parts.add(0, assigned(each)));
            return new Unpacked(start, end, parts);
        }
        if (type.isPresent()) {
            annotated.put(node.start(), told);
        }
        return value.isEmpty() ? empty(statement) : new Evaluate(start, end, new Assignment(node.start(), node.end(),
                expression(target), "=", assigned(value.get())));
    }

    /** What an assignment is annotated with; NOTHING where it is not. */
    Told annotationOf(Assignment assignment) {
        return annotated.getOrDefault(assignment.start(), Told.NOTHING);
    }

    /** {@code a = b = value} is read as the assignment of the inner one. */
    Node assigned(Cst value) {
        if (value.is("assignment")) {
            return new Assignment(value.start(), value.end(), expression(value.part("left").orElseThrow()), "=",
                    value.part("right").map(this::assigned).orElse(new Absent(value.end(), value.end())));
        }
        return expression(value);
    }

    /** An if with its elifs and else. @param from which of its alternatives comes next */
    Node branch(Cst node, int from) {
        List<Cst> alternatives = node.parts("alternative");
        Optional<Node> otherwise = Optional.empty();
        for (int i = alternatives.size() - 1; i >= from; i--) {
            Cst each = alternatives.get(i);
            if (each.is("else_clause")) {
                otherwise = Optional.of(body(each));
            } else {
                Optional<Node> rest = otherwise;
                otherwise = Optional.of(new If(each.start(), rest.map(Node::end).orElse(each.end()),
                        expression(each.part("condition").orElse(each)), body(each), rest));
            }
        }
        return new If(node.start(), node.end(), expression(node.part("condition").orElse(node)), body(node), otherwise);
    }

    Node loop(Cst node) {
        Cst left = node.part("left").orElse(node);
        Node variable = variable(left);
        if (variable instanceof Local local) {
            locals.know(local.name());
        }
        List<Node> header = List.of(variable, expression(node.part("right").orElse(node)));
        return andThen(node, new Loop(node.start(), node.end(), LoopKind.EACH, header, body(node)));
    }

    Node whileLoop(Cst node) {
        return andThen(node, new Loop(node.start(), node.end(), LoopKind.WHILE, List.of(expression(node.part("condition").orElse(node))), body(node)));
    }

    /** A loop and its else, which comes behind it. */
    private Node andThen(Cst node, Loop loop) {
        Optional<Cst> last = node.inner().stream().filter(each -> each.is("else_clause")).findFirst();
        return last.isEmpty() ? loop : new Block(node.start(), node.end(), List.of(loop, body(last.get())));
    }

    Node attempt(Cst node) {
        List<Node> handlers = new ArrayList<>();
        Optional<Block> last = Optional.empty();
        List<Node> after = new ArrayList<>();
        for (Cst each : node.inner()) {
            List<Cst> blocks = each.inner().stream().filter(one -> one.is("block")).toList();
            if (each.is("except_clause") || each.is("except_group_clause")) {
                List<Node> statements = new ArrayList<>();
                caught(each).ifPresent(statements::add);
                blocks.forEach(one -> statements.addAll(block(one).statements()));
                handlers.add(new Block(each.start(), each.end(), statements));
            } else if (each.is("finally_clause") && !blocks.isEmpty()) {
                last = Optional.of(block(blocks.get(0)));
            } else if (each.is("else_clause")) {
                after.addAll(body(each).statements());
            }
        }
        Block body = body(node);
        if (!after.isEmpty()) {
            List<Node> all = new ArrayList<>(body.statements());
            all.addAll(after);
            body = new Block(body.start(), body.end(), all);
        }
        return new Try(node.start(), node.end(), List.of(), body, handlers, last);
    }

    /** {@code except GroundedError as error} binds a local. */
    private Optional<Node> caught(Cst clause) {
        for (Cst each : clause.inner()) {
            if (each.is("as_pattern")) {
                List<Cst> parts = each.inner();
                String name = text(parts.get(parts.size() - 1));
                locals.know(name);
                return Optional.of(new Local(each.start(), each.end(), name, new TypeRef(text(parts.get(0))),
                        Optional.empty()));
            }
        }
        return Optional.empty();
    }

    Node with(Cst node) {
        List<Node> resources = new ArrayList<>();
        for (Cst clause : node.inner()) {
            if (clause.is("with_clause")) {
                for (Cst item : clause.inner()) {
                    resources.add(resource(item.is("with_item") ? item.inner().get(0) : item));
                }
            }
        }
        return new Try(node.start(), node.end(), resources, body(node), List.of(), Optional.empty());
    }

    private Node resource(Cst item) {
        if (item.is("as_pattern") && item.inner().size() == 2) {
            Cst target = item.inner().get(1);
            Node value = expression(item.inner().get(0));
            if (target.inner().size() == 1 && target.inner().get(0).is("identifier")) {
                String name = text(target).intern();
                locals.know(name);
                return new Local(item.start(), item.end(), name, TypeRef.NONE, Optional.of(value));
            }
            return new Evaluate(item.start(), item.end(), value);
        }
        return new Evaluate(item.start(), item.end(), expression(item));
    }
}
