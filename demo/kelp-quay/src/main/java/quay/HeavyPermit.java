package quay;

/** For large vessels: by weight, and with a tug. */
public record HeavyPermit(String vessel, int tonnage) implements Permit {
    @Override
    public int fee() {
        return 100 + tonnage / 4;
    }

    @Override
    public int validDays() {
        return 30;
    }

    @Override
    public String text() {
        return vessel + " may move with a tug alongside";
    }
}
