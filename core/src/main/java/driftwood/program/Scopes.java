package driftwood.program;

import java.util.Arrays;
import java.util.function.UnaryOperator;

/** The locals in sight at a point of a walk, inner ones before outer ones. One list for all scopes: most are small. */
final class Scopes {
    private String[] names = new String[32];
    private Trail[] trails = new Trail[32];
    private int[] starts = new int[16];
    private int depth;
    private int size;

    /** Begins a scope. */
    void open() {
        if (depth == starts.length) {
            starts = Arrays.copyOf(starts, 2 * depth);
        }
        starts[depth++] = size;
    }

    /** Ends the innermost scope and forgets what was declared in it. */
    void close() {
        size = starts[--depth];
    }

    /** Declares a local in the innermost scope; ignored outside of all scopes. */
    void declare(String name, Trail trail) {
        if (depth == 0) {
            return;
        }
        int at = indexOf(name, starts[depth - 1]);
        if (at >= 0) {
            trails[at] = trail;
            return;
        }
        if (size == names.length) {
            names = Arrays.copyOf(names, 2 * size);
            trails = Arrays.copyOf(trails, 2 * size);
        }
        names[size] = name;
        trails[size++] = trail;
    }

    /** Changes what is known of the nearest local of a name, where there is one. */
    void replace(String name, UnaryOperator<Trail> change) {
        int at = indexOf(name, 0);
        if (at >= 0) {
            trails[at] = change.apply(trails[at]);
        }
    }

    /** What is known of the nearest local of a name; null where there is none. */
    Trail of(String name) {
        int at = indexOf(name, 0);
        return at < 0 ? null : trails[at];
    }

    private int indexOf(String name, int from) {
        for (int i = size - 1; i >= from; i--) {
            if (names[i].equals(name)) {
                return i;
            }
        }
        return -1;
    }
}
