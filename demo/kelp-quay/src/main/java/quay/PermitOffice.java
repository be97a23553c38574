package quay;

import java.util.ArrayList;
import java.util.List;

/** Issues permits and keeps what was paid. */
public class PermitOffice {
    private final List<Permit> issued = new ArrayList<>();
    private int takings;

    public Permit issue(Vessel vessel, boolean hazardous) {
        Permit permit;
        if (hazardous) {
            permit = new HazardPermit(vessel.getName());
        } else if (vessel.getTonnage() > 500) {
            permit = new HeavyPermit(vessel.getName(), vessel.getTonnage());
        } else {
            permit = new LightPermit(vessel.getName());
        }
        issued.add(permit);
        takings += permit.fee();
        return permit;
    }

    public int getTakings() {
        return takings;
    }

    public int getIssued() {
        return issued.size();
    }
}
