package driftwood.refactor.python.recipe;

import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.python.ground.Body;
import driftwood.refactor.python.ground.Calls.Call;
import driftwood.refactor.python.ground.Function;
import driftwood.refactor.python.ground.Module;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What a caller does with a result that may be None: which methods it asks, and what it takes for each where there is
 * nothing. Every use is understood, or it is refused.
 */
final class Guards {
    private static final Set<String> CONSTANT = Set.of("none", "true", "false", "integer", "float", "string", "list", "tuple", "dictionary");
    private final Call call;
    private final Module module;
    private final Map<String, Neutral> neutral = new LinkedHashMap<>();
    private final List<String> unguarded = new ArrayList<>();
    private final List<Change> changes = new ArrayList<>();

    /** What a method is where there is nothing. @param value as written; empty for nothing at all */
    record Neutral(String value) {
        String told() {
            return value.isEmpty() ? "nothing" : value;
        }
    }

    private record Change(int from, int to, String with) {
    }

    private Guards(Call call) {
        this.call = call;
        this.module = call.module();
    }

    /** @throws Refused where a use is not understood */
    static Guards of(Call call, String source) {
        Guards guards = new Guards(call);
        List<Cst> path = guards.module.path(call.node().start());
        int at = path.lastIndexOf(call.node());
        while (at > 0 && !path.get(at).equals(call.node())) {
            at--;
        }
        Cst around = path.get(at - 1);
        if (around.is("attribute") && path.get(at - 2).is("call") && path.get(at - 2).part("function").filter(around::equals).isPresent()) {
            guards.unguarded.add(guards.module.text(around.inner().get(1)));
            return guards;
        }
        boolean stored = around.is("assignment") && around.part("left").filter(left -> left.is("identifier")).isPresent() && around.part("right").filter(call.node()::equals).isPresent();
        if (!stored) {
            throw guards.refused(call.node(), "what " + source + "() gives is handed on");
        }
        Function function = Function.around(guards.module, call.node().start()).orElseThrow(() -> guards.refused(call.node(), "it is kept outside of any function"));
        guards.local(function, guards.module.text(around.part("left").orElseThrow()), around);
        return guards;
    }

    Call call() {
        return call;
    }

    Map<String, Neutral> neutral() {
        return neutral;
    }

    /** Methods that are asked although there may be nothing. */
    List<String> unguarded() {
        return unguarded;
    }

    void remove(Script script) {
        changes.forEach(each -> script.replace(module.file(), each.from(), each.to(), each.with()));
    }

    private Refused refused(Cst at, String because) {
        return new Refused(because + " at " + module.file() + ":" + module.line(at.start()));
    }

    private void local(Function function, String name, Cst set) {
        List<Cst> uses = Module.all(function.body(), "identifier").stream().filter(each -> module.text(each).equals(name) && each.start() > set.end()).toList();
        boolean again = Module.all(function.body(), "assignment").stream().filter(each -> each.part("left").map(module::text).orElse("").equals(name)).count() > 1;
        if (again || function.parameters().stream().anyMatch(each -> each.name().equals(name))) {
            throw refused(set, name + " is set more than once");
        }
        int done = set.end();
        for (Cst use : uses) {
            if (use.start() >= done) {
                done = use(name, use);
            }
        }
    }

    /** Understands one use. @return the offset up to which nothing more is to be looked at */
    private int use(String name, Cst use) {
        List<Cst> path = module.path(use.start());
        for (int i = path.size() - 2; i > 0; i--) {
            Cst each = path.get(i);
            if (each.is("conditional_expression") && isAsked(each.inner().get(1), name) != 0) {
                return conditional(each, name);
            }
            if (each.is("if_statement") && each.part("condition").filter(condition -> condition.start() <= use.start() && use.end() <= condition.end()).isPresent()) {
                return statement(each, name, path.get(i - 1));
            }
        }
        String asked = method(path.get(path.size() - 2), path.get(path.size() - 3), name);
        unguarded.add(asked);
        return use.end();
    }

