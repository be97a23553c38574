package driftwood.smell.detect.container;

import driftwood.program.Step;
import driftwood.program.Trail;
import driftwood.program.Walk;
import driftwood.read.FileTree;
import driftwood.smell.Seer;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.IdentityHashMap;
import java.util.Map;

/** Sees walks that ask each part whether it is a container, and go down into those that are. */
final class DescentWalk extends Walk {
    static final Seer<Descent> SEER = new Seer<>("descent", 16, Descent.class, file -> {
        DescentWalk walk = new DescentWalk(file);
        walk.scan(file.unit());
        return walk.descents;
    });
    private static final Pattern FLAG = Pattern.compile(
            "(?i:is|has)_?(Folder|Directory|Container|Group|Composite|Branch|Parent|Node|folder|directory|container|group"
                    + "|composite|branch)s?");
    private static final Pattern ASKING = Pattern.compile("(?i:is|has)_?[A-Za-z]\\w*");
    private static final Pattern PUSH = Pattern.compile("(?i)(add|addRange|push|addAll|offer|addFirst|addLast|append|extend|enqueue"
            + "|put|insert|appendleft|extendleft)");

    private static final int SEVERAL = 6;
    /** How many arms ask for types in the ladder that an If is a later part of. */
    private final Map<If, Integer> ladders = new IdentityHashMap<>();
    /** How many the ladder around tells apart: what is asked within one of its arms goes on telling them apart. */
    private int around;
    /** Names of the parameters of lambdas around. */
    private final Set<String> handed = new HashSet<>();
    private final List<Descent> descents = new ArrayList<>();

    private DescentWalk(FileTree file) {
        super(file);
    }

    @Override
    public Void visitIf(If branch) {
        int kinds = Math.max(around, ladders.getOrDefault(branch, kindsAsked(branch)));
        branch.otherwise().map(each -> each instanceof Block block && block.statements().size() == 1 ? block.statements().get(0) : each)
                .filter(If.class::isInstance).ifPresent(next -> ladders.put((If) next, kinds));
        if (kinds < SEVERAL) {
            look(branch, branch.condition(), branch.then());
            branch.otherwise().ifPresent(rest -> turned(branch, branch.condition(), rest));
        }
        int outer = around;
        around = kinds;
        super.visitIf(branch);
        around = outer;
        return null;
    }

    /** How many arms of a ladder ask for types: one of many arms is no question whether a part is a container. */
    private static int kindsAsked(If first) {
        int kinds = 0;
        Node at = first;
        while (at instanceof If branch) {
            kinds += Search.any(branch.condition(), TypeTest.class::isInstance) ? 1 : 0;
            at = branch.otherwise().map(each -> each instanceof Block block && block.statements().size() == 1 ? block.statements().get(0) : each)
                    .orElse(null);
        }
        return kinds;
    }

    @Override
    public Void visitMatch(Match match) {
        for (Arm arm : match.arms()) {
            for (Node label : arm.labels()) {
                if (label instanceof TypeTest test && match.subject() instanceof Name subject) {
                    Block body = new Block(arm.start(), arm.end(), arm.body());
                    decide(match, subject, test.type().text(), test.binding(), label, body);
                }
            }
        }
        return super.visitMatch(match);
    }

    @Override
    public Void visitConditional(Conditional choice) {
        if (around < SEVERAL) {
            look(choice, choice.condition(), choice.then());
            turned(choice, choice.condition(), choice.otherwise());
        }
        return super.visitConditional(choice);
    }

    /** The other way round: what is no leaf is a container. */
    private void turned(Node decision, Node condition, Node otherwise) {
        if (condition instanceof Unary not && not.operator().equals("!")) {
            look(decision, not.operand(), otherwise);
        }
    }

    private void look(Node decision, Node condition, Node then) {
        Node asked = condition instanceof Binary both && both.operator().equals("&&") ? both.left() : condition;
        // driftwood: leave type-switch because what is asked is read from the tree, where each kind has its own parts
        if (asked instanceof TypeTest test && test.subject() instanceof Name subject) {
            decide(decision, subject, test.type().text(), test.binding(), asked, then);
        } else if (asked instanceof Call call && call.arguments().isEmpty() && call.receiver().orElse(null) instanceof Name subject) {
            flag(decision, subject, call.name(), asked, then);
        } else if (asked instanceof Member member && member.receiver() instanceof Name subject) {
            flag(decision, subject, member.name(), asked, then);
        }
    }

