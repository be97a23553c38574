package driftwood.smell.detect.nothing;

import driftwood.program.FieldOutline;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail.Guard;
import driftwood.smell.Detail.Reaction;
import driftwood.smell.Drag;
import driftwood.source.Language;
import driftwood.tree.TypeRef;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * What can stand for a thing that is missing, by its type: the less there is, the less a check for nothing is worth telling.
 *
 * @param isValue a text, a number, a truth value or of no certain type: no object with the same routines can stand for it
 * @param isLink  of the same kind as the type that has it, as in a list or a tree
 * @param isChecked the compiler refuses whoever does not ask
 * @param isError what went wrong: where nothing did, there is none
 */
record Missing(boolean isValue, boolean isLink, boolean isChecked, boolean isError) {
    private static final Set<String> VALUES = Set.of("String", "string", "CharSequence", "str", "bytes", "Integer", "Long", "Short", "Byte", "Character",
            "Double", "Float", "Number", "Boolean", "BigDecimal", "BigInteger", "int", "float", "bool", "Object", "Class");
    private static final int FEW = 3;
    /** Where no object can stand for what is missing, more guards than these weigh no more: each ends in a way of its own. */
    private static final int SOME = 4;
    private static final Pattern LINK = Pattern.compile("(?i:get_?)?(?i:next|prev|previous|parent|owner|prototype|enclosing|outer)([A-Z_].*)?");

    /** What a routine may not give. @param owner declares it */
    static Missing of(RoutineOutline routine, TypeOutline owner, Program program) {
        RoutineOutline first = program.rootOf(routine);
        Optional<TypeOutline> declares = program.type(first.owner());
        boolean open = routine.typeParameters().contains(routine.returns().text())
                || declares.filter(each -> each.typeParameters().contains(first.returns().text())).isPresent();
        Missing missing = of(routine.returns(), owner, program);
        boolean next = LINK.matcher(routine.name()).matches() && program.resolve(routine.returns(), owner)
                .filter(each -> each.equals(owner) || program.ancestors(owner).contains(each)).isPresent();
        boolean link = missing.isLink || declares.filter(each -> of(first.returns(), each, program).isLink).isPresent();
        return new Missing(open || missing.isValue, next || link, missing.isChecked, missing.isError);
    }

    /** What a field may not hold. Where its type is not told, its name tells a link. */
    static Missing of(FieldOutline field, TypeOutline owner, Program program) {
        Missing missing = of(field.type(), owner, program);
        boolean next = !field.type().isPresent() && LINK.matcher(field.name()).matches() && program.fileOf(owner).language().isDuckTyped();
        return new Missing(missing.isValue, missing.isLink || next, missing.isChecked, missing.isError);
    }

    /** @param type as declared @param owner the type that declares what may be missing */
    static Missing of(TypeRef type, TypeOutline owner, Program program) {
        Optional<TypeOutline> known = program.resolve(type, owner);
        return new Missing(VALUES.contains(type.simpleName()) || owner.typeParameters().contains(type.text()),
                known.filter(each -> each.equals(owner) || program.ancestors(owner).contains(each) && !each.isInterface()
                        || program.ancestors(each).contains(owner)).isPresent(),
                program.fileOf(owner).language().has(Language.Habit.NOTHING_CHECKED),
                known.map(TypeOutline::isError).orElse(TypeOutline.isThrown(type.simpleName())));
    }

    /** Weighs who treats nothing as an error: no object can stand for it there, and where most do, each asks for the same condition. */
    static Drag.Builder failing(Drag.Builder drag, List<Guard> guards) {
        int failing = (int) guards.stream().filter(each -> each.reaction() == Reaction.THROWS).count();
        double without = Drag.reaching(guards.size() - failing) - Drag.reaching(guards.size());
        boolean mostly = 2 * failing > guards.size();
        return drag.risk(failing > 0 && !mostly, without - 0.6, "to " + failing + " of its callers it is an error: no one object can stand for it")
                .risk(mostly, without - 1.4, "to most that ask it is an error: what they lack is a condition, no object");
    }

    /** Weighs a finding. @param guards places that ask for nothing @param careful whether everybody asks */
    Drag.Builder weighed(Drag.Builder drag, int guards, boolean careful) {
        double beyond = Math.max(0, Drag.reaching(guards) - Drag.reaching(SOME));
        return drag.risk(isValue, -2.0 - beyond, "what is missing is a value, or of any type: no object can stand for it")
                .risk(isChecked, isValue ? -0.8 : -1.4, "the compiler refuses whoever does not ask")
                .risk(isLink, isValue ? -1.0 : -1.0 - beyond, "it links to another of its kind, and links end somewhere")
                .risk(isError && !isValue, -1.4 - beyond, "it is what went wrong: that nothing did is no object")
                .risk(guards > 1 && guards <= FEW && careful && !isValue && !isLink, -0.8, "few places ask, and all of them do");
    }
}
