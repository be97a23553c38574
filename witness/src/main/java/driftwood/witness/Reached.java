package driftwood.witness;

/** Called from a probe that was planted into observed code. */
public final class Reached {
    private Reached() {
    }

    /** Fails: some case came here. */
    public static void here(Error error) throws Error {
        throw error;
    }
}
