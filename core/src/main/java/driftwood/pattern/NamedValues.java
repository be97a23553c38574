package driftwood.pattern;

import driftwood.pattern.Answer.Role;
import driftwood.program.Symbol;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Evidence;
import driftwood.source.Idiom;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What is told where values that have names become the constants of a type of their own, which answer for themselves. */
public final class NamedValues {

    private NamedValues() {
    }

    /**
     * The same answer, told of these constants.
     *
     * @param role      key of the pattern, which is what the type plays
     * @param type      simple name of the new type
     * @param constants of it, in order
     * @param at        where it is declared
     */
    public static Answer of(Answer told, Branching branching, String role, String type, List<String> constants, Evidence at, Idiom idiom) {
        List<Role> roles = new ArrayList<>(told.roles().stream().filter(each -> each.role().equals("context")).toList());
        roles.add(new Role(role, type, false));
        constants.forEach(each -> roles.add(new Role("concrete " + role, each, false)));
        String routines = Stream.concat(Stream.of(branching.chain().routine()), branching.siblings().stream().map(each -> each.symbol()))
                .map(each -> Symbol.of(each).member() + "()").distinct().collect(Collectors.joining(", "));
        boolean all = branching.chain().arms().stream().flatMap(arm -> arm.labels().stream()).distinct().count() >= constants.size();
        return new Answer(roles, told.steps(), told.cost(), List.of(new Evidence(at.file(), at.line(), at.endLine(), "the new constant of " + type + ", with "
                + routines + Branches.reminded(branching.chain(), all, idiom))));
    }
}
