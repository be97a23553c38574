package driftwood.smell;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class SightingsTest {
    private static final Seer<String> SEER = new Seer<>("gulls", 1, String.class, file -> List.of());
    private static final Seer<String> OTHER = new Seer<>("seals", 1, String.class, file -> List.of());

    private final Sightings sightings = new Sightings(Map.of("gulls", List.of(
            new Seen<>("Quay.java", false, "one"), new Seen<>("QuayTest.java", true, "two"))));

    @Test
    void whatASeerSawIsGivenInItsOrder() {
        assertThat(sightings.of(SEER)).extracting(Seen::sighting).containsExactly("one", "two");
        assertThat(sightings.of(OTHER)).isEmpty();
    }

    @Test
    void testsAreNoCodeThatIsJudged() {
        assertThat(sightings.judged(SEER)).extracting(Seen::sighting).containsExactly("one");
    }

    /** Counts birds. */
    private record Flock(int size) {
    }

    /** Counts something else. */
    private record Herd(int size) {
    }

    @Test
    void whatSeveralConcludeIsFoundOutOnce() {
        AtomicInteger times = new AtomicInteger();
        Flock first = sightings.shared(Flock.class, () -> new Flock(times.incrementAndGet()));
        Flock second = sightings.shared(Flock.class, () -> new Flock(times.incrementAndGet()));
        assertThat(second).isSameAs(first);
        assertThat(times).hasValue(1);
        assertThat(sightings.shared(Herd.class, () -> new Herd(7)).size()).isEqualTo(7);
    }

    @Test
    void everyJudgingConcludesForItself() {
        Flock here = sightings.shared(Flock.class, () -> new Flock(1));
        Flock there = new Sightings(Map.of()).shared(Flock.class, () -> new Flock(2));
        assertThat(List.of(here.size(), there.size())).containsExactly(1, 2);
    }

    @Test
    void manyAtOnceFindItOutOnce() throws InterruptedException {
        AtomicInteger times = new AtomicInteger();
        List<Thread> threads = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            Thread each = new Thread(() -> sightings.shared(Flock.class, () -> new Flock(times.incrementAndGet())));
            threads.add(each);
            each.start();
        }
        for (Thread each : threads) {
            each.join();
        }
        assertThat(times).hasValue(1);
    }
}
