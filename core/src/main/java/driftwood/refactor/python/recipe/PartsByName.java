package driftwood.refactor.python.recipe;

import driftwood.program.RoutineOutline;
import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.python.ground.Calls;
import driftwood.refactor.python.ground.Calls.Call;
import driftwood.refactor.python.ground.Draft;
import driftwood.refactor.python.ground.Function;
import driftwood.refactor.python.ground.Module;
import driftwood.refactor.python.ground.Parameter;
import driftwood.refactor.python.ground.Parameter.Kind;
import driftwood.refactor.python.ground.PythonRecipe;
import driftwood.smell.Detail.Ladder;
import driftwood.smell.Finding;
import driftwood.smell.RoutineFacts.Parameters;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** builder, as Python has it: what can be left out is passed by name only, and what is as it would be anyway is not passed. */
final class PartsByName implements PythonRecipe {

    @Override
    public String pattern() {
        return "builder";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Ladder ladder && ladder.ladder().size() == 1 || finding.detail() instanceof Parameters;
    }

    @Override
    public void write(Draft draft) {
        RoutineOutline routine = draft.finding().detail() instanceof Ladder ladder ? ladder.ladder().get(0) : draft.routine(((Parameters) draft.finding().detail()).routine());
        new Naming(draft, routine).write();
    }

    private static final class Naming {
        private static final Set<String> PLAIN = Set.of("none", "true", "false", "integer", "float", "string");
        private final Draft draft;
        private final Script script;
        private final RoutineOutline routine;
        private final Function function;
        private final Module module;
        private final List<Parameter> filled;
        private final List<Call> calls;
        /** Position of the first that is told by name, among those that callers fill. */
        private final int first;
        /** Defaults of those that have none yet. */
        private final Map<Parameter, String> defaults = new LinkedHashMap<>();

        Naming(Draft draft, RoutineOutline routine) {
            this.draft = draft;
            this.script = draft.script();
            this.routine = routine;
            this.function = draft.modules().function(routine);
            this.module = function.module();
            this.filled = function.filled();
            refuse();
            this.calls = new Calls(draft).to(routine);
            Ladder ladder = draft.finding().detail() instanceof Ladder found ? found : null;
            this.first = ladder == null ? Math.min(1, filled.size() - 1) : firstOptional(ladder);
            for (Call each : calls) {
                if (each.isUnfolding() && each.arguments().stream().anyMatch(argument -> argument.is("list_splat"))) {
                    throw new Refused("the call at " + at(each) + " passes a list of arguments: which is which is not known");
                }
            }
            if (ladder != null) {
                filled.subList(first, filled.size()).stream().filter(each -> each.initial().isEmpty() && ladder.optional().contains(each.name()))
                        .forEach(each -> filler(each).ifPresent(value -> defaults.put(each, value)));
            }
        }

        private void refuse() {
            if (filled.stream().anyMatch(each -> each.kind() == Kind.ALL_FURTHER)) {
                throw new Refused(function.name() + "() takes any number of further arguments");
            }
            if (module.text(function.node().part("parameters").orElseThrow()).matches("(?s).*[(,]\\s*[/*]\\s*[,)].*")) {
                throw new Refused(function.name() + "() says already which parameters are passed by name");
            }
            if (function.decorators().stream().anyMatch(each -> !each.matches("staticmethod|classmethod|(\\w+\\.)*(lru_cache|cache|abstractmethod|override|wraps)(\\(.*\\))?"))) {
                throw new Refused(function.name() + "() is decorated, and called by others (@" + function.decorators().get(0) + ")");
            }
            if (!routine.isConstructor() && function.name().startsWith("__")) {
                throw new Refused(function.name() + "() is called by the language itself");
            }
        }

        private int firstOptional(Ladder ladder) {
            for (int i = 0; i < filled.size(); i++) {
                if (ladder.optional().contains(filled.get(i).name()) || filled.get(i).initial().isPresent()) {
                    return i;
                }
            }
            throw new Refused("no part is left out anywhere");
        }

