package quay;

class Buoy { final int tenths; Buoy(int tenths) { this.tenths = tenths; } int waveTenths() { return tenths; } }
class Mast { final double knots; Mast(double knots) { this.knots = knots; } double wind(boolean gusts) { return gusts ? knots * 1.5 : knots; } }
interface Station { double force(); }
record BuoyStation(Buoy buoy) implements Station { public double force() { return buoy.waveTenths() / 10.0; } }
record MastStation(Mast mast) implements Station { public double force() { return mast.wind(true) / 5; } }
class Weather {
    String warn(Object station) {
        return station instanceof Buoy ? warning(new BuoyStation((Buoy) station))
                : station instanceof Mast ? warning(new MastStation((Mast) station)) : "unknown";
    }
    private String warning(Station station) { return station.force() > 6 ? "stay in" : "sail"; }
    double buoy(Buoy buoy) { return buoy == null ? -1 : new BuoyStation(buoy).force(); }
    double mast(Mast mast) { return mast == null ? -1 : new MastStation(mast).force(); }
    String of(int tenths) { return warning(new BuoyStation(new Buoy(tenths))); }
    String at(double knots) { return warning(new MastStation(new Mast(knots))); }
}
