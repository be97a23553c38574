package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import driftwood.pattern.Words;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Constructors.Filled;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Detail.Ladder;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;

/** factory-method for a ladder of constructors: a creation routine for each combination, named for what it is given. */
public final class NamedCreations implements Recipe {
    private static final int MOST = 5;
    private static final int MANY = 6;

    @Override
    public String pattern() {
        return "factory-method";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Ladder;
    }

    @Override
    public Set<String> words(Finding finding) {
        return Set.of(Symbol.of(finding.symbol()).simpleType());
    }

    @Override
    public void write(Drafting drafting) {
        Workspace workspace = drafting.workspace();
        Ladder fact = (Ladder) drafting.finding().detail();
        TypeElement type = workspace.type(fact.type());
        List<ExecutableElement> ladder = fact.ladder().stream().map(each -> workspace.routine(each.symbol())).toList();
        if (ladder.stream().anyMatch(each -> each.getKind() != ElementKind.CONSTRUCTOR || each.isVarArgs()) || ladder.size() < 2) {
            throw new Refused(ladder.size() < 2 ? "there is one constructor only: a second name for it says no more" : "its routines have names already, or take any number of arguments");
        }
        if (type.getModifiers().contains(Modifier.ABSTRACT) || type.getKind() == ElementKind.ENUM) {
            throw new Refused(type.getSimpleName() + " is abstract, or an enum");
        }
        if (ladder.size() > MOST) {
            throw new Refused(ladder.size() + " combinations are too many names");
        }
        ExecutableElement longest = ladder.stream().reduce((a, b) -> b.getParameters().size() >= a.getParameters().size() ? b : a).orElseThrow();
        TreePath home = workspace.path(type).orElseThrow();
        Unit unit = workspace.unit(home);
        Constructors constructors = new Constructors(workspace, longest);
        Map<ExecutableElement, String> names = names(ladder, constructors, longest, type);
        List<Call> calls = new Calls(workspace).of(new LinkedHashSet<>(ladder)).stream().filter(each -> !(each.isChained() && ladder.stream().anyMatch(one -> Uses.isWithin(each.path(), workspace.path(one).orElseThrow())))).toList();
        List<Call> plain = calls.stream().filter(each -> each.isCreation() && ((NewClassTree) each.path().getLeaf()).getClassBody() == null).toList();
        refuseFilled(longest, plain);
        List<Call> kept = calls.stream().filter(each -> !plain.contains(each)).toList();
        drafting.script().stage("Add a creation routine for each combination of parts, named for what it is given", List.of(workspace.place(home, String.join("(), ", names.values()) + "()")));
        String made = type.getSimpleName() + (type.getTypeParameters().isEmpty() ? "" : type.getTypeParameters().stream().map(Object::toString).collect(Collectors.joining(", ", "<", ">")));
        StringBuilder code = new StringBuilder();
        for (ExecutableElement each : ladder) {
            List<Filled> filled = constructors.of(each);
            String parameters = drafting.imports().parameters(each.getParameters(), unit);
            String arguments = filled.stream().map(one -> one.parameter().map(at -> each.getParameters().get(at).getSimpleName().toString()).orElse(one.value())).collect(Collectors.joining(", "));
            String thrown = drafting.imports().thrown(each.getThrownTypes(), unit);
            code.append(code.isEmpty() ? "" : "\n\n").append(Comments.doc(workspace, workspace.path(each).orElseThrow())).append(Drafting.visibility(each).replace("private ", "")).append("static ").append(drafting.imports().typeParameters(type.getTypeParameters(), unit)).append(made).append(' ').append(names.get(each)).append('(').append(parameters).append(')')
                    .append(thrown).append(" {\n    return new ").append(type.getSimpleName()).append(made.endsWith(">") ? "<>(" : "(").append(arguments).append(");\n}");
        }
        drafting.declarations().add(home, code.toString(), Where.CONSTRUCTORS);
        drafting.script().stage("Let all who create a " + type.getSimpleName() + " call the one they mean", plain.stream().map(each -> workspace.place(each.path(), names.get((ExecutableElement) workspace.element(each.path())) + "()")).toList());
        for (Call each : plain) {
            drafting.callSite(each.path());
            Unit site = workspace.unit(each.path());
            drafting.script().replace(site.file(), workspace.from(each.path()), workspace.to(each.name()), called(workspace.text(each.name()), names.get((ExecutableElement) workspace.element(each.path()))));
        }
        ChainedCalls chained = new ChainedCalls(drafting, ladder, longest);
        kept.forEach(chained::fill);
        Optional<ExecutableElement> silent = chained.keptSilently();
        boolean closed = kept.isEmpty();
        drafting.script().stage("Remove the constructors that nobody calls any more" + (closed ? ", and close the one that is left" : "") + silent.map(each -> "; " + Constructors.told(each) + " stays for its subclasses").orElse(""), ladder.stream().map(each -> workspace.place(workspace.path(each).orElseThrow(), each.equals(longest) || silent.filter(each::equals).isPresent() ? "stays" : "goes")).toList());
        for (ExecutableElement each : ladder) {
            TreePath path = workspace.path(each).orElseThrow();
            if (!each.equals(longest) && silent.filter(each::equals).isEmpty()) {
                drafting.changes(each);
                drafting.declarations().remove(path);
            } else if (closed && each.equals(longest)) {
                drafting.changes(each);
                Constructors.close(drafting, path);
            }
        }
    }

