package driftwood.witness;

import java.util.BitSet;

/** Called from observed code that was told to say where it comes. */
public final class Reached {
    private static final BitSet PLACES = new BitSet();

    private Reached() {
    }

    /** Some case came here. */
    public static synchronized void at(int place) {
        PLACES.set(place);
    }

    /** Where code came since this was last asked. */
    static synchronized BitSet take() {
        BitSet taken = (BitSet) PLACES.clone();
        PLACES.clear();
        return taken;
    }
}
