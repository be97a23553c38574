package driftwood.smell.detect.nothing;

import driftwood.read.FileTree;
import driftwood.source.Language;
import driftwood.tree.Binary;
import driftwood.tree.Block;
import driftwood.tree.If;
import driftwood.tree.Member;
import driftwood.tree.Name;
import driftwood.tree.Index;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import driftwood.tree.Node;
import driftwood.tree.NullTest;
import driftwood.tree.Return;
import driftwood.tree.Routine;
import driftwood.tree.Search;
import driftwood.tree.Unary;
import driftwood.tree.Yield;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What is known of the routine being walked. */
final class Frame {
    final Routine routine;
    final MaybeEmptyLocals locals;
    private final Deque<Asked> conditions = new ArrayDeque<>();
    final Set<String> filled = new HashSet<>();
    final List<NothingSighting> own = new ArrayList<>();
    /** Whether it gives back anything but nothing, yes or no. */
    boolean things;
    boolean truths;
    private final FileTree file;

    Frame(Routine routine, FileTree file) {
        this.routine = routine;
        this.locals = new MaybeEmptyLocals(routine);
        this.file = file;
    }

    /** A condition that decides whether the code being walked is reached. @param holds false in what is done else @param split whether both ways are written out */
    private record Asked(Node condition, boolean holds, boolean split) {
    }

    /** Walks what a condition decides about. @param holds false in what is done else */
    void under(Node condition, boolean holds, Runnable walk) {
        under(new Asked(condition, holds, false), walk);
    }

    /** Walks one of both ways that an if writes out. */
    void oneWay(If branch, boolean holds, Runnable walk) {
        under(new Asked(branch.condition(), holds, branch.otherwise().isPresent()), walk);
    }

    private void under(Asked asked, Runnable walk) {
        conditions.push(asked);
        walk.run();
        conditions.pop();
    }

    /** The field that a getter gives; empty where the routine is none. */
    Optional<Node> gotten() {
        List<Node> body = routine.body().map(Block::statements).orElse(List.of());
        return body.size() == 1 && routine.parameters().isEmpty() && body.get(0) instanceof Return back
                ? back.value().filter(value -> value instanceof Name || value instanceof Member member && member.receiver() instanceof Name) : Optional.empty();
    }

    boolean isGenerator() {
        return Search.any(routine.body().orElseThrow(), Yield.class::isInstance);
    }

    boolean isDuckTyped() {
        return file.file().language().isDuckTyped();
    }

    /** A number by which a list is asked where the compiler checks for nothing is one that it has. */
    boolean givesNothingByKey(Index index) {
        boolean counted = index.index() instanceof Literal key && key.kind() == LiteralKind.INTEGER;
        return file.file().language().has(Language.Habit.NOTHING_BY_KEY) && !(counted && file.file().language().has(Language.Habit.NOTHING_CHECKED));
    }

    /** When the code being walked is reached, as a clause. */
    String condition() {
        return conditions.isEmpty() ? "at the end" : (conditions.peek().holds() ? "if " : "unless ") + file.brief(conditions.peek().condition());
    }

    /** Whether the code being walked is only reached where a local is something. */
    boolean isThere(String local) {
        return conditions.stream().anyMatch(each -> isThere(each.condition(), each.holds(), local));
    }

    private boolean isThere(Node condition, boolean holds, String local) {
        Optional<NullTest> test = condition instanceof NullTest asked ? Optional.of(asked)
                : file.file().language().has(Language.Habit.TRUTH) ? Truth.asked(condition) : Optional.empty();
        if (test.isPresent()) {
            return test.get().negated() == holds && test.get().subject() instanceof Name name && name.name().equals(local);
        }
        return condition instanceof Binary binary && binary.operator().equals(holds ? "&&" : "||")
                && (isThere(binary.left(), holds, local) || isThere(binary.right(), holds, local));
    }

    /** Nothing in, nothing out: a parameter that is null is passed through, which is no statement of the routine's. */
    boolean isPassedThrough() {
        Set<String> parameters = new HashSet<>();
        routine.parameters().forEach(each -> parameters.add(each.name()));
        Asked nearest = conditions.peek();
        return nearest != null && (asksForNothing(nearest.condition(), parameters) || nearest.split() && isFlag(nearest.condition()));
    }

    /** One of the two things that a caller chooses between by a flag may have no result: whoever asks for it knows. */
    private boolean isFlag(Node condition) {
        Node asked = condition instanceof Unary not && not.operator().equals("!") ? not.operand() : condition;
        return asked instanceof Name name && routine.parameters().stream().anyMatch(each -> each.name().equals(name.name())
                && (each.type().simpleName().matches("boolean|bool|Boolean") || each.fallback().filter(value -> value instanceof Literal literal
                && literal.kind() == LiteralKind.BOOLEAN).isPresent()));
    }

    private boolean asksForNothing(Node condition, Set<String> names) {
        if (file.file().language().has(Language.Habit.TRUTH) && Truth.asked(condition).filter(test -> !test.negated()
                && test.subject() instanceof Name name && names.contains(name.name())).isPresent()) {
            return true;
        }
        if (condition instanceof NullTest test) {
            return test.subject() instanceof Name name && names.contains(name.name());
        }
        return condition instanceof Binary binary && binary.operator().equals("||")
                && asksForNothing(binary.left(), names) && asksForNothing(binary.right(), names);
    }
}
