package driftwood.scan.memory;

import driftwood.source.SourceFile;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Optional;

/**
 * What is known of a file before anybody asks for its facts.
 *
 * @param file   which one
 * @param lines  how many it has
 * @param latin  whether it is not UTF-8
 * @param aside  whether what stands in it says that it is not judged: a program wrote it, or it imports what only tests do
 * @param digest tells its facts from any other facts; empty where nothing is remembered
 * @param fresh  its facts, where they were seen just now
 * @param change what an earlier scan saw of it, where it was seen just now and before
 */
public record FileStamp(SourceFile file, int lines, boolean latin, boolean aside, String digest, Optional<Facts.Fresh> fresh,
        Optional<Change> change) {

    private static final int HEAD = Integer.BYTES + 1;
    private static final int LATIN = 1;
    private static final int ASIDE = 2;

    /**
     * The facts of a file before and now.
     *
     * @param before digest of the facts that were
     */
    public record Change(String before, PackedFacts was, PackedFacts is) {
    }

    /** In the form in which it is remembered. */
    public byte[] bytes() {
        byte[] text = digest.getBytes(StandardCharsets.UTF_8);
        return ByteBuffer.allocate(HEAD + text.length).putInt(lines).put((byte) ((latin ? LATIN : 0) | (aside ? ASIDE : 0))).put(text).array();
    }

    /** Reads a trace. */
    public static Optional<FileStamp> of(SourceFile file, byte[] bytes) {
        if (bytes.length <= HEAD) {
            return Optional.empty();
        }
        ByteBuffer head = ByteBuffer.wrap(bytes);
        String digest = new String(bytes, HEAD, bytes.length - HEAD, StandardCharsets.UTF_8);
        int lines = head.getInt();
        int said = head.get();
        return Optional.of(new FileStamp(file, lines, (said & LATIN) != 0, (said & ASIDE) != 0, digest, Optional.empty(), Optional.empty()));
    }
}
