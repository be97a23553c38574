package driftwood.read.java;

import com.sun.source.tree.ArrayAccessTree;
import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.InstanceOfTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.SourcePositions;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;

/**
 * Where the trees of a file start. The compiler answers by walking down to the first token, each time anew: asked at every
 * link of a long chain or sum, that grows with the square. Here what was found on the way down is kept.
 */
final class Starts {
    /** A shorter walk is cheaper than keeping what was found. */
    private static final int SHORT = 8;

    private final CompilationUnitTree file;
    private final SourcePositions positions;
    private final Map<Tree, Integer> known = new IdentityHashMap<>();

    Starts(CompilationUnitTree file, SourcePositions positions) {
        this.file = file;
        this.positions = positions;
    }

    /** Offset of the first character; 0 where the compiler does not know. */
    int of(Tree tree) {
        if (known.isEmpty()) {
            Tree bottom = tree;
            int steps = 0;
            for (Tree left = first(bottom); left != null && steps <= SHORT; left = first(bottom)) {
                bottom = left;
                steps++;
            }
            if (steps <= SHORT) {
                return Math.max(0, (int) positions.getStartPosition(file, bottom));
            }
        }
        List<Tree> way = new ArrayList<>(SHORT);
        Tree at = tree;
        Integer start = known.get(at);
        for (Tree left = first(at); start == null && left != null; left = first(at)) {
            way.add(at);
            at = left;
            start = known.get(at);
        }
        int found = start == null ? Math.max(0, (int) positions.getStartPosition(file, at)) : start;
        if (way.size() > SHORT) {
            way.forEach(each -> known.put(each, found));
        }
        return found;
    }

    /** The part that a tree begins with; null where that is a token of its own. */
    private static Tree first(Tree tree) {
        return switch (tree.getKind()) {
            case MEMBER_SELECT -> ((MemberSelectTree) tree).getExpression();
            case METHOD_INVOCATION -> ((MethodInvocationTree) tree).getMethodSelect();
            case ARRAY_ACCESS -> ((ArrayAccessTree) tree).getExpression();
            case MEMBER_REFERENCE -> ((MemberReferenceTree) tree).getQualifierExpression();
            case CONDITIONAL_EXPRESSION -> ((ConditionalExpressionTree) tree).getCondition();
            case INSTANCE_OF -> ((InstanceOfTree) tree).getExpression();
            default -> tree instanceof BinaryTree binary ? binary.getLeftOperand()
                    : tree instanceof AssignmentTree assignment ? assignment.getVariable()
                    : tree instanceof CompoundAssignmentTree compound ? compound.getVariable() : null;
        };
    }
}
