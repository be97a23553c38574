package driftwood.smell.detect.work;

import driftwood.program.Trail;
import driftwood.program.Walk;
import driftwood.read.FileTree;
import driftwood.smell.Seer;
import driftwood.smell.detect.work.ConstructorWork.Effect;
import driftwood.smell.detect.work.ConstructorWork.Kind;
import driftwood.smell.see.reach.Resource;
import driftwood.smell.see.reach.Resources;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Sees what constructors do beside taking their values. */
final class ConstructorWorkWalk extends Walk {
    static final Seer<Effect> SEER = new Seer<>("constructor-work", 13, Effect.class, file -> {
        ConstructorWorkWalk walk = new ConstructorWorkWalk(file);
        walk.scan(file.unit());
        return walk.effects;
    });

    private static final Pattern HARMLESS = Pattern.compile("(?i)(check|require|assert|ensure|validate|verify|log|debug|"
            + "info|warn|error|trace|fine|config|add|put|set|append|push|copy|sort|fill|lock|unlock|super|this|get|is|"
            + "println|print|message|addAll|putAll|remove|clear|init|close|of|pop|update|extend|discard).*|.*(Check|Copy).*");

    /** On an object that was handed in, these change it. */
    private static final Pattern CHANGES = Pattern.compile("(?i:add|put|append|push|remove|clear|update|extend|discard|"
            + "register)([A-Z_].*)?");
    /** What gathers or checks what was handed in, into the object itself. */
    private static final Pattern GATHERS = Pattern.compile("_?(?i:add|put|append|push|extend|update|appendlist|offer|insert)|_?(?i:check|require|validate|assert|verify|ensure)"
            + "([A-Z_].*|\\w*)?");
    private static final Pattern REGISTERS = Pattern.compile("(?i)(add|register|subscribe|attach|listen|connect|on|join|observe|watch|follow|enrol|enlist|hook|bind).*");
    private static final Set<String> TIMERS = Set.of("setInterval", "thread", "timer", "fixedRateTimer");
    private static final Pattern READS = Pattern.compile("(?i)next|read.*|advance|poll|take|fetch.*|receive");
    private final List<Effect> effects = new ArrayList<>();
    private final Set<String> parameters = new HashSet<>();
    private final Set<String> threads = new HashSet<>();
    /** Fields that keep what was handed in. */
    private final Set<String> given = new HashSet<>();
    /** Routines of the type at hand, and the parameters of its constructors. */
    private Set<String> own = Set.of();
    private Set<String> handed = Set.of();
    /** Calls that are told already. */
    private final Set<Node> handedTo = Collections.newSetFromMap(new IdentityHashMap<>());
    private boolean inside;
    private int branches;

    private ConstructorWorkWalk(FileTree file) {
        super(file);
    }

    @Override
    public Void visitTypeDeclaration(TypeDeclaration declaration) {
        boolean outer = inside;
        Set<String> ownOutside = own;
        Set<String> handedOutside = handed;
        List<Routine> routines = declaration.members().stream().filter(Routine.class::isInstance).map(Routine.class::cast).toList();
        own = routines.stream().filter(each -> each.kind() == RoutineKind.METHOD).map(Routine::name).collect(Collectors.toSet());
        handed = routines.stream().filter(each -> each.kind() == RoutineKind.CONSTRUCTOR).flatMap(each -> each.parameters().stream())
                .map(Parameter::name).collect(Collectors.toSet());
        inside = false;
        super.visitTypeDeclaration(declaration);
        inside = outer;
        own = ownOutside;
        handed = handedOutside;
        return null;
    }

    /** What an initialiser of instances does, every constructor does. */
    @Override
    public Void visitRoutine(Routine routine) {
        boolean outer = inside;
        boolean initialises = routine.kind() == RoutineKind.INITIALISER && !routine.traits().isStatic();
        inside = routine.kind() == RoutineKind.CONSTRUCTOR || initialises;
        if (inside) {
            branches = 0;
            parameters.clear();
            threads.clear();
            given.clear();
            routine.parameters().forEach(each -> parameters.add(each.name()));
            if (initialises) {
                parameters.addAll(handed);
            }
        }
        super.visitRoutine(routine);
        inside = outer;
        return null;
    }

