package driftwood.witness;

import java.io.ByteArrayOutputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;

/** Keeps the beginning of what is printed, and only counts the rest. In silence everything is only counted. */
final class Capture extends OutputStream {
    private static final int MOST = 64 * 1024;

    private final ByteArrayOutputStream kept = new ByteArrayOutputStream();
    private long lost;
    private int silences;
    private long unheard;

    @Override
    public synchronized void write(int b) {
        if (silences > 0) {
            unheard++;
        } else if (kept.size() < MOST) {
            kept.write(b);
        } else {
            lost++;
        }
    }

    @Override
    public synchronized void write(byte[] bytes, int from, int length) {
        if (silences > 0) {
            unheard += length;
            return;
        }
        int room = Math.max(0, Math.min(length, MOST - kept.size()));
        kept.write(bytes, from, room);
        lost += length - room;
    }

    /** Begins or ends a silence; they may be nested. @return how much was printed in silence so far */
    synchronized long quiet(boolean on) {
        silences = Math.max(0, silences + (on ? 1 : -1));
        return unheard;
    }

    /** What was printed since the last call; any silence is over. */
    synchronized String take() {
        String text = kept.toString(StandardCharsets.UTF_8).replace("\r\n", "\n");
        String whole = lost > 0 ? text + "... and " + lost + " bytes more" : text;
        kept.reset();
        lost = 0;
        silences = 0;
        return whole;
    }
}
