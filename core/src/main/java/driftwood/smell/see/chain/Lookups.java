package driftwood.smell.see.chain;

import driftwood.tree.Binary;
import driftwood.tree.Call;
import driftwood.tree.Cast;
import driftwood.tree.EqualityTest;
import driftwood.tree.Jump;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import driftwood.tree.Member;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.NullTest;
import driftwood.tree.Return;
import driftwood.tree.Sequence;
import driftwood.tree.TreeVisitor;
import driftwood.tree.Unary;
import java.util.regex.Pattern;

/** Tells lookups from computations: a literal, a constant, a text assembled from those, or one plain getter. */
final class Lookups implements TreeVisitor<Boolean> {
    private static final Lookups INSTANCE = new Lookups();
    /** Routines that a language has in the place of a form of its own for collections. */
    private static final Pattern COLLECTED = Pattern.compile("(list|set|array|map|sequence|[a-z]+Array)Of");

    private Lookups() {
    }

    static boolean isLookup(Node value) {
        return value.accept(INSTANCE);
    }

    /** Whether a statement gives a text that is put together of parts of an object. */
    static boolean isPutTogether(Node statement) {
        return statement.accept(GIVEN) instanceof Binary sum && isText(sum) && hasPart(sum);
    }

    /** What a statement gives back; itself where it gives nothing. */
    private static final TreeVisitor<Node> GIVEN = new TreeVisitor<>() {
        @Override
        public Node visitNode(Node node) {
            return node;
        }

        @Override
        public Node visitReturn(Return back) {
            return back.value().orElse(back);
        }

        @Override
        public Node visitJump(Jump jump) {
            return jump.value().orElse(jump);
        }
    };

    private static boolean hasPart(Node node) {
        return node instanceof Binary sum ? hasPart(sum.left()) || hasPart(sum.right()) : node instanceof Call call && call.receiver().isPresent() || node instanceof Member;
    }

    @Override
    public Boolean visitNode(Node node) {
        return false;
    }

    @Override
    public Boolean visitLiteral(Literal literal) {
        return true;
    }

    @Override
    public Boolean visitName(Name name) {
        return true;
    }

    @Override
    public Boolean visitMember(Member member) {
        return isLookup(member.receiver());
    }

    @Override
    public Boolean visitCast(Cast cast) {
        return isLookup(cast.value());
    }

    /** A tuple or list of such. */
    @Override
    public Boolean visitSequence(Sequence collection) {
        return collection.parts().stream().allMatch(Lookups::isLookup);
    }

    @Override
    public Boolean visitUnary(Unary unary) {
        return !unary.operator().equals("++") && !unary.operator().equals("--") && isLookup(unary.operand());
    }

    @Override
    public Boolean visitBinary(Binary sum) {
        return sum.operator().equals("+") && isLookup(sum.left()) && isLookup(sum.right()) && isText(sum);
    }

    /** A sum is a text where one of its parts is; a sum of numbers is a computation. */
    private static boolean isText(Node node) {
        return node instanceof Literal literal && literal.kind() == LiteralKind.STRING
                || node instanceof Binary sum && (isText(sum.left()) || isText(sum.right()));
    }

    @Override
    public Boolean visitEqualityTest(EqualityTest test) {
        return isLookup(test.left()) && isLookup(test.right());
    }

    @Override
    public Boolean visitNullTest(NullTest test) {
        return isLookup(test.subject());
    }

    @Override
    public Boolean visitCall(Call call) {
        if (call.arguments().isEmpty()) {
            return call.receiver().map(receiver -> receiver instanceof Name || receiver instanceof Cast
                            || receiver instanceof Member)
                    .orElse(call.name().startsWith("get") || call.name().startsWith("is") || call.name().matches("(Get|Is)[A-Z].*"));
        }
        boolean onType = call.receiver().filter(receiver -> receiver instanceof Name name
                && Character.isUpperCase(name.name().charAt(0))).isPresent();
        boolean listed = call.receiver().isEmpty() && COLLECTED.matcher(call.name()).matches();
        return onType && call.arguments().stream().allMatch(Literal.class::isInstance) || listed && call.arguments().stream().allMatch(Lookups::isLookup);
    }
}
