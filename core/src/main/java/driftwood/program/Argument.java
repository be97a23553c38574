package driftwood.program;

import driftwood.tree.Call;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import driftwood.tree.Member;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.Named;
import java.util.ArrayList;
import java.util.List;

/**
 * An argument of a call, as far as it matters to a judge.
 *
 * @param kind    what it is
 * @param name    the name of a variable, constant, field or getter; a literal's text; else empty
 * @param keyword the parameter it is passed to by name, else empty
 * @param owner   the name of the object whose field or getter it is; empty for a bare name, "?" for anything longer
 */
public record Argument(Kind kind, String name, String keyword, String owner) {

    Argument(Kind kind, String name) {
        this(kind, name, "", "");
    }

    /** What an argument is. The first five say "nothing to say here" and serve as fillers. */
    public enum Kind {
        NULL, FALSE, TRUE, ZERO, EMPTY, LITERAL, NAME, OTHER
    }

    private static final Argument OTHER = new Argument(Kind.OTHER, "");
    private static final Argument NULL = new Argument(Kind.NULL, "null");
    private static final Argument TRUE = new Argument(Kind.TRUE, "true");
    private static final Argument FALSE = new Argument(Kind.FALSE, "false");

    /** Whether callers pass it to say "nothing": null, false, zero or an empty string. */
    public boolean isFiller() {
        return kind == Kind.NULL || kind == Kind.FALSE || kind == Kind.ZERO || kind == Kind.EMPTY;
    }

    public boolean isBooleanLiteral() {
        return kind == Kind.TRUE || kind == Kind.FALSE;
    }

    public static Argument of(Node node) {
        if (node instanceof Literal literal) {
            return ofLiteral(literal);
        }
        if (node instanceof Name name) {
            return new Argument(Kind.NAME, name.name().intern());
        }
        if (node instanceof Member member) {
            return new Argument(Kind.NAME, member.name().intern(), "", owner(member.receiver()));
        }
        if (node instanceof Call call && call.arguments().isEmpty()) {
            return new Argument(Kind.NAME, call.name().intern(), "", call.receiver().map(Argument::owner).orElse(""));
        }
        if (node instanceof Named named) {
            Argument passed = of(named.value());
            return new Argument(passed.kind(), passed.name(), named.name(), passed.owner());
        }
        return OTHER;
    }

    private static String owner(Node receiver) {
        return receiver instanceof Name name ? name.isSelf() ? ""
                : name.name().intern() : "?";
    }

    /** The arguments of a call in order. */
    public static List<Argument> of(List<Node> nodes) {
        if (nodes.isEmpty()) {
            return List.of();
        }
        List<Argument> arguments = new ArrayList<>(nodes.size());
        nodes.forEach(node -> arguments.add(of(node)));
        return arguments;
    }

    private static Argument ofLiteral(Literal literal) {
        // driftwood: leave type-switch because the kinds of literals are the grammars' and this is the only place that sorts them
        return switch (literal.kind()) {
            case NULL -> NULL;
            case BOOLEAN -> literal.text().equals("true") ? TRUE : FALSE;
            case INTEGER, DECIMAL -> isZero(literal.text()) ? new Argument(Kind.ZERO, "0")
                    : new Argument(Kind.LITERAL, literal.text());
            case STRING -> literal.text().isEmpty() ? new Argument(Kind.EMPTY, "\"\"")
                    : new Argument(Kind.LITERAL, literal.text().length() > 24 ? "..." : literal.text());
            default -> new Argument(Kind.LITERAL, literal.kind() == LiteralKind.TYPE ? literal.text() : "");
        };
    }

    private static boolean isZero(String text) {
        return text.equals("0") || text.equals("0.0");
    }
}
