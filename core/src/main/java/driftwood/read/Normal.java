package driftwood.read;

import driftwood.tree.*;
import java.util.List;
import java.util.Optional;

/**
 * The normal forms of what languages write in many ways: tests for nothing, for a type and for equality, their opposite,
 * their conjunction and disjunction. Readers make these nodes here and nowhere else.
 */
public final class Normal {
    private Normal() {
    }

    /** A text with values in it is a sum of texts. */
    public static Node sum(int start, int end, String plain, List<Node> parts) {
        Node sum = new Literal(start, end, LiteralKind.STRING, plain);
        for (Node part : parts) {
            sum = new Binary(start, end, "+", sum, part);
        }
        return sum;
    }

    /** {@code a?.b()}: what a value gives, and nothing where it is nothing. */
    public static Node ifAny(int start, int end, Node subject, Node value) {
        return new Conditional(start, end, new NullTest(start, end, subject, true, true), value, new Literal(end, end, LiteralKind.NULL, "null"));
    }

    /** {@code a?.b}, read from what came before as it stands: of a chain of them only the first asks. */
    public static Node memberIfAny(int start, int end, Node subject, String name) {
        Node member = new Member(start, end, subject, name);
        return subject instanceof Conditional ? member : ifAny(start, end, subject, member);
    }

    /** {@code a ?? b}: a value, and another where it is nothing. */
    public static Node orElse(int start, int end, Node value, Node other) {
        return new Conditional(start, end, nothing(start, end, value, true), value, other);
    }

    /** {@code a++}. @param sign of one of the two signs */
    public static Node step(int start, int end, Node target, String sign) {
        return new Assignment(start, end, target, sign, new Literal(end, end, LiteralKind.INTEGER, "1"));
    }

    /** {@code a += b}, {@code a ??= b}. @param operator as written, its equals sign last */
    public static Node assigned(int start, int end, Node target, String operator, Node value) {
        if (target instanceof Conditional choice && choice.isSafe()) {
            return new Conditional(start, end, choice.condition(), assigned(start, end, choice.then(), operator, value), choice.otherwise());
        }
        if (operator.equals("??=") || operator.equals("||=")) {
            return new Assignment(start, end, target, "=", orElse(start, end, target, value));
        }
        return new Assignment(start, end, target, operator.length() > 1 ? operator.substring(0, operator.length() - 1) : operator, value);
    }

    /** {@code a in 0..5}: whether a value lies within a range. */
    public static Node between(int start, int end, Node value, Node least, Node most) {
        return new Binary(start, end, "&&", new Binary(start, end, ">=", value, least), new Binary(start, end, "<=", value, most));
    }

    /** A name; where the parser only supposes one, there is none. */
    public static Node name(int start, int end, String name) {
        return name.isBlank() ? new Absent(start, end) : new Name(start, end, name.intern());
    }

    /** A comparison, as a test for nothing where one side is. */
    public static Node equality(int start, int end, Node left, Node right, boolean negated) {
        if (isNothing(right)) {
            return nothing(start, end, left, negated);
        }
        return isNothing(left) ? nothing(start, end, right, negated) : new EqualityTest(start, end, left, right, negated);
    }

    /** Whether a value is nothing. @param negated whether it is something */
    public static NullTest nothing(int start, int end, Node subject, boolean negated) {
        return new NullTest(start, end, subject, negated);
    }

    /** Whether a value is of a type or of one that descends from it. @param binding the name it gets then */
    public static Node ofType(int start, int end, Node subject, TypeRef type, Optional<String> binding) {
        return new TypeTest(start, end, subject, type, false, binding);
    }

    /** Whether a value is of that very type. */
    public static Node exactlyOf(int start, int end, Node subject, TypeRef type) {
        return new TypeTest(start, end, subject, type, true, Optional.empty());
    }

    /** The opposite of a condition. */
    public static Node negated(int start, int end, Node operand) {
        if (operand instanceof NullTest test) {
            return new NullTest(start, end, test.subject(), !test.negated());
        }
        if (operand instanceof EqualityTest test) {
            return new EqualityTest(start, end, test.left(), test.right(), !test.negated());
        }
        return new Unary(start, end, "!", operand);
    }

    /** All conditions at once; empty for none. */
    public static Optional<Node> all(int start, int end, List<Node> conditions) {
        return conditions.stream().reduce((left, right) -> new Binary(start, end, "&&", left, right));
    }

    /** One of the conditions at least; empty for none. */
    public static Optional<Node> any(int start, int end, List<Node> conditions) {
        return conditions.stream().reduce((left, right) -> new Binary(start, end, "||", left, right));
    }

    private static boolean isNothing(Node node) {
        return node instanceof Literal literal && literal.kind() == LiteralKind.NULL;
    }
}
