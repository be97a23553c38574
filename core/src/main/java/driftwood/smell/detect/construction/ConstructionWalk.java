package driftwood.smell.detect.construction;

import driftwood.program.Whereabouts;
import driftwood.read.FileTree;
import driftwood.smell.Seer;
import driftwood.smell.detect.construction.ConstructionSighting.Kind;
import driftwood.tree.Binary;
import driftwood.tree.Block;
import driftwood.tree.Call;
import driftwood.tree.Conditional;
import driftwood.tree.Creation;
import driftwood.tree.If;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.NullTest;
import driftwood.tree.Return;
import driftwood.tree.Routine;
import driftwood.tree.Search;
import driftwood.tree.Throw;
import driftwood.tree.TreeVisitor;
import driftwood.tree.Unary;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Sees optional parameters of constructors, routines that create, and values that are put in order. */
final class ConstructionWalk extends Whereabouts {
    static final Seer<ConstructionSighting> SEER = new Seer<>("construction", 2, ConstructionSighting.class, file -> {
        ConstructionWalk walk = new ConstructionWalk(file);
        walk.scan(file.unit());
        return walk.sightings;
    });
    private static final Set<String> LOGIC = Set.of("&&", "||");
    private static final Set<String> ORDER = Set.of("<", ">", "<=", ">=");
    private final List<ConstructionSighting> sightings = new ArrayList<>();

    private ConstructionWalk(FileTree file) {
        super(file);
    }

    private void optional(Node subject) {
        Optional<Routine> around = routine();
        if (around.isPresent() && subject instanceof Name name && around.get().parameters().stream()
                .anyMatch(parameter -> parameter.name().equals(name.name()))) {
            sightings.add(new ConstructionSighting(Kind.OPTIONAL, member(), name.name(), file.line(subject)));
        }
    }

    @Override
    public Void visitIf(If branch) {
        if (branch.condition() instanceof NullTest test && !endsInThrow(branch.then())) {
            optional(test.subject());
        }
        compared(branch.condition(), branch);
        return visitNode(branch);
    }

    private static boolean endsInThrow(Node body) {
        return body instanceof Throw || body instanceof Block block && !block.statements().isEmpty()
                && block.statements().get(block.statements().size() - 1) instanceof Throw;
    }

    @Override
    public Void visitConditional(Conditional choice) {
        if (choice.condition() instanceof NullTest test) {
            optional(test.subject());
        }
        compared(choice.condition(), choice);
        return visitNode(choice);
    }

    /** {@code if (from > to) return span(to, from)}: which of two values comes first decides how they are handed over. */
    private void compared(Node condition, Node whole) {
        condition.accept(new TreeVisitor<Void>() {
            @Override
            public Void visitNode(Node other) {
                return null;
            }

            @Override
            public Void visitBinary(Binary binary) {
                if (LOGIC.contains(binary.operator())) {
                    binary.left().accept(this);
                    binary.right().accept(this);
                } else if (ORDER.contains(binary.operator())) {
                    ordered(binary.left(), binary.right(), whole);
                }
                return null;
            }

            @Override
            public Void visitCall(Call call) {
                if (call.receiver().isPresent() && call.arguments().size() == 1) {
                    ordered(call.receiver().get(), call.arguments().get(0), whole);
                }
                return null;
            }
        });
    }

    private void ordered(Node left, Node right, Node whole) {
        if (left instanceof Name one && right instanceof Name other && Search.any(whole, node -> hands(node, one.name(), other.name()))) {
            sightings.add(new ConstructionSighting(Kind.ORDERS, member(), one.name() + " " + other.name(), file.line(whole)));
        }
    }

    private static boolean hands(Node node, String one, String other) {
        List<Node> arguments = arguments(node);
        return arguments.size() > 1 && isAmong(one, arguments) && isAmong(other, arguments);
    }

    private static boolean isAmong(String name, List<Node> arguments) {
        for (Node each : arguments) {
            if (each instanceof Name plain && plain.name().equals(name)) {
                return true;
            }
        }
        return false;
    }

    private static List<Node> arguments(Node node) {
        return node instanceof Call call ? call.arguments() : node instanceof Creation creation ? creation.arguments() : List.of();
    }

    /** {@code -difference(to, from)}: the result is turned back. */
    @Override
    public Void visitUnary(Unary unary) {
        List<String> handed = unary.operator().equals("-") ? arguments(unary.operand()).stream().filter(Name.class::isInstance).map(each -> ((Name) each).name()).toList() : List.of();
        for (int i = 1; i < handed.size(); i++) {
            sightings.add(new ConstructionSighting(Kind.ORDERS, member(), handed.get(i - 1) + " " + handed.get(i), file.line(unary)));
        }
        return visitNode(unary);
    }

    @Override
    public Void visitCall(Call call) {
        if (call.name().startsWith("requireNonNullElse") && !call.arguments().isEmpty()) {
            optional(call.arguments().get(0));
        }
        return visitNode(call);
    }

    @Override
    public Void visitReturn(Return back) {
        back.value().ifPresent(value -> {
            boolean overload = value instanceof Call call && call.receiver().isEmpty()
                    && routine().map(around -> around.name().equals(call.name())).orElse(false);
            if (value instanceof Creation || overload) {
                sightings.add(new ConstructionSighting(Kind.CREATES, member(), "", file.line(back)));
            }
        });
        return visitNode(back);
    }
}
