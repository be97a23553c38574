package quay;

/** The gate to the inner basin. Each position knows what it allows. */
public class LockGate {
    /** Where the gate stands. */
    public enum Position {
        SHUT {
            @Override
            Position open(boolean highWater) {
                return highWater ? OPEN : this;
            }
        },
        OPEN {
            @Override
            Position shut() {
                return SHUT;
            }

            @Override
            boolean lets(Vessel vessel) {
                return vessel.getLength() <= 60;
            }
        };

        Position open(boolean highWater) {
            return this;
        }

        Position shut() {
            return this;
        }

        boolean lets(Vessel vessel) {
            return false;
        }
    }

    private Position position = Position.SHUT;

    public void open(boolean highWater) {
        position = position.open(highWater);
    }

    public void shut() {
        position = position.shut();
    }

    public boolean lets(Vessel vessel) {
        return position.lets(vessel);
    }

    public Position getPosition() {
        return position;
    }
}
