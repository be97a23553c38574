package driftwood.read.java;

import com.sun.source.tree.*;
import com.sun.source.util.SimpleTreeVisitor;
import com.sun.source.util.SourcePositions;
import driftwood.read.Nesting;
import driftwood.read.Normal;
import driftwood.tree.Absent;
import driftwood.tree.Assignment;
import driftwood.tree.Binary;
import driftwood.tree.Call;
import driftwood.tree.Cast;
import driftwood.tree.Conditional;
import driftwood.tree.Creation;
import driftwood.tree.Index;
import driftwood.tree.Lambda;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import driftwood.tree.Member;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.Other;
import driftwood.tree.Parameter;
import driftwood.tree.TypeDeclaration;
import driftwood.tree.Unary;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Java's expressions, and the normal forms of tests for nothing, for types and for equality. */
abstract class JavaExpressions extends SimpleTreeVisitor<Node, Void> {
    private final CompilationUnitTree file;
    private final SourcePositions positions;
    private final Starts starts;
    private final Nesting conditionals = new Nesting("conditional expressions", 1000);
    final String text;

    final Spelling spelling;
    final JavaTypes types;

    JavaExpressions(CompilationUnitTree file, SourcePositions positions, String text, Spelling spelling) {
        this.file = file;
        this.positions = positions;
        this.starts = new Starts(file, positions);
        this.text = text;
        this.spelling = spelling;
        this.types = new JavaTypes(spelling);
    }

    final int start(Tree tree) {
        return starts.of(tree);
    }

    final int end(Tree tree) {
        int end = (int) positions.getEndPosition(file, tree);
        return end >= 0 ? end : start(tree);
    }

    final Node node(Tree tree) {
        Node made = tree.accept(this, null);
        return made == null ? new Other(start(tree), end(tree), tree.getKind().name(), List.of()) : made;
    }

    final List<Node> nodes(Iterable<? extends Tree> trees) {
        List<Node> made = new ArrayList<>();
        if (trees != null) {
            for (Tree tree : trees) {
                made.add(node(tree));
            }
        }
        return made;
    }

    final Optional<Node> optional(Tree tree) {
        return tree == null ? Optional.empty() : Optional.of(node(tree));
    }

    abstract TypeDeclaration typeDeclaration(ClassTree tree);

    abstract Parameter parameter(VariableTree tree);

    /** What has no common meaning keeps its parts. */
    @Override
    protected Node defaultAction(Tree tree, Void unused) {
        return new Other(start(tree), end(tree), tree.getKind().name(), nodes(Parts.of(tree)));
    }

    @Override
    public Node visitIdentifier(IdentifierTree tree, Void unused) {
        return new Name(start(tree), end(tree), spelling.of(tree.getName()));
    }

    @Override
    public Node visitMemberSelect(MemberSelectTree tree, Void unused) {
        if (tree.getIdentifier().contentEquals("class")) {
            return new Literal(start(tree), end(tree), LiteralKind.TYPE, types.of(tree.getExpression()).text());
        }
        return new Member(start(tree), end(tree), node(tree.getExpression()), spelling.of(tree.getIdentifier()));
    }

    @Override
    public Node visitLiteral(LiteralTree tree, Void unused) {
        LiteralKind kind = switch (tree.getKind()) {
            case STRING_LITERAL -> LiteralKind.STRING;
            case CHAR_LITERAL -> LiteralKind.CHARACTER;
            case BOOLEAN_LITERAL -> LiteralKind.BOOLEAN;
            case NULL_LITERAL -> LiteralKind.NULL;
            case FLOAT_LITERAL, DOUBLE_LITERAL -> LiteralKind.DECIMAL;
            default -> LiteralKind.INTEGER;
        };
        return new Literal(start(tree), end(tree), kind, String.valueOf(tree.getValue()));
    }

    @Override
    public Node visitParenthesized(ParenthesizedTree tree, Void unused) {
        return node(tree.getExpression());
    }

    @Override
    public Node visitMethodInvocation(MethodInvocationTree tree, Void unused) {
        List<Node> arguments = nodes(tree.getArguments());
        if (tree.getMethodSelect() instanceof MemberSelectTree select) {
            Node receiver = node(select.getExpression());
            String name = spelling.of(select.getIdentifier());
            return JavaConditions.ofCall(start(tree), end(tree), receiver, name, arguments)
                    .orElseGet(() -> new Call(start(tree), end(tree), Optional.of(receiver), name, arguments));
        }
        String name = tree.getMethodSelect() instanceof IdentifierTree identifier
                ? spelling.of(identifier.getName()) : tree.getMethodSelect().toString();
        return new Call(start(tree), end(tree), Optional.empty(), name, arguments);
    }

    @Override
    public Node visitNewClass(NewClassTree tree, Void unused) {
        Optional<TypeDeclaration> body = Optional.ofNullable(tree.getClassBody()).map(this::typeDeclaration);
        return new Creation(start(tree), end(tree), types.of(tree.getIdentifier()), nodes(tree.getArguments()),
                body, false);
    }

