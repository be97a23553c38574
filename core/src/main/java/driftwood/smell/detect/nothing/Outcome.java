package driftwood.smell.detect.nothing;

import driftwood.read.FileTree;
import driftwood.smell.detect.nothing.NothingSighting.Kind;
import driftwood.source.Language;
import driftwood.tree.Binary;
import driftwood.tree.Block;
import driftwood.tree.Call;
import driftwood.tree.Conditional;
import driftwood.tree.If;
import driftwood.tree.Jump;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.NullTest;
import driftwood.tree.Return;
import driftwood.tree.Search;
import driftwood.tree.Throw;
import java.util.List;
import java.util.Optional;

/** What a guard does for nothing, told by its branches. */
final class Outcome {
    private Outcome() {
    }

    /** Whether nothing is thrown, skipped, or replaced. @param forNothing empty where nothing is passed over */
    static Kind of(Optional<Node> forNothing) {
        if (forNothing.isEmpty()) {
            return Kind.GUARD_PASSES_OVER;
        }
        Node last = lastOf(forNothing.get());
        if (isUnsaid(last)) {
            return Kind.GUARD_SKIPS;
        }
        if (last instanceof Throw) {
            return Kind.GUARD_THROWS;
        }
        boolean leaves = last instanceof Jump
                || last instanceof Return back && (back.value().isEmpty() || isNull(back.value().get()));
        return leaves ? Kind.GUARD_SKIPS : Kind.GUARD_DEFAULTS;
    }

    /** The last statement of a body. */
    static Node lastOf(Node body) {
        return body instanceof Block block && !block.statements().isEmpty()
                ? lastOf(block.statements().get(block.statements().size() - 1)) : body;
    }

    static boolean isNull(Node node) {
        return node instanceof Literal literal && literal.kind() == LiteralKind.NULL;
    }

    /**
     * {@code if (turn != null) throw ...}: the way ends where there is something, without a word about it; nobody goes without it.
     *
     * @param name by which the value is known @param forSomething empty where there is no such way
     */
    static boolean isAskedOnly(NullTest test, String name, Optional<Node> forSomething, Node whole) {
        if (!(whole instanceof If branch) || branch.condition() instanceof Binary || forSomething.isEmpty()) {
            return false;
        }
        List<Node> body = Search.statements(forSomething.get());
        boolean ends = body.size() == 1 && (body.get(0) instanceof Throw || body.get(0) instanceof Jump || body.get(0) instanceof Return back
                && !back.value().map(value -> Search.any(value, Call.class::isInstance)).orElse(false));
        return ends && !Search.mentions(body.get(0), name) && !(test.subject() instanceof Name local && Search.mentions(body.get(0), local.name()));
    }

    /** Nothing, or a value or nothing. */
    static boolean mayBeNull(Node value) {
        return isNull(value) || value instanceof Conditional choice && (isNull(choice.then()) || isNull(choice.otherwise()));
    }

    /** The nothing that {@code a?.b()} gives for nothing. */
    private static boolean isUnsaid(Node node) {
        return isNull(node) && node.start() == node.end();
    }

    /** As a reader would say it. */
    static String describe(FileTree file, Optional<Node> forNothing, Optional<Node> forSomething) {
        if (forNothing.isEmpty() || isUnsaid(forNothing.get())) {
            return forSomething.map(node -> "skips " + file.brief(firstOf(node))).orElse("skips");
        }
        return "when " + Language.nothingIn(file.file().path()) + ": " + file.brief(firstOf(forNothing.get()));
    }

    private static Node firstOf(Node body) {
        return body instanceof Block block && !block.statements().isEmpty() ? firstOf(block.statements().get(0)) : body;
    }
}
