package quay;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The berths of the harbour and who lies where. */
public class BerthPlan {
    private final List<Berth> berths = new ArrayList<>();
    private final List<Berth> taken = new ArrayList<>();

    /** The berths of Kelp Quay as they are today. */
    public static BerthPlan ofKelpQuay() {
        BerthPlan plan = new BerthPlan();
        plan.berths.add(new Berth("North Wall", 9, 120, false, true));
        plan.berths.add(new Berth("Fish Steps", 4, 40, true, false));
        plan.berths.add(new Berth("Coal Hard", 6, 80));
        plan.berths.add(new Berth("Pilot Stage"));
        plan.berths.add(new Berth("Old Slip", 2, 15, true));
        return plan;
    }

    /** The first free berth that fits. */
    public Optional<Berth> assign(Vessel vessel) {
        for (Berth berth : berths) {
            if (!taken.contains(berth) && berth.fits(vessel)) {
                taken.add(berth);
                return Optional.of(berth);
            }
        }
        return Optional.empty();
    }

    public void release(Berth berth) {
        taken.remove(berth);
    }

    public int free() {
        return berths.size() - taken.size();
    }
}
