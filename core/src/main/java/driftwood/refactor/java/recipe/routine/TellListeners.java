package driftwood.refactor.java.recipe.routine;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.util.TreePath;
import driftwood.pattern.Words;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Imports;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Rewriting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.Listing;
import driftwood.smell.RoutineFacts.Telling;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;

/** observer: those who were told one by one register, in the order of today, each with an adapter for its own routine. */
public final class TellListeners implements Recipe {

    @Override
    public String pattern() {
        return "observer";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Telling;
    }

    @Override
    public Set<String> words(Finding finding) {
        return Set.of(Symbol.of(((Telling) finding.detail()).routine()).simpleType());
    }

    @Override
    public void write(Drafting drafting) {
        Workspace workspace = drafting.workspace();
        Telling fact = (Telling) drafting.finding().detail();
        ExecutableElement routine = workspace.routine(fact.routine());
        TypeElement subject = (TypeElement) routine.getEnclosingElement();
        TreePath path = workspace.path(routine).orElseThrow();
        TreePath home = workspace.path(subject).orElseThrow();
        Unit unit = workspace.unit(path);
        if (routine.getModifiers().contains(Modifier.STATIC) || subject.getKind() != ElementKind.CLASS || !subject.getTypeParameters().isEmpty()) {
            throw new Refused("there is no object that could keep its observers");
        }
        TreePath body = new TreePath(path, ((MethodTree) path.getLeaf()).getBody());
        List<TreePath> told = ToldInTurn.of(workspace, body, fact);
        if (RepeatedCalls.isCalledByConstructor(workspace, routine)) {
            throw new Refused("a constructor tells them already, before anybody could be registered");
        }
        Captures captures = Captures.of(workspace, told);
        List<VariableElement> event = event(workspace, told, captures.read());
        if (!captures.written().isEmpty()) {
            throw new Refused("a call sets a local on its way");
        }
        String own = routine.getSimpleName().toString();
        List<RepeatedCalls.Repeat> repeats = new RepeatedCalls(workspace, subject, told, event).all(routine);
        String named = repeats.isEmpty() ? Words.upper(own.replaceFirst("^(on|do|handle)(?=[A-Z])", "")) : subject.getSimpleName().toString();
        String listener = drafting.name("observer", named + "Listener");
        Set<ExecutableElement> tellers = new LinkedHashSet<>(List.of(routine));
        repeats.forEach(each -> tellers.add(each.routine()));
        List<String> telling = ElementFilter.methodsIn(subject.getEnclosedElements()).stream().filter(tellers::contains).map(each -> each.getSimpleName() + "()").distinct().toList();
        String all = Listing.of(telling);
        String list = drafting.name("observers", "listeners");
        if (subject.getEnclosedElements().stream().anyMatch(each -> each.getSimpleName().contentEquals(listener) || each.getSimpleName().contentEquals(list))) {
            throw new Refused(subject.getSimpleName() + " has a " + listener + " or " + list + " already");
        }
        String open = Drafting.visibility(routine).replace("private ", "");
        String parameters = drafting.imports().parameters(event, unit);
        Set<String> taken = new LinkedHashSet<>();
        ElementFilter.constructorsIn(subject.getEnclosedElements()).forEach(each -> each.getParameters().forEach(one -> taken.add(one.getSimpleName().toString())));
        Map<Element, String> names = names(event, taken);
        String lambda = event.size() == 1 ? names.get(event.get(0)) : "(" + String.join(", ", names.values()) + ")";
        drafting.script().stage("Let " + subject.getSimpleName() + " keep listeners, and register those whom " + all + (telling.size() == 1 ? " tells" : " tell") + ", in the order of today", told.stream().map(each -> workspace.place(each, "registers")).toList());
        String made = drafting.imports().platform("java.util.List", unit) + "<" + listener + "> " + list + " = new " + drafting.imports().platform("java.util.concurrent.CopyOnWriteArrayList", unit) + "<>();";
        drafting.declarations().add(home, "private final " + made, Where.FIELDS);
        StringBuilder registered = new StringBuilder();
        for (TreePath each : told) {
            Rewriting rewriting = new Rewriting(workspace, one -> one.getLeaf() instanceof IdentifierTree ? named(workspace.element(one), names, taken) : Optional.empty());
            boolean guarded = each.getLeaf() instanceof IfTree;
            String does = unit.bare(rewriting.of(guarded ? each : ToldInTurn.call(each).orElseThrow()), unit.indentAt(workspace.from(each)));
            registered.append("register(").append(lambda).append(" -> ").append(guarded ? "{\n    " + does.replace("\n", "\n    ") + "\n}" : does).append(");\n");
        }
        register(drafting, subject, home, unit, registered.toString());
        drafting.declarations().add(home, "/** Whoever wants to be told by " + all + ". */\n" + open + "interface " + listener + " {\n    void told(" + parameters.replaceAll("\\bfinal ", "") + ");\n}\n\n/** Told from now on, after those who registered before. */\n" + open
                + "void register(" + listener + " listener) {\n    " + list + ".add(listener);\n}\n\n/** No longer told. */\n" + open + "void unregister(" + listener + " listener) {\n    " + list + ".remove(listener);\n}", Where.END);
        List<Evidence> places = new ArrayList<>(List.of(workspace.place(told.get(0), "the calls")));
        repeats.forEach(each -> places.add(workspace.place(each.calls().get(0), "the same calls")));
        drafting.script().stage("Let " + all + " tell " + (telling.size() == 1 ? "its" : "the") + " listeners instead of naming them", places);
        drafting.script().replace(unit.file(), workspace.from(told.get(0)), workspace.to(told.get(told.size() - 1)), telling(workspace, body, event, listener, list, unit, workspace.from(told.get(0))));
        repeats.forEach(each -> drafting.script().replace(unit.file(), workspace.from(each.calls().get(0)), workspace.to(each.calls().get(each.calls().size() - 1)),
                list + ".forEach(each -> each.told(" + String.join(", ", each.values()) + "));"));
    }

