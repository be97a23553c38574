package quay;

/** Something that can be sailed: a leg, or a voyage made of passages. */
public interface Passage {
    /** Nautical miles. */
    int miles();
}
