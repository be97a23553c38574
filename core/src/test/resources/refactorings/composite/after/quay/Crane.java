package quay;

import java.util.List;
class Crane {
    int weigh(List<Cargo> hold) {
        int total = 0;
        for (Cargo each : hold) { total += each.weight(); }
        return total;
    }
    int sack(Sack sack) { return weigh(List.of(sack)); }
    int crate(Crate crate) { return weigh(List.of(crate)); }
    int pair(int one, int other) { return weigh(List.of(new Crate(one, List.of(new Sack(other), new Sack(2))))); }
}

abstract class Cargo { abstract int weight(); }
class Sack extends Cargo { final int weight; Sack(int weight) { this.weight = weight; } int weight() { return weight; } }
class Crate extends Cargo { final int own; final List<Cargo> parts; Crate(int own, List<Cargo> parts) { this.own = own; this.parts = parts; } int weight() { int sum = own; for (Cargo each : parts) { sum += each.weight(); } return sum; } }
