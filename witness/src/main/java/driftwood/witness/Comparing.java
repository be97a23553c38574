package driftwood.witness;

import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** How the objects of a case compare with each other, where their project says what that means. */
final class Comparing {
    private static final int MOST = 4;

    private final Answers answers;

    Comparing(Answers answers) {
        this.answers = answers;
    }

    /** Pairs such as {@code this, 1.other}, and {@code equal}. @param alive objects by name */
    List<Outcome.Writing> pairs(Map<String, Object> alive) {
        List<Map.Entry<String, Object>> some = new ArrayList<>();
        for (Map.Entry<String, Object> each : alive.entrySet()) {
            boolean comparable = each.getValue() != null && answers.isOwn(each.getValue().getClass())
                    && StandIns.typeOf(each.getValue()).isEmpty() && !(each.getValue() instanceof Enum);
            if (comparable && some.size() < MOST && some.stream().noneMatch(other -> other.getValue() == each.getValue())) {
                some.add(each);
            }
        }
        List<Outcome.Writing> pairs = new ArrayList<>();
        for (int i = 0; i < some.size(); i++) {
            for (int j = i + 1; j < some.size(); j++) {
                String told = told(some.get(i).getValue(), some.get(j).getValue());
                if (!told.isEmpty()) {
                    pairs.add(new Outcome.Writing(some.get(i).getKey() + ", " + some.get(j).getKey(), told));
                }
            }
        }
        return pairs;
    }

    private String told(Object one, Object other) {
        List<String> words = new ArrayList<>();
        if (one.getClass() == other.getClass() && defines(one.getClass(), "equals", 1)) {
            words.add(word(() -> one.equals(other) ? one.hashCode() == other.hashCode() ? "equal" : "equal with other hashes" : "unequal"));
            words.add(word(() -> one.equals(other) == other.equals(one) ? "" : "but not the other way round"));
        }
        if (one instanceof Comparable<?> && one.getClass() == other.getClass()) {
            words.add(word(() -> order(one, other)));
        }
        words.removeIf(String::isEmpty);
        return String.join(", ", words);
    }

    @SuppressWarnings("unchecked")
    private static String order(Object one, Object other) {
        int order = ((Comparable<Object>) one).compareTo(other);
        return order < 0 ? "before" : order > 0 ? "after" : "level";
    }

    private String word(java.util.function.Supplier<String> ask) {
        return answers.unheard(() -> {
            try {
                return ask.get();
            } catch (RuntimeException | StackOverflowError e) {
                return "throws " + e.getClass().getName();
            }
        });
    }

    private boolean defines(Class<?> type, String name, int parameters) {
        for (Class<?> at = type; at != null && answers.isOwn(at); at = at.getSuperclass()) {
            for (Method each : at.getDeclaredMethods()) {
                if (each.getName().equals(name) && each.getParameterCount() == parameters) {
                    return true;
                }
            }
        }
        return false;
    }
}
