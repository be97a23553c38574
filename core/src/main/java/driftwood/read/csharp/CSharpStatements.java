package driftwood.read.csharp;

import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** C#'s statements. */
abstract class CSharpStatements extends CSharpExpressions {

    CSharpStatements(String text) {
        super(text);
    }

    abstract Node localFunction(Cst node);

    Node statement(Cst node) {
        return CSharpRules.STATEMENTS.of(node.kind(), (to, each) -> to.other(each)).of(this, node);
    }

    @Override
    Block block(Cst body) {
        List<Cst> inner = body.is("block") ? body.inner() : List.of(body);
        return new Block(body.start(), body.end(), statements(inner));
    }

    /** Statements in order; a declaration of several locals, or of one whose members are set at once, is several. */
    List<Node> statements(List<Cst> nodes) {
        List<Node> all = new ArrayList<>();
        for (Cst each : nodes) {
            if (each.is("local_declaration_statement")) {
                all.addAll(locals(each));
            } else if (each.kind().startsWith("preproc_if")) {
                all.addAll(statements(each.inner().stream().filter(one -> one.kind().endsWith("_statement")).toList()));
            } else {
                all.add(statement(each));
            }
        }
        return all;
    }

    List<Node> locals(Cst statement) {
        Cst declaration = statement.inner().stream().filter(each -> each.is("variable_declaration")).findFirst().orElse(statement);
        TypeRef type = declaration.part("type").map(this::type).orElse(TypeRef.NONE);
        List<Node> made = new ArrayList<>();
        for (Cst each : declaration.inner()) {
            if (each.is("variable_declarator")) {
                made.addAll(local(each, type, statement));
            }
        }
        return made;
    }

    private List<Node> local(Cst declarator, TypeRef type, Cst statement) {
        Optional<Cst> pattern = declarator.inner().stream().filter(each -> each.is("tuple_pattern")).findFirst();
        Optional<Cst> value = value(declarator);
        if (pattern.isPresent()) {
            List<Node> parts = new ArrayList<>();
            value.map(this::expression).ifPresent(parts::add);
            pattern.get().parts("name").forEach(each -> parts.add(new Local(each.start(), each.end(), text(each), TypeRef.NONE, Optional.empty())));
            return List.of(new Unpacked(statement.start(), statement.end(), parts));
        }
        String name = declarator.part("name").map(this::text).orElse("");
        List<Node> all = new ArrayList<>();
        all.add(new Local(statement.start(), statement.end(), name, type, value.map(each -> bare(creationOf(each, type)))
                .or(() -> declarator.has("=") ? Optional.of(self(declarator)) : Optional.empty())));
        value.filter(each -> each.kind().endsWith("object_creation_expression")).flatMap(CSharpExpressions::braces)
                .ifPresent(members -> members.inner().stream().filter(CSharpExpressions::isMember).forEach(each -> all.add(set(name, each))));
        return all;
    }

    /** A creation without the members that are set behind it, one by one. */
    private static Node bare(Node value) {
        return value instanceof Creation made ? new Creation(made.start(), made.end(), made.type(), made.arguments(), made.body(), made.array(),
                made.filled().stream().filter(each -> !(each instanceof Named)).toList()) : value;
    }

    /** {@code new Tug { Name = n }} sets a member right after the creation. */
    private Node set(String local, Cst assignment) {
        Cst member = assignment.part("left").orElse(assignment);
        int start = assignment.start();
        return new Evaluate(start, assignment.end(), new Assignment(start, assignment.end(), new Member(start, member.end(),
                new Name(start, start, local), text(member)), "=", part(assignment, "right")));
    }

    /** The value of a declarator, which no field of the grammar names. */
    static Optional<Cst> value(Cst declarator) {
        List<Cst> inner = declarator.inner();
        boolean given = declarator.has("=") && inner.size() > 1;
        return given ? Optional.of(inner.get(inner.size() - 1)) : Optional.empty();
    }

    Node oneOrMore(Cst node) {
        List<Node> all = locals(node);
        return all.size() == 1 ? all.get(0) : new Block(node.start(), node.end(), all);
    }

    // driftwood: leave misplaced-behaviour because a parsed node knows nothing of the tree that is made of it
    Node evaluated(Cst node) {
        if (node.inner().isEmpty()) {
            return new Empty(node.start(), node.end());
        }
        Node value = expression(node.inner().get(0));
        return value instanceof Throw ? value : new Evaluate(node.start(), node.end(), value);
    }

