package quay;

class Berth {
    private final String name; private final int depth; private final boolean tidal;
    private Berth(Builder from) { this.name = from.name; this.depth = from.depth; this.tidal = from.tidal; }
    static Builder named(String name) { return new Builder(name); }
    static class Builder {
        private final String name; private int depth = 4; private boolean tidal;
        Builder(String name) { this.name = name; }
        Builder depth(int depth) { this.depth = depth; return this; }
        Builder tidal(boolean tidal) { this.tidal = tidal; return this; }
        Berth build() { return new Berth(this); }
    }
    String getName() { return name; }
    int getDepth() { return depth; }
    boolean isTidal() { return tidal; }
    boolean takes(int draught) { return tidal ? draught < depth - 1 : draught < depth; }
}
