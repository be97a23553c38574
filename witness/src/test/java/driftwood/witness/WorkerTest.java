package driftwood.witness;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;

class WorkerTest {
    private static final ClassLoader LOADER = WorkerTest.class.getClassLoader();

    private static Outcome outcome(Object value) {
        return Outcome.ended("c1", "ran", String.valueOf(value));
    }

    private static String told(Worker worker, Supplier<Object> run) {
        return worker.run(LOADER, () -> outcome(run.get()), 2000).value().text();
    }

    @Test
    void casesFollowOneAnotherInTheSameThread() {
        Worker worker = new Worker();
        String first = told(worker, () -> System.identityHashCode(Thread.currentThread()));
        assertThat(told(worker, () -> System.identityHashCode(Thread.currentThread()))).isEqualTo(first);
    }

    @Test
    void eachFindsTheThreadAsTheFirstDid() {
        Worker worker = new Worker();
        told(worker, () -> {
            Thread.currentThread().setName("fog");
            Thread.currentThread().setPriority(Thread.MIN_PRIORITY);
            Thread.currentThread().setContextClassLoader(null);
            Thread.currentThread().interrupt();
            return "";
        });
        assertThat(told(worker, () -> Thread.currentThread().getName() + Thread.currentThread().getPriority()
                + Thread.currentThread().isInterrupted() + (Thread.currentThread().getContextClassLoader() == LOADER)))
                .isEqualTo("case" + Thread.NORM_PRIORITY + "falsetrue");
    }

    @Test
    void oneThatComputesForEverIsGivenUp() {
        AtomicBoolean stop = new AtomicBoolean();
        assertThat(new Worker().run(LOADER, () -> {
            long turns = 0;
            while (!stop.get()) {
                turns++;
            }
            return outcome(turns);
        }, 100)).isNull();
        stop.set(true);
    }

    @Test
    void oneThatWaitsForEverIsGivenUpToo() {
        CountDownLatch never = new CountDownLatch(1);
        assertThat(new Worker().run(LOADER, () -> {
            try {
                never.await();
            } catch (InterruptedException e) {
                return outcome("interrupted");
            }
            return outcome("");
        }, 60)).isNull();
        never.countDown();
    }

    @Test
    void oneThatWaitsALittleLongerThanItsTimeIsNot() {
        assertThat(new Worker().run(LOADER, () -> {
            try {
                Thread.sleep(150);
            } catch (InterruptedException e) {
                return outcome("interrupted");
            }
            return outcome("slept");
        }, 100).value().text()).isEqualTo("slept");
    }
}
