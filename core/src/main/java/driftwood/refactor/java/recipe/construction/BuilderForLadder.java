package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Constructors.Filled;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Purity;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Rewriting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Detail.Ladder;
import driftwood.smell.Finding;
import driftwood.smell.RoutineFacts.Parameters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BinaryOperator;
import java.util.stream.Collectors;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;

/** builder: required parts first, optional ones by name with the defaults of the ladder, and a last step that builds. */
public final class BuilderForLadder implements Recipe {

    @Override
    public String pattern() {
        return "builder";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Ladder || finding.detail() instanceof Parameters;
    }

    @Override
    public Set<String> words(Finding finding) {
        return Set.of(Symbol.of(finding.symbol()).simpleType());
    }

    @Override
    public void write(Drafting drafting) {
        Workspace workspace = drafting.workspace();
        TypeElement type = workspace.type(Symbol.of(drafting.finding().symbol()).type());
        List<ExecutableElement> ladder = drafting.finding().detail() instanceof Ladder fact
                ? fact.ladder().stream().map(each -> workspace.routine(each.symbol())).toList()
                : List.of(workspace.routine(((Parameters) drafting.finding().detail()).routine()));
        new Building(drafting, type, ladder).write();
    }

    private static final class Building {
        private static final int MOST_REQUIRED = 5;
        /** What a field is without a word. */
        private static final Set<String> USUAL = Set.of("null", "0", "false");
        private final Drafting drafting;
        private final Workspace workspace;
        private final Script script;
        private final TypeElement type;
        private final TreePath home;
        private final Unit unit;
        private final List<ExecutableElement> ladder;
        private final ExecutableElement longest;
        private final List<Call> calls;
        private final List<String> defaults = new ArrayList<>();
        private final ChainedCalls chained;
        private final String builder;
        private final String entry;

        Building(Drafting drafting, TypeElement type, List<ExecutableElement> ladder) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.script = drafting.script();
            this.type = type;
            this.home = workspace.path(type).orElseThrow();
            this.unit = workspace.unit(home);
            this.longest = ladder.stream().reduce((a, b) -> b.getParameters().size() >= a.getParameters().size() ? b : a).orElseThrow();
            this.ladder = ladder;
            this.chained = new ChainedCalls(drafting, ladder, longest);
            refuse();
            this.builder = drafting.name("builder", "Builder");
            this.entry = drafting.name("entry", "builder");
            if (type.getEnclosedElements().stream().anyMatch(each -> each.getSimpleName().contentEquals(builder) || each.getSimpleName().contentEquals(entry))) {
                throw new Refused(type.getSimpleName() + " has a " + builder + " or " + entry + "() already");
            }
            this.calls = new Calls(workspace).of(new LinkedHashSet<>(ladder)).stream().filter(each -> !isWithinLadder(each)).toList();
            decideDefaults();
        }

        private void refuse() {
            if (longest.getKind() != ElementKind.CONSTRUCTOR) {
                throw new Refused(longest.getSimpleName() + "() is a routine: a builder would have to hold its arguments until it is called; a parameter object is simpler");
            }
            if (type.getKind() == ElementKind.ENUM || type.getModifiers().contains(Modifier.ABSTRACT)) {
                throw new Refused(type.getSimpleName() + (type.getKind() == ElementKind.ENUM ? " is an enum" : " is abstract") + ": nobody creates one by itself");
            }
            if (type.getEnclosingElement().getKind().isClass() && !type.getModifiers().contains(Modifier.STATIC) && type.getKind() != ElementKind.RECORD) {
                throw new Refused(type.getSimpleName() + " is an inner class: each belongs to an object of " + type.getEnclosingElement().getSimpleName());
            }
            if (!type.getTypeParameters().isEmpty()) {
                throw new Refused(type.getSimpleName() + " has type parameters, which a chain of steps would lose");
            }
            for (ExecutableElement each : ladder) {
                if (each.isVarArgs()) {
                    throw new Refused(Constructors.told(each) + " takes any number of arguments");
                }
                Constructors.refuseAnnotated(each);
            }
        }

        private boolean isWithinLadder(Call call) {
            return call.isChained() && ladder.stream().anyMatch(each -> Uses.isWithin(call.path(), workspace.path(each).orElseThrow()));
        }

        private static void refuseActing(String value, VariableElement of) {
            throw new Refused("the default of " + of.getSimpleName() + ", " + value + ", does something: a builder would do it even where a value is given");
        }

