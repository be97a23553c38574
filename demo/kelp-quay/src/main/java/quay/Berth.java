package quay;

/** A place to make fast. */
public class Berth {
    private final String name;
    private final int depth;
    private final int length;
    private final boolean tidal;
    private final boolean shorePower;

    public Berth(String name) {
        this(name, 4);
    }

    public Berth(String name, int depth) {
        this(name, depth, 30);
    }

    public Berth(String name, int depth, int length) {
        this(name, depth, length, false);
    }

    public Berth(String name, int depth, int length, boolean tidal) {
        this(name, depth, length, tidal, false);
    }

    public Berth(String name, int depth, int length, boolean tidal, boolean shorePower) {
        this.name = name;
        this.depth = depth;
        this.length = length;
        this.tidal = tidal;
        this.shorePower = shorePower;
    }

    public String getName() {
        return name;
    }

    /** Metres at lowest water. */
    public int getDepth() {
        return depth;
    }

    /** Metres of quay. */
    public int getLength() {
        return length;
    }

    public boolean isTidal() {
        return tidal;
    }

    public boolean hasShorePower() {
        return shorePower;
    }

    /** Whether a vessel can lie here at any tide. */
    public boolean fits(Vessel vessel) {
        return vessel.getLength() <= length && !(tidal && vessel.getTonnage() > 200);
    }
}
