package driftwood.refactor.python.recipe;

import driftwood.pattern.Words;
import driftwood.program.RoutineOutline;
import driftwood.program.Symbol;
import driftwood.program.TypeOutline;
import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.python.ground.Calls;
import driftwood.refactor.python.ground.Calls.Call;
import driftwood.refactor.python.ground.Draft;
import driftwood.refactor.python.ground.Function;
import driftwood.refactor.python.ground.Imports;
import driftwood.refactor.python.ground.Module;
import driftwood.refactor.python.ground.PythonRecipe;
import driftwood.refactor.python.recipe.Guards.Neutral;
import driftwood.smell.Detail.Nothing;
import driftwood.smell.Finding;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** null-object: instead of None an instance that answers as the guards did; the guards go. */
final class NeutralInstance implements PythonRecipe {

    @Override
    public String pattern() {
        return "null-object";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Nothing;
    }

    @Override
    public void write(Draft draft) {
        Nothing nothing = (Nothing) draft.finding().detail();
        if (!Symbol.of(nothing.source()).isRoutine()) {
            throw new Refused(Symbol.of(nothing.source()).member() + " is a field: who sets it is not followed yet");
        }
        RoutineOutline source = draft.routine(nothing.source());
        TypeOutline scope = draft.program().type(source.owner()).orElseThrow();
        TypeOutline type = draft.program().resolve(new TypeRef(nothing.yields()), scope).orElseThrow(() -> new Refused("what " + source.name() + "() gives is none of the project's classes"));
        new Replacing(draft, source, type).write();
    }

    private static final class Replacing {
        private final Draft draft;
        private final Script script;
        private final Function source;
        private final RoutineOutline routine;
        private final Module module;
        private final TypeOutline type;
        private final Module home;
        private final String name;
        private final String instance;
        private final Map<String, Neutral> answers = new LinkedHashMap<>();
        private final List<Guards> guards = new ArrayList<>();

        Replacing(Draft draft, RoutineOutline routine, TypeOutline type) {
            this.draft = draft;
            this.script = draft.script();
            this.routine = routine;
            this.source = draft.modules().function(routine);
            this.module = source.module();
            this.type = type;
            this.home = draft.modules().module(type.file());
            refuse();
            this.name = draft.freeName("null object", home.text() + module.text(), "No" + type.simpleName(), "Missing" + type.simpleName());
            this.instance = draft.freeName("instance", home.text() + module.text(), Words.constant(name));
        }

        private void refuse() {
            if (source.isAsync() || !Module.all(source.body(), "yield").isEmpty()) {
                throw new Refused(source.name() + "() does not give its result at once");
            }
            if (draft.program().hasForeignParent(type)) {
                throw new Refused(type.simpleName() + " extends a class of a library");
            }
            for (RoutineOutline each : type.routines()) {
                if (each.name().equals("__eq__") || each.name().equals("__bool__") || each.name().equals("__len__")) {
                    throw new Refused(type.simpleName() + " says itself what it equals, or whether it counts as true");
                }
            }
        }

        void write() {
            for (Call each : new Calls(draft).of(routine)) {
                Guards found = Guards.of(each, source.name());
                found.neutral().forEach(this::agree);
                guards.add(found);
            }
            guards.forEach(each -> each.unguarded().forEach(asked -> {
                if (!answers.containsKey(asked)) {
                    throw new Refused("nobody says what " + asked + "() is where there is nothing");
                }
            }));
            if (answers.isEmpty()) {
                throw new Refused("no guard tells what " + type.simpleName() + " should do where there is nothing");
            }
            script.stage("Add " + name + ", which answers as the guards do, with one instance for all", List.of(home.place(draft.modules().type(type), "beside it")));
            addClass();
            giveIt();
            removeGuards();
            draft.changes(routine);
        }

        /** All guards must say the same of a method. */
        private void agree(String method, Neutral neutral) {
            RoutineOutline asked = type.routines().stream().filter(each -> each.name().equals(method)).findFirst()
                    .orElseThrow(() -> new Refused(method + " is no method that " + type.simpleName() + " itself has"));
            if (asked.traits().isStatic()) {
                throw new Refused(method + "() belongs to no instance");
            }
            Neutral known = answers.putIfAbsent(method, neutral);
            if (known != null && !known.equals(neutral)) {
                throw new Refused("where there is nothing, " + method + "() is " + known.told() + " for one caller and " + neutral.told() + " for another");
            }
        }