        /** For each parameter of the longest the value that it has where nobody gives one; null for a required part. */
        private void decideDefaults() {
            Constructors constructors = new Constructors(workspace, longest);
            List<List<Filled>> filled = ladder.stream().map(constructors::of).toList();
            List<String> optional = drafting.finding().detail() instanceof Ladder fact ? fact.optional() : List.of();
            for (int i = 0; i < longest.getParameters().size(); i++) {
                int at = i;
                filled.stream().map(each -> each.get(at)).filter(Filled::acts).findFirst().ifPresent(each -> refuseActing(each.value(), longest.getParameters().get(at)));
                Optional<String> given = filled.stream().map(each -> each.get(at)).filter(each -> each.parameter().isEmpty()).map(Filled::value).findFirst();
                boolean left = optional.contains(longest.getParameters().get(i).getSimpleName().toString()) || ladder.size() == 1 && optional.isEmpty();
                defaults.add(given.or(() -> left && ladder.size() == 1 ? filler(at) : Optional.empty()).orElse(null));
            }
            long required = defaults.stream().filter(each -> each == null).count();
            if (required == defaults.size() || required > MOST_REQUIRED) {
                throw new Refused(required + " parts are required: they would be a long list again; a parameter object gathers them");
            }
        }

        /** What callers write only because they must write something. */
        private Optional<String> filler(int at) {
            return calls.stream().map(each -> each.arguments().get(at)).filter(each -> each.getLeaf() instanceof LiteralTree literal
                    && (literal.getKind() == Tree.Kind.NULL_LITERAL || Boolean.FALSE.equals(literal.getValue()) || "".equals(literal.getValue())
                    || Integer.valueOf(0).equals(literal.getValue()))).map(workspace::text).findFirst();
        }

        void write() {
            script.stage("Add " + type.getSimpleName() + "." + builder + ", with what the constructors fill in as defaults", List.of(workspace.place(home, "its builder")));
            String open = ladder.stream().map(Drafting::visibility).filter(each -> !each.equals("private ")).max(Comparator.comparing(List.of("", "protected ", "public ")::indexOf)).orElse("");
            drafting.declarations().add(home, constructor(), Where.CONSTRUCTORS);
            drafting.declarations().add(home, entryRoutine(open) + "\n\n" + builderClass(open), Where.END);
            script.stage("Let all who create a " + type.getSimpleName() + " say its parts by name", calls.stream().filter(this::isPlain).map(each -> workspace.place(each.path(), "uses the builder")).toList());
            boolean kept = false;
            for (Call each : calls) {
                drafting.callSite(each.path());
                if (isPlain(each)) {
                    redirect(each);
                } else {
                    chained.fill(each);
                    kept = true;
                }
            }
            List<ExecutableElement> going = new ArrayList<>(ladder);
            if (kept) {
                going.remove(longest);
            }
            script.stage("Remove the constructors that nobody calls any more", going.stream().map(each -> workspace.place(workspace.path(each).orElseThrow(), "goes")).toList());
            going.forEach(each -> {
                drafting.changes(each);
                drafting.declarations().remove(workspace.path(each).orElseThrow());
            });
        }

        /** Creations without a body of their own; chained calls of subclasses keep the longest constructor. */
        private boolean isPlain(Call call) {
            return call.path().getLeaf() instanceof NewClassTree creation && creation.getClassBody() == null;
        }

        private String typeOf(VariableElement parameter) {
            return workspace.text(new TreePath(workspace.path(parameter).orElseThrow(), ((VariableTree) workspace.path(parameter).orElseThrow().getLeaf()).getType()));
        }

        /** The longest constructor once more, for the builder. */
        private String constructor() {
            TreePath path = workspace.path(longest).orElseThrow();
            MethodTree tree = (MethodTree) path.getLeaf();
            TreePath body = new TreePath(path, tree.getBody());
            String from = longest.getParameters().stream().anyMatch(each -> each.getSimpleName().contentEquals("builder")) ? "from" : "builder";
            if (Captures.of(workspace, List.of(body)).written().stream().anyMatch(longest.getParameters()::contains)) {
                throw new Refused(Constructors.told(longest) + " gives a parameter another value");
            }
            String code = new Rewriting(workspace, each -> Optional.ofNullable(workspace.element(each)).filter(longest.getParameters()::contains)
                    .filter(element -> each.getLeaf().getKind() == Tree.Kind.IDENTIFIER).map(element -> from + "." + element.getSimpleName())).of(body);
            String thrown = tree.getThrows().isEmpty() ? "" : " throws " + tree.getThrows().stream().map(Object::toString).collect(Collectors.joining(", "));
            return "private " + type.getSimpleName() + "(" + builder + " " + from + ")" + thrown + " " + unit.bare(code, unit.indentAt(workspace.from(path)));
        }

