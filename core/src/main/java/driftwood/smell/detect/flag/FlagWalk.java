package driftwood.smell.detect.flag;

import driftwood.program.Walk;
import driftwood.read.FileTree;
import driftwood.smell.Seer;
import driftwood.smell.detect.flag.FlagArgument.Split;
import driftwood.smell.see.chain.Exits;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Sees routines whose whole body a flag splits in two. */
final class FlagWalk extends Walk {
    static final Seer<Split> SEER = new Seer<>("flag-argument", 15, Split.class, file -> {
        FlagWalk walk = new FlagWalk(file);
        walk.scan(file.unit());
        return walk.splits;
    });

    private static final Pattern SETTER = Pattern.compile("(?i:set|with|enable|disable)([A-Z_].*)?");
    private static final Pattern LITERAL = Pattern.compile("\"(\\\\.|[^\"\\\\])*\"|'(\\\\.|[^'\\\\])*'|\\b\\d[\\w.]*");
    private static final Pattern CHECK = Pattern.compile("(?i:check|require|validate|assert|verify).*");
    /** What a class of checks calls them. */
    private static final Pattern CHECKED = Pattern.compile("(?i).*(not_?null|null_?not|not_?empty|not_?blank|positive|negative|in_?range|permitted|is_?true|"
            + "argument|state).*");
    private static final Set<String> BITS = Set.of("&", "|", "^");
    private final List<Split> splits = new ArrayList<>();

    private FlagWalk(FileTree file) {
        super(file);
    }

    @Override
    public Void visitRoutine(Routine routine) {
        if (routine.body().isPresent() && routine.parameters().stream().anyMatch(this::isBoolean)
                && !(SETTER.matcher(routine.name()).matches() && routine.parameters().size() == 1)) {
            Set<String> flags = routine.parameters().stream().filter(this::isBoolean).map(Parameter::name).collect(Collectors.toSet());
            List<Node> core = core(Search.statements(routine.body().get()), flags);
            for (int i = 0; i < routine.parameters().size(); i++) {
                if (isBoolean(routine.parameters().get(i)) && !isPutThere(routine, i, core)) {
                    split(routine, i, core);
                }
            }
        }
        return super.visitRoutine(routine);
    }

    /** A setter of one truth value of many, whose last parameter is the value: {@code setMoored(berth, true)}. */
    private static boolean isPutThere(Routine routine, int at, List<Node> core) {
        return SETTER.matcher(routine.name()).matches() && at == routine.parameters().size() - 1 && core.size() == 1 && core.get(0) instanceof If branch
                && Search.statements(branch.then()).size() == 1 && branch.otherwise().filter(other -> Search.statements(other).size() == 1).isPresent();
    }

    /** The body without the declarations before and the plain return behind. */
    private static List<Node> core(List<Node> statements, Set<String> flags) {
        int from = 0;
        int to = statements.size();
        Optional<Return> kept = keptChoice(statements);
        if (kept.isPresent()) {
            return core(Stream.concat(statements.subList(0, to - 2).stream(), kept.stream()).toList(), flags);
        }
        while (from < to && (statements.get(from) instanceof Local || isCheck(statements.get(from)) || isExit(statements.get(from), flags))) {
            from++;
        }
        boolean plainEnd = to > from + 1 && statements.get(to - 1) instanceof Return back
                && back.value().map(value -> value instanceof Name || value instanceof Literal || isHandedOut(value)).orElse(true);
        return statements.subList(from, plainEnd && !leavesEarly(statements.get(from)) ? to - 1 : to);
    }

    /** One value or another that is kept in a local and given back, as if it were given back at once. */
    private static Optional<Return> keptChoice(List<Node> statements) {
        int at = statements.size() - 2;
        boolean kept = at >= 0 && statements.get(at) instanceof Local local && local.initial().orElse(null) instanceof Conditional
                && statements.get(at + 1) instanceof Return back && back.value().orElse(null) instanceof Name name && name.name().equals(local.name());
        return kept ? Optional.of(new Return(statements.get(at).start(), statements.get(at).end(), ((Local) statements.get(at)).initial())) : Optional.empty();
    }

