package driftwood.smell.see.reach;

/**
 * A use of the world outside.
 *
 * @param kind  which part of it
 * @param title as a reader would say it: {@code a file (new FileWriter)}
 * @param held  whether taking hold of it keeps it: a stream, a socket, a connection
 */
public record Resource(Kind kind, String title, boolean held) {

    /** Parts of the world outside. */
    public enum Kind {
        FILE("a file"), NETWORK("the network"), DATABASE("a database"), DEVICE("a device"), PROCESS("another process"),
        CLOCK("the clock"), RANDOM("randomness"), THREAD("a thread"), ENVIRONMENT("the environment"),
        CONSOLE("the console");

        private final String title;

        Kind(String title) {
            this.title = title;
        }

        public String title() {
            return title;
        }

        /** Whether reaching it takes time, can fail or leaves traces. */
        public boolean isOutside() {
            return ordinal() <= PROCESS.ordinal() || this == THREAD;
        }
    }
}
