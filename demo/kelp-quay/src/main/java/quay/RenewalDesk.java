package quay;

/** Renews permits that have run out. */
public class RenewalDesk {
    private final TideTable tides;

    public RenewalDesk(TideTable tides) {
        this.tides = tides;
    }

    /** What a renewal costs: half the fee when asked for at low water, when the desk has time. */
    public int renew(Vessel vessel, int hour) {
        Permit permit = vessel.getTonnage() > 400
                ? new HeavyPermit(vessel.getName(), vessel.getTonnage())
                : new LightPermit(vessel.getName());
        return tides.isHigh(hour) ? permit.fee() : permit.fee() / 2;
    }
}
