package driftwood.refactor.java.ground;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.regex.Pattern;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;

/** Members added to types and taken out of them, with the comments that belong to them. */
public final class Declarations {
    private final Workspace workspace;
    private static final String MARK = "@later@";
    /** A field of each object, written with it. */
    private static final Pattern PART = Pattern.compile("^(?!.*\\b(?:static|transient)\\b)[^({]*?(?:;|=)");
    private final Script script;
    /** Catches a text instead of inserting it; null for none. */
    private BiConsumer<Integer, String> inserting;
    /** Types that got their first member, and enums that got the end of their constants. */
    private final Set<String> opened = new HashSet<>();

    public Declarations(Workspace workspace, Script script) {
        this.workspace = workspace;
        this.script = script;
    }

    /** Where in a type a member goes. */
    public enum Where {
        /** Behind the last field. */
        FIELDS,
        /** Behind the last constructor. */
        CONSTRUCTORS,
        /** Behind the last member. */
        END
    }

    /**
     * Adds a member.
     *
     * @param type its declaration
     * @param code with four blanks a level, without indentation of its own
     * @throws Refused where it is a field of objects that are written out and read again
     */
    public void add(TreePath type, String code, Where where) {
        if (where == Where.FIELDS && PART.matcher(code).find() && workspace.element(type) instanceof TypeElement owner && new Calls(workspace).isSerialised(owner)) {
            throw new Refused("objects of " + owner.getSimpleName() + " are serialised, and one field more would change their form");
        }
        Unit unit = workspace.unit(type);
        ClassTree tree = (ClassTree) type.getLeaf();
        String base = unit.indentAt(workspace.from(type)) + unit.indent();
        String styled = unit.styled(code, base);
        Tree before = last(tree, where, type);
        String line = unit.newLine();
        if (before == null) {
            int brace = openingBrace(type);
            boolean alone = unit.text().substring(brace + 1, unit.lineEnd(brace)).isBlank();
            String again = opened.add(unit.file() + brace) ? "" : line;
            boolean empty = unit.text().substring(brace + 1, workspace.to(type) - 1).isBlank();
            insert(unit.file(), brace + 1, again + line + styled + (empty ? alone ? "" : line + unit.indentAt(workspace.from(type)) : alone ? line : line + line + base));
            return;
        }
        int at = workspace.to(before, type.getCompilationUnit());
        if (isEnumConstant(before, type)) {
            int next = at;
            int comma = -1;
            while (Character.isWhitespace(unit.text().charAt(next)) || unit.text().charAt(next) == ',') {
                comma = unit.text().charAt(next) == ',' ? next : comma;
                next++;
            }
            if (unit.text().charAt(next) == ';') {
                at = next + 1;
            } else if (comma >= 0) {
                at = comma + 1;
                if (opened.add(unit.file() + ";" + at)) {
                    script.replace(unit.file(), comma, at, ";");
                }
            } else if (opened.add(unit.file() + ";" + at)) {
                script.insert(unit.file(), at, ";");
            }
        }
        while (at < unit.text().length() && unit.text().charAt(at) == ';') {
            at++;
        }
        int end = unit.lineEnd(at);
        String rest = unit.text().substring(at, end);
        boolean comment = rest.strip().startsWith("//") || rest.isBlank();
        boolean tight = where == Where.FIELDS && before instanceof VariableTree && !code.contains("\n") && !isApart(before, tree, type);
        if (comment && end > at) {
            insert(unit.file(), end, (tight ? "" : line) + styled + line);
        } else {
            boolean closes = rest.strip().startsWith("}");
            insert(unit.file(), at, (tight ? "" : line) + line + styled + line + (closes ? unit.indentAt(workspace.from(type)) : ""));
            if (closes && rest.startsWith(" ")) {
                script.replace(unit.file(), at, at + 1, "");
            }
        }
    }

    /** A place in a member that was added, for what a later stage puts there. */
    public record Slot(String file, int at, String indent) {
    }

