package driftwood.refactor.java.recipe.kind;

import com.sun.source.tree.ReturnTree;
import com.sun.source.util.TreePath;
import driftwood.pattern.Words;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Decision.Arm;
import driftwood.refactor.java.decision.Decision.Asking;
import driftwood.refactor.java.decision.Decision;
import driftwood.refactor.java.decision.DecisionPlace;
import driftwood.refactor.java.decision.OutcomeKind;
import driftwood.refactor.java.decision.Thrown;
import driftwood.refactor.java.decision.Outcome;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Code;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Imports;
import driftwood.refactor.java.ground.LocalRecipe;
import driftwood.refactor.java.ground.Rewriting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Within;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.RoutineFacts.Limits;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.DeclaredType;

/** chain-of-responsibility: a handler for each rung, asked in the order of one list; what stands past the last answers the rest. */
public final class HandlersInTurn implements LocalRecipe {
    private static final Pattern LIMIT = Pattern.compile("(<=|<|>=|>|==)\\s*([\\w.]+)");

    @Override
    public String pattern() {
        return "chain-of-responsibility";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Limits;
    }

    @Override
    public void write(Drafting drafting) {
        new Chaining(drafting, (Limits) drafting.finding().detail()).write();
    }

    private static final class Chaining {
        private final Drafting drafting;
        private final Workspace workspace;
        private final DecisionPlace place;
        private final ExecutableElement around;
        private final TypeElement home;
        private final TreePath homePath;
        private final Unit unit;
        private final Decision decision;
        private final Outcome outcome;
        /** What conditions ask. */
        private final Set<VariableElement> asked = new LinkedHashSet<>();
        private final String handler;
        private final String list;
        private final boolean isStatic;

        Chaining(Drafting drafting, Limits fact) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.place = DecisionPlace.of(workspace, fact.chain(), Asking.ANYTHING);
            this.around = place.around();
            this.home = place.home();
            this.homePath = place.path();
            this.unit = place.unit();
            this.decision = place.decision();
            this.outcome = Outcome.of(workspace, decision, Set.of());
            if (outcome.kind() == OutcomeKind.VALUE && !(decision.around().getParentPath().getLeaf() instanceof ReturnTree)) {
                throw new Refused("the ladder stands in the middle of an expression");
            }
            if (home.getKind().isInterface() || !home.getTypeParameters().isEmpty()) {
                throw new Refused(home.getSimpleName() + " is an interface or has type parameters");
            }
            boolean asks = outcome.asks();
            for (Arm each : decision.arms()) {
                Captures captures = Captures.of(workspace, each.labels());
                if (!captures.written().isEmpty()) {
                    throw new Refused("a condition sets a local");
                }
                asks |= captures.needsObject();
                asked.addAll(captures.read());
            }
            this.isStatic = !asks || around.getModifiers().contains(Modifier.STATIC);
            String word = handled();
            this.handler = drafting.name("handler", Words.upper(word) + "Handler");
            this.list = drafting.name("chain", isStatic ? Words.constant(word) + "_HANDLERS" : word + "Handlers");
            if (home.getEnclosedElements().stream().anyMatch(each -> each.getSimpleName().contentEquals(handler) || each.getSimpleName().contentEquals(list))) {
                throw new Refused(home.getSimpleName() + " has a " + handler + " or " + list + " already");
            }
        }

        /** What its handlers are called after: the routine, or what is handled where the routine says no more than that. */
        private String handled() {
            String word = around.getSimpleName().toString();
            String what = word.replaceFirst("^(handle|process)", "");
            boolean one = what.isEmpty() && around.getParameters().size() == 1 && around.getParameters().get(0).asType() instanceof DeclaredType type && workspace.isHere(type.asElement());
            return one ? Words.lower(((DeclaredType) around.getParameters().get(0).asType()).asElement().getSimpleName().toString())
                    : what.isEmpty() ? "request" : Character.isUpperCase(what.charAt(0)) ? Words.lower(what) : word;
        }

