package driftwood.refactor.java.recipe.kind;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.pattern.Words;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Completion;
import driftwood.refactor.java.decision.Decision;
import driftwood.refactor.java.decision.Decision.Arm;
import driftwood.refactor.java.decision.Decision.Asking;
import driftwood.refactor.java.decision.DecisionPlace;
import driftwood.refactor.java.decision.InPlace;
import driftwood.refactor.java.decision.Outcome;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Code;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Imports;
import driftwood.refactor.java.ground.LocalRecipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Within;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Detail.Place;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.RoutineFacts.Mismatch;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;

/** adapter: one interface for what a client wants, an adapter to it for each who does it in another way, and one routine that chooses. */
public final class OneWay implements LocalRecipe {

    @Override
    public String pattern() {
        return "adapter";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Mismatch;
    }

    @Override
    public void write(Drafting drafting) {
        new Adapting(drafting, (Mismatch) drafting.finding().detail()).write();
    }

    /** Whom an arm asks, as it names it. */
    private record Adaptee(TypeElement type, String text, String adapter, String field) {
    }

    private static final class Adapting {
        private final Drafting drafting;
        private final Mismatch fact;
        private final Workspace workspace;
        private final DecisionPlace place;
        private final Unit unit;
        private final Decision decision;
        private final Outcome outcome;
        private final Map<Arm, Adaptee> adaptees = new LinkedHashMap<>();
        private final Set<VariableElement> needs = new LinkedHashSet<>();
        private final String target;
        private final boolean inner;

        Adapting(Drafting drafting, Mismatch fact) {
            this.drafting = drafting;
            this.fact = fact;
            this.workspace = drafting.workspace();
            this.place = DecisionPlace.of(workspace, fact.chain(), Asking.ANYTHING);
            this.unit = place.unit();
            this.decision = place.decision();
            this.outcome = Outcome.of(workspace, decision, Set.of()).ending(workspace, decision, false);
            boolean selects = decision.around().getLeaf().getKind() == Tree.Kind.SWITCH && !decision.all().stream().allMatch(each -> each.body().size() == 1
                    && (each.body().get(0).getLeaf() instanceof ReturnTree || isThrowing(each)));
            if (selects || decision.otherwise().isEmpty() || outcome.needsOld()) {
                throw new Refused(decision.otherwise().isEmpty() ? "where nobody is chosen nothing is done" : "the choice cannot be told from what is done");
            }
            if (place.home().getKind().isInterface() || !place.home().getTypeParameters().isEmpty() || !place.around().getTypeParameters().isEmpty()) {
                throw new Refused(place.home().getSimpleName() + " is an interface, or type parameters are around");
            }
            for (Arm each : decision.all()) {
                if (!isThrowing(each)) {
                    adaptees.put(each, adaptee(each, fact));
                }
            }
            boolean asks = false;
            for (Map.Entry<Arm, Adaptee> each : adaptees.entrySet()) {
                Captures left = Captures.of(workspace, each.getKey().body());
                String own = each.getValue().text().replaceFirst("^this\\.", "");
                left.read().stream().filter(one -> !one.getSimpleName().contentEquals(own) && !isCast(each.getValue().text(), one)).forEach(needs::add);
                asks |= left.namesThis() || left.asksSuper() || left.members().stream().anyMatch(one -> !one.getSimpleName().contentEquals(own));
            }
            needs.remove(outcome.variable());
            this.inner = asks;
            if (asks && place.around().getModifiers().contains(Modifier.STATIC)) {
                throw new Refused("the arms need the object around");
            }
            this.target = drafting.name("target", Words.upper(place.word()) + "Way");
            for (Element each : place.home().getEnclosedElements()) {
                if (each.getSimpleName().contentEquals(target) || each.getSimpleName().contentEquals(Words.lower(target)) || adaptees.values().stream().anyMatch(one -> each.getSimpleName().contentEquals(one.adapter()))) {
                    throw new Refused(place.home().getSimpleName() + " has a member " + each.getSimpleName() + " already; give another name with --name target=NAME");
                }
            }
        }

        private static boolean isThrowing(Arm arm) {
            return arm.body().size() == 1 && arm.body().get(0).getLeaf().getKind() == Tree.Kind.THROW;
        }

        private static boolean isCast(String text, VariableElement variable) {
            return text.startsWith("(") && text.matches("(?s).*\\b" + variable.getSimpleName() + "\\b.*");
        }

