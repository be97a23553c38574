package driftwood.scan.memory;

import driftwood.history.History;
import driftwood.history.History.Commit;
import driftwood.pack.Packing;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** The version history of a project, remembered for as long as its newest commit is the same. */
public final class Past {
    /** The rest of a huge history is left unread. */
    private static final Duration LIMIT = Duration.ofSeconds(5);

    private static final Packing<Written> PACKING = Packing.of(Written.class);

    private Past() {
    }

    /**
     * What is written: paths are numbered, as most come again and again.
     *
     * @param paths all of them
     * @param times of the commits, in seconds
     * @param files numbers of the paths that each commit touched
     * @param cut   whether older commits were left unread
     */
    private record Written(List<String> paths, List<Long> times, List<int[]> files, boolean cut) {
    }

    public static History of(Path root, Memory memory) {
        if (memory == Memory.NONE) {
            return History.of(root, LIMIT);
        }
        String head = History.head(root);
        if (head.isEmpty()) {
            return History.NONE;
        }
        return memory.recall(Memory.Kind.HISTORY, "", head).map(bytes -> read(head, bytes)).filter(History::isKnown)
                .orElseGet(() -> {
                    History fresh = History.of(root, LIMIT);
                    memory.remember(Memory.Kind.HISTORY, "", fresh.head(), write(fresh));
                    return fresh;
                });
    }

    private static byte[] write(History history) {
        Map<String, Integer> numbers = new LinkedHashMap<>();
        List<int[]> files = history.commits().stream().map(commit -> commit.files().stream().sorted().mapToInt(
                file -> numbers.computeIfAbsent(file, key -> numbers.size())).toArray()).toList();
        List<Long> times = history.commits().stream().map(each -> each.at().getEpochSecond()).toList();
        return PACKING.pack(new Written(List.copyOf(numbers.keySet()), times, files, history.isCut())).bytes();
    }

    private static History read(String head, byte[] bytes) {
        return PACKING.unpack(bytes).map(written -> {
            List<Commit> commits = new ArrayList<>();
            for (int i = 0; i < written.times().size(); i++) {
                Set<String> files = Arrays.stream(written.files().get(i)).mapToObj(written.paths()::get)
                        .collect(Collectors.toSet());
                commits.add(new Commit(Instant.ofEpochSecond(written.times().get(i)), files));
            }
            return new History(head, commits, written.cut());
        }).orElse(History.NONE);
    }
}
