package driftwood.scan.memory;

import java.util.Optional;

/** Remembers from one scan to the next what is dear to find out again. Safe to use from several threads at once. */
public interface Memory {

    /** What can be remembered. */
    enum Kind {
        /** Of a file: the digest of its facts, and how many lines it has. Small, and read in every scan. */
        TRACE,
        /** Of a file: its types and their members. */
        DECLARED,
        /** Of a file: calls and creations. */
        USED,
        /** Of a file: what was seen in it. */
        SIGHTED,
        /** Of a project: what was said of it. */
        JUDGED,
        /** Of a project: its commits. */
        HISTORY
    }

    /** Remembers nothing. */
    Memory NONE = new Memory() {
        @Override
        public Optional<byte[]> recall(Kind kind, String key, String stamp) {
            return Optional.empty();
        }

        @Override
        public Optional<String> stamp(Kind kind, String key) {
            return Optional.empty();
        }

        @Override
        public void remember(Kind kind, String key, String stamp, byte[] value) {
        }
    };

    /**
     * What was remembered under the same stamp; empty where nothing was, or where it is damaged.
     *
     * @param key   the path of a file; empty for the project
     * @param stamp digest of all that the value depends on
     */
    Optional<byte[]> recall(Kind kind, String key, String stamp);

    /** The stamp of what is remembered under a key; empty where nothing is, or where it is damaged. */
    Optional<String> stamp(Kind kind, String key);

    /** Remembers a value in place of the key's former one; silently does not where it cannot. */
    void remember(Kind kind, String key, String stamp, byte[] value);
}
