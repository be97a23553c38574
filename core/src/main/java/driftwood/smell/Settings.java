package driftwood.smell;

import java.util.List;

/**
 * What a project may decide for itself.
 *
 * @param parameterLimit   parameters a routine may have before its list counts as long; at least 1
 * @param compositionRoots simple names of types, or of their endings after a star, that put the program together
 * @param history          whether the version history weighs in the drag
 * @param excluded         paths to leave out, in the form of an ignore file
 * @param tests            whether test code is judged
 * @param generated        whether generated code is judged
 * @param classPath        what the code needs to be compiled and run, relative to the project or absolute
 */
public record Settings(int parameterLimit, List<String> compositionRoots, boolean history, List<String> excluded,
        boolean tests, boolean generated, List<String> classPath) {
    /** As the catalogue has it. */
    public static final Settings DEFAULT = new Settings(5, List.of(), true, List.of(), false, false, List.of());

    /** All of it, for keys. What a record writes of itself by nature takes the platform 16 ms to prepare. */
    @Override
    public String toString() {
        return "settings " + parameterLimit + compositionRoots + history + excluded + tests + generated + classPath;
    }
}
