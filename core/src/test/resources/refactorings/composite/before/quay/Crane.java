package quay;

import java.util.List;
class Crane {
    int weigh(List<Cargo> hold) {
        int total = 0;
        for (Cargo each : hold) {
            if (each instanceof Crate) {
                total += ((Crate) each).own + weigh(((Crate) each).parts);
            } else {
                total += ((Sack) each).weight;
            }
        }
        return total;
    }
    int sack(Sack sack) { return weigh(List.of(sack)); }
    int crate(Crate crate) { return weigh(List.of(crate)); }
    int pair(int one, int other) { return weigh(List.of(new Crate(one, List.of(new Sack(other), new Sack(2))))); }
}

abstract class Cargo {  }
class Sack extends Cargo { final int weight; Sack(int weight) { this.weight = weight; } }
class Crate extends Cargo { final int own; final List<Cargo> parts; Crate(int own, List<Cargo> parts) { this.own = own; this.parts = parts; } }
