package driftwood.refactor.java.ground;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javax.lang.model.element.AnnotationMirror;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeKind;

/** What constructors of one type hand to the one with the most parameters: their own parameters, or values of their own. */
public final class Constructors {
    private static final Set<String> HARMLESS = Set.of("java.lang.SuppressWarnings", "java.lang.Deprecated", "java.lang.SafeVarargs");
    private final Workspace workspace;
    private final ExecutableElement longest;

    /** @param longest whose parameters the others fill */
    public Constructors(Workspace workspace, ExecutableElement longest) {
        this.workspace = workspace;
        this.longest = longest;
    }

    /**
     * What becomes of a parameter of the longest.
     *
     * @param parameter of the constructor that is asked; empty where it is a value
     * @param value     as written; it means the same anywhere in the type
     * @param acts      whether working it out may do more than make a value
     * @param needs     names of parameters that it is worked out from: the same in the longest and in the one that is asked
     */
    public record Filled(Optional<Integer> parameter, String value, boolean acts, Set<String> needs) {

        static Filled by(int parameter) {
            return new Filled(Optional.of(parameter), "", false, Set.of());
        }

        static Filled with(String value, boolean acts) {
            return new Filled(Optional.empty(), value, acts, Set.of());
        }

        /** @throws Refused where the value is worked out from parameters. @param of the constructor that does so */
        public void refuseDependent(ExecutableElement of) {
            if (!needs.isEmpty()) {
                throw new Refused(told(of) + " works out " + value + " from its own parameters");
            }
        }
    }

    /**
     * How a constructor fills the parameters of the longest, in their order.
     *
     * @throws Refused where it does more than that
     */
    public List<Filled> of(ExecutableElement constructor) {
        List<Filled> all = new ArrayList<>();
        if (constructor.equals(longest)) {
            for (int i = 0; i < longest.getParameters().size(); i++) {
                all.add(Filled.by(i));
            }
            return all;
        }
        TreePath path = workspace.path(constructor).orElseThrow(() -> new Refused("a constructor is not written out"));
        List<? extends StatementTree> body = ((MethodTree) path.getLeaf()).getBody().getStatements();
        TreePath block = new TreePath(path, ((MethodTree) path.getLeaf()).getBody());
        List<Filled> found = !body.isEmpty() && chained(body.get(0)) != null ? handingOn(constructor, block, body) : storing(constructor, block, body);
        found.stream().filter(each -> !each.needs().stream().allMatch(name -> isHandedOn(name, constructor, found))).forEach(each -> each.refuseDependent(constructor));
        return found;
    }

    /** Whether a parameter of that name is the longest's parameter of that name. */
    private boolean isHandedOn(String name, ExecutableElement constructor, List<Filled> found) {
        for (int i = 0; i < found.size(); i++) {
            if (longest.getParameters().get(i).getSimpleName().contentEquals(name)) {
                return found.get(i).parameter().filter(own -> constructor.getParameters().get(own).getSimpleName().contentEquals(name)).isPresent();
            }
        }
        return false;
    }

    private static MethodInvocationTree chained(StatementTree statement) {
        return statement instanceof ExpressionStatementTree evaluate && evaluate.getExpression() instanceof MethodInvocationTree call
                && call.getMethodSelect() instanceof IdentifierTree name && name.getName().contentEquals("this") ? call : null;
    }

    private List<Filled> handingOn(ExecutableElement constructor, TreePath block, List<? extends StatementTree> body) {
        if (body.size() > 1) {
            throw new Refused(told(constructor) + " does more than hand its parameters on");
        }
        MethodInvocationTree call = chained(body.get(0));
        TreePath path = new TreePath(new TreePath(block, body.get(0)), call);
        ExecutableElement next = (ExecutableElement) workspace.element(new TreePath(path, call.getMethodSelect()));
        if (next.isVarArgs() || call.getArguments().size() != next.getParameters().size()) {
            throw new Refused(told(next) + " takes any number of arguments");
        }
        List<Filled> own = call.getArguments().stream().map(each -> filled(constructor, new TreePath(path, each))).toList();
        List<Filled> all = new ArrayList<>();
        for (Filled each : of(next)) {
            all.add(each.parameter().isPresent() ? own.get(each.parameter().get()) : each);
        }
        return all;
    }

