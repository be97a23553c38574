package quay;

class Buoy { final int tenths; Buoy(int tenths) { this.tenths = tenths; } int waveTenths() { return tenths; } }
class Mast { final double knots; Mast(double knots) { this.knots = knots; } double wind(boolean gusts) { return gusts ? knots * 1.5 : knots; } }
class Weather {
    String warn(Object station) {
        double force;
        if (station instanceof Buoy) { force = ((Buoy) station).waveTenths() / 10.0; }
        else if (station instanceof Mast) { force = ((Mast) station).wind(true) / 5; }
        else { return "unknown"; }
        return force > 6 ? "stay in" : "sail";
    }
    double buoy(Buoy buoy) { return buoy == null ? -1 : buoy.waveTenths() / 10.0; }
    double mast(Mast mast) { return mast == null ? -1 : mast.wind(true) / 5; }
    String of(int tenths) { return warn(new Buoy(tenths)); }
    String at(double knots) { return warn(new Mast(knots)); }
}
