package driftwood.read;

/** A file that cannot be read for a reason that can be told. The message says why, as a clause. */
public final class Unreadable extends RuntimeException {
    private static final long serialVersionUID = 1;

    public Unreadable(String why) {
        super(why);
    }

    public Unreadable(String why, Throwable cause) {
        super(why, cause);
    }
}
