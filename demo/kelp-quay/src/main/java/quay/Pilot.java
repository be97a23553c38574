package quay;

/** Someone who knows the channel. */
public class Pilot {
    private final String name;
    private final int limit;
    private int trips;

    /** @param limit the largest tonnage this pilot may bring in */
    public Pilot(String name, int limit) {
        this.name = name;
        this.limit = limit;
    }

    public String getName() {
        return name;
    }

    public boolean mayBring(Vessel vessel) {
        return vessel.getTonnage() <= limit;
    }

    public void board(Vessel vessel) {
        trips++;
    }

    public int getTrips() {
        return trips;
    }
}
