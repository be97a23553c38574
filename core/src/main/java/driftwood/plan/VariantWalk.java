package driftwood.plan;

import driftwood.plan.Use.Rest;
import driftwood.plan.Use.Way;
import driftwood.program.Symbol;
import driftwood.program.Walk;
import driftwood.read.FileTree;
import driftwood.tree.Arm;
import driftwood.tree.Block;
import driftwood.tree.Call;
import driftwood.tree.Conditional;
import driftwood.tree.EqualityTest;
import driftwood.tree.If;
import driftwood.tree.Index;
import driftwood.tree.Jump;
import driftwood.tree.Match;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.Return;
import driftwood.tree.Routine;
import driftwood.tree.Search;
import driftwood.tree.Throw;
import driftwood.tree.TypeTest;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Where one file tells variants apart: it chooses between them, asks for one of them, or keeps something for each of them. */
final class VariantWalk extends Walk {
    private static final Set<String> KEEPS = Set.of("put", "putIfAbsent", "of", "entry");
    private static final Set<String> OF_VALUES = Set.of("equals", "hashCode", "compareTo", "compare");

    /** A decision while its conditions are read. */
    private static final class Decision {
        private final Node at;
        private final Set<String> named = new LinkedHashSet<>();
        private int branches;
        private boolean leaves = true;
        private Rest rest = Rest.NOTHING;

        private Decision(Node at) {
            this.at = at;
        }
    }

    private final Kinds kinds;
    private final List<Use> uses = new ArrayList<>();
    private final Map<String, Use> kept = new HashMap<>();
    /** Decisions that go on in an else. */
    private final Map<Node, Decision> ongoing = new IdentityHashMap<>();
    private final Set<Node> labels = Collections.newSetFromMap(new IdentityHashMap<>());
    private final Map<Node, List<Node>> behind = new IdentityHashMap<>();
    private Decision asked;

    private VariantWalk(FileTree file, Kinds kinds) {
        super(file);
        this.kinds = kinds;
    }

    static List<Use> of(FileTree file, Kinds kinds) {
        VariantWalk walk = new VariantWalk(file, kinds);
        walk.scan(file.unit());
        walk.uses.addAll(walk.kept.values());
        return walk.uses;
    }

    @Override
    public Void visitRoutine(Routine routine) {
        Decision around = asked;
        asked = null;
        if (!OF_VALUES.contains(routine.name())) {
            super.visitRoutine(routine);
        }
        asked = around;
        return null;
    }

    @Override
    public Void visitIf(If branch) {
        Decision decision = ongoing.getOrDefault(branch, new Decision(branch));
        ask(decision, branch.condition());
        Decision around = asked;
        asked = null;
        scan(branch.then());
        Optional<If> next = branch.otherwise().flatMap(VariantWalk::onlyIf);
        next.ifPresent(each -> ongoing.put(each, decision));
        decision.leaves &= leaves(branch.then());
        if (next.isEmpty()) {
            decision.rest = rest(branch.otherwise().map(List::of).orElse(decision.leaves ? behind.getOrDefault(decision.at, List.of()) : List.of()));
        }
        branch.otherwise().ifPresent(this::scan);
        asked = around;
        end(decision, branch);
        return null;
    }

    /** What stands behind a decision whose branches all leave is done for the rest. */
    @Override
    public Void visitBlock(Block block) {
        for (int i = 0; i < block.statements().size(); i++) {
            if (block.statements().get(i) instanceof If each) {
                behind.put(each, block.statements().subList(i + 1, block.statements().size()));
            }
        }
        return super.visitBlock(block);
    }

    private static boolean leaves(Node body) {
        List<Node> statements = Search.statements(body);
        Node last = statements.isEmpty() ? body : statements.get(statements.size() - 1);
        return last instanceof Return || last instanceof Throw || last instanceof Jump;
    }

    private static Optional<If> onlyIf(Node otherwise) {
        List<Node> statements = Search.statements(otherwise);
        return statements.size() == 1 && statements.get(0) instanceof If next ? Optional.of(next) : Optional.empty();
    }

    @Override
    public Void visitConditional(Conditional conditional) {
        Decision decision = ongoing.getOrDefault(conditional, new Decision(conditional));
        ask(decision, conditional.condition());
        Decision around = asked;
        asked = null;
        if (conditional.otherwise() instanceof Conditional next) {
            ongoing.put(next, decision);
        }
        decision.rest = Rest.SAME;
        scan(conditional.then());
        scan(conditional.otherwise());
        asked = around;
        end(decision, conditional);
        return null;
    }

