package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Purity;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Finding;
import driftwood.smell.TypeFacts.Unfinished;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;

/** required-parts: what every creation site sets at once becomes a part of the constructor. */
public final class RequiredParts implements Recipe {

    @Override
    public String pattern() {
        return "required-parts";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Unfinished;
    }

    @Override
    public Set<String> words(Finding finding) {
        Unfinished fact = (Unfinished) finding.detail();
        Set<String> words = new LinkedHashSet<>(List.of(Symbol.of(fact.type()).simpleType()));
        fact.setters().forEach(each -> words.add(bare(each)));
        return words;
    }

    private static String bare(String setter) {
        return setter.replaceAll("\\(.*", "").replaceAll(".*\\.", "");
    }

    @Override
    public void write(Drafting drafting) {
        new Completing(drafting, (Unfinished) drafting.finding().detail()).write();
    }

    /** A place where an object is created and its parts are set right after. */
    private record Site(TreePath creation, List<TreePath> setting, Map<ExecutableElement, TreePath> values) {
    }

    private static final class Completing {
        private final Drafting drafting;
        private final Workspace workspace;
        private final TypeElement type;
        private final TreePath home;
        private final Unit unit;
        private final Map<ExecutableElement, Element> setters = new LinkedHashMap<>();

        Completing(Drafting drafting, Unfinished fact) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.type = workspace.type(fact.type());
            this.home = workspace.path(type).orElseThrow();
            this.unit = workspace.unit(home);
            if (type.getModifiers().contains(Modifier.ABSTRACT) || !new Calls(workspace).below(type).isEmpty()) {
                throw new Refused(type.getSimpleName() + " is abstract or has subclasses, whose constructors call its own");
            }
            for (String each : fact.setters()) {
                ExecutableElement setter = ElementFilter.methodsIn(type.getEnclosedElements()).stream().filter(one -> one.getSimpleName().contentEquals(bare(each))
                        && one.getParameters().size() == 1).findFirst().orElseThrow(() -> new Refused(bare(each) + " is no routine of " + type.getSimpleName() + " that takes one value"));
                setters.put(setter, field(setter));
            }
        }

        /** The field that a setter stores its value in; nothing else is done by it. */
        private Element field(ExecutableElement setter) {
            TreePath path = workspace.path(setter).orElseThrow();
            MethodTree tree = (MethodTree) path.getLeaf();
            if (tree.getBody() != null && tree.getBody().getStatements().size() == 1 && tree.getBody().getStatements().get(0) instanceof ExpressionStatementTree only
                    && only.getExpression() instanceof AssignmentTree set) {
                TreePath assignment = new TreePath(new TreePath(new TreePath(path, tree.getBody()), only), set);
                Element field = workspace.element(new TreePath(assignment, set.getVariable()));
                boolean plain = setter.getParameters().get(0).equals(workspace.element(new TreePath(assignment, set.getExpression())));
                if (plain && field != null && field.getKind() == ElementKind.FIELD) {
                    return field;
                }
            }
            throw new Refused(setter.getSimpleName() + "() does more than store its value");
        }

        void write() {
            List<ExecutableElement> constructors = ElementFilter.constructorsIn(type.getEnclosedElements());
            if (constructors.size() != 1) {
                throw new Refused(type.getSimpleName() + " has " + constructors.size() + " constructors");
            }
            ExecutableElement constructor = constructors.get(0);
            List<Call> creations = new Calls(workspace).of(Set.of(constructor));
            List<Site> sites = creations.stream().map(this::site).toList();
            boolean written = workspace.written(constructor).isPresent();
            MethodTree tree = written ? (MethodTree) workspace.path(constructor).orElseThrow().getLeaf() : null;
            if (tree != null && !tree.getParameters().isEmpty() && constructor.isVarArgs()) {
                throw new Refused("its constructor takes any number of arguments");
            }
            String parts = setters.entrySet().stream().map(each -> drafting.imports().name(each.getKey().getParameters().get(0).asType(), unit) + " " + each.getValue().getSimpleName()).collect(Collectors.joining(", "));
            String before = tree == null ? "" : tree.getParameters().stream().map(each -> workspace.text(new TreePath(workspace.path(constructor).orElseThrow(), each))).collect(Collectors.joining(", "));
            String handed = tree == null ? "" : tree.getParameters().stream().map(each -> each.getName().toString()).collect(Collectors.joining(", "));
            String open = written ? Drafting.visibility(constructor) : type.getModifiers().contains(Modifier.PUBLIC) ? "public " : "";
            StringBuilder code = new StringBuilder(open + type.getSimpleName() + "(" + before + (before.isEmpty() ? "" : ", ") + parts + ") {\n");
            code.append(written ? "    this(" + handed + ");\n" : "");
            setters.values().forEach(each -> code.append("    this.").append(each.getSimpleName()).append(" = ").append(each.getSimpleName()).append(";\n"));
            drafting.script().stage("Add a constructor of " + type.getSimpleName() + " that takes all that it needs", List.of(workspace.place(home, "its parts")));
            if (written) {
                drafting.declarations().add(home, code + "}", Where.CONSTRUCTORS);
            }
            drafting.script().stage((written ? "Let" : "Give " + type.getSimpleName() + " a constructor that takes all that it needs, and let") + " those who create one hand its parts over at once",
                    sites.stream().map(each -> workspace.place(each.creation(), "hands them over")).toList());
            if (!written) {
                drafting.declarations().add(home, code + "}", Where.CONSTRUCTORS);
            }
            sites.forEach(this::complete);
            finish(constructor, written, sites, handed);
        }

