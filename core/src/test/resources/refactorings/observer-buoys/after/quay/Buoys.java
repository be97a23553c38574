package quay;

import java.util.ArrayList;
import java.util.List;

public class Buoys {
    private interface Ear { void moved(String buoy, int metres); }
    private static final class Guard implements Ear {
        private int rung;
        public void moved(String buoy, int metres) {
            if (metres > 50) {
                rung++;
                System.out.println("guard: alarm " + rung);
            }
        }
    }
    private static final class Pilot implements Ear {
        private Integer known;
        public void moved(String buoy, int metres) {
            if (known != null && known >= 0 && metres > known + 100) { System.out.println("pilot: sudden drift"); }
            known = metres;
        }
    }
    private final List<String> lines = new ArrayList<>();
    private final Guard guard = new Guard();
    private final List<Ear> ears = List.of((buoy, metres) -> lines.add(buoy + " " + metres),
            (buoy, metres) -> System.out.println("chart: " + buoy + " moved " + metres), guard, new Pilot());

    public void drift(String buoy, int metres) { ears.forEach(each -> each.moved(buoy, metres)); }

    public int alarms() { return guard.rung; }

    public List<String> journal() { return List.copyOf(lines); }
}