    private String method(Cst around, Cst outer, String name) {
        boolean called = around.is("attribute") && module.text(around.inner().get(0)).equals(name) && outer.is("call") && outer.part("function").filter(around::equals).isPresent();
        if (!called) {
            throw refused(around, name + " is used for more than asking its methods");
        }
        return module.text(around.inner().get(1));
    }

    /** 1 where a condition is that it is there, -1 where it is that there is nothing, 0 for any other. */
    private int isAsked(Cst condition, String name) {
        String said = module.text(condition).replaceAll("\\s+", " ").replaceAll("^\\((.*)\\)$", "$1");
        return said.equals(name) || said.equals(name + " is not None") || said.equals(name + " != None") ? 1
                : said.equals("not " + name) || said.equals(name + " is None") || said.equals(name + " == None") ? -1 : 0;
    }

    /** {@code pilot.fee() if pilot else 15}. */
    private int conditional(Cst node, String name) {
        boolean there = isAsked(node.inner().get(1), name) > 0;
        Cst some = node.inner().get(there ? 0 : 2);
        Cst none = node.inner().get(there ? 2 : 0);
        answer(asked(some, name), none);
        changes.add(new Change(node.start(), node.end(), module.text(some)));
        return node.end();
    }

    private void answer(String method, Cst value) {
        if (!CONSTANT.contains(value.kind())) {
            throw refused(value, "where there is nothing, " + module.text(value) + " is taken, which is known there only");
        }
        agree(value, method, new Neutral(value.is("none") ? "" : module.text(value)));
    }

    private void agree(Cst at, String method, Neutral value) {
        Neutral known = neutral.putIfAbsent(method, value);
        if (known != null && !known.equals(value)) {
            throw refused(at, "where there is nothing, " + method + "() is " + known.told() + " once and " + value.told() + " another time");
        }
    }

    /** The method of a call on the local that is the whole of an expression. */
    private String asked(Cst node, String name) {
        Cst function = node.is("call") ? node.part("function").orElseThrow() : node;
        if (!node.is("call") || !function.is("attribute") || !module.text(function.inner().get(0)).equals(name)
                || Module.all(node, "identifier").stream().filter(each -> module.text(each).equals(name)).count() > 1) {
            throw refused(node, "with " + name + " more is done than to ask one method");
        }
        return module.text(function.inner().get(1));
    }

    private int statement(Cst node, String name, Cst block) {
        int asked = isAsked(node.part("condition").orElseThrow(), name);
        if (asked == 0 || !node.parts("alternative").isEmpty()) {
            throw refused(node, name + " is asked together with other things");
        }
        Cst consequence = node.part("consequence").orElseThrow();
        Body body = Body.of(module, consequence.inner());
        if (consequence.inner().size() != 1) {
            throw refused(node, "where there is nothing, more happens than a neutral answer");
        }
        Cst only = consequence.inner().get(0);
        List<Cst> siblings = block.inner();
        int next = siblings.indexOf(node) + 1;
        int from = module.lineStart(node.start());
        int to = module.lineEnd(node.end() - 1);
        if (asked > 0 && only.is("expression_statement")) {
            agree(node, asked(only.inner().get(0), name), new Neutral(""));
            changes.add(new Change(from, to, body.moved(module.indentAt(node.start())) + module.newLine()));
            return node.end();
        }
        if (!only.is("return_statement") || next >= siblings.size() || !siblings.get(next).is("return_statement") || next + 1 != siblings.size()) {
            throw refused(node, "where there is nothing, more happens than a neutral answer");
        }
        Cst some = asked > 0 ? only : siblings.get(next);
        Cst none = asked > 0 ? siblings.get(next) : only;
        if (some.inner().isEmpty() || none.inner().isEmpty()) {
            throw refused(node, "one way gives a value and the other none");
        }
        answer(asked(some.inner().get(0), name), none.inner().get(0));
        changes.add(new Change(module.lineStart(node.start()), siblings.get(next).end(), module.indentAt(node.start()) + module.text(some)));
        return siblings.get(next).end();
    }
}
