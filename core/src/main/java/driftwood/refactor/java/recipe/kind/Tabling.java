package driftwood.refactor.java.recipe.kind;

import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.pattern.Handlers;
import driftwood.pattern.Words;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Completion;
import driftwood.refactor.java.decision.Decision.Arm;
import driftwood.refactor.java.decision.Decision.Asking;
import driftwood.refactor.java.decision.Decision;
import driftwood.refactor.java.decision.DecisionPlace;
import driftwood.refactor.java.decision.Labels;
import driftwood.refactor.java.decision.Nulls;
import driftwood.refactor.java.decision.OutcomeKind;
import driftwood.refactor.java.decision.Outcome;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Code;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Chain;
import driftwood.smell.Evidence;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;

/** Writes the table that a decision becomes, and the look-up in it. */
final class Tabling {
    private final Drafting drafting;
    private final Workspace workspace;
    private final DecisionPlace place;
    private final TypeElement home;
    private final TreePath homePath;
    private final Unit unit;
    private final Decision decision;
    private final Outcome outcome;
    private final TypeMirror key;
    private final String routine;
    private final String handler;
    private final String table;
    private final boolean isBound;
    private final boolean isNamed;
    /** Whether each entry is an object of a class of its own. */
    private final boolean ofObjects;

    /** @param ofObjects whether each entry is an object of a class of its own, instead of a function */
    Tabling(Drafting drafting, Chain chain, boolean ofObjects) {
        this.drafting = drafting;
        this.workspace = drafting.workspace();
        this.place = DecisionPlace.of(workspace, chain, Asking.FOLDED);
        this.home = place.home();
        this.homePath = place.path();
        this.unit = place.unit();
        this.decision = place.decision();
        if (ofObjects && decision.arms().stream().flatMap(each -> each.labels().stream()).map(workspace::element).anyMatch(label -> label != null && label.getKind() == ElementKind.ENUM_CONSTANT)) {
            throw Refused.ofAnother();
        }
        for (Arm each : decision.arms()) {
            if (each.labels().stream().map(workspace::element).anyMatch(label -> label instanceof TypeElement)) {
                throw new Refused("the arms ask for types: a table by class would pass over subclasses");
            }
        }
        if (decision.arms().stream().mapToInt(each -> each.labels().size()).sum() < 2) {
            throw new Refused("there is one key only: a table of one says no more than the question");
        }
        Labels.refuseRepeated(workspace, decision);
        this.outcome = Outcome.of(workspace, decision, Set.of());
        TypeMirror asked = workspace.trees().getTypeMirror(decision.subject());
        this.key = asked.getKind().isPrimitive() ? workspace.types().boxedClass(workspace.types().getPrimitiveType(asked.getKind())).asType() : asked;
        if (!(key instanceof DeclaredType)) {
            throw new Refused(workspace.text(decision.subject()) + " has no type that could be a key");
        }
        this.isBound = outcome.asks();
        if (home.getKind().isInterface()) {
            throw new Refused(home.getSimpleName() + " is an interface: a table in it would be there for everybody");
        }
        if (isBound && !home.getTypeParameters().isEmpty()) {
            throw new Refused(home.getSimpleName() + " has type parameters");
        }
        this.routine = place.word();
        this.ofObjects = ofObjects;
        String usual = free(ofObjects ? Handlers.rule(routine) : Handlers.type(chain));
        this.handler = drafting.name(ofObjects ? "strategy" : "handler", usual);
        this.isNamed = ofObjects || !handler.equals(usual);
        this.table = drafting.name("registry", free(ofObjects ? Words.constant(Handlers.rule(routine)) + "S" : Handlers.table(chain)));
    }

    private String free(String name) {
        boolean taken = home.getEnclosedElements().stream().anyMatch(each -> each.getSimpleName().contentEquals(name));
        return taken ? name + (name.equals(name.toUpperCase(Locale.ROOT)) ? "_BY_KEY" : "ByKey") : name;
    }

