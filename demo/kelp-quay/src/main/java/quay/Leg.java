package quay;

/** One stretch from one mark to the next. */
public record Leg(String from, String to, int miles) implements Passage {
}
