package quay;

/** Takes vessels in by day. */
public class ArrivalDesk {
    private final PilotRoster roster;
    private final SignalTower tower;

    public ArrivalDesk(PilotRoster roster, SignalTower tower) {
        this.roster = roster;
        this.tower = tower;
    }

    /** Announces a vessel and sends a pilot, if there is one. */
    public void arrive(Vessel vessel) {
        tower.announce(vessel);
        Pilot pilot = roster.pilotFor(vessel);
        if (pilot != null) {
            pilot.board(vessel);
        }
    }

    /** Who will bring a vessel in, for the board in the hall. */
    public String board(Vessel vessel) {
        Pilot pilot = roster.pilotFor(vessel);
        return vessel.getName() + ": " + (pilot == null ? "no pilot" : pilot.getName());
    }
}
