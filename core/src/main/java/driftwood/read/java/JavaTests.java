package driftwood.read.java;

import driftwood.tree.Call;
import driftwood.tree.EqualityTest;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.NullTest;
import driftwood.tree.TypeRef;
import driftwood.tree.TypeTest;
import driftwood.tree.Unary;
import java.util.List;
import java.util.Optional;

/** The normal forms of Java's tests: the many ways to write the same question become one node. */
final class JavaTests {
    private JavaTests() {
    }

    /** What a call asks, where it is one of the library's ways to ask for nothing, a type or equality. */
    static Optional<Node> ofCall(int start, int end, Node receiver, String name, List<Node> arguments) {
        boolean objects = receiver instanceof Name owner && owner.name().equals("Objects");
        if (arguments.size() == 1) {
            Node argument = arguments.get(0);
            switch (name) {
                case "equals", "equalsIgnoreCase", "contentEquals":
                    return Optional.of(equality(start, end, receiver, argument, false));
                case "isNull", "nonNull":
                    return objects ? Optional.of(new NullTest(start, end, argument, name.equals("nonNull")))
                            : Optional.empty();
                case "isInstance":
                    return typeLiteral(receiver)
                            .map(type -> new TypeTest(start, end, argument, type, false, Optional.empty()));
                default:
                    return Optional.empty();
            }
        }
        return objects && arguments.size() == 2 && name.equals("equals")
                ? Optional.of(equality(start, end, arguments.get(0), arguments.get(1), false)) : Optional.empty();
    }

    /** A comparison, as a test for nothing or for a type where it is one. */
    static Node equality(int start, int end, Node left, Node right, boolean negated) {
        if (isNull(right)) {
            return new NullTest(start, end, left, negated);
        }
        if (isNull(left)) {
            return new NullTest(start, end, right, negated);
        }
        Optional<Node> typeTest = classComparison(start, end, left, right)
                .or(() -> classComparison(start, end, right, left));
        if (typeTest.isPresent()) {
            return negated ? new Unary(start, end, "!", typeTest.get()) : typeTest.get();
        }
        return new EqualityTest(start, end, left, right, negated);
    }

    /** The opposite of a condition. */
    static Node negated(int start, int end, Node operand) {
        if (operand instanceof NullTest test) {
            return new NullTest(start, end, test.subject(), !test.negated());
        }
        if (operand instanceof EqualityTest test) {
            return new EqualityTest(start, end, test.left(), test.right(), !test.negated());
        }
        return new Unary(start, end, "!", operand);
    }

    private static boolean isNull(Node node) {
        return node instanceof Literal literal && literal.kind() == LiteralKind.NULL;
    }

    /** {@code x.getClass() == Tug.class} asks for the exact type of x. */
    private static Optional<Node> classComparison(int start, int end, Node asked, Node type) {
        if (asked instanceof Call call && call.name().equals("getClass") && call.receiver().isPresent()) {
            return typeLiteral(type)
                    .map(ref -> new TypeTest(start, end, call.receiver().get(), ref, true, Optional.empty()));
        }
        return Optional.empty();
    }

    private static Optional<TypeRef> typeLiteral(Node node) {
        return node instanceof Literal literal && literal.kind() == LiteralKind.TYPE
                ? Optional.of(new TypeRef(literal.text())) : Optional.empty();
    }

}
