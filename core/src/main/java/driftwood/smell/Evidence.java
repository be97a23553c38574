package driftwood.smell;

import driftwood.pack.Line;
import java.util.function.IntUnaryOperator;

/**
 * A place that shows a finding, and what is to be seen there.
 *
 * @param file    relative path
 * @param line    first line, counted from 1; {@link #NONE_YET} in a file that is still to be written
 * @param endLine last line
 * @param note    one clause; never blank
 */
public record Evidence(String file, @Line int line, @Line int endLine, String note) {
    /** The line of what is still to be written. */
    public static final int NONE_YET = 0;

    /** A place in a file that is still to be written. */
    public static Evidence fresh(String file, String note) {
        return new Evidence(file, NONE_YET, NONE_YET, note);
    }

    /** The same place after lines have moved; what is still to be written is in none. */
    public Evidence moved(IntUnaryOperator lines) {
        return toBeWritten() ? this : new Evidence(file, lines.applyAsInt(line), lines.applyAsInt(endLine), note);
    }

    public boolean toBeWritten() {
        return line == NONE_YET;
    }
}
