package driftwood.witness;

import java.lang.reflect.Array;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.util.Collection;
import java.util.IdentityHashMap;
import java.util.Map;
import java.util.Set;

/**
 * The inner state of an object as a number, private fields and all. It guides the search for cases, for a new state is
 * worth a case; it is never recorded and decides no verdict.
 */
final class Inner {
    private static final int DEEPEST = 6;
    private static final int MOST = 400;

    private final Answers answers;
    private final IdentityHashMap<Object, Integer> met = new IdentityHashMap<>();
    private int left = MOST;

    Inner(Answers answers) {
        this.answers = answers;
    }

    /** The same for the same state in every process. */
    long of(Object object) {
        return of(object, 0);
    }

    private long of(Object object, int depth) {
        if (object == null || left-- < 0 || depth > DEEPEST) {
            return 17;
        }
        if (Foreign.scalar(object).isPresent()) {
            return Foreign.scalar(object).get().hashCode();
        }
        Integer known = met.putIfAbsent(object, met.size());
        if (known != null) {
            return 31 + known;
        }
        if (object.getClass().isArray()) {
            long sum = Array.getLength(object);
            for (int i = 0; i < Math.min(MOST, Array.getLength(object)); i++) {
                sum = 31 * sum + of(Array.get(object, i), depth + 1);
            }
            return sum;
        }
        return answers.isOwn(object.getClass()) ? fields(object, depth) : foreign(object, depth);
    }

    private long foreign(Object object, int depth) {
        if (object instanceof Map<?, ?> map) {
            long sum = map.size();
            for (Map.Entry<?, ?> each : map.entrySet()) {
                sum += 31 * of(each.getKey(), depth + 1) + 7 * of(each.getValue(), depth + 1);
            }
            return sum;
        }
        if (object instanceof Collection<?> items) {
            long sum = items.size();
            for (Object each : items) {
                sum = (items instanceof Set ? sum : 31 * sum) + of(each, depth + 1);
            }
            return sum;
        }
        boolean silent = object.getClass().isHidden() || StandIns.typeOf(object).isPresent();
        return silent ? 3 : Foreign.described(object).hashCode();
    }

    private long fields(Object object, int depth) {
        long sum = object.getClass().getName().hashCode();
        for (Class<?> type = object.getClass(); type != null && answers.isOwn(type); type = type.getSuperclass()) {
            for (Field field : type.getDeclaredFields()) {
                if (!Modifier.isStatic(field.getModifiers()) && !field.isSynthetic() && field.trySetAccessible()) {
                    try {
                        sum = 31 * sum + of(field.get(object), depth + 1);
                    } catch (IllegalAccessException e) {
                        continue;
                    }
                }
            }
        }
        if (object instanceof Map || object instanceof Collection) {
            sum = 31 * sum + foreign(object, depth);
        }
        return sum;
    }
}
