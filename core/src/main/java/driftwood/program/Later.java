package driftwood.program;

import java.util.function.Supplier;

/** Something that is found out when it is first asked for. Safe to ask from several threads. */
public final class Later<T> implements Supplier<T> {
    private Supplier<T> source;
    private volatile T found;

    /** @param source gives no null; asked once */
    public Later(Supplier<T> source) {
        this.source = source;
    }

    @Override
    public T get() {
        if (found == null) {
            find();
        }
        return found;
    }

    private synchronized void find() {
        if (found == null) {
            found = source.get();
            source = null;
        }
    }
}
