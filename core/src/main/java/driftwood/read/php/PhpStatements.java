package driftwood.read.php;

import driftwood.read.AssignedLocals;
import driftwood.read.Choices;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** PHP's statements. */
abstract class PhpStatements extends PhpExpressions {
    private final AssignedLocals locals = new AssignedLocals();

    PhpStatements(String text) {
        super(text);
    }

    abstract Node declaration(Cst node);

    Block routineBody(Cst body, List<Parameter> parameters) {
        return locals.inRoutine(parameters.stream().map(Parameter::name).toList(), () -> block(body));
    }

    List<Node> looseStatements(List<Cst> nodes) {
        return locals.outside(() -> statements(nodes));
    }

    Node statement(Cst node) {
        return PhpRules.STATEMENTS.of(node.kind(), (to, each) -> to.other(each)).of(this, node);
    }

    List<Node> statements(List<Cst> nodes) {
        return nodes.stream().map(this::statement).toList();
    }

    @Override
    Block block(Cst body) {
        boolean whole = body.is("compound_statement") || body.is("colon_block");
        return locals.inBlock(() -> new Block(body.start(), body.end(), statements(whole ? body.inner() : List.of(body))));
    }

    Block body(Cst node) {
        return node.part("body").map(this::block).orElseGet(() -> new Block(node.end(), node.end(), List.of()));
    }

    Node evaluated(Cst node) {
        if (node.inner().isEmpty()) {
            return new Empty(node.start(), node.end());
        }
        Cst inner = node.inner().get(0);
        if (inner.is("assignment_expression") || inner.is("reference_assignment_expression")) {
            return assigned(inner, node);
        }
        if (inner.is("match_expression")) {
            return PhpMatches.statement(this, inner);
        }
        Node value = expression(inner);
        return value instanceof Throw ? value : new Evaluate(node.start(), node.end(), value);
    }

    /** The first assignment of a variable declares a local; a list takes a value apart. */
    private Node assigned(Cst node, Cst statement) {
        Cst target = node.part("left").orElse(node);
        int start = statement.start();
        int end = statement.end();
        if (target.is("list_literal") || target.is("array_creation_expression")) {
            List<Cst> variables = new ArrayList<>();
            variables(target, variables);
            List<Node> parts = new ArrayList<>(List.of(part(node, "right")));
            variables.forEach(each -> {
                locals.know(bare(each));
                parts.add(new Local(each.start(), each.end(), bare(each), TypeRef.NONE, Optional.empty()));
            });
            return new Unpacked(start, end, parts);
        }
        Node value = part(node, "right");
        boolean fresh = target.is("variable_name") && !bare(target).equals("this") && locals.takes(bare(target));
        // driftwood: leave conditional-instantiation because each form of the grammar becomes the node it stands for
        return fresh && !locals.hoists(bare(target)) ? new Local(start, end, bare(target), TypeRef.NONE, Optional.of(value))
                : new Evaluate(start, end, new Assignment(node.start(), node.end(), expression(target), "=", value));
    }

    Node back(Cst node) {
        return new Return(node.start(), node.end(), node.inner().stream().findFirst().map(this::expression));
    }

    Node written(Cst node) {
        return new Evaluate(node.start(), node.end(), new Call(node.start(), node.end(), Optional.empty(), "echo", expressions(node.inner())));
    }

    Node branch(Cst node) {
        return branch(node, 0);
    }

    private Node branch(Cst node, int from) {
        List<Cst> alternatives = node.parts("alternative");
        Optional<Node> otherwise = Optional.empty();
        for (int i = alternatives.size() - 1; i >= from; i--) {
            Cst each = alternatives.get(i);
            Optional<Node> rest = otherwise;
            otherwise = Optional.of(each.is("else_if_clause") ? new If(each.start(), rest.map(Node::end).orElse(each.end()), part(each, "condition"),
                    body(each), rest) : each.part("body").filter(one -> one.is("if_statement")).<Node>map(this::branch).orElseGet(() -> body(each)));
        }
        return new If(node.start(), node.end(), part(node, "condition"), body(node), otherwise);
    }

    Node each(Cst node) {
        List<Cst> inner = node.inner();
        Cst target = inner.size() > 1 ? inner.get(1) : node;
        Cst value = target.is("pair") && target.inner().size() == 2 ? target.inner().get(1) : target;
        List<Cst> variables = new ArrayList<>();
        variables(target, variables);
        variables.forEach(each -> locals.know(bare(each)));
        Cst plain = value.is("by_ref") && !value.inner().isEmpty() ? value.inner().get(0) : value;
        Node variable = plain.is("variable_name") ? new Local(value.start(), value.end(), bare(plain), TypeRef.NONE, Optional.empty())
                : new Unpacked(value.start(), value.end(), variables.stream().<Node>map(each -> new Local(each.start(), each.end(), bare(each), TypeRef.NONE,
                Optional.empty())).toList());
        return new Loop(node.start(), node.end(), LoopKind.EACH, List.of(variable, expression(inner.get(0))), body(node));
    }

    Node counted(Cst node) {
        List<Node> header = new ArrayList<>();
        for (Cst each : node.inner()) {
            if (each.field().equals("initialize") && each.is("assignment_expression") && each.part("left").filter(one -> one.is("variable_name")).isPresent()) {
                header.add(assigned(each, each));
            } else if (!each.field().equals("body") && !each.field().isEmpty()) {
                header.add(expression(each));
            }
        }
        return new Loop(node.start(), node.end(), LoopKind.COUNTED, header, body(node));
    }

    Node whileLoop(Cst node) {
        return new Loop(node.start(), node.end(), node.is("do_statement") ? LoopKind.UNTIL : LoopKind.WHILE, List.of(part(node, "condition")), body(node));
    }

    Node attempt(Cst node) {
        List<Node> handlers = new ArrayList<>();
        Optional<Block> last = Optional.empty();
        for (Cst each : node.inner()) {
            if (each.is("catch_clause")) {
                List<Node> statements = new ArrayList<>();
                each.part("name").ifPresent(name -> {
                    locals.know(bare(name));
                    statements.add(new Local(name.start(), name.end(), bare(name), each.part("type").map(type -> PhpTypes.of(text(type), owner()).type())
                            .orElse(TypeRef.NONE), Optional.empty()));
                });
                statements.addAll(body(each).statements());
                handlers.add(new Block(each.start(), each.end(), statements));
            } else if (each.is("finally_clause")) {
                last = Optional.of(body(each));
            }
        }
        return new Try(node.start(), node.end(), List.of(), body(node), handlers, last);
    }

    /** {@code switch (true)} asks one condition after the other. */
    Node selection(Cst node) {
        Node subject = part(node, "condition");
        List<Arm> arms = new ArrayList<>();
        for (Cst each : node.part("body").map(Cst::inner).orElse(List.of())) {
            List<Node> labels = each.part("value").map(this::expression).map(List::of).orElse(List.of());
            List<Node> body = statements(each.inner().stream().filter(one -> !one.field().equals("value")).toList());
            arms.add(new Arm(each.start(), each.end(), labels, each.is("default_statement"), Optional.empty(), body, Choices.fallsThrough(body)));
        }
        return Choices.isByConditions(subject) && !arms.isEmpty() ? Choices.ladder(node.start(), node.end(), Choices.ended(arms)) : new Match(node.start(), node.end(), subject, arms, false);
    }

    /** Variables that are shared with what is outside are known. */
    Node shares(Cst node) {
        List<Cst> variables = new ArrayList<>();
        variables(node, variables);
        variables.forEach(each -> locals.know(bare(each)));
        return new Empty(node.start(), node.end());
    }
}
