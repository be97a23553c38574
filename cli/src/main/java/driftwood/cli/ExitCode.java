package driftwood.cli;

/** How a run ends. The numbers are part of the interface. */
public enum ExitCode {
    /** All is well. */
    FINE(0),
    /** There is something to act on: findings at or over the limit, behaviour that differs. */
    ACT(1),
    /** The command line or the configuration is wrong. */
    USAGE(2),
    /** Finished, but some input could not be read; what is listed on stderr. */
    UNREAD(3),
    /** A defect in Driftwood itself. */
    DEFECT(4);

    private final int number;

    ExitCode(int number) {
        this.number = number;
    }

    /** The graver of two. */
    public ExitCode or(ExitCode other) {
        return number >= other.number ? this : other;
    }

    public int number() {
        return number;
    }
}
