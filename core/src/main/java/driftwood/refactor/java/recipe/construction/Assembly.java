package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.pattern.Words;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;

/**
 * Where a program is put together: who has to be handed something, since they create it or those who do, up to the one
 * routine in which all of them are created.
 */
final class Assembly {
    /** Through more hands than these nothing is passed for the sake of one class. */
    private static final int MOST_USERS = 6;
    private final Drafting drafting;
    private final Workspace workspace;
    private final SoleCreation sole;
    private final Set<TypeElement> users = new LinkedHashSet<>();
    /** Creations outside all users, that must have the instance at hand. */
    private List<Call> open;
    private final List<Call> handed = new ArrayList<>();
    private final ExecutableElement root;

    private Assembly(Drafting drafting, SoleCreation sole, ExecutableElement root) {
        this.drafting = drafting;
        this.workspace = drafting.workspace();
        this.sole = sole;
        this.root = root;
        this.open = sole.calls().stream().filter(each -> !isTest(each)).toList();
    }

    /** The assembly that takes the fewest hands. @throws Refused where there is no such routine, or it cannot be reached */
    static Assembly of(Drafting drafting, SoleCreation sole) {
        Assembly best = null;
        Refused[] why = new Refused[1];
        for (ExecutableElement each : roots(drafting, sole, why)) {
            try {
                Assembly assembly = new Assembly(drafting, sole, each);
                assembly.reach();
                best = best == null || assembly.users.size() < best.users.size() ? assembly : best;
            } catch (Refused e) {
                why[0] = why[0] == null ? e : why[0];
            }
        }
        if (best == null) {
            throw why[0] == null ? new Refused("its users create one another: there is no place where the program is put together") : why[0];
        }
        return best;
    }

    /** Routines in which some of it is created. @param why gets the reason why there are no more above these */
    private static Set<ExecutableElement> roots(Drafting drafting, SoleCreation sole, Refused[] why) {
        Assembly all = new Assembly(drafting, sole, null);
        Set<ExecutableElement> roots = new LinkedHashSet<>();
        while (!all.open.isEmpty()) {
            all.open.stream().map(each -> all.routine(each.path())).filter(each -> each != null).forEach(roots::add);
            try {
                all.lift(all.open.stream().filter(each -> !all.isInStatic(each.path())).toList());
            } catch (Refused e) {
                why[0] = e;
                break;
            }
            if (all.open.stream().allMatch(each -> all.isInStatic(each.path()))) {
                all.open.stream().map(each -> all.routine(each.path())).forEach(roots::add);
                break;
            }
        }
        return roots;
    }

    private boolean isTest(Call call) {
        return workspace.isTest(workspace.unit(call.path()));
    }

    /** Hands it through until all that is left is in the root. */
    private void reach() {
        List<Call> outside = outside();
        while (!outside.isEmpty()) {
            List<String> fixed = outside.stream().filter(each -> isInStatic(each.path())).map(each -> Constructors.told(routine(each.path()))).distinct().toList();
            if (!fixed.isEmpty()) {
                throw new Refused("static routines have no constructor that could take it: " + String.join(", ", fixed));
            }
            lift(outside);
            outside = outside();
        }
        if (open.isEmpty()) {
            throw new Refused("its users create one another: there is no place where the program is put together");
        }
    }

    private List<Call> outside() {
        return open.stream().filter(each -> !root.equals(routine(each.path()))).toList();
    }

    /** Lets those who create it somewhere be handed it, so that who creates them must have it. */
    private void lift(List<Call> from) {
        from.forEach(each -> users.add(user(each.path())));
        if (users.size() > MOST_USERS) {
            throw new Refused("it would have to be handed through " + users.size() + " classes");
        }
        drafting.follow(users.stream().map(each -> each.getSimpleName().toString()).collect(Collectors.toSet()));
        handed.clear();
        for (TypeElement each : users) {
            refuse(each);
            List<Call> creations = new Calls(workspace).of(new LinkedHashSet<>(ElementFilter.constructorsIn(each.getEnclosedElements())))
                    .stream().filter(call -> !call.isChained()).toList();
            if (creations.stream().allMatch(this::isTest)) {
                throw new Refused("nobody in the project creates a " + each.getSimpleName() + ": who does would have to hand it over");
            }
            handed.addAll(creations);
        }
        List<Call> all = new ArrayList<>(sole.calls());
        all.addAll(handed);
        open = all.stream().filter(each -> !isTest(each) && !isWithinUser(each)).toList();
    }

