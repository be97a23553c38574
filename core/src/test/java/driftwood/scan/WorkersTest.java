package driftwood.scan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.scan.memory.Remembered;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentSkipListSet;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WorkersTest {
    @ParameterizedTest
    @CsvSource({"1, 0", "1, 1", "1, 7", "2, 1", "2, 100", "8, 3"})
    void everyPieceIsDoneOnce(int threads, int pieces) {
        Set<Integer> done = new ConcurrentSkipListSet<>();
        AtomicInteger count = new AtomicInteger();
        new Workers("test", threads, 0).share(pieces, at -> {
            done.add(at);
            count.incrementAndGet();
        });
        assertThat(count).hasValue(pieces);
        assertThat(done).hasSize(pieces).allMatch(each -> each >= 0 && each < pieces);
    }

    @Test
    void theThreadsBearTheCrewsName() {
        Set<String> names = ConcurrentHashMap.newKeySet();
        new Workers("pilots", 2, 0).share(50, at -> names.add(Thread.currentThread().getName()));
        assertThat(names).isNotEmpty().allMatch(each -> each.startsWith("pilots-"));
    }

    @Test
    void aFailureComesToWhoWaits() {
        assertThatThrownBy(() -> new Workers("test", 2, 0).share(5, at -> {
            if (at == 3) {
                throw new IllegalArgumentException("piece 3");
            }
        })).isInstanceOf(IllegalStateException.class).hasRootCauseMessage("piece 3");
    }

    @Test
    void anErrorComesAsItIs() {
        assertThatThrownBy(() -> new Workers("test", 1, 0).share(1, at -> {
            throw new StackOverflowError();
        })).isInstanceOf(StackOverflowError.class);
    }

    @Test
    void whatWasLostFromMemoryComesAsItIs() {
        assertThatThrownBy(() -> new Workers("test", 2, 0).share(4, at -> {
            throw new Remembered.Lost();
        })).isInstanceOf(Remembered.Lost.class);
    }

    @Test
    void aDeepStackIsGivenWhereItIsAskedFor() {
        AtomicInteger depth = new AtomicInteger();
        new Workers("test", 1, 1L << 28).share(1, at -> depth.set(deep(100_000)));
        assertThat(depth).hasValue(100_000);
    }

    private static int deep(int left) {
        return left == 0 ? 0 : 1 + deep(left - 1);
    }
}
