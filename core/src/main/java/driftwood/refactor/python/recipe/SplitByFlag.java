package driftwood.refactor.python.recipe;

import driftwood.pattern.Opposites;
import driftwood.program.RoutineOutline;
import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.python.ground.Body;
import driftwood.refactor.python.ground.Calls;
import driftwood.refactor.python.ground.Calls.Call;
import driftwood.refactor.python.ground.Draft;
import driftwood.refactor.python.ground.Function;
import driftwood.refactor.python.ground.Halves;
import driftwood.refactor.python.ground.Module;
import driftwood.refactor.python.ground.Parameter;
import driftwood.refactor.python.ground.PythonRecipe;
import driftwood.smell.Finding;
import driftwood.smell.RoutineFacts.Flag;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/** separate-routines: a function that does one of two things, as a flag says, becomes two with names of their own. */
final class SplitByFlag implements PythonRecipe {

    @Override
    public String pattern() {
        return "separate-routines";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Flag;
    }

    @Override
    public void write(Draft draft) {
        Flag flag = (Flag) draft.finding().detail();
        RoutineOutline routine = draft.routine(flag.routine());
        if (routine.isConstructor()) {
            throw new Refused("a constructor has no second name; class methods with names of their own are the way here");
        }
        new Splitting(draft, routine, flag.flag()).write();
    }

    private static final class Splitting {
        private final Draft draft;
        private final Script script;
        private final RoutineOutline routine;
        private final Function function;
        private final Module module;
        private final Parameter flag;
        private final int at;
        private final List<Call> calls;
        private final Map<Boolean, String> names = new LinkedHashMap<>();

        Splitting(Draft draft, RoutineOutline routine, String name) {
            this.draft = draft;
            this.script = draft.script();
            this.routine = routine;
            this.function = draft.modules().function(routine);
            this.module = function.module();
            this.flag = function.filled().stream().filter(each -> each.name().equals(name)).findFirst().orElseThrow(() -> new Refused(name + " is no parameter"));
            this.at = function.filled().indexOf(flag);
            if (function.decorators().stream().anyMatch(each -> !each.equals("staticmethod") && !each.equals("classmethod"))) {
                throw new Refused(function.name() + "() is decorated, and called by others (@" + function.decorators().get(0) + ")");
            }
            this.calls = new Calls(draft).to(routine);
            if (calls.stream().anyMatch(each -> each.module().file().equals(module.file()) && function.node().start() < each.node().start() && each.node().end() <= function.node().end())) {
                throw new Refused(function.name() + "() calls itself");
            }
            String word = name.replaceFirst("^(is|has|with|should|do|use|as)_", "");
            String all = String.join("\n", draft.modules().with(function.name()).stream().map(Module::text).toList());
            String own = function.name();
            names.put(true, draft.freeName("true", all, own + "_" + word, own + "_with_" + word));
            names.put(false, draft.freeName("false", all, own + "_" + Opposites.of(word).orElse("without_" + word), own + "_no_" + word));
        }

        void write() {
            Cst whole = module.around(function.node());
            boolean known = calls.stream().allMatch(each -> said(each).isPresent()) && !isSaidElsewhere();
            script.stage("Add " + names.get(true) + "() and " + names.get(false) + "() beside " + function.name() + "(), each with the half that it stands for",
                    List.of(module.place(function.node(), "split here")));
            String line = module.newLine();
            String gap = module.indentAt(whole.start()).isEmpty() ? line + line + line : line + line;
            int start = module.lineStart(whole.start());
            String halves = half(true) + gap + half(false);
            script.replace(module.file(), start, start + 1, halves + gap + module.text().charAt(start));
            List<Call> told = calls.stream().filter(each -> said(each).isPresent()).toList();
            script.stage("Let those who pass True or False call the one that they mean", told.stream().map(each -> each.module().place(each.node(), names.get(said(each).get()) + "()")).toList());
            told.forEach(this::redirect);
            redirectImports(told, known);
            draft.changes(routine);
            if (known) {
                script.stage("Remove " + function.name() + "(): nobody calls it any more", List.of(module.place(function.node(), "goes")));
                script.replace(module.file(), start, whole.end(), halves);
            } else {
                script.stage("Let " + function.name() + "() only choose between the two", List.of(module.place(function.node(), "chooses")));
                choose();
            }
        }

        /** The value of the flag at a call; empty where it is no literal. */
        private Optional<Boolean> said(Call call) {
            if (call.isUnfolding()) {
                return Optional.empty();
            }
            Optional<Cst> value = call.value(flag.name(), at).or(flag::initial);
            return value.filter(each -> each.is("true") || each.is("false")).map(each -> each.is("true"));
        }

        private boolean isSaidElsewhere() {
            for (Module each : draft.modules().with(function.name())) {
                boolean exported = Calls.isExported(each, function.name());
                boolean handedOn = !each.file().equals(module.file()) && calls.stream().noneMatch(call -> call.module().file().equals(each.file()))
                        && !importing(each).isEmpty();
                if (exported || handedOn) {
                    return true;
                }
            }
            return false;
        }

