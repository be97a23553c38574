package quay;

class Pilot {
    static final Pilot NONE = new Pilot(0) { @Override int fee() { return 0; } @Override String greets(String vessel) { return ""; } };
    final int most; Pilot(int most) { this.most = most; } int fee() { return 40; } String greets(String vessel) { return "Welcome " + vessel; } }
class Roster {
    private final Pilot guide;
    Roster(Pilot pilot) { guide = pilot; }
    Pilot pilotFor(int tons) { return guide != null && tons <= guide.most ? guide : Pilot.NONE; }
}
class Arrivals {
    private final Roster list;
    Arrivals(Roster roster) { list = roster; }
    int fee(int tons) { return list.pilotFor(tons).fee(); }
    String greeting(int tons, String vessel) { return list.pilotFor(tons).greets(vessel); }
}
