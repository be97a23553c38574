package driftwood.refactor.python.recipe;

import driftwood.pattern.Words;
import driftwood.program.Program;
import driftwood.program.Symbol;
import driftwood.program.TypeOutline;
import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.python.ground.Body;
import driftwood.refactor.python.ground.Body.Edit;
import driftwood.refactor.python.ground.Classes;
import driftwood.refactor.python.ground.Decision;
import driftwood.refactor.python.ground.Draft;
import driftwood.refactor.python.ground.Function;
import driftwood.refactor.python.ground.Imports;
import driftwood.refactor.python.ground.Labels;
import driftwood.refactor.python.ground.Module;
import driftwood.refactor.python.ground.Outcome;
import driftwood.refactor.python.ground.Outcome.Kind;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The arms of a decision on classes on their way to the classes. */
final class ArmsOnClasses {
    private final Draft draft;
    private final Program program;
    private final Script script;
    private final Module module;
    private final Decision decision;
    private final Function function;
    private final Cst subject;
    private final Map<TypeOutline, Optional<Body>> bodies = new LinkedHashMap<>();
    private final TypeOutline common;
    private final Outcome outcome;
    private final List<String> captured;
    private final String routine;
    private final Classes classes;

    /**
     * @param scope  the type around the decision
     * @param common qualified name of what the classes have in common
     */
    ArmsOnClasses(Draft draft, Decision decision, TypeOutline scope, String common) {
        this.draft = draft;
        this.program = draft.program();
        this.script = draft.script();
        this.module = draft.module();
        this.decision = decision;
        this.function = decision.function();
        this.classes = new Classes(draft);
        Labels labels = Labels.types(decision);
        this.subject = labels.subject();
        this.common = program.type(common).orElseThrow(() -> new Refused("what the classes have in common is none of the project's classes"));
        gather(labels, scope);
        List<Body> moved = bodies.values().stream().flatMap(Optional::stream).toList();
        this.outcome = Outcome.of(decision, moved);
        refuseMissing();
        this.captured = captured(moved);
        this.routine = routine();
    }

    /** The body for each class, the most special first. @throws Refused where more than one could answer */
    private void gather(Labels labels, TypeOutline scope) {
        for (int i = 0; i < labels.byArm().size(); i++) {
            for (Cst label : labels.byArm().get(i)) {
                TypeOutline type = program.resolve(new TypeRef(module.text(label)), scope).orElseThrow(() -> new Refused(module.text(label) + " is none of the project's classes"));
                for (TypeOutline earlier : bodies.keySet()) {
                    if (earlier.equals(type) || program.ancestors(type).contains(earlier)) {
                        throw new Refused("the arm for " + type.simpleName() + " is never reached: that for " + earlier.simpleName() + " comes first");
                    }
                }
                if (!type.equals(common) && !program.ancestors(type).contains(common)) {
                    throw new Refused(type.simpleName() + " is no " + common.simpleName());
                }
                bodies.put(type, Optional.of(decision.arms().get(i).body()));
            }
        }
        for (TypeOutline each : program.descendants(common)) {
            List<TypeOutline> answering = bodies.keySet().stream().filter(type -> program.ancestors(each).contains(type)).toList();
            if (answering.size() > 1 && answering.stream().anyMatch(one -> answering.stream().noneMatch(other -> one.equals(other)
                    || program.ancestors(one).contains(other) || program.ancestors(other).contains(one)))) {
                throw new Refused(each.simpleName() + " is both a " + answering.get(0).simpleName() + " and a " + answering.get(1).simpleName());
            }
        }
        bodies.computeIfAbsent(common, key -> decision.otherwise());
    }

    /** What is neither of these classes has no such method. @param known the type of what is asked */
    void refuseUnknown(Optional<TypeOutline> known) {
        String said = module.text(subject);
        if (known.isEmpty() || !known.get().equals(common) && !program.ancestors(known.get()).contains(common)) {
            throw new Refused("nothing says that " + said + " is always a " + common.simpleName() + ": what is none would have no such method. Annotate it, then plan again");
        }
        function.parameters().stream().filter(each -> each.name().equals(said)).findFirst().flatMap(each -> each.type()).map(module::text)
                .filter(type -> type.matches(".*\\b(None|Optional|Union|Any)\\b.*")).ifPresent(type -> {
                    throw new Refused(said + " may be something else than a " + common.simpleName() + " (" + type + ")");
                });
        if (function.parameters().stream().anyMatch(each -> each.name().equals(said) && each.initial().filter(value -> value.is("none")).isPresent())) {
            throw new Refused(said + " is None where callers leave it out");
        }
    }

    private void refuseMissing() {
        boolean end = decision.outermost() && decision.rest().isEmpty();
        if (decision.otherwise().isEmpty() && (outcome.kind() == Kind.SETS || outcome.kind() == Kind.RETURNS && !end)) {
            throw new Refused("what is done for no arm goes on with what was there before");
        }
        for (TypeOutline each : bodies.keySet()) {
            if (each.behaves() && program.fileOf(each).test()) {
                throw new Refused(each.simpleName() + " stands in a test");
            }
        }
    }

