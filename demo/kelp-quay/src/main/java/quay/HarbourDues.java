package quay;

/** What a vessel owes for its stay, in whole crowns. */
public class HarbourDues {
    private static final int BASE = 40;
    private static final int HAZARD_SURCHARGE = 350;
    private static final int LARGE_TONNAGE = 500;

    private final Season season;

    public HarbourDues(Season season) {
        this.season = season;
    }

    /** The dues for a stay of some nights. */
    public int quote(Vessel vessel, int nights) {
        if (vessel instanceof Tug) {
            return 0;
        } else if (vessel instanceof Trawler) {
            Trawler trawler = (Trawler) vessel;
            int perNight = trawler.isLocal() ? BASE / 2 : BASE;
            return perNight * nights;
        } else if (vessel instanceof Tanker) {
            Tanker tanker = (Tanker) vessel;
            int dues = nights * (BASE + tanker.getTonnage() / 10);
            if (tanker.getTonnage() > LARGE_TONNAGE) {
                dues += nights * BASE;
            }
            if (tanker.isHazardous()) {
                dues += HAZARD_SURCHARGE;
            }
            return dues;
        } else if (vessel instanceof Yacht) {
            Yacht yacht = (Yacht) vessel;
            int perNight = yacht.getLength() * 3 + yacht.getGuests() * 2;
            if (season.isHigh() && nights < 7) {
                perNight = perNight * 3 / 2;
            }
            return perNight * nights;
        }
        throw new IllegalArgumentException("no dues known for " + vessel);
    }
}
