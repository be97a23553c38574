package quay;

class Gate {
    private enum Position { SHUT, TURNING, OPEN }
    private Position position = Position.SHUT;
    private int turns;
    void push() {
        switch (position) {
            case SHUT -> { position = Position.TURNING; turns++; }
            case TURNING -> position = Position.OPEN;
            case OPEN -> { position = Position.SHUT; turns++; }
        }
    }
    int toll(int tons) {
        switch (position) {
            case OPEN: return tons * 2 + turns;
            case TURNING: return tons * 3 + turns;
            default: return 0;
        }
    }
    boolean isOpen() { return position == Position.OPEN; }
    int getTurns() { return turns; }
}
