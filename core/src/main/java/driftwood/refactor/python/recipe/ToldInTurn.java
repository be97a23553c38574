package driftwood.refactor.python.recipe;

import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.python.ground.Classes;
import driftwood.refactor.python.ground.Draft;
import driftwood.refactor.python.ground.Function;
import driftwood.refactor.python.ground.Module;
import driftwood.refactor.python.ground.Names;
import driftwood.refactor.python.ground.PythonRecipe;
import driftwood.smell.Finding;
import driftwood.smell.RoutineFacts.Telling;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** observer: those who are told stand in a list of functions, in the order in which they were told. */
final class ToldInTurn implements PythonRecipe {
    private static final int FEWEST = 2;

    @Override
    public String pattern() {
        return "observer";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Telling;
    }

    @Override
    public void write(Draft draft) {
        RoutineOutline routine = draft.routine(((Telling) draft.finding().detail()).routine());
        Function function = draft.modules().function(routine);
        if (!function.isOfInstance()) {
            throw new Refused(function.name() + "() belongs to no object that could keep a list");
        }
        new Listing(draft, draft.program().type(routine.owner()).orElseThrow(), function).write();
    }

    private static final class Listing {
        private final Draft draft;
        private final Script script;
        private final TypeOutline owner;
        private final Function function;
        private final Module module;
        private final String self;
        private final List<Cst> told;

        Listing(Draft draft, TypeOutline owner, Function function) {
            this.draft = draft;
            this.script = draft.script();
            this.owner = owner;
            this.function = function;
            this.module = function.module();
            this.self = function.parameters().get(0).name();
            this.told = told();
        }

        /** Whether two calls hand on the very same, or what they make of one and the same name alone. */
        private boolean ofTheSame(Cst one, Cst other) {
            Set<String> names = names(one);
            return arguments(one).equals(arguments(other)) || names.size() == 1 && names.equals(names(other));
        }

        /** The names of the function that the arguments of a call are made of. */
        private Set<String> names(Cst statement) {
            Set<String> names = new TreeSet<>(Names.of(module, statement.inner().get(0).part("arguments").stream().toList()).read());
            names.retainAll(function.locals());
            return names;
        }

        /** What all of them are told; empty where they are handed the very same. */
        private Optional<String> event() {
            return told.stream().map(this::arguments).distinct().count() == 1 ? Optional.empty() : names(told.get(0)).stream().findFirst();
        }

        /** How one of them stands in the list. @param self of the constructor */
        private String listed(Cst statement, String self) {
            Cst call = statement.inner().get(0);
            String method = module.text(call.part("function").orElseThrow()).replaceFirst("^" + this.self + "\\.", self + ".");
            Optional<String> event = event().filter(each -> !arguments(statement).equals("(" + each + ")"));
            if (event.isPresent() && (names(statement).contains(this.self) || module.text(call).contains("\n"))) {
                throw new Refused("what " + holder(statement) + " is told is made of more than " + event.get() + ": " + arguments(statement));
            }
            return event.map(each -> "lambda " + each + ": ").orElse("") + method + (event.isPresent() ? module.text(call.part("arguments").orElseThrow()) : "");
        }

        /** The longest run of calls that hand the same to fields of the object. */
        private List<Cst> told() {
            List<Cst> best = new ArrayList<>();
            List<Cst> run = new ArrayList<>();
            for (Cst block : Module.all(function.body(), "block")) {
                run.clear();
                for (Cst each : block.inner()) {
                    if (!isTelling(each) || !run.isEmpty() && !ofTheSame(run.get(0), each)) {
                        run.clear();
                    }
                    if (isTelling(each)) {
                        run.add(each);
                    }
                    best = run.size() > best.size() ? List.copyOf(run) : best;
                }
            }
            Set<String> wanted = new TreeSet<>(((Telling) draft.finding().detail()).collaborators());
            Set<String> found = new TreeSet<>(best.stream().map(this::holder).toList());
            if (best.size() < FEWEST || !found.containsAll(wanted)) {
                throw new Refused("they are not told one right after the other of the very same");
            }
            return best.stream().filter(each -> wanted.contains(holder(each))).toList();
        }