    /**
     * Adds a member with a place for a later stage.
     *
     * @param before the lines before that place @param behind the lines behind it
     */
    public Slot add(TreePath type, String before, String behind, Where where) {
        List<String> kept = new ArrayList<>();
        int[] at = new int[1];
        inserting = (place, text) -> {
            kept.add(text);
            at[0] = place;
        };
        add(type, before + "\n" + MARK + "\n" + behind, where);
        inserting = null;
        Unit unit = workspace.unit(type);
        String[] parts = kept.get(0).split("[ \t]*" + MARK + "\\r?\\n", 2);
        script.insert(unit.file(), at[0], parts[0], "5a");
        script.insert(unit.file(), at[0], parts[1], "5c");
        return new Slot(unit.file(), at[0], unit.indentAt(workspace.from(type)) + unit.indent() + unit.indent());
    }

    /** Fills a place that was left. @param line one statement */
    public void fill(Slot slot, String line, Unit unit) {
        script.insert(slot.file(), slot.at(), slot.indent() + line + unit.newLine(), "5b");
    }

    private void insert(String file, int at, String text) {
        if (inserting != null) {
            inserting.accept(at, text);
        } else {
            script.insert(file, at, text);
        }
    }

    /** Adds a member before all others of a class but the constants that it begins with. @param code one line */
    public void addFirst(TreePath type, String code) {
        Unit unit = workspace.unit(type);
        ClassTree tree = (ClassTree) type.getLeaf();
        Tree constant = tree.getMembers().stream().takeWhile(each -> isImplicit(each, type) || isConstant(each, type)).filter(each -> !isImplicit(each, type)).reduce((one, next) -> next).orElse(null);
        if (constant != null && isLast(unit, workspace.to(constant, type.getCompilationUnit()))) {
            int begin = workspace.from(constant, type.getCompilationUnit());
            boolean spaced = fromComments(unit, begin) < begin && unit.lineStart(fromComments(unit, begin)) < unit.lineStart(begin);
            String member = unit.styled(code, unit.indentAt(workspace.from(type)) + unit.indent());
            script.insert(unit.file(), unit.lineEnd(workspace.to(constant, type.getCompilationUnit())), (spaced ? unit.newLine() : "") + member + unit.newLine());
            return;
        }
        int brace = openingBrace(type);
        Tree first = tree.getMembers().stream().filter(each -> workspace.from(each, type.getCompilationUnit()) > brace && !isImplicit(each, type)).findFirst().orElse(null);
        if (first == null || isEnumConstant(first, type)) {
            add(type, code, Where.FIELDS);
            return;
        }
        int own = workspace.from(first, type.getCompilationUnit());
        int at = unit.lineStart(fromComments(unit, own));
        boolean tight = first instanceof VariableTree && at == unit.lineStart(own);
        String base = unit.indentAt(workspace.from(type)) + unit.indent();
        script.insert(unit.file(), at, unit.styled(code, base) + unit.newLine() + (tight ? "" : unit.newLine()));
    }

    /** Whether a blank line stands between a field and the field before it. */
    private boolean isApart(Tree field, ClassTree tree, TreePath type) {
        Unit unit = workspace.unit(type);
        int at = tree.getMembers().indexOf(field);
        int above = unit.lineStart(fromComments(unit, workspace.from(field, type.getCompilationUnit())));
        return at > 0 && tree.getMembers().get(at - 1) instanceof VariableTree && above > 0 && unit.text().substring(unit.lineStart(above - 1), above).isBlank();
    }

    /** Whether nothing but a comment follows on the line. */
    private static boolean isLast(Unit unit, int offset) {
        String rest = unit.text().substring(offset, unit.lineEnd(offset)).strip();
        return rest.isEmpty() || rest.startsWith("//");
    }

    /** Whether a member has a value before the class is used for the first time. */
    private boolean isConstant(Tree member, TreePath type) {
        return member instanceof VariableTree && workspace.element(new TreePath(type, member)) instanceof VariableElement field && field.getModifiers().contains(Modifier.STATIC) && field.getConstantValue() != null;
    }

    private Tree last(ClassTree tree, Where where, TreePath type) {
        Tree found = null;
        int brace = openingBrace(type);
        for (Tree each : tree.getMembers()) {
            boolean constant = isEnumConstant(each, type);
            boolean field = each instanceof VariableTree;
            boolean constructor = each instanceof MethodTree method && method.getReturnType() == null;
            boolean counts = workspace.from(each, type.getCompilationUnit()) > brace && (constant || where == Where.END || field
                    || constructor && where == Where.CONSTRUCTORS) && !isImplicit(each, type);
            found = counts ? each : found;
        }
        return found;
    }

