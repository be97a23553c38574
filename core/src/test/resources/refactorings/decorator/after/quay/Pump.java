package quay;

interface Runs { int run(int litres); }
class Engine implements Runs { public int run(int litres) { return litres * 3; } }
class Guarded implements Runs {
    private final Runs inner;
    Guarded(Runs inner) { this.inner = inner; }
    public int run(int litres) {
        if (litres < 0) { throw new IllegalArgumentException("negative: " + litres); }
        return inner.run(Math.min(litres, 100));
    }
}
class Pump {
    private final Runs motor = new Guarded(new Engine());
    private boolean shut;
    private int rung;
    void close() { shut = true; }
    int pump(int litres) {
        if (shut) { return 0; }
        int pumped = motor.run(litres);
        rung++;
        return pumped;
    }
    int getCalls() { return rung; }
}
