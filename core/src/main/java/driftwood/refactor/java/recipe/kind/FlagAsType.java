package driftwood.refactor.java.recipe.kind;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.pattern.NamedValues;
import driftwood.pattern.Words;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Declarations;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Moving;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.RoutineFacts.Flag;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;

/** strategy for a flag, its beginning: the two sides of the flag get names, as the constants of a type of their own. */
public final class FlagAsType implements FlagRecipe {

    @Override
    public boolean goesOn() {
        return true;
    }

    @Override
    public void write(Drafting drafting) {
        Flag fact = (Flag) drafting.finding().detail();
        new Naming(drafting, drafting.workspace().routine(fact.routine()), fact.at()).write();
    }

    private static final class Naming {
        private final Drafting drafting;
        private final Workspace workspace;
        private final ExecutableElement routine;
        private final VariableElement flag;
        private final int at;
        private final TypeElement owner;
        private final TreePath path;
        private final Unit unit;
        private final List<Call> calls;

        Naming(Drafting drafting, ExecutableElement routine, int at) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.routine = routine;
            this.flag = routine.getParameters().get(at);
            this.at = at;
            this.owner = (TypeElement) routine.getEnclosingElement();
            this.path = workspace.path(routine).orElseThrow();
            this.unit = workspace.unit(path);
            Calls all = new Calls(workspace);
            if (all.family(routine).size() > 1 || workspace.tree(routine).getBody() == null) {
                throw new Refused(Constructors.told(routine) + " is overridden: each of its bodies would have two sides of its own");
            }
            boolean inner = owner.getNestingKind() != NestingKind.TOP_LEVEL && !owner.getModifiers().contains(Modifier.STATIC);
            if (flag.asType().getKind() != TypeKind.BOOLEAN || owner.getNestingKind() == NestingKind.LOCAL || inner && !drafting.hasRecords()) {
                throw new Refused(inner ? owner.getSimpleName() + " is an inner class, which holds no enum at this level of the language" : "the flag is no plain boolean");
            }
            if (routine.getKind() == ElementKind.CONSTRUCTOR) {
                Constructors.refuseAnnotated(routine);
            }
            this.calls = all.of(Set.of(routine));
        }

        void write() {
            String own = flag.getSimpleName().toString();
            String word = own.replaceFirst("^(is|has|with|should|do|use)(?=[A-Z])", "");
            String verb = routine.getKind() == ElementKind.CONSTRUCTOR ? owner.getSimpleName().toString() : Words.upper(routine.getSimpleName().toString());
            String type = drafting.typeName("strategy", owner, verb + "Mode", verb + Words.upper(word));
            String yes = drafting.name("true", constant(word));
            String no = drafting.name("false", yes.equals("PLAIN") ? "OTHER" : "PLAIN");
            String name = routine.getParameters().stream().anyMatch(each -> each.getSimpleName().contentEquals("mode")) || isDeclared("mode") ? own : "mode";
            drafting.script().stage("Give the two sides of " + own + " names: " + type + "." + yes + " and " + type + "." + no, List.of(workspace.place(path, "asks " + own)));
            drafting.names(new NamedValues(type, List.of(yes, no), workspace.place(path, type)));
            String open = routine.getModifiers().contains(Modifier.PRIVATE) ? "private " : Drafting.visibility(routine);
            drafting.declarations().add(workspace.path(owner).orElseThrow(), "/** How " + Constructors.told(routine).replaceFirst("\\(.*", "()") + " works. */\n"
                    + (owner.getKind().isInterface() ? "" : open) + "enum " + type + " {\n    " + yes + ",\n    " + no + "\n}", Where.END);
            for (TreePath use : workspace.uses().of(flag, path)) {
                ask(use, name, type + ".", yes, no);
            }
            declare(name, type);
            for (Call each : calls) {
                hand(each, type, yes, no);
            }
            drafting.changes(routine);
        }

        private boolean isDeclared(String name) {
            return workspace.text(path).matches("(?s).*\\b" + name + "\\b.*");
        }

        private static String constant(String word) {
            return word.replaceAll("(?<=[a-z0-9])(?=[A-Z])", "_").toUpperCase(Locale.ROOT);
        }

        /** A condition that asks the flag alone asks for a constant. */
        private void ask(TreePath use, String name, String type, String yes, String no) {
            if (Moving.isWritten(use)) {
                throw new Refused(Constructors.told(routine) + " gives its flag " + flag + " another value");
            }
            TreePath whole = use;
            boolean turned = false;
            while (whole.getParentPath().getLeaf() instanceof ParenthesizedTree || whole.getParentPath().getLeaf().getKind() == Tree.Kind.LOGICAL_COMPLEMENT) {
                whole = whole.getParentPath();
                turned ^= whole.getLeaf().getKind() == Tree.Kind.LOGICAL_COMPLEMENT;
            }
            TreePath around = whole.getParentPath();
            boolean alone = around.getLeaf() instanceof IfTree choice && choice.getCondition() == whole.getLeaf()
                    || around.getLeaf() instanceof ConditionalExpressionTree either && either.getCondition() == whole.getLeaf();
            if (!alone) {
                throw new Refused("the flag is asked together with something else, or handed on: " + workspace.unit(use).file() + ":" + workspace.unit(use).line(workspace.from(use)));
            }
            String asked = name + " == " + type + (turned ? no : yes);
            drafting.script().replace(unit.file(), workspace.from(whole), workspace.to(whole), around.getLeaf() instanceof IfTree ? "(" + asked + ")" : asked);
        }

        private void declare(String name, String type) {
            VariableTree tree = ((MethodTree) path.getLeaf()).getParameters().get(at);
            TreePath declared = new TreePath(path, tree);
            TreePath kind = new TreePath(declared, tree.getType());
            drafting.script().replace(unit.file(), workspace.from(kind), workspace.to(declared), type + " " + name);
            int from = Declarations.fromComments(unit, workspace.from(path));
            String comment = unit.text().substring(from, workspace.from(path));
            String said = Comments.ofParameter(comment, flag.getSimpleName().toString());
            int begin = said.isEmpty() ? -1 : comment.indexOf(flag.getSimpleName().toString(), comment.indexOf("@param " + flag.getSimpleName()));
            if (begin >= 0) {
                int length = flag.getSimpleName().length();
                int text = begin + length;
                while (Character.isWhitespace(comment.charAt(text))) {
                    text++;
                }
                boolean whether = comment.startsWith("whether ", text);
                drafting.script().replace(unit.file(), from + begin, from + (whether ? text : begin + length), name + (whether ? comment.substring(begin + length, text) + "says " : ""));
            }
        }

        private void hand(Call call, String type, String yes, String no) {
            drafting.callSite(call.path());
            TreePath argument = call.arguments().get(at);
            Unit site = workspace.unit(call.path());
            String of = Uses.isWithin(call.path(), workspace.path(owner).orElseThrow()) ? type + "." : drafting.imports().name(owner, site) + "." + type + ".";
            int from = workspace.from(argument);
            if (argument.getLeaf() instanceof LiteralTree literal) {
                drafting.script().replace(site.file(), from, workspace.to(argument), of + (Boolean.TRUE.equals(literal.getValue()) ? yes : no));
            } else {
                boolean plain = argument.getLeaf().getKind() != Tree.Kind.CONDITIONAL_EXPRESSION && !(argument.getLeaf() instanceof AssignmentTree);
                drafting.script().insert(site.file(), from, plain ? "" : "(");
                drafting.script().insert(site.file(), workspace.to(argument), (plain ? "" : ")") + " ? " + of + yes + " : " + of + no);
            }
        }
    }
}
