package driftwood.witness;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.util.HashSet;
import java.util.Set;

/** Threads that cases leave behind. Those that wait do no harm; where some go on computing, all later cases are starved. */
final class Strays {
    private static final ThreadMXBean CLOCK = ManagementFactory.getThreadMXBean();
    /** Long enough to tell computing from waiting. In milliseconds. */
    private static final long LOOK = 5;

    private final Set<Long> known = new HashSet<>();

    Strays() {
        for (long each : CLOCK.getAllThreadIds()) {
            known.add(each);
        }
    }

    /** A thread of the witness itself. */
    void knows(Thread own) {
        known.add(own.getId());
    }

    /** Ends the processes that a case started and left: thousands of cases would fill the machine with them. */
    void endChildren() {
        if (CLOCK.getThreadCount() > known.size() && hasReaper()) {
            ProcessHandle.current().descendants().forEach(ProcessHandle::destroyForcibly);
        }
    }

    /** The platform waits for each child in a thread of this name; to ask the system for children is dear. */
    private static boolean hasReaper() {
        ThreadGroup top = Thread.currentThread().getThreadGroup();
        while (top.getParent() != null) {
            top = top.getParent();
        }
        Thread[] all = new Thread[top.activeCount() + 16];
        int count = top.enumerate(all);
        for (int i = 0; i < count; i++) {
            if (all[i].getName().startsWith("process reaper")) {
                return true;
            }
        }
        return false;
    }

    /** Whether some thread that was not there in the beginning computes. */
    boolean compute() {
        long before = time();
        if (before < 0) {
            return false;
        }
        try {
            Thread.sleep(LOOK);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        return time() - before > LOOK * 1_000_000 / 4;
    }

    /** Processor time of all strays in nanoseconds; negative where there are none. */
    private long time() {
        long time = -1;
        for (long each : CLOCK.getAllThreadIds()) {
            if (!known.contains(each)) {
                time = Math.max(0, time) + Math.max(0, CLOCK.getThreadCpuTime(each));
            }
        }
        return time;
    }
}
