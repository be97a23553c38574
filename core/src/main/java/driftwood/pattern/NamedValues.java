package driftwood.pattern;

import driftwood.pattern.Answer.Role;
import driftwood.program.Symbol;
import driftwood.smell.Detail;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Evidence;
import driftwood.smell.RoutineFacts;
import driftwood.source.Idiom;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A type that values with names are given: they become its constants, which answer for themselves.
 *
 * @param type      its simple name
 * @param constants what the values are there, in order
 * @param at        where it is declared, by the sources of before
 */
public record NamedValues(String type, List<String> constants, Evidence at) {

    /** What a pattern answers, told of these constants. @param role key of the pattern, which is what the type plays */
    public Answer playing(String role, Answer told, Detail detail, Idiom idiom) {
        if (detail instanceof Branching branching) {
            String routines = Stream.concat(Stream.of(branching.chain().routine()), branching.siblings().stream().map(each -> each.symbol()))
                    .map(each -> Symbol.of(each).member() + "()").distinct().collect(Collectors.joining(", "));
            boolean all = branching.chain().arms().stream().flatMap(arm -> arm.labels().stream()).distinct().count() >= constants.size();
            return playing(role, told, routines + Branches.reminded(branching.chain(), all, idiom));
        }
        return detail instanceof RoutineFacts.Flag flag ? playing(role, told, "its own " + Symbol.of(flag.routine()).member() + "(): " + idiom.reminds() + " asks for it") : told;
    }

    private Answer playing(String role, Answer told, String having) {
        List<Role> roles = new ArrayList<>(told.roles().stream().filter(each -> each.role().equals("context")).toList());
        roles.add(new Role(role, type, false));
        constants.forEach(each -> roles.add(new Role("concrete " + role, each, false)));
        return new Answer(roles, told.steps(), told.cost(), List.of(new Evidence(at.file(), at.line(), at.endLine(), "the new constant of " + type + ", with " + having)));
    }
}
