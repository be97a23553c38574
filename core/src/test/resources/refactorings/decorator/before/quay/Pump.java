package quay;

class Engine { int run(int litres) { return litres * 3; } }
class Pump {
    private final Engine engine = new Engine();
    private boolean closed;
    private int calls;
    void close() { closed = true; }
    int pump(int litres) {
        if (closed) { return 0; }
        if (litres < 0) { throw new IllegalArgumentException("negative: " + litres); }
        int most = Math.min(litres, 100);
        calls++;
        return engine.run(most);
    }
    int getCalls() { return calls; }
}