        void write() {
            Set<String> taken = new HashSet<>(home.getEnclosedElements().stream().map(each -> each.getSimpleName().toString()).toList());
            StringBuilder handlers = new StringBuilder();
            List<String> order = new ArrayList<>();
            List<Evidence> places = new ArrayList<>();
            for (Arm each : decision.arms()) {
                String name = named(workspace.text(each.labels().get(0)), order.size() + 1, taken);
                order.add(name);
                places.add(workspace.place(each.labels().get(0), name));
                handlers.append("\n\n").append(handler(name, text(each.labels().get(0)), each));
            }
            boolean last = decision.otherwise().isPresent() && (outcome.kind() == OutcomeKind.ACTS || outcome.kind() == OutcomeKind.SETS);
            if (last) {
                order.add(named("", 0, taken));
                handlers.append("\n\n").append(handler(order.get(order.size() - 1), "true", decision.otherwise().get()));
            }
            drafting.script().stage("Give each rung of " + around.getSimpleName() + "() a handler, and put them in order in one list", places);
            String head = "/** One rung of " + around.getSimpleName() + "(): it says whether the request is its own, and answers it. */\nprivate interface " + handler + " {\n    " + accepting().replaceAll("\\bfinal ", "") + ";\n\n    " + answering().replaceAll("\\bfinal ", "") + ";\n}";
            drafting.declarations().add(homePath, head + handlers, Where.END);
            String made = order.stream().map(each -> "new " + each + "()").collect(Collectors.joining(", "));
            String util = drafting.imports().platform("java.util.List", unit) + "<" + handler + ">";
            String kept = "final " + util + " " + list + " = " + (drafting.hasShortForms() ? drafting.imports().platform("java.util.List", unit) + ".of(" : drafting.imports().platform("java.util.Arrays", unit) + ".asList(") + made + ");";
            if (isStatic) {
                drafting.declarations().addFirst(homePath, "private static " + kept);
            } else {
                drafting.declarations().add(homePath, "private " + kept, Where.FIELDS);
            }
            drafting.script().stage("Let " + around.getSimpleName() + "() ask them in turn", List.of(place.evidence("the ladder")));
            replace();
        }

        private static String named(String condition, int number, Set<String> taken) {
            Matcher limit = LIMIT.matcher(condition);
            String name = number == 0 ? "AllOthers" : "Rung" + number;
            if (limit.find()) {
                String at = limit.group(2).replaceAll(".*\\.(?=[A-Z])", "");
                boolean capitals = at.equals(at.toUpperCase(Locale.ROOT));
                StringBuilder word = new StringBuilder();
                for (String part : at.split("[_.]")) {
                    word.append(part.isEmpty() ? "" : Words.upper(capitals ? part.toLowerCase(Locale.ROOT) : part));
                }
                name = switch (limit.group(1)) {
                    case "<=" -> "UpTo";
                    case "<" -> "Below";
                    case ">=" -> "From";
                    case ">" -> "Over";
                    default -> "At";
                } + word;
            }
            String free = name;
            for (int i = 2; !taken.add(free); i++) {
                free = name + "No" + i;
            }
            return free;
        }

        /** How a handler is asked whether a request is its own. */
        private String accepting() {
            List<TreePath> conditions = decision.arms().stream().flatMap(each -> each.labels().stream()).toList();
            return "boolean accepts(" + drafting.imports().parameters(asked, unit) + ")" + drafting.imports().thrown(Thrown.by(workspace, conditions), unit);
        }

        private String answering() {
            return drafting.imports().name(outcome.type(), unit) + " answer(" + drafting.imports().parameters(outcome.needs(), unit) + ")" + drafting.imports().thrown(outcome.thrown(), unit);
        }

        /** The object around is not the handler. */
        private Function<TreePath, Optional<String>> moved() {
            return new Within(workspace, home, Set.of("accepts", "answer")::contains)::anew;
        }

        private String text(TreePath condition) {
            return new Rewriting(workspace, moved()).of(condition);
        }

        private String handler(String name, String condition, Arm arm) {
            String code = outcome.code(workspace, arm, moved(), type -> drafting.imports().name(type, unit));
            return "private " + (isStatic ? "static " : "") + "final class " + name + " implements " + handler + " {\n    @Override\n    public " + accepting() + " {\n        return " + condition + ";\n    }\n\n    @Override\n    public " + answering() + Code.deeper(Code.block(code)) + "\n}";
        }

        private void replace() {
            boolean value = outcome.kind() == OutcomeKind.VALUE;
            int from = value ? workspace.from(decision.around().getParentPath()) : decision.from();
            int to = value ? workspace.to(decision.around().getParentPath()) : decision.to();
            String call = "each.answer(" + Imports.arguments(outcome.needs()) + ")";
            boolean returns = value || outcome.kind() == OutcomeKind.RETURNS;
            String use = value ? "return " + call + ";" : outcome.use(call) + (returns ? "" : "\nbreak;");
            StringBuilder text = new StringBuilder("for (" + handler + " each : " + list + ") {\n    if (each.accepts(" + Imports.arguments(asked) + ")) {\n        " + use.replace("\n", "\n        ") + "\n    }\n}");
            if (returns) {
                decision.otherwise().filter(arm -> !arm.body().isEmpty()).ifPresent(arm -> text.append("\n").append(value ? "return " + workspace.text(arm.body().get(0)) + ";" : unit.bare(arm.whole()[0], arm.whole()[1])));
            }
            String indent = unit.indentAt(from);
            drafting.script().replace(unit.file(), from, to, unit.styled(text.toString(), indent).substring(indent.length()));
        }
    }
}
