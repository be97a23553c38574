package quay;

/** For dangerous cargo: one movement, watched. */
public record HazardPermit(String vessel) implements Permit {
    @Override
    public int fee() {
        return 900;
    }

    @Override
    public int validDays() {
        return 1;
    }

    @Override
    public String text() {
        return vessel + " may move once, watched from the tower";
    }
}
