package driftwood.refactor.python.recipe;

import driftwood.program.TypeOutline;
import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import driftwood.refactor.python.ground.Body;
import driftwood.refactor.python.ground.Body.Edit;
import driftwood.refactor.python.ground.Classes;
import driftwood.refactor.python.ground.Decision;
import driftwood.refactor.python.ground.Draft;
import driftwood.refactor.python.ground.Function;
import driftwood.refactor.python.ground.Imports;
import driftwood.refactor.python.ground.Labels;
import driftwood.refactor.python.ground.Module;
import driftwood.refactor.python.ground.Names;
import driftwood.smell.TypeFacts.Descent;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** A container's own walk in which other containers are asked for the same: all parts get that method, and none is told apart. */
final class PartsAskedTheSame {
    private static final Set<String> LITERALS = Set.of("none", "true", "false", "integer", "float", "string");
    private final Draft draft;
    private final Module module;
    private final Decision decision;
    private final Function function;
    private final Labels labels;
    private final Asked asked;
    private final Map<TypeOutline, Optional<Body>> answers = new LinkedHashMap<>();

    /** What is done with the answer of a part. @param arguments with the parentheses @param before what stands before the answer @param listed whether it is a list to which others add one */
    private record Asked(Body arm, String arguments, String before, boolean listed) {
    }

    private PartsAskedTheSame(Draft draft, Decision decision, Labels labels, Asked asked) {
        this.draft = draft;
        this.module = decision.module();
        this.decision = decision;
        this.function = decision.function();
        this.labels = labels;
        this.asked = asked;
    }

    /** Empty where the arm for the container does more than to ask it for what the walk itself works out. */
    static Optional<PartsAskedTheSame> of(Draft draft, Decision decision, TypeOutline container) {
        Labels labels = Labels.types(decision);
        for (int i = 0; i < labels.byArm().size(); i++) {
            boolean own = labels.byArm().get(i).size() == 1 && decision.module().text(labels.byArm().get(i).get(0)).replaceFirst("^.*\\.", "").equals(container.simpleName());
            Optional<Asked> asked = own ? asked(decision, decision.arms().get(i).body(), decision.module().text(labels.subject())) : Optional.empty();
            if (asked.isPresent()) {
                return Optional.of(new PartsAskedTheSame(draft, decision, labels, asked.get()));
            }
        }
        return Optional.empty();
    }

    private static Optional<Asked> asked(Decision decision, Body body, String subject) {
        Module module = decision.module();
        String method = subject + "." + decision.function().name();
        List<Cst> calls = body.statements().stream().flatMap(each -> Module.all(each, "call").stream()).filter(each -> each.part("function").map(module::text).orElse("").equals(method)).toList();
        if (body.statements().size() != 1 || calls.size() != 1) {
            return Optional.empty();
        }
        Cst statement = body.statements().get(0);
        String before = module.text().substring(statement.start(), calls.get(0).start());
        String behind = module.text().substring(calls.get(0).end(), statement.end());
        boolean listed = before.matches("[\\w.]+\\.extend\\(") && behind.equals(")");
        boolean given = before.matches("([\\w.]+ (=|\\+=|-=|\\*=|\\|=|&=) |return |)") && behind.isEmpty();
        return listed || given ? Optional.of(new Asked(body, module.text(calls.get(0).part("arguments").orElseThrow()), before, listed)) : Optional.empty();
    }

    /** @throws Refused where a part would answer something else, or not at all */
    void write(TypeOutline scope, Descent descent) {
        gather(scope, descent);
        Classes classes = new Classes(draft);
        Imports imports = new Imports(draft);
        draft.script().stage("Give what " + (answers.size() == 1 ? "a part is" : "parts are") + " a method " + function.name() + "(), with what is done for it",
                decision.arms().stream().map(each -> module.place(each.test(), "is asked no more")).toList());
        answers.forEach((type, body) -> {
            Module home = draft.modules().module(type.file());
            classes.add(type, method(type, body, classes.indent(type)));
            body.ifPresent(each -> imports.carry(outer(each), module, home));
        });
        draft.script().stage("Let " + function.name() + "() ask each part", List.of(module.place(decision.chain().get(0), "the question")));
        int to = decision.isOtherwiseBehind() ? decision.otherwise().orElseThrow().to() : decision.to();
        boolean ended = module.text().substring(decision.from(), to).endsWith("\n");
        draft.script().replace(module.file(), decision.from(), to, asked.arm().moved(decision.indent()) + (ended ? module.newLine() : ""));
    }

