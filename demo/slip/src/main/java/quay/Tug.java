package quay;

/** A harbour tug. */
public class Tug extends Vessel {
    private final int bollardPull;

    public Tug(String name, int tonnage, int length, int bollardPull) {
        super(name, tonnage, length);
        this.bollardPull = bollardPull;
    }

    /** Tonnes. */
    public int getBollardPull() {
        return bollardPull;
    }

    @Override
    int dues(Season season, int nights) {
        return 0;
    }
}