    /** What the methods are handed, the object that asks first. */
    private List<String> captured(List<Body> moved) {
        List<String> all = new ArrayList<>(outcome.captured());
        String said = module.text(subject);
        all.remove(said);
        for (Body each : moved) {
            if (subject.is("identifier") && each.names().bound().contains(said) || each.sets(said)) {
                throw new Refused("an arm gives " + said + " another value");
            }
            if (each.hides(function.isOfInstance() ? Set.copyOf(List.of(said, self())) : Set.of(said))) {
                throw new Refused("an arm uses one of the names " + said + " and self again for something else");
            }
            if (each.statements().stream().map(module::text).anyMatch(text -> text.matches("(?s).*\\b\\w+\\.__\\w*[a-zA-Z0-9]\\b(?!__).*"))) {
                throw new Refused("an arm uses a name that only its own class knows (two underscores)");
            }
        }
        if (function.isOfInstance() && moved.stream().noneMatch(each -> edits(each, "?").stream().anyMatch(edit -> edit.with().equals("?")))) {
            all.remove(self());
        }
        return all;
    }

    private String self() {
        return function.parameters().get(0).name();
    }

    /** What the object that asks is called in the methods. */
    private String host() {
        String home = Words.snake(Symbol.of(draft.finding().symbol()).simpleType());
        return captured.contains(home) || home.equals("self") ? home + "_" : home;
    }

    private List<Edit> edits(Body body, String host) {
        List<Edit> edits = new ArrayList<>();
        body.statements().forEach(each -> replace(each, host, edits));
        return edits;
    }

    private void replace(Cst node, String host, List<Edit> edits) {
        if (node.is(subject.kind()) && module.text(node).equals(module.text(subject))) {
            edits.add(new Edit(node.start(), node.end(), "self"));
        } else if (node.is("identifier") && function.isOfInstance() && module.text(node).equals(self())) {
            edits.add(new Edit(node.start(), node.end(), host));
        } else if (node.is("attribute")) {
            replace(node.inner().get(0), host, edits);
        } else if (node.is("keyword_argument")) {
            replace(node.inner().get(1), host, edits);
        } else {
            node.inner().forEach(each -> replace(each, host, edits));
        }
    }

    private String routine() {
        String proposed = function.name().replaceFirst("^_+(?=[a-z])", "");
        String word = Words.snake(Symbol.of(draft.finding().symbol()).simpleType());
        String name = draft.name("strategy", classes.isTaken(proposed, common) ? proposed + "_for_" + word : proposed);
        if (classes.isTaken(name, common) || captured.contains(name)) {
            throw new Refused("there is a " + name + " on a " + common.simpleName() + " already; give the method another name with --name strategy=NAME");
        }
        return name;
    }

    void write() {
        script.stage("Give " + common.simpleName() + " and its kinds a method " + routine + "(), each with what is done for it",
                decision.arms().stream().map(each -> module.place(each.test(), "moves onto its class")).toList());
        Imports imports = new Imports(draft);
        bodies.forEach((type, body) -> {
            Module home = draft.modules().module(type.file());
            classes.add(type, method(type, body));
            body.ifPresent(each -> imports.carry(outer(each), module, home));
        });
        script.stage("Let " + function.name() + "() ask " + module.text(subject), List.of(module.place(decision.chain().get(0), "the decision")));
        int to = decision.isOtherwiseBehind() ? decision.otherwise().orElseThrow().to() : decision.to();
        boolean ended = module.text().substring(decision.from(), to).endsWith("\n");
        script.replace(module.file(), decision.from(), to, call() + (ended ? module.newLine() : ""));
    }

    private Set<String> outer(Body body) {
        Set<String> names = new LinkedHashSet<>(body.names().read());
        names.removeAll(function.locals());
        return names;
    }

    private String method(TypeOutline type, Optional<Body> body) {
        Module home = draft.modules().module(type.file());
        String indent = classes.indent(type);
        List<String> parameters = new ArrayList<>(List.of("self"));
        captured.forEach(each -> parameters.add(function.isOfInstance() && each.equals(self()) ? host() : function.annotated(each, home)));
        String inner = indent + home.indent();
        String does = body.map(each -> {
            Body edited = each.edited(edits(each, host()));
            return outcome.kind() == Kind.SETS ? edited.returning(inner, outcome.stored()) : edited.moved(inner);
        }).orElse(inner + (outcome.kind() == Kind.RETURNS ? "return None" : "pass"));
        return indent + "def " + routine + "(" + String.join(", ", parameters) + ")" + (outcome.kind() == Kind.RETURNS ? function.returns(home) : "") + ":" + home.newLine() + does.replaceAll("\\r?\\n", home.newLine());
    }

    private String call() {
        String said = module.text(subject) + "." + routine + "(" + String.join(", ", captured) + ")";
        return decision.indent() + switch (outcome.kind()) {
            case RETURNS -> "return " + said;
            case SETS -> outcome.stored() + " " + said;
            case ACTS -> said;
        };
    }
}