        /** The one object of an adaptee's type that an arm asks. */
        private Adaptee adaptee(Arm arm, Mismatch fact) {
            Map<String, TypeElement> asked = new LinkedHashMap<>();
            arm.body().forEach(each -> new TreePathScanner<Void, Void>() {
                @Override
                public Void visitMemberSelect(MemberSelectTree tree, Void nothing) {
                    TreePath on = new TreePath(getCurrentPath(), tree.getExpression());
                    if (isPlain(on) && workspace.trees().getTypeMirror(on) != null && workspace.types().asElement(workspace.trees().getTypeMirror(on)) instanceof TypeElement type
                            && fact.adaptees().stream().anyMatch(type.getQualifiedName()::contentEquals) && !(workspace.element(on) instanceof TypeElement)) {
                        asked.put(workspace.text(on), type);
                    }
                    return super.visitMemberSelect(tree, nothing);
                }
            }.scan(each, null));
            if (asked.size() != 1) {
                throw new Refused("an arm asks " + (asked.isEmpty() ? "nobody by a plain name" : "several: " + String.join(", ", asked.keySet())));
            }
            String text = asked.keySet().iterator().next();
            TypeElement type = asked.values().iterator().next();
            String field = Words.lower(type.getSimpleName().toString());
            return new Adaptee(type, text, type.getSimpleName() + "Adapter", field);
        }

        /** A variable, an own field, or one of them cast: asking for it twice comes to the same. */
        private static boolean isPlain(TreePath path) {
            Tree tree = path.getLeaf();
            if (tree instanceof ParenthesizedTree inside) {
                return isPlain(new TreePath(path, inside.getExpression()));
            }
            return tree instanceof TypeCastTree cast ? isPlain(new TreePath(path, cast.getExpression()))
                    : tree instanceof IdentifierTree || tree instanceof MemberSelectTree select && select.getExpression().toString().equals("this");
        }

        void write() {
            List<String> types = new ArrayList<>(List.of(contract()));
            Set<String> taken = new LinkedHashSet<>();
            adaptees.forEach((arm, each) -> {
                if (!taken.add(each.adapter())) {
                    throw new Refused("two arms ask a " + each.type().getSimpleName());
                }
                types.add(adapter(arm, each));
            });
            drafting.script().stage("Add " + target + " for what " + place.around().getSimpleName() + "() wants, and an adapter to it for each who does it",
                    adaptees.entrySet().stream().map(each -> workspace.place(each.getKey().body().get(0), each.getValue().adapter())).toList());
            drafting.declarations().add(place.path(), String.join("\n\n", types), Where.END);
            List<DecisionPlace> again = again();
            List<Evidence> places = new ArrayList<>(List.of(place.evidence("the choice")));
            again.forEach(each -> places.add(each.evidence("the same choice again")));
            Set<String> asking = new LinkedHashSet<>(List.of(place.around().getSimpleName() + "()"));
            again.forEach(each -> asking.add(each.around().getSimpleName() + "()"));
            drafting.script().stage("Let " + String.join(" and ", asking) + " choose in one place, and ask whom it chose", places);
            drafting.declarations().add(place.path(), choice(), Where.END);
            String call = Words.lower(target) + "(" + Imports.arguments(choosing()) + ")." + place.word() + "(" + Imports.arguments(needs) + ")";
            new InPlace(drafting, decision, outcome).put(call);
            again.forEach(each -> new InPlace(drafting, each.decision(), Outcome.of(workspace, each.decision(), Set.of()).ending(workspace, each.decision(), false)).put(call));
        }

        /** Where the same type makes the same choice once more, word for word, of variables of the same types. */
        private List<DecisionPlace> again() {
            List<DecisionPlace> again = new ArrayList<>();
            for (Place each : fact.places()) {
                try {
                    DecisionPlace other = DecisionPlace.of(workspace, each.symbol(), each.line(), Asking.ANYTHING);
                    if (other.home().equals(place.home()) && text(other).equals(text(place)) && types(other.decision()).equals(types(decision))) {
                        again.add(other);
                    }
                } catch (Refused e) {
                    // It is written in another way, and stays.
                    continue;
                }
            }
            return again;
        }

        private String text(DecisionPlace of) {
            return Code.compact(of.unit().text().substring(of.decision().from(), of.decision().to()));
        }

