package driftwood.read.ruby;

import driftwood.read.Choices;
import driftwood.read.Normal;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Ruby's statements, which are expressions that nobody asks for. */
abstract class RubyStatements extends RubyExpressions {
    private static final Set<String> BODIES = Set.of("body_statement", "then", "do", "else", "block_body", "begin", "ensure", "parenthesized_statements", "program");
    private static final Set<String> ENDINGS = Set.of("rescue", "ensure", "else");

    RubyStatements(String text) {
        super(text);
    }

    abstract Node declaration(Cst node);

    Node statement(Cst node) {
        return RubyRules.STATEMENTS.of(node.kind(), (to, each) -> to.evaluated(each)).of(this, node);
    }

    List<Node> statements(List<Cst> nodes) {
        return nodes.stream().map(this::statement).toList();
    }

    @Override
    Block block(Cst body) {
        List<Cst> inner = BODIES.contains(body.kind()) ? body.inner() : List.of(body);
        boolean protects = inner.stream().anyMatch(each -> each.is("rescue") || each.is("ensure"));
        return locals.inBlock(() -> new Block(body.start(), body.end(), protects ? List.of(attempt(body)) : statements(inner)));
    }

    private Block of(Cst node, String field) {
        return node.part(field).map(this::block).orElseGet(() -> new Block(node.end(), node.end(), List.of()));
    }

    Node evaluated(Cst node) {
        Node value = expression(node);
        return value instanceof Throw || value instanceof TypeDeclaration ? value : new Evaluate(node.start(), node.end(), value);
    }

    /** The first assignment of a bare word declares a local; several at once take a value apart. */
    Node assigned(Cst node) {
        Cst left = node.part("left").orElse(node);
        int start = node.start();
        int end = node.end();
        if (left.is("left_assignment_list")) {
            List<Node> parts = new ArrayList<>(List.of(part(node, "right")));
            for (Cst each : left.inner()) {
                if (each.is("identifier")) {
                    locals.know(text(each));
                    parts.add(new Local(each.start(), each.end(), text(each), TypeRef.NONE, Optional.empty()));
                } else {
                    parts.add(target(each));
                }
            }
            return new Unpacked(start, end, parts);
        }
        Node value = part(node, "right");
        boolean fresh = left.is("identifier") && locals.takes(text(left));
        return fresh && !locals.hoists(text(left)) ? new Local(start, end, text(left), TypeRef.NONE, Optional.of(value))
                : new Evaluate(start, end, new Assignment(start, end, target(left), "=", value));
    }

    Node back(Cst node) {
        List<Cst> values = given(node);
        return new Return(node.start(), node.end(), values.isEmpty() ? Optional.empty() : Optional.of(values.size() == 1 ? expression(values.get(0))
                : new Sequence(node.start(), node.end(), "list", expressions(values))));
    }

    /** What stands behind a word, with or without a list around it. */
    static List<Cst> given(Cst node) {
        return node.inner().stream().flatMap(each -> each.is("argument_list") ? each.inner().stream() : java.util.stream.Stream.of(each)).toList();
    }

    private Node condition(Cst node) {
        Node asked = part(node, "condition");
        return node.kind().startsWith("unless") || node.kind().startsWith("until") ? Normal.negated(asked.start(), asked.end(), asked) : asked;
    }

    Node branch(Cst node) {
        Optional<Node> otherwise = node.part("alternative").map(each -> each.is("elsif") ? branch(each) : block(each));
        return new If(node.start(), node.end(), condition(node), of(node, "consequence"), otherwise);
    }

    /** {@code do_this if that}. */
    Node modified(Cst node) {
        Block body = node.part("body").map(each -> new Block(each.start(), each.end(), List.of(statement(each)))).orElseThrow();
        if (node.is("while_modifier") || node.is("until_modifier")) {
            boolean first = node.part("body").filter(each -> each.is("begin")).isPresent();
            return new Loop(node.start(), node.end(), first ? LoopKind.UNTIL : LoopKind.WHILE, List.of(condition(node)), body);
        }
        return new If(node.start(), node.end(), condition(node), body, Optional.empty());
    }

    Node whileLoop(Cst node) {
        return new Loop(node.start(), node.end(), LoopKind.WHILE, List.of(condition(node)), of(node, "body"));
    }

