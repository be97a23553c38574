package quay;

class Pilot { final int most; Pilot(int most) { this.most = most; } int fee() { return 40; } String greets(String vessel) { return "Welcome " + vessel; } }
class Roster {
    private final Pilot pilot;
    Roster(Pilot pilot) { this.pilot = pilot; }
    Pilot pilotFor(int tons) { return pilot != null && tons <= pilot.most ? pilot : null; }
}
class Arrivals {
    private final Roster roster;
    Arrivals(Roster roster) { this.roster = roster; }
    int fee(int tons) {
        Pilot pilot = roster.pilotFor(tons);
        return pilot == null ? 0 : pilot.fee();
    }
    String greeting(int tons, String vessel) {
        Pilot pilot = roster.pilotFor(tons);
        if (pilot == null) { return ""; }
        return pilot.greets(vessel);
    }
}
