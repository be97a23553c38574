package driftwood.smell.detect.notification;

import driftwood.program.Walk;
import driftwood.read.FileTree;
import driftwood.smell.Seer;
import driftwood.smell.detect.notification.HardWiredNotification.Telling;
import driftwood.smell.detect.notification.HardWiredNotification.Told;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.HashSet;
import java.util.Set;

/** Sees routines that tell several others of one event. */
final class TellingWalk extends Walk {
    static final Seer<Telling> SEER = new Seer<>("hard-wired-notification", 9, Telling.class, file -> {
        TellingWalk walk = new TellingWalk(file);
        walk.scan(file.unit());
        return walk.tellings;
    });

    private static final Pattern LOGGING = Pattern.compile("(?i).*(log|logger|logging|out|err|console|trace|stats|"
            + "metrics?)");
    private final List<Telling> tellings = new ArrayList<>();

    private TellingWalk(FileTree file) {
        super(file);
    }

    @Override
    public Void visitRoutine(Routine routine) {
        if (routine.kind() == RoutineKind.METHOD && routine.body().isPresent()) {
            List<Node> statements = new ArrayList<>();
            Search.statements(routine.body().get()).forEach(each -> statements.addAll(each instanceof Try attempt ? Search.statements(attempt.body()) : List.of(each)));
            Node last = statements.isEmpty() ? routine : statements.get(statements.size() - 1);
            List<List<Node>> ways = new ArrayList<>();
            if (last instanceof If branch) {
                ways.add(Search.statements(branch.then()));
                branch.otherwise().ifPresent(each -> ways.add(Search.statements(each)));
                ways.removeIf(each -> each.size() < 2);
            }
            if (ways.isEmpty()) {
                look(routine, statements);
            }
            for (List<Node> way : ways) {
                List<Node> whole = new ArrayList<>(statements.subList(0, statements.size() - 1));
                whole.addAll(way);
                look(routine, whole);
            }
        }
        return super.visitRoutine(routine);
    }

    private void look(Routine routine, List<Node> statements) {
        int end = statements.size();
        if (end > 0 && statements.get(end - 1) instanceof Return back && back.value().map(value ->
                value instanceof Name || value instanceof Literal).orElse(true)) {
            end--;
        }
        while (end > 0 && isPutAway(statements.get(end - 1), routine)) {
            end--;
        }
        List<Told> run = new ArrayList<>();
        int from = end;
        while (from > 0) {
            Optional<Told> told = told(statements.get(from - 1), routine);
            if (isLogging(inner(statements.get(from - 1)))) {
                from--;
                continue;
            }
            if (told.isEmpty()) {
                break;
            }
            run.add(0, told.get());
            from--;
        }
        if (run.size() >= 2) {
            Set<String> given = new HashSet<>();
            run.forEach(each -> given.addAll(each.arguments()));
            boolean worked = statements.subList(0, from).stream().anyMatch(each -> works(each, given));
            tellings.add(new Telling(type(), symbol(routine), worked, run));
        }
    }

    private boolean isLogging(Node statement) {
        return statement instanceof Evaluate evaluate && evaluate.expression() instanceof Call call
                && call.receiver().map(each -> LOGGING.matcher(file.brief(each)).matches()).orElse(false);
    }

    /** A field of its own set to what says that all is over: nothing, a number, yes or no. */
    private boolean isPutAway(Node statement, Routine routine) {
        return statement instanceof Evaluate evaluate && evaluate.expression() instanceof Assignment set && set.operator().equals("=")
                && (set.value() instanceof Literal || set.value() instanceof Absent) && isField(set.target(), routine);
    }

    /** Own work: a value stored, a collection changed, something computed; not a check. */
    private static boolean works(Node statement, Set<String> given) {
        return statement instanceof Evaluate || statement instanceof Local local && local.initial().isPresent() && !given.contains(local.name())
                || statement instanceof Loop || statement instanceof Match;
    }

