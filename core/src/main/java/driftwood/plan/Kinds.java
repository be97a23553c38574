package driftwood.plan;

import driftwood.program.Program;
import driftwood.program.Trail;
import driftwood.program.TypeOutline;
import driftwood.tree.TypeRef;
import java.util.Optional;
import java.util.Set;

/**
 * The variants of a finding, and how code names them.
 *
 * @param common    what they have in common
 * @param constants their names, where they are constants of it; empty where they are its subtypes
 */
record Kinds(Program program, TypeOutline common, Set<String> constants) {

    /** The variant that a value is; empty where it is none. @param within qualified name of the type around */
    Optional<String> constant(Trail trail, String within) {
        return constants.isEmpty() || !trail.isKnown() ? Optional.empty() : program.fieldAt(trail, within)
                .filter(each -> each.owner().name().equals(common.name())).map(each -> each.symbol().substring(each.symbol().lastIndexOf('#') + 1)).filter(constants::contains);
    }

    /** The variant that a type is; within its own text a variant means itself. */
    Optional<String> variant(TypeRef type, String within) {
        Optional<TypeOutline> scope = program.type(within);
        return !constants.isEmpty() || scope.isEmpty() ? Optional.empty() : program.resolve(type, scope.get())
                .filter(each -> !each.name().equals(within) && !each.name().equals(common.name()) && isKind(each)).map(TypeOutline::simpleName);
    }

    private boolean isKind(TypeOutline type) {
        return program.ancestors(type).stream().anyMatch(each -> each.name().equals(common.name()));
    }

    /** Whether a value is declared to be one of the constants. */
    boolean isOne(Trail trail, String within) {
        return !constants.isEmpty() && program.projectType(trail, within).filter(each -> each.name().equals(common.name())).isPresent();
    }
}
