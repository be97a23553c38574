package driftwood.pattern;

import driftwood.pattern.Answer.Check;
import driftwood.pattern.Answer.Step;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.TypeOutline;
import driftwood.smell.Chain;
import driftwood.smell.Chain.Label;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Detail.Place;
import driftwood.smell.Evidence;
import driftwood.tree.TypeRef;
import java.util.List;
import java.util.Optional;

/** What the answers to branching chains have in common: names, signatures, the call that replaces the chain. */
final class Branches {
    private Branches() {
    }

    /** The name for the routine that takes an arm over. */
    static String routineFor(Chain chain) {
        String name = chain.routineName();
        return name.isEmpty() || name.equals(Words.simple(chain.within())) ? "handle" : name;
    }

    /** Result, name and parameters for the new routine: those of the old one without the subject itself. */
    static String signature(Chain chain, Site site, String name) {
        Optional<RoutineOutline> routine = Strategy.routineOf(chain, site.program());
        String returns = routine.map(RoutineOutline::returns).filter(TypeRef::isPresent).map(TypeRef::text).orElse("void");
        StringBuilder text = new StringBuilder(returns.replace(",", ", ")).append(' ').append(name).append('(');
        String separator = "";
        for (ParameterOutline each : parameters(chain, site)) {
            text.append(separator).append(each.type().text().replace(",", ", ")).append(' ').append(each.name());
            separator = ", ";
        }
        return text.append(')').toString();
    }

    /** The routine's result as a type argument; {@code Void} for none. */
    static String boxed(Chain chain, Site site) {
        String returns = Strategy.routineOf(chain, site.program()).map(each -> each.returns().text()).orElse("void");
        return switch (returns) {
            case "void", "" -> "Void";
            case "int" -> "Integer";
            case "char" -> "Character";
            case "boolean", "long", "double", "float", "short", "byte" -> Words.upper(returns);
            default -> returns.replace(",", ", ");
        };
    }

    static List<ParameterOutline> parameters(Chain chain, Site site) {
        return Strategy.routineOf(chain, site.program()).map(RoutineOutline::parameters).orElse(List.of()).stream()
                .filter(each -> !each.name().equals(chain.subject().text())).toList();
    }

    /** The statement that stands where the chain stood. */
    static String call(Chain chain, Site site, String target) {
        boolean returns = Strategy.routineOf(chain, site.program())
                .map(each -> !each.returns().text().equals("void") && !each.isConstructor()).orElse(false);
        String arguments = String.join(", ", parameters(chain, site).stream().map(ParameterOutline::name).toList());
        return (returns ? "return " : "") + target + "(" + arguments + ");";
    }

    /** The project's types that an arm tests for. */
    static List<TypeOutline> types(Chain.Arm arm, Chain chain, Site site) {
        return site.type(chain.within()).map(scope -> arm.labels().stream()
                .filter(label -> label.kind() == Label.Kind.TYPE)
                .flatMap(label -> site.program().resolve(new TypeRef(label.text()), scope).stream())
                .distinct().toList()).orElse(List.of());
    }

    /** What a sketch that has a place for each case only would lose: an else that does something of its own. */
    static String lost(Chain chain) {
        return chain.otherwise().filter(rest -> rest.work() != Chain.Work.THROWS && !rest.does().isEmpty())
                .map(rest -> "what is done for all other cases (" + rest.does() + ") would have to go somewhere first").orElse("");
    }

    static Step siblingsStep(Branching branching) {
        List<Evidence> places = branching.siblings().stream().map(Place::evidence).toList();
        return places.isEmpty()
                ? new Step("Remove what nothing uses any more.", List.of(), Check.CONFIRM)
                : new Step("Do the same for the other chains on these variants, one at a time.", places,
                        Check.CONFIRM_EACH);
    }

    /** Lines that the move adds: a frame of four lines for each arm, less the labels that go. */
    static int lines(Chain chain) {
        return 4 * chain.arms().size() - chain.arms().size();
    }

    /** Whether the subject is a field of the very type that the chain is in. */
    static boolean isOwnField(Chain chain, Site site) {
        return site.program().fieldAt(chain.subject().trail(), chain.within())
                .filter(found -> found.owner().name().equals(chain.within())).isPresent();
    }
}
