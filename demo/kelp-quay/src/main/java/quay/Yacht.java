package quay;

/** A pleasure craft. */
public class Yacht extends Vessel {
    private final int guests;

    public Yacht(String name, int tonnage, int length, int guests) {
        super(name, tonnage, length);
        this.guests = guests;
    }

    public int getGuests() {
        return guests;
    }
}