    /** What a lambda does, it does later. */
    @Override
    public Void visitLambda(Lambda lambda) {
        boolean outer = inside;
        inside = false;
        super.visitLambda(lambda);
        inside = outer;
        return null;
    }

    @Override
    public Void visitIf(If branch) {
        branches++;
        super.visitIf(branch);
        branches--;
        return null;
    }

    private void effect(Kind kind, String what, int arguments, Node at) {
        effects.add(new Effect(kind, type(), member(), what, arguments, false, file.line(at)));
    }

    /** What is taken hold of in some case only is a decision, and work. */
    private void reaches(Resource what, Node at) {
        effects.add(new Effect(Kind.RESOURCE, type(), member(), what.title(), 0, what.held() && branches == 0, file.line(at)));
    }

    /** Itself, an own routine, or code that calls it. */
    private boolean handsOut(Node argument, boolean later) {
        return argument instanceof Name name && name.isSelf()
                || argument instanceof Member member && member.receiver() instanceof Name self && self.isSelf() && own.contains(member.name())
                || argument instanceof Call bound && bound.name().equals("bind") && bound.receiver().map(each -> handsOut(each, later)).orElse(false)
                || argument instanceof Lambda lambda && (later || handsOut(lambda.body(), false));
    }

    @Override
    public Void visitEvaluate(Evaluate evaluate) {
        if (inside && !loops().isEmpty() && evaluate.expression() instanceof Call printed
                && Resources.ofCall(printed, file).filter(each -> each.kind() == Resource.Kind.CONSOLE).isPresent()) {
            effect(Kind.EFFECT_IN_LOOP, file.brief(printed), 0, printed);
        }
        if (inside && evaluate.expression() instanceof Call call && call.receiver().map(this::isOther).orElse(false)
                && call.arguments().stream().anyMatch(each -> handsOut(each, REGISTERS.matcher(call.name()).matches()))
                && (REGISTERS.matcher(call.name()).matches() || !HARMLESS.matcher(call.name()).matches())) {
            effect(Kind.HANDS_ITSELF_OUT, file.brief(call), 0, call);
            handedTo.add(call);
        }
        if (inside && !loops().isEmpty() && evaluate.expression() instanceof Call own && !own.arguments().isEmpty()
                && own.receiver().map(each -> each instanceof Name self && self.isSelf()).orElse(true)) {
            if (!GATHERS.matcher(own.name()).matches()) {
                effect(Kind.OWN_IN_LOOP, own.name(), own.arguments().size(), own);
            }
        }
        if (inside && evaluate.expression() instanceof Call call
                && (CHANGES.matcher(call.name()).matches() || !HARMLESS.matcher(call.name()).matches())
                && call.receiver().map(this::isOther).orElse(false)) {
            if (!loops().isEmpty()) {
                effect(Kind.EFFECT_IN_LOOP, file.brief(call), 0, call);
            } else if (branches > 0) {
                effect(Kind.EFFECT_IN_BRANCH, file.brief(call), 0, call);
            }
        }
        return super.visitEvaluate(evaluate);
    }

    /** What is read from somebody else until there is no more. */
    @Override
    public Void visitLoop(Loop loop) {
        if (inside && loop.kind() != LoopKind.EACH) {
            loop.header().stream().flatMap(each -> Search.all(each, Call.class).stream()).filter(call -> READS.matcher(call.name()).matches()
                    && call.receiver().map(this::isOther).orElse(false)).findFirst().ifPresent(call ->
                    effect(Kind.EFFECT_IN_LOOP, file.brief(call), 0, call));
        }
        return super.visitLoop(loop);
    }

    /** A field of its own. */
    private static boolean isPart(Node receiver) {
        return receiver instanceof Member member && member.receiver() instanceof Name self && self.isSelf();
    }

