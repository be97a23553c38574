package driftwood.smell;

import java.nio.charset.StandardCharsets;
import org.apache.commons.codec.digest.MurmurHash3;

/**
 * Tells one content from another: 128 bits of MurmurHash3. It need not withstand an attacker, who could as well write
 * to the memory itself, and a strong digest takes a third of a scan that has nothing else to do.
 */
final class Digest {
    private Digest() {
    }

    static String of(byte[] bytes) {
        long[] hash = MurmurHash3.hash128x64(bytes);
        return Long.toHexString(hash[0]) + Long.toHexString(hash[1]) + Integer.toHexString(bytes.length);
    }

    static String of(String text) {
        return of(text.getBytes(StandardCharsets.UTF_8));
    }
}
