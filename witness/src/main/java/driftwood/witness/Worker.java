package driftwood.witness;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;

/**
 * A thread that runs cases one after the other, each from the same state of the thread. One that gets stuck in a case is
 * left to itself. What a case leaves in the thread's own variables the next one finds, as with static fields.
 */
final class Worker {
    private static final ThreadMXBean CLOCK = ManagementFactory.getThreadMXBean();

    /** For a thread that is given up to notice, in milliseconds. */
    private static final long GRACE = 20;

    /** Handed over by a plain wait: a queue that both sides spin on for a while costs as much as most cases. */
    private Job next;
    private final Thread thread = new Thread(null, this::work, "case", 1 << 20);

    /** A case to run, and what came of it. */
    private static final class Job {
        private final ClassLoader loader;
        private final Supplier<Outcome> run;
        private Outcome outcome;
        private boolean ended;
        private long begun;

        Job(ClassLoader loader, Supplier<Outcome> run) {
            this.loader = loader;
            this.run = run;
        }

        synchronized void end(Outcome told) {
            outcome = told;
            ended = true;
            notifyAll();
        }

        synchronized boolean awaits(long millis) throws InterruptedException {
            long until = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(millis);
            for (long left = millis; !ended && left > 0; left = TimeUnit.NANOSECONDS.toMillis(until - System.nanoTime())) {
                wait(left);
            }
            return !ended;
        }

        synchronized Outcome outcome() {
            return outcome;
        }

        synchronized long begun() {
            return begun;
        }

        synchronized void begin() {
            begun = time(Thread.currentThread());
        }
    }

    /** The thread itself. */
    Thread thread() {
        return thread;
    }

    Worker() {
        thread.setDaemon(true);
        thread.start();
    }

    /**
     * Runs a case. Its time is what it computes, not what passes: a busy machine must not look like an endless loop. One
     * that only waits is given up after some times its limit.
     *
     * @param limit milliseconds
     * @return its outcome; null where it did not end, and then this worker is of no more use
     */
    Outcome run(ClassLoader loader, Supplier<Outcome> run, long limit) {
        Job job = new Job(loader, run);
        try {
            hand(job);
            boolean runs = job.awaits(limit);
            long given = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos((Witness.PATIENCE - 1) * limit);
            while (runs && System.nanoTime() < given && time(thread) - job.begun() < TimeUnit.MILLISECONDS.toNanos(limit)) {
                runs = job.awaits(Math.max(1, limit / 20));
            }
            if (runs) {
                Reached.doom(thread);
                job.awaits(GRACE);
                return null;
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        return job.outcome();
    }

    /** Nanoseconds of processor time; without bound where the JVM cannot tell. */
    private static long time(Thread thread) {
        long time = CLOCK.getThreadCpuTime(thread.getId());
        return time < 0 ? Long.MAX_VALUE : time;
    }

    private synchronized void hand(Job job) {
        next = job;
        notifyAll();
    }

    private synchronized Job taken() throws InterruptedException {
        while (next == null) {
            wait();
        }
        Job job = next;
        next = null;
        return job;
    }

    private void work() {
        while (true) {
            Job job;
            try {
                job = taken();
            } catch (InterruptedException e) {
                continue;
            }
            if (!thread.getName().equals("case")) {
                thread.setName("case");
            }
            if (thread.getPriority() != Thread.NORM_PRIORITY) {
                thread.setPriority(Thread.NORM_PRIORITY);
            }
            thread.setUncaughtExceptionHandler(null);
            thread.setContextClassLoader(job.loader);
            job.begin();
            Outcome told = null;
            try {
                told = job.run.get();
            } finally {
                Thread.interrupted();
                job.end(told);
            }
        }
    }
}
