package driftwood.program;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;

/**
 * The locals in sight at a point of a walk, inner ones before outer ones. One list for all scopes, as most are small;
 * each entry knows the outer local of the same name that it hides.
 */
final class Scopes {
    private static final int NONE = -1;

    private final Map<String, Integer> nearest = new HashMap<>();
    private String[] names = new String[32];
    private Trail[] trails = new Trail[32];
    private int[] hidden = new int[32];
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
        int start = starts[--depth];
        while (size > start) {
            size--;
            if (hidden[size] == NONE) {
                nearest.remove(names[size]);
            } else {
                nearest.put(names[size], hidden[size]);
            }
        }
    }

    /** Declares a local in the innermost scope; ignored outside of all scopes. */
    void declare(String name, Trail trail) {
        if (depth == 0) {
            return;
        }
        int at = indexOf(name);
        if (at >= starts[depth - 1]) {
            trails[at] = trail;
            return;
        }
        if (size == names.length) {
            names = Arrays.copyOf(names, 2 * size);
            trails = Arrays.copyOf(trails, 2 * size);
            hidden = Arrays.copyOf(hidden, 2 * size);
        }
        names[size] = name;
        trails[size] = trail;
        hidden[size] = at;
        nearest.put(name, size++);
    }

    /** Changes what is known of the nearest local of a name, where there is one. */
    void replace(String name, Trail trail) {
        int at = indexOf(name);
        if (at != NONE) {
            trails[at] = trail;
        }
    }

    /** What is known of the nearest local of a name; null where there is none. */
    Trail of(String name) {
        int at = indexOf(name);
        return at == NONE ? null : trails[at];
    }

    private int indexOf(String name) {
        return size == 0 ? NONE : nearest.getOrDefault(name, NONE);
    }
}
