package driftwood.scan.memory;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class DigestTest {
    @Test
    void theSameContentHasTheSameDigest() {
        assertThat(Digest.of("high water")).isEqualTo(Digest.of(new String("high water".toCharArray())));
        assertThat(Digest.of("")).isNotBlank();
    }

    @Test
    void everySmallChangeShows() {
        byte[] text = "class Berth { int depth = 4; boolean tidal = true; }".getBytes();
        Set<String> digests = new HashSet<>(Set.of(Digest.of(text)));
        int count = 1;
        for (int at = 0; at < text.length; at++) {
            for (int bit = 0; bit < Byte.SIZE; bit++) {
                byte[] changed = text.clone();
                changed[at] ^= (byte) (1 << bit);
                digests.add(Digest.of(changed));
                count++;
            }
        }
        assertThat(digests).hasSize(count);
    }

    @Test
    void manyTextsHaveAsManyDigests() {
        Random random = new Random(7);
        Set<String> digests = new HashSet<>();
        for (int i = 0; i < 50_000; i++) {
            digests.add(Digest.of(i + " " + random.nextLong()));
        }
        assertThat(digests).hasSize(50_000);
    }

    @Test
    void exchangedPiecesShow() {
        assertThat(Digest.of("tug yacht")).isNotEqualTo(Digest.of("yacht tug"));
        assertThat(Digest.of(new byte[4])).isNotEqualTo(Digest.of(new byte[5]));
    }
}
