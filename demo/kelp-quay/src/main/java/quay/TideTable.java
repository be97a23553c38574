package quay;

/** When the water is high: twice a day, an hour later on each following day. */
public class TideTable {
    private final int firstHigh;

    public TideTable(int firstHigh) {
        this.firstHigh = Math.floorMod(firstHigh, 12);
    }

    /** Whether the gate can open at an hour of the first day. */
    public boolean isHigh(int hour) {
        int away = Math.floorMod(hour - firstHigh, 12);
        return away <= 2 || away >= 10;
    }

    /** The hours of high water on a day, counted from 0. */
    public int[] highWaters(int day) {
        int first = Math.floorMod(firstHigh + day, 12);
        return new int[] {first, first + 12};
    }
}
