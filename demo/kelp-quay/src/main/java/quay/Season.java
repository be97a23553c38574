package quay;

/** The seasons of the office's tariff. */
public enum Season {
    LOW(false), HIGH(true);

    private final boolean high;

    Season(boolean high) {
        this.high = high;
    }

    public boolean isHigh() {
        return high;
    }
}
