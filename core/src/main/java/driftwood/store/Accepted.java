package driftwood.store;

import com.fasterxml.jackson.annotation.JsonInclude;
import driftwood.smell.Finding;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Findings that a team has decided to live with, in {@code .driftwood/accepted.json}: readable, sorted, meant to be
 * committed. Reasons that people write into the file are kept.
 *
 * @param format   of the file, with its version
 * @param findings sorted by symbol
 */
public record Accepted(String format, List<Entry> findings) {
    /** The format of the file. */
    public static final String FORMAT = "driftwood-accepted/1";
    /** Its name in the folder. */
    public static final String NAME = "accepted.json";

    /**
     * One accepted finding.
     *
     * @param id     of the finding
     * @param smell  its key
     * @param symbol where it is
     * @param reason why, where somebody wrote it down
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Entry(String id, String smell, String symbol, String reason) {
    }

    /**
     * Reads what is accepted in a project; nothing where there is no file.
     *
     * @throws IOException where the file is damaged or of another format; the message says so
     */
    public static Accepted in(Path root) throws IOException {
        // driftwood: leave hard-coded-instantiation because the folder is told by its root, and tests give it a temporary one
        Folder folder = new Folder(root);
        Path file = folder.path().resolve(NAME);
        if (!Files.exists(file)) {
            return new Accepted(FORMAT, List.of());
        }
        Accepted accepted = folder.read(file, Accepted.class);
        if (!FORMAT.equals(accepted.format()) || accepted.findings() == null) {
            throw new IOException(file + " is no file of the format " + FORMAT);
        }
        return accepted;
    }

    /** The same with other findings; reasons already written down are kept. */
    public Accepted with(List<Finding> accepted) {
        Map<String, String> reasons = new HashMap<>();
        findings.forEach(each -> reasons.put(each.id(), each.reason()));
        List<Entry> entries = new ArrayList<>();
        accepted.forEach(each -> entries.add(new Entry(each.id(), each.smell(), each.symbol(), reasons.get(each.id()))));
        entries.sort(Comparator.comparing(Entry::symbol).thenComparing(Entry::id));
        return new Accepted(FORMAT, entries);
    }

    /** Writes it. @return where */
    public Path save(Path root) {
        return new Folder(root).write(NAME, this);
    }

    public boolean has(Finding finding) {
        return findings.stream().anyMatch(each -> each.id().equals(finding.id()));
    }

    /** Entries that no finding of a scan has any more. @param smells those that were looked for; empty for all */
    public List<Entry> stale(List<Finding> found, List<String> smells) {
        Set<String> ids = new HashSet<>();
        found.forEach(each -> ids.add(each.id()));
        return findings.stream().filter(each -> !ids.contains(each.id())
                && (smells.isEmpty() || smells.contains(each.smell()))).toList();
    }
}