    private void refuse(TypeElement user) {
        if (user.getKind() != ElementKind.CLASS || !new Calls(workspace).below(user).isEmpty()) {
            throw new Refused(user.getSimpleName() + (user.getKind() == ElementKind.CLASS ? " has subclasses, which would have to be handed it as well" : " is no class, and cannot be handed it"));
        }
    }

    /** Whether a creation stands in a class that is handed the instance. */
    boolean isWithinUser(Call call) {
        return users.contains(around(call.path())) && !isInStatic(call.path());
    }

    private boolean isInStatic(TreePath path) {
        ExecutableElement routine = routine(path);
        return routine != null && routine.getModifiers().contains(Modifier.STATIC);
    }

    /** The class that must be handed what is created there. */
    private TypeElement user(TreePath creation) {
        for (TreePath at = creation; !(at.getLeaf() instanceof ClassTree); at = at.getParentPath()) {
            if (at.getLeaf() instanceof VariableTree && workspace.element(at) != null && workspace.element(at).getKind() == ElementKind.FIELD
                    && workspace.element(at).getModifiers().contains(Modifier.STATIC)) {
                throw new Refused("a static field holds one: " + workspace.element(at).getEnclosingElement().getSimpleName() + "." + workspace.element(at));
            }
        }
        return around(creation);
    }

    /** The nearest class with a name. */
    private TypeElement around(TreePath path) {
        TreePath at = path;
        while (!(at.getLeaf() instanceof ClassTree type) || type.getSimpleName().isEmpty()) {
            at = at.getParentPath();
        }
        return (TypeElement) workspace.element(at);
    }

    /** The routine around, in the nearest class with a name; null in a field or a constructor. */
    private ExecutableElement routine(TreePath path) {
        ExecutableElement found = null;
        for (TreePath at = path; !(at.getLeaf() instanceof ClassTree type) || type.getSimpleName().isEmpty(); at = at.getParentPath()) {
            if (at.getLeaf() instanceof MethodTree method) {
                found = method.getReturnType() == null ? null : (ExecutableElement) workspace.element(at);
            }
        }
        return found;
    }

    /** The routine in which all is created. */
    ExecutableElement root() {
        return root;
    }

    /** Classes that are handed it; none where one routine makes it several times. */
    Set<TypeElement> users() {
        return users;
    }

    /** All creations of users, those in tests too. */
    List<Call> handed() {
        return handed;
    }

    /** What is created in the root: users, and the thing itself. */
    List<Call> inRoot() {
        return open;
    }

    /** Whether it creates the thing itself. */
    boolean isSole(Call call) {
        return sole.calls().stream().anyMatch(each -> each.path().getLeaf() == call.path().getLeaf());
    }

    /** Creations in a user's own code, of the thing and of other users. */
    List<Call> within(TypeElement user) {
        List<Call> all = new ArrayList<>(sole.calls());
        all.addAll(handed);
        return all.stream().filter(each -> user.equals(around(each.path())) && !isInStatic(each.path())).toList();
    }

    TypeElement thing() {
        return sole.type();
    }

    /** What it is called where nobody has a name for it yet. */
    String name() {
        return Words.lower(sole.type().getSimpleName().toString());
    }

    /** The name, or one like it that nothing within some code has. */
    String free(String name, TreePath code) {
        Set<String> taken = new TreeSet<>();
        new TreePathScanner<Void, Void>() {
            @Override
            public Void visitVariable(VariableTree tree, Void nothing) {
                taken.add(tree.getName().toString());
                return super.visitVariable(tree, nothing);
            }
        }.scan(code, null);
        return !taken.contains(name) ? name : free("the" + Words.upper(name), code);
    }

    /** Whether a tree is the whole of what a field begins with, or is given in a constructor. */
    static boolean isWhole(TreePath path) {
        return path.getParentPath().getLeaf().getKind() == Tree.Kind.VARIABLE || path.getParentPath().getLeaf().getKind() == Tree.Kind.ASSIGNMENT;
    }
}
