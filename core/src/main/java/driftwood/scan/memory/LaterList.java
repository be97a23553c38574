package driftwood.scan.memory;

import driftwood.program.Later;
import java.util.AbstractList;
import java.util.Iterator;
import java.util.List;
import java.util.function.Supplier;

/** A list that is found out when somebody first asks for it. Safe to ask from several threads. */
final class LaterList<T> extends AbstractList<T> {
    private final Later<List<T>> found;

    LaterList(Supplier<List<T>> source) {
        this.found = new Later<>(source);
    }

    @Override
    public T get(int index) {
        return found.get().get(index);
    }

    @Override
    public int size() {
        return found.get().size();
    }

    @Override
    public Iterator<T> iterator() {
        return found.get().iterator();
    }
}
