package quay;

/** A tanker, perhaps with something dangerous on board. */
public class Tanker extends Vessel {
    private static final int HAZARD_SURCHARGE = 350;
    private static final int LARGE_TONNAGE = 500;

    private final boolean hazardous;

    public Tanker(String name, int tonnage, int length, boolean hazardous) {
        super(name, tonnage, length);
        this.hazardous = hazardous;
    }

    public boolean isHazardous() {
        return hazardous;
    }

    @Override
    int dues(Season season, int nights) {
        int dues = nights * (HarbourDues.BASE + getTonnage() / 10);
        if (getTonnage() > LARGE_TONNAGE) {
            dues += nights * HarbourDues.BASE;
        }
        return hazardous ? dues + HAZARD_SURCHARGE : dues;
    }
}
