package driftwood.witness;

/** An input could not be made, or a routine is not there any more. The message says which and why. */
final class Unmade extends Exception {
    private static final long serialVersionUID = 1;

    Unmade(String why) {
        super(why);
    }
}
