package quay;

/** For small craft: cheap, and good for a season. */
public record LightPermit(String vessel) implements Permit {
    @Override
    public int fee() {
        return 15;
    }

    @Override
    public int validDays() {
        return 180;
    }

    @Override
    public String text() {
        return vessel + " may move in daylight";
    }
}
