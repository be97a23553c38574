package driftwood.refactor.java.recipe.twin;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.java.ground.Rewriting;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Routines of twins that are the same but for literals: the routine is shared, and a hook gives each twin its own literal.
 *
 * @param workspace where they are
 * @param routines  the routine in each twin, in the order of the twins
 * @param literals  the literals that differ, in the order of the text; for each, what it is in each twin
 * @param places    for each of these, where it stands in the first routine: several where the twins change them together
 */
record LiteralHooks(Workspace workspace, List<TreePath> routines, List<List<TreePath>> literals, List<List<TreePath>> places) {
    private static final int MOST = 3;

    /** Of routines with the same head; empty where more than a few literals differ. */
    static Optional<LiteralHooks> of(Workspace workspace, List<TreePath> routines) {
        List<List<TreePath>> all = routines.stream().map(LiteralHooks::literals).toList();
        String masked = masked(workspace, routines.get(0));
        if (all.stream().anyMatch(each -> each.size() != all.get(0).size()) || routines.stream().anyMatch(each -> !masked(workspace, each).equals(masked))) {
            return Optional.empty();
        }
        Map<List<String>, List<TreePath>> differing = new LinkedHashMap<>();
        Map<List<String>, List<TreePath>> places = new LinkedHashMap<>();
        for (int i = 0; i < all.get(0).size(); i++) {
            int at = i;
            List<TreePath> these = all.stream().map(each -> each.get(at)).toList();
            if (these.stream().map(workspace::text).distinct().count() > 1) {
                if (these.stream().map(each -> each.getLeaf().getKind()).distinct().count() > 1 || type(these.get(0).getLeaf().getKind()).isEmpty()) {
                    return Optional.empty();
                }
                List<String> texts = these.stream().map(workspace::text).toList();
                differing.putIfAbsent(texts, these);
                places.computeIfAbsent(texts, key -> new ArrayList<>()).add(these.get(0));
            }
        }
        return differing.isEmpty() || differing.size() > MOST ? Optional.empty() : Optional.of(new LiteralHooks(workspace, routines, List.copyOf(differing.values()), List.copyOf(places.values())));
    }

    private static List<TreePath> literals(TreePath routine) {
        List<TreePath> all = new ArrayList<>();
        new TreePathScanner<Void, Void>() {
            @Override
            public Void visitLiteral(LiteralTree tree, Void nothing) {
                all.add(getCurrentPath());
                return null;
            }
        }.scan(new TreePath(routine, ((MethodTree) routine.getLeaf()).getBody()), null);
        return all;
    }

    private static String masked(Workspace workspace, TreePath routine) {
        return new Rewriting(workspace, each -> each.getLeaf() instanceof LiteralTree ? Optional.of("_") : Optional.empty()).of(routine).replaceAll("\\s+", "");
    }

    private static String type(Tree.Kind kind) {
        return switch (kind) {
            case STRING_LITERAL -> "String";
            case INT_LITERAL -> "int";
            case LONG_LITERAL -> "long";
            case DOUBLE_LITERAL -> "double";
            case FLOAT_LITERAL -> "float";
            case CHAR_LITERAL -> "char";
            case BOOLEAN_LITERAL -> "boolean";
            default -> "";
        };
    }

    private String name(int hook) {
        String word = wordOf(hook);
        long same = IntStream.range(0, literals.size()).filter(each -> wordOf(each).equals(word)).count();
        return ((MethodTree) routines.get(0).getLeaf()).getName() + word + (same == 1 ? "" : Integer.toString(hook + 1));
    }

    private String wordOf(int hook) {
        List<String> words = places.get(hook).stream().map(LiteralHooks::word).distinct().toList();
        return words.size() == 1 ? words.get(0) : "Word";
    }

    /** What a literal is to its routine: what stands before or behind all else in a text, any other word, or a value. */
    private static String word(TreePath literal) {
        if (literal.getLeaf().getKind() != Tree.Kind.STRING_LITERAL) {
            return "Value";
        }
        TreePath at = literal;
        boolean first = true;
        boolean last = true;
        while (at.getParentPath().getLeaf() instanceof BinaryTree joined && joined.getKind() == Tree.Kind.PLUS) {
            first &= joined.getLeftOperand() == at.getLeaf();
            last &= joined.getRightOperand() == at.getLeaf();
            at = at.getParentPath();
        }
        return first == last ? "Word" : first ? "Prefix" : "Suffix";
    }

    /** The shared routine as it stands in the first twin, with hooks where the literals were. @param asked behind the name of each */
    String shared(String asked) {
        return new Rewriting(workspace, each -> {
            for (int i = 0; i < literals.size(); i++) {
                if (places.get(i).stream().anyMatch(place -> place.getLeaf() == each.getLeaf())) {
                    return Optional.of(name(i) + asked);
                }
            }
            return Optional.empty();
        }).of(routines.get(0));
    }

    /** The hooks as the parent declares them. */
    List<String> declared() {
        List<String> all = new ArrayList<>();
        for (int i = 0; i < literals.size(); i++) {
            all.add("abstract " + type(literals.get(i).get(0).getLeaf().getKind()) + " " + name(i) + "();");
        }
        return all;
    }

    /** What differs as variables, each with its type. */
    List<String> variables() {
        List<String> all = new ArrayList<>();
        for (int i = 0; i < literals.size(); i++) {
            all.add(type(literals.get(i).get(0).getLeaf().getKind()) + " " + name(i));
        }
        return all;
    }

    /** The literals of a twin. @param twin from 0 */
    List<String> values(int twin) {
        return literals.stream().map(each -> workspace.text(each.get(twin))).toList();
    }

    /** The hooks as a twin fills them, with four blanks a level. @param twin from 0 */
    String filled(int twin) {
        StringBuilder all = new StringBuilder();
        for (int i = 0; i < literals.size(); i++) {
            all.append(all.isEmpty() ? "" : "\n\n").append("@Override\n").append(type(literals.get(i).get(0).getLeaf().getKind())).append(' ').append(name(i)).append("() {\n    return ")
                    .append(workspace.text(literals.get(i).get(twin))).append(";\n}");
        }
        return all.toString();
    }
}