    /** As in {@code return text.toString()}, or {@code return all.size() - before}. */
    private static boolean isHandedOut(Node value) {
        return value instanceof Call call ? call.arguments().isEmpty() && call.receiver().orElse(null) instanceof Name
                : value instanceof Binary both && (isPlain(both.left()) && isPlain(both.right()));
    }

    private static boolean isPlain(Node value) {
        return value instanceof Name || value instanceof Literal || value instanceof Member || isHandedOut(value);
    }

    private static boolean isCheck(Node statement) {
        return statement instanceof Evaluate evaluate && evaluate.expression() instanceof Call call
                && (CHECK.matcher(call.name()).matches() || call.receiver().orElse(null) instanceof Name owner
                && Character.isUpperCase(owner.name().charAt(0)) && CHECKED.matcher(call.name()).matches())
                || statement instanceof If branch && branch.otherwise().isEmpty()
                && Search.statements(branch.then()).stream().allMatch(Throw.class::isInstance);
    }

    /** {@code if (letter.isEmpty()) return;}: there is nothing to do, whatever the flags say. */
    private static boolean isExit(Node statement, Set<String> flags) {
        List<Node> body = statement instanceof If branch && branch.otherwise().isEmpty() ? Search.statements(branch.then()) : List.of();
        return body.size() == 1 && body.get(0) instanceof Return back && back.value().map(value -> value instanceof Literal).orElse(true)
                && flags.stream().noneMatch(each -> Search.mentions(((If) statement).condition(), each));
    }

    private static boolean leavesEarly(Node statement) {
        return statement instanceof If branch && branch.otherwise().isEmpty() && Exits.leaves(branch.then());
    }

    private boolean isBoolean(Parameter parameter) {
        String type = parameter.type().text();
        boolean fallback = parameter.fallback().map(value -> value instanceof Literal literal
                && literal.kind() == LiteralKind.BOOLEAN).orElse(false);
        boolean open = type.isEmpty() && !parameter.variadic() && parameter.fallback().isEmpty() && file.file().language().isDuckTyped();
        return type.equals("boolean") || type.equals("Boolean") || type.equals("bool") || fallback || open;
    }

    private void split(Routine routine, int at, List<Node> core) {
        String flag = routine.parameters().get(at).name();
        if (core.size() == 1 && core.get(0) instanceof Return back
                && back.value().orElse(null) instanceof Conditional choice) {
            choice(routine, at, choice);
        }
        if (core.isEmpty() || !(core.get(0) instanceof If branch)) {
            return;
        }
        Optional<Boolean> on = asks(branch.condition(), flag);
        if (on.isEmpty()) {
            return;
        }
        List<Node> then = Search.statements(branch.then());
        List<Node> otherwise = List.of();
        if (core.size() == 1 && branch.otherwise().isPresent()) {
            otherwise = Search.statements(branch.otherwise().get());
        } else if (core.size() > 1 && leavesEarly(branch)) {
            otherwise = core.subList(1, core.size());
        }
        if ((behaves(then) && behaves(otherwise) || isCopyOrItself(then, otherwise) || storesElsewhere(then, otherwise)) && !isOneCall(then, otherwise, routine)) {
            String first = file.brief(then.get(0));
            String second = file.brief(otherwise.get(0));
            splits.add(new Split(member(routine), flag, at, on.get() ? first : second, on.get() ? second : first,
                    outline(then).equals(outline(otherwise))));
        }
    }

    /** The whole body is one value or another. */
    private void choice(Routine routine, int at, Conditional choice) {
        String flag = routine.parameters().get(at).name();
        asks(choice.condition(), flag).ifPresent(on -> {
            if (isWorth(choice.then()) && isWorth(choice.otherwise())) {
                Node whenOn = on ? choice.then() : choice.otherwise();
                Node whenOff = on ? choice.otherwise() : choice.then();
                splits.add(new Split(member(routine), flag, at, file.brief(whenOn), file.brief(whenOff),
                        outline(List.of(whenOn)).equals(outline(List.of(whenOff)))));
            }
        });
    }

