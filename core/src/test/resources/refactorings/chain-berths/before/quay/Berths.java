package quay;

public class Berths {
    private int inner = 2;
    private int outer = 1;
    private int waiting;

    public String moor(String vessel, int draught, boolean fuel) {
        if (fuel) {
            if (outer > 0) { outer--; return "outer mole"; }
            System.out.println(vessel + " must anchor");
            return "roads";
        }
        if (draught <= 4 && inner > 0) { inner--; return "inner basin"; }
        if (draught <= 9 && outer > 0) { outer--; return "outer mole"; }
        waiting++;
        return "queue " + waiting;
    }

    public void leave(boolean fromInner) {
        if (fromInner) { inner = Math.min(2, inner + 1); } else { outer = Math.min(1, outer + 1); }
    }
}
