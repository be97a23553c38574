package driftwood.read;

import java.util.function.Supplier;

/**
 * How deep something stands in itself. Deeper than anybody writes, what is found out at each level about all below it grows
 * with the square and more; such a file is left unread, and said.
 */
public final class Nesting {
    private final String what;
    private final int most;
    private int depth;

    /** @param what in the plural, as a reader would call it */
    public Nesting(String what, int most) {
        this.what = what;
        this.most = most;
    }

    /** Reads one level. @throws Unreadable where it is too deep */
    public <T> T in(Supplier<T> read) {
        if (depth == most) {
            throw new Unreadable("more than " + most + " " + what + " inside one another");
        }
        depth++;
        try {
            return read.get();
        } finally {
            depth--;
        }
    }
}
