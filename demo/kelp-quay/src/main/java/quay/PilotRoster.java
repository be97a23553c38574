package quay;

import java.util.ArrayList;
import java.util.List;

/** Which pilots are on duty. */
public class PilotRoster {
    private final List<Pilot> onDuty = new ArrayList<>();

    public void report(Pilot pilot) {
        onDuty.add(pilot);
    }

    /** The first pilot on duty who may bring the vessel in. */
    public Pilot pilotFor(Vessel vessel) {
        for (Pilot pilot : onDuty) {
            if (pilot.mayBring(vessel)) {
                return pilot;
            }
        }
        return null;
    }
}
