package driftwood.smell;

import driftwood.program.Later;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;

/** What the seers saw in all files that are judged. Safe to ask from several threads. */
public final class Sightings {
    private final Map<String, List<Seen<Object>>> bySeer;
    private final Map<Class<?>, Later<?>> shared = new ConcurrentHashMap<>();

    /** @param bySeer by the seer's key, in the order of files and lines; sightings in test code are evidence at most */
    public Sightings(Map<String, List<Seen<Object>>> bySeer) {
        this.bySeer = bySeer;
    }

    /** What one seer saw; none where the detector did not name it among its seers. */
    @SuppressWarnings("unchecked")
    public <S> List<Seen<S>> of(Seer<S> seer) {
        return (List<Seen<S>>) (List<?>) bySeer.getOrDefault(seer.key(), List.of());
    }

    /** What one seer saw in code that is judged; what it saw in tests left out. */
    public <S> List<Seen<S>> judged(Seer<S> seer) {
        return of(seer).stream().filter(each -> !each.test()).toList();
    }

    /**
     * What several detectors conclude from the sightings, found out by the first that asks for it. It must be the same
     * whoever finds it out; who uses it still has to ask the program what it depends on, so that a later scan knows.
     */
    public <T> T shared(Class<T> conclusion, Supplier<T> source) {
        return conclusion.cast(shared.computeIfAbsent(conclusion, key -> new Later<>(source)).get());
    }
}
