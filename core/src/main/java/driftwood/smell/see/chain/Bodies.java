package driftwood.smell.see.chain;

import driftwood.smell.Chain.Label;
import driftwood.smell.Chain.Product;
import driftwood.smell.Chain.Work;
import driftwood.tree.*;
import driftwood.tree.Empty;
import driftwood.tree.Unpacked;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/** What the body of an arm amounts to: work, a lookup, a creation, an error or nothing. */
final class Bodies implements TreeVisitor<Work> {
    private static final Set<String> PRIMITIVES = Set.of("byte", "short", "int", "long", "float", "double", "char");
    /** Routines that only throw or do nothing, by the names that the trade gives them. */
    private static final Pattern CHECK = Pattern.compile("(?i:check|require|validate|assert|ensure|verify)([A-Z].*)?");

    /** So many statements may make one thing. */
    private static final int MAKING = 6;

    private final String source;
    private final Effects effects = new Effects();

    Bodies(String source) {
        this.source = source;
    }

    /** Whether a last arm is the rest but for one kind that it lets pass: whatever else it is, it throws. */
    boolean refusesOthers(If branch) {
        boolean others = branch.condition() instanceof EqualityTest equal && equal.negated() || branch.condition() instanceof Unary not && not.operand() instanceof TypeTest;
        return others && branch.otherwise().isEmpty() && work(List.of(branch.then())) == Work.THROWS;
    }

    /** Statements of a body, blocks opened, jumps without a value and casts into locals left out. */
    static List<Node> statements(List<Node> body) {
        List<Node> flat = new ArrayList<>();
        body.forEach(each -> flat.addAll(Search.statements(each)));
        flat.removeIf(each -> each.accept(SILENCE));
        return flat;
    }

    private static final TreeVisitor<Boolean> SILENCE = new TreeVisitor<>() {
        @Override
        public Boolean visitNode(Node node) {
            return false;
        }

        @Override
        public Boolean visitJump(Jump jump) {
            return jump.value().isEmpty();
        }

        @Override
        public Boolean visitReturn(Return back) {
            return back.value().isEmpty();
        }

        @Override
        public Boolean visitLocal(Local local) {
            return local.initial().map(Cast.class::isInstance).orElse(false);
        }

        @Override
        public Boolean visitEmpty(Empty empty) {
            return true;
        }
    };

    Work work(List<Node> body) {
        List<Node> statements = statements(body);
        if (statements.isEmpty()) {
            return Work.NOTHING;
        }
        if (statements.size() == 1) {
            return statements.get(0).accept(this);
        }
        boolean configured = statements.get(0) instanceof Local && statements.size() == 2 && product(body).isPresent();
        return configured ? Work.CREATES : Work.ACTS;
    }

    /** What an arm does: one for a type, which puts a text together of what that type has, tells what the type itself could tell. @param own labels */
    Work work(List<Node> body, List<Label> own) {
        Work work = work(body);
        return work == Work.LOOKS_UP && own.stream().anyMatch(each -> each.kind() == Label.Kind.TYPE) && Lookups.isPutTogether(statements(body).get(0)) ? Work.ACTS : work;
    }

    /** Whether statements in a row are work of their own rather than the making of one thing: many, or with a loop or choice among them. */
    static boolean isWork(List<Node> row) {
        return row.size() > MAKING || row.size() > 1 && row.stream().anyMatch(each -> each instanceof Loop || each instanceof If || each instanceof Match);
    }

    /** What a body creates as its result. */
    Optional<Product> product(List<Node> body) {
        return Products.of(statements(body), source);
    }

    /** A bare expression is a value. */
    @Override
    public Work visitNode(Node value) {
        return Lookups.isLookup(value) ? Work.LOOKS_UP : Work.ACTS;
    }

    private Work value(Optional<Node> value) {
        return value.map(each -> each.accept(this)).orElse(Work.NOTHING);
    }

    @Override
    public Work visitCreation(Creation creation) {
        boolean filled = creation.array() && !creation.arguments().stream().allMatch(Lookups::isLookup);
        return !creation.array() ? Work.CREATES : filled ? Work.ACTS : Work.LOOKS_UP;
    }

    /** Several names given their values at once. */
    @Override
    public Work visitUnpacked(Unpacked names) {
        boolean looked = names.parts().stream().allMatch(each -> each instanceof Local || Lookups.isLookup(each));
        boolean kept = names.parts().stream().noneMatch(Bodies::isOfOther);
        return looked && kept ? Work.LOOKS_UP : Work.ACTS;
    }

    @Override
    public Work visitBlock(Block block) {
        return work(block.statements());
    }

    @Override
    public Work visitThrow(Throw error) {
        return Work.THROWS;
    }

    @Override
    public Work visitReturn(Return back) {
        return value(back.value());
    }

    @Override
    public Work visitJump(Jump jump) {
        return value(jump.value());
    }

    @Override
    public Work visitLocal(Local local) {
        return value(local.initial());
    }

    @Override
    public Work visitEvaluate(Evaluate evaluate) {
        return evaluate.expression().accept(effects);
    }

    @Override
    public Work visitIf(If branch) {
        Work then = work(List.of(branch.then()));
        Work otherwise = branch.otherwise().map(each -> work(List.of(each))).orElse(Work.NOTHING);
        return then.compareTo(otherwise) > 0 ? then : otherwise;
    }

    @Override
    public Work visitMatch(Match match) {
        return match.arms().stream().map(arm -> work(arm.body())).max(Work::compareTo).orElse(Work.NOTHING);
    }

    /** An expression that stands as a statement is there for its effect. */
    private final class Effects implements TreeVisitor<Work> {

        @Override
        public Work visitNode(Node expression) {
            return Work.ACTS;
        }

        @Override
        public Work visitAssignment(Assignment assignment) {
            return assignment.operator().equals("=") && !isOfOther(assignment.target()) ? assignment.value().accept(Bodies.this) : Work.ACTS;
        }

        @Override
        public Work visitCall(Call call) {
            boolean adds = call.arguments().size() == 1 && call.arguments().get(0) instanceof Creation creation
                    && !creation.array();
            return adds ? Work.CREATES : CHECK.matcher(call.name()).matches() ? Work.THROWS : isText(call) ? Work.LOOKS_UP : Work.ACTS;
        }
    }

    /** A property of a collaborator, which is set as a setter would. */
    private static boolean isOfOther(Node target) {
        return target instanceof Member member && member.receiver() instanceof Member;
    }

    /** A text put behind another: which one is a lookup. */
    private static boolean isText(Call call) {
        return call.name().equals("append") && call.arguments().size() == 1 && call.receiver().filter(Name.class::isInstance).isPresent()
                && call.arguments().get(0) instanceof Literal text && text.kind() == LiteralKind.STRING;
    }

    /**
     * Types that a body casts what is asked about to, each once, or what it is a part of; a cast to a number or character tells
     * nothing of a value's kind.
     *
     * @param about whether a value is what is asked about
     */
    static List<String> casts(List<Node> body, Predicate<Node> about) {
        List<String> types = new ArrayList<>();
        TreeScanner scanner = new TreeScanner() {
            @Override
            public Void visitCast(Cast cast) {
                if (!types.contains(cast.type().simpleName()) && !PRIMITIVES.contains(cast.type().text()) && about.test(cast.value())) {
                    types.add(cast.type().simpleName());
                }
                return visitNode(cast);
            }
        };
        body.forEach(scanner::scan);
        return types;
    }
}
