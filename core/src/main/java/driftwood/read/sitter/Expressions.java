package driftwood.read.sitter;

import driftwood.tree.Absent;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import driftwood.tree.Node;
import driftwood.tree.Other;
import java.util.List;
import java.util.Set;

/** What readers of every grammar do alike with the nodes of an expression. */
public abstract class Expressions {
    /** Keywords that stand for values, and brackets: no operators. */
    private static final Set<String> NO_OPERATORS = Set.of("(", ")", "this", "base", "null");

    protected final String text;

    /** @param text of the file */
    protected Expressions(String text) {
        this.text = text;
    }

    /** What an expression is in Driftwood's own terms. */
    public abstract Node expression(Cst node);

    /** The text of a node, one and the same for all that are spelled alike. */
    public String text(Cst node) {
        return node.text(text).intern();
    }

    public final List<Node> expressions(List<Cst> nodes) {
        return nodes.stream().map(this::expression).toList();
    }

    /** The part of a node that a field of the grammar names; absent where it is not there. */
    public Node part(Cst node, String field) {
        return node.part(field).map(this::expression).orElseGet(() -> new Absent(node.end(), node.end()));
    }

    /** What has no common meaning keeps its parts. */
    public Node other(Cst node) {
        return new Other(node.start(), node.end(), node.kind(), expressions(node.inner()));
    }

    /** What stands for its only part. */
    public Node only(Cst node) {
        return node.inner().size() == 1 ? expression(node.inner().get(0)) : other(node);
    }

    public final Node literal(Cst node, LiteralKind kind) {
        return new Literal(node.start(), node.end(), kind, text(node));
    }

    /** The sign between or before the parts of a node; an equals sign where it has none. */
    public static String operator(Cst node) {
        return node.children().stream().filter(child -> !child.named()).map(Cst::kind).filter(each -> !NO_OPERATORS.contains(each)).findFirst().orElse("=");
    }
}
