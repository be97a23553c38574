package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.pattern.Words;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Code;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Declarations;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Imports;
import driftwood.refactor.java.ground.Moving;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Finding;
import driftwood.smell.RoutineFacts.Work;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.SourceVersion;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;

/** factory-method for a constructor that works: it takes its values, and a creation routine lets the new object begin. */
public final class StartLater implements Recipe {

    @Override
    public String pattern() {
        return "factory-method";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Work;
    }

    @Override
    public Set<String> words(Finding finding) {
        return Set.of(Symbol.of(((Work) finding.detail()).type()).simpleType());
    }

    @Override
    public void write(Drafting drafting) {
        Work fact = (Work) drafting.finding().detail();
        Workspace workspace = drafting.workspace();
        ExecutableElement constructor = workspace.routine(fact.constructor());
        TypeElement type = (TypeElement) constructor.getEnclosingElement();
        refuse(workspace, type, constructor);
        TreePath path = workspace.path(constructor).orElseThrow();
        TreePath home = workspace.path(type).orElseThrow();
        Unit unit = workspace.unit(path);
        MethodTree tree = (MethodTree) path.getLeaf();
        TreePath body = new TreePath(path, tree.getBody());
        List<TreePath> statements = tree.getBody().getStatements().stream().map(each -> new TreePath(body, each)).toList();
        if (!statements.isEmpty() && statements.get(0).getLeaf().toString().startsWith("this(")) {
            throw new Refused("it hands on to another constructor, which takes the values");
        }
        int first = firstWork(workspace, statements, type);
        List<TreePath> work = statements.subList(first, statements.size());
        Captures captures = Captures.of(workspace, work);
        if (Captures.of(workspace, List.of(body)).written().stream().anyMatch(constructor.getParameters()::contains)) {
            throw new Refused("the constructor gives a parameter another value");
        }
        if (work.isEmpty() || !captures.returns().isEmpty() || captures.asksSuper()) {
            throw new Refused("its work cannot be told from the taking of its values");
        }
        List<VariableElement> needs = captures.read().stream().toList();
        if (needs.stream().anyMatch(each -> !constructor.getParameters().contains(each))) {
            throw new Refused("its work needs locals that come before it");
        }
        String begin = drafting.name("begin", free(type, "begin", "beginWork"));
        String create = drafting.name("creator", free(type, "create", "createReady"));
        String thrown = drafting.imports().thrown(constructor.getThrownTypes(), unit);
        List<Call> calls = new Calls(workspace).of(Set.of(constructor));
        for (Call each : calls) {
            if (!each.isCreation() || ((NewClassTree) each.path().getLeaf()).getClassBody() != null) {
                throw new Refused("a subclass or another constructor calls it at " + workspace.unit(each.path()).file() + ":" + workspace.unit(each.path()).line(workspace.from(each.path())));
            }
        }
        int from = Declarations.fromComments(unit, workspace.from(work.get(0)));
        int to = workspace.to(work.get(work.size() - 1));
        String code = unit.bare(from, to);
        String local = Words.lower(type.getSimpleName().toString());
        String name = constructor.getParameters().stream().anyMatch(each -> each.getSimpleName().contentEquals(local)) || SourceVersion.isKeyword(local) ? "made" : local;
        drafting.script().stage("Add " + create + "() for those who create a " + type.getSimpleName(), List.of(workspace.place(path, "as the constructor")));
        String told = drafting.imports().parameters(needs, unit);
        String given = Imports.arguments(needs);
        String parameters = drafting.imports().parameters(constructor.getParameters(), unit);
        String arguments = Imports.arguments(constructor.getParameters());
        String declared = drafting.imports().typeParameters(type.getTypeParameters(), unit);
        String made = type.getSimpleName() + (declared.isEmpty() ? "" : type.getTypeParameters().stream().map(Object::toString).collect(Collectors.joining(", ", "<", ">")));
        Declarations.Slot slot = drafting.declarations().add(home, "/** Makes one that has begun its work. */\n" + Drafting.visibility(constructor) + "static " + declared + made + " " + create + "(" + parameters + ")" + thrown + " {\n    "
                + made + " " + name + " = new " + type.getSimpleName() + (declared.isEmpty() ? "(" : "<>(") + arguments + ");", "    return " + name + ";\n}", Where.CONSTRUCTORS);
        drafting.script().stage("Let all who create one call " + create + "()", calls.stream().map(each -> workspace.place(each.path(), "calls it")).toList());
        for (Call each : calls) {
            drafting.callSite(each.path());
            Unit site = workspace.unit(each.path());
            drafting.script().replace(site.file(), workspace.from(each.path()), workspace.to(each.name()), NamedCreations.called(workspace.text(each.name()), create));
        }
        drafting.script().stage("Move the work of the constructor into " + begin + "(), so that the constructor of " + type.getSimpleName() + " only takes its values, and close it", List.of(workspace.place(path, "private")));
        drafting.changes(constructor);
        drafting.declarations().fill(slot, name + "." + begin + "(" + given + ");", unit);
        drafting.declarations().add(home, "private void " + begin + "(" + told + ")" + thrown + Code.block(code), Where.END);
        Constructors.close(drafting, path);
        drafting.script().replace(unit.file(), first == 0 ? workspace.from(body) + 1 : workspace.to(statements.get(first - 1)), to, "");
    }

    private static void refuse(Workspace workspace, TypeElement type, ExecutableElement constructor) {
        if (constructor.isVarArgs() || type.getModifiers().contains(Modifier.ABSTRACT)) {
            throw new Refused(type.getSimpleName() + " is abstract, or takes any number of arguments");
        }
        Constructors.refuseAnnotated(constructor);
        if (!new Calls(workspace).below(type).isEmpty()) {
            throw new Refused(type.getSimpleName() + " has subclasses: their objects would never begin");
        }
    }

    private static String free(TypeElement type, String name, String otherwise) {
        return ElementFilter.methodsIn(type.getEnclosedElements()).stream().anyMatch(each -> each.getSimpleName().contentEquals(name)) ? otherwise : name;
    }

    /** The first statement behind the last that gives a final field its value; before it, assignments only. */
    private static int firstWork(Workspace workspace, List<TreePath> statements, TypeElement type) {
        int first = 0;
        for (int i = 0; i < statements.size(); i++) {
            StatementTree each = (StatementTree) statements.get(i).getLeaf();
            boolean takes = each instanceof ExpressionStatementTree evaluate && (evaluate.getExpression() instanceof AssignmentTree || evaluate.getExpression().toString().startsWith("super("));
            if (takes && first == i) {
                first = i + 1;
            }
        }
        List<Element> finals = new ArrayList<>(ElementFilter.fieldsIn(type.getEnclosedElements()));
        finals.removeIf(each -> !each.getModifiers().contains(Modifier.FINAL));
        for (TreePath each : statements.subList(first, statements.size())) {
            if (each.getLeaf() instanceof VariableTree) {
                continue;
            }
            for (Element field : finals) {
                if (workspace.uses().of(field, each).stream().map(use -> use.getParentPath().getLeaf() instanceof MemberSelectTree ? use.getParentPath() : use).anyMatch(Moving::isWritten)) {
                    throw new Refused("the final field " + field.getSimpleName() + " gets its value in the middle of the work");
                }
            }
        }
        return first;
    }
}