        private String entryRoutine(String open) {
            String required = required((name, of) -> of + " " + name);
            return entryComment(required.isEmpty()) + open + "static " + builder + " " + entry + "(" + required + ") {\n    return new "
                    + builder + "(" + required((name, of) -> name) + ");\n}";
        }

        private String entryComment(boolean bare) {
            String comment = Comments.before(workspace, workspace.path(longest).orElseThrow());
            StringBuilder said = new StringBuilder();
            for (int i = 0; i < defaults.size(); i++) {
                String name = longest.getParameters().get(i).getSimpleName().toString();
                String text = Comments.ofParameter(comment, name);
                said.append(defaults.get(i) != null || text.isEmpty() ? "" : "\n * @param " + name + " " + text);
            }
            String first = "Begins " + article() + (bare ? "" : " with the parts that each must have") + ".";
            return said.isEmpty() ? "/** " + first + " */\n" : "/**\n * " + first + "\n *" + said + "\n */\n";
        }

        private String article() {
            return ("AEIOU".indexOf(type.getSimpleName().charAt(0)) >= 0 ? "an " : "a ") + type.getSimpleName();
        }

        private String required(BinaryOperator<String> written) {
            List<String> all = new ArrayList<>();
            for (int i = 0; i < defaults.size(); i++) {
                if (defaults.get(i) == null) {
                    all.add(written.apply(longest.getParameters().get(i).getSimpleName().toString(), typeOf(longest.getParameters().get(i))));
                }
            }
            return String.join(", ", all);
        }

        private String builderClass(String open) {
            String comment = Comments.before(workspace, workspace.path(longest).orElseThrow());
            StringBuilder text = new StringBuilder("/** Takes the parts of " + article() + " by name, and builds it. */\n" + open + "static final class " + builder + " {\n");
            StringBuilder steps = new StringBuilder();
            for (int i = 0; i < defaults.size(); i++) {
                String name = longest.getParameters().get(i).getSimpleName().toString();
                String of = typeOf(longest.getParameters().get(i));
                boolean needed = defaults.get(i) == null;
                text.append("    private ").append(needed ? "final " : "").append(of).append(' ').append(name).append(needed || USUAL.contains(defaults.get(i)) ? "" : " = " + defaults.get(i)).append(";\n");
                if (!needed) {
                    String said = Comments.ofParameter(comment, name);
                    steps.append(said.isEmpty() ? "" : "\n    /** @param " + name + " " + said + " */").append("\n    ").append(open).append(builder).append(' ').append(name).append('(').append(of).append(' ')
                            .append(name).append(") {\n        this.").append(name).append(" = ").append(name).append(";\n        return this;\n    }\n");
                }
            }
            text.append("\n    private ").append(builder).append('(').append(required((name, of) -> of + " " + name)).append(") {\n");
            text.append(required((name, of) -> "        this." + name + " = " + name + ";\n").replace(", ", "")).append("    }\n").append(steps);
            String thrown = drafting.imports().thrown(longest.getThrownTypes(), unit);
            return text.append("\n    ").append(open).append(type.getSimpleName()).append(" build()").append(thrown).append(" {\n        return new ").append(type.getSimpleName()).append("(this);\n    }\n}").toString();
        }

        private void redirect(Call call) {
            Purity.refuseReordered(workspace, call.arguments(), order(call));
            List<String> values = chained.values(call);
            StringBuilder steps = new StringBuilder();
            List<String> first = new ArrayList<>();
            for (int i = 0; i < values.size(); i++) {
                if (defaults.get(i) == null) {
                    first.add(values.get(i));
                } else if (!values.get(i).equals(defaults.get(i))) {
                    steps.append('.').append(longest.getParameters().get(i).getSimpleName()).append('(').append(values.get(i)).append(')');
                }
            }
            Unit site = workspace.unit(call.path());
            String name = workspace.text(call.name());
            script.replace(site.file(), workspace.from(call.path()), workspace.to(call.path()), name + "." + entry + "(" + String.join(", ", first) + ")" + steps + ".build()");
        }

        /** The arguments of a call in the order in which the builder takes them. */
        private List<TreePath> order(Call call) {
            ExecutableElement called = chained.called(call);
            List<Filled> filled = new Constructors(workspace, longest).of(called);
            List<TreePath> order = new ArrayList<>();
            for (boolean needed : new boolean[] {true, false}) {
                for (int i = 0; i < filled.size(); i++) {
                    if ((defaults.get(i) == null) == needed && filled.get(i).parameter().isPresent()) {
                        order.add(call.arguments().get(filled.get(i).parameter().get()));
                    }
                }
            }
            return order;
        }
    }
}
