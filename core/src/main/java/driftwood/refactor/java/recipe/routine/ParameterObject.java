package driftwood.refactor.java.recipe.routine;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.util.TreePath;
import driftwood.pattern.Words;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.NewFile;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.ValueType;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Detail.Ladder;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.RoutineFacts.Parameters;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.util.ElementFilter;

/** parameter-object: what always travels together becomes a value of its own. */
public final class ParameterObject implements Recipe {

    @Override
    public String pattern() {
        return "parameter-object";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Parameters || finding.detail() instanceof Ladder ladder && ladder.ladder().size() == 1;
    }

    @Override
    public Set<String> words(Finding finding) {
        Symbol symbol = Symbol.of(finding.detail() instanceof Parameters fact ? fact.routine() : finding.symbol());
        return Set.of(symbol.member().equals("new") ? symbol.simpleType() : symbol.member());
    }

    @Override
    public void write(Drafting drafting) {
        String symbol = drafting.finding().detail() instanceof Ladder ladder ? ladder.ladder().get(0).symbol() : ((Parameters) drafting.finding().detail()).routine();
        new Gathering(drafting, drafting.workspace().routine(symbol)).write();
    }

    private static final class Gathering {
        private static final int FEWEST = 3;
        private final Drafting drafting;
        private final Workspace workspace;
        private final Script script;
        private final ExecutableElement routine;
        private final TypeElement owner;
        private final Set<ExecutableElement> family;
        private final List<Call> calls;
        private final FlagOptions flags;
        private final List<Integer> gathered;
        private final String type;
        private final String parameter;

        Gathering(Drafting drafting, ExecutableElement routine) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.script = drafting.script();
            this.routine = routine;
            this.owner = (TypeElement) routine.getEnclosingElement();
            refuse();
            Calls all = new Calls(workspace);
            this.family = all.family(routine);
            this.calls = all.of(family);
            this.flags = FlagOptions.of(routine, IntStream.range(0, routine.getParameters().size()).filter(this::isPart).boxed().toList());
            this.gathered = flags.isEmpty() ? cluster() : flags.places();
            String named = routine.getKind() == ElementKind.CONSTRUCTOR ? owner.getSimpleName().toString() : Words.upper(routine.getSimpleName().toString().replaceFirst("^(get|set|do|make|create|build)(?=[A-Z])", ""));
            this.type = flags.isEmpty() ? drafting.typeName("parameter object", owner, named + "Details", named + "Terms", named + "Request")
                    : drafting.typeName("parameter object", owner, named + "Options", named + "Flags", named + "Settings");
            String called = type.endsWith("Details") ? "details" : type.endsWith("Options") ? "options" : Words.lower(type);
            this.parameter = isTaken(called) ? "all" + type : called;
        }

        /** What only the class itself hands over needs no file of its own, and may hold types that nobody else sees. */
        private boolean isWithin() {
            return flags.isEmpty() && owner.getKind().isClass() && routine.getModifiers().contains(Modifier.PRIVATE) && (owner.getNestingKind() == NestingKind.TOP_LEVEL || owner.getModifiers().contains(Modifier.STATIC));
        }

        private boolean isTaken(String name) {
            return family.stream().anyMatch(each -> workspace.text(workspace.path(each).orElseThrow()).matches("(?s).*\\b" + name + "\\b.*"));
        }

        private void refuse() {
            if (owner.getKind() == ElementKind.RECORD && routine.getKind() == ElementKind.CONSTRUCTOR) {
                throw new Refused(owner.getSimpleName() + " is a record: it is the parameter object");
            }
            if (routine.getKind() == ElementKind.CONSTRUCTOR) {
                Constructors.refuseAnnotated(routine);
            }
        }

        /** Whether a parameter can be a part of a value: what is of a type parameter, annotated or variadic stays where it is. */
        private boolean isPart(int at) {
            VariableElement each = routine.getParameters().get(at);
            boolean variadic = routine.isVarArgs() && at == routine.getParameters().size() - 1;
            return !variadic && !mentionsVariable(each) && family.stream().allMatch(one -> one.getParameters().get(at).getAnnotationMirrors().isEmpty());
        }