    /** The loop over the listeners: no function can be told a local that is given other values. */
    // driftwood: leave long-parameter-list because these are what one line of code is made of, here only
    private static String telling(Workspace workspace, TreePath body, List<VariableElement> event, String listener, String list, Unit unit, int at) {
        String one = workspace.text(body).matches("(?s).*\\beach\\b.*") ? "listener" : "each";
        String told = one + ".told(" + Imports.arguments(event) + ")";
        return Captures.of(workspace, List.of(body)).written().stream().noneMatch(event::contains) ? list + ".forEach(" + one + " -> " + told + ");"
                : unit.styled("for (" + listener + " " + one + " : " + list + ") {\n    " + told + ";\n}", unit.indentAt(at)).stripLeading();
    }

    /** What a registered listener calls what it is told; another name where a constructor has a parameter of the same. */
    private static Map<Element, String> names(List<VariableElement> event, Set<String> taken) {
        Map<Element, String> names = new LinkedHashMap<>();
        event.forEach(each -> names.put(each, (taken.contains(each.getSimpleName().toString()) ? "new" + Words.upper(each.getSimpleName().toString()) : each.getSimpleName().toString())));
        return names;
    }

    /** What a name in a call becomes in a constructor: what the listener is told, or the field that a parameter there hides. */
    private static Optional<String> named(Element element, Map<Element, String> names, Set<String> taken) {
        if (element == null || names.containsKey(element)) {
            return Optional.ofNullable(names.get(element));
        }
        boolean hidden = element.getKind() == ElementKind.FIELD && !element.getModifiers().contains(Modifier.STATIC) && taken.contains(element.getSimpleName().toString());
        return hidden ? Optional.of("this." + element.getSimpleName()) : Optional.empty();
    }

    /** What the listeners are told: the locals that the calls use, and what of the object is handed over as it is. */
    private static List<VariableElement> event(Workspace workspace, List<TreePath> told, Collection<VariableElement> locals) {
        Map<String, VariableElement> event = new LinkedHashMap<>();
        locals.forEach(each -> event.put(each.getSimpleName().toString(), each));
        for (TreePath each : told) {
            TreePath call = ToldInTurn.call(each).orElseThrow();
            for (ExpressionTree argument : ((MethodInvocationTree) call.getLeaf()).getArguments()) {
                if (argument instanceof IdentifierTree && workspace.element(new TreePath(call, argument)) instanceof VariableElement field && field.getKind() == ElementKind.FIELD
                        && !field.getModifiers().contains(Modifier.STATIC)) {
                    event.putIfAbsent(field.getSimpleName().toString(), field);
                }
            }
        }
        return List.copyOf(event.values());
    }

    /** At the end of each constructor that does not hand on; in one of its own where there is none. */
    private static void register(Drafting drafting, TypeElement subject, TreePath home, Unit unit, String registered) {
        Workspace workspace = drafting.workspace();
        List<TreePath> written = ElementFilter.constructorsIn(subject.getEnclosedElements()).stream().flatMap(each -> workspace.written(each).stream()).toList();
        if (written.isEmpty()) {
            drafting.declarations().add(home, (subject.getModifiers().contains(Modifier.PUBLIC) ? "public " : "") + subject.getSimpleName() + "() {\n    " + registered.stripTrailing().replace("\n", "\n    ") + "\n}", Where.CONSTRUCTORS);
            return;
        }
        for (TreePath each : written) {
            BlockTree block = ((MethodTree) each.getLeaf()).getBody();
            if (!block.getStatements().isEmpty() && block.getStatements().get(0).toString().startsWith("this(")) {
                continue;
            }
            int end = workspace.to(new TreePath(each, block)) - 1;
            String indent = unit.indentAt(workspace.from(each)) + unit.indent();
            boolean alone = unit.text().substring(unit.lineStart(end), end).isBlank();
            drafting.script().insert(unit.file(), alone ? unit.lineStart(end) : end, (alone ? "" : unit.newLine()) + unit.styled(registered.stripTrailing(), indent) + unit.newLine() + (alone ? "" : unit.indentAt(workspace.from(each))));
        }
    }
}