    /** Whether a receiver is somebody else: a parameter or what it leads to. */
    private boolean isOther(Node receiver) {
        if (receiver instanceof Name name) {
            return parameters.contains(name.name()) || given.contains(name.name()) && !isLocal(name.name());
        }
        return receiver instanceof Member member ? isOther(member.receiver()) || isPart(member) && given.contains(member.name())
                : receiver instanceof Call call && call.receiver().map(this::isOther).orElse(false);
    }

    @Override
    public Void visitCall(Call call) {
        if (inside) {
            Resources.ofCall(call, call.receiver().map(this::trail).orElse(Trail.UNKNOWN), file).ifPresent(what -> {
                if (what.kind().isOutside()) {
                    reaches(what, call);
                }
            });
            boolean started = call.name().equalsIgnoreCase("start") && call.arguments().isEmpty() && call.receiver().map(this::isThread).orElse(false);
            if (started || call.receiver().isEmpty() && TIMERS.contains(call.name())) {
                effect(Kind.RESOURCE, Resource.Kind.THREAD.title() + " (" + (started ? file.brief(call) : call.name() + "()") + ")", 0, call);
            }
            boolean self = call.arguments().stream().anyMatch(each -> each instanceof Name name
                    && name.isSelf());
            boolean outside = call.receiver().map(each -> isOther(each) || isForeign(each) || isPart(each)).orElse(false);
            boolean bound = call.name().equals("bind") && call.receiver().map(each -> handsOut(each, false)).orElse(false);
            if (self && outside && !bound && !handedTo.contains(call) && REGISTERS.matcher(call.name()).matches()) {
                effect(Kind.HANDS_ITSELF_OUT, file.brief(call), 0, call);
            }
            Trail trail = trail(call);
            boolean delegates = call.name().equals("this") || call.name().equals("super");
            if (trail.start() == Trail.Start.THIS && trail.steps().size() == 1 && !delegates) {
                effect(Kind.OWN_ROUTINE, call.name(), call.arguments().size(), call);
            }
        }
        return super.visitCall(call);
    }

    /** A thread made here, at once or a line before. */
    private boolean isThread(Node receiver) {
        String name = receiver instanceof Name bare ? bare.name()
                : receiver instanceof Member member ? member.name() : "";
        return receiver instanceof Creation made ? made.type().simpleName().endsWith("Thread") : threads.contains(name);
    }

    @Override
    public Void visitAssignment(Assignment assignment) {
        String target = isPart(assignment.target()) ? ((Member) assignment.target()).name()
                : assignment.target() instanceof Name name && !isLocal(name.name()) ? name.name() : "";
        if (inside && !target.isEmpty() && assignment.value() instanceof Name value && parameters.contains(value.name())) {
            given.add(target);
        }
        if (inside && assignment.operator().equals("+=") && assignment.target() instanceof Member event && isOther(event.receiver())
                && (handsOut(assignment.value(), true) || assignment.value() instanceof Name routine && own.contains(routine.name()))) {
            effect(Kind.HANDS_ITSELF_OUT, file.brief(assignment), 0, assignment);
        }
        if (inside && assignment.value() instanceof Creation made && made.type().simpleName().endsWith("Thread")) {
            threads.add(assignment.target() instanceof Member member ? member.name()
                    : assignment.target() instanceof Name name ? name.name() : "");
        }
        return super.visitAssignment(assignment);
    }

    @Override
    public Void visitLocal(Local local) {
        if (inside && local.initial().orElse(local) instanceof Creation made
                && made.type().simpleName().endsWith("Thread")) {
            threads.add(local.name());
        }
        return super.visitLocal(local);
    }

    /** A type other than the one at hand. */
    private boolean isForeign(Node receiver) {
        return receiver instanceof Name name && Character.isUpperCase(name.name().charAt(0)) && !name.name().equals(type().substring(type().lastIndexOf('.') + 1));
    }

    @Override
    public Void visitCreation(Creation creation) {
        if (inside) {
            Resources.ofCreation(creation, file).ifPresent(what -> {
                if (what.kind().isOutside()) {
                    reaches(what, creation);
                }
            });
        }
        return super.visitCreation(creation);
    }
}
