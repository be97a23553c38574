package driftwood.refactor.java.recipe.routine;

import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Moving;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;

/** What a call hands over: as it is written, with the comments beside it, and whether it may be worked out in another order. */
final class Arguments {
    private final Workspace workspace;
    private final Script script;
    private final Call call;
    private final Unit unit;
    private final int open;
    private final int close;

    /** @param open where the parenthesis is before the arguments @param close where the one behind them is */
    Arguments(Workspace workspace, Script script, Call call, int open, int close) {
        this.workspace = workspace;
        this.script = script;
        this.call = call;
        this.unit = workspace.unit(call.path());
        this.open = open;
        this.close = close;
    }

    /**
     * One of them as the script leaves it, with its comments.
     *
     * @param name of its parameter: a comment that says no more than this goes
     */
    String text(int at, String name) {
        TreePath each = call.arguments().get(at);
        int from = at == 0 ? open + 1 : workspace.to(call.arguments().get(at - 1));
        int to = at == call.arguments().size() - 1 ? close : workspace.from(call.arguments().get(at + 1));
        List<String> before = new ArrayList<>(comments(from, workspace.from(each), name, at > 0));
        before.add(script.text(unit.file(), workspace.from(each), workspace.to(each)));
        before.addAll(behind(workspace.to(each), to, name));
        return String.join(" ", before);
    }

    /** Those before an argument. @param comma whether a comma stands before it: what stands before that is another argument's */
    private List<String> comments(int from, int to, String name, boolean comma) {
        return comments(comma ? from + comma(unit.text().substring(from, to)) + 1 : from, to, name);
    }

    private List<String> behind(int from, int to, String name) {
        int comma = comma(unit.text().substring(from, to));
        return comments(from, comma < 0 ? to : from + comma, name);
    }

    /** Where the comma stands that is in no comment; -1 where there is none. */
    private static int comma(String between) {
        List<int[]> remarks = Comments.remarks(between);
        for (int at = between.indexOf(','); at >= 0; at = between.indexOf(',', at + 1)) {
            int here = at;
            if (remarks.stream().noneMatch(each -> each[0] <= here && here < each[1])) {
                return at;
            }
        }
        return -1;
    }

    private List<String> comments(int from, int to, String name) {
        String between = unit.text().substring(from, to);
        List<String> said = new ArrayList<>();
        for (int[] each : Comments.remarks(between)) {
            String text = between.substring(each[0], each[1]);
            String bare = text.replaceAll("^/[/*]+|\\*+/$", "").strip();
            if (!bare.replaceAll("[\\s=:]", "").equals(name)) {
                said.add("/* " + bare + " */");
            }
        }
        return said;
    }

    /** @throws Refused where some of them cannot be worked out before those that stand between them */
    void refuseOtherOrder(List<Integer> gathered) {
        int last = gathered.get(gathered.size() - 1);
        List<Integer> between = new ArrayList<>();
        for (int i = gathered.get(0); i < last; i++) {
            if (!gathered.contains(i)) {
                between.add(i);
            } else if (!between.isEmpty() && !isSteady(call.arguments().get(i))) {
                refuse(between);
            }
        }
        if (!isSteady(call.arguments().get(last))) {
            refuse(between);
        }
    }

    private void refuse(List<Integer> between) {
        if (!between.stream().map(call.arguments()::get).allMatch(this::isSteady)) {
            throw new Refused("at " + unit.file() + ":" + unit.line(workspace.from(call.path())) + " its arguments would be worked out in another order than today");
        }
    }

    /** Whether it comes to the same whenever it is worked out, and does nothing else: a literal, a constant, a local that is never set again. */
    private boolean isSteady(TreePath value) {
        if (value.getLeaf() instanceof ParenthesizedTree inside) {
            return isSteady(new TreePath(value, inside.getExpression()));
        }
        Element named = workspace.element(value);
        boolean local = named != null && Set.of(ElementKind.LOCAL_VARIABLE, ElementKind.PARAMETER, ElementKind.EXCEPTION_PARAMETER).contains(named.getKind());
        boolean constant = named != null && (named.getKind() == ElementKind.ENUM_CONSTANT
                || named.getKind() == ElementKind.FIELD && named.getModifiers().containsAll(Set.of(Modifier.STATIC, Modifier.FINAL)));
        return value.getLeaf() instanceof LiteralTree || value.getLeaf().toString().equals("this") || constant
                || local && workspace.uses().of(named).stream().noneMatch(Moving::isWritten);
    }
}
