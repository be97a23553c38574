package driftwood.read.kotlin;

import driftwood.read.Choices;
import driftwood.read.Normal;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Kotlin's statements. */
abstract class KotlinStatements extends KotlinExpressions {
    /** Choices that are worth something on each of their ways. */
    private static final Set<String> CHOICES = Set.of("if_expression", "when_expression", "try_expression");


    KotlinStatements(String text) {
        super(text);
    }

    abstract Node declaration(Cst node);

    abstract Node innerFunction(Cst node);

    @Override
    Node statement(Cst node) {
        return KotlinRules.STATEMENTS.of(node.kind(), (to, each) -> to.evaluated(each)).of(this, node);
    }

    Node evaluated(Cst node) {
        Node value = expression(node);
        return value instanceof Throw ? value : new Evaluate(node.start(), node.end(), value);
    }

    /** A body in braces, or one expression. */
    @Override
    Block block(Cst body) {
        boolean braces = body.is("statements");
        List<Cst> inner = braces ? body.inner() : body.is("control_structure_body") || body.is("function_body") || body.is("catch_block") || body.is("finally_block")
                ? find(body, "statements").map(Cst::inner).orElseGet(() -> body.inner().stream().filter(each -> !isType(each)
                && !(body.is("catch_block") && each.is("simple_identifier"))).toList()) : List.of(body);
        List<Node> all = new ArrayList<>();
        inner.stream().filter(each -> !each.is("label")).forEach(each -> all.add(statement(each)));
        if (all.isEmpty() && body.has("null")) {
            all.add(new Evaluate(body.start(), body.end(), nothing(body)));
        }
        return new Block(body.start(), body.end(), all);
    }

    Node local(Cst node) {
        Optional<Cst> several = find(node, "multi_variable_declaration");
        Optional<Node> value = value(node);
        if (several.isPresent()) {
            List<Node> parts = new ArrayList<>(value.map(List::of).orElse(List.of()));
            several.get().inner().forEach(each -> parts.add(variable(each)));
            return new Unpacked(node.start(), node.end(), parts);
        }
        Cst declared = find(node, "variable_declaration").orElse(node);
        String name = declared.inner().isEmpty() ? "" : text(declared.inner().get(0));
        return new Local(node.start(), node.end(), name, told(declared).type(), value);
    }

    /** The value behind the equals sign, or what a delegate makes. */
    Optional<Node> value(Cst node) {
        boolean behind = false;
        for (Cst each : node.children()) {
            if (behind) {
                return Optional.of(each.named() ? expression(each) : nothing(node));
            }
            behind = !each.named() && each.kind().equals("=");
        }
        return find(node, "property_delegate").map(this::only);
    }

    private Local variable(Cst node) {
        return new Local(node.start(), node.end(), node.inner().isEmpty() ? text(node) : text(node.inner().get(0)), told(node).type(), Optional.empty());
    }

    Node assigned(Cst node) {
        Cst target = node.inner().get(0);
        Node made = expression(target.inner().get(0));
        for (Cst each : target.children().subList(target.children().indexOf(target.inner().get(0)) + 1, target.children().size())) {
            made = behind(target.start(), made, each);
        }
        String operator = operator(node);
        return new Evaluate(node.start(), node.end(), Normal.assigned(node.start(), node.end(), made, operator, part(node, 1)));
    }

    /** What is assigned to, with one part more. What is spelled otherwise for the grammar is what it is. */
    private Node behind(int start, Node made, Cst part) {
        if (part.is("navigation_suffix")) {
            String name = part.inner().isEmpty() ? "" : text(part.inner().get(0));
            return part.has("?.") ? Normal.memberIfAny(start, part.end(), made, name) : new Member(start, part.end(), made, name);
        }
        // A word of the grammar's own has no place of its own: what is made so far ends before it.
        if (text.startsWith("(", part.named() ? part.start() : made.end())) {
            return called(start, part.named() ? part.end() : made.end() + 2, made, expressions(part.inner()));
        }
        return part.is("indexing_suffix") ? new Index(start, part.end(), made, part.inner().isEmpty() ? new Absent(part.end(), part.end())
                : expression(part.inner().get(0))) : made;
    }

    Node jump(Cst node) {
        List<Cst> values = node.inner().stream().filter(each -> !each.is("label")).toList();
        if (operator(node).startsWith("return") && values.size() == 1 && CHOICES.contains(values.get(0).kind())) {
            return Choices.handedBack(statement(values.get(0)));
        }
        Optional<Node> value = values.isEmpty() ? node.has("null") ? Optional.of(nothing(node)) : Optional.empty() : Optional.of(expression(values.get(0)));
        String word = operator(node);
        return word.startsWith("throw") ? new Throw(node.start(), node.end(), value) : word.startsWith("return") ? new Return(node.start(), node.end(), value)
                : new Jump(node.start(), node.end(), word.startsWith("break") ? JumpKind.BREAK : JumpKind.CONTINUE, Optional.empty());
    }

