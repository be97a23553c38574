package driftwood.smell.see.chain;

import driftwood.program.Trail;
import driftwood.read.FileTree;
import driftwood.smell.Chain.ArmCall;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** Finds the one call that the body of an arm comes down to. */
final class ArmCalls {
    /** An arm of more statements does more than one thing. */
    private static final int SHORT = 4;
    private static final int MOST = 8;

    private final FileTree file;
    private final Function<Node, Trail> trails;

    /** @param trails the way to a value, as seen before the arm */
    ArmCalls(FileTree file, Function<Node, Trail> trails) {
        this.file = file;
        this.trails = trails;
    }

    /** @param asked the condition or labels of the arm, which may bind names @param body of the arm */
    Optional<ArmCall> of(List<Node> asked, List<Node> body) {
        List<Node> statements = Bodies.statements(body);
        if (statements.isEmpty()) {
            return Optional.empty();
        }
        Map<String, TypeRef> held = held(asked, body);
        boolean alone = statements.size() == 1;
        return last(statements.get(statements.size() - 1), held).map(armCall -> {
            boolean small = statements.size() <= SHORT && (alone || !armCall.use().isEmpty());
            return new ArmCall(armCall.call(), armCall.use(), armCall.text(), alone, small ? calls(body, held) : List.of(), small ? names(body) : List.of());
        });
    }

    private List<Trail> calls(List<Node> body, Map<String, TypeRef> held) {
        List<Trail> calls = new ArrayList<>();
        for (Node each : body) {
            for (Call call : Search.all(each, Call.class)) {
                Trail trail = trail(call, held);
                if (trail.isCall() && trail.isKnown() && call.receiver().isPresent() && calls.size() < MOST && !calls.contains(trail)) {
                    calls.add(trail);
                }
            }
        }
        return calls;
    }

    private static List<String> names(List<Node> body) {
        Set<String> names = new LinkedHashSet<>();
        body.forEach(each -> Search.all(each, Name.class).stream().filter(name -> !name.isSelf()).forEach(name -> names.add(name.name())));
        return names.stream().limit(MOST).toList();
    }

    private Trail trail(Call call, Map<String, TypeRef> held) {
        return call.receiver().filter(Name.class::isInstance).map(each -> held.get(((Name) each).name()))
                .map(type -> Trail.typed(type).thenCall(call.name(), call.arguments().size()))
                .orElseGet(() -> trails.apply(call));
    }

    private Optional<ArmCall> last(Node statement, Map<String, TypeRef> held) {
        // driftwood: leave type-switch because four shapes are asked for, and any other statement is none of them
        if (statement instanceof Return back) {
            return back.value().flatMap(value -> armCall(value, "return", held));
        }
        if (statement instanceof Jump jump) {
            return jump.value().flatMap(value -> armCall(value, "return", held));
        }
        if (statement instanceof Evaluate evaluate) {
            return evaluate.expression() instanceof Assignment assignment && assignment.operator().equals("=")
                    ? armCall(assignment.value(), "= " + assignment.target().text(file.source().text()), held)
                    : armCall(evaluate.expression(), "", held);
        }
        if (statement instanceof Local local) {
            return local.initial().flatMap(value -> armCall(value, "= " + local.name(), held));
        }
        return armCall(statement, "return", held);
    }

    private Optional<ArmCall> armCall(Node value, String use, Map<String, TypeRef> held) {
        Node bare = value instanceof Cast cast ? cast.value() : value;
        if (!(bare instanceof Call call)) {
            return use.isEmpty() ? Optional.empty() : Optional.of(new ArmCall(Trail.UNKNOWN, use, file.brief(bare), true, List.of(), List.of()));
        }
        Trail trail = trail(call, held);
        boolean within = call.receiver().isEmpty() && trail.equals(Trail.UNKNOWN);
        return Optional.of(new ArmCall(within ? Trail.held(call.name()).thenCall(call.name(), call.arguments().size()) : trail, use, file.brief(call), true, List.of(), List.of()));
    }

    /** What the arm itself knows of names: the subject of a type test, bindings of patterns, locals that hold a cast. */
    private Map<String, TypeRef> held(List<Node> asked, List<Node> body) {
        Map<String, TypeRef> held = new HashMap<>();
        for (Node each : asked) {
            if (each instanceof TypeTest test && test.subject() instanceof Name name) {
                held.put(name.name(), test.type());
            }
            Search.all(each, TypeTest.class).forEach(test ->
                    test.binding().ifPresent(name -> held.put(name, test.type())));
        }
        for (Node each : body) {
            for (Node statement : Search.statements(each)) {
                if (statement instanceof Local local && local.initial().orElse(local) instanceof Cast cast) {
                    held.put(local.name(), cast.type());
                }
            }
        }
        return held;
    }
}
