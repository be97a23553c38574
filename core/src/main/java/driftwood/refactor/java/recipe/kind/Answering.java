package driftwood.refactor.java.recipe.kind;

import com.sun.source.util.TreePath;
import driftwood.pattern.Words;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Decision.Arm;
import driftwood.refactor.java.decision.Decision.Asking;
import driftwood.refactor.java.decision.Decision;
import driftwood.refactor.java.decision.DecisionPlace;
import driftwood.refactor.java.decision.InPlace;
import driftwood.refactor.java.decision.Outcome;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Code;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Moving;
import driftwood.refactor.java.ground.Openings;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Evidence;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.stream.Collectors;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javax.lang.model.SourceVersion;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;

/** One decision whose arms move onto the variants: a routine that each has, and one call in the decision's place. */
final class Answering {
    private final Drafting drafting;
    private final Workspace workspace;
    private final TypeElement home;
    private final ExecutableElement around;
    private final Variants kinds;
    private final Decision decision;
    private final Outcome outcome;
    /** Where the object around is needed for nothing but to ask it again. */
    private final Optional<Recurring> recurring;
    /** Where variants have the routine already. */
    private final Optional<OwnAnswers> own;
    private final TypeElement base;
    private final String routine;
    private final String context;

    private Answering(Drafting drafting, ExecutableElement around, Variants kinds, Set<String> names) {
        this.drafting = drafting;
        this.workspace = drafting.workspace();
        this.around = around;
        this.home = (TypeElement) around.getEnclosingElement();
        this.kinds = kinds;
        this.decision = kinds.decision();
        this.base = kinds.base();
        Set<Element> known = new HashSet<>();
        Optional.ofNullable(workspace.element(decision.subject())).filter(each -> !each.getKind().isField()).ifPresent(known::add);
        decision.arms().stream().map(Arm::binding).filter(each -> each != null).forEach(known::add);
        Outcome whole = Outcome.of(workspace, decision, known, decision.otherwise().isPresent() || kinds.areAll()).ending(workspace, decision, kinds.areAll());
        Outcome moved = kinds.areAll() ? whole.of(workspace, decision.arms()) : whole;
        this.own = OwnAnswers.of(workspace, around, kinds, moved);
        this.routine = own.filter(each -> names.add(around.getSimpleName().toString())).map(each -> around.getSimpleName().toString()).orElseGet(() -> name(names));
        this.recurring = Recurring.of(workspace, around, decision, moved, kinds.areAll() ? decision.arms() : decision.all(), base, routine);
        this.outcome = recurring.isPresent() ? moved.withoutObject() : own.isPresent() ? moved.handing(around.getParameters()) : moved;
        String proposed = Words.lower(home.getSimpleName().toString());
        this.context = outcome.needs().stream().anyMatch(each -> each.getSimpleName().contentEquals(proposed)) || SourceVersion.isKeyword(proposed) ? "around" : proposed;
    }

    /**
     * A decision thought through; nothing is written yet.
     *
     * @param common the type that the variants share, as a symbol; empty where what is asked about says it
     * @param names  of routines that others will add; this one's is added
     * @throws Refused where it cannot move
     */
    static Answering of(Drafting drafting, String common, String symbol, int line, Set<String> names) {
        return of(drafting, common, DecisionPlace.of(drafting.workspace(), symbol, line, Asking.CONSTANTS), names);
    }

    /** The same for one that is found already. */
    static Answering of(Drafting drafting, String common, DecisionPlace place, Set<String> names) {
        return new Answering(drafting, place.around(), Variants.of(drafting.workspace(), place.decision(), common), names);
    }

    /** The field that holds the constant which is asked about; empty where it is something else. */
    Optional<VariableElement> field() {
        return kinds.areConstants() && workspace.element(decision.subject()) instanceof VariableElement field && home.equals(field.getEnclosingElement()) ? Optional.of(field) : Optional.empty();
    }

    int line() {
        return workspace.unit(decision.around()).line(decision.from());
    }

    /** The same, on which of its sides a flag is. @param sides the type of what was the flag */
    static Answering ofSides(Drafting drafting, DecisionPlace place, TypeElement sides, Set<String> names) {
        return new Answering(drafting, place.around(), Variants.ofSides(drafting.workspace(), place.decision(), sides), names);
    }

