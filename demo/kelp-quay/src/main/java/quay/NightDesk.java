package quay;

/** Takes vessels in by night, with fewer people. */
public class NightDesk {
    private final PilotRoster roster;
    private int waiting;

    public NightDesk(PilotRoster roster) {
        this.roster = roster;
    }

    public void arrive(Vessel vessel) {
        Pilot pilot = roster.pilotFor(vessel);
        if (pilot == null) {
            waiting++;
            return;
        }
        pilot.board(vessel);
    }

    /** The name to call when a vessel must leave in a hurry. */
    public String onCall(Vessel vessel) {
        return roster.pilotFor(vessel).getName();
    }

    public int getWaiting() {
        return waiting;
    }
}
