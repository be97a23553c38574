package driftwood.read.java;

import driftwood.read.Normal;
import driftwood.tree.Call;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import driftwood.tree.Member;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.TypeRef;
import java.util.List;
import java.util.Optional;

/** The normal forms of Java's tests: the many ways to write the same question become one node. */
final class JavaConditions {
    private JavaConditions() {
    }

    /** What a call asks, where it is one of the library's ways to ask for nothing, a type or equality. */
    static Optional<Node> ofCall(int start, int end, Node receiver, String name, List<Node> arguments) {
        boolean objects = receiver instanceof Name owner && owner.name().equals("Objects") || receiver instanceof Member whole && whole.name().equals("Objects");
        if (arguments.size() == 1) {
            Node argument = arguments.get(0);
            switch (name) {
                case "equals", "equalsIgnoreCase", "contentEquals":
                    return Optional.of(equality(start, end, receiver, argument, false));
                case "isNull", "nonNull":
                    return objects ? Optional.of(Normal.nothing(start, end, argument, name.equals("nonNull")))
                            : Optional.empty();
                case "isInstance":
                    return typeLiteral(receiver)
                            .map(type -> Normal.ofType(start, end, argument, type, Optional.empty()));
                default:
                    return Optional.empty();
            }
        }
        return objects && arguments.size() == 2 && name.equals("equals")
                ? Optional.of(equality(start, end, arguments.get(0), arguments.get(1), false)) : Optional.empty();
    }

    /** A comparison, as a test for nothing or for a type where it is one. */
    static Node equality(int start, int end, Node left, Node right, boolean negated) {
        Optional<Node> typeTest = classComparison(start, end, left, right).or(() -> classComparison(start, end, right, left));
        return typeTest.map(test -> negated ? Normal.negated(start, end, test) : test)
                .orElseGet(() -> Normal.equality(start, end, left, right, negated));
    }

    /** {@code x.getClass() == Tug.class} asks for the exact type of x. */
    private static Optional<Node> classComparison(int start, int end, Node asked, Node type) {
        if (asked instanceof Call call && call.name().equals("getClass") && call.receiver().isPresent()) {
            return typeLiteral(type)
                    .map(ref -> Normal.exactlyOf(start, end, call.receiver().get(), ref));
        }
        return Optional.empty();
    }

    private static Optional<TypeRef> typeLiteral(Node node) {
        return node instanceof Literal literal && literal.kind() == LiteralKind.TYPE
                ? Optional.of(new TypeRef(literal.text())) : Optional.empty();
    }

}
