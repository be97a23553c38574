package driftwood.smell.chain;

import driftwood.smell.chain.Chain.Label;
import driftwood.tree.Binary;
import driftwood.tree.Call;
import driftwood.tree.Cast;
import driftwood.tree.EqualityTest;
import driftwood.tree.Literal;
import driftwood.tree.Member;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.NullTest;
import driftwood.tree.TypeTest;
import driftwood.program.Trail;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Pattern;

/** Reads conditions as labels of one subject. */
final class Labels {
    private static final Pattern CONSTANT = Pattern.compile("[A-Z][A-Z0-9_]+");

    private final Function<Node, Trail> trails;
    private final String source;

    /** @param trails the way to a value @param source text of the file */
    Labels(Function<Node, Trail> trails, String source) {
        this.trails = trails;
        this.source = source;
    }

    /**
     * A condition as a comparison of one subject.
     *
     * @param subject what is compared
     * @param labels  with what; all must be equal alternatives
     * @param guarded whether further conditions must hold
     */
    record Question(Node subject, List<Label> labels, boolean guarded) {
    }

    /** The question a condition asks; empty where it asks something else. */
    Optional<Question> ask(Node condition) {
        if (condition instanceof Binary both && both.operator().equals("&&")) {
            return ask(both.left()).or(() -> ask(both.right()))
                    .map(question -> new Question(question.subject(), question.labels(), true));
        }
        if (condition instanceof Binary either && either.operator().equals("||")) {
            return ask(either.left()).flatMap(left -> ask(either.right()).flatMap(right -> join(left, right)));
        }
        if (condition instanceof TypeTest test) {
            return one(test.subject(), new Label(Label.Kind.TYPE, test.type().text(), Trail.UNKNOWN));
        }
        if (condition instanceof NullTest test && !test.negated()) {
            return one(test.subject(), new Label(Label.Kind.NULL, "null", Trail.UNKNOWN));
        }
        if (condition instanceof EqualityTest test && !test.negated()) {
            return constant(test.right(), false).flatMap(label -> one(test.left(), label))
                    .or(() -> constant(test.left(), false).flatMap(label -> one(test.right(), label)));
        }
        return Optional.empty();
    }

    private Optional<Question> join(Question left, Question right) {
        if (!text(left.subject()).equals(text(right.subject()))) {
            return Optional.empty();
        }
        List<Label> labels = new ArrayList<>(left.labels());
        labels.addAll(right.labels());
        return Optional.of(new Question(left.subject(), labels, left.guarded() || right.guarded()));
    }

    private static Optional<Question> one(Node subject, Label label) {
        return Optional.of(new Question(subject, List.of(label), false));
    }

    /** A label of a match: names are constants there, however they are spelled. */
    Label ofMatch(Node node) {
        if (node instanceof TypeTest test) {
            return new Label(Label.Kind.TYPE, test.type().text(), Trail.UNKNOWN);
        }
        return constant(node, true).orElseGet(() -> other(node));
    }

    Label other(Node condition) {
        String text = text(condition).replaceAll("\\s+", " ");
        return new Label(Label.Kind.OTHER, text.length() > 60 ? text.substring(0, 57) + "..." : text, Trail.UNKNOWN);
    }

    private Optional<Label> constant(Node node, boolean anyName) {
        if (node instanceof Literal literal) {
            return switch (literal.kind()) {
                case STRING -> Optional.of(new Label(Label.Kind.STRING, '"' + literal.text() + '"', Trail.UNKNOWN));
                case INTEGER -> Optional.of(new Label(Label.Kind.INTEGER, literal.text(), Trail.UNKNOWN));
                case CHARACTER -> Optional.of(new Label(Label.Kind.CHARACTER, "'" + literal.text() + "'",
                        Trail.UNKNOWN));
                case NULL -> Optional.of(new Label(Label.Kind.NULL, "null", Trail.UNKNOWN));
                default -> Optional.empty();
            };
        }
        if (node instanceof Name name && (anyName || CONSTANT.matcher(name.name()).matches())) {
            return Optional.of(new Label(Label.Kind.NAME, name.name(), trails.apply(node)));
        }
        if (node instanceof Member member && (anyName || CONSTANT.matcher(member.name()).matches())) {
            return Optional.of(new Label(Label.Kind.NAME, member.name(), trails.apply(node)));
        }
        return Optional.empty();
    }

    String text(Node node) {
        return node.text(source);
    }

    /** Whether a subject is a field, parameter, getter or local. */
    static boolean isPlain(Node subject) {
        if (subject instanceof Name) {
            return true;
        }
        if (subject instanceof Member member) {
            return isPlain(member.receiver());
        }
        if (subject instanceof Cast cast) {
            return isPlain(cast.value());
        }
        return subject instanceof Call call && call.arguments().isEmpty()
                && call.receiver().map(Labels::isPlain).orElse(true);
    }
}
