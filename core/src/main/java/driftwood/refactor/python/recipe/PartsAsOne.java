package driftwood.refactor.python.recipe;

import driftwood.pattern.Words;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
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
import driftwood.refactor.python.ground.Names;
import driftwood.refactor.python.ground.Parameter;
import driftwood.refactor.python.ground.Parameter.Kind;
import driftwood.refactor.python.ground.PythonRecipe;
import driftwood.smell.Detail.Ladder;
import driftwood.smell.Finding;
import driftwood.smell.RoutineFacts.Parameters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** parameter-object: what always travels together becomes a data class. */
final class PartsAsOne implements PythonRecipe {

    @Override
    public String pattern() {
        return "parameter-object";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Parameters || finding.detail() instanceof Ladder ladder && ladder.ladder().size() == 1;
    }

    @Override
    public void write(Draft draft) {
        RoutineOutline routine = draft.finding().detail() instanceof Ladder ladder ? ladder.ladder().get(0) : draft.routine(((Parameters) draft.finding().detail()).routine());
        new Gathering(draft, routine).write();
    }

    private static final class Gathering {
        private static final int FEWEST = 3;
        /** A longer line is read with difficulty, in characters. */
        private static final int WIDE = 100;
        private static final Set<String> SHARED = Set.of("list", "dictionary", "set", "call", "list_comprehension");
        private final Draft draft;
        private final Script script;
        private final RoutineOutline routine;
        private final TypeOutline owner;
        private final Function function;
        private final Module module;
        private final List<Parameter> parts;
        private final List<Call> calls;
        private final String type;
        private final String parameter;

        Gathering(Draft draft, RoutineOutline routine) {
            this.draft = draft;
            this.script = draft.script();
            this.routine = routine;
            this.owner = draft.program().type(routine.owner()).orElseThrow();
            this.function = draft.modules().function(routine);
            this.module = function.module();
            refuse();
            this.parts = parts();
            this.calls = new Calls(draft).to(routine);
            for (Call each : calls) {
                if (each.isUnfolding()) {
                    throw new Refused("the call at " + each.module().file() + ":" + each.module().line(each.node().start()) + " unfolds its arguments: which is which is not known");
                }
            }
            String word = Words.upper(routine.isConstructor() ? owner.simpleName() : function.name().replaceFirst("^_+", "").replaceFirst("^(get|set|do|make|create|build)_(?=[a-z])", ""));
            this.type = draft.freeName("parameter object", everywhere(), word + "Details", word + "Terms", word + "Request");
            this.parameter = draft.freeName("parameter", module.text(function.node()), "details", "terms", "all_details");
        }

        private String everywhere() {
            StringBuilder text = new StringBuilder(module.text());
            draft.modules().with(function.name()).forEach(each -> text.append(each.text()));
            return text.toString();
        }

        private void refuse() {
            if (!routine.isConstructor() && function.name().startsWith("__")) {
                throw new Refused(function.name() + "() is called by the language itself");
            }
            if (function.decorators().stream().anyMatch(each -> !each.equals("staticmethod") && !each.equals("classmethod"))) {
                throw new Refused(function.name() + "() is decorated, and called by others (@" + function.decorators().get(0) + ")");
            }
            if (function.home().isEmpty() && module.path(function.node().start()).stream().filter(each -> each.is("function_definition")).count() > 1) {
                throw new Refused(function.name() + "() stands in another function");
            }
            if (Module.all(function.body(), "identifier").stream().map(module::text).anyMatch(each -> each.equals("locals") || each.equals("eval"))) {
                throw new Refused(function.name() + "() looks its parameters up by name");
            }
        }

