package quay;

/** Leave to move in the harbour. */
public interface Permit {
    /** Fee in crowns. */
    int fee();

    /** Days until it must be renewed. */
    int validDays();

    String text();
}
