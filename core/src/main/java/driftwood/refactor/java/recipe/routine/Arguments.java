package driftwood.refactor.java.recipe.routine;

import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Purity;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.List;

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
        List<TreePath> after = new ArrayList<>(gathered.stream().map(call.arguments()::get).toList());
        List<TreePath> others = new ArrayList<>(call.arguments());
        others.removeAll(after);
        others.addAll(gathered.get(0), after);
        Purity.refuseReordered(workspace, call.arguments(), others);
    }
}
