package driftwood.cli;

import java.time.Duration;
import me.tongfei.progressbar.ConsoleProgressBarConsumer;
import me.tongfei.progressbar.ProgressBar;
import me.tongfei.progressbar.ProgressBarBuilder;
import me.tongfei.progressbar.ProgressBarStyle;

/** Tells how far a work has come, on a terminal, once it takes more than a second. Safe to use from several threads. */
public final class Progress implements AutoCloseable {
    private static final long PATIENCE = Duration.ofSeconds(1).toNanos();

    private final Console console;
    private final String what;
    private final String unit;
    private final long begin = System.nanoTime();
    private ProgressBar bar;

    /** @param unit what is counted, in the plural */
    Progress(Console console, String what, String unit) {
        this.console = console;
        this.what = what;
        this.unit = unit;
    }

    /** So many are done; nobody knows how many there are. */
    public void at(int done) {
        at(done, -1);
    }

    /** So many are done. @param all how many there are; negative where nobody knows */
    public synchronized void at(int done, int all) {
        if (!console.progress() || System.nanoTime() - begin < PATIENCE) {
            return;
        }
        if (bar == null) {
            bar = new ProgressBarBuilder().setTaskName(what).setUnit(" " + unit, 1).setInitialMax(all)
                    .setStyle(ProgressBarStyle.ASCII).setUpdateIntervalMillis(200).continuousUpdate().clearDisplayOnFinish()
                    .setMaxRenderedLength(Math.min(79, console.width() - 1)).hideEta()
                    .setConsumer(new ConsoleProgressBarConsumer(console.err())).build();
        }
        bar.maxHint(all);
        bar.stepTo(done);
    }

    @Override
    public synchronized void close() {
        if (bar != null) {
            bar.close();
            bar = null;
        }
    }
}
