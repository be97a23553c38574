package driftwood.smell;

import java.util.List;
import java.util.Map;

/**
 * What the seers saw in all files that are judged.
 *
 * @param bySeer by the seer's key, in the order of files and lines; sightings in test code are evidence at most
 */
public record Sightings(Map<String, List<Seen<Object>>> bySeer) {

    /** What one seer saw; none where the detector did not name it among its seers. */
    @SuppressWarnings("unchecked")
    public <S> List<Seen<S>> of(Seer<S> seer) {
        return (List<Seen<S>>) (List<?>) bySeer.getOrDefault(seer.key(), List.of());
    }

    /** What one seer saw in code that is judged; what it saw in tests left out. */
    public <S> List<Seen<S>> judged(Seer<S> seer) {
        return of(seer).stream().filter(each -> !each.test()).toList();
    }
}
