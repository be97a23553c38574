package driftwood.refactor.python.recipe;

import driftwood.pattern.Words;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.python.ground.Calls;
import driftwood.refactor.python.ground.Calls.Call;
import driftwood.refactor.python.ground.Draft;
import driftwood.refactor.python.ground.Imports;
import driftwood.refactor.python.ground.Module;
import driftwood.refactor.python.ground.PythonRecipe;
import driftwood.smell.Finding;
import driftwood.smell.TypeFacts.Holding;
import java.util.List;

/** singleton, as Python has it: a function that makes one instance when it is first asked, and gives that to all. */
final class OneForAll implements PythonRecipe {

    @Override
    public String pattern() {
        return "singleton";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Holding;
    }

    @Override
    public void write(Draft draft) {
        TypeOutline type = draft.program().type(((Holding) draft.finding().detail()).type()).orElseThrow();
        RoutineOutline constructor = type.constructors().stream().findFirst().orElseThrow(() -> new Refused(type.simpleName() + " has no constructor of its own"));
        Module home = draft.modules().module(type.file());
        List<Call> calls = new Calls(draft).to(constructor);
        calls.forEach(each -> refuse(each, type, home, draft));
        Cst beside = home.around(draft.modules().type(type));
        if (!home.indentAt(beside.start()).isEmpty()) {
            throw new Refused(type.simpleName() + " stands in another class or function");
        }
        StringBuilder everywhere = new StringBuilder(home.text());
        calls.stream().map(Call::module).distinct().forEach(each -> everywhere.append(each.text()));
        String word = Words.snake(type.simpleName());
        String name = draft.freeName("access", everywhere.toString(), word, "the_" + word, "shared_" + word);
        Script script = draft.script();
        Imports imports = new Imports(draft);
        String line = home.newLine();
        script.stage("Add " + name + "(), which makes one " + type.simpleName() + " for all", List.of(home.place(draft.modules().type(type), "one for all")));
        imports.add("from functools import cache", home);
        script.insert(home.file(), beside.end(), line + line + line + "@cache" + line + "def " + name + "() -> " + type.simpleName() + ":" + line
                + home.indent() + "\"\"\"The one that all share, made when it is first asked for.\"\"\"" + line + home.indent() + "return " + type.simpleName() + "()");
        script.stage("Let all who made one for themselves ask for it", calls.stream().map(each -> each.module().place(each.node(), name + "()")).toList());
        for (Call each : calls) {
            Cst function = each.node().part("function").orElseThrow();
            Cst said = function.is("attribute") ? function.inner().get(1) : function;
            script.replace(each.module().file(), said.start(), said.end(), name);
            draft.callSite(each.module(), each.node());
            if (!each.module().file().equals(home.file()) && !function.is("attribute")) {
                imports.know(draft.modules().name(home.file()), name, each.module());
            }
        }
        draft.means("all share one " + type.simpleName());
    }

    private static void refuse(Call call, TypeOutline type, Module home, Draft draft) {
        Module module = call.module();
        String at = module.file() + ":" + module.line(call.node().start());
        if (!call.arguments().isEmpty()) {
            throw new Refused("the one at " + at + " is made with values of its own");
        }
        boolean within = module.file().equals(home.file()) && draft.modules().type(type).start() <= call.node().start() && call.node().end() <= draft.modules().type(type).end();
        if (within) {
            throw new Refused(type.simpleName() + " makes one of its own kind at " + at);
        }
        if (module.path(call.node().start()).stream().anyMatch(each -> each.is("with_item")) || module.text().matches("(?s).*\\.close\\(\\).*")) {
            throw new Refused("a user closes what it makes (" + at + "), and would close it for all");
        }
    }
}
