package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Constructors.Filled;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Purity;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Detail.Ladder;
import driftwood.smell.Finding;
import driftwood.smell.RoutineFacts.Parameters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;

/** builder: required parts first, optional ones by name with the defaults of the ladder, and a last step that builds. */
public final class BuilderForLadder implements Recipe {

    @Override
    public String pattern() {
        return "builder";
    }

    @Override
    public List<String> forms() {
        return List.of(BuilderPlace.STATIC_ENTRY, BuilderPlace.NESTED, BuilderPlace.SEPARATE);
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
        /** So many required parts of a ladder may stand in a row, as they do today. */
        private static final int MOST_OF_LADDER = 5;
        /** So many of a long list: its parts are to be told by name. */
        private static final int MOST_OF_LIST = 3;
        private final Drafting drafting;
        private final Workspace workspace;
        private final Script script;
        private final TypeElement type;
        private final TreePath home;
        private final List<ExecutableElement> ladder;
        private final ExecutableElement longest;
        private final List<Call> calls;
        private final List<String> defaults = new ArrayList<>();
        /** Positions of required parts that are told by name. */
        private final Set<Integer> told = new TreeSet<>();
        private final ChainedCalls chained;
        private final BuilderPlace place;

        Building(Drafting drafting, TypeElement type, List<ExecutableElement> ladder) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.script = drafting.script();
            this.type = type;
            this.home = workspace.path(type).orElseThrow();
            this.longest = ladder.stream().reduce((a, b) -> b.getParameters().size() >= a.getParameters().size() ? b : a).orElseThrow();
            this.ladder = ladder;
            this.chained = new ChainedCalls(drafting, ladder, longest);
            refuse();
            this.place = new BuilderPlace(drafting, type);
            this.calls = new Calls(workspace).of(new LinkedHashSet<>(ladder)).stream().filter(each -> !isWithinLadder(each)).toList();
            decideDefaults();
        }

        private void refuse() {
            if (longest.getKind() != ElementKind.CONSTRUCTOR) {
                throw new Refused(longest.getSimpleName() + "() is a routine: a builder would have to hold its arguments until it is called; a parameter object is simpler");
            }
            BuilderCode.refuse(type, ladder);
        }

        private boolean isWithinLadder(Call call) {
            return call.isChained() && ladder.stream().anyMatch(each -> Uses.isWithin(call.path(), workspace.path(each).orElseThrow()));
        }

        /** Who says a part once and means two of them would have to say both. */
        private static void refuseTwice(ExecutableElement constructor, List<Filled> filled) {
            Set<Integer> said = new HashSet<>();
            filled.stream().flatMap(each -> each.parameter().stream()).filter(each -> !said.add(each)).findFirst().ifPresent(each -> {
                throw new Refused(Constructors.told(constructor) + " hands " + constructor.getParameters().get(each).getSimpleName() + " on as two parts: with a builder, callers would have to say both");
            });
        }

        private static void refuseActing(String value, VariableElement of) {
            throw new Refused("the default of " + of.getSimpleName() + ", " + value + ", does something: a builder would do it even where a value is given");
        }

        /** For each parameter of the longest the value that it has where nobody gives one; null for a required part. */
        private void decideDefaults() {
            Constructors constructors = new Constructors(workspace, longest);
            List<List<Filled>> filled = ladder.stream().map(constructors::of).toList();
            for (int one = 0; one < filled.size(); one++) {
                refuseTwice(ladder.get(one), filled.get(one));
            }
            List<String> optional = drafting.finding().detail() instanceof Ladder fact ? fact.optional() : List.of();
            for (int i = 0; i < longest.getParameters().size(); i++) {
                int at = i;
                for (int one = 0; one < filled.size(); one++) {
                    filled.get(one).get(at).refuseDependent(ladder.get(one));
                }
                filled.stream().map(each -> each.get(at)).filter(Filled::acts).findFirst().ifPresent(each -> refuseActing(each.value(), longest.getParameters().get(at)));
                Optional<String> given = filled.stream().map(each -> each.get(at)).filter(each -> each.parameter().isEmpty()).map(Filled::value).findFirst();
                boolean left = optional.contains(longest.getParameters().get(i).getSimpleName().toString()) || ladder.size() == 1 && optional.isEmpty();
                defaults.add(given.or(() -> left && ladder.size() == 1 ? filler(at) : nothing(at)).orElse(null));
            }
            long required = defaults.stream().filter(each -> each == null).count();
            for (int i = 0; required > (drafting.finding().detail() instanceof Ladder ? MOST_OF_LADDER : MOST_OF_LIST) && i < defaults.size(); i++) {
                if (defaults.get(i) == null) {
                    told.add(i);
                }
            }
        }

        /** Nothing, where somebody hands over nothing: that part need not be said. */
        private Optional<String> nothing(int at) {
            return calls.stream().filter(this::isPlain).anyMatch(each -> chained.values(each).get(at).equals("null")) ? Optional.of("null") : Optional.empty();
        }

