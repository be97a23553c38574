package driftwood.behaviour;

/**
 * What observed code may take.
 *
 * @param caseMillis milliseconds for one case
 * @param memoryMib  heap of the observed process in MiB
 */
public record Limits(long caseMillis, int memoryMib) {
    /** Two seconds and 256 MiB. */
    public static final Limits DEFAULT = new Limits(2000, 256);
}