    private void ask(Decision decision, Node condition) {
        Decision around = asked;
        asked = decision;
        int before = decision.named.size();
        scan(condition);
        decision.branches += decision.named.size() > before ? 1 : 0;
        asked = around;
    }

    private void end(Decision decision, Node at) {
        if (decision.at == at && !decision.named.isEmpty()) {
            Way way = decision.branches > 1 || at instanceof Match ? Way.CHOOSES : Way.ASKS;
            uses.add(new Use(way, file.line(at), file.endLine(at), member(), decision.named, "", decision.rest));
        }
    }

    @Override
    public Void visitMatch(Match match) {
        Decision decision = new Decision(match);
        decision.rest = match.expression() && !file.file().language().isDuckTyped() ? Rest.CHECKED : Rest.NOTHING;
        boolean subject = kinds.isOne(trail(match.subject()), type());
        for (Arm arm : match.arms()) {
            for (Node label : arm.labels()) {
                labels.add(label);
                named(label, subject).ifPresent(decision.named::add);
            }
            if (arm.isDefault()) {
                decision.rest = rest(arm.body());
            }
        }
        Decision around = asked;
        asked = null;
        visitNode(match);
        asked = around;
        end(decision, match);
        return null;
    }

    private Optional<String> named(Node label, boolean subject) {
        if (label instanceof TypeTest test) {
            return kinds.variant(test.type(), type());
        }
        return label instanceof Name name && subject && kinds.constants().contains(name.name()) ? Optional.of(name.name()) : constant(label);
    }

    private static Rest rest(List<Node> body) {
        List<Node> statements = body.size() == 1 ? Search.statements(body.get(0)) : body;
        return statements.isEmpty() ? Rest.NOTHING : statements.size() == 1 && statements.get(0) instanceof Throw ? Rest.THROWS : Rest.SAME;
    }

    @Override
    public Void visitEqualityTest(EqualityTest test) {
        constant(test.left()).or(() -> constant(test.right())).ifPresent(name -> asksFor(name, test));
        return visitNode(test);
    }

    @Override
    public Void visitTypeTest(TypeTest test) {
        if (!labels.contains(test)) {
            kinds.variant(test.type(), type()).ifPresent(name -> asksFor(name, test));
        }
        return super.visitTypeTest(test);
    }

    private void asksFor(String name, Node at) {
        if (asked != null) {
            asked.named.add(name);
        } else {
            Use last = uses.isEmpty() ? null : uses.get(uses.size() - 1);
            boolean again = last != null && last.way() == Way.ASKS && last.endLine() >= file.line(at) && last.routine().equals(member());
            Set<String> named = new LinkedHashSet<>(again ? last.named() : Set.of());
            named.add(name);
            if (again) {
                uses.remove(uses.size() - 1);
            }
            uses.add(new Use(Way.ASKS, again ? last.line() : file.line(at), file.endLine(at), member(), named, "", Rest.SAME));
        }
    }

    /** A table has entries for them, or several of them are listed; one alone is only handed on. */
    @Override
    public Void visitCall(Call call) {
        if (KEEPS.contains(call.name()) && call.arguments().size() > 1) {
            Set<String> named = new LinkedHashSet<>();
            call.arguments().forEach(each -> constant(each).ifPresent(named::add));
            if (!named.isEmpty()) {
                Symbol around = Symbol.of(member());
                keeps(call.name().startsWith("put") ? call.receiver().map(file::brief).orElse("") : around.isRoutine() ? "" : around.member(), named, call);
            }
        }
        return visitNode(call);
    }

    /** {@code NAMES[kind.ordinal()]}: a value at the place of each. */
    @Override
    public Void visitIndex(Index index) {
        if (index.index() instanceof Call call && call.name().equals("ordinal") && call.receiver().isPresent() && kinds.isOne(trail(call.receiver().get()), type())) {
            keeps(file.brief(index.receiver()), Set.of(), index);
        }
        return visitNode(index);
    }

    private void keeps(String table, Set<String> named, Node at) {
        String key = member() + " " + table;
        Use before = kept.get(key);
        Set<String> all = new LinkedHashSet<>(before == null ? Set.of() : before.named());
        all.addAll(named);
        int line = before == null ? file.line(at) : Math.min(before.line(), file.line(at));
        int end = before == null ? file.endLine(at) : Math.max(before.endLine(), file.endLine(at));
        kept.put(key, new Use(Way.KEEPS, line, end, member(), all, table, Rest.NOTHING));
    }

    private Optional<String> constant(Node node) {
        return kinds.constant(trail(node), type());
    }
}
