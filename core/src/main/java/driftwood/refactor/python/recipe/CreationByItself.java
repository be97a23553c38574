package driftwood.refactor.python.recipe;

import driftwood.pattern.Words;
import driftwood.program.Symbol;
import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.python.ground.Body;
import driftwood.refactor.python.ground.Body.Edit;
import driftwood.refactor.python.ground.Decision;
import driftwood.refactor.python.ground.Draft;
import driftwood.refactor.python.ground.Function;
import driftwood.refactor.python.ground.Module;
import driftwood.refactor.python.ground.Names;
import driftwood.refactor.python.ground.Outcome;
import driftwood.refactor.python.ground.Outcome.Kind;
import driftwood.refactor.python.ground.PythonRecipe;
import driftwood.smell.Detail.Choosing;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** factory-method: the decision which class to create moves into a function of its own. */
final class CreationByItself implements PythonRecipe {

    @Override
    public String pattern() {
        return "factory-method";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Choosing;
    }

    @Override
    public void write(Draft draft) {
        Choosing choosing = (Choosing) draft.finding().detail();
        if (!choosing.repeats().isEmpty()) {
            throw new Refused("the same is decided in " + choosing.repeats().get(0).file() + ":" + choosing.repeats().get(0).line()
                    + (choosing.repeats().size() > 1 ? " and elsewhere" : "") + " in other words, which this cannot put together yet");
        }
        new Extracting(draft, choosing).write();
    }

    private static final class Extracting {
        private final Draft draft;
        private final Script script;
        private final Module module;
        private final Decision decision;
        private final Function function;
        private final Outcome outcome;
        private final List<String> captured;
        private final String name;
        private final boolean inClass;

        Extracting(Draft draft, Choosing choosing) {
            this.draft = draft;
            this.script = draft.script();
            this.module = draft.module();
            this.decision = Decision.of(module, choosing.chain());
            this.function = decision.function();
            List<Body> moved = new ArrayList<>(decision.arms().stream().map(Decision.Arm::body).toList());
            decision.otherwise().ifPresent(moved::add);
            this.outcome = Outcome.of(decision, moved);
            if (outcome.kind() == Kind.ACTS) {
                throw new Refused("the arms use what they create at once, each in its own way");
            }
            if (outcome.kind() == Kind.SETS && decision.otherwise().isEmpty()) {
                throw new Refused("where no arm takes it, what was there before stays");
            }
            if (outcome.kind() == Kind.SETS && moved.stream().anyMatch(each -> !each.endsBySetting(outcome.stored()))) {
                throw new Refused("an arm does more with what it creates");
            }
            if (decision.otherwise().isEmpty() && !(decision.outermost() && decision.rest().isEmpty())) {
                throw new Refused("where no arm takes it, the function goes on");
            }
            if (module.path(function.node().start()).stream().filter(each -> each.is("function_definition")).count() > 1) {
                throw new Refused(function.name() + "() stands in another function");
            }
            this.inClass = function.isOfInstance();
            this.captured = captured(moved);
            String product = choosing.common().isEmpty() ? function.name() : Symbol.of(choosing.common()).simpleType();
            String word = "create_" + Words.snake(product).replaceFirst("^_+", "");
            this.name = draft.freeName("creator", module.text(), "_" + word, "_" + word + "_for_" + function.name().replaceFirst("^_+", ""));
        }

        private List<String> captured(List<Body> moved) {
            Set<String> read = new LinkedHashSet<>();
            moved.forEach(each -> read.addAll(each.names().read()));
            decision.arms().forEach(each -> read.addAll(Names.of(module, List.of(each.test())).read()));
            decision.arms().forEach(each -> each.of().ifPresent(value -> read.addAll(Names.of(module, List.of(value)).read())));
            return Outcome.captured(decision, read);
        }

        void write() {
            script.stage("Add " + name + "(), which decides what to create", List.of(module.place(decision.chain().get(0), "the decision")));
            Cst beside = module.around(inClass ? function.node() : function.home().orElse(function.node()));
            String indent = module.indentAt(beside.start());
            String line = module.newLine();
            String text = indent + "def " + name + "(" + String.join(", ", captured.stream().map(each -> function.annotated(each, module)).toList()) + "):" + line + body(indent + module.indent());
            if (inClass) {
                script.insert(module.file(), beside.end(), line + line + text);
            } else {
                int at = module.lineStart(beside.start());
                script.replace(module.file(), at, at + 1, text + line + line + line + module.text().charAt(at));
            }
            script.stage("Let " + function.name() + "() ask it", List.of(module.place(decision.chain().get(0), "asks")));
            List<String> handed = inClass ? captured.subList(1, captured.size()) : captured;
            String call = (inClass ? captured.get(0) + "." : "") + name + "(" + String.join(", ", handed) + ")";
            int to = decision.isOtherwiseBehind() ? decision.otherwise().orElseThrow().to() : decision.to();
            script.replace(module.file(), decision.from(), to, decision.indent() + (outcome.kind() == Kind.SETS ? outcome.stored() + " " : "return ") + call + line);
        }

        /** The decision, its arms giving back what they stored. */
        private String body(String indent) {
            List<Cst> statements = new ArrayList<>(decision.chain());
            if (decision.isOtherwiseBehind()) {
                statements.addAll(decision.otherwise().orElseThrow().statements());
            }
            Body whole = Body.of(module, statements);
            List<Edit> edits = new ArrayList<>();
            if (outcome.kind() == Kind.SETS) {
                decision.arms().forEach(each -> edit(each.body(), edits));
                decision.otherwise().ifPresent(each -> edit(each, edits));
            }
            return whole.edited(edits).moved(indent);
        }

        private void edit(Body body, List<Edit> edits) {
            Cst last = body.statements().get(body.statements().size() - 1);
            Outcome.assigned(module, last, outcome.stored()).ifPresent(value -> edits.add(new Edit(last.start(), value.start(), "return ")));
        }
    }
}