    /** Both store their parameters in fields, or hand them to the same constructor of the parent, and do nothing else. */
    private List<Filled> storing(ExecutableElement constructor, TreePath block, List<? extends StatementTree> body) {
        Map<Element, TreePath> longestStores = stores(longest);
        Map<Element, TreePath> stores = stores(constructor);
        for (Element each : stores.keySet()) {
            if (!longestStores.containsKey(each)) {
                throw new Refused(each.getKind() == ElementKind.PARAMETER ? told(constructor) + " calls another constructor of its parent than the longest"
                        : told(constructor) + " stores " + each.getSimpleName() + ", which the longest does not");
            }
        }
        List<Filled> all = new ArrayList<>();
        for (Element parameter : longest.getParameters()) {
            List<Filled> ways = longestStores.entrySet().stream().filter(each -> parameter.equals(workspace.element(each.getValue()))).map(Map.Entry::getKey)
                    .map(each -> stored(each, stores, constructor)).distinct().toList();
            if (ways.isEmpty()) {
                throw new Refused(told(longest) + " does more than store its parameters, and others do not call it");
            }
            if (ways.size() > 1) {
                throw new Refused(told(constructor) + " stores in two places what is " + parameter.getSimpleName() + " in the longest");
            }
            all.add(ways.get(0));
        }
        longestStores.forEach((field, value) -> {
            if (!longest.getParameters().contains(workspace.element(value)) && !isTheSame(value, stores.get(field), all, constructor)) {
                throw new Refused(told(constructor) + " gives " + field.getSimpleName() + " another value than the longest");
            }
        });
        return all;
    }

    private Filled stored(Element field, Map<Element, TreePath> stores, ExecutableElement constructor) {
        if (!stores.containsKey(field) && field.getKind() == ElementKind.PARAMETER) {
            throw new Refused(told(constructor) + " calls another constructor of its parent than the longest");
        }
        return stores.containsKey(field) ? filled(constructor, stores.get(field)) : Filled.with(initial(field), false);
    }

    /** Whether both work out a value in the same words, from parameters of the same names that mean the same. @param other null where nothing is stored */
    private boolean isTheSame(TreePath value, TreePath other, List<Filled> all, ExecutableElement constructor) {
        if (other == null || !workspace.text(value).replaceAll("\\s+", " ").equals(workspace.text(other).replaceAll("\\s+", " "))) {
            return false;
        }
        return Captures.of(workspace, List.of(value)).read().stream().allMatch(each -> {
            int at = longest.getParameters().indexOf(each);
            return at < 0 || all.get(at).parameter().filter(own -> constructor.getParameters().get(own).getSimpleName().equals(each.getSimpleName())).isPresent();
        });
    }

    private Map<Element, TreePath> stores(ExecutableElement constructor) {
        TreePath path = workspace.path(constructor).orElseThrow();
        MethodTree tree = (MethodTree) path.getLeaf();
        TreePath block = new TreePath(path, tree.getBody());
        Map<Element, TreePath> stores = new LinkedHashMap<>();
        for (StatementTree each : tree.getBody().getStatements()) {
            if (each instanceof ExpressionStatementTree evaluate && evaluate.getExpression() instanceof MethodInvocationTree call
                    && call.getMethodSelect() instanceof IdentifierTree name && name.getName().contentEquals("super")) {
                handed(new TreePath(new TreePath(block, each), call), stores);
                continue;
            }
            if (!(each instanceof ExpressionStatementTree evaluate) || !(evaluate.getExpression() instanceof AssignmentTree assignment)) {
                throw new Refused(told(constructor) + " does more than store its parameters, and does not call the longest");
            }
            TreePath path2 = new TreePath(new TreePath(block, each), assignment);
            Element field = workspace.element(new TreePath(path2, assignment.getVariable()));
            boolean own = assignment.getVariable() instanceof IdentifierTree || assignment.getVariable() instanceof MemberSelectTree select
                    && select.getExpression().toString().equals("this");
            if (!own || field == null || field.getKind() != ElementKind.FIELD || stores.put(field, new TreePath(path2, assignment.getExpression())) != null) {
                throw new Refused(told(constructor) + " does more than store its parameters");
            }
        }
        return stores;
    }

    /** What the parent's constructor is handed, by its parameters. */
    private void handed(TreePath path, Map<Element, TreePath> stores) {
        MethodInvocationTree call = (MethodInvocationTree) path.getLeaf();
        ExecutableElement parents = (ExecutableElement) workspace.element(new TreePath(path, call.getMethodSelect()));
        if (!call.getArguments().isEmpty() && (parents.isVarArgs() || parents.getParameters().size() != call.getArguments().size())) {
            throw new Refused(told(parents) + " takes any number of arguments");
        }
        for (int i = 0; i < call.getArguments().size(); i++) {
            stores.put(parents.getParameters().get(i), new TreePath(path, call.getArguments().get(i)));
        }
    }

