package driftwood.cli;

/** The user asked for something that cannot be done as asked. The message says what, where, and what to do. */
public final class UsageException extends RuntimeException {
    private static final long serialVersionUID = 1;

    public UsageException(String message) {
        super(message);
    }
}
