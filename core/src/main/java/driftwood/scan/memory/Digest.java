package driftwood.scan.memory;

import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;
import java.util.zip.CRC32C;

/**
 * Tells one content from another: its length and two checksums of different polynomials, 64 bits, which processors
 * compute themselves. It need not withstand an attacker, who could as well write to the memory itself, and any digest
 * that does takes a third of a scan that has nothing else to do.
 */
public final class Digest {
    private Digest() {
    }

    public static String of(byte[] bytes) {
        CRC32 one = new CRC32();
        one.update(bytes);
        CRC32C other = new CRC32C();
        other.update(bytes);
        return Long.toHexString(one.getValue()) + '-' + Long.toHexString(other.getValue()) + '-' + Integer.toHexString(bytes.length);
    }

    public static String of(String text) {
        return of(text.getBytes(StandardCharsets.UTF_8));
    }
}
