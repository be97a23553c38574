package driftwood.refactor.python.recipe;

import driftwood.pattern.Handlers;
import driftwood.pattern.Words;
import driftwood.program.ValueType;
import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.python.ground.Body;
import driftwood.refactor.python.ground.Decision;
import driftwood.refactor.python.ground.Draft;
import driftwood.refactor.python.ground.Function;
import driftwood.refactor.python.ground.Labels;
import driftwood.refactor.python.ground.Module;
import driftwood.refactor.python.ground.Outcome;
import driftwood.refactor.python.ground.Outcome.Kind;
import driftwood.refactor.python.ground.PythonRecipe;
import driftwood.smell.Chain;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Detail.Choosing;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** registry, and strategy on tags: a dictionary from key to function; unknown keys are answered where they were. */
final class FunctionsByKey implements PythonRecipe {
    private final String pattern;

    /** @param pattern which of the two */
    FunctionsByKey(String pattern) {
        this.pattern = pattern;
    }

    @Override
    public String pattern() {
        return pattern;
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Branching branching && !(pattern.equals("strategy") && branching.onTypes()) || finding.detail() instanceof Choosing;
    }

    @Override
    public void write(Draft draft) {
        if (pattern.equals("strategy") && draft.finding().detail() instanceof Branching branching && !branching.siblings().isEmpty()) {
            throw new Refused("the same is asked in " + branching.siblings().size() + (branching.siblings().size() == 1 ? " other place" : " other places")
                    + ": an object for each tag would have to answer all of it, which this cannot write yet; a table of functions for this one place is what registry makes");
        }
        new Tabling(draft, draft.finding().detail() instanceof Branching branching ? branching.chain() : ((Choosing) draft.finding().detail()).chain()).write();
    }

    private static final class Tabling {
        private final Draft draft;
        private final Script script;
        private final Module module;
        private final Decision decision;
        private final Function function;
        private final Labels labels;
        private final Outcome outcome;
        private final String table;
        private final List<String> names;
        /** The classes that the table holds instead of functions; empty where the arms are more than creations alike. */
        private final Optional<ClassesByKey> classes;
        /** Handlers are methods of the class around; else functions of the module. */
        private final boolean inClass;
        /** The table of a class stands behind it. */
        private final boolean apart;

        Tabling(Draft draft, Chain chain) {
            this.draft = draft;
            this.script = draft.script();
            this.module = draft.module();
            this.decision = Decision.of(module, chain);
            this.function = decision.function();
            this.labels = Labels.equal(decision);
            refuseRepeated();
            refuseUnhashable(chain);
            this.outcome = Outcome.of(decision, decision.arms().stream().map(Decision.Arm::body).toList());
            this.classes = function.home().filter(each -> !module.indentAt(module.around(each).start()).isEmpty()).isPresent() ? Optional.empty()
                    : ClassesByKey.of(decision, outcome, function.home().orElse(function.node()).start());
            this.inClass = function.isOfInstance() && classes.isEmpty();
            if (function.home().isEmpty() && module.path(function.node().start()).stream().filter(each -> each.is("function_definition")).count() > 1) {
                throw new Refused(function.name() + "() stands in another function");
            }
            this.apart = inClass && isParticular(chain);
            if (apart && !module.indentAt(module.around(function.home().get()).start()).isEmpty()) {
                throw new Refused("the class around stands in another class or function");
            }
            int beside = apart ? function.home().get().end() : function.home().orElse(function.node()).start();
            labels.byArm().stream().flatMap(List::stream).filter(each -> !each.is("string") && !each.is("integer")).map(each -> module.text(each).replaceFirst("\\..*", ""))
                    .filter(each -> !module.isKnownBefore(each, beside)).findFirst().ifPresent(each -> {
                        throw new Refused("the key " + each + " is not known yet where the table would stand");
                    });
            this.table = draft.freeName("registry", module.text(), Handlers.table(chain), Words.constant(function.name()) + "_BY_" + Words.constant(chain.subject().word()));
            this.names = classes.map(ClassesByKey::classes).orElseGet(() -> names(chain));
        }

        private void refuseRepeated() {
            Set<String> known = new LinkedHashSet<>();
            labels.byArm().forEach(each -> each.forEach(label -> {
                if (!known.add(module.text(label))) {
                    throw new Refused("two arms are for " + module.text(label));
                }
            }));
            Set<String> own = function.locals();
            labels.byArm().stream().flatMap(List::stream).forEach(label -> {
                if (own.contains(module.text(label).replaceFirst("\\..*", ""))) {
                    throw new Refused("the key " + module.text(label) + " is known in " + function.name() + "() only");
                }
            });
        }

        /** A list or dictionary is equal to no key, but cannot even be looked up. */
        private void refuseUnhashable(Chain chain) {
            Optional<ValueType> type = draft.program().typeOf(chain.subject().trail(), chain.within());
            if (type.filter(each -> Set.of("list", "dict", "set", "List", "Dict", "Set", "Any", "object").contains(each.ref().simpleName())).isPresent()) {
                throw new Refused(chain.subject().text() + " may be a value that cannot be a key (" + type.get().ref().text() + ")");
            }
        }

