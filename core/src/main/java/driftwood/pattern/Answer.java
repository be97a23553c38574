package driftwood.pattern;

import driftwood.smell.Evidence;
import driftwood.source.Idiom;
import java.util.List;
import java.util.Map;

/**
 * A refactoring into a pattern, thought through for one finding.
 *
 * @param roles   who plays what, with proposed names for those who do not exist yet
 * @param steps   small ones, each leaving a program that compiles and behaves the same
 * @param cost    what it adds
 * @param after   every place to edit for one variant more, once it is done
 */
public record Answer(List<Role> roles, List<Step> steps, Cost cost, List<Evidence> after) {

    /**
     * A participant.
     *
     * @param role   as the pattern calls it
     * @param name   of the type or routine that plays it
     * @param exists whether it is there already
     */
    public record Role(String role, String name, boolean exists) {
    }

    /**
     * A step.
     *
     * @param does   what to do, in the imperative
     * @param places where
     * @param check  how to see that nothing else changed
     */
    public record Step(String does, List<Evidence> places, Check check) {
    }

    /** The same with new parts called otherwise. @param names by role */
    public Answer called(Map<String, String> names) {
        return new Answer(roles.stream().map(each -> each.exists() || !names.containsKey(each.role()) ? each
                : new Role(each.role(), names.get(each.role()) + (each.name().endsWith("()") ? "()" : ""), false)).toList(), steps, cost, after);
    }

    /** How to see that nothing else changed. */
    public enum Check {
        /** What the language has for it: its compiler, or the tests. */
        LANGUAGE, LANGUAGE_EACH, CONFIRM, CONFIRM_EACH,
        /** It is confirmed once, before anything moves. */
        PINNED,
        /** The change is meant: what failed before is said now. */
        TOLD,
        /** The step adds its own test. */
        TESTED;

        /** In words. @param idiom of the language */
        public String in(Idiom idiom) {
            return switch (this) {
                case LANGUAGE -> idiom.check();
                case LANGUAGE_EACH -> idiom.check() + " after each";
                case CONFIRM -> "driftwood confirm";
                case CONFIRM_EACH -> "driftwood confirm after each";
                case PINNED -> "driftwood confirm says: same";
                case TESTED -> "run it";
                case TOLD -> "they failed before; now they say so";
            };
        }
    }

    /**
     * What a pattern costs.
     *
     * @param types types added
     * @param lines lines added, roughly; negative where the code gets shorter
     * @param indirection one clause
     */
    public record Cost(int types, int lines, String indirection) {
    }
}
