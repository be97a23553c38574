package driftwood.refactor;

import java.util.List;
import java.util.Map;

/**
 * What a user asks of a refactoring beside its pattern.
 *
 * @param names for new parts, by role
 * @param form  of the pattern, one of those that its recipe has; empty for the usual one
 */
public record Wishes(Map<String, String> names, String form) {
    /** Whatever Driftwood proposes. */
    public static final Wishes NONE = new Wishes(Map.of(), "");

    /** The same for a pattern that has these forms: in its usual one, where it has not the one that is wished. */
    public Wishes in(List<String> forms) {
        return forms.contains(form) ? this : new Wishes(names, "");
    }
}