        private boolean isTelling(Cst statement) {
            if (!statement.is("expression_statement") || statement.inner().size() != 1 || !statement.inner().get(0).is("call")) {
                return false;
            }
            Cst called = statement.inner().get(0).part("function").orElseThrow();
            return called.is("attribute") && module.text(called.inner().get(0)).matches(self + "\\.\\w+") && !arguments(statement).contains("*");
        }

        private String holder(Cst statement) {
            return module.text(statement.inner().get(0).part("function").orElseThrow().inner().get(0));
        }

        private String arguments(Cst statement) {
            return statement.inner().get(0).part("arguments").map(module::text).orElse("").replaceAll("\\s+", " ");
        }

        /** What is said between the calls stands before the loop. */
        private String comments(String indent) {
            StringBuilder text = new StringBuilder();
            for (int i = 1; i < told.size(); i++) {
                for (String each : module.text().substring(told.get(i - 1).end(), told.get(i).start()).lines().toList()) {
                    text.append(each.isBlank() ? "" : each.strip() + module.newLine() + indent);
                }
            }
            return text.toString();
        }

        /** The constructor, in which all of them are set and nowhere else. @throws Refused where they change later */
        private Function constructor() {
            RoutineOutline made = owner.constructors().stream().findFirst().orElseThrow(() -> new Refused(owner.simpleName() + " has no constructor that could fill a list"));
            Function constructor = draft.modules().function(made);
            for (Cst each : told) {
                String field = holder(each).substring(self.length() + 1);
                long here = constructor.body().inner().stream().filter(statement -> module.text(statement).matches("(?s)\\w+\\." + field + "\\s*(:[^=]*)?=[^=].*")).count();
                long all = draft.modules().with(field).stream().flatMap(file -> Module.all(file.root(), "assignment").stream()
                        .filter(one -> one.part("left").map(file::text).orElse("").endsWith("." + field) && one.part("right").isPresent())).count();
                if (here != 1 || all != 1) {
                    throw new Refused(holder(each) + " is not set once and for all in the constructor");
                }
            }
            if (!Module.all(constructor.body(), "return_statement").isEmpty()) {
                throw new Refused("the constructor of " + owner.simpleName() + " is left in the middle");
            }
            return constructor;
        }

        void write() {
            Function constructor = constructor();
            String list = draft.name("listeners", "_" + function.name().replaceFirst("^_+", "") + "_listeners");
            if (new Classes(draft).isTaken(list, owner)) {
                throw new Refused(owner.simpleName() + " has a " + list + " already; give it another name with --name listeners=NAME");
            }
            List<Cst> statements = constructor.body().inner();
            Cst last = statements.get(statements.size() - 1);
            String line = module.newLine();
            String indent = module.indentAt(last.start());
            String inner = indent + module.indent();
            script.stage("Keep those whom " + function.name() + "() tells in a list, in the order in which they are told", told.stream().map(each -> module.place(each, "is told")).toList());
            StringBuilder text = new StringBuilder(line).append(indent).append(constructor.parameters().get(0).name()).append('.').append(list).append(" = [").append(line);
            told.forEach(each -> text.append(inner).append(listed(each, constructor.parameters().get(0).name())).append(',').append(line));
            script.insert(module.file(), last.end(), text.append(indent).append(']').toString());
            script.stage("Let " + function.name() + "() go through the list", List.of(module.place(told.get(0), "the list")));
            String word = function.locals().contains("tell") ? "tell_next" : "tell";
            String outer = module.indentAt(told.get(0).start());
            script.replace(module.file(), told.get(0).start(), told.get(told.size() - 1).end(), comments(outer) + "for " + word + " in " + self + "." + list + ":" + line
                    + outer + module.indent() + word + event().map(each -> "(" + each + ")").orElseGet(() -> module.text(told.get(0).inner().get(0).part("arguments").orElseThrow())));
        }
    }
}