    private boolean isEnumConstant(Tree member, TreePath type) {
        return member instanceof VariableTree field && workspace.element(new TreePath(type, field)).getKind().name().equals("ENUM_CONSTANT");
    }

    /** A constructor that nobody wrote stands where its type stands. */
    private boolean isImplicit(Tree member, TreePath type) {
        return workspace.to(member, type.getCompilationUnit()) < 0
                || member instanceof MethodTree && !workspace.isWritten(workspace.element(new TreePath(type, member)));
    }

    private int openingBrace(TreePath type) {
        Unit unit = workspace.unit(type);
        int at = workspace.from(type);
        ClassTree tree = (ClassTree) type.getLeaf();
        for (Tree each : tree.getModifiers().getAnnotations()) {
            at = Math.max(at, workspace.to(each, type.getCompilationUnit()));
        }
        return unit.text().indexOf('{', at);
    }

    /** Lets a class implement one interface more. */
    public void implement(TreePath type, String contract) {
        Unit unit = workspace.unit(type);
        ClassTree tree = (ClassTree) type.getLeaf();
        List<? extends Tree> contracts = tree.getImplementsClause();
        if (!contracts.isEmpty()) {
            script.insert(unit.file(), workspace.to(contracts.get(contracts.size() - 1), unit.tree()), ", " + contract);
            return;
        }
        int from = Math.max(workspace.from(type), workspace.to(tree.getModifiers(), unit.tree()));
        int open = unit.text().indexOf('{', from);
        script.insert(unit.file(), unit.text().substring(0, open).stripTrailing().length(), " implements " + contract);
    }

    /** Takes a member out, with its comments and the empty line before it. */
    public void remove(TreePath member) {
        Unit unit = workspace.unit(member);
        int from = fromOwnComments(unit, workspace.from(member));
        int to = workspace.to(member);
        String text = unit.text();
        if (text.substring(unit.lineStart(from), from).isBlank()) {
            from = unit.lineStart(from);
        }
        if (text.substring(to, unit.lineEnd(to)).isBlank() && from == unit.lineStart(from)) {
            to = unit.lineEnd(to);
            int before = from > 1 ? unit.lineStart(from - 1) : from;
            int afterEnd = unit.lineEnd(to);
            boolean emptyBefore = before < from && text.substring(before, from).isBlank();
            boolean emptyAfter = to < text.length() && text.substring(to, afterEnd).isBlank();
            boolean closes = to < text.length() && text.substring(to, afterEnd).strip().startsWith("}");
            if (emptyBefore && (closes || emptyAfter || member.getLeaf() instanceof MethodTree)) {
                from = before;
            }
        }
        script.replace(unit.file(), from, to, "");
    }

    /** The same without lines above a documentation comment: these are the heading of what follows, and stay when one member goes. */
    private static int fromOwnComments(Unit unit, int declaration) {
        int from = fromComments(unit, declaration);
        int doc = unit.text().indexOf("/**", from);
        boolean heading = doc > from && doc < declaration && unit.text().substring(from, doc).lines().map(String::strip).allMatch(each -> each.isEmpty() || each.startsWith("//"));
        return heading ? doc : from;
    }

    /** Offset of the first of the comments that stand right before a declaration; the declaration's own where there is none. */
    public static int fromComments(Unit unit, int declaration) {
        String text = unit.text();
        int from = declaration;
        while (true) {
            int at = from;
            int ends = 0;
            while (at > 0 && Character.isWhitespace(text.charAt(at - 1))) {
                at--;
                ends += text.charAt(at) == '\n' ? 1 : 0;
            }
            if (ends <= 1 && at > 1 && text.startsWith("*/", at - 2)) {
                from = text.lastIndexOf("/*", at - 2);
            } else if (ends == 1 && text.substring(unit.lineStart(at), at).strip().startsWith("//")) {
                from = unit.lineStart(at) + unit.indentAt(at).length();
            } else {
                return from;
            }
        }
    }

    /** What a declaration's modifiers are, without annotations; as written. */
    public static List<String> modifiers(MethodTree tree) {
        return tree.getModifiers().getFlags().stream().map(Object::toString).toList();
    }
}
