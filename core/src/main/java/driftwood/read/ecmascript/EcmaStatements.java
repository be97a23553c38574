package driftwood.read.ecmascript;

import driftwood.read.Choices;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Statements of JavaScript and TypeScript. */
abstract class EcmaStatements extends EcmaExpressions {

    EcmaStatements(String text) {
        super(text);
    }

    /** A class, or another type, in the middle of a routine. */
    abstract Node declaration(Cst node);

    Node statement(Cst node) {
        return EcmaRules.STATEMENTS.of(node.kind(), (to, each) -> to.other(each)).of(this, node);
    }

    List<Node> statements(List<Cst> nodes) {
        List<Node> all = new ArrayList<>();
        for (Cst each : nodes) {
            if (each.is("lexical_declaration") || each.is("variable_declaration")) {
                all.addAll(locals(each));
            } else {
                all.add(statement(each));
            }
        }
        return all;
    }

    @Override
    Block block(Cst body) {
        List<Cst> inner = body.is("statement_block") || body.is("else_clause") || body.is("finally_clause") && body.part("body").isEmpty() ? body.inner() : List.of(body);
        List<Cst> bare = inner.size() == 1 && inner.get(0) != body && inner.get(0).is("statement_block") ? inner.get(0).inner() : inner;
        return new Block(body.start(), body.end(), statements(bare));
    }

    Block body(Cst node) {
        return node.part("body").map(this::block).orElseGet(() -> new Block(node.end(), node.end(), List.of()));
    }

    List<Node> locals(Cst declaration) {
        List<Node> made = new ArrayList<>();
        for (Cst each : declaration.inner()) {
            if (each.is("variable_declarator")) {
                made.add(local(each));
            }
        }
        return made;
    }

    private Node local(Cst declarator) {
        Cst name = declarator.part("name").orElse(declarator);
        // driftwood: leave conditional-instantiation because each form of a declaration becomes the node it stands for
        if (name.is("identifier")) {
            TypeRef type = declarator.part("type").map(each -> EcmaTypes.of(text(each)).type()).orElse(TypeRef.NONE);
            return new Local(declarator.start(), declarator.end(), text(name), type, declarator.part("value").map(this::expression));
        }
        List<Node> parts = new ArrayList<>();
        declarator.part("value").map(this::expression).ifPresent(parts::add);
        locals(name, parts);
        return new Unpacked(declarator.start(), declarator.end(), parts);
    }

    Node several(Cst node) {
        List<Node> all = locals(node);
        return all.size() == 1 ? all.get(0) : new Block(node.start(), node.end(), all);
    }

    Node evaluated(Cst node) {
        return node.inner().isEmpty() || node.inner().get(0).is("string") ? new Empty(node.start(), node.end())
                : new Evaluate(node.start(), node.end(), expression(node.inner().get(0)));
    }

    Node back(Cst node) {
        return new Return(node.start(), node.end(), node.inner().stream().findFirst().map(this::expression));
    }

    Node thrown(Cst node) {
        return new Throw(node.start(), node.end(), node.inner().stream().findFirst().map(this::expression));
    }

    Node branch(Cst node) {
        Optional<Node> otherwise = node.part("alternative").map(each -> {
            Cst only = each.inner().size() == 1 ? each.inner().get(0) : each;
            return only.is("if_statement") ? branch(only) : block(each);
        });
        return new If(node.start(), node.end(), part(node, "condition"), node.part("consequence").<Node>map(this::block)
                .orElseGet(() -> new Empty(node.end(), node.end())), otherwise);
    }

    Node each(Cst node) {
        Cst left = node.part("left").orElse(node);
        Node variable = left.is("identifier") ? new Local(left.start(), left.end(), text(left), TypeRef.NONE, Optional.empty()) : taken(left);
        return new Loop(node.start(), node.end(), LoopKind.EACH, List.of(variable, part(node, "right")), body(node));
    }

    private Node taken(Cst pattern) {
        List<Node> locals = new ArrayList<>();
        locals(pattern, locals);
        return new Unpacked(pattern.start(), pattern.end(), locals);
    }

    Node counted(Cst node) {
        List<Node> header = new ArrayList<>();
        node.part("initializer").filter(each -> !each.is("empty_statement")).ifPresent(each ->
                header.addAll(each.kind().endsWith("_declaration") ? locals(each) : List.of(statement(each))));
        node.part("condition").filter(each -> !each.is("empty_statement")).ifPresent(each ->
                header.add(each.is("expression_statement") ? first(each) : expression(each)));
        node.part("increment").ifPresent(each -> header.add(expression(each)));
        return new Loop(node.start(), node.end(), LoopKind.COUNTED, header, body(node));
    }

    Node whileLoop(Cst node) {
        return new Loop(node.start(), node.end(), node.is("do_statement") ? LoopKind.UNTIL : LoopKind.WHILE, List.of(part(node, "condition")), body(node));
    }

    Node attempt(Cst node) {
        List<Node> handlers = new ArrayList<>();
        node.part("handler").ifPresent(each -> {
            List<Node> statements = new ArrayList<>();
            each.part("parameter").ifPresent(name -> locals(name, statements));
            statements.addAll(body(each).statements());
            handlers.add(new Block(each.start(), each.end(), statements));
        });
        return new Try(node.start(), node.end(), List.of(), body(node), handlers, node.part("finalizer").map(this::body));
    }

    /** {@code switch (true)} asks one condition after the other. */
    Node selection(Cst node) {
        Node subject = part(node, "value");
        List<Cst> cases = node.part("body").map(Cst::inner).orElse(List.of());
        List<Arm> arms = new ArrayList<>();
        for (Cst each : cases) {
            List<Node> labels = each.part("value").map(this::expression).map(List::of).orElse(List.of());
            List<Cst> body = each.parts("body");
            List<Node> statements = statements(body.size() == 1 && body.get(0).is("statement_block") ? body.get(0).inner() : body);
            arms.add(new Arm(each.start(), each.end(), labels, each.is("switch_default"), Optional.empty(), statements, Choices.fallsThrough(statements)));
        }
        return Choices.isByConditions(subject) && !arms.isEmpty() ? Choices.ladder(node.start(), node.end(), Choices.ended(arms)) : new Match(node.start(), node.end(), subject, arms, false);
    }

    /** What is exported is declared all the same. */
    Node exported(Cst node) {
        return node.part("declaration").map(this::statement).orElseGet(() -> node.part("value").<Node>map(each -> new Evaluate(each.start(), each.end(), expression(each)))
                .orElseGet(() -> new Empty(node.start(), node.end())));
    }

    Node innerFunction(Cst node) {
        return new Local(node.start(), node.end(), node.part("name").map(this::text).orElse(""), TypeRef.NONE, Optional.of(function(node)));
    }
}
