package driftwood.smell.see.chain;

import driftwood.program.Trail;
import driftwood.program.Walk;
import driftwood.read.FileTree;
import driftwood.smell.Chain;
import driftwood.smell.Chain.Form;
import driftwood.smell.Chain.Label;
import driftwood.smell.Chain.Subject;
import driftwood.smell.Seer;
import driftwood.smell.see.chain.Labels.Question;
import driftwood.source.Language;
import driftwood.tree.*;
import driftwood.tree.Arm;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/** Finds the chains of one file. Each statement or expression belongs to one chain at most. */
public final class ChainWalk extends Walk {
    /** Detectors that share it share its sightings. */
    public static final Seer<Chain> SEER = new Seer<>("chain", 21, Chain.class, file -> new ChainWalk(file).chains());

    /** A line of preparation or of logging, and one more, make a factory no other thing. */
    private static final int PREPARED = 2;
    private static final Pattern REMARK = Pattern.compile("(?i)log|trace|debug|info|warn|warning|error|fine|finer|finest|println|writeline");
    private final List<Chain> chains = new ArrayList<>();
    private final Labels labels;
    private final Bodies bodies;
    private final ArmCalls armCalls;
    private final Set<Node> taken = Collections.newSetFromMap(new IdentityHashMap<>());

    ChainWalk(FileTree file) {
        super(file);
        this.labels = new Labels(this::trail, file.source().text(), Language.nothingIn(file.file().path()), FixedNames.of(file.unit()));
        this.bodies = new Bodies(file.source().text());
        this.armCalls = new ArmCalls(file, this::trail);
    }

    List<Chain> chains() {
        scan(file.unit());
        return chains;
    }

    /** Statements are visited one by one, so that locals declared before a chain are known when it is read. */
    @Override
    public Void visitBlock(Block block) {
        await(block.statements());
        return super.visitBlock(block);
    }

    private final Map<Node, List<Node>> pending = new IdentityHashMap<>();

    private void await(List<Node> statements) {
        for (int i = 0; i < statements.size(); i++) {
            if (statements.get(i) instanceof If && !taken.contains(statements.get(i))) {
                pending.put(statements.get(i), statements.subList(i, statements.size()));
            }
        }
    }

    @Override
    public Void visitArm(Arm arm) {
        await(arm.body());
        return super.visitArm(arm);
    }

    @Override
    public Void visitIf(If branch) {
        List<Node> rest = pending.remove(branch);
        if (!taken.contains(branch)) {
            run(rest == null ? List.of(branch) : rest);
        }
        return visitNode(branch);
    }

    /** Reads a ladder, or a run of ladders that follow one another. @param rest begins with the first If */
    private void run(List<Node> rest) {
        List<Draft> drafts = new ArrayList<>();
        Optional<Node> otherwise = ladder((If) rest.get(0), drafts);
        if (otherwise.isPresent()) {
            emit(Form.LADDER, drafts, List.of(otherwise.get()), rest.size() == 1);
            return;
        }
        int ladderSize = drafts.size();
        boolean leaves = drafts.stream().allMatch(draft -> Exits.leaves(draft.body().get(0)));
        int next = 1;
        Optional<Node> last = Optional.empty();
        while (next < rest.size() && last.isEmpty() && rest.get(next) instanceof If following
                && (leaves || drafts.get(0).isOnSubjectOf(following.condition(), labels))) {
            List<Draft> more = new ArrayList<>();
            Optional<Node> end = ladder(following, more);
            if (!leaves && Draft.overlap(drafts, more, labels)) {
                more.forEach(each -> taken.remove(each.at()));
                break;
            }
            last = end;
            drafts.addAll(more);
            leaves = leaves && more.stream().allMatch(draft -> Exits.leaves(draft.body().get(0)));
            next++;
        }
        List<Node> behind = last.map(List::of).orElse(leaves ? List.copyOf(rest.subList(next, rest.size())) : List.of());
        boolean whole = last.isPresent() ? next == rest.size() : leaves || next == rest.size();
        emit(drafts.size() > ladderSize || !behind.isEmpty() ? Form.GUARDS : Form.LADDER, drafts, behind, whole);
    }

    /** Adds the arms of an if-else ladder. @return its final else */
    private Optional<Node> ladder(If first, List<Draft> drafts) {
        Node at = first;
        while (true) {
            if (!(at instanceof If branch)) {
                return Optional.of(at);
            }
            taken.add(branch);
            if (branch != first && bodies.refusesOthers(branch)) {
                return Optional.of(branch.then());
            }
            drafts.add(new Draft(branch, branch.condition(), labels.ask(branch.condition()), List.of(branch.then()),
                    branch.start(), branch.then().end()));
            if (branch.otherwise().isEmpty()) {
                return Optional.empty();
            }
            at = branch.otherwise().get();
            if (at instanceof Block block && block.statements().size() == 1 && block.statements().get(0) instanceof If inner) {
                at = inner;
            }
        }
    }

