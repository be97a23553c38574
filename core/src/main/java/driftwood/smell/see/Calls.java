package driftwood.smell.see;

import driftwood.program.Argument;
import driftwood.program.Outline.CallFact;
import driftwood.program.Outline.CreationFact;
import driftwood.program.Overloads;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.Symbol;
import driftwood.program.Trail;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail.Caller;
import driftwood.smell.Detail.Place;
import driftwood.source.Language;
import driftwood.tree.TypeKind;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.List;

/** Who calls constructors and creation routines, from inside their type and from outside. */
public final class Calls {
    private final Program program;

    public Calls(Program program) {
        this.program = program;
    }

    /** Calls inside a routine to a routine of its own type, or to "this" and "super". */
    public List<CallFact> inside(RoutineOutline caller, String name) {
        return program.callsBy(caller).stream()
                .filter(call -> call.trail().start() == Trail.Start.THIS && call.trail().steps().size() == 1
                        && call.trail().lastName().equals(name)).toList();
    }

    /** Whether a value of this type does something for others: the project declares it, and it is no mere kind or set of values. */
    public boolean isCollaborator(TypeRef ref, TypeOutline scope) {
        return program.resolve(ref, scope).filter(each -> each.kind() == TypeKind.INTERFACE
                || each.kind() == TypeKind.CLASS && each.routines().stream().anyMatch(one -> !one.isConstructor() && !one.isFormula())).isPresent();
    }

    /** Creations inside a routine. */
    public List<CreationFact> creationsIn(TypeOutline type, RoutineOutline caller) {
        return program.creations(type).stream().filter(each -> each.routine().equals(caller.symbol())).toList();
    }

    /**
     * A call site.
     *
     * @param within    qualified name of the type around
     * @param routine   symbol of the routine around
     * @param arguments in order
     * @param line      where it begins
     */
    public record Site(String within, String routine, List<Argument> arguments, int line) {

        /** How many arguments are told by their place alone. */
        public long positional() {
            return arguments.stream().filter(each -> each.keyword().isEmpty()).count();
        }
    }

    /** Call sites outside the type. */
    public List<Site> sites(TypeOutline type, RoutineOutline routine) {
        if (routine.isConstructor()) {
            return program.creations(type).stream().filter(each -> isOutside(type, each.within())
                    && Overloads.means(routine, type.constructors(), each.arguments()))
                    .map(each -> new Site(each.within(), each.routine(), each.arguments(), each.line())).toList();
        }
        List<RoutineOutline> overloads = type.routines().stream().filter(each -> each.name().equals(routine.name())).toList();
        return program.callsOf(routine.name()).stream().filter(each -> isOutside(type, each.within())
                && Overloads.means(routine, overloads, each.arguments()) && program.routinesAt(each.trail(), each.within()).contains(routine))
                .map(each -> new Site(each.within(), each.routine(), each.arguments(), each.line())).toList();
    }

    /** Callers outside the type, with what they fill. */
    public List<Caller> outside(TypeOutline type, RoutineOutline routine) {
        return sites(type, routine).stream().map(each -> caller(each, routine)).toList();
    }

    /** A call site, with what it fills. */
    public Caller caller(Site site, RoutineOutline called) {
        List<Argument> arguments = site.arguments();
        List<String> filled = new ArrayList<>();
        List<String> told = new ArrayList<>();
        String file = program.fileAt(site.within(), site.routine()).orElse("");
        for (int i = 0; i < Math.min(arguments.size(), called.parameters().size()); i++) {
            String keyword = arguments.get(i).keyword();
            boolean chosen = arguments.get(i).kind() != Argument.Kind.NULL && !arguments.get(i).isBooleanLiteral()
                    && called.parameters().stream().anyMatch(each -> each.name().equals(keyword) && each.optional());
            if (arguments.get(i).isFiller() && !chosen) {
                filled.add(keyword.isEmpty() ? called.parameters().get(i).name() : keyword);
                told.add(filled.get(filled.size() - 1) + " with " + Language.spelledIn(file, arguments.get(i).name()));
            }
        }
        return new Caller(new Place(file, site.line(), site.line(), site.routine(), told.isEmpty() ? "calls it" : "fills " + String.join(", ", told)), filled);
    }

    /** Those among them that fill optional parts with nothing, and count. */
    public List<Caller> withFillers(TypeOutline type, RoutineOutline constructor) {
        return outside(type, constructor).stream().filter(each -> each.isFilling() && counts(type, each.place().symbol())).toList();
    }

    /** What callers outside pass for one parameter. */
    public List<Argument> argumentsAt(TypeOutline type, RoutineOutline constructor, int at) {
        return program.creations(type).stream()
                .filter(each -> isOutside(type, each.within()) && counts(type, each.within())
                        && each.arguments().size() == constructor.parameters().size())
                .map(each -> each.arguments().get(at)).toList();
    }

    /** Whether somebody outside passes so many arguments or more without naming them. */
    public boolean isCalledByPosition(TypeOutline type, RoutineOutline constructor, int least) {
        return program.creations(type).stream().filter(each -> isOutside(type, each.within()) && counts(type, each.within())
                && constructor.takes(each.arguments().size())).anyMatch(each -> each.arguments().stream()
                .filter(argument -> argument.keyword().isEmpty()).count() >= least);
    }

    /** Whether only the type's own parts create it by a constructor, among them a builder. */
    public boolean isKeptForBuilder(TypeOutline type, RoutineOutline constructor) {
        return hasBuilder(type) && !constructor.traits().isPublic() && outside(type, constructor).isEmpty();
    }

    /** Whether a builder of its own already stands beside the constructors. */
    public boolean hasBuilder(TypeOutline type) {
        return program.nestedIn(type).stream().anyMatch(each -> each.simpleName().endsWith("Builder"));
    }

    /** What only tests pass, to see it refused, says nothing of the project's own needs. @param place a symbol */
    public boolean counts(TypeOutline type, String place) {
        boolean test = program.type(Symbol.of(place).type())
                .map(found -> program.fileOf(found).test()).orElse(false);
        return !test || program.fileOf(type).test();
    }

    /** Calls inside the type itself, its nested types included, do not count. */
    private static boolean isOutside(TypeOutline type, String within) {
        return !within.equals(type.name()) && !within.startsWith(type.name() + ".");
    }
}
