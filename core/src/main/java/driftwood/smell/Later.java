package driftwood.smell;

import java.util.AbstractList;
import java.util.Iterator;
import java.util.List;
import java.util.function.Supplier;

/** A list that is found out when somebody first asks for it. Safe to ask from several threads. */
final class Later<T> extends AbstractList<T> {
    private Supplier<List<T>> source;
    private volatile List<T> found;

    Later(Supplier<List<T>> source) {
        this.source = source;
    }

    private List<T> found() {
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

    @Override
    public T get(int index) {
        return found().get(index);
    }

    @Override
    public int size() {
        return found().size();
    }

    @Override
    public Iterator<T> iterator() {
        return found().iterator();
    }
}