        /** What callers write only because they must write something. */
        private Optional<String> filler(int at) {
            return calls.stream().map(each -> each.arguments().get(at)).filter(each -> each.getLeaf() instanceof LiteralTree literal
                    && (literal.getKind() == Tree.Kind.NULL_LITERAL || Boolean.FALSE.equals(literal.getValue()) || "".equals(literal.getValue())
                    || Integer.valueOf(0).equals(literal.getValue()))).map(workspace::text).findFirst()
                    .or(() -> isLeftOut(at) ? Optional.of("null") : Optional.empty());
        }

        /** Whether the constructor itself can do without it. */
        private boolean isLeftOut(int at) {
            VariableElement part = longest.getParameters().get(at);
            return drafting.finding().detail() instanceof Ladder fact && fact.optional().contains(part.getSimpleName().toString())
                    && !part.asType().getKind().isPrimitive();
        }

        void write() {
            script.stage("Add " + place.told() + ", with what the constructors fill in as defaults", List.of(workspace.place(home, "its builder")));
            String open = ladder.stream().map(Drafting::visibility).filter(each -> !each.equals("private ")).max(Comparator.comparing(List.of("", "protected ", "public ")::indexOf)).orElse("");
            BuilderCode code = new BuilderCode(drafting, longest, new BuilderCode.Parts(defaults, told), place);
            boolean record = type.getKind() == ElementKind.RECORD;
            boolean stays = record || chained.silent().isPresent() || calls.stream().anyMatch(each -> !isPlain(each));
            if (!record) {
                drafting.declarations().add(home, code.constructor(stays), Where.CONSTRUCTORS);
                tellNothingApart();
            }
            code.add(open);
            script.stage("Let all who create a " + type.getSimpleName() + " say its parts by name", calls.stream().filter(this::isPlain).map(each -> workspace.place(each.path(), "uses the builder")).toList());
            for (Call each : calls) {
                drafting.callSite(each.path());
                if (isPlain(each)) {
                    redirect(each);
                } else {
                    chained.fill(each);
                }
            }
            Optional<ExecutableElement> silent = chained.keptSilently();
            List<ExecutableElement> going = new ArrayList<>(ladder);
            silent.ifPresent(going::remove);
            if (stays) {
                going.remove(longest);
            }
            script.stage("Remove the constructors that nobody calls any more" + silent.map(each -> "; " + Constructors.told(each) + " stays for its subclasses").orElse(""), going.stream().map(each -> workspace.place(workspace.path(each).orElseThrow(), "goes")).toList());
            going.forEach(each -> {
                drafting.changes(each);
                drafting.declarations().remove(workspace.path(each).orElseThrow());
            });
        }

        /** Beside a constructor that takes a builder, a bare null no longer says which one it means. */
        private void tellNothingApart() {
            for (ExecutableElement each : ElementFilter.constructorsIn(type.getEnclosedElements())) {
                if (each.getParameters().size() == 1 && !each.getParameters().get(0).asType().getKind().isPrimitive() && !each.isVarArgs()) {
                    for (Call call : new Calls(workspace).of(Set.of(each))) {
                        TreePath argument = call.arguments().get(0);
                        if (argument.getLeaf().getKind() == Tree.Kind.NULL_LITERAL) {
                            Unit site = workspace.unit(call.path());
                            script.insert(site.file(), workspace.from(argument), "(" + drafting.imports().name(each.getParameters().get(0).asType(), site) + ") ");
                        }
                    }
                }
            }
        }

        /** Creations without a body of their own; chained calls of subclasses keep the longest constructor. */
        private boolean isPlain(Call call) {
            return call.path().getLeaf() instanceof NewClassTree creation && creation.getClassBody() == null;
        }

        private void redirect(Call call) {
            Purity.refuseReordered(workspace, call.arguments(), order(call));
            List<String> values = chained.values(call);
            List<String> steps = new ArrayList<>();
            List<String> first = new ArrayList<>();
            for (int i = 0; i < values.size(); i++) {
                if (isFirst(i)) {
                    first.add(values.get(i));
                } else if (!values.get(i).equals(defaults.get(i))) {
                    steps.add("." + longest.getParameters().get(i).getSimpleName() + "(" + values.get(i) + ")");
                }
            }
            steps.add(".build()");
            Unit site = workspace.unit(call.path());
            int from = workspace.from(call.path());
            script.replace(site.file(), from, workspace.to(call.path()), site.chain(from, place.begin(call.path(), workspace.text(call.name()), String.join(", ", first)), steps));
        }

        private boolean isFirst(int at) {
            return defaults.get(at) == null && !told.contains(at);
        }

        /** The arguments of a call in the order in which the builder takes them. */
        private List<TreePath> order(Call call) {
            ExecutableElement called = chained.called(call);
            List<Filled> filled = new Constructors(workspace, longest).of(called);
            List<TreePath> order = new ArrayList<>();
            for (boolean needed : new boolean[] {true, false}) {
                for (int i = 0; i < filled.size(); i++) {
                    if (isFirst(i) == needed && filled.get(i).parameter().isPresent()) {
                        order.add(call.arguments().get(filled.get(i).parameter().get()));
                    }
                }
            }
            return order;
        }
    }
}