    @Override
    public Node visitNewArray(NewArrayTree tree, Void unused) {
        List<Node> parts = nodes(tree.getDimensions());
        parts.addAll(nodes(tree.getInitializers()));
        return new Creation(start(tree), end(tree), types.arrayOf(tree.getType()), parts, Optional.empty(), true);
    }

    @Override
    public Node visitUnary(UnaryTree tree, Void unused) {
        Node operand = node(tree.getExpression());
        if (tree.getKind() == Tree.Kind.LOGICAL_COMPLEMENT) {
            return Normal.negated(start(tree), end(tree), operand);
        }
        String operator = switch (tree.getKind()) {
            case PREFIX_INCREMENT, POSTFIX_INCREMENT -> "++";
            case PREFIX_DECREMENT, POSTFIX_DECREMENT -> "--";
            case UNARY_MINUS -> "-";
            case UNARY_PLUS -> "+";
            default -> "~";
        };
        return new Unary(start(tree), end(tree), operator, operand);
    }

    @Override
    public Node visitBinary(BinaryTree tree, Void unused) {
        Node left = node(tree.getLeftOperand());
        Node right = node(tree.getRightOperand());
        return switch (tree.getKind()) {
            case EQUAL_TO -> JavaConditions.equality(start(tree), end(tree), left, right, false);
            case NOT_EQUAL_TO -> JavaConditions.equality(start(tree), end(tree), left, right, true);
            default -> new Binary(start(tree), end(tree), Operators.of(tree.getKind()), left, right);
        };
    }

    @Override
    public Node visitAssignment(AssignmentTree tree, Void unused) {
        return new Assignment(start(tree), end(tree), node(tree.getVariable()), "=", node(tree.getExpression()));
    }

    @Override
    public Node visitCompoundAssignment(CompoundAssignmentTree tree, Void unused) {
        return new Assignment(start(tree), end(tree), node(tree.getVariable()), Operators.of(tree.getKind()),
                node(tree.getExpression()));
    }

    @Override
    public Node visitInstanceOf(InstanceOfTree tree, Void unused) {
        Node subject = node(tree.getExpression());
        if (tree.getPattern() == null) {
            return Normal.ofType(start(tree), end(tree), subject, types.of(tree.getType()), Optional.empty());
        }
        return pattern(tree.getPattern(), subject, start(tree), end(tree));
    }

    /** A type pattern as a type test of the subject; other patterns keep their parts. */
    final Node pattern(Tree pattern, Node subject, int start, int end) {
        if (pattern instanceof BindingPatternTree binding) {
            VariableTree variable = binding.getVariable();
            return Normal.ofType(start, end, subject, types.of(variable.getType()), Optional.of(spelling.of(variable.getName())));
        }
        List<Tree> parts = Parts.of(pattern);
        if (pattern.getKind().name().equals("DECONSTRUCTION_PATTERN")) {
            return Normal.ofType(start, end, subject, types.of(parts.get(0)), Optional.empty());
        }
        if (!parts.isEmpty() && NewerTrees.isPattern(parts.get(0))) {
            return pattern(parts.get(0), subject, start, end);
        }
        return new Other(start, end, pattern.getKind().name(), List.of(subject));
    }

    final Node pattern(Tree pattern) {
        return pattern(pattern, new Absent(start(pattern), start(pattern)), start(pattern), end(pattern));
    }

    @Override
    public Node visitTypeCast(TypeCastTree tree, Void unused) {
        return new Cast(start(tree), end(tree), types.of(tree.getType()), node(tree.getExpression()));
    }

    @Override
    public Node visitConditionalExpression(ConditionalExpressionTree tree, Void unused) {
        return conditionals.in(() -> new Conditional(start(tree), end(tree), node(tree.getCondition()), node(tree.getTrueExpression()),
                node(tree.getFalseExpression())));
    }

    @Override
    public Node visitLambdaExpression(LambdaExpressionTree tree, Void unused) {
        List<Parameter> parameters = new ArrayList<>();
        for (VariableTree parameter : tree.getParameters()) {
            parameters.add(parameter(parameter));
        }
        return new Lambda(start(tree), end(tree), parameters, node(tree.getBody()));
    }

    @Override
    public Node visitMemberReference(MemberReferenceTree tree, Void unused) {
        int start = start(tree);
        int end = end(tree);
        Node target = tree.getMode() == MemberReferenceTree.ReferenceMode.NEW
                ? new Creation(start, end, types.of(tree.getQualifierExpression()), List.of(), Optional.empty(),
                        false)
                : new Member(start, end, node(tree.getQualifierExpression()), spelling.of(tree.getName()));
        return new Lambda(start, end, List.of(), target);
    }

    @Override
    public Node visitArrayAccess(ArrayAccessTree tree, Void unused) {
        return new Index(start(tree), end(tree), node(tree.getExpression()), node(tree.getIndex()));
    }
}