    /** A flag says what a part is by its name, or the cast behind it does. */
    private void flag(Node decision, Name subject, String name, Node asked, Node then) {
        String type = Search.all(then, Cast.class).stream().filter(each -> each.value() instanceof Name cast
                && cast.name().equals(subject.name())).map(each -> each.type().text()).findFirst().orElse("");
        if (FLAG.matcher(name).matches() || !type.isEmpty() && ASKING.matcher(name).matches()) {
            decide(decision, subject, FLAG.matcher(name).matches() ? "" : type, Optional.empty(), asked, then);
        }
    }

    /** What a lambda does with the elements it is handed is a walk as well. */
    @Override
    public Void visitLambda(Lambda lambda) {
        Set<String> outer = new HashSet<>(handed);
        lambda.parameters().forEach(each -> handed.add(each.name()));
        super.visitLambda(lambda);
        handed.clear();
        handed.addAll(outer);
        return null;
    }

    // driftwood: leave long-parameter-list because a question has these parts and is put together here only
    private void decide(Node decision, Name subject, String test, Optional<String> binding, Node asked, Node then) {
        boolean part = handed.contains(subject.name()) || loops().stream().anyMatch(loop -> gives(loop, subject.name()));
        boolean given = routine().isPresent() && routine().get().parameters().stream()
                .anyMatch(each -> each.name().equals(subject.name()));
        if (!part && !given || given && makesList(subject)) {
            return;
        }
        Set<String> names = new HashSet<>(Set.of(subject.name()));
        binding.ifPresent(names::add);
        for (Local local : Search.all(then, Local.class)) {
            if (local.initial().map(value -> mentionsAny(value, names)).orElse(false)) {
                names.add(local.name());
            }
        }
        descent(then, names, part).ifPresent(found -> {
            Node around = part && !loops().isEmpty() ? loops().peek() : decision;
            Node down = found.node();
            descents.add(new Descent(type(), member(), test, trail(subject), file.brief(asked), file.line(decision),
                    file.endLine(decision), file.brief(down), file.line(down), test.isEmpty() ? nameOf(asked) : "",
                    into(down, names, trail(subject)), found.again(), found.recurs(), part, file.line(around), file.endLine(around)));
        });
    }

    /** One or many are made a list: what is handed in is a list already, or becomes one of itself alone. */
    private boolean makesList(Name subject) {
        return routine().flatMap(Routine::body).map(body -> Search.all(body, Call.class).stream().anyMatch(call ->
                call.name().matches("singletonList|singleton|asList|of|listOf") && call.arguments().size() == 1
                        && Search.mentions(call.arguments().get(0), subject.name()))).orElse(false);
    }

    /** Whether a loop gives its parts by this name: its variable, or a local filled from what is walked. */
    private static boolean gives(Loop loop, String name) {
        if (loop.kind() == LoopKind.EACH && !loop.header().isEmpty() && loop.header().get(0) instanceof Local local
                && local.name().equals(name)) {
            return true;
        }
        return Search.statements(loop.body()).stream().flatMap(each -> value(each, name).stream())
                .anyMatch(value -> Search.any(value, node -> node instanceof Index || node instanceof Call call
                && call.name().matches("(?i)get|next|pop|poll|dequeue|shift|remove|removeFirst|removeLast|pollFirst|pollLast|popleft|"
                + "nextElement|elementAt|item|getChild.*|child.*") || isLookedUp(node, loop)));
    }

    /** What a collection gives for the name, key or number that the loop walks: {@code resources.part(name)}. */
    private static boolean isLookedUp(Node node, Loop loop) {
        return (loop.kind() == LoopKind.EACH || loop.kind() == LoopKind.COUNTED) && !loop.header().isEmpty() && loop.header().get(0) instanceof Local key
                && node instanceof Call call && call.receiver().isPresent() && call.arguments().size() == 1
                && call.arguments().get(0) instanceof Name given && given.name().equals(key.name());
    }

    /** How a walk goes down. @param again by the same walk; @param recurs by the routine around, called again */
    private record Down(Node node, boolean again, boolean recurs) {
    }

    private static String nameOf(Node node) {
        return node instanceof Member member ? member.name() : node instanceof Call call ? call.name() : "";
    }

