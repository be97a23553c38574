package quay;

class Customs {
    int duty(Vessel vessel) {
        if (vessel instanceof Tug) { return 1; }
        if (vessel instanceof Tanker) { return ((Tanker) vessel).hazardous ? 90 : vessel.tons() / 10; }
        return -1;
    }
    String papers(Vessel vessel) {
        if (vessel instanceof Tug) { return "none"; }
        if (vessel instanceof Tanker) { return "bill of " + vessel.tons(); }
        return "";
    }
}

abstract class Vessel { final int tons; Vessel(int tons) { this.tons = tons; } int tons() { return tons; } }
class Tug extends Vessel { Tug(int tons) { super(tons); } }
class Tanker extends Vessel { final boolean hazardous; Tanker(int tons, boolean hazardous) { super(tons); this.hazardous = hazardous; } }
