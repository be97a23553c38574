package driftwood.pack;

/** Where lines of files have moved to. */
@FunctionalInterface
public interface Moves {
    /** All lines are where they were. */
    Moves NONE = (file, line) -> line;

    /**
     * Where a line is now.
     *
     * @param file the path that the innermost record around with a part named "file" gives; empty where none does
     * @param line counted from 1
     */
    int moved(String file, int line);
}
