package driftwood.smell.see.chain;

import driftwood.program.Trail;
import driftwood.smell.Chain.Label;
import driftwood.tree.Binary;
import driftwood.tree.Call;
import driftwood.tree.Cast;
import driftwood.tree.Conditional;
import driftwood.tree.EqualityTest;
import driftwood.tree.Index;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import driftwood.tree.Member;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.NullTest;
import driftwood.tree.TreeVisitor;
import driftwood.tree.TypeTest;
import driftwood.tree.Unary;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.Function;
import java.util.regex.Pattern;

/** Reads conditions as labels of one subject. */
final class Labels {
    private static final Pattern CONSTANT = Pattern.compile("[A-Z][A-Z0-9_]+");

    private static final Set<String> ORDERED = Set.of("<", ">", "<=", ">=");
    private static final Pattern ASKING = Pattern.compile("(?i:can|may|accepts?|handles?|supports?|takes?|knows?|applies|"
            + "is_?[Rr]esponsible|matches|is_?[Aa]pplicable|wants?|covers)([A-Z_].*)?");

    private static final Pattern EARLIER = Pattern.compile("is(Before|After|LessThan|GreaterThan|Less|Greater)(OrEqual(To)?)?|before|after");
    private static final Pattern COMPARED = Pattern.compile("[cC]ompareTo|compare_to");

    private static final Map<LiteralKind, Label.Kind> KINDS = Map.of(LiteralKind.STRING, Label.Kind.STRING,
            LiteralKind.INTEGER, Label.Kind.INTEGER, LiteralKind.CHARACTER, Label.Kind.CHARACTER,
            LiteralKind.NULL, Label.Kind.NULL);

    private final Set<String> constants;
    private final Function<Node, Trail> trails;
    private final String source;
    private final String nothing;

    /** @param trails the way to a value @param source text of the file @param nothing its word for nothing
     *  @param constants of the file, by name */
    Labels(Function<Node, Trail> trails, String source, String nothing, Set<String> constants) {
        this.constants = constants;
        this.trails = trails;
        this.source = source;
        this.nothing = nothing;
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
        return condition.accept(questions);
    }

    private final TreeVisitor<Optional<Question>> questions = new TreeVisitor<>() {
        @Override
        public Optional<Question> visitNode(Node condition) {
            return Optional.empty();
        }

        @Override
        public Optional<Question> visitBinary(Binary compound) {
            return switch (compound.operator()) {
                case "&&" -> ask(compound.left()).or(() -> ask(compound.right()))
                        .map(question -> new Question(question.subject(), question.labels(), true));
                case "||" -> ask(compound.left()).flatMap(left -> ask(compound.right()).flatMap(right -> join(left, right)));
                default -> Optional.empty();
            };
        }

        @Override
        public Optional<Question> visitTypeTest(TypeTest test) {
            return one(test.subject(), new Label(Label.Kind.TYPE, test.type().text(), Trail.UNKNOWN));
        }

        @Override
        public Optional<Question> visitNullTest(NullTest test) {
            return test.negated() ? Optional.empty()
                    : one(test.subject(), new Label(Label.Kind.NULL, nothing, Trail.UNKNOWN));
        }

        @Override
        public Optional<Question> visitEqualityTest(EqualityTest test) {
            return test.negated() ? Optional.empty()
                    : constant(test.right(), false).flatMap(label -> one(test.left(), label))
                            .or(() -> constant(test.left(), false).flatMap(label -> one(test.right(), label)));
        }
    };

    /** A condition as the comparison of an ordered value with a limit, or with two. */
    Optional<Question> limit(Node condition) {
        if (condition instanceof Call call && call.arguments().size() == 1 && EARLIER.matcher(call.name()).matches()
                && call.receiver().filter(Labels::isPlain).isPresent() && isLimit(call.arguments().get(0))) {
            return one(call.receiver().get(), asLimit(condition));
        }
        if (!(condition instanceof Binary binary)) {
            return Optional.empty();
        }
        if (ORDERED.contains(binary.operator()) && binary.left() instanceof Call compared && compared.arguments().size() == 1
                && COMPARED.matcher(compared.name()).matches() && binary.right() instanceof Literal zero && zero.text().equals("0")) {
            return compared.receiver().filter(Labels::isPlain).filter(each -> isLimit(compared.arguments().get(0))).flatMap(subject -> one(subject,
                    new Label(Label.Kind.LIMIT, text(subject) + " " + binary.operator() + " " + text(compared.arguments().get(0)), Trail.UNKNOWN)));
        }
        if (binary.operator().equals("&&")) {
            return limit(binary.left()).flatMap(left -> limit(binary.right())
                    .filter(right -> text(left.subject()).equals(text(right.subject()))))
                    .map(question -> new Question(question.subject(), List.of(asLimit(condition)), false));
        }
        if (!ORDERED.contains(binary.operator())) {
            return Optional.empty();
        }
        boolean left = isPlain(binary.left()) && constant(binary.left(), false).isEmpty();
        Node subject = left ? binary.left() : binary.right();
        Node limit = left ? binary.right() : binary.left();
        return isPlain(subject) && constant(subject, false).isEmpty() && (left ? isLimit(limit) : isPlain(limit) || isFixed(limit))
                ? one(subject, asLimit(condition)) : Optional.empty();
    }

    /** A field, parameter, getter, local, literal or constant, or a sum of such: {@code quick + slow}. */
    private boolean isLimit(Node limit) {
        return isPlain(limit) || isFixed(limit) || limit instanceof Binary sum && isLimit(sum.left()) && isLimit(sum.right());
    }