    void write() {
        Map<Arm, String> entries = new LinkedHashMap<>();
        Map<Arm, String> routines = new LinkedHashMap<>();
        Set<String> taken = new HashSet<>();
        List<Evidence> places = new ArrayList<>();
        List<Arm> arms = new ArrayList<>(decision.arms());
        boolean rest = outcome.kind() == OutcomeKind.VALUE && decision.otherwise().isPresent();
        if (rest) {
            arms.add(decision.otherwise().get());
        }
        EntryObjects objects = new EntryObjects(drafting, place, outcome, handler);
        for (Arm each : arms) {
            if (ofObjects) {
                String made = objects.add(each, "public " + result() + " apply(" + told() + ")" + thrown());
                entries.put(each, "new " + made + "()");
                places.addAll(each.labels().isEmpty() ? List.of() : List.of(workspace.place(each.labels().get(0), "becomes a " + made)));
                continue;
            }
            Optional<String> inPlace = isBound ? ownCall(each) : HandlerType.inPlace(code(each), needs(), isOneCall(each));
            if (inPlace.isEmpty()) {
                routines.put(each, named(each.labels().isEmpty() ? "Other" : Labels.word(workspace, each.labels().get(0)), taken));
                places.addAll(each.labels().isEmpty() ? List.of() : List.of(workspace.place(each.labels().get(0), "becomes " + routines.get(each) + "()")));
            }
            entries.put(each, inPlace.orElse(home.getSimpleName() + "::" + routines.get(each)));
        }
        if (!routines.isEmpty()) {
            drafting.script().stage("Give " + (routines.size() == arms.size() ? "each arm" : "what is longer than a line") + " of " + routine + "() a routine of its own", places);
            routines.forEach((arm, name) -> drafting.declarations().add(homePath, extracted(arm, name), Where.END));
        }
        if (!ofObjects) {
            drafting.script().stage("Gather them in a table by key", List.of(workspace.place(homePath, table)));
        }
        HandlerType type = HandlerType.of(drafting, unit, outcome, isBound ? Optional.of(home) : Optional.empty(), needs(), routine, handler, isNamed);
        if (ofObjects) {
            drafting.script().stage("Give each arm of " + routine + "() an object of its own, and put them into a table", places);
        }
        addTable(entries, type);
        objects.write(homePath);
        drafting.script().stage("Let " + routine + "() look up what to do", List.of(place.evidence("the decision")));
        replace(rest ? entries.get(decision.otherwise().get()) : "", type);
    }

    /** The routine of the object around that an arm only calls, handed the very same, where no other is called so. */
    private Optional<String> ownCall(Arm arm) {
        String code = code(arm).replaceFirst("^return ", "");
        String handed = "(" + needs().stream().map(each -> each.getSimpleName().toString()).collect(Collectors.joining(", ")) + ");";
        String called = code.endsWith(handed) ? code.substring(0, code.length() - handed.length()).replaceFirst("^this\\.", "") : "";
        List<? extends Element> own = home.getEnclosedElements().stream().filter(each -> each.getKind() == ElementKind.METHOD && hasName(each, called)).toList();
        return own.size() == 1 && !own.get(0).getModifiers().contains(Modifier.STATIC) ? Optional.of(home.getSimpleName() + "::" + called) : Optional.empty();
    }

    private static boolean isOneCall(Arm arm) {
        return arm.body().size() == 1 && arm.body().get(0).getLeaf() instanceof ExpressionStatementTree;
    }

    private String named(String label, Set<String> taken) {
        String name = routine + label;
        while (!taken.add(name) || home.getEnclosedElements().stream().anyMatch(each -> each.getKind() == ElementKind.METHOD && hasName(each, routine + label)) && !name.endsWith("Only")) {
            name = name + "Only";
        }
        return name;
    }

    private static boolean hasName(Element each, String name) {
        return each.getSimpleName().contentEquals(name);
    }

    /** What a handler is told; what stands where it is needs nothing to be handed to it. */
    private Set<VariableElement> needs() {
        if (outcome.kind() == OutcomeKind.VALUE) {
            return outcome.needs();
        }
        Set<VariableElement> needs = new LinkedHashSet<>(outcome.needs());
        needs.removeIf(each -> !each.equals(outcome.variable()) && decision.arms().stream().noneMatch(arm -> Captures.of(workspace, arm.body()).read().contains(each) || Captures.of(workspace, arm.body()).written().contains(each)));
        return needs;
    }

    private String parameters() {
        return drafting.imports().parameters(needs(), unit);
    }

    /** What an object of the table is told: the object around first, where it needs that. */
    private String told() {
        String around = isBound ? home.getSimpleName() + " " + Words.lower(home.getSimpleName().toString()) + (needs().isEmpty() ? "" : ", ") : "";
        return around + parameters().replaceAll("\\bfinal ", "");
    }

    private String thrown() {
        return drafting.imports().thrown(outcome.thrown(), unit);
    }

    private String result() {
        return drafting.imports().name(outcome.type(), unit);
    }

    private String extracted(Arm arm, String name) {
        return "private " + (isBound ? "" : "static ") + result() + " " + name + "(" + parameters() + ")" + thrown()
                + Code.block(code(arm));
    }

    private String code(Arm arm) {
        return outcome.code(workspace, arm, each -> Optional.empty(), type -> drafting.imports().name(type, unit));
    }