        /** The parameters that other routines take together as well; all of them where none does. */
        private List<Integer> cluster() {
            List<? extends VariableElement> all = routine.getParameters();
            Set<String> best = new LinkedHashSet<>();
            for (ExecutableElement other : ElementFilter.methodsIn(owner.getEnclosedElements())) {
                if (!family.contains(other) && !other.getSimpleName().equals(routine.getSimpleName())) {
                    Set<String> shared = new LinkedHashSet<>(all.stream().map(Gathering::told).toList());
                    shared.retainAll(other.getParameters().stream().map(Gathering::told).toList());
                    best = shared.size() > best.size() ? shared : best;
                }
            }
            List<Integer> chosen = new ArrayList<>();
            for (int i = 0; i < all.size(); i++) {
                if (isPart(i) && (best.size() < FEWEST || all.size() - best.size() > 4 || best.contains(told(all.get(i))))) {
                    chosen.add(i);
                }
            }
            if (chosen.size() < FEWEST) {
                throw new Refused("most of its parameters are of type parameters, or annotated, and have to stay");
            }
            return chosen;
        }

        private static String told(VariableElement parameter) {
            return parameter.asType() + " " + parameter.getSimpleName();
        }

        private boolean mentionsVariable(VariableElement parameter) {
            Set<String> variables = new LinkedHashSet<>(routine.getTypeParameters().stream().map(Object::toString).toList());
            owner.getTypeParameters().forEach(each -> variables.add(each.toString()));
            return parameter.asType().getKind() == TypeKind.TYPEVAR || variables.stream().anyMatch(each -> parameter.asType().toString().matches(".*\\b" + each + "\\b.*"));
        }

        void write() {
            script.stage("Add " + type + (flags.isEmpty() ? " for what is handed over together" : ", in which each flag has a name"), List.of(workspace.place(workspace.path(routine).orElseThrow(), "its parts")));
            addType();
            script.stage("Let " + told() + " take " + Words.one(type) + ", and its callers " + (flags.isEmpty() ? "make one" : "say what they set"),
                    calls.stream().map(each -> workspace.place(each.path(), flags.isEmpty() ? "makes one" : "says what it sets")).toList());
            family.forEach(this::change);
            calls.forEach(this::redirect);
        }

        private String told() {
            return routine.getKind() == ElementKind.CONSTRUCTOR ? "the constructor of " + owner.getSimpleName() : routine.getSimpleName() + "()";
        }

        private void addType() {
            Unit beside = workspace.unit(workspace.path(owner).orElseThrow());
            NewFile file = new NewFile(drafting, beside, type);
            TreePath around = workspace.path(owner).orElseThrow();
            drafting.next(isWithin() ? workspace.place(around, "one part more of " + type)
                    : Evidence.fresh(beside.file().replaceFirst("[^/]*$", type + ".java"), "one part more of " + type));
            Map<String, String> parts = new LinkedHashMap<>();
            String comment = Comments.before(workspace, workspace.path(routine).orElseThrow());
            StringBuilder said = new StringBuilder("/**\n * ").append(flags.isEmpty() ? "What " : "How ").append(routine.getKind() == ElementKind.CONSTRUCTOR
                    ? Words.one(owner.getSimpleName()) + (flags.isEmpty() ? " is made of" : " is made") : routine.getSimpleName() + (flags.isEmpty() ? "() is told" : "() goes about it")).append(".\n");
            StringBuilder tags = new StringBuilder();
            for (int at : gathered) {
                VariableElement each = routine.getParameters().get(at);
                parts.put(each.getSimpleName().toString(), isWithin() ? drafting.imports().name(each.asType(), beside) : file.name(each.asType()));
                String text = Comments.ofParameter(comment, each.getSimpleName().toString());
                tags.append(text.isEmpty() ? "" : "\n * @param " + each.getSimpleName() + " " + text);
            }
            said.append(tags.isEmpty() ? "" : " *" + tags + "\n").append(" */\n");
            String head = tags.isEmpty() ? said.toString().replace("/**\n * ", "/** ").replace(".\n */\n", ". */\n") : said.toString();
            if (isWithin()) {
                drafting.declarations().add(around, head + "private " + (drafting.hasRecords() ? "" : "static ") + ValueType.code(drafting, "", type, parts).strip(), Where.END);
                return;
            }
            String openness = Drafting.openness(routine);
            file.write(head + ValueType.code(drafting, openness, type, parts, flags.members(openness, type)));
        }