        /** The parameters that other functions take together as well; all of them where none does. */
        private List<Parameter> parts() {
            List<Parameter> all = function.filled().stream().filter(each -> each.kind() == Kind.USUAL).toList();
            Set<String> names = new LinkedHashSet<>(all.stream().map(Parameter::name).toList());
            Set<String> best = Set.of();
            for (RoutineOutline other : owner.routines()) {
                if (!other.equals(routine)) {
                    Set<String> shared = new LinkedHashSet<>(names);
                    shared.retainAll(other.parameters().stream().map(ParameterOutline::name).toList());
                    best = shared.size() > best.size() ? shared : best;
                }
            }
            Set<String> chosen = best.size() < FEWEST || all.size() - best.size() > 4 ? names : best;
            List<Parameter> parts = all.stream().filter(each -> chosen.contains(each.name())).toList();
            if (parts.size() < FEWEST) {
                throw new Refused("most of its parameters are passed by name only");
            }
            parts.stream().filter(each -> each.initial().filter(value -> SHARED.contains(value.kind())).isPresent()).findFirst().ifPresent(each -> {
                throw new Refused("the default of " + each.name() + " is one object that all calls share");
            });
            int first = function.filled().indexOf(parts.get(0));
            boolean later = parts.stream().allMatch(each -> each.initial().isPresent()) && first > 0;
            if (parts.get(0).initial().isEmpty() && function.filled().subList(0, first).stream().anyMatch(each -> each.initial().isPresent()) || later) {
                throw new Refused("all that travels together can be left out: told by name it needs no type (driftwood plan with --pattern builder)");
            }
            return parts;
        }

        void write() {
            Imports imports = new Imports(draft);
            script.stage("Add " + type + " for what is handed over together", List.of(module.place(function.node(), "its parts")));
            imports.add("from dataclasses import dataclass", module);
            Cst beside = module.around(function.home().orElse(function.node()));
            int at = module.lineStart(beside.start());
            script.replace(module.file(), at, at + 1, declaration(beside) + module.newLine() + module.newLine() + module.text().charAt(at));
            script.stage("Let " + (routine.isConstructor() ? owner.simpleName() : function.name() + "()") + " take " + Words.one(type)
                    + ", and its callers make one", calls.stream().map(each -> each.module().place(each.node(), "makes one")).toList());
            changeHead();
            changeBody();
            calls.stream().sorted(Comparator.comparingInt((Call each) -> -each.node().start())).forEach(this::redirect);
            calls.stream().map(Call::module).distinct().filter(each -> !each.file().equals(module.file()))
                    .forEach(each -> imports.know(draft.modules().name(module.file()), type, each));
            draft.changes(routine);
        }

        private String declaration(Cst beside) {
            String line = module.newLine();
            StringBuilder text = new StringBuilder("@dataclass").append(line).append("class ").append(type).append(':').append(line);
            for (Parameter each : parts) {
                text.append(module.indent()).append(each.name()).append(": ").append(each.type().map(said -> typed(said, beside)).orElse("object"))
                        .append(each.initial().map(value -> " = " + module.text(value)).orElse("")).append(line);
            }
            return text.toString();
        }

        /** A type as it is said, in quotes where it is declared further down. */
        private String typed(Cst said, Cst beside) {
            Set<String> names = Names.of(module, List.of(said)).read();
            Set<String> later = Names.of(module, module.root().inner().stream().filter(each -> each.start() >= beside.start()).toList()).bound();
            return names.stream().anyMatch(later::contains) && !module.text(said).contains("\"") ? "\"" + module.text(said) + "\"" : module.text(said);
        }

        private void changeHead() {
            List<Cst> all = function.node().part("parameters").orElseThrow().inner();
            Set<Integer> gone = new LinkedHashSet<>(parts.stream().map(each -> each.node().start()).toList());
            List<String> kept = new ArrayList<>();
            boolean said = false;
            for (Cst each : all) {
                if (!gone.contains(each.start())) {
                    kept.add(module.text(each));
                } else if (!said) {
                    kept.add(parameter + ": " + type);
                    said = true;
                }
            }
            Cst list = function.node().part("parameters").orElseThrow();
            script.replace(module.file(), list.start(), list.end(), "(" + String.join(", ", kept) + ")");
        }