    /** The same is called either way, and is handed one named constant or another: the flag is a value. */
    private boolean isOneCall(List<Node> then, List<Node> otherwise, Routine routine) {
        Optional<Call> one = onlyCall(then);
        Optional<Call> other = onlyCall(otherwise);
        if (one.isEmpty() || other.isEmpty() || !one.get().name().equals(other.get().name()) || one.get().arguments().size() != other.get().arguments().size()
                || !one.get().receiver().map(file::brief).equals(other.get().receiver().map(file::brief))) {
            return false;
        }
        Set<String> varying = Stream.concat(routine.parameters().stream().map(Parameter::name), Search.all(routine, Local.class).stream().map(Local::name)).collect(Collectors.toSet());
        for (int i = 0; i < one.get().arguments().size(); i++) {
            Node mine = one.get().arguments().get(i);
            Node theirs = other.get().arguments().get(i);
            if (!file.brief(mine).equals(file.brief(theirs)) && !(isFixed(mine, varying) && isFixed(theirs, varying))) {
                return false;
            }
        }
        return !one.get().arguments().isEmpty() && !outline(then).equals(outline(otherwise));
    }

    private static Optional<Call> onlyCall(List<Node> body) {
        Node only = body.size() != 1 ? null : body.get(0) instanceof Evaluate evaluate ? evaluate.expression()
                : body.get(0) instanceof Return back ? back.value().orElse(null) : null;
        return only instanceof Call call ? Optional.of(call) : Optional.empty();
    }

    private static boolean isFixed(Node value, Set<String> varying) {
        return value instanceof Name name && !varying.contains(name.name());
    }

    /** The text of some code without its literals and white space. */
    private String outline(List<Node> code) {
        StringBuilder text = new StringBuilder();
        code.forEach(each -> text.append(each.text(file.source().text())).append(';'));
        return LITERAL.matcher(text).replaceAll("0").replaceAll("\\s+", "").replaceAll(";+", ";");
    }

    private String member(Routine routine) {
        return symbol(routine);
    }

    private static Optional<Boolean> asks(Node condition, String flag) {
        if (condition instanceof Name name && name.name().equals(flag)) {
            return Optional.of(true);
        }
        return condition instanceof Unary not && not.operator().equals("!")
                && not.operand() instanceof Name name && name.name().equals(flag)
                ? Optional.of(false) : Optional.empty();
    }

    /** More than an error, a literal or one stored value. */
    private static boolean behaves(List<Node> body) {
        return !body.isEmpty() && body.stream().anyMatch(each -> !(each instanceof Throw)
                && Search.any(each, FlagWalk::isWork));
    }

    /** One way gives something new, the other the object itself. */
    private static boolean isCopyOrItself(List<Node> then, List<Node> otherwise) {
        return givesItself(otherwise) && behaves(then) || givesItself(then) && behaves(otherwise);
    }

    private static boolean givesItself(List<Node> body) {
        return body.size() == 1 && body.get(0) instanceof Return back && back.value().orElse(null) instanceof Name name && name.isSelf();
    }

    /** The same kind of value is kept in one place or in another. */
    private boolean storesElsewhere(List<Node> then, List<Node> otherwise) {
        return then.size() == 1 && otherwise.size() == 1 && then.get(0) instanceof Evaluate one && otherwise.get(0) instanceof Evaluate other
                && one.expression() instanceof Assignment first && other.expression() instanceof Assignment second
                && first.value() instanceof Name kept && second.value() instanceof Name same && kept.name().equals(same.name())
                && !file.brief(first.target()).equals(file.brief(second.target()));
    }

    /** A value that is worked out; bits set and cleared are not. */
    private static boolean isWorth(Node value) {
        return Search.any(value, node -> isWork(node) && !(node instanceof Binary binary && BITS.contains(binary.operator())));
    }

    private static boolean isWork(Node node) {
        return node instanceof Call || node instanceof Creation || node instanceof Loop || node instanceof Binary
                || node instanceof Assignment kept && kept.target() instanceof Index;
    }
}
