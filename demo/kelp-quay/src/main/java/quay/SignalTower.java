package quay;

import java.util.ArrayList;
import java.util.List;

/** Hoists signals for arriving vessels. */
public class SignalTower {
    private final List<String> hoisted = new ArrayList<>();

    /** Hoists what an arriving vessel must show. */
    public void announce(Vessel vessel) {
        if (vessel instanceof Tanker) {
            Tanker tanker = (Tanker) vessel;
            hoist(tanker.isHazardous() ? "BRAVO" : "KILO");
            hoist("TUG STAND BY");
        } else if (vessel instanceof Trawler) {
            hoist("GOLF");
        } else if (vessel instanceof Tug) {
            hoist("TANGO");
        } else {
            hoist("CHARLIE");
        }
    }

    public List<String> getHoisted() {
        return List.copyOf(hoisted);
    }

    private void hoist(String signal) {
        hoisted.add(signal);
    }
}
