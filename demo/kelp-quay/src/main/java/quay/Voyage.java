package quay;

import java.util.List;

/** Several passages one after the other. */
public record Voyage(String name, List<Passage> parts) implements Passage {
    @Override
    public int miles() {
        int sum = 0;
        for (Passage part : parts) {
            sum += part.miles();
        }
        return sum;
    }
}
