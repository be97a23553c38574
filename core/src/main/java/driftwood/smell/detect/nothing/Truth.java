package driftwood.smell.detect.nothing;

import driftwood.read.Normal;
import driftwood.tree.Assignment;
import driftwood.tree.Call;
import driftwood.tree.Member;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.NullTest;
import driftwood.tree.Search;
import driftwood.tree.TreeVisitor;
import driftwood.tree.Unary;
import java.util.Optional;

/** Conditions that are just a value, in languages where nothing counts as false: {@code if pilot: pilot.board()}. */
final class Truth {
    private Truth() {
    }

    /** The test for nothing that a bare value makes as a condition; empty where it is none. */
    static Optional<NullTest> asked(Node condition) {
        return condition.accept(new TreeVisitor<Optional<NullTest>>() {
            @Override
            public Optional<NullTest> visitNode(Node node) {
                return Optional.empty();
            }

            @Override
            public Optional<NullTest> visitName(Name name) {
                return test(name, name);
            }

            @Override
            public Optional<NullTest> visitMember(Member member) {
                return test(member, member);
            }

            @Override
            public Optional<NullTest> visitCall(Call call) {
                return test(call, call);
            }

            @Override
            public Optional<NullTest> visitUnary(Unary unary) {
                return unary.operator().equals("!") ? asked(unary.operand()).map(test ->
                        Normal.nothing(unary.start(), unary.end(), test.subject(), !test.negated())) : Optional.empty();
            }

            @Override
            public Optional<NullTest> visitAssignment(Assignment assignment) {
                return test(assignment, assignment.value());
            }
        });
    }

    private static Optional<NullTest> test(Node whole, Node subject) {
        return Optional.of(Normal.nothing(whole.start(), whole.end(), subject, true));
    }

    /**
     * Whether the value asked for is used where it is something: only then the question is about nothing, and not about
     * yes or no.
     *
     * @param whole the decision with its branches
     */
    static boolean isUsed(Node condition, Node whole) {
        Node value = condition instanceof Unary unary ? unary.operand() : condition;
        if (value instanceof Assignment assignment) {
            return isUsed(assignment.target(), whole);
        }
        if (value instanceof Name name) {
            return Search.all(whole, Name.class).stream().filter(each -> each.name().equals(name.name())).count() > 1;
        }
        return value instanceof Member member && member.receiver() instanceof Name owner
                && Search.all(whole, Member.class).stream().filter(each -> each.name().equals(member.name())
                && each.receiver() instanceof Name other && other.name().equals(owner.name())).count() > 1;
    }
}
