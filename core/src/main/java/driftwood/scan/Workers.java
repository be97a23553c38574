package driftwood.scan;

import driftwood.scan.memory.Remembered;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntConsumer;

/** Threads that share out numbered pieces of work. */
final class Workers {
    private final String name;
    private final int threads;
    private final long stack;

    /**
     * @param threads at least 1
     * @param stack   of each thread, in bytes; 0 for the usual one
     */
    Workers(String name, int threads, long stack) {
        this.name = name;
        this.threads = threads;
        this.stack = stack;
    }

    /** Does all pieces from 0 up; back when all are done. A failure of one is thrown here. */
    void share(int pieces, IntConsumer work) {
        AtomicInteger next = new AtomicInteger();
        List<FutureTask<Void>> tasks = new ArrayList<>();
        for (int i = 0; i < Math.max(1, Math.min(threads, pieces)); i++) {
            FutureTask<Void> task = new FutureTask<>(() -> {
                for (int at = next.getAndIncrement(); at < pieces; at = next.getAndIncrement()) {
                    work.accept(at);
                }
                return null;
            });
            tasks.add(task);
            new Thread(null, task, name + "-" + i, stack).start();
        }
        tasks.forEach(Workers::await);
    }

    static <T> T await(FutureTask<T> task) {
        try {
            return task.get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("interrupted", e);
        } catch (ExecutionException e) {
            if (e.getCause() instanceof Error error) {
                throw error;
            }
            if (e.getCause() instanceof Remembered.Lost lost) {
                throw lost;
            }
            throw new IllegalStateException(e.getCause());
        }
    }
}
