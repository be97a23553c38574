package quay;

/** A vessel that calls at Kelp Quay. */
public abstract class Vessel {
    private final String name;
    private final int tonnage;
    private final int length;

    protected Vessel(String name, int tonnage, int length) {
        if (tonnage < 0) {
            throw new IllegalArgumentException("negative tonnage: " + tonnage);
        }
        this.name = name;
        this.tonnage = tonnage;
        this.length = length;
    }

    public String getName() {
        return name;
    }

    /** Gross tonnage. */
    public int getTonnage() {
        return tonnage;
    }

    /** Length over all, in metres. */
    public int getLength() {
        return length;
    }

    @Override
    public String toString() {
        return getClass().getSimpleName() + " " + name;
    }

    /** What this vessel owes for a stay of some nights, in whole crowns. */
    abstract int dues(Season season, int nights);
}