    private void addTable(Map<Arm, String> entries, HandlerType type) {
        String keyName = drafting.imports().name(key, unit);
        boolean constants = ((DeclaredType) key).asElement().getKind() == ElementKind.ENUM;
        String map = drafting.imports().platform("java.util.Map", unit);
        String made = constants ? "new " + drafting.imports().platform("java.util.EnumMap", unit) + "<>(" + keyName + ".class)"
                : decision.foldsCase() ? "new " + drafting.imports().platform("java.util.TreeMap", unit) + "<>(String.CASE_INSENSITIVE_ORDER)"
                : "new " + drafting.imports().platform("java.util." + (Labels.areTheVerySame(workspace, decision) ? "Identity" : "") + "HashMap", unit) + "<>()";
        String local = handler.endsWith("Maker") ? "makers" : ofObjects ? "rules" : "handlers";
        StringBuilder fill = new StringBuilder("private static " + map + "<" + keyName + ", " + type.name() + "> " + Words.lower(handler) + "s() {\n    " + map + "<" + keyName + ", " + type.name()
                + "> " + local + " = " + made + ";\n");
        entries.forEach((arm, entry) -> arm.labels().forEach(label -> fill.append("    " + local + ".put(")
                .append(Labels.widened(workspace, label, key)).append(Labels.expression(workspace, label, keyName)).append(", ").append(entry).append(");\n")));
        fill.append("    return " + local + ";\n}");
        // A key that is no constant of the compiler must have its value before the table is made.
        boolean plain = decision.arms().stream().flatMap(arm -> arm.labels().stream()).map(workspace::element).allMatch(each -> each == null
                || each.getKind() == ElementKind.ENUM_CONSTANT || each instanceof VariableElement field && field.getConstantValue() != null);
        add(plain, "private static final " + map + "<" + keyName + ", " + type.name() + "> " + table + " = " + Words.lower(handler) + "s();");
        drafting.declarations().add(homePath, fill.toString(), Where.END);
        type.declaration().ifPresent(each -> drafting.declarations().add(homePath, each, Where.END));
    }

    private void add(boolean first, String field) {
        if (first) {
            drafting.declarations().addFirst(homePath, field);
        } else {
            drafting.declarations().add(homePath, field, Where.FIELDS);
        }
    }

    private void replace(String other, HandlerType type) {
        List<String> arguments = new ArrayList<>();
        if (isBound) {
            arguments.add("this");
        }
        needs().forEach(each -> arguments.add(each.getSimpleName().toString()));
        String apply = "." + type.call() + "(" + String.join(", ", arguments) + ")";
        String subject = workspace.text(decision.subject());
        boolean mayBeNull = !workspace.trees().getTypeMirror(decision.subject()).getKind().isPrimitive() && Nulls.mayBe(workspace, decision);
        boolean failing = !decision.takesNull() && mayBeNull;
        boolean guarded = decision.takesNull() && mayBeNull && decision.foldsCase();
        if (guarded && (outcome.kind() == OutcomeKind.VALUE || !(decision.subject().getLeaf() instanceof IdentifierTree))) {
            throw new Refused(subject + " may be null, and a table that does not regard case cannot be asked for that");
        }
        String asked = failing ? drafting.imports().platform("java.util.Objects", unit) + ".requireNonNull(" + subject + ")" : subject;
        String indent = unit.indentAt(decision.from());
        if (outcome.kind() == OutcomeKind.VALUE) {
            String found = other.isEmpty() ? table + ".get(" + asked + ")" : table + ".getOrDefault(" + asked + ", " + other + ")";
            drafting.script().replace(unit.file(), decision.from(), decision.to(), found + apply);
            return;
        }
        String local = Labels.freeLocal(workspace.path(place.around()).orElseThrow(), handler.endsWith("Maker") ? "maker" : ofObjects ? "rule" : type.declaration().isPresent() ? "handler" : "found");
        String today = decision.otherwise().filter(arm -> !arm.body().isEmpty()).map(arm -> arm.remark() + unit.bare(arm.whole()[0], arm.whole()[1])).orElse("");
        StringBuilder text = new StringBuilder(type.name() + " " + local + " = " + (guarded ? subject + " == null ? null : " : "") + table + ".get(" + asked + ");\n");
        int from = decision.from();
        String use = outcome.use(local + apply).replace("\n", "\n    ");
        if (outcome.kind() == OutcomeKind.RETURNS) {
            text.append("if (").append(local).append(" != null) {\n    ").append(use).append("\n}\n").append(today);
        } else if (!today.isEmpty() && !Completion.canComplete(decision.otherwise().orElseThrow().body())) {
            Optional<TreePath> declared = declared();
            String set = outcome.use(local + apply);
            text.append("if (").append(local).append(" == null) {\n    ").append(today.replace("\n", "\n    ")).append("\n}\n")
                    .append(declared.map(each -> workspace.text(each).replaceFirst("\\s*;$", "") + set.substring(outcome.target().length())).orElse(set));
            from = declared.map(workspace::from).orElse(from);
        } else {
            text.append("if (").append(local).append(" != null) {\n    ").append(use).append("\n}").append(today.isEmpty() ? "" : " else {\n    " + today.replace("\n", "\n    ") + "\n}");
        }
        drafting.script().replace(unit.file(), from, decision.to(), unit.styled(text.toString().stripTrailing(), indent).substring(indent.length()));
    }

    /** The declaration right before, of the local that the arms set: it is declared with its value, where all others are refused first. */
    private Optional<TreePath> declared() {
        return outcome.declaredBefore(workspace, decision).filter(each -> ((VariableTree) each.getLeaf()).getInitializer() == null
                && unit.text().substring(workspace.to(each), decision.from()).isBlank());
    }
}
