package quay;

import java.util.List;
class Tower {
    interface Listener { void arrived(String vessel, int tons); }
    private final List<Listener> listeners = List.of((vessel, tons) -> System.out.println("pilots: " + vessel),
            (vessel, tons) -> System.out.println("customs: " + vessel + " " + tons),
            (vessel, tons) -> { if (tons > 500) { System.out.println("lock: " + tons); } });
    private String seen = "";
    void announce(String vessel, int tons) {
        seen = vessel;
        listeners.forEach(each -> each.arrived(vessel, tons));
    }
    String getShown() { return seen; }
}