        private void changeBody() {
            Names names = Names.of(module, function.body().inner());
            List<Parameter> unpacked = new ArrayList<>();
            for (Parameter each : parts) {
                if (names.bound().contains(each.name()) || isHidden(function.body(), each.name())) {
                    unpacked.add(each);
                } else {
                    Module.all(function.body(), "identifier").stream().filter(one -> module.text(one).equals(each.name()) && isValue(one))
                            .forEach(one -> script.replace(module.file(), one.start(), one.end(), parameter + "." + each.name()));
                }
            }
            if (!unpacked.isEmpty()) {
                Cst first = function.statements().get(0);
                if (!module.beginsLine(first.start())) {
                    throw new Refused(function.name() + "() is written on one line");
                }
                String indent = module.indentAt(first.start());
                StringBuilder text = new StringBuilder();
                unpacked.forEach(each -> text.append(indent).append(each.name()).append(" = ").append(parameter).append('.').append(each.name()).append(module.newLine()));
                script.insert(module.file(), module.lineStart(first.start()), text.toString(), "1");
            }
        }

        /** Whether an inner function, lambda or comprehension has a name of its own that is the same. */
        private boolean isHidden(Cst node, String name) {
            for (String kind : List.of("lambda", "function_definition")) {
                for (Cst each : Module.all(node, kind)) {
                    if (each.part("parameters").filter(list -> Module.all(list, "identifier").stream().map(module::text).anyMatch(name::equals)).isPresent()) {
                        return true;
                    }
                }
            }
            return Module.all(node, "for_in_clause").stream().anyMatch(each -> each.part("left").filter(left -> Module.all(left, "identifier").stream().map(module::text)
                    .anyMatch(name::equals)).isPresent());
        }

        private boolean isValue(Cst name) {
            List<Cst> path = module.path(name.start());
            Cst around = path.get(path.size() - 2);
            return !(around.is("attribute") && around.inner().get(1).start() == name.start() || around.is("keyword_argument") && around.inner().get(0).start() == name.start()
                    || around.is("keyword_pattern"));
        }

        private void redirect(Call call) {
            draft.callSite(call.module(), call.node());
            List<String> kept = new ArrayList<>();
            List<String> gathered = new ArrayList<>();
            int at = -1;
            List<Cst> all = call.arguments();
            for (int i = 0; i < all.size(); i++) {
                boolean named = all.get(i).is("keyword_argument");
                String name = named ? call.module().text(all.get(i).inner().get(0)) : function.filled().get(Math.min(i, function.filled().size() - 1)).name();
                String value = script.text(call.module().file(), (named ? all.get(i).inner().get(1) : all.get(i)).start(), all.get(i).end());
                Optional<Parameter> part = parts.stream().filter(each -> each.name().equals(name)).findFirst();
                if (part.isPresent()) {
                    gathered.add(name + "=" + value);
                    at = at < 0 ? kept.size() : at;
                } else {
                    kept.add((named ? name + "=" : "") + value);
                }
            }
            Cst list = call.node().part("arguments").orElseThrow();
            String outer = call.module().indentAt(call.node().start());
            int around = list.start() - call.module().lineStart(list.start()) + String.join(", ", kept).length();
            boolean wide = call.module().text(list).contains("\n") || around + type.length() + String.join(", ", gathered).length() > WIDE;
            String line = call.module().newLine();
            String inner = line + outer + call.module().indent();
            String made = !wide ? type + "(" + String.join(", ", gathered) + ")" : type + "(" + inner + String.join("," + inner, gathered) + "," + line + outer + ")";
            boolean placed = kept.subList(0, Math.max(0, at)).stream().noneMatch(each -> each.matches("(?s)\\w+=[^=].*"));
            kept.add(Math.max(0, at), (placed ? "" : parameter + "=") + made);
            script.replace(call.module().file(), list.start(), list.end(), "(" + String.join(", ", kept) + ")");
        }
    }
}
