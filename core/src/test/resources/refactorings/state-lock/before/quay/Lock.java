package quay;

public class Lock {
    private enum Stage { LOW, FILLING, HIGH, DRAINING, JAMMED }
    private Stage stage = Stage.LOW;
    private int level;
    private int passed;

    public void open(int sluice) {
        if (sluice < 0) { throw new IllegalArgumentException("sluice " + sluice); }
        switch (stage) {
            case LOW: stage = Stage.FILLING; level += sluice; break;
            case HIGH: stage = Stage.DRAINING; level -= sluice; break;
            case JAMMED: throw new IllegalStateException("jammed");
            default: throw new IllegalStateException("water is moving");
        }
    }

    public void minute() {
        switch (stage) {
            case FILLING:
                level += 25;
                if (level > 140) { stage = Stage.JAMMED; } else if (level >= 100) { stage = Stage.HIGH; }
                break;
            case DRAINING:
                level -= 25;
                if (level <= 0) { level = 0; stage = Stage.LOW; }
                break;
            default: break;
        }
    }

    public boolean pass(String vessel) {
        if (stage == Stage.LOW || stage == Stage.HIGH) {
            passed++;
            System.out.println(vessel + (stage == Stage.HIGH ? " leaves upwards" : " leaves downwards"));
            return true;
        }
        return false;
    }

    public int level() { return level; }

    public String log() { return passed + " passed, " + stage.name().toLowerCase(); }
}