    /** What each kind of part answers: those that an arm is for, and what they have in common or else every other kind. */
    private void gather(TypeOutline scope, Descent descent) {
        List<TypeOutline> others = descent.common().isEmpty() ? declared(scope) : List.of(draft.program().type(descent.common()).orElseThrow());
        for (int i = 0; i < labels.byArm().size(); i++) {
            Body body = decision.arms().get(i).body();
            for (Cst label : labels.byArm().get(i)) {
                TypeOutline type = draft.program().resolve(new TypeRef(module.text(label)), scope).orElseThrow(() -> new Refused(module.text(label) + " is none of the project's classes"));
                if (body != asked.arm() && !answered(type, Optional.of(body))) {
                    answers.put(type, Optional.of(body));
                }
            }
        }
        for (TypeOutline each : others) {
            if (!answers.containsKey(each) && !each.name().equals(descent.container()) && !answered(each, decision.otherwise())) {
                answers.put(each, decision.otherwise());
            }
        }
        for (TypeOutline each : descent.common().isEmpty() ? List.<TypeOutline>of() : draft.program().descendants(others.get(0))) {
            boolean known = answers.containsKey(each) || each.name().equals(descent.container()) || draft.program().ancestors(each).stream().anyMatch(up -> up.name().equals(descent.container()));
            if (!known && has(each) && labels.byArm().stream().flatMap(List::stream).noneMatch(label -> module.text(label).equals(each.simpleName()))) {
                throw new Refused(each.simpleName() + " has a " + function.name() + "() of its own, which nobody asks here today");
            }
        }
        answers.values().forEach(each -> each.ifPresent(this::value));
    }

    /** The kinds that the list of parts is declared to hold. */
    private List<TypeOutline> declared(TypeOutline scope) {
        String said = module.text(labels.subject());
        String list = Module.all(function.node(), "for_statement").stream().filter(each -> each.part("left").map(module::text).orElse("").equals(said)).map(each -> each.part("right").map(module::text).orElse(""))
                .findFirst().orElse("").replaceFirst("^\\w+\\.", "");
        String type = Module.all(module.around(function.home().orElseThrow()), "assignment").stream().filter(each -> each.part("left").map(module::text).orElse("").replaceFirst("^\\w+\\.", "").equals(list))
                .flatMap(each -> each.part("type").stream()).map(module::text).findFirst().orElse("");
        List<TypeOutline> all = new ArrayList<>();
        for (String name : type.replaceAll("\\b(typing\\.)?(List|list|Union|Sequence|Iterable|Tuple|tuple|Deque|deque|Set|set)\\b", " ").split("\\W+")) {
            if (!name.isEmpty()) {
                all.add(draft.program().resolve(new TypeRef(name), scope).orElseThrow(() -> new Refused("a part may be something else than the project's own classes: " + type)));
            }
        }
        if (all.size() < 2) {
            throw new Refused("nothing says what a " + scope.simpleName() + " and its parts have in common");
        }
        return all;
    }

    private boolean has(TypeOutline type) {
        return type.routines().stream().anyMatch(each -> each.name().equals(function.name()));
    }

    /** Whether a kind answers so already. @throws Refused where it answers something else */
    private boolean answered(TypeOutline type, Optional<Body> body) {
        Optional<Function> there = type.routines().stream().filter(each -> each.name().equals(function.name())).findFirst().map(draft.modules()::function);
        if (there.isEmpty()) {
            return false;
        }
        Module home = draft.modules().module(type.file());
        String says = there.get().statements().size() == 1 ? home.text(there.get().statements().get(0)) : "";
        if (!body.map(each -> code(each, "").strip()).orElse("").equals(says)) {
            throw new Refused(type.simpleName() + " has a " + function.name() + "() already, which says something else");
        }
        return true;
    }

