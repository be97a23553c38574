package quay;

/** What a vessel owes for its stay, in whole crowns. Each kind of vessel knows its own tariff. */
public class HarbourDues {
    static final int BASE = 40;

    private final Season season;

    public HarbourDues(Season season) {
        this.season = season;
    }

    /** The dues for a stay of some nights. */
    public int quote(Vessel vessel, int nights) {
        if (vessel == null) {
            throw new IllegalArgumentException("no dues known for " + vessel);
        }
        return vessel.dues(season, nights);
    }
}
