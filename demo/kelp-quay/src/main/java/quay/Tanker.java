package quay;

/** A tanker, perhaps with something dangerous on board. */
public class Tanker extends Vessel {
    private final boolean hazardous;

    public Tanker(String name, int tonnage, int length, boolean hazardous) {
        super(name, tonnage, length);
        this.hazardous = hazardous;
    }

    public boolean isHazardous() {
        return hazardous;
    }
}
