package driftwood.cli;

/** How a run ends. The numbers are part of the interface. */
public enum ExitCode {
    /** All is well. */
    FINE(0, "all is well"),
    /** There is something to act on: findings at or over the limit, behaviour that differs. */
    ACT(1, "there is something to act on: findings at or over the limit, behaviour that differs"),
    /** The command line or the configuration is wrong. */
    USAGE(2, "the command line or the configuration is wrong, or a result cannot be written"),
    /** Finished, but some input could not be read; what is listed on stderr. */
    UNREAD(3, "finished, but some input could not be read; what is listed on standard error"),
    /** A defect in Driftwood itself. */
    DEFECT(4, "a defect in Driftwood itself");

    private final int number;
    private final String meaning;

    ExitCode(int number, String meaning) {
        this.number = number;
        this.meaning = meaning;
    }

    /** A clause for people. */
    public String meaning() {
        return meaning;
    }

    /** The graver of two. */
    public ExitCode or(ExitCode other) {
        return number >= other.number ? this : other;
    }

    public int number() {
        return number;
    }
}
