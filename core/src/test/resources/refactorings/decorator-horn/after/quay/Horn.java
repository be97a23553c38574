package quay;

public class Horn {
    private interface Sound { String blow(int seconds); }
    private static final class Tank implements Sound {
        private int pressure = 10;
        private int used;
        public String blow(int seconds) {
            if (seconds > pressure) { return "hiss"; }
            pressure -= seconds;
            used++;
            return "hoo" + "o".repeat(seconds);
        }
    }
    private record Quiet(Sound inner, Horn horn) implements Sound {
        public String blow(int seconds) { return inner.blow(horn.dark ? seconds / 2 : seconds); }
    }
    private record Limited(Sound inner, int most) implements Sound {
        public String blow(int seconds) {
            if (seconds < 0) { throw new IllegalArgumentException("seconds"); }
            return inner.blow(Math.min(seconds, most));
        }
    }
    private final Tank tank = new Tank();
    private final Sound sound = new Limited(new Quiet(tank, this), 8);
    private boolean dark;

    public void night(boolean on) { dark = on; }

    public String blow(int seconds) { return sound.blow(seconds); }

    public void pump() { tank.pressure = Math.min(10, tank.pressure + 3); }

    public int blown() { return tank.used; }
}
