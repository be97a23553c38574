package quay;

import java.util.List;

public class Berths {
    private abstract static class Place {
        private final int most;
        private int free;
        Place(int most) { this.most = most; free = most; }
        abstract boolean suits(int draught, boolean fuel);
        abstract String name();
        String take(String vessel, int draught, boolean fuel) {
            if (!suits(draught, fuel) || free == 0) { return null; }
            free--;
            return name();
        }
        void back() { free = Math.min(most, free + 1); }
    }
    private final Place basin = new Place(2) {
        boolean suits(int draught, boolean fuel) { return !fuel && draught <= 4; }
        String name() { return "inner basin"; }
    };
    private final Place mole = new Place(1) {
        boolean suits(int draught, boolean fuel) { return fuel || draught <= 9; }
        String name() { return "outer mole"; }
    };
    private final List<Place> places = List.of(basin, mole);
    private int queued;

    public String moor(String vessel, int draught, boolean fuel) {
        for (Place each : places) {
            String found = each.take(vessel, draught, fuel);
            if (found != null) { return found; }
        }
        if (fuel) {
            System.out.println(vessel + " must anchor");
            return "roads";
        }
        return "queue " + ++queued;
    }

    public void leave(boolean fromInner) { (fromInner ? basin : mole).back(); }
}
