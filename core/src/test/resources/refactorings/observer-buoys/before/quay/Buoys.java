package quay;

import java.util.ArrayList;
import java.util.List;

public class Buoys {
    private final List<String> journal = new ArrayList<>();
    private int alarms;
    private int last = -1;

    public void drift(String buoy, int metres) {
        journal.add(buoy + " " + metres);
        System.out.println("chart: " + buoy + " moved " + metres);
        if (metres > 50) {
            alarms++;
            System.out.println("guard: alarm " + alarms);
        }
        if (last >= 0 && metres > last + 100) { System.out.println("pilot: sudden drift"); }
        last = metres;
    }

    public int alarms() { return alarms; }

    public List<String> journal() { return new ArrayList<>(journal); }
}
