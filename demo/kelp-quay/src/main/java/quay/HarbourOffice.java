package quay;

import java.util.List;

/** Puts the office together and runs one day. */
public final class HarbourOffice {
    private HarbourOffice() {
    }

    public static void main(String[] arguments) {
        PilotRoster roster = new PilotRoster();
        roster.report(new Pilot("Mira", 300));
        roster.report(new Pilot("Odd", 2000));
        SignalTower tower = new SignalTower();
        ArrivalDesk desk = new ArrivalDesk(roster, tower);
        HarbourDues dues = new HarbourDues(Season.HIGH);
        Ledger ledger = new Ledger();
        BerthPlan berths = BerthPlan.ofKelpQuay();
        List<Vessel> vessels = List.of(new Trawler("Silver Darling", 90, 22, true), new Tug("Patience", 150, 28, 40),
                new Tanker("Grey Heron", 1800, 110, true), new Yacht("Nonsuch", 12, 11, 4));
        for (Vessel vessel : vessels) {
            desk.arrive(vessel);
            ledger.charge(vessel.getName(), dues.quote(vessel, 3));
            String where = berths.assign(vessel).map(Berth::getName).orElse("the roads");
            System.out.println(desk.board(vessel) + ", to " + where);
        }
        System.out.println("signals: " + tower.getHoisted());
        System.out.println("owed: " + ledger.getTotal());
    }
}