    /** The value that an arm gives in the place of the container's answer. @throws Refused where it does anything else */
    private String value(Body body) {
        Cst last = body.statements().get(body.statements().size() - 1);
        String said = module.text(last);
        String self = function.parameters().get(0).name();
        Set<String> own = new LinkedHashSet<>(body.names().read());
        own.retainAll(function.locals());
        String before = asked.listed() ? asked.before().replaceFirst("extend\\($", "append(") : asked.before();
        own.remove(module.text(labels.subject()));
        own.remove(asked.before().replaceFirst("\\W.*", ""));
        own.removeAll(handedOn());
        boolean adds = asked.listed() && said.startsWith(asked.before());
        if (body.statements().size() != 1 || !(said.startsWith(before) || adds) || own.contains(self) || !own.isEmpty() || said.substring(before.length()).matches("(?s).*\\b" + self + "\\b.*")) {
            throw new Refused("what is done for a part is more than to put its answer in the place of the container's: " + said.lines().findFirst().orElse(""));
        }
        int from = last.start() + (adds ? asked.before() : before).length();
        int to = last.end() - (asked.listed() ? 1 : 0);
        List<Edit> edits = new ArrayList<>();
        replace(last, edits);
        StringBuilder text = new StringBuilder(module.text().substring(from, to));
        for (int i = edits.size() - 1; i >= 0; i--) {
            if (edits.get(i).from() >= from) {
                text.replace(edits.get(i).from() - from, edits.get(i).to() - from, edits.get(i).with());
            }
        }
        return asked.listed() && !adds ? "[" + text + "]" : text.toString();
    }

    /** The parameters that a container is handed as they are, in their own places: a part that is asked the same gets them too. */
    private Set<String> handedOn() {
        String[] given = asked.arguments().replaceAll("[()\\s]", "").split(",");
        Set<String> same = new LinkedHashSet<>();
        for (int i = 0; i < Math.min(given.length, function.filled().size()); i++) {
            String name = function.filled().get(i).name();
            if (given[i].equals(name) || List.of(given).contains(name + "=" + name)) {
                same.add(name);
            }
        }
        return same;
    }

    private void replace(Cst node, List<Edit> edits) {
        if (node.is(labels.subject().kind()) && module.text(node).equals(module.text(labels.subject()))) {
            edits.add(new Edit(node.start(), node.end(), "self"));
        } else if (node.is("attribute")) {
            replace(node.inner().get(0), edits);
        } else if (node.is("keyword_argument")) {
            replace(node.inner().get(1), edits);
        } else {
            node.inner().forEach(each -> replace(each, edits));
        }
    }

    private String code(Body body, String indent) {
        return String.join("", body.notes().stream().map(each -> indent + each + module.newLine()).toList()) + indent + (asked.before().isEmpty() ? "" : "return ") + value(body);
    }

    private String method(TypeOutline type, Optional<Body> body, String indent) {
        Module home = draft.modules().module(type.file());
        String inner = indent + home.indent();
        List<String> parameters = new ArrayList<>(List.of("self"));
        function.filled().forEach(each -> parameters.add(home == module ? module.text(each.node()) : function.annotated(each.name(), home) + each.initial().map(value -> "=" + literal(value)).orElse("")));
        String nothing = asked.before().isEmpty() ? "pass" : asked.listed() ? "return []" : asked.before().endsWith("+= ") || asked.before().endsWith("-= ") ? "return 0" : "";
        if (body.isEmpty() && nothing.isEmpty()) {
            throw new Refused("nothing is done for other parts, and no value says so");
        }
        return indent + "def " + function.name() + "(" + String.join(", ", parameters) + ")" + function.returns(home) + ":" + home.newLine() + body.map(each -> code(each, inner)).orElse(inner + nothing);
    }

    private String literal(Cst value) {
        if (!LITERALS.contains(value.kind())) {
            throw new Refused("a default of " + function.name() + "() means something in " + module.file() + " only: " + module.text(value));
        }
        return module.text(value);
    }

    private Set<String> outer(Body body) {
        Set<String> names = new LinkedHashSet<>(Names.of(module, body.statements()).read());
        names.removeAll(function.locals());
        return names;
    }
}