    /** Who has to hand over nothing for several parts is helped by no name. */
    private static void refuseFilled(ExecutableElement longest, List<Call> calls) {
        long filled = calls.stream().filter(each -> each.arguments().size() >= MANY && each.arguments().stream().filter(one -> one.getLeaf().getKind() == Tree.Kind.NULL_LITERAL).count() > 1).count();
        if (filled > 0) {
            throw new Refused("where all " + longest.getParameters().size() + " parts are handed over, some are null only to fill a place: a builder leaves them out");
        }
    }

    /** {@code Rack<Crate>} says its arguments behind the dot; what is left to the compiler stays so. */
    static String called(String created, String name) {
        int open = created.indexOf('<');
        String arguments = open < 0 ? "" : created.substring(open);
        return (open < 0 ? created : created.substring(0, open)) + "." + (arguments.matches("<\\s*>") ? "" : arguments) + name;
    }

    /** Whether callers say a part: what is handed on as another part as well is worked out from that. */
    private static boolean isSaid(List<Filled> filled, int at) {
        return filled.get(at).parameter().isPresent() && filled.subList(0, at).stream().noneMatch(each -> each.parameter().equals(filled.get(at).parameter()));
    }

    private static Map<ExecutableElement, String> names(List<ExecutableElement> ladder, Constructors constructors, ExecutableElement longest, TypeElement type) {
        Set<Integer> shared = new LinkedHashSet<>();
        for (int i = 0; i < longest.getParameters().size(); i++) {
            int at = i;
            if (ladder.stream().allMatch(each -> isSaid(constructors.of(each), at))) {
                shared.add(i);
            }
        }
        Map<ExecutableElement, String> names = new LinkedHashMap<>();
        Set<String> taken = new LinkedHashSet<>(type.getEnclosedElements().stream().map(each -> each.getSimpleName().toString()).toList());
        for (ExecutableElement each : ladder) {
            List<String> given = new ArrayList<>();
            List<Filled> filled = constructors.of(each);
            for (int i = 0; i < filled.size(); i++) {
                if (!shared.contains(i) && isSaid(filled, i)) {
                    String word = longest.getParameters().get(i).getSimpleName().toString();
                    given.add(Words.upper(word.replaceFirst("^(?:with|is|has)(?=[A-Z])", "")));
                }
            }
            String name = given.isEmpty() ? taken.contains("of") ? "plain" : "of" : each.equals(longest) && given.size() > 2 ? "complete" : "with" + String.join("And", given);
            if (!taken.add(name)) {
                throw new Refused("two of the combinations, or a member of " + type.getSimpleName() + ", would be called " + name + "()");
            }
            names.put(each, name);
        }
        return names;
    }
}