    /** Cuts a run into chains on one subject each, and keeps the whole where arms create. */
    private void emit(Form form, List<Draft> drafts, List<Node> otherwise, boolean whole) {
        boolean creates = drafts.stream().anyMatch(draft -> bodies.product(draft.body()).isPresent());
        if (drafts.size() + (otherwise.isEmpty() ? 0 : 1) < 2 || drafts.size() < 2 && !creates
                && !callsDiffer(drafts.get(0), otherwise)) {
            return;
        }
        List<Draft> asked = drafts;
        Optional<Question> main = Draft.mainQuestion(asked, labels);
        if (main.isEmpty()) {
            asked = Draft.asked(drafts, labels::limit);
            main = Draft.mainQuestion(asked, labels);
        }
        if (main.isEmpty()) {
            asked = Draft.asked(drafts, labels::candidate);
            main = Draft.mainQuestion(asked, labels);
        }
        chains.add(chain(form, asked, otherwise, main, whole));
    }

    /** One condition, and on either side one call of a different routine for the same end. */
    private boolean callsDiffer(Draft only, List<Node> otherwise) {
        Optional<Chain.ArmCall> here = armCalls.of(List.of(only.condition()), only.body());
        Optional<Chain.ArmCall> there = here.flatMap(armCall -> armCalls.of(List.of(only.condition()), otherwise));
        if (there.isEmpty() || !here.get().alone() || !there.get().alone() || !here.get().use().equals(there.get().use())) {
            return false;
        }
        boolean result = !here.get().use().isEmpty() && here.get().call().isCall() && there.get().call().isCall()
                && !here.get().call().last().equals(there.get().call().last());
        return result || here.get().calls().stream().anyMatch(mine -> there.get().calls().stream().anyMatch(theirs ->
                !mine.last().equals(theirs.last()) && !mine.owner().equals(theirs.owner())));
    }

    private Chain chain(Form form, List<Draft> drafts, List<Node> otherwise, Optional<Question> main, boolean whole) {
        Subject subject = main.map(question -> subject(question.subject())).orElse(Subject.NONE);
        List<Chain.Arm> arms = new ArrayList<>();
        Predicate<Node> about = main.map(question -> labels.about(question.subject())).orElse(any -> true);
        List<Draft> own = main.isPresent() ? Draft.withoutFirstGuards(drafts, subject.text(), labels, each -> bodies.product(each.body()).isPresent()) : drafts;
        for (Draft draft : own) {
            boolean onSubject = draft.question().isPresent() && draft.subject(labels).equals(subject.text());
            List<Label> asked = onSubject ? draft.question().get().labels() : List.of(labels.other(draft.condition()));
            boolean guarded = onSubject && draft.question().get().guarded();
            arms.add(arm(draft.start(), draft.end(), asked, guarded, List.of(draft.condition()), draft.body(), about));
        }
        int end = otherwise.isEmpty() || form == Form.GUARDS ? drafts.get(drafts.size() - 1).end()
                : otherwise.get(otherwise.size() - 1).end();
        return new Chain(type(), member(), file.lines().lineOf(own.get(0).start()),
                file.lines().lineOf(Math.max(0, end - 1)), form, subject, arms, otherwise(otherwise, about), !loops().isEmpty(),
                whole && isAlone(drafts.get(0).start(), otherwise));
    }

    private Optional<Chain.Arm> otherwise(List<Node> body, Predicate<Node> about) {
        return body.isEmpty() ? Optional.empty()
                : Optional.of(arm(body.get(0).start(), body.get(body.size() - 1).end(), List.of(), false, List.of(), body, about)).map(each -> Bodies.isWork(body) ? each.makingNothing() : each);
    }

    // driftwood: leave long-parameter-list because an arm has these parts and is made here only
    private Chain.Arm arm(int start, int end, List<Label> own, boolean guarded, List<Node> asked, List<Node> body, Predicate<Node> about) {
        List<Node> statements = Bodies.statements(body);
        String does = statements.isEmpty() ? "" : withoutEnd(file.brief(statements.get(0)));
        return new Chain.Arm(file.lines().lineOf(start), file.lines().lineOf(Math.max(start, end - 1)), own, guarded,
                bodies.work(body, own), does, bodies.product(body), Bodies.casts(body, about), armCalls.of(asked, body), Stores.of(statements, file));
    }

    private static String withoutEnd(String statement) {
        return statement.endsWith(";") ? statement.substring(0, statement.length() - 1) : statement;
    }

