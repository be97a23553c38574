package quay;

interface Visitor<R> { R tug(Tug tug); R tanker(Tanker tanker); }
class Customs {
    int duty(Vessel vessel) {
        return vessel == null ? -1 : vessel.accept(new Visitor<Integer>() {
            public Integer tug(Tug tug) { return 1; }
            public Integer tanker(Tanker tanker) { return tanker.hazardous ? 90 : tanker.tons() / 10; }
        });
    }
    String papers(Vessel vessel) {
        return vessel == null ? "" : vessel.accept(new Visitor<String>() {
            public String tug(Tug tug) { return "none"; }
            public String tanker(Tanker tanker) { return "bill of " + tanker.tons(); }
        });
    }
}

abstract class Vessel { final int tons; Vessel(int tons) { this.tons = tons; } int tons() { return tons; } abstract <R> R accept(Visitor<R> visitor); }
class Tug extends Vessel { Tug(int tons) { super(tons); } <R> R accept(Visitor<R> visitor) { return visitor.tug(this); } }
class Tanker extends Vessel { final boolean hazardous; Tanker(int tons, boolean hazardous) { super(tons); this.hazardous = hazardous; } <R> R accept(Visitor<R> visitor) { return visitor.tanker(this); } }
