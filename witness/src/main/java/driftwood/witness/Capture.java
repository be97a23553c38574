package driftwood.witness;

import java.io.ByteArrayOutputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;

/** Keeps the beginning of what is printed, and only counts the rest. */
final class Capture extends OutputStream {
    private static final int MOST = 64 * 1024;

    private final ByteArrayOutputStream kept = new ByteArrayOutputStream();
    private long lost;

    @Override
    public synchronized void write(int b) {
        if (kept.size() < MOST) {
            kept.write(b);
        } else {
            lost++;
        }
    }

    @Override
    public synchronized void write(byte[] bytes, int from, int length) {
        int room = Math.max(0, Math.min(length, MOST - kept.size()));
        kept.write(bytes, from, room);
        lost += length - room;
    }

    /** What was printed since the last call. */
    synchronized String take() {
        String text = kept.toString(StandardCharsets.UTF_8).replace("\r\n", "\n");
        String whole = lost > 0 ? text + "... and " + lost + " bytes more" : text;
        kept.reset();
        lost = 0;
        return whole;
    }
}
