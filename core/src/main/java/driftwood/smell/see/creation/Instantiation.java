package driftwood.smell.see.creation;

import driftwood.pack.Line;
import java.util.List;

/**
 * A creation of an instance and what becomes of it.
 *
 * @param within   qualified name of the type whose code creates
 * @param routine  symbol of the routine or field around
 * @param created  the type as written
 * @param how      what becomes of it at once
 * @param name     of the field or local that holds it, else empty
 * @param fallback whether it only stands in where nothing else was given
 * @param used     whether the routine calls it, or has another routine of the same object do so
 * @param leaves   whether the routine returns it or hands it to others
 * @param wrapper  the type of the only-argument creation it is handed to, else empty
 * @param set      setters and properties set right after it, in order
 * @param line     where it begins
 * @param endLine  where it ends
 * @param useLine  where the local or field that holds it is first called on behind it; the same line if it is not
 */
public record Instantiation(String within, String routine, String created, How how, String name, boolean fallback,
        boolean used, boolean leaves, String wrapper, List<String> set, @Line int line, @Line int endLine, @Line int useLine) {

    /** What becomes of a fresh instance. */
    public enum How {
        FIELD, LOCAL,
        /** For a block, and closed at its end. */
        OPENED, RECEIVER, ARGUMENT, WRAPPED, RETURNED, OTHER,
        /** Handed to a collection. */
        COLLECTED
    }
}