    /** Whether one of the two decisions stands within the other: whichever moves takes it along. */
    boolean meets(Answering other) {
        return workspace.unit(decision.around()) == workspace.unit(other.decision.around()) && decision.from() < other.decision.to() && other.decision.from() < decision.to();
    }

    private String name(Set<String> taken) {
        String own = around.getKind() == ElementKind.CONSTRUCTOR ? "setUp" : around.getSimpleName().toString();
        String rest = home.getSimpleName().toString();
        for (String each : List.of(drafting.name("routine", own), own + "For" + rest, own + "By" + base.getSimpleName(), own + "InTurn", own + "As" + base.getSimpleName())) {
            if (isFree(each) && taken.add(each)) {
                return each;
            }
        }
        throw new Refused(base.getSimpleName() + " has routines of the names that would fit; give one with --name routine=NAME");
    }

    private boolean isFree(String name) {
        Calls calls = new Calls(workspace);
        List<TypeElement> family = new ArrayList<>(calls.below(base));
        family.add(base);
        family.addAll(calls.supertypes(base));
        return family.stream().noneMatch(type -> ElementFilter.methodsIn(type.getEnclosedElements()).stream().anyMatch(each -> each.getSimpleName().contentEquals(name)));
    }

    void write() {
        List<Evidence> places = new ArrayList<>();
        kinds.arms().keySet().forEach(each -> places.add(workspace.place(workspace.path(each).orElseThrow(), each.getSimpleName().toString())));
        drafting.script().stage("Give each " + base.getSimpleName() + " its own " + routine + "(), with what " + told() + " does for it", places);
        kinds.arms().forEach(this::addTo);
        addToBase();
        drafting.script().stage("Let " + (isConstructor() ? told() : home.getSimpleName() + "." + around.getSimpleName() + "()") + " ask " + workspace.text(decision.subject()) + " instead of telling its kind",
                List.of(new Evidence(workspace.unit(decision.around()).file(), workspace.unit(decision.around()).line(decision.from()),
                        workspace.unit(decision.around()).line(decision.to()), "the decision")));
        replace();
    }

    /** Notes where one kind more goes, with what all of these ask of it. @param all of the same kinds, this one among them */
    void noteNext(List<Answering> all) {
        TreePath path = workspace.path(base).orElseThrow();
        String asked = all.stream().map(each -> each.routine + "()").distinct().collect(Collectors.joining(", "));
        boolean reminds = all.stream().allMatch(each -> each.kinds.areAll());
        String note = "the new " + base.getSimpleName() + ", with " + asked + (reminds ? ": the compiler asks for it" : "; left out, it gets what all others get");
        boolean together = kinds.arms().keySet().stream().anyMatch(each -> workspace.unit(workspace.path(each).orElseThrow()) == workspace.unit(path));
        if (together) {
            drafting.next(new Evidence(workspace.place(path, note).file(), workspace.place(path, note).endLine(), workspace.place(path, note).endLine(), note));
        } else {
            drafting.nextType(path, base.getSimpleName().toString(), note);
        }
    }

    private boolean isConstructor() {
        return around.getKind() == ElementKind.CONSTRUCTOR;
    }

    private String told() {
        return (isConstructor() ? "the constructor" : around.getSimpleName() + "()") + " of " + home.getSimpleName();
    }

    private void addToBase() {
        TreePath path = workspace.path(base).orElseThrow();
        Unit unit = workspace.unit(path);
        boolean contract = base.getKind().isInterface();
        boolean complete = kinds.areAll();
        String comment = "/** What " + told() + (own.isPresent() ? " asks each " + base.getSimpleName() + " for" : " does for " + Words.one(base.getSimpleName().toString())) + ". */\n";
        if (complete) {
            drafting.declarations().add(path, comment + (contract ? "" : openness(base) + "abstract ") + signature(unit) + ";", Where.END);
            return;
        }
        Arm rest = decision.otherwise().orElse(null);
        String body = rest == null ? outcome.nothing() : code(rest, path, base);
        drafting.declarations().add(path, comment + (contract ? "default " : openness(base)) + signature(unit) + Code.block(body), Where.END);
    }

