package driftwood.refactor.java.ground;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Script;
import java.util.HashSet;
import java.util.Set;

/** Members of single enum constants: in the body that a constant has, or in one that it gets. */
public final class ConstantBodies {
    private static final String OPENS = "0";
    private static final String MEMBER = "1";
    private static final String CLOSES = "2";
    private final Workspace workspace;
    private final Script script;
    private final Set<Object> begun = new HashSet<>();

    ConstantBodies(Workspace workspace, Script script) {
        this.workspace = workspace;
        this.script = script;
    }

    /** @param constant its declaration @param member with four blanks a level */
    public void add(TreePath constant, String member) {
        Unit unit = workspace.unit(constant);
        ClassTree body = ((NewClassTree) ((VariableTree) constant.getLeaf()).getInitializer()).getClassBody();
        boolean oneLine = unit.text().substring(unit.lineStart(workspace.from(constant)), workspace.from(constant)).contains("{");
        String indent = unit.indentAt(workspace.from(constant)) + (oneLine ? unit.indent() : "");
        String styled = unit.newLine() + unit.styled(member, indent + unit.indent());
        if (body != null) {
            int end = workspace.to(body, constant.getCompilationUnit()) - 1;
            script.insert(unit.file(), unit.lineStart(end), styled + unit.newLine());
            return;
        }
        int end = workspace.to(constant);
        boolean first = begun.add(constant.getLeaf());
        if (first) {
            script.insert(unit.file(), end, unit.hasBracesAlone() ? unit.newLine() + indent + "{" : " {", OPENS);
            script.insert(unit.file(), end, unit.newLine() + indent + "}", CLOSES);
            apart(unit, end, indent);
            if (oneLine && isFirst(unit, workspace.from(constant))) {
                int brace = unit.text().lastIndexOf('{', workspace.from(constant));
                boolean alone = unit.hasBracesAlone() && unit.text().charAt(brace - 1) == ' ';
                script.replace(unit.file(), alone ? brace - 1 : brace + 1, workspace.from(constant),
                        (alone ? unit.newLine() + unit.indentAt(brace) + "{" : "") + unit.newLine() + indent);
            }
        }
        script.insert(unit.file(), end, (first ? "" : unit.newLine()) + styled, MEMBER);
    }

    private static boolean isFirst(Unit unit, int from) {
        return unit.text().substring(0, from).stripTrailing().endsWith("{");
    }

    /** The next constant of the same line begins a line of its own. */
    private void apart(Unit unit, int end, String indent) {
        int next = end + 1;
        while (unit.text().charAt(end) == ',' && unit.text().charAt(next) == ' ') {
            next++;
        }
        if (next > end + 1 && Character.isJavaIdentifierStart(unit.text().charAt(next))) {
            script.replace(unit.file(), end + 1, next, unit.newLine() + indent);
        }
    }
}
