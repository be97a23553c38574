package quay;

class Gate {
    private interface Position { Position push(Gate gate); int toll(Gate gate, int tons); }
    private static final Position OPEN = new Position() {
        public Position push(Gate gate) { gate.turns++; return SHUT; }
        public int toll(Gate gate, int tons) { return tons * 2 + gate.turns; }
    };
    private static final Position TURNING = new Position() {
        public Position push(Gate gate) { return OPEN; }
        public int toll(Gate gate, int tons) { return tons * 3 + gate.turns; }
    };
    private static final Position SHUT = new Position() {
        public Position push(Gate gate) { gate.turns++; return TURNING; }
        public int toll(Gate gate, int tons) { return 0; }
    };
    private Position position = SHUT;
    private int turns;
    void push() { position = position.push(this); }
    int toll(int tons) { return position.toll(this, tons); }
    boolean isOpen() { return position == OPEN; }
    int getTurns() { return turns; }
}