        /** Whether what stands in the class may be taken for more than it is: for a member of an enumeration, or for a field by a library's own rules. */
        private boolean isParticular(Chain chain) {
            return draft.program().type(chain.within()).filter(type -> draft.program().hasForeignParent(type)).isPresent()
                    || function.home().get().part("superclasses").map(module::text).orElse("").matches("(?s).*(Enum|Flag)\\b.*");
        }

        private List<String> names(Chain chain) {
            List<String> all = new ArrayList<>();
            for (List<Cst> each : labels.byArm()) {
                String name = Handlers.function(chain, each.stream().map(module::text).map(text -> text.startsWith("'") || text.startsWith("\"") ? text : text.replaceFirst("^.*\\.", "")).toList());
                if (all.contains(name) || module.text().matches("(?s).*\\b" + name + "\\b.*")) {
                    name = name + "_" + (all.size() + 1);
                }
                all.add(name);
            }
            return all;
        }

        void write() {
            script.stage(classes.isPresent() ? "Put the classes that " + function.name() + "() makes objects of into the table " + table
                    : "Give each arm of " + function.name() + "() a function of its own, and put them into the table " + table,
                    decision.arms().stream().map(each -> module.place(each.test(), "an entry of the table")).toList());
            Cst beside = module.around(inClass ? function.node() : function.home().orElse(function.node()));
            String added = added(module.indentAt(beside.start()));
            if (inClass) {
                int end = module.lineEnd(beside.end() - 1);
                if (apart) {
                    Cst home = module.around(function.home().orElseThrow());
                    script.insert(module.file(), module.lineEnd(home.end() - 1), module.newLine() + module.newLine() + table("", module.text(function.home().get().part("name").orElseThrow()) + "."), "7");
                }
                script.insert(module.file(), end, (module.text().charAt(end - 1) == '\n' ? "" : module.newLine()) + module.newLine() + added);
            } else {
                script.insert(module.file(), above(beside), added + module.newLine() + module.newLine());
            }
            script.stage("Let " + function.name() + "() look the " + (classes.isPresent() ? "class" : "function") + " up", List.of(module.place(decision.chain().get(0), "the decision")));
            script.replace(module.file(), decision.from(), decision.to(), lookUp());
        }

        /** Before the comments that stand right above. */
        private int above(Cst node) {
            int at = module.lineStart(node.start());
            while (at > 0 && module.text().startsWith("#", module.lineStart(at - 1))) {
                at = module.lineStart(at - 1);
            }
            return at;
        }

        private String added(String indent) {
            StringBuilder text = new StringBuilder();
            String line = module.newLine();
            String inner = indent + module.indent();
            String gap = inClass ? line : line + line;
            for (int i = 0; i < names.size() && classes.isEmpty(); i++) {
                text.append(indent).append("def ").append(names.get(i)).append('(').append(String.join(", ", outcome.captured().stream().map(each -> function.annotated(each, module)).toList())).append(')').append(returns()).append(':').append(line)
                        .append(body(decision.arms().get(i).body(), inner)).append(line).append(gap);
            }
            return apart ? text.toString().stripTrailing() + line : text.append(table(indent, "")).toString();
        }

        private String returns() {
            String said = function.returns(module);
            return outcome.kind() == Kind.RETURNS ? said : outcome.kind() == Kind.ACTS && !said.isEmpty() ? " -> None" : "";
        }

        private String table(String indent, String owner) {
            String line = module.newLine();
            StringBuilder text = new StringBuilder(indent).append(table).append(" = {").append(line);
            for (int i = 0; i < names.size(); i++) {
                for (Cst label : labels.byArm().get(i)) {
                    text.append(indent).append(module.indent()).append(module.text(label)).append(": ").append(owner).append(names.get(i)).append(',').append(line);
                }
            }
            return text.append(indent).append('}').append(line).toString();
        }

        private String body(Body body, String indent) {
            return outcome.kind() == Kind.SETS ? body.returning(indent, outcome.stored()) : body.moved(indent);
        }

        private String lookUp() {
            String line = module.newLine();
            String indent = decision.indent();
            String inner = indent + module.indent();
            String holder = holder();
            String found = inClass && !apart ? function.parameters().get(0).name() + "." + table : table;
            StringBuilder text = new StringBuilder(indent).append(holder).append(" = ").append(found).append(".get(").append(module.text(labels.subject())).append(')').append(line);
            String call = holder + classes.map(ClassesByKey::arguments).orElseGet(() -> "(" + String.join(", ", outcome.captured()) + ")");
            String done = switch (outcome.kind()) {
                case RETURNS -> "return " + call;
                case SETS -> outcome.stored() + " " + call;
                case ACTS -> call;
            };
            text.append(indent).append("if ").append(holder).append(" is not None:").append(line).append(inner).append(done).append(line);
            if (decision.otherwise().isPresent() && !decision.isOtherwiseBehind()) {
                boolean leaves = outcome.kind() == Kind.RETURNS;
                text.append(leaves ? "" : indent + "else:" + line).append(decision.otherwise().get().moved(leaves ? indent : inner)).append(line);
            } else if (decision.isOtherwiseBehind() && outcome.kind() == Kind.ACTS) {
                text.append(inner).append("return").append(line);
            }
            return text.toString();
        }

        private String holder() {
            Set<String> taken = function.locals();
            return (table.endsWith("MAKERS") ? List.of("maker", "make") : List.of("handler", "handle", "found_handler")).stream().filter(each -> !taken.contains(each)).findFirst().orElse("_handler");
        }
    }
}
