package driftwood.smell.detect.work;

import driftwood.pack.Line;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.smell.Detector;
import driftwood.smell.Drag;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.Finding.Spot;
import driftwood.smell.Gathered;
import driftwood.smell.RoutineFacts;
import driftwood.smell.Seen;
import driftwood.smell.Seer;
import driftwood.smell.Sightings;
import driftwood.smell.Smell;
import driftwood.smell.see.reach.Helpers;
import driftwood.smell.see.reach.ReachWalk;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * constructor-work: a constructor that does more than take its values: effects on others in loops and branches, input
 * and output, handing itself out, calls to its own overridable routines. Not: checks that throw, defensive copies,
 * computation on the arguments, creating and filling its own parts, delegation. (Catalogue, constructor-work; Bloch,
 * Effective Java, item 19; Hevery, "Flaw: constructor does real work".)
 */
public final class ConstructorWork implements Detector {
    /** A whole word of the name: a Report is no port, a Catalogue no log, a Handler no handle. */
    private static final Pattern RESOURCE = Pattern.compile("\\w*(?:File|Stream|Writer|Reader|Socket|Connection|Channel|Input|Output|Archive|Log|Store|Port|Pipe|Handle|Closeable|Disposable)"
            + "(?:s|ger|[A-Z]\\w{0,3})?|(?:\\w*_)?(?:file|stream|writer|reader|socket|connection|channel)"
            + "|(?:File|Stream|Socket)[A-Z]\\w*|(?:file|stream|socket)_\\w*");
    /** The platform's own streams, all of which can be closed. */
    private static final Pattern STREAM = Pattern.compile("\\w*(?:InputStream|OutputStream|Reader|Writer)");
    private static final Pattern CLOSING = Pattern.compile("(?i)close|dispose|disconnect|shutdown|release|__exit__|__del__");
    private static final Smell SMELL = new Smell("constructor-work", "cw", "Work in the constructor",
            "A constructor does more than take its values: it reads, writes, registers itself or calls what a "
                    + "subclass may override. Nobody can have the object without the work, least of all a test.",
            "Checks that throw; defensive copies; empty collections; computation on the arguments; creating and "
                    + "filling its own parts; delegation to another constructor.",
            """
            TideTable(Path file) {
                for (String line : Files.readAllLines(file)) {
                    add(line);
                }
            }
            """);

    /** What a constructor does beside taking its values. */
    public enum Kind {
        EFFECT_IN_LOOP, OWN_IN_LOOP, EFFECT_IN_BRANCH, RESOURCE, HANDS_ITSELF_OUT, OWN_ROUTINE
    }

    /**
     * One thing that a constructor does.
     *
     * @param kind    of it
     * @param type    the constructor's
     * @param routine symbol of the constructor
     * @param what    as written; the resource for RESOURCE; the routine's name for OWN_ROUTINE
     * @param arguments of a call to an own routine
     * @param held    whether it takes hold of a resource, and keeps it
     * @param line    of it
     */
    public record Effect(Kind kind, String type, String routine, String what, int arguments, boolean held, @Line int line) {
    }

    @Override
    public Smell smell() {
        return SMELL;
    }

    @Override
    public List<Seer<?>> seers() {
        return List.of(ConstructorWorkWalk.SEER, ReachWalk.SEER);
    }

    @Override
    public List<Finding> judge(Program program, Sightings sightings) {
        List<Seen<Effect>> sighted = sightings.judged(ConstructorWorkWalk.SEER);
        Map<String, List<Effect>> byRoutine = new LinkedHashMap<>();
        for (Seen<Effect> seen : sighted) {
            if (isWork(seen.sighting(), program)) {
                byRoutine.computeIfAbsent(seen.sighting().routine(), key -> new ArrayList<>()).add(seen.sighting());
            }
        }
        helped(program, sightings, byRoutine);
        List<Finding> findings = new ArrayList<>();
        byRoutine.forEach((symbol, effects) -> {
            Optional<TypeOutline> type = program.type(effects.get(0).type());
            type.flatMap(found -> found.routine(symbol)).map(routine -> constructorOf(type.get(), routine))
                    .ifPresent(routine -> findings.add(finding(type.get(), routine, effects)));
        });
        return findings;
    }

    /** What an initialiser does, the one constructor of its type does. */
    private static RoutineOutline constructorOf(TypeOutline type, RoutineOutline routine) {
        return routine.isConstructor() || type.constructors().size() != 1 ? routine : type.constructors().get(0);
    }