        private void change(ExecutableElement each) {
            drafting.changes(each);
            TreePath path = workspace.path(each).orElseThrow();
            MethodTree tree = (MethodTree) path.getLeaf();
            Unit unit = workspace.unit(path);
            List<String> left = new ArrayList<>();
            boolean placed = false;
            for (int i = 0; i < tree.getParameters().size(); i++) {
                if (!gathered.contains(i)) {
                    left.add(workspace.text(new TreePath(path, tree.getParameters().get(i))));
                } else if (!placed) {
                    placed = true;
                    boolean fixed = gathered.stream().allMatch(at -> each.getParameters().get(at).getModifiers().contains(Modifier.FINAL));
                    left.add((fixed ? "final " : "") + typeIn(unit) + " " + parameter);
                }
            }
            script.replace(unit.file(), workspace.from(new TreePath(path, tree.getParameters().get(0))),
                    workspace.to(new TreePath(path, tree.getParameters().get(tree.getParameters().size() - 1))), String.join(", ", left));
            comment(each, path);
            if (tree.getBody() != null) {
                TreePath body = new TreePath(path, tree.getBody());
                Set<VariableElement> assigned = Captures.of(workspace, List.of(body)).written();
                int begin = begin(body);
                StringBuilder locals = new StringBuilder();
                for (int at : gathered) {
                    VariableElement one = each.getParameters().get(at);
                    String part = parameter + "." + routine.getParameters().get(at).getSimpleName() + "()";
                    boolean local = assigned.contains(one);
                    locals.append(local ? unit.newLine() + unit.indentAt(workspace.from(path)) + unit.indent() + drafting.imports().name(one.asType(), unit) + " "
                            + one.getSimpleName() + " = " + part + ";" : "");
                    for (TreePath use : workspace.uses().of(one, body)) {
                        if (!local || workspace.to(use) < begin) {
                            script.replace(unit.file(), workspace.from(use), workspace.to(use), part);
                        }
                    }
                }
                if (!locals.isEmpty()) {
                    script.insert(unit.file(), begin, locals.toString());
                }
            }
        }

        /** Where statements may stand: behind the brace, or behind a call of another constructor. */
        private int begin(TreePath body) {
            List<? extends StatementTree> statements = ((BlockTree) body.getLeaf()).getStatements();
            boolean chained = !statements.isEmpty() && statements.get(0).toString().matches("(?s)(this|super)\\(.*");
            TreePath first = chained ? new TreePath(body, statements.get(0)) : null;
            return first != null && workspace.to(first) > 0 ? workspace.to(first) : workspace.from(body) + 1;
        }

        private void comment(ExecutableElement each, TreePath path) {
            String before = Comments.before(workspace, path);
            String after = before;
            for (int at : gathered) {
                after = Comments.without(after, each.getParameters().get(at).getSimpleName().toString());
            }
            if (!after.equals(before)) {
                Unit unit = workspace.unit(path);
                script.replace(unit.file(), workspace.from(path) - before.length(), workspace.from(path), after);
            }
        }

        /** The new type as a file can name it, imported where it is needed. */
        private String typeIn(Unit unit) {
            String around = workspace.elements().getPackageOf(owner).getQualifiedName().toString();
            return isWithin() ? type : drafting.imports().platform(around.isEmpty() ? type : around + "." + type, unit);
        }

        private void redirect(Call call) {
            drafting.callSite(call.path());
            Unit site = workspace.unit(call.path());
            String file = site.file();
            String made = typeIn(site);
            if (flags.isEmpty()) {
                drafting.next(workspace.place(call.path(), "what it hands over: the compiler asks for it"));
            }
            if (flags.isEmpty() && gathered.get(gathered.size() - 1) - gathered.get(0) == gathered.size() - 1) {
                TreePath last = call.arguments().get(gathered.get(gathered.size() - 1));
                int first = workspace.from(call.arguments().get(gathered.get(0)));
                boolean begins = site.text().substring(site.lineStart(first), first).isBlank();
                script.insert(file, first, "new " + made + "(" + (begins ? site.newLine() + site.indentAt(first) : ""));
                script.insert(file, workspace.to(last), ")");
                return;
            }
            int open = site.text().indexOf('(', workspace.to(call.name()));
            int close = call.path().getLeaf() instanceof NewClassTree creation && creation.getClassBody() != null
                    ? site.text().lastIndexOf(')', workspace.from(new TreePath(call.path(), creation.getClassBody()))) : workspace.to(call.path()) - 1;
            Arguments given = new Arguments(workspace, script, call, open, close);
            given.refuseOtherOrder(gathered);
            List<String> arguments = new ArrayList<>();
            List<String> parts = new ArrayList<>();
            for (int i = 0; i < call.arguments().size(); i++) {
                (gathered.contains(i) ? parts : arguments).add(given.text(i, routine.getParameters().get(i).getSimpleName().toString()));
            }
            arguments.add(gathered.get(0), flags.isEmpty() ? "new " + made + "(" + String.join(", ", parts) + ")" : flags.handed(site, workspace.from(call.arguments().get(gathered.get(0))), made, parts, parameter));
            script.replace(file, open + 1, close, String.join(", ", arguments));
        }
    }
}
