package quay;

import java.util.Map;
import java.util.function.IntUnaryOperator;
class Flags {
    private static final Map<String, IntUnaryOperator> MEANINGS = Map.of("GOLF", wind -> wind + 1, "KILO", wind -> wind * 2,
            "LIMA", wind -> 7);
    int hoist(String flag, int wind) {
        IntUnaryOperator meaning = MEANINGS.get(java.util.Objects.requireNonNull(flag));
        if (meaning == null) {
            throw new IllegalArgumentException("no flag " + flag);
        }
        return meaning.applyAsInt(wind);
    }
}
