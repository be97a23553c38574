package driftwood.witness;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * Called from observed code that was told to say where it comes, and what it compares there: a value that was compared
 * with another is what it takes to make them equal.
 */
public final class Reached {
    /** More comparisons of one case are not told. */
    private static final int MOST = 80;
    private static final int LONGEST = 60;
    /** How often, by place. Many threads at once may lose a count: that hardly matters here, and every line pays for it. */
    private static int[] visits = new int[1024];
    /** A thread that has been given up: it ends at the next place it comes to. */
    private static volatile Thread doomed;
    private static final Set<Compared> COMPARED = new LinkedHashSet<>();
    private static long count;

    private Reached() {
    }

    /**
     * Two values that were compared and are not equal.
     *
     * @param place    where
     * @param one      a number or a text
     * @param other    of the same sort
     * @param numbers  whether they are numbers
     */
    record Compared(int place, String one, String other, boolean numbers) {
    }

    /** Ends a case from inside. */
    static final class Ended extends Error {
        private static final long serialVersionUID = 1;

        Ended() {
            super(null, null, false, false);
        }
    }

    /** Some case came here. */
    public static void at(int place) {
        if (place >= visits.length) {
            visits = Arrays.copyOf(visits, 2 * place);
        }
        visits[place]++;
        count++;
        if (doomed != null && doomed == Thread.currentThread()) {
            throw new Ended();
        }
    }

    /** Gives a thread up: wherever it says that it comes somewhere, it ends. */
    static void doom(Thread thread) {
        doomed = thread;
    }

    private static synchronized void compared(int place, String one, String other, boolean numbers) {
        if (COMPARED.size() < MOST && one.length() <= LONGEST && other.length() <= LONGEST) {
            COMPARED.add(new Compared(place, one, other, numbers));
        }
    }

    /** Two numbers, before they are compared. */
    public static void ints(int one, int other, int place) {
        if (one != other) {
            compared(place, Integer.toString(one), Integer.toString(other), true);
        }
    }

    /** A number, before it is compared with nothing. */
    public static void zero(int one, int place) {
        ints(one, 0, place);
    }

    /** In place of a comparison of long numbers. */
    public static int longs(long one, long other, int place) {
        if (one != other) {
            compared(place, Long.toString(one), Long.toString(other), true);
        }
        return Long.compare(one, other);
    }

    /** In place of a comparison of decimals. @param unordered what it gives for what is no number */
    public static int doubles(double one, double other, int unordered, int place) {
        if (one != other && !Double.isNaN(one) && !Double.isNaN(other)) {
            compared(place, Double.toString(one), Double.toString(other), true);
        }
        return Double.isNaN(one) || Double.isNaN(other) ? unordered : one < other ? -1 : one > other ? 1 : 0;
    }

    /** In place of a comparison of short decimals. */
    public static int floats(float one, float other, int unordered, int place) {
        return doubles(one, other, unordered, place);
    }

    /** In place of {@link String#equals}. */
    public static boolean texts(String one, Object other, int place) {
        if (other instanceof String text && !one.equals(text)) {
            compared(place, one, text, false);
        }
        return one.equals(other);
    }

    /** Where code came since this was last asked, and how often. */
    static synchronized Map<Integer, Integer> take() {
        Map<Integer, Integer> taken = new TreeMap<>();
        for (int place = 0; place < visits.length; place++) {
            if (visits[place] > 0) {
                taken.put(place, visits[place]);
                visits[place] = 0;
            }
        }
        return taken;
    }

    /** What was compared since this was last asked. */
    static synchronized List<Compared> comparisons() {
        List<Compared> taken = new ArrayList<>(COMPARED);
        COMPARED.clear();
        return taken;
    }

    /** How often code came to some place, since the process began: a measure of work that no other load changes. */
    static long count() {
        return count;
    }
}
