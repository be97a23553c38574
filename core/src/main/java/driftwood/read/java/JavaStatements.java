package driftwood.read.java;

import com.sun.source.tree.*;
import com.sun.source.util.SourcePositions;
import driftwood.read.Nesting;
import driftwood.tree.Arm;
import driftwood.tree.Assertion;
import driftwood.tree.Block;
import driftwood.tree.Empty;
import driftwood.tree.Evaluate;
import driftwood.tree.If;
import driftwood.tree.Jump;
import driftwood.tree.JumpKind;
import driftwood.tree.Local;
import driftwood.tree.Loop;
import driftwood.tree.LoopKind;
import driftwood.tree.Match;
import driftwood.tree.Node;
import driftwood.tree.Return;
import driftwood.tree.Throw;
import driftwood.tree.Try;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Java's statements. */
abstract class JavaStatements extends JavaExpressions {
    private final Nesting switches = new Nesting("switches", 200);

    JavaStatements(CompilationUnitTree file, SourcePositions positions, String text, Spelling spelling) {
        super(file, positions, text, spelling);
    }

    final Block block(BlockTree tree) {
        return new Block(start(tree), end(tree), nodes(tree.getStatements()));
    }

    @Override
    public Node visitBlock(BlockTree tree, Void unused) {
        return block(tree);
    }

    @Override
    public Node visitExpressionStatement(ExpressionStatementTree tree, Void unused) {
        return new Evaluate(start(tree), end(tree), node(tree.getExpression()));
    }

    @Override
    public Node visitVariable(VariableTree tree, Void unused) {
        return new Local(start(tree), end(tree), spelling.of(tree.getName()), types.of(tree.getType()),
                optional(tree.getInitializer()));
    }

    @Override
    public Node visitIf(IfTree tree, Void unused) {
        return new If(start(tree), end(tree), node(tree.getCondition()), node(tree.getThenStatement()),
                optional(tree.getElseStatement()));
    }

    @Override
    public Node visitSwitch(SwitchTree tree, Void unused) {
        return switches.in(() -> new Match(start(tree), end(tree), node(tree.getExpression()), arms(tree.getCases()), false));
    }

    @Override
    public Node visitSwitchExpression(SwitchExpressionTree tree, Void unused) {
        return switches.in(() -> new Match(start(tree), end(tree), node(tree.getExpression()), arms(tree.getCases()), true));
    }

    private List<Arm> arms(List<? extends CaseTree> cases) {
        List<Arm> arms = new ArrayList<>();
        for (CaseTree each : cases) {
            arms.add(arm(each));
        }
        return arms;
    }

    private Arm arm(CaseTree tree) {
        boolean rule = tree.getCaseKind() == CaseTree.CaseKind.RULE;
        List<Node> labels = new ArrayList<>();
        boolean isDefault = false;
        for (Tree part : NewerTrees.labels(tree)) {
            if (part.getKind().name().equals("DEFAULT_CASE_LABEL")) {
                isDefault = true;
                continue;
            }
            Tree label = NewerTrees.isWrapped(part) ? Parts.of(part).get(0) : part;
            labels.add(NewerTrees.isPattern(label) ? pattern(label) : node(label));
        }
        List<Node> body = rule ? List.of(node(tree.getBody())) : nodes(tree.getStatements());
        return new Arm(start(tree), end(tree), labels, isDefault || labels.isEmpty(),
                NewerTrees.guard(tree).map(this::node), body, !rule && fallsThrough(body));
    }

    private static boolean fallsThrough(List<Node> body) {
        if (body.isEmpty()) {
            return true;
        }
        Node last = body.get(body.size() - 1);
        if (last instanceof Block block) {
            return fallsThrough(block.statements());
        }
        return !(last instanceof Jump || last instanceof Return || last instanceof Throw);
    }

    @Override
    public Node visitEnhancedForLoop(EnhancedForLoopTree tree, Void unused) {
        return new Loop(start(tree), end(tree), LoopKind.EACH,
                List.of(node(tree.getVariable()), node(tree.getExpression())), node(tree.getStatement()));
    }

    @Override
    public Node visitForLoop(ForLoopTree tree, Void unused) {
        List<Node> header = nodes(tree.getInitializer());
        optional(tree.getCondition()).ifPresent(header::add);
        header.addAll(nodes(tree.getUpdate()));
        return new Loop(start(tree), end(tree), LoopKind.COUNTED, header, node(tree.getStatement()));
    }

    @Override
    public Node visitWhileLoop(WhileLoopTree tree, Void unused) {
        return new Loop(start(tree), end(tree), LoopKind.WHILE, List.of(node(tree.getCondition())),
                node(tree.getStatement()));
    }

    @Override
    public Node visitDoWhileLoop(DoWhileLoopTree tree, Void unused) {
        return new Loop(start(tree), end(tree), LoopKind.UNTIL, List.of(node(tree.getCondition())),
                node(tree.getStatement()));
    }

    @Override
    public Node visitReturn(ReturnTree tree, Void unused) {
        return new Return(start(tree), end(tree), optional(tree.getExpression()));
    }

    @Override
    public Node visitThrow(ThrowTree tree, Void unused) {
        return new Throw(start(tree), end(tree), optional(tree.getExpression()));
    }

    @Override
    public Node visitTry(TryTree tree, Void unused) {
        List<Node> handlers = new ArrayList<>();
        for (CatchTree handler : tree.getCatches()) {
            List<Node> statements = new ArrayList<>();
            statements.add(node(handler.getParameter()));
            statements.addAll(nodes(handler.getBlock().getStatements()));
            handlers.add(new Block(start(handler), end(handler), statements));
        }
        return new Try(start(tree), end(tree), nodes(tree.getResources()), block(tree.getBlock()), handlers,
                Optional.ofNullable(tree.getFinallyBlock()).map(this::block));
    }

    @Override
    public Node visitBreak(BreakTree tree, Void unused) {
        return new Jump(start(tree), end(tree), JumpKind.BREAK, Optional.empty());
    }

    @Override
    public Node visitContinue(ContinueTree tree, Void unused) {
        return new Jump(start(tree), end(tree), JumpKind.CONTINUE, Optional.empty());
    }

    @Override
    public Node visitYield(YieldTree tree, Void unused) {
        return new Jump(start(tree), end(tree), JumpKind.YIELD, Optional.of(node(tree.getValue())));
    }

    @Override
    public Node visitClass(ClassTree tree, Void unused) {
        return typeDeclaration(tree);
    }

    @Override
    public Node visitAssert(AssertTree tree, Void unused) {
        return new Assertion(start(tree), end(tree), nodes(Parts.of(tree)));
    }

    @Override
    public Node visitEmptyStatement(EmptyStatementTree tree, Void unused) {
        return new Empty(start(tree), end(tree));
    }
}