    Node each(Cst node) {
        Cst pattern = node.part("pattern").orElse(node);
        locals.know(text(pattern));
        Node variable = new Local(pattern.start(), pattern.end(), text(pattern), TypeRef.NONE, Optional.empty());
        return new Loop(node.start(), node.end(), LoopKind.EACH, List.of(variable, node.part("value").map(this::only).orElse(variable)), of(node, "body"));
    }

    /** {@code list.each do |e| ... end} is a loop; any other call is what it is. */
    Node called(Cst node) {
        Optional<Cst> block = node.part("block");
        boolean walks = block.isPresent() && node.part("method").map(this::text).orElse("").equals("each") && node.part("receiver").isPresent();
        List<Parameter> taken = block.flatMap(each -> each.part("parameters")).map(this::parameters).orElse(List.of());
        if (!walks || taken.size() != 1) {
            return evaluated(node);
        }
        Parameter each = taken.get(0);
        locals.know(each.name());
        return new Loop(node.start(), node.end(), LoopKind.EACH, List.of(new Local(each.start(), each.end(), each.name(), TypeRef.NONE, Optional.empty()),
                part(node, "receiver")), of(block.get(), "body"));
    }

    Node attempt(Cst node) {
        List<Node> handlers = new ArrayList<>();
        Optional<Block> last = Optional.empty();
        List<Cst> body = new ArrayList<>();
        for (Cst each : node.inner()) {
            if (each.is("rescue")) {
                List<Node> statements = new ArrayList<>();
                each.part("variable").filter(one -> !one.inner().isEmpty()).ifPresent(one -> {
                    String name = text(one.inner().get(0));
                    locals.know(name);
                    statements.add(new Local(one.start(), one.end(), name, each.part("exceptions").filter(types -> !types.inner().isEmpty())
                            .map(types -> RubyCalls.type(types.inner().get(0), this)).orElse(TypeRef.NONE), Optional.empty()));
                });
                statements.addAll(of(each, "body").statements());
                handlers.add(new Block(each.start(), each.end(), statements));
            } else if (each.is("ensure")) {
                last = Optional.of(new Block(each.start(), each.end(), statements(each.inner())));
            } else if (each.is("else")) {
                body.addAll(each.inner());
            } else {
                body.add(each);
            }
        }
        Block done = new Block(node.start(), node.end(), statements(body));
        return handlers.isEmpty() && last.isEmpty() ? done : new Try(node.start(), node.end(), List.of(), done, handlers, last);
    }

    /** Types that a value is compared with by {@code when} are tests; a case without a value asks one condition after the other. */
    Node selection(Cst node) {
        Optional<Node> subject = node.part("value").map(this::expression);
        List<Arm> arms = new ArrayList<>();
        for (Cst each : node.inner()) {
            if (each.is("when") || each.is("in_clause")) {
                List<Node> labels = new ArrayList<>();
                for (Cst pattern : each.parts("pattern")) {
                    Cst label = pattern.is("pattern") && pattern.inner().size() == 1 ? pattern.inner().get(0) : pattern;
                    boolean range = subject.isPresent() && label.is("range") && label.inner().size() == 2;
                    labels.add(range ? Normal.between(label.start(), label.end(), subject.get(), expression(label.inner().get(0)), expression(label.inner().get(1)))
                            : subject.isPresent() && RubyCalls.isType(label, this) ? Normal.ofType(label.start(), label.end(), subject.get(), RubyCalls.type(label, this),
                            Optional.empty()) : expression(label));
                }
                arms.add(new Arm(each.start(), each.end(), labels, false, Optional.empty(), of(each, "body").statements(), false));
            } else if (each.is("else")) {
                arms.add(new Arm(each.start(), each.end(), List.of(), true, Optional.empty(), statements(each.inner()), false));
            }
        }
        return subject.isEmpty() && !arms.isEmpty() ? Choices.ladder(node.start(), node.end(), arms)
                : new Match(node.start(), node.end(), subject.orElseGet(() -> new Absent(node.start(), node.start())), arms, false);
    }

    /** A choice whose value is used: a conditional where both ways are one expression, else its parts. */
    Node chosen(Cst node) {
        Node made = statement(node);
        // driftwood: leave type-switch because the two ways of choosing are told apart where their value is made
        return made instanceof If branch ? Choices.value(branch, Optional.of(new Literal(node.end(), node.end(), LiteralKind.NULL, "null"))) : made instanceof Match match ? Choices.value(match)
                : new Other(node.start(), node.end(), node.kind(), List.of(made));
    }
}