    /** A literal or a constant, or computed from such alone. */
    private boolean isFixed(Node node) {
        boolean[] fixed = {constant(node, false).isPresent() || node instanceof Literal || node instanceof Call
                || node instanceof Binary || node instanceof Unary || node instanceof Cast};
        node.eachChild(child -> fixed[0] = fixed[0] && isFixed(child));
        return fixed[0];
    }

    private Label asLimit(Node condition) {
        return new Label(Label.Kind.LIMIT, other(condition).text(), Trail.UNKNOWN);
    }

    /** A condition that asks a candidate whether it can take something. The subject is what is handed to it. */
    Optional<Question> candidate(Node condition) {
        if (!(condition instanceof Call call) || call.arguments().size() != 1 || call.receiver().isEmpty()
                || !ASKING.matcher(call.name()).matches() || !isPlain(call.receiver().get())) {
            return Optional.empty();
        }
        return one(call.arguments().get(0), new Label(Label.Kind.ASKED, other(condition).text(),
                trails.apply(call.receiver().get())));
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
        return constant(node, true).or(() -> limit(node).map(question -> question.labels().get(0))).orElseGet(() -> other(node));
    }

    Label other(Node condition) {
        Node said = condition instanceof NullTest test ? test.subject() : condition;
        String text = text(said).replaceAll("\\s+", " ");
        String asked = condition instanceof NullTest test ? (test.negated() ? " != " : " == ") + nothing : "";
        return new Label(Label.Kind.OTHER, (text.length() > 60 ? text.substring(0, 57) + "..." : text) + asked, Trail.UNKNOWN);
    }

    private Optional<Label> constant(Node node, boolean anyName) {
        return node.accept(new Constants(anyName));
    }

    /** Reads a constant: a literal, or a name that is one by its spelling. */
    private final class Constants implements TreeVisitor<Optional<Label>> {
        private final boolean anyName;

        Constants(boolean anyName) {
            this.anyName = anyName;
        }

        @Override
        public Optional<Label> visitNode(Node node) {
            return Optional.empty();
        }

        @Override
        public Optional<Label> visitLiteral(Literal literal) {
            Label.Kind kind = KINDS.get(literal.kind());
            String quote = kind == Label.Kind.STRING && !literal.isSymbol() ? "\"" : kind == Label.Kind.CHARACTER ? "'" : "";
            return Optional.ofNullable(kind).map(each ->
                    new Label(each, quote + literal.text() + quote, Trail.UNKNOWN));
        }

        /** A number below zero. */
        @Override
        public Optional<Label> visitUnary(Unary unary) {
            return unary.operator().equals("-") && unary.operand() instanceof Literal literal && literal.kind() == LiteralKind.INTEGER
                    ? Optional.of(new Label(Label.Kind.INTEGER, "-" + literal.text(), Trail.UNKNOWN)) : Optional.empty();
        }

        @Override
        public Optional<Label> visitName(Name name) {
            return named(name, name.name());
        }

        @Override
        public Optional<Label> visitMember(Member member) {
            boolean ofType = isCapitalised(member.name()) && (member.receiver() instanceof Name owner && isCapitalised(owner.name())
                    || member.receiver() instanceof Member inner && isCapitalised(inner.name()));
            return ofType ? Optional.of(new Label(Label.Kind.NAME, member.name(), trails.apply(member))) : named(member, member.name());
        }

        /** As constants are spelled where they are not written in capitals: {@code Kind.Tug}. */
        private static boolean isCapitalised(String name) {
            return !name.isEmpty() && Character.isUpperCase(name.charAt(0));
        }

        private Optional<Label> named(Node node, String name) {
            return anyName || CONSTANT.matcher(name).matches() || node instanceof Name && constants.contains(name)
                    ? Optional.of(new Label(Label.Kind.NAME, name, trails.apply(node))) : Optional.empty();
        }
    }

    String text(Node node) {
        return node.text(source);
    }

    /** Whether a value is the one that is asked about, or what that is a part of. */
    Predicate<Node> about(Node subject) {
        Optional<Node> whole = subject instanceof Member member ? Optional.of(member.receiver()) : subject instanceof Call call ? call.receiver() : Optional.empty();
        return value -> text(value).equals(text(subject)) || whole.filter(each -> text(each).equals(text(value))).isPresent();
    }

    /** Whether a subject is a field, parameter, getter or local. */
    static boolean isPlain(Node subject) {
        return subject.accept(PLAIN);
    }

    private static final TreeVisitor<Boolean> PLAIN = new TreeVisitor<>() {
        @Override
        public Boolean visitNode(Node node) {
            return false;
        }

        @Override
        public Boolean visitName(Name name) {
            return true;
        }

        @Override
        public Boolean visitMember(Member member) {
            return isPlain(member.receiver());
        }

        /** An entry under a fixed name: {@code parcel['speed']}. */
        @Override
        public Boolean visitIndex(Index index) {
            return index.index() instanceof Literal key && key.kind() == LiteralKind.STRING && isPlain(index.receiver());
        }

        @Override
        public Boolean visitConditional(Conditional choice) {
            return choice.isSafe() && choice.then().accept(this);
        }

        @Override
        public Boolean visitCast(Cast cast) {
            return isPlain(cast.value());
        }

        @Override
        public Boolean visitCall(Call call) {
            return call.arguments().isEmpty() && call.receiver().map(Labels::isPlain).orElse(true);
        }
    };
}
