package driftwood.refactor;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Supplier;

/**
 * What a project compiles with.
 *
 * @param known named by somebody
 * @param more  asked, at most once, where the project does not compile with those alone; its build may know them
 */
public record Libraries(List<Path> known, Supplier<List<Path>> more) {
    /** Nothing but the platform. */
    public static final Libraries NONE = new Libraries(List.of(), List::of);
}