        private Map<String, String> types(Decision of) {
            Map<String, String> types = new LinkedHashMap<>();
            of.all().forEach(arm -> {
                List<TreePath> parts = new ArrayList<>(arm.labels());
                parts.addAll(arm.body());
                Captures.of(workspace, parts).read().forEach(each -> types.put(each.getSimpleName().toString(), each.asType().toString()));
            });
            return types;
        }

        private String contract() {
            return "/** One way to do what " + place.around().getSimpleName() + "() wants. */\nprivate interface " + target + " {\n    " + signature() + ";\n}";
        }

        private String signature() {
            return drafting.imports().name(outcome.type(), unit) + " " + place.word() + "(" + drafting.imports().parameters(needs, unit) + ")" + drafting.imports().thrown(outcome.thrown(), unit);
        }

        private String adapter(Arm arm, Adaptee of) {
            String type = drafting.imports().name(of.type(), unit);
            String field = needs.stream().anyMatch(each -> each.getSimpleName().contentEquals(of.field())) ? "adaptee" : of.field();
            String code = outcome.code(workspace, arm, each -> anew(each, of, field), kind -> drafting.imports().name(kind, unit));
            return "private " + (inner ? "" : "static ") + "final class " + of.adapter() + " implements " + target + " {\n    private final " + type + " " + field + ";\n\n    " + of.adapter() + "(" + type + " " + field + ") {\n        this."
                    + field + " = " + field + ";\n    }\n\n    @Override\n    public " + signature() + Code.deeper(Code.block(code)) + "\n}";
        }

        private Optional<String> anew(TreePath path, Adaptee of, String field) {
            if (path.getLeaf() instanceof ExpressionTree && isPlain(path) && workspace.text(path).equals(of.text())) {
                return Optional.of(field);
            }
            return new Within(workspace, place.home(), place.word()::equals).anew(path);
        }

        /** What the choice is told: all that conditions and receivers name. */
        private Set<VariableElement> choosing() {
            Set<VariableElement> told = new LinkedHashSet<>();
            decision.arms().forEach(each -> told.addAll(Captures.of(workspace, each.labels()).read()));
            if (decision.subject() != null) {
                told.addAll(Captures.of(workspace, List.of(decision.subject())).read());
            }
            decision.all().forEach(each -> Captures.of(workspace, each.body()).read().stream()
                    .filter(one -> !needs.contains(one) || adaptees.containsKey(each) && one.getSimpleName().contentEquals(adaptees.get(each).text())).forEach(told::add));
            decision.all().stream().filter(each -> !adaptees.containsKey(each)).forEach(each -> told.addAll(Captures.of(workspace, each.body()).read()));
            told.remove(outcome.variable());
            return told;
        }

        /** The decision with a creation for each arm. */
        private String choice() {
            boolean bound = inner || place.around().getModifiers().stream().noneMatch(each -> each == Modifier.STATIC);
            String head = "private " + (bound ? "" : "static ") + target + " " + Words.lower(target) + "(" + drafting.imports().parameters(choosing(), unit) + ")" + drafting.imports().thrown(thrown(), unit);
            StringBuilder code = new StringBuilder();
            int at = decision.from();
            for (Arm each : decision.all()) {
                if (adaptees.containsKey(each)) {
                    Adaptee of = adaptees.get(each);
                    boolean statement = each.body().get(0).getLeaf() instanceof StatementTree;
                    code.append(unit.text(), at, each.whole()[0]).append(statement ? "return " : "").append("new ").append(of.adapter()).append("(").append(bare(of.text())).append(")").append(statement ? ";" : "");
                    at = each.whole()[1];
                }
            }
            code.append(unit.text(), at, decision.to());
            String text = unit.bare(code.toString(), unit.indentAt(decision.from()));
            return head + Code.block(decision.isValue() ? "return " + text + ";" : text);
        }

        /** Where an arm that throws stays, what it throws does. */
        private Set<javax.lang.model.type.TypeMirror> thrown() {
            return decision.all().stream().anyMatch(each -> !adaptees.containsKey(each) && !Completion.canComplete(each.body())) ? outcome.thrown() : Set.of();
        }

        private static String bare(String text) {
            return text.startsWith("(") && text.endsWith(")") ? text.substring(1, text.length() - 1) : text;
        }
    }
}
