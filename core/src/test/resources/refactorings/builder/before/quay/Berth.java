package quay;

class Berth {
    private final String name; private final int depth; private final boolean tidal;
    Berth(String name) { this(name, 4); }
    Berth(String name, int depth) { this(name, depth, false); }
    Berth(String name, int depth, boolean tidal) { this.name = name; this.depth = depth; this.tidal = tidal; }
    String getName() { return name; }
    int getDepth() { return depth; }
    boolean isTidal() { return tidal; }
    boolean takes(int draught) { return tidal ? draught < depth - 1 : draught < depth; }
}