        /** Setters that nobody calls any more go. */
        private void finish(ExecutableElement constructor, boolean written, List<Site> sites, String handed) {
            List<ExecutableElement> going = new ArrayList<>();
            for (ExecutableElement each : setters.keySet()) {
                long calls = workspace.uses().of(each).size();
                if (calls == sites.stream().filter(site -> site.values().containsKey(each)).count() && new Calls(workspace).family(each).size() == 1) {
                    going.add(each);
                }
            }
            drafting.script().stage("Remove the setters that nobody calls any more", going.stream().map(each -> workspace.place(workspace.path(each).orElseThrow(), "goes")).toList());
            going.forEach(each -> {
                drafting.changes(each);
                drafting.declarations().remove(workspace.path(each).orElseThrow());
            });
            if (written) {
                drafting.script().stage("Close the constructor that leaves it half built", List.of(workspace.place(workspace.path(constructor).orElseThrow(), "private")));
                drafting.changes(constructor);
                Constructors.close(drafting, workspace.path(constructor).orElseThrow());
            }
        }

        private Site site(Call call) {
            TreePath declared = call.path().getParentPath();
            String where = " at " + workspace.unit(call.path()).file() + ":" + workspace.unit(call.path()).line(workspace.from(call.path()));
            if (!(declared.getLeaf() instanceof VariableTree) || !(declared.getParentPath().getLeaf() instanceof BlockTree block) || ((NewClassTree) call.path().getLeaf()).getClassBody() != null) {
                throw new Refused("it is created" + where + " without its parts being set right after");
            }
            Element local = workspace.element(declared);
            Map<ExecutableElement, TreePath> values = new LinkedHashMap<>();
            List<TreePath> setting = new ArrayList<>();
            int at = block.getStatements().indexOf(declared.getLeaf()) + 1;
            while (at < block.getStatements().size()) {
                StatementTree each = block.getStatements().get(at);
                TreePath statement = new TreePath(declared.getParentPath(), each);
                if (!(each instanceof ExpressionStatementTree evaluate) || !(evaluate.getExpression() instanceof MethodInvocationTree invoked) || invoked.getArguments().size() != 1) {
                    break;
                }
                TreePath invocation = new TreePath(statement, invoked);
                Element called = workspace.element(new TreePath(invocation, invoked.getMethodSelect()));
                TreePath value = new TreePath(invocation, invoked.getArguments().get(0));
                boolean own = workspace.uses().of(local, statement).size() == 1 && workspace.text(new TreePath(invocation, invoked.getMethodSelect())).startsWith(local.getSimpleName() + ".");
                if (!own || !(called instanceof ExecutableElement setter) || !setters.containsKey(setter) || values.containsKey(setter)) {
                    break;
                }
                values.put(setter, value);
                setting.add(statement);
                at++;
            }
            if (values.size() < setters.size()) {
                throw new Refused("not all of its parts are set right after it is created" + where);
            }
            List<TreePath> before = new ArrayList<>(values.values());
            Purity.refuseReordered(workspace, before, setters.keySet().stream().map(values::get).toList());
            return new Site(call.path(), setting, values);
        }

        private void complete(Site site) {
            drafting.callSite(site.creation());
            Unit file = workspace.unit(site.creation());
            NewClassTree creation = (NewClassTree) site.creation().getLeaf();
            String parts = setters.keySet().stream().map(each -> drafting.script().text(file.file(), workspace.from(site.values().get(each)), workspace.to(site.values().get(each)))).collect(Collectors.joining(", "));
            int end = workspace.to(site.creation()) - 1;
            drafting.script().insert(file.file(), end, (creation.getArguments().isEmpty() ? "" : ", ") + parts);
            TreePath last = site.setting().get(site.setting().size() - 1);
            int from = file.lineEnd(workspace.to(site.creation()));
            boolean alone = file.text().substring(workspace.to(site.creation()), from).strip().equals(";");
            drafting.script().replace(file.file(), alone ? from : workspace.to(site.creation().getParentPath()), alone ? file.lineEnd(workspace.to(last)) : workspace.to(last), "");
        }
    }
}