    Node back(Cst node) {
        boolean nothing = node.inner().isEmpty() && !node.has("this");
        return new Return(node.start(), node.end(), nothing ? Optional.empty() : Optional.of(only(node)));
    }

    Node thrown(Cst node) {
        return new Throw(node.start(), node.end(), node.inner().stream().findFirst().map(this::expression));
    }

    Node branch(Cst node) {
        Optional<Node> otherwise = node.part("alternative").map(each -> each.is("if_statement") ? branch(each) : block(each));
        return new If(node.start(), node.end(), part(node, "condition"), node.part("consequence").<Node>map(this::block)
                .orElseGet(() -> new Empty(node.end(), node.end())), otherwise);
    }

    Block body(Cst node) {
        return node.part("body").or(() -> node.inner().stream().filter(each -> each.is("block")).findFirst()).map(this::block)
                .orElseGet(() -> new Block(node.end(), node.end(), List.of()));
    }

    Node each(Cst node) {
        Cst left = node.part("left").orElse(node);
        Node variable = left.is("identifier") ? new Local(left.start(), left.end(), text(left), node.part("type").map(this::type).orElse(TypeRef.NONE), Optional.empty())
                : new Unpacked(left.start(), left.end(), left.parts("name").stream().<Node>map(each -> new Local(each.start(), each.end(), text(each),
                TypeRef.NONE, Optional.empty())).toList());
        return new Loop(node.start(), node.end(), LoopKind.EACH, List.of(variable, part(node, "right")), body(node));
    }

    Node counted(Cst node) {
        List<Node> header = new ArrayList<>();
        node.part("initializer").ifPresent(each -> header.addAll(each.is("variable_declaration") ? locals(each) : List.of(expression(each))));
        node.part("condition").map(this::expression).ifPresent(header::add);
        node.parts("update").forEach(each -> header.add(expression(each)));
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
                each.inner().stream().filter(one -> one.is("catch_declaration")).findFirst().flatMap(one -> one.part("name").map(name ->
                        new Local(one.start(), one.end(), text(name), one.part("type").map(this::type).orElse(TypeRef.NONE), Optional.empty())))
                        .ifPresent(statements::add);
                statements.addAll(body(each).statements());
                handlers.add(new Block(each.start(), each.end(), statements));
            } else if (each.is("finally_clause")) {
                last = Optional.of(body(each));
            }
        }
        return new Try(node.start(), node.end(), List.of(), body(node), handlers, last);
    }

    /** What is used and closed behind a block. */
    Node using(Cst node) {
        List<Node> resources = new ArrayList<>();
        Cst body = node.part("body").orElse(node);
        for (Cst each : node.inner()) {
            if (each.is("variable_declaration")) {
                resources.addAll(locals(each));
            } else if (each != body) {
                resources.add(new Evaluate(each.start(), each.end(), expression(each)));
            }
        }
        return new Try(node.start(), node.end(), resources, body(node), List.of(), Optional.empty());
    }

    /** A block under a lock, or with other arithmetic, is a block. */
    Node within(Cst node) {
        return body(node);
    }

    Node yields(Cst node) {
        return node.has("break") ? new Return(node.start(), node.end(), Optional.empty())
                : new Evaluate(node.start(), node.end(), new Yield(node.start(), node.end(), node.inner().isEmpty() ? List.of(self(node)) : expressions(node.inner())));
    }

    Node selection(Cst node) {
        Node subject = part(node, "value");
        CSharpPatterns patterns = new CSharpPatterns(this);
        List<Arm> arms = new ArrayList<>();
        for (Cst section : node.part("body").map(Cst::inner).orElse(List.of())) {
            List<Cst> labels = new ArrayList<>();
            List<Cst> statements = new ArrayList<>();
            for (Cst each : section.inner()) {
                boolean statement = each.kind().endsWith("_statement") || each.is("block");
                if (statement) {
                    statements.add(each);
                } else if (!each.is("when_clause")) {
                    labels.add(each);
                }
            }
            List<Node> body = statements(statements);
            arms.add(patterns.arm(subject, section, labels, body, body.isEmpty()));
        }
        return new Match(node.start(), node.end(), subject, arms, false);
    }
}