    /** A variable, a part of something, or what it is asked for. */
    private static boolean isNamed(Node argument) {
        return argument instanceof Name || argument instanceof Member
                || argument instanceof Call asked && asked.arguments().isEmpty() && asked.receiver().isPresent();
    }

    /** What a text is put together from; any other argument by itself. */
    private static List<Node> parts(Node argument) {
        if (!(argument instanceof Binary sum) || !sum.operator().equals("+")) {
            return List.of(argument);
        }
        List<Node> parts = new ArrayList<>(parts(sum.left()));
        parts.addAll(parts(sum.right()));
        return parts;
    }

    /** The one statement under a condition, or the statement itself. */
    private static Node inner(Node statement) {
        if (statement instanceof If branch && branch.otherwise().isEmpty()) {
            List<Node> body = Search.statements(branch.then());
            return body.size() == 1 ? body.get(0) : statement;
        }
        return statement;
    }

    /** What a routine gives back because it comes last, without a word for it. */
    private static boolean isImplied(Return back) {
        return back.value().filter(value -> value.start() == back.start()).isPresent();
    }

    /** A call on a field, whose result nobody uses; perhaps under a condition. */
    private Optional<Told> told(Node statement, Routine routine) {
        Node done = inner(statement);
        Node told = done instanceof Evaluate evaluate ? evaluate.expression() : done instanceof Return back && isImplied(back) ? back.value().get() : done;
        if (!(told instanceof Call call) || call.receiver().isEmpty() || call.arguments().isEmpty()) {
            return Optional.empty();
        }
        String receiver = file.brief(call.receiver().get());
        if (!isHeld(call.receiver().get(), routine) && !isFetched(call.receiver().get())) {
            return Optional.empty();
        }
        List<String> names = new ArrayList<>();
        for (Node argument : call.arguments()) {
            for (Node part : parts(argument)) {
                if (isNamed(part) && !isSink(part, routine) && !names.contains(file.brief(part))) {
                    names.add(file.brief(part));
                }
            }
        }
        return names.isEmpty() ? Optional.empty()
                : Optional.of(new Told(receiver, trail(call), file.brief(call), names, file.line(call)));
    }

    /** A collaborator in a field, handed in, or reached from one of those. */
    private static boolean isHeld(Node receiver, Routine routine) {
        if (receiver instanceof Call getter && getter.arguments().isEmpty()) {
            return getter.receiver().map(each -> isHeld(each, routine) || each instanceof Name self && self.isSelf()).orElse(true);
        }
        return isField(receiver, routine) || receiver instanceof Name name && routine.parameters().stream()
                .anyMatch(each -> each.name().equals(name.name()));
    }

    /** What is itself told what to do is written to, and no event. */
    private static boolean isSink(Node argument, Routine routine) {
        return argument instanceof Name name && !name.isSelf() && Search.all(routine, Evaluate.class).stream().anyMatch(each ->
                each.expression() instanceof Call call && call.receiver().orElse(null) instanceof Name receiver
                        && receiver.name().equals(name.name()));
    }

    /** A collaborator made on the spot, or the one instance of a class. */
    private static boolean isFetched(Node receiver) {
        return receiver instanceof Creation made && made.arguments().isEmpty()
                || receiver instanceof Call call && call.arguments().isEmpty()
                && call.receiver().map(each -> each instanceof Name name && Character.isUpperCase(name.name().charAt(0)))
                .orElse(false);
    }

    /** A bare name that is no parameter or local of the routine, or a member of the object itself. */
    private static boolean isField(Node receiver, Routine routine) {
        if (receiver instanceof Member member) {
            return member.receiver() instanceof Name name && name.isSelf();
        }
        return receiver instanceof Name name && !Character.isUpperCase(name.name().charAt(0))
                && !name.isSelf() && !name.name().equals("super")
                && routine.parameters().stream().noneMatch(each -> each.name().equals(name.name()))
                && Search.all(routine, Local.class).stream().noneMatch(each -> each.name().equals(name.name()));
    }
}
