package driftwood.smell.chain;

import driftwood.smell.chain.Chain.Product;
import driftwood.smell.chain.Chain.Work;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What the body of an arm amounts to: work, a lookup, a creation, an error or nothing. */
final class Bodies {
    private final String source;

    Bodies(String source) {
        this.source = source;
    }

    /** Statements of a body, blocks opened, jumps without a value and casts into locals left out. */
    static List<Node> statements(List<Node> body) {
        List<Node> flat = new ArrayList<>();
        for (Node each : body) {
            if (each instanceof Block block) {
                flat.addAll(statements(block.statements()));
            } else if (!isSilent(each)) {
                flat.add(each);
            }
        }
        return flat;
    }

    private static boolean isSilent(Node node) {
        return node instanceof Jump jump && jump.value().isEmpty()
                || node instanceof Return back && back.value().isEmpty()
                || node instanceof Local local && local.initial().map(Cast.class::isInstance).orElse(false)
                || node instanceof Other other && other.what().equals("empty");
    }

    Work work(List<Node> body) {
        List<Node> statements = statements(body);
        if (statements.isEmpty()) {
            return Work.NOTHING;
        }
        if (statements.size() == 1) {
            return ofStatement(statements.get(0));
        }
        boolean configured = product(body).isPresent() && statements.get(0) instanceof Local
                && statements.size() == 2;
        return configured ? Work.CREATES : Work.ACTS;
    }

    private Work ofStatement(Node node) {
        if (node instanceof Throw) {
            return Work.THROWS;
        }
        if (node instanceof Return back) {
            return back.value().map(this::ofValue).orElse(Work.NOTHING);
        }
        if (node instanceof Jump jump) {
            return jump.value().map(this::ofValue).orElse(Work.NOTHING);
        }
        if (node instanceof Local local) {
            return local.initial().map(this::ofValue).orElse(Work.NOTHING);
        }
        if (node instanceof Evaluate evaluate) {
            return ofEffect(evaluate.expression());
        }
        if (node instanceof If branch) {
            Work then = work(List.of(branch.then()));
            Work otherwise = branch.otherwise().map(each -> work(List.of(each))).orElse(Work.NOTHING);
            return then.compareTo(otherwise) > 0 ? then : otherwise;
        }
        if (node instanceof Match match) {
            return match.arms().stream().map(arm -> work(arm.body())).max(Work::compareTo).orElse(Work.NOTHING);
        }
        return node instanceof Loop || node instanceof Try || node instanceof Other || node instanceof TypeDeclaration
                ? Work.ACTS : ofValue(node);
    }

    private Work ofEffect(Node expression) {
        if (expression instanceof Assignment assignment) {
            return assignment.operator().equals("=") ? ofValue(assignment.value()) : Work.ACTS;
        }
        if (expression instanceof Call call && call.arguments().size() == 1
                && call.arguments().get(0) instanceof Creation creation && !creation.array()) {
            return Work.CREATES;
        }
        return Work.ACTS;
    }

    Work ofValue(Node value) {
        if (value instanceof Creation creation) {
            return creation.array() ? lookup(creation.arguments()) : Work.CREATES;
        }
        if (value instanceof Throw) {
            return Work.THROWS;
        }
        if (value instanceof Block block) {
            return work(block.statements());
        }
        return isLookup(value) ? Work.LOOKS_UP : Work.ACTS;
    }

    private Work lookup(List<Node> parts) {
        return parts.stream().allMatch(Bodies::isLookup) ? Work.LOOKS_UP : Work.ACTS;
    }

    /** A literal, a constant, a text assembled from those, or one plain getter. */
    static boolean isLookup(Node value) {
        if (value instanceof Literal || value instanceof Name) {
            return true;
        }
        if (value instanceof Member member) {
            return isLookup(member.receiver());
        }
        if (value instanceof Cast cast) {
            return isLookup(cast.value());
        }
        if (value instanceof Unary unary) {
            return !unary.operator().equals("++") && !unary.operator().equals("--") && isLookup(unary.operand());
        }
        if (value instanceof Binary sum) {
            return sum.operator().equals("+") && isLookup(sum.left()) && isLookup(sum.right()) && isText(sum);
        }
        if (value instanceof EqualityTest test) {
            return isLookup(test.left()) && isLookup(test.right());
        }
        if (value instanceof NullTest test) {
            return isLookup(test.subject());
        }
        return value instanceof Call call && isGetter(call);
    }

