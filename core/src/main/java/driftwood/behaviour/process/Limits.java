package driftwood.behaviour.process;

/**
 * What observed code may take.
 *
 * @param caseMillis milliseconds for one case
 * @param memoryMib  heap of the observed process in MiB
 * @param jobs       processes at a time, at least 1
 */
public record Limits(long caseMillis, int memoryMib, int jobs) {
    /** Two seconds and 256 MiB, one process. */
    public static final Limits DEFAULT = new Limits(2000, 256, 1);

    /** With four times the time for a case, one after the other. */
    public Limits patient() {
        return new Limits(4 * caseMillis, memoryMib, 1);
    }
}
