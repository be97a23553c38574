package driftwood.refactor.java.recipe.twin;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Code;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.TypeFacts.Twins;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;

/**
 * Classes that are alike, and in what.
 *
 * @param twins   in the order of the finding
 * @param members of each, by their text without white space
 * @param shared  the texts that all have
 * @param hooks   routines that are the same in all but for literals
 */
record Alike(Workspace workspace, List<TypeElement> twins, Map<TypeElement, Map<String, TreePath>> members, Set<String> shared, List<LiteralHooks> hooks) {

    /** @throws Refused where they could not share a class */
    static Alike of(Workspace workspace, Twins fact) {
        Alike alike = new Alike(workspace, fact.types().stream().map(workspace::type).toList(), new LinkedHashMap<>(), new LinkedHashSet<>(), new ArrayList<>());
        for (TypeElement each : alike.twins) {
            alike.refuse(each);
            alike.members.put(each, alike.members(each));
        }
        alike.shared.addAll(alike.members.get(alike.first()).keySet());
        alike.members.values().forEach(each -> alike.shared.retainAll(each.keySet()));
        alike.findHooks();
        return alike;
    }

    TypeElement first() {
        return twins.get(0);
    }

    private void refuse(TypeElement each) {
        boolean free = each.getEnclosingElement().getKind() == ElementKind.PACKAGE || each.getEnclosingElement().getKind().isClass() && each.getModifiers().contains(Modifier.STATIC);
        if (each.getKind() != ElementKind.CLASS || !free) {
            throw new Refused(each.getSimpleName() + " is no class of its own");
        }
        if (!parameters(each).equals(parameters(first()))) {
            throw new Refused(each.getSimpleName() + " has other type parameters than " + first().getSimpleName());
        }
        if (!each.getSuperclass().toString().equals(first().getSuperclass().toString())) {
            throw new Refused("they have different parents already");
        }
        if (!workspace.elements().getPackageOf(each).equals(workspace.elements().getPackageOf(first()))) {
            throw new Refused("they are in different packages");
        }
    }

    private static String parameters(TypeElement type) {
        return type.getTypeParameters().stream().map(each -> each + " " + each.getBounds()).toList().toString();
    }

    private Map<String, TreePath> members(TypeElement type) {
        TreePath path = workspace.path(type).orElseThrow();
        Map<String, TreePath> all = new LinkedHashMap<>();
        for (Tree each : ((ClassTree) path.getLeaf()).getMembers()) {
            TreePath member = new TreePath(path, each);
            if (workspace.to(member) > 0 && (!(each instanceof MethodTree) || workspace.written(workspace.element(member)).isPresent())) {
                boolean constructor = each instanceof MethodTree method && method.getReturnType() == null;
                String text = workspace.text(member);
                all.put(Code.compact(constructor ? text.replaceFirst("\\b" + type.getSimpleName() + "\\s*\\(", "<init>(") : text), member);
            }
        }
        return all;
    }

    /** Routines that are the same in all but for literals. */
    private void findHooks() {
        for (Map.Entry<String, TreePath> each : members.get(first()).entrySet()) {
            if (!shared.contains(each.getKey()) && each.getValue().getLeaf() instanceof MethodTree method && method.getReturnType() != null && method.getBody() != null) {
                List<TreePath> all = new ArrayList<>();
                twins.forEach(twin -> members.get(twin).values().stream().filter(one -> one.getLeaf() instanceof MethodTree other && other.getBody() != null && isSameHead(method, other))
                        .findFirst().ifPresent(all::add));
                if (all.size() == twins.size()) {
                    LiteralHooks.of(workspace, all).ifPresent(hooks::add);
                }
            }
        }
    }

    boolean isParametrised(TreePath member) {
        return hooks.stream().anyMatch(each -> each.routines().stream().anyMatch(one -> one.getLeaf() == member.getLeaf()));
    }

    boolean isConstructor(String member) {
        return member.contains("<init>(") && members.get(first()).containsKey(member) && members.get(first()).get(member).getLeaf() instanceof MethodTree method && method.getReturnType() == null;
    }

    /** The words that all names have at their end, or at their beginning. */
    String common() {
        String end = first().getSimpleName().toString();
        String begin = end;
        for (TypeElement each : twins) {
            String name = each.getSimpleName().toString();
            while (!name.endsWith(end)) {
                end = end.substring(1);
            }
            while (!name.startsWith(begin)) {
                begin = begin.substring(0, begin.length() - 1);
            }
        }
        String suffix = end.replaceFirst("^[^A-Z]*", "");
        String prefix = begin.replaceFirst("(?<=[a-z0-9])[A-Z][a-z]*$", "");
        return suffix.length() > 2 ? suffix : prefix.length() > 2 ? prefix : first().getSimpleName() + "Kind";
    }

    /** What a parent of all of them extends, with a blank before it; empty for nothing. */
    String extended() {
        TreePath path = workspace.path(first()).orElseThrow();
        Tree clause = ((ClassTree) path.getLeaf()).getExtendsClause();
        return clause == null ? "" : " extends " + workspace.text(new TreePath(path, clause));
    }

    /** The twins as a sentence names them. */
    String named() {
        List<String> names = twins.stream().map(each -> each.getSimpleName().toString()).toList();
        return String.join(", ", names.subList(0, names.size() - 1)) + " and " + names.get(names.size() - 1);
    }

    /**
     * Where the contracts of a twin end that need not be said any more, as what it has in common with the others says them.
     *
     * @return -1 where it fulfils none, or one that another does not
     */
    int endOfSaid(TypeElement twin) {
        TreePath path = workspace.path(twin).orElseThrow();
        List<? extends Tree> said = ((ClassTree) path.getLeaf()).getImplementsClause();
        boolean common = !said.isEmpty() && twins.stream().allMatch(each -> contracts(each).containsAll(contracts(twin)));
        return common ? workspace.to(new TreePath(path, said.get(said.size() - 1))) : -1;
    }

    /** The contracts that all of them fulfil, as a parent says so; empty for none. */
    String implemented() {
        Set<String> contracts = new LinkedHashSet<>(contracts(first()));
        twins.forEach(each -> contracts.retainAll(contracts(each)));
        return contracts.isEmpty() ? "" : " implements " + String.join(", ", contracts);
    }

    private List<String> contracts(TypeElement type) {
        TreePath path = workspace.path(type).orElseThrow();
        return ((ClassTree) path.getLeaf()).getImplementsClause().stream().map(each -> workspace.text(new TreePath(path, each))).toList();
    }

    static boolean isSameHead(MethodTree one, MethodTree other) {
        return one.getName().equals(other.getName()) && String.valueOf(one.getReturnType()).equals(String.valueOf(other.getReturnType()))
                && one.getParameters().stream().map(each -> each.getType().toString()).toList().equals(other.getParameters().stream().map(each -> each.getType().toString()).toList());
    }
}
