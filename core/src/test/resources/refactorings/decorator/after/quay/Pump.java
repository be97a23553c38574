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
    private final Runs engine = new Guarded(new Engine());
    private boolean closed;
    private int calls;
    void close() { closed = true; }
    int pump(int litres) {
        if (closed) { return 0; }
        int pumped = engine.run(litres);
        calls++;
        return pumped;
    }
    int getCalls() { return calls; }
}
