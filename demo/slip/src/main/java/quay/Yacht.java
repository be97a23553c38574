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

    @Override
    int dues(Season season, int nights) {
        int perNight = getLength() * 3 + guests * 2;
        if (season.isHigh() && nights < 7) {
            perNight = perNight * 3 / 2;
        }
        return perNight * nights;
    }
}
