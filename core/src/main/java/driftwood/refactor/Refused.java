package driftwood.refactor;

/** A recipe does not fit this code, or cannot be carried out on it. The message is the reason, as a clause. */
public class Refused extends RuntimeException {
    private static final long serialVersionUID = 1;

    /** @param because a clause such as "Berth is a library's own type"; blank only where another recipe has the word */
    public Refused(String because) {
        super(because);
    }

    /** What a recipe throws that is not for code of this shape: what another one says of it stands. */
    public static Refused ofAnother() {
        return new Refused("");
    }

    public boolean isOfAnother() {
        return getMessage().isEmpty();
    }
}