        private List<Cst> importing(Module file) {
            return Module.all(file.root(), "import_from_statement").stream().flatMap(each -> each.parts("name").stream())
                    .filter(each -> file.text(each).replaceFirst("\\s.*", "").equals(function.name())).toList();
        }

        private void redirect(Call call) {
            draft.callSite(call.module(), call.node());
            Cst called = call.node().part("function").orElseThrow();
            Cst name = called.is("attribute") ? called.inner().get(1) : called;
            script.replace(call.module().file(), name.start(), name.end(), names.get(said(call).orElseThrow()));
            List<Cst> all = call.arguments();
            for (int i = 0; i < all.size(); i++) {
                boolean named = all.get(i).is("keyword_argument") && call.module().text(all.get(i).inner().get(0)).equals(flag.name());
                if (named || i == at && !all.get(i).is("keyword_argument")) {
                    boolean first = i == 0;
                    script.replace(call.module().file(), first ? all.get(i).start() : all.get(i - 1).end(), first && all.size() > 1 ? all.get(1).start() : all.get(i).end(), "");
                }
            }
        }

        /** Files that import the function know the halves that they call. */
        private void redirectImports(List<Call> told, boolean gone) {
            for (Module file : draft.modules().with(function.name())) {
                for (Cst each : importing(file)) {
                    if (!file.text(each).equals(function.name())) {
                        throw new Refused(function.name() + " has another name in " + file.file());
                    }
                    Set<String> wanted = new LinkedHashSet<>();
                    calls.stream().filter(call -> call.module().file().equals(file.file())).forEach(call -> wanted.add(told.contains(call) ? names.get(said(call).orElseThrow()) : function.name()));
                    if (!gone && wanted.isEmpty()) {
                        wanted.add(function.name());
                    }
                    script.replace(file.file(), each.start(), each.end(), String.join(", ", wanted));
                }
            }
        }

        private String half(boolean value) {
            String indent = module.indentAt(module.around(function.node()).start());
            String inner = indent + module.indent();
            StringBuilder text = new StringBuilder();
            function.decorators().forEach(each -> text.append(indent).append('@').append(each).append(module.newLine()));
            text.append(indent).append(function.isAsync() ? "async def " : "def ").append(names.get(value)).append('(').append(parameters()).append(')').append(function.returnsAsWritten())
                    .append(':').append(module.newLine());
            if (function.isDocumented()) {
                text.append(documented(inner));
            }
            return text.append(new Halves(function, flag.name()).of(value, inner)).toString();
        }

        /** What documents the function, without the lines on the flag. */
        private String documented(String indent) {
            List<String> lines = module.text(function.body().inner().get(0)).lines().toList();
            Pattern flagged = Pattern.compile("\\b" + flag.name() + "\\b");
            if (lines.size() == 1) {
                return flagged.matcher(lines.get(0)).find() ? "" : indent + lines.get(0) + module.newLine();
            }
            List<String> kept = new ArrayList<>(lines.stream().filter(each -> each.equals(lines.get(0)) || !flagged.matcher(each).find()).toList());
            while (kept.size() > 2 && kept.get(kept.size() - 2).isBlank()) {
                kept.remove(kept.size() - 2);
            }
            boolean one = kept.size() == 2 && kept.get(1).strip().matches("\"\"\"|'''");
            return indent + (one ? kept.get(0) + kept.get(1).strip() : String.join(module.newLine(), kept)) + module.newLine();
        }

        private String parameters() {
            List<String> kept = new ArrayList<>();
            for (Cst each : function.node().part("parameters").orElseThrow().inner()) {
                if (each.start() != flag.node().start()) {
                    kept.add(module.text(each));
                }
            }
            if (!kept.isEmpty() && kept.get(kept.size() - 1).equals("*")) {
                kept.remove(kept.size() - 1);
            }
            return String.join(", ", kept);
        }

        private void choose() {
            Body body = function.statementsBody();
            String indent = module.indentAt(function.node().start()) + module.indent();
            String line = module.newLine();
            String self = function.home().isPresent() && function.held() == 1 ? function.parameters().get(0).name() + "." : function.home().isPresent() ? module.text(function.home().get().part("name").orElseThrow()) + "." : "";
            List<String> handed = new ArrayList<>();
            for (Parameter each : function.filled()) {
                if (!each.equals(flag)) {
                    handed.add(switch (each.kind()) {
                        case USUAL -> each.name();
                        case NAMED_ONLY -> each.name() + "=" + each.name();
                        case ALL_FURTHER -> "*" + each.name();
                        case ALL_NAMED -> "**" + each.name();
                    });
                }
            }
            String arguments = "(" + String.join(", ", handed) + ")";
            String back = (function.isAsync() ? "return await " : "return ") + self;
            script.replace(module.file(), module.lineStart(body.from()), body.to(), indent + "if " + flag.name() + ":" + line + indent + module.indent() + back + names.get(true) + arguments + line
                    + indent + back + names.get(false) + arguments + line);
        }
    }
}
