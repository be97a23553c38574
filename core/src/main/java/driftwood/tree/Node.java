package driftwood.tree;

import java.util.function.Consumer;

/**
 * A node of the common tree: what the languages share, in words of the trade. Immutable. Positions are
 * character offsets in the text of the file.
 */
public sealed interface Node permits Unit, Import, TypeDeclaration, EnumConstant, Field, Routine, Parameter, Block,
        Local, If, Match, Arm, Loop, Return, Throw, Try,
        Jump, Evaluate, Name, Member, Call, Creation, Literal, Binary,
        Unary, Assignment, TypeTest, NullTest, EqualityTest, Cast, Conditional, Lambda,
        Index, Absent, Named, Sequence, Unpacked, Empty, Assertion, Yield, Other {

    /** Offset of the first character. */
    int start();

    /** Offset behind the last character. */
    int end();

    /** Hands itself to the visitor's routine for this kind of node. */
    <R> R accept(TreeVisitor<R> visitor);

    /** Visits the direct children in source order. */
    void eachChild(Consumer<? super Node> visit);

    /** The source text this node stands for. */
    default String text(String source) {
        return source.substring(Math.max(0, start()), Math.min(source.length(), Math.max(start(), end())));
    }
}