        /** What callers fill a part with that they do not mean: the same everywhere, or nothing. */
        private Optional<String> filler(Parameter part) {
            Map<String, Long> said = new LinkedHashMap<>();
            calls.forEach(each -> each.value(part.name(), filled.indexOf(part)).filter(value -> Set.of("none", "false", "true").contains(value.kind()))
                    .ifPresent(value -> said.merge(each.module().text(value), 1L, Long::sum)));
            return said.size() == 1 ? Optional.of(said.keySet().iterator().next()) : Optional.empty();
        }

        private static String at(Call call) {
            return call.module().file() + ":" + call.module().line(call.node().start());
        }

        void write() {
            Map<Parameter, String> known = new LinkedHashMap<>();
            filled.subList(first, filled.size()).forEach(part -> part.initial().filter(value -> PLAIN.contains(value.kind())).ifPresent(value -> known.put(part, module.text(value))));
            List<Call> told = calls.stream().filter(each -> placed(each).size() > first || known.keySet().stream().anyMatch(part -> isFilled(each, part, known.get(part)))).toList();
            script.stage("Let callers of " + told() + " name what they pass" + (known.isEmpty() ? "" : ", and leave out what is so anyway"), told.stream().map(each -> each.module().place(each.node(), "by name")).toList());
            told.forEach(each -> {
                name(each);
                leaveOut(each, known);
            });
            List<Parameter> named = filled.subList(first, filled.size()).stream().filter(each -> each.kind() == Kind.USUAL).toList();
            script.stage("Let " + told() + " take " + named.stream().limit(4).map(Parameter::name).collect(Collectors.joining(", ")) + (named.size() > 4 ? " and what follows" : "")
                    + " by name only", List.of(module.place(function.node(), "the star")));
            int star = filled.get(first).node().start();
            script.insert(module.file(), star, module.beginsLine(star) ? "*," + module.newLine() + module.indentAt(star) : "*, ");
            defaults.forEach((part, value) -> script.insert(module.file(), part.node().end(), part.type().isPresent() ? " = " + value : "=" + value));
            if (!defaults.isEmpty()) {
                calls.forEach(each -> leaveOut(each, defaults));
            }
            draft.restricts(routine);
        }

        private String told() {
            return routine.isConstructor() ? routine.name().equals("__init__") ? "the constructor" : routine.name() : function.name() + "()";
        }

        private static List<Cst> placed(Call call) {
            return call.arguments().stream().filter(each -> !each.is("keyword_argument") && !each.is("dictionary_splat")).toList();
        }

        private void name(Call call) {
            draft.callSite(call.module(), call.node());
            List<Cst> placed = placed(call);
            for (int i = first; i < placed.size(); i++) {
                script.insert(call.module().file(), placed.get(i).start(), filled.get(i).name() + "=");
            }
        }

        private boolean isFilled(Call call, Parameter part, String value) {
            return call.value(part.name(), filled.indexOf(part)).filter(each -> call.module().text(each).equals(value)).isPresent();
        }

        /** Takes those arguments away that are what the parameter would be anyway. */
        private void leaveOut(Call call, Map<Parameter, String> known) {
            List<Cst> all = call.arguments();
            List<Cst> gone = new ArrayList<>();
            known.forEach((part, value) -> call.value(part.name(), filled.indexOf(part)).filter(each -> call.module().text(each).equals(value))
                    .ifPresent(each -> all.stream().filter(one -> one.start() <= each.start() && each.end() <= one.end()).forEach(gone::add)));
            int kept = 0;
            while (kept < all.size() && gone.contains(all.get(kept))) {
                kept++;
            }
            if (kept > 0) {
                script.replace(call.module().file(), all.get(0).start(), kept < all.size() ? all.get(kept).start() : all.get(all.size() - 1).end(), "");
            }
            for (int i = kept + 1; i < all.size(); i++) {
                if (gone.contains(all.get(i))) {
                    script.replace(call.module().file(), all.get(i - 1).end(), all.get(i).end(), "");
                }
            }
        }
    }
}
