package driftwood.history;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.TreeSet;

/**
 * How often some files changed, how lately, and how often together.
 *
 * @param touches  commits that touched at least one of them
 * @param recent   those of them within the last year before the newest commit
 * @param together commits of the latest that touched two or more of them
 * @param latest   how many of the latest were looked at, at most {@value #LATEST}
 * @param files    how many files were asked about
 */
public record Churn(int touches, int recent, int together, int latest, int files) {
    /** A handful: older habits say little about the next change. */
    static final int LATEST = 10;
    private static final Duration YEAR = Duration.ofDays(365);

    /** @param files relative paths, each once */
    public static Churn of(Collection<String> files, History history) {
        TreeSet<Integer> indices = new TreeSet<>();
        files.forEach(file -> indices.addAll(history.touching(file)));
        List<Integer> telling = indices.stream().filter(each -> !history.commit(each).isSweeping()).toList();
        List<Integer> newest = telling.subList(0, Math.min(LATEST, telling.size()));
        Instant yearAgo = history.size() == 0 ? Instant.EPOCH : history.commit(0).at().minus(YEAR);
        int recent = (int) indices.stream().filter(each -> history.commit(each).at().isAfter(yearAgo)).count();
        int together = (int) newest.stream().filter(each -> files.stream()
                .filter(history.commit(each).files()::contains).limit(2).count() == 2).count();
        return new Churn(indices.size(), recent, together, newest.size(), files.size());
    }
}
