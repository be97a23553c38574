package quay;

class Dues {
    int quote(Vessel vessel, int nights) {
        return vessel == null ? nights * 40 : vessel.dues(nights);
    }
}

abstract class Vessel { final int tons; Vessel(int tons) { this.tons = tons; } int tons() { return tons; } int dues(int nights) { return nights * 40; } }
class Tug extends Vessel { Tug(int tons) { super(tons); } int dues(int nights) { return nights * 20; } }
class Tanker extends Vessel { final boolean hazardous; Tanker(int tons, boolean hazardous) { super(tons); this.hazardous = hazardous; } int dues(int nights) { return nights * 90 + (hazardous ? 45 : 0); } }
