package driftwood.cli;

/** Tells how many files have been seen, on a terminal, once a scan takes more than a second. */
final class Progress {
    private static final long PATIENCE = 1_000_000_000L;
    private static final long PAUSE = 100_000_000L;

    private final Console console;
    private final long begin = System.nanoTime();
    private long last;
    private boolean shown;

    Progress(Console console) {
        this.console = console;
    }

    synchronized void seen(int files) {
        long now = System.nanoTime();
        if (console.progress() && now - begin > PATIENCE && now - last > PAUSE) {
            last = now;
            shown = true;
            console.err().print("\r" + files + " files read...");
            console.err().flush();
        }
    }

    synchronized void done() {
        if (shown) {
            console.err().print("\r                              \r");
            console.err().flush();
        }
    }
}
