package driftwood.refactor;

/** A recipe does not fit this code, or cannot be carried out on it. The message is the reason, as a clause. */
public final class Refused extends RuntimeException {
    private static final long serialVersionUID = 1;

    /** @param because a clause such as "Berth is a library's own type"; never blank */
    public Refused(String because) {
        super(because);
    }
}