        private void addClass() {
            Cst beside = home.around(draft.modules().type(type));
            String line = home.newLine();
            String indent = home.indentAt(beside.start());
            if (!indent.isEmpty()) {
                throw new Refused(type.simpleName() + " stands in another class or function");
            }
            StringBuilder text = new StringBuilder("class ").append(name).append('(').append(type.simpleName()).append("):").append(line);
            text.append(home.indent()).append("\"\"\"Where there is no ").append(type.simpleName()).append(".\"\"\"").append(line);
            text.append(line).append(home.indent()).append("def __init__(self):").append(line).append(home.indent().repeat(2)).append("pass").append(line);
            answers.forEach((method, neutral) -> {
                RoutineOutline asked = type.routines().stream().filter(each -> each.name().equals(method)).findFirst().orElseThrow();
                Function like = draft.modules().function(asked);
                text.append(line);
                if (like.decorators().contains("property")) {
                    text.append(home.indent()).append("@property").append(line);
                }
                String parameters = like.node().part("parameters").map(home::text).orElse("(self)");
                text.append(home.indent()).append("def ").append(method).append(parameters).append(like.returns(home)).append(':').append(line)
                        .append(home.indent().repeat(2)).append(neutral.value().isEmpty() ? "pass" : "return " + neutral.value()).append(line);
            });
            script.insert(home.file(), beside.end(), line + line + line + text.toString().stripTrailing() + line + line + line + instance + " = " + name + "()");
        }

        private void giveIt() {
            List<Cst> returns = new ArrayList<>();
            for (Cst each : Module.all(source.body(), "return_statement")) {
                boolean own = Function.around(module, each.start()).filter(around -> around.node().equals(source.node())).isPresent();
                if (own && (each.inner().isEmpty() || each.inner().get(0).is("none"))) {
                    returns.add(each);
                } else if (own && each.inner().get(0).is("conditional_expression") || own && module.text(each).matches("(?s).*\\bNone\\b.*")) {
                    throw new Refused(source.name() + "() gives None in the middle of an expression");
                }
            }
            boolean ends = source.statementsBody().exits();
            if (returns.isEmpty() && ends) {
                throw new Refused("where " + source.name() + "() gives None is not seen");
            }
            script.stage("Let " + source.name() + "() give it instead of None", returns.stream().map(each -> module.place(each, "gives " + instance)).toList());
            returns.forEach(each -> script.replace(module.file(), each.start(), each.end(), "return " + instance));
            if (!ends) {
                List<Cst> all = source.body().inner();
                Cst last = all.get(all.size() - 1);
                script.insert(module.file(), last.end(), module.newLine() + module.indentAt(all.get(0).start()) + "return " + instance);
            }
            source.node().part("return_type").ifPresent(said -> {
                String bare = module.text(said).replaceFirst("^(?:typing\\.)?Optional\\[(.*)]$", "$1").replaceFirst("\\s*\\|\\s*None$", "").replaceFirst("^None\\s*\\|\\s*", "");
                if (!bare.equals(module.text(said))) {
                    script.replace(module.file(), said.start(), said.end(), bare);
                }
            });
            if (!home.file().equals(module.file())) {
                new Imports(draft).know(draft.modules().name(home.file()), instance, module);
            }
            // The guards go in the same step: with the instance none of them is taken any more.
            guards.forEach(each -> each.remove(script));
        }

        private void removeGuards() {
            List<String> careless = guards.stream().filter(each -> !each.unguarded().isEmpty()).map(each -> each.call().module().file() + ":" + each.call().module().line(each.call().node().start())).toList();
            if (!careless.isEmpty()) {
                draft.means("where nobody asked (" + String.join(", ", careless.stream().limit(3).toList()) + "), nothing is answered neutrally instead of failing");
            }
            guards.forEach(each -> draft.callSite(each.call().module(), each.call().node()));
        }
    }
}
