package driftwood.smell.detect.misplaced;

import driftwood.program.Step;
import driftwood.program.Trail;
import driftwood.program.Walk;
import driftwood.read.FileTree;
import driftwood.smell.Seer;
import driftwood.smell.detect.misplaced.Usage.Use;
import driftwood.tree.*;
import driftwood.tree.Assertion;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Sees which members each routine uses, of its own object and of others. */
final class UsageWalk extends Walk {
    static final Seer<Usage> SEER = new Seer<>("usage", 9, Usage.class, file -> {
        UsageWalk walk = new UsageWalk(file);
        walk.scan(file.unit());
        return walk.usages;
    });
    private final List<Usage> usages = new ArrayList<>();
    private Set<String> own = new LinkedHashSet<>();
    private Set<Use> others = new LinkedHashSet<>();
    /** Uses that only fill what is being created: the work of a mapper. */
    private Set<Use> mapped = new LinkedHashSet<>();
    private int creations;
    private static final Pattern FILLS = Pattern.compile("(?i)format(ted)?|sprintf");
    private static final Pattern PUTS = Pattern.compile("(?i)put|add|append|set|write|print|println|format|writeline|appendline");
    /** A call with so many arguments puts a row together. */
    private static final int ROW = 6;

    private UsageWalk(FileTree file) {
        super(file);
    }

    @Override
    public Void visitRoutine(Routine routine) {
        Set<String> outerOwn = own;
        Set<Use> outerOthers = others;
        Set<Use> outerMapped = mapped;
        mapped = new LinkedHashSet<>();
        own = new LinkedHashSet<>();
        others = new LinkedHashSet<>();
        super.visitRoutine(routine);
        boolean envies = routine.kind() == RoutineKind.METHOD && others.size() >= 3 && own.size() <= 1;
        String made = envies ? made(routine) : "";
        boolean maps = made.isEmpty() && 2 * mapped.size() >= others.size();
        if (envies && !maps && !forwards(routine) && !writes(routine)) {
            usages.add(new Usage(type(), symbol(routine), routine.name(), made, Set.copyOf(own), List.copyOf(others),
                    file.line(routine), file.endLine(routine)));
        }
        own = outerOwn;
        others = outerOthers;
        mapped = outerMapped;
        return null;
    }

    /** What a creation routine makes: the type of whatever it gives back, empty if that is not made here. */
    private static String made(Routine routine) {
        List<Return> returns = routine.body().map(body -> Search.all(body, Return.class)).orElse(List.of());
        boolean makes = !returns.isEmpty() && returns.stream().allMatch(each -> each.value().filter(Creation.class::isInstance).isPresent());
        return makes ? ((Creation) returns.get(0).value().orElseThrow()).type().simpleName() : "";
    }

    /** An overload for convenience, which only takes its argument apart for the other one. */
    private static boolean forwards(Routine routine) {
        List<Node> body = routine.body().map(Search::statements).orElse(List.of());
        if (body.size() != 1) {
            return false;
        }
        Node only = body.get(0) instanceof Return back ? back.value().orElse(back)
                : body.get(0) instanceof Evaluate evaluate ? evaluate.expression() : body.get(0);
        return only instanceof Call call && call.name().equals(routine.name());
    }

    /** A routine that puts a text together is a printer, whatever it is called. */
    private static boolean writes(Routine routine) {
        return (!routine.returns().isPresent() || routine.returns().simpleName().matches("[Ss]tring|str")) && routine.body().isPresent()
                && Search.all(routine.body().get(), Return.class).stream().allMatch(each -> each.value().map(UsageWalk::isPutTogether).orElse(false));
    }

    /** A sum of texts, or a text whose gaps are filled. */
    private static boolean isPutTogether(Node value) {
        if (value instanceof Call call) {
            return FILLS.matcher(call.name()).matches() && Stream.concat(call.receiver().stream(), call.arguments().stream()).anyMatch(UsageWalk::isText);
        }
        return value instanceof Binary sum && (sum.operator().equals("+") && Search.any(sum, UsageWalk::isText) || sum.operator().equals("%") && isText(sum.left()));
    }

    private static boolean isText(Node node) {
        return node instanceof Literal literal && literal.kind() == LiteralKind.STRING;
    }

    /** What is only asserted of another object is not worked with. */
    @Override
    public Void visitAssertion(Assertion asserted) {
        Set<Use> before = new LinkedHashSet<>(others);
        super.visitAssertion(asserted);
        others = before;
        return null;
    }

    /** A part that is only filled is not asked for. */
    @Override
    public Void visitAssignment(Assignment assignment) {
        boolean whole = assignment.operator().equals("=") && assignment.target() instanceof Member;
        Set<Use> before = whole ? new LinkedHashSet<>(others) : Set.of();
        boolean fills = assignment.target() instanceof Member part && part.receiver() instanceof Name filled && !filled.isSelf()
                && !Search.mentions(assignment.value(), filled.name())
                && Search.any(assignment.value(), node -> node instanceof Member || node instanceof Call);
        creations += fills ? 1 : 0;
        super.visitAssignment(assignment);
        creations -= fills ? 1 : 0;
        if (whole && assignment.target() instanceof Member filled && trail(filled.receiver()).isKnown()) {
            Use use = new Use(trail(filled.receiver()), Step.get(filled.name()));
            others.removeIf(each -> each.equals(use) && !before.contains(use));
        }
        return null;
    }

    @Override
    public Void visitCall(Call call) {
        boolean row = call.arguments().size() >= ROW || call.receiver().orElse(null) instanceof Name filled && isLocal(filled.name())
                && PUTS.matcher(call.name()).matches();
        creations += row ? 1 : 0;
        visitUsed(call);
        creations -= row ? 1 : 0;
        return null;
    }

    private Void visitUsed(Call call) {
        if (call.receiver().isEmpty()) {
            own.add(call.name());
        } else {
            use(call.receiver().get(), Step.invoke(call.name(), call.arguments().size()));
        }
        return super.visitCall(call);
    }

    @Override
    public Void visitMember(Member member) {
        use(member.receiver(), Step.get(member.name()));
        return super.visitMember(member);
    }

    @Override
    public Void visitCreation(Creation creation) {
        creations += creation.array() ? 0 : 1;
        super.visitCreation(creation);
        creations -= creation.array() ? 0 : 1;
        return null;
    }

    private void use(Node receiver, Step step) {
        if (receiver instanceof Name self && (self.isSelf()
                || self.name().equals("super"))) {
            own.add(step.name());
            return;
        }
        boolean type = beginsAtType(receiver);
        Trail trail = trail(receiver);
        if (!type && trail.isKnown()) {
            others.add(new Use(trail, step));
            if (creations > 0) {
                mapped.add(new Use(trail, step));
            }
        }
    }

    /** A type, or a constant of one: nothing that the routine was given. */
    private static boolean beginsAtType(Node receiver) {
        return receiver instanceof Name named && Character.isUpperCase(named.name().charAt(0))
                || receiver instanceof Member member && beginsAtType(member.receiver());
    }

    /** A bare name that is no local is a field of the object, or a type. */
    @Override
    public Void visitName(Name name) {
        if (!isLocal(name.name()) && !name.isSelf()
                && Character.isLowerCase(name.name().charAt(0))) {
            own.add(name.name());
        }
        return super.visitName(name);
    }
}
