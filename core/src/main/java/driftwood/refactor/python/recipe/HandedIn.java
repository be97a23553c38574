package driftwood.refactor.python.recipe;

import driftwood.pattern.Words;
import driftwood.program.RoutineOutline;
import driftwood.program.Symbol;
import driftwood.program.TypeOutline;
import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.python.ground.Draft;
import driftwood.refactor.python.ground.Function;
import driftwood.refactor.python.ground.Module;
import driftwood.refactor.python.ground.Names;
import driftwood.refactor.python.ground.Parameter;
import driftwood.refactor.python.ground.Parameter.Kind;
import driftwood.refactor.python.ground.PythonRecipe;
import driftwood.smell.Finding;
import driftwood.smell.TypeFacts.Creating;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * dependency-injection: what a class makes for itself can be handed to it; who hands nothing over gets what there was. Where
 * it is made with values of the moment, how it is made is handed in.
 */
final class HandedIn implements PythonRecipe {

    @Override
    public String pattern() {
        return "dependency-injection";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Creating;
    }

    @Override
    public void write(Draft draft) {
        Creating creating = (Creating) draft.finding().detail();
        TypeOutline client = draft.program().type(creating.client()).orElseThrow();
        Module module = draft.module();
        String name = Symbol.of(creating.collaborator()).simpleType();
        Cst creation = Module.all(module.root(), "call").stream().filter(each -> draft.finding().line() <= module.line(each.start()) && module.line(each.start()) <= draft.finding().endLine()
                && each.part("function").map(module::text).orElse("").replaceFirst("^.*\\.", "").equals(name)).findFirst().orElseThrow(() -> new Refused("the creation is not found any more"));
        Function around = Function.around(module, creation.start()).orElseThrow(() -> new Refused(name + " is created outside of any function"));
        if (client.isModule()) {
            new Injecting(draft, around, around, creation, name).write();
        } else {
            RoutineOutline constructor = client.constructors().stream().findFirst()
                    .orElseThrow(() -> new Refused(client.simpleName() + " has no constructor of its own that could take one"));
            refuseChildren(draft, client);
            new Injecting(draft, draft.modules().function(constructor), around, creation, name).write();
        }
    }

    /** A subclass that does not call this constructor would not have what is handed in. */
    private static void refuseChildren(Draft draft, TypeOutline client) {
        for (TypeOutline child : draft.program().descendants(client)) {
            for (RoutineOutline each : child.constructors()) {
                Function made = draft.modules().function(each);
                if (Module.all(made.body(), "call").stream().map(call -> call.part("function").map(made.module()::text).orElse("")).noneMatch(called -> called.endsWith(".__init__"))) {
                    throw new Refused(child.simpleName() + " does not call the constructor of " + client.simpleName());
                }
            }
        }
    }

    private static final class Injecting {
        private final Draft draft;
        private final Script script;
        private final Module module;
        private final Function taker;
        private final Function user;
        private final Cst creation;
        private final String type;
        private final String parameter;

        Injecting(Draft draft, Function taker, Function user, Cst creation, String type) {
            this.draft = draft;
            this.script = draft.script();
            this.module = draft.module();
            this.taker = taker;
            this.user = user;
            this.creation = creation;
            this.type = type;
            String word = Words.snake(type);
            boolean whole = isWhole();
            Set<String> taken = taker.locals();
            String proposed = whole ? word : "make_" + word;
            this.parameter = draft.name("collaborator", taken.contains(proposed) ? "given_" + proposed : proposed);
            if (taken.contains(parameter) || taker.parameters().stream().anyMatch(each -> each.kind() == Kind.ALL_FURTHER)) {
                throw new Refused(taken.contains(parameter) ? "there is a " + parameter + " already; give the parameter another name with --name collaborator=NAME"
                        : taker.name() + "() takes any number of further arguments");
            }
        }

        /** Whether it is made at the start, out of nothing that is known later only: then the object itself can be handed in. */
        private boolean isWhole() {
            return user.node().equals(taker.node()) && arguments().isEmpty() && Module.all(taker.body(), "call").stream().filter(creation::equals).count() == 1 && !inLoop();
        }

        private boolean inLoop() {
            List<Cst> path = module.path(creation.start());
            return path.subList(path.indexOf(user.node()), path.size()).stream().anyMatch(each -> each.is("for_statement") || each.is("while_statement")
                    || each.kind().endsWith("_comprehension") || each.is("lambda") || each.is("generator_expression"));
        }

        private Set<String> arguments() {
            Set<String> names = Names.of(module, creation.part("arguments").map(Cst::inner).orElse(List.of())).read();
            names.retainAll(user.locals());
            return names;
        }

        void write() {
            script.stage("Let " + told() + " be given " + (isWhole() ? "its " + type : "what makes its " + type) + "; who gives none gets what there was", List.of(module.place(creation, "no longer its own affair")));
            addParameter();
            String made = module.text(creation.part("function").orElseThrow());
            if (isWhole()) {
                boolean direct = isValue();
                String said = module.text(creation) + " if " + parameter + " is None else " + parameter;
                script.replace(module.file(), creation.start(), creation.end(), direct ? said : "(" + said + ")");
            } else if (user.node().equals(taker.node())) {
                script.replace(module.file(), creation.part("function").orElseThrow().start(), creation.part("function").orElseThrow().end(), parameter);
            } else {
                String self = user.isOfInstance() ? user.parameters().get(0).name() : "";
                if (self.isEmpty()) {
                    throw new Refused(user.name() + "() belongs to no object that was given anything");
                }
                Cst first = taker.statements().get(0);
                String field = "_" + parameter;
                if (module.text().contains("." + field)) {
                    throw new Refused("there is a " + field + " already; give the parameter another name with --name collaborator=NAME");
                }
                if (!module.beginsLine(first.start())) {
                    throw new Refused(taker.name() + "() is written on one line");
                }
                script.insert(module.file(), module.lineStart(first.start()), module.indentAt(first.start()) + taker.parameters().get(0).name() + "." + field + " = " + parameter + module.newLine());
                script.replace(module.file(), creation.part("function").orElseThrow().start(), creation.part("function").orElseThrow().end(), self + "." + field);
            }
            // A default is worked out where the function is declared: what it names must be there by then.
            if (!isWhole() && !module.isKnownBefore(made.replaceFirst("\\..*", ""), taker.node().start())) {
                throw new Refused(made + " is not known yet where " + taker.name() + "() is declared");
            }
        }

        private boolean isValue() {
            List<Cst> path = module.path(creation.start());
            Cst around = path.get(path.indexOf(creation) - 1);
            return around.is("assignment") || around.is("return_statement");
        }

        private String told() {
            return taker.name().equals("__init__") ? module.text(taker.home().orElseThrow().part("name").orElseThrow()) : taker.name() + "()";
        }

        private void addParameter() {
            List<Parameter> all = taker.parameters();
            String said = parameter + "=" + (isWhole() ? "None" : module.text(creation.part("function").orElseThrow()));
            Optional<Parameter> named = all.stream().filter(each -> each.kind() == Kind.ALL_NAMED).findFirst();
            Cst list = taker.node().part("parameters").orElseThrow();
            if (named.isPresent()) {
                script.insert(module.file(), named.get().node().start(), said + ", ");
            } else if (list.inner().isEmpty()) {
                script.insert(module.file(), list.start() + 1, said);
            } else {
                script.insert(module.file(), list.inner().get(list.inner().size() - 1).end(), ", " + said);
            }
        }
    }
}