    /** What constructors reach by the project's own helpers. */
    private static void helped(Program program, Sightings sightings, Map<String, List<Effect>> byRoutine) {
        Helpers helpers = new Helpers(program, sightings);
        for (TypeOutline type : program.judgedTypes()) {
            if (type.anonymous() || program.fileOf(type).test()) {
                continue;
            }
            for (RoutineOutline constructor : type.constructors()) {
                List<Effect> known = byRoutine.getOrDefault(constructor.symbol(), List.of());
                if (known.stream().noneMatch(each -> each.kind() == Kind.RESOURCE)) {
                    helpers.callsBy(constructor).stream().flatMap(call -> helpers.of(call).stream().map(reach -> new Effect(Kind.RESOURCE, type.name(),
                            constructor.symbol(), reach.resource().title() + ", by " + call.trail().lastName() + "()", 0, false, call.line()))).findFirst()
                            .ifPresent(effect -> byRoutine.computeIfAbsent(constructor.symbol(), key -> new ArrayList<>()).add(effect));
                }
            }
        }
    }

    private static boolean isWork(Effect effect, Program program) {
        Optional<TypeOutline> type = program.type(effect.type());
        if (type.isEmpty() || type.get().anonymous()) {
            return false;
        }
        if (effect.kind() == Kind.OWN_IN_LOOP) {
            return Stream.concat(Stream.of(type.get()), program.ancestors(type.get()).stream()).flatMap(each -> each.routines().stream())
                    .anyMatch(each -> each.name().equals(effect.what()) && each.takes(effect.arguments()) && !each.traits().isStatic());
        }
        return effect.held() ? !isResource(type.get(), program) : effect.kind() != Kind.OWN_ROUTINE || isOverridden(effect, type.get(), program);
    }

    /** A class that is an open file, connection or stream by its nature: it can be closed, by a routine of its own or one that it inherits. */
    private static boolean isResource(TypeOutline type, Program program) {
        List<TypeOutline> line = Stream.concat(Stream.of(type), program.ancestors(type).stream()).toList();
        boolean above = line.stream().flatMap(each -> each.supertypes().stream()).anyMatch(each -> RESOURCE.matcher(each.simpleName()).matches());
        boolean closes = line.stream().flatMap(each -> each.routines().stream()).anyMatch(each -> each.parameters().isEmpty() && CLOSING.matcher(each.name()).matches());
        boolean foreign = line.stream().anyMatch(each -> each.supertypes().stream().anyMatch(parent -> STREAM.matcher(parent.simpleName()).matches()
                && program.resolve(parent, each).isEmpty()));
        return (closes || foreign) && (above || RESOURCE.matcher(type.simpleName()).matches());
    }

    /** Only what some subclass in sight does override, or must, is a trap; the rest is a matter of taste. */
    private static boolean isOverridden(Effect effect, TypeOutline type, Program program) {
        Optional<RoutineOutline> called = type.routines().stream().filter(each -> each.name().equals(effect.what())
                && each.takes(effect.arguments()) && !each.isConstructor()).findFirst();
        if (called.isEmpty() || called.get().traits().isPrivate() || called.get().traits().isStatic()
                || called.get().traits().isFinal() || type.traits().isFinal()) {
            return false;
        }
        return called.get().traits().isAbstract() || program.descendants(type).stream()
                .anyMatch(child -> child.routines().stream().anyMatch(each -> each.name().equals(effect.what())
                        && each.parameters().size() == called.get().parameters().size() && !each.traits().isStatic()));
    }

    private static Finding finding(TypeOutline type, RoutineOutline constructor, List<Effect> effects) {
        List<Evidence> evidence = new ArrayList<>();
        effects.forEach(effect -> evidence.add(new Evidence(constructor.file(), effect.line(), effect.line(), says(effect))));
        boolean overridable = effects.stream().anyMatch(each -> each.kind() == Kind.OWN_ROUTINE);
        boolean escapes = effects.stream().anyMatch(each -> each.kind() == Kind.HANDS_ITSELF_OUT);
        boolean outside = effects.stream().anyMatch(each -> each.kind() == Kind.RESOURCE);
        Drag drag = Drag.of(1, 1, effects.size())
                .risk(overridable, 0.9, "an overriding routine runs before the subclass has its values")
                .risk(escapes, 0.6, "others see the object before it is whole")
                .risk(outside, 0.6, "no test can have the object without the outside world").build();
        boolean only = effects.stream().allMatch(each -> each.kind() == Kind.OWN_ROUTINE);
        Gathered detail = new RoutineFacts.Work(constructor.symbol(), type.name(),
                only ? effects.stream().map(Effect::what).distinct().toList() : List.of());
        String first = says(effects.get(0));
        return SMELL.finding(Spot.of(constructor), drag, "the constructor does more than take its values: "
                + first + (effects.size() > 1 ? ", and " + (effects.size() - 1) + " more" : ""), evidence, detail);
    }

    private static String says(Effect effect) {
        return switch (effect.kind()) {
            case EFFECT_IN_LOOP -> "acts on others in a loop: " + effect.what();
            case OWN_IN_LOOP -> "calls its own " + effect.what() + "() in a loop";
            case EFFECT_IN_BRANCH -> "acts on others under a condition: " + effect.what();
            case RESOURCE -> "reaches outside: " + effect.what();
            case HANDS_ITSELF_OUT -> "hands itself out: " + effect.what();
            case OWN_ROUTINE -> "calls its own overridable " + effect.what() + "()";
        };
    }
}