    private String openness(TypeElement where) {
        if (base.getKind().isInterface()) {
            return "public ";
        }
        boolean near = new Calls(workspace).below(base).stream().allMatch(each -> isNear(each, home)) && isNear(base, home);
        return near ? "" : "public ";
    }

    private boolean isNear(TypeElement one, TypeElement other) {
        return workspace.elements().getPackageOf(one).equals(workspace.elements().getPackageOf(other));
    }

    private String signature(Unit unit) {
        List<String> parameters = new ArrayList<>();
        if (outcome.asks()) {
            parameters.add(drafting.imports().name(home.asType(), unit) + " " + context);
        }
        outcome.needs().forEach(each -> parameters.add(drafting.imports().name(each.asType(), unit) + " " + each.getSimpleName()));
        String thrown = drafting.imports().thrown(outcome.thrown(), unit);
        boolean open = outcome.asks() || Stream.concat(Stream.of(outcome.type()), outcome.needs().stream().map(VariableElement::asType)).anyMatch(this::namesOwn);
        return (open ? drafting.imports().typeParameters(home.getTypeParameters(), unit) : "") + drafting.imports().name(outcome.type(), unit) + " " + routine + "(" + String.join(", ", parameters) + ")" + thrown;
    }

    /** Whether a type parameter of the home stands in a type. */
    private boolean namesOwn(TypeMirror type) {
        return home.getTypeParameters().stream().anyMatch(each -> type.toString().matches("(.*\\W)?" + each.getSimpleName() + "(\\W.*)?"));
    }

    private String code(Arm arm, TreePath where, TypeElement target) {
        Unit unit = workspace.unit(where);
        Optional<Element> asked = Optional.ofNullable(workspace.element(decision.subject()));
        boolean kept = asked.filter(each -> each.getKind().isField()).isPresent();
        // A field may be given its next state by the arm: it is asked anew there.
        boolean asksAnew = kept && kinds.areConstants() && !asked.get().getModifiers().contains(Modifier.FINAL);
        Moving moving = new Moving(drafting, home, unit, context, asksAnew ? "" : workspace.text(decision.subject())).onto(target).self(arm.binding())
                .self(asked.filter(each -> !each.getKind().isField() && each.getKind() != ElementKind.METHOD).orElse(null));
        if (kept && !kinds.areConstants() && asked.filter(each -> !each.getModifiers().contains(Modifier.FINAL)).isPresent()
                && arm.body().stream().anyMatch(each -> workspace.uses().of(asked.get(), each).stream().anyMatch(Moving::isWritten))) {
            throw new Refused("an arm replaces " + asked.get().getSimpleName() + " itself");
        }
        String code = outcome.code(workspace, arm, recurring.map(each -> each.anew(moving)).orElse(moving), type -> drafting.imports().name(type, unit));
        new Openings(drafting).open(moving.needed(), home, target);
        return code.replaceAll("^\\s*\\n", "");
    }

    private void addTo(Element variant, Arm arm) {
        if (own.isPresent() && own.get().routines().containsKey(variant)) {
            own.get().mark(variant, drafting, openness(base));
            return;
        }
        TreePath path = workspace.path(variant).orElseThrow();
        Unit unit = workspace.unit(path);
        String head = "@Override\n" + openness(base);
        if (variant.getKind() != ElementKind.ENUM_CONSTANT) {
            TypeElement type = (TypeElement) variant;
            String mark = type.getKind().isInterface() ? "default " : openness(base);
            drafting.declarations().add(path, "@Override\n" + mark + signature(unit) + Code.block(code(arm, path, type)), Where.END);
            return;
        }
        String member = head + signature(unit) + Code.block(code(arm, path, base));
        drafting.constants().add(path, member);
    }

    private void replace() {
        List<String> arguments = new ArrayList<>();
        if (outcome.asks()) {
            arguments.add("this");
        }
        outcome.needs().forEach(each -> arguments.add(each.getSimpleName().toString()));
        String call = workspace.text(decision.subject()) + "." + routine + "(" + String.join(", ", arguments) + ")";
        new InPlace(drafting, decision, outcome).ask(call);
    }
}