    private String initial(Element field) {
        ExpressionTree initial = workspace.path(field).map(path -> ((VariableTree) path.getLeaf()).getInitializer()).orElse(null);
        if (initial != null) {
            return constant(new TreePath(workspace.path(field).orElseThrow(), initial), field.getSimpleName().toString());
        }
        return field.asType().getKind() == TypeKind.BOOLEAN ? "false" : field.asType().getKind().isPrimitive() ? "0" : "null";
    }

    private Filled filled(ExecutableElement constructor, TreePath value) {
        int parameter = constructor.getParameters().indexOf(workspace.element(value));
        if (parameter >= 0) {
            return Filled.by(parameter);
        }
        Captures captures = Captures.of(workspace, List.of(value));
        boolean own = !captures.needsObject() && captures.read().stream().allMatch(constructor.getParameters()::contains);
        return own ? new Filled(Optional.empty(), workspace.text(value), Purity.mayActOutside(workspace, value),
                captures.read().stream().map(each -> each.getSimpleName().toString()).collect(Collectors.toCollection(TreeSet::new)))
                : Filled.with(constant(value, told(constructor)), Purity.mayActOutside(workspace, value));
    }

    private String constant(TreePath value, String where) {
        Captures captures = Captures.of(workspace, List.of(value));
        if (!captures.read().isEmpty() || captures.needsObject()) {
            throw new Refused(where + " works out " + workspace.text(value) + " from its own parameters");
        }
        return workspace.text(value);
    }

    /** Whether a constructor begins by calling another one of its type. @param constructor its declaration */
    public static boolean isHandingOn(TreePath constructor) {
        List<? extends StatementTree> body = ((MethodTree) constructor.getLeaf()).getBody().getStatements();
        return !body.isEmpty() && body.get(0) instanceof ExpressionStatementTree first && first.getExpression() instanceof MethodInvocationTree call
                && call.getMethodSelect() instanceof IdentifierTree named && named.getName().contentEquals("this");
    }

    /** Makes a constructor private. @param constructor its declaration */
    public static void close(Drafting drafting, TreePath constructor) {
        Workspace workspace = drafting.workspace();
        Unit unit = workspace.unit(constructor);
        MethodTree tree = (MethodTree) constructor.getLeaf();
        int from = workspace.from(constructor);
        for (TreePath each : tree.getModifiers().getAnnotations().stream().map(one -> new TreePath(new TreePath(constructor, tree.getModifiers()), one)).toList()) {
            from = Math.max(from, workspace.to(each));
        }
        for (Modifier each : List.of(Modifier.PUBLIC, Modifier.PROTECTED)) {
            if (tree.getModifiers().getFlags().contains(each)) {
                int at = unit.text().indexOf(each.toString(), from);
                drafting.script().replace(unit.file(), at, at + each.toString().length(), "private");
                return;
            }
        }
        if (!tree.getModifiers().getFlags().contains(Modifier.PRIVATE)) {
            drafting.script().insert(unit.file(), unit.text().indexOf(workspace.element(constructor).getEnclosingElement().getSimpleName().toString(), from), "private ");
        }
    }

    /** @throws Refused where somebody may call a constructor by its annotation */
    public static void refuseAnnotated(ExecutableElement constructor) {
        for (AnnotationMirror each : constructor.getAnnotationMirrors()) {
            if (!HARMLESS.contains(((TypeElement) each.getAnnotationType().asElement()).getQualifiedName().toString())) {
                throw new Refused(told(constructor) + " is annotated with " + each + ": somebody may call it by reflection");
            }
        }
    }

    /** A constructor as people name it. */
    public static String told(ExecutableElement routine) {
        String name = routine.getKind() == ElementKind.CONSTRUCTOR ? routine.getEnclosingElement().getSimpleName().toString() : routine.getSimpleName().toString();
        return name + "(" + String.join(", ", routine.getParameters().stream().map(each -> simple(each.asType().toString())).toList()) + ")";
    }

    private static String simple(String type) {
        return type.replaceAll("@[\\w.]+(\\([^)]*\\))?\\s*", "").replaceAll("\\b(\\w+\\.)+(?=\\w)", "");
    }
}
