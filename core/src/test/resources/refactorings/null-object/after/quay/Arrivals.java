package quay;

class Pilot {
    static final Pilot NONE = new Pilot(0) { @Override int fee() { return 0; } @Override String greets(String vessel) { return ""; } };
    final int most; Pilot(int most) { this.most = most; } int fee() { return 40; } String greets(String vessel) { return "Welcome " + vessel; } }
class Roster {
    private final Pilot pilot;
    Roster(Pilot pilot) { this.pilot = pilot; }
    Pilot pilotFor(int tons) { return pilot != null && tons <= pilot.most ? pilot : Pilot.NONE; }
}
class Arrivals {
    private final Roster roster;
    Arrivals(Roster roster) { this.roster = roster; }
    int fee(int tons) { return roster.pilotFor(tons).fee(); }
    String greeting(int tons, String vessel) { return roster.pilotFor(tons).greets(vessel); }
}
