package quay;

class Gate {
    private interface Position { Position push(Gate gate); int toll(Gate gate, int tons); }
    private static final Position OPEN = new Position() {
        public Position push(Gate gate) { gate.moves++; return SHUT; }
        public int toll(Gate gate, int tons) { return tons * 2 + gate.moves; }
    };
    private static final Position TURNING = new Position() {
        public Position push(Gate gate) { return OPEN; }
        public int toll(Gate gate, int tons) { return tons * 3 + gate.moves; }
    };
    private static final Position SHUT = new Position() {
        public Position push(Gate gate) { gate.moves++; return TURNING; }
        public int toll(Gate gate, int tons) { return 0; }
    };
    private Position phase = SHUT;
    private int moves;
    void push() { phase = phase.push(this); }
    int toll(int tons) { return phase.toll(this, tons); }
    boolean isOpen() { return phase == OPEN; }
    int getTurns() { return moves; }
}