    /** A sum is a text where one of its parts is; a sum of numbers is a computation. */
    private static boolean isText(Node node) {
        return node instanceof Literal literal && literal.kind() == LiteralKind.STRING
                || node instanceof Binary sum && (isText(sum.left()) || isText(sum.right()));
    }

    private static boolean isGetter(Call call) {
        if (call.arguments().isEmpty()) {
            return call.receiver().map(receiver -> receiver instanceof Name || receiver instanceof Cast
                            || receiver instanceof Member)
                    .orElse(call.name().startsWith("get") || call.name().startsWith("is"));
        }
        boolean onType = call.receiver().filter(receiver -> receiver instanceof Name name
                && Character.isUpperCase(name.name().charAt(0))).isPresent();
        return onType && call.arguments().stream().allMatch(Literal.class::isInstance);
    }

    /** What a body creates as its result: returned, assigned, or handed to one call. */
    Optional<Product> product(List<Node> body) {
        List<Node> statements = statements(body);
        if (statements.isEmpty()) {
            return Optional.empty();
        }
        Map<String, Creation> locals = new HashMap<>();
        for (Node each : statements) {
            if (each instanceof Local local && local.initial().isPresent()
                    && local.initial().get() instanceof Creation creation) {
                locals.put(local.name(), creation);
            }
        }
        Node last = statements.get(statements.size() - 1);
        if (last instanceof Return back && back.value().isPresent()) {
            return created(back.value().get(), locals, "return");
        }
        if (last instanceof Jump jump && jump.value().isPresent()) {
            return created(jump.value().get(), locals, "return");
        }
        if (last instanceof Evaluate evaluate) {
            return ofLast(evaluate.expression(), locals);
        }
        return created(last, locals, "return");
    }

    private Optional<Product> ofLast(Node expression, Map<String, Creation> locals) {
        if (expression instanceof Assignment assignment && assignment.operator().equals("=")) {
            return created(assignment.value(), locals, "= " + assignment.target().text(source));
        }
        if (expression instanceof Call call && call.arguments().size() == 1) {
            String receiver = call.receiver().map(each -> each.text(source) + ".").orElse("");
            return created(call.arguments().get(0), locals, receiver + call.name());
        }
        return created(expression, locals, "return");
    }

    private static Optional<Product> created(Node value, Map<String, Creation> locals, String use) {
        Node made = value instanceof Cast cast ? cast.value() : value;
        Creation creation = made instanceof Creation direct ? direct
                : made instanceof Name name ? locals.get(name.name()) : null;
        return creation == null || creation.array() ? Optional.empty()
                : Optional.of(new Product(creation.type().name(), use, creation.body().isPresent()));
    }

    /** Types that a body casts to, each once. */
    static List<String> casts(List<Node> body) {
        List<String> types = new ArrayList<>();
        TreeScanner scanner = new TreeScanner() {
            @Override
            public Void visitCast(Cast cast) {
                if (!types.contains(cast.type().simpleName())) {
                    types.add(cast.type().simpleName());
                }
                return visitNode(cast);
            }
        };
        body.forEach(scanner::scan);
        return types;
    }

    /** Whether control never runs past the end of a body. */
    static boolean leaves(Node body) {
        if (body instanceof Block block) {
            return !block.statements().isEmpty() && leaves(block.statements().get(block.statements().size() - 1));
        }
        if (body instanceof If branch) {
            return branch.otherwise().isPresent() && leaves(branch.then()) && leaves(branch.otherwise().get());
        }
        return body instanceof Return || body instanceof Throw
                || body instanceof Jump jump && jump.kind() == JumpKind.CONTINUE;
    }
}
