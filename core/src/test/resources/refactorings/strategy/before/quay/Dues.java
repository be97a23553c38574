package quay;

class Dues {
    int quote(Vessel vessel, int nights) {
        if (vessel instanceof Tug) {
            return nights * 20;
        } else if (vessel instanceof Tanker) {
            return nights * 90 + (((Tanker) vessel).hazardous ? 45 : 0);
        }
        return nights * 40;
    }
}

abstract class Vessel { final int tons; Vessel(int tons) { this.tons = tons; } int tons() { return tons; } }
class Tug extends Vessel { Tug(int tons) { super(tons); } }
class Tanker extends Vessel { final boolean hazardous; Tanker(int tons, boolean hazardous) { super(tons); this.hazardous = hazardous; } }
