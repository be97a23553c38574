package quay;

class Berth {
    private final String sign; private final int metres; private final boolean falls;
    private Berth(Builder from) { sign = from.called; metres = from.deep; falls = from.drying; }
    static Builder named(String name) { return new Builder(name); }
    static class Builder {
        private final String called; private int deep = 4; private boolean drying;
        Builder(String name) { called = name; }
        Builder depth(int depth) { deep = depth; return this; }
        Builder tidal(boolean tidal) { drying = tidal; return this; }
        Berth build() { return new Berth(this); }
    }
    String getName() { return sign; }
    int getDepth() { return metres; }
    boolean isTidal() { return falls; }
    boolean takes(int draught) { return falls ? draught < metres - 1 : draught < metres; }
}