    Node branch(Cst node) {
        List<Cst> bodies = all(node, "control_structure_body");
        boolean onlyElse = bodies.size() == 1 && node.has("else") && node.children().stream().takeWhile(each -> !each.kind().equals("else"))
                .noneMatch(each -> each.is("control_structure_body"));
        Node then = bodies.isEmpty() || onlyElse ? new Block(node.end(), node.end(), List.of()) : block(bodies.get(0));
        Optional<Cst> rest = onlyElse ? Optional.of(bodies.get(0)) : bodies.size() > 1 ? Optional.of(bodies.get(1)) : Optional.empty();
        Optional<Node> otherwise = rest.map(each -> each.inner().size() == 1 && each.inner().get(0).is("if_expression") ? branch(each.inner().get(0)) : block(each));
        return new If(node.start(), node.end(), part(node, 0), then, otherwise);
    }

    Node each(Cst node) {
        Optional<Cst> several = find(node, "multi_variable_declaration");
        Node variable = several.<Node>map(each -> new Unpacked(each.start(), each.end(), each.inner().stream().<Node>map(this::variable).toList()))
                .orElseGet(() -> variable(find(node, "variable_declaration").orElse(node)));
        Node from = node.inner().stream().filter(each -> !each.is("variable_declaration") && !each.is("multi_variable_declaration") && !each.is("control_structure_body")
                && !each.is("annotation")).findFirst().map(this::expression).orElse(new Absent(node.end(), node.end()));
        return new Loop(node.start(), node.end(), LoopKind.EACH, List.of(variable, from), body(node));
    }

    private Block body(Cst node) {
        return find(node, "control_structure_body").map(this::block).orElseGet(() -> new Block(node.end(), node.end(), List.of()));
    }

    Node whileLoop(Cst node) {
        Node condition = node.inner().stream().filter(each -> !each.is("control_structure_body")).findFirst().map(this::expression)
                .orElse(new Absent(node.end(), node.end()));
        return new Loop(node.start(), node.end(), node.is("do_while_statement") ? LoopKind.UNTIL : LoopKind.WHILE, List.of(condition), body(node));
    }

    Node attempt(Cst node) {
        List<Node> handlers = new ArrayList<>();
        for (Cst each : all(node, "catch_block")) {
            List<Node> statements = new ArrayList<>();
            find(each, "simple_identifier").ifPresent(name -> statements.add(new Local(name.start(), name.end(), text(name), told(each).type(), Optional.empty())));
            statements.addAll(block(each).statements());
            handlers.add(new Block(each.start(), each.end(), statements));
        }
        Block body = find(node, "statements").map(this::block).orElseGet(() -> new Block(node.start(), node.start(), List.of()));
        return new Try(node.start(), node.end(), List.of(), body, handlers, find(node, "finally_block").map(this::block));
    }

    /** A when without a subject asks one condition after the other. */
    Node selection(Cst node) {
        Optional<Cst> subject = find(node, "when_subject");
        Node asked = subject.map(each -> each.inner().isEmpty() ? new Absent(each.start(), each.end()) : expression(each.inner().get(each.inner().size() - 1)))
                .orElse(new Absent(node.start(), node.start()));
        List<Arm> arms = new ArrayList<>();
        for (Cst each : all(node, "when_entry")) {
            List<Node> labels = all(each, "when_condition").stream().map(one -> label(asked, one)).toList();
            arms.add(new Arm(each.start(), each.end(), labels, each.has("else"), Optional.empty(), body(each).statements(), false));
        }
        return subject.isEmpty() && !arms.isEmpty() ? Choices.ladder(node.start(), node.end(), arms) : new Match(node.start(), node.end(), asked, arms, false);
    }

    private Node label(Node subject, Cst condition) {
        Optional<Cst> test = find(condition, "type_test");
        if (test.isPresent()) {
            Node made = Normal.ofType(condition.start(), condition.end(), subject, told(test.get()).type(), Optional.empty());
            return test.get().has("!is") ? Normal.negated(condition.start(), condition.end(), made) : made;
        }
        Optional<Cst> range = find(condition, "range_test").filter(each -> !each.has("!in")).flatMap(each -> find(each, "range_expression")).filter(each -> each.inner().size() == 2);
        return range.map(each -> Normal.between(condition.start(), condition.end(), subject, expression(each.inner().get(0)), expression(each.inner().get(1))))
                .orElseGet(() -> only(condition));
    }
}
