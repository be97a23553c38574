package quay;

public class Horn {
    private int air = 10;
    private boolean night;
    private int blown;

    public void night(boolean on) { night = on; }

    public String blow(int seconds) {
        if (seconds < 0) { throw new IllegalArgumentException("seconds"); }
        int wanted = Math.min(seconds, 8);
        if (night) { wanted = wanted / 2; }
        if (wanted > air) { return "hiss"; }
        air -= wanted;
        blown++;
        return "hoo" + "o".repeat(wanted);
    }

    public void pump() { air = Math.min(10, air + 3); }

    public int blown() { return blown; }
}
