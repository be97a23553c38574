package driftwood.smell;

import java.util.Optional;

/** Remembers what was seen in a file, from one scan to the next. Safe to use from several threads at once. */
public interface Memory {
    /** Remembers nothing. */
    Memory NONE = new Memory() {
        @Override
        public Optional<byte[]> recall(String path, String stamp) {
            return Optional.empty();
        }

        @Override
        public void remember(String path, String stamp, byte[] value) {
        }
    };

    /** What was remembered of a file under the same stamp; empty where nothing was, or where it is damaged. */
    Optional<byte[]> recall(String path, String stamp);

    /** Remembers a value in place of the file's former one; silently does not where it cannot. */
    void remember(String path, String stamp, byte[] value);
}