    /** The member whose parts are walked: of the container, or where that is handed on whole, of what the loop or the lambda walks. */
    private String into(Node down, Set<String> names, Trail part) {
        Node where = down instanceof Loop loop && loop.header().size() == 2 ? loop.header().get(1) : down;
        for (Member member : Search.all(where, Member.class)) {
            if (mentionsAny(member.receiver(), names)) {
                return member.name();
            }
        }
        for (Call call : Search.all(where, Call.class)) {
            if (call.arguments().isEmpty() && call.receiver().map(each -> mentionsAny(each, names)).orElse(false)) {
                return call.name();
            }
        }
        int steps = part.steps().size();
        boolean element = loops().isEmpty() && steps > 1 && part.steps().get(steps - 1) == Step.ELEMENT;
        return element ? part.steps().get(steps - 2).name() : loops().isEmpty() || loops().peek().header().size() != 2 ? "" : nameOf(loops().peek().header().get(1));
    }

    /** What a statement gives a local. */
    private static Optional<Node> value(Node statement, String name) {
        if (statement instanceof Local local && local.name().equals(name)) {
            return local.initial();
        }
        return statement instanceof Evaluate evaluate && evaluate.expression() instanceof Assignment assignment
                && assignment.target() instanceof Name target && target.name().equals(name)
                ? Optional.of(assignment.value()) : Optional.empty();
    }

    /** Recursion with the part, an inner loop over it, or its parts pushed on what is being walked. */
    private Optional<Down> descent(Node then, Set<String> names, boolean part) {
        String own = routine().map(Routine::name).orElse("");
        for (Call call : Search.all(then, Call.class)) {
            if (part && !isGathered() && call.name().equals(own) && !isOwn(call) && call.receiver().map(each -> mentionsAny(each, names)).orElse(false)) {
                return Optional.of(new Down(call, true, false));
            }
            boolean within = call.arguments().stream().anyMatch(each -> mentionsAny(each, names));
            boolean same = routine().map(each -> takes(each, call.arguments().size())).orElse(false);
            if (within && part && call.name().equals(own) && isOwn(call) && same) {
                return Optional.of(new Down(call, true, true));
            }
            if (within && part && isPush(call) && call.arguments().stream().anyMatch(each ->
                    !(each instanceof Name) && mentionsAny(each, names))) {
                return Optional.of(new Down(call, true, false));
            }
        }
        for (Loop loop : Search.all(then, Loop.class)) {
            boolean over = loop.header().stream().anyMatch(each -> mentionsAny(each, names));
            boolean recurs = Search.all(loop.body(), Call.class).stream().anyMatch(each -> each.name().equals(own)
                    && isOwn(each) && !each.arguments().isEmpty());
            boolean pushed = Search.all(loop.body(), Call.class).stream().anyMatch(this::isPush);
            if (over && (part || recurs || pushed)) {
                return Optional.of(new Down(loop, recurs || pushed, recurs));
            }
        }
        return Optional.empty();
    }

    /** A list that the routine itself put together holds whatever it looked for, and no parts. */
    private boolean isGathered() {
        return loops().peek() != null && loops().peek().header().size() == 2 && loops().peek().header().get(1) instanceof Name walked
                && routine().flatMap(Routine::body).map(body -> Search.all(body, Local.class).stream().anyMatch(each ->
                each.name().equals(walked.name()) && each.initial().filter(Creation.class::isInstance).isPresent())).orElse(false);
    }

    private static boolean takes(Routine routine, int arguments) {
        long needed = routine.parameters().stream().filter(each -> !each.variadic() && each.fallback().isEmpty()).count();
        boolean open = routine.parameters().stream().anyMatch(Parameter::variadic);
        return arguments == routine.parameters().size() || open || arguments < routine.parameters().size() && arguments >= needed - 1;
    }

    /** A call of this object's own routine, or of its type's. */
    private static boolean isOwn(Call call) {
        return call.receiver().map(each -> each instanceof Name name && (name.name().equals("this")
                || name.name().equals("cls") || Character.isUpperCase(name.name().charAt(0)))).orElse(true);
    }

    private boolean isPush(Call call) {
        return PUSH.matcher(call.name()).matches() && call.receiver().map(this::isWalked).orElse(false);
    }

    private boolean isWalked(Node collection) {
        return collection instanceof Name name && loops().stream().anyMatch(loop ->
                loop.header().stream().anyMatch(each -> Search.mentions(each, name.name())));
    }

    private static boolean mentionsAny(Node node, Set<String> names) {
        return Search.any(node, each -> each instanceof Name name && names.contains(name.name()));
    }
}
