package quay;

/** A fishing vessel. Local ones land their catch here. */
public class Trawler extends Vessel {
    private final boolean local;

    public Trawler(String name, int tonnage, int length, boolean local) {
        super(name, tonnage, length);
        this.local = local;
    }

    public boolean isLocal() {
        return local;
    }

    @Override
    int dues(Season season, int nights) {
        int perNight = local ? HarbourDues.BASE / 2 : HarbourDues.BASE;
        return perNight * nights;
    }
}
