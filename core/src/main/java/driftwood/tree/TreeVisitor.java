package driftwood.tree;

/**
 * Does something for each kind of node. Override the kinds of interest; all others come to {@link #visitNode}.
 *
 * @param <R> what each visit returns
 */
public interface TreeVisitor<R> {

    /** What happens to a kind that has no routine of its own. */
    R visitNode(Node node);

    default R visitUnit(Unit node) {
        return visitNode(node);
    }

    default R visitImport(Import node) {
        return visitNode(node);
    }

    default R visitTypeDeclaration(TypeDeclaration node) {
        return visitNode(node);
    }

    default R visitEnumConstant(EnumConstant node) {
        return visitNode(node);
    }

    default R visitField(Field node) {
        return visitNode(node);
    }

    default R visitRoutine(Routine node) {
        return visitNode(node);
    }

    default R visitParameter(Parameter node) {
        return visitNode(node);
    }

    default R visitBlock(Block node) {
        return visitNode(node);
    }

    default R visitLocal(Local node) {
        return visitNode(node);
    }

    default R visitIf(If node) {
        return visitNode(node);
    }

    default R visitMatch(Match node) {
        return visitNode(node);
    }

    default R visitArm(Arm node) {
        return visitNode(node);
    }

    default R visitLoop(Loop node) {
        return visitNode(node);
    }

    default R visitReturn(Return node) {
        return visitNode(node);
    }

    default R visitThrow(Throw node) {
        return visitNode(node);
    }

    default R visitTry(Try node) {
        return visitNode(node);
    }

    default R visitJump(Jump node) {
        return visitNode(node);
    }

    default R visitEvaluate(Evaluate node) {
        return visitNode(node);
    }

    default R visitName(Name node) {
        return visitNode(node);
    }

    default R visitMember(Member node) {
        return visitNode(node);
    }

    default R visitCall(Call node) {
        return visitNode(node);
    }

    default R visitCreation(Creation node) {
        return visitNode(node);
    }

    default R visitLiteral(Literal node) {
        return visitNode(node);
    }

    default R visitBinary(Binary node) {
        return visitNode(node);
    }

    default R visitUnary(Unary node) {
        return visitNode(node);
    }

    default R visitAssignment(Assignment node) {
        return visitNode(node);
    }

    default R visitTypeTest(TypeTest node) {
        return visitNode(node);
    }

    default R visitNullTest(NullTest node) {
        return visitNode(node);
    }

    default R visitEqualityTest(EqualityTest node) {
        return visitNode(node);
    }

    default R visitCast(Cast node) {
        return visitNode(node);
    }

    default R visitConditional(Conditional node) {
        return visitNode(node);
    }

    default R visitLambda(Lambda node) {
        return visitNode(node);
    }

    default R visitIndex(Index node) {
        return visitNode(node);
    }

    default R visitAbsent(Absent node) {
        return visitNode(node);
    }

    default R visitOther(Other node) {
        return visitNode(node);
    }

    default R visitNamed(Named node) {
        return visitNode(node);
    }

    default R visitSequence(Sequence node) {
        return visitNode(node);
    }

    default R visitUnpacked(Unpacked node) {
        return visitNode(node);
    }

    default R visitEmpty(Empty node) {
        return visitNode(node);
    }

    default R visitAssertion(Assertion node) {
        return visitNode(node);
    }

    default R visitYield(Yield node) {
        return visitNode(node);
    }
}
