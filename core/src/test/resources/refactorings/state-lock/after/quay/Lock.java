package quay;

public class Lock {
    private Water water = new Low();
    private int centimetres;
    private int count;

    private abstract static class Water {
        Water open(Lock lock, int sluice) { throw new IllegalStateException("water is moving"); }
        Water minute(Lock lock) { return this; }
        String leaves() { return null; }
        abstract String word();
    }
    private static final class Low extends Water {
        Water open(Lock lock, int sluice) { lock.centimetres += sluice; return new Filling(); }
        String leaves() { return " leaves downwards"; }
        String word() { return "low"; }
    }
    private static final class Filling extends Water {
        Water minute(Lock lock) {
            lock.centimetres += 25;
            if (lock.centimetres > 140) { return new Jammed(); }
            return lock.centimetres >= 100 ? new High() : this;
        }
        String word() { return "filling"; }
    }
    private static final class High extends Water {
        Water open(Lock lock, int sluice) { lock.centimetres -= sluice; return new Draining(); }
        String leaves() { return " leaves upwards"; }
        String word() { return "high"; }
    }
    private static final class Draining extends Water {
        Water minute(Lock lock) {
            lock.centimetres -= 25;
            if (lock.centimetres > 0) { return this; }
            lock.centimetres = 0;
            return new Low();
        }
        String word() { return "draining"; }
    }
    private static final class Jammed extends Water {
        Water open(Lock lock, int sluice) { throw new IllegalStateException("jammed"); }
        String word() { return "jammed"; }
    }

    public void open(int sluice) {
        if (sluice < 0) { throw new IllegalArgumentException("sluice " + sluice); }
        water = water.open(this, sluice);
    }

    public void minute() { water = water.minute(this); }

    public boolean pass(String vessel) {
        String leaves = water.leaves();
        if (leaves == null) { return false; }
        count++;
        System.out.println(vessel + leaves);
        return true;
    }

    public int level() { return centimetres; }

    public String log() { return count + " passed, " + water.word(); }
}