    private Subject subject(Node node) {
        Trail trail = trail(node);
        return new Subject(labels.text(node).replaceAll("\\s+", ""), trail, Labels.isPlain(node));
    }

    /** Whether the routine's body is this decision alone: before it stand only checks that throw and plain locals. */
    private boolean isAlone(int start, List<Node> behind) {
        if (routine().isEmpty() || routine().get().body().isEmpty() || !loops().isEmpty()
                || Bodies.statements(behind).size() > 1) {
            return false;
        }
        int prepared = 0;
        for (Node statement : routine().get().body().get().statements()) {
            if (statement.start() <= start && start < statement.end()) {
                return statement.start() == start || isLast(statement);
            }
            boolean check = statement instanceof If guard && guard.otherwise().isEmpty() && bodies.work(List.of(guard.then())) == Chain.Work.THROWS;
            boolean requirement = statement instanceof Evaluate evaluate && evaluate.expression() instanceof Call call
                    && call.name().startsWith("require");
            boolean declared = statement instanceof Local local && !(local.initial().isPresent() && local.initial().get() instanceof Creation);
            boolean preparation = prepares(statement) || statement instanceof If remark && remark.otherwise().isEmpty()
                    && Search.statements(remark.then()).stream().allMatch(this::prepares);
            prepared += preparation && !requirement ? 1 : 0;
            if (statement.end() <= start && !check && !requirement && !declared && !(preparation && prepared <= PREPARED)) {
                return false;
            }
        }
        return false;
    }

    /** A local or parameter made ready, or a line of logging. */
    private boolean prepares(Node statement) {
        return statement instanceof Evaluate evaluate && (evaluate.expression() instanceof Assignment assignment
                && assignment.target() instanceof Name name && isLocal(name.name())
                || evaluate.expression() instanceof Call call && REMARK.matcher(call.name()).matches());
    }

    @Override
    public Void visitMatch(Match match) {
        List<Chain.Arm> arms = new ArrayList<>();
        List<Label> waiting = new ArrayList<>();
        Optional<Chain.Arm> otherwise = Optional.empty();
        Predicate<Node> about = labels.about(match.subject());
        int from = -1;
        for (Arm arm : match.arms()) {
            arm.labels().forEach(label -> waiting.add(labels.ofMatch(label)));
            from = from < 0 ? arm.start() : from;
            boolean empty = arm.body().isEmpty() && arm.fallsThrough();
            if (arm.isDefault()) {
                otherwise = Optional.of(arm(from, arm.end(), List.copyOf(waiting), false, List.of(), arm.body(), about));
            } else if (empty) {
                continue;
            } else {
                arms.add(arm(from, arm.end(), List.copyOf(waiting), arm.guard().isPresent(), arm.labels(), arm.body(), about));
            }
            waiting.clear();
            from = -1;
        }
        Stores.moved(match, routine()).ifPresent(name -> arms.replaceAll(each -> each.storing(name)));
        boolean creates = arms.stream().anyMatch(arm -> arm.product().isPresent());
        if (arms.size() >= 2 || arms.size() == 1 && otherwise.isPresent() && creates) {
            chains.add(new Chain(type(), member(), file.line(match), file.endLine(match),
                    match.expression() ? Form.MATCH_VALUE : Form.MATCH, subject(match.subject()), arms, otherwise,
                    !loops().isEmpty(), isAlone(match.start(), List.of()) && isLast(match) && !Exits.isHandedOn(match, routine())));
        }
        return visitNode(match);
    }

    /** Whether nothing but a final return or throw follows a decision in its routine. */
    private boolean isLast(Node node) {
        List<Node> statements = routine().flatMap(Routine::body).map(Block::statements).orElse(List.of());
        List<Node> behind = new ArrayList<>();
        for (Node statement : statements) {
            if (statement.start() >= node.end()) {
                behind.add(statement);
            }
        }
        List<Node> left = Bodies.statements(behind);
        return left.isEmpty() || left.size() == 1 && bodies.work(left) != Chain.Work.ACTS;
    }

    @Override
    public Void visitConditional(Conditional conditional) {
        if (!taken.contains(conditional)) {
            List<Draft> drafts = new ArrayList<>();
            Node at = conditional;
            while (at instanceof Conditional next) {
                taken.add(next);
                drafts.add(new Draft(next, next.condition(), labels.ask(next.condition()), List.of(next.then()),
                        next.start(), next.then().end()));
                at = next.otherwise();
            }
            emit(Form.CONDITIONAL, drafts, List.of(at), isLast(conditional) && !Exits.isHandedOn(conditional, routine()));
        }
        return visitNode(conditional);
    }
}
