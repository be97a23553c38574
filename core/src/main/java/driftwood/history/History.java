package driftwood.history;

import driftwood.source.Language;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.eclipse.jgit.diff.DiffEntry;
import org.eclipse.jgit.lib.Constants;
import org.eclipse.jgit.lib.ObjectId;
import org.eclipse.jgit.lib.Repository;
import org.eclipse.jgit.revwalk.RevCommit;
import org.eclipse.jgit.revwalk.RevWalk;
import org.eclipse.jgit.treewalk.CanonicalTreeParser;
import org.eclipse.jgit.treewalk.EmptyTreeIterator;
import org.eclipse.jgit.treewalk.TreeWalk;
import org.eclipse.jgit.treewalk.filter.TreeFilter;

/**
 * Which commits touched which source files, newest first. Merges are passed over: what they bring is told by the
 * commits they join. Immutable.
 */
public final class History {
    /** No history, or none that can be read. */
    public static final History NONE = new History("", List.of(), false);
    private static final int MOST_COMMITS = 5_000;
    /** A commit that touches more source files than this moves or reformats; it says nothing about what belongs together. */
    private static final int SWEEPING = 60;

    private final String head;
    private final List<Commit> commits;
    private final boolean cut;
    private final Map<String, List<Integer>> byFile = new HashMap<>();

    /**
     * A commit.
     *
     * @param at    when it was made
     * @param files relative paths of the source files that it touched
     */
    public record Commit(Instant at, Set<String> files) {

        /** Whether it says anything about what belongs together. */
        boolean isSweeping() {
            return files.size() > SWEEPING;
        }
    }

    /**
     * @param head    name of the newest commit
     * @param commits newest first
     * @param cut     whether older commits were left unread
     */
    public History(String head, List<Commit> commits, boolean cut) {
        this.head = head;
        this.commits = commits;
        this.cut = cut;
        for (int i = 0; i < commits.size(); i++) {
            for (String file : commits.get(i).files()) {
                byFile.computeIfAbsent(file, key -> new ArrayList<>()).add(i);
            }
        }
    }

    /**
     * Reads the history of the repository that a folder lies in.
     *
     * @param root  paths are told relative to it
     * @param limit the time after which the rest of a huge history is left unread
     * @return NONE where there is no repository, no commit, or nothing that can be read
     */
    public static History of(Path root, Duration limit) {
        try (Repository repository = Repositories.open(root).orElse(null)) {
            ObjectId head = head(repository);
            return head == null ? NONE : read(repository, head, root.toRealPath(), limit);
        } catch (IOException | RuntimeException e) {
            return NONE;
        }
    }

    /** Name of the newest commit of the repository that a folder lies in; empty where there is none. */
    public static String head(Path root) {
        try (Repository repository = Repositories.open(root).orElse(null)) {
            ObjectId head = head(repository);
            return head == null ? "" : head.name();
        } catch (IOException | RuntimeException e) {
            return "";
        }
    }

    /** @param repository null for none @return null where there is no commit, or no files */
    private static ObjectId head(Repository repository) throws IOException {
        return repository == null || repository.isBare() ? null : repository.resolve(Constants.HEAD);
    }

    private static History read(Repository repository, ObjectId head, Path root, Duration limit) throws IOException {
        Path workTree = repository.getWorkTree().toPath().toRealPath();
        String prefix = root.equals(workTree) ? "" : workTree.relativize(root).toString().replace('\\', '/') + "/";
        List<Commit> commits = new ArrayList<>();
        long end = System.nanoTime() + limit.toNanos();
        boolean cut = false;
        try (RevWalk walk = new RevWalk(repository); TreeWalk trees = new TreeWalk(repository)) {
            walk.markStart(walk.parseCommit(head));
            for (RevCommit commit : walk) {
                if (commits.size() >= MOST_COMMITS || System.nanoTime() > end) {
                    cut = true;
                    break;
                }
                if (commit.getParentCount() < 2) {
                    Set<String> files = touched(walk, trees, commit, prefix);
                    if (!files.isEmpty()) {
                        commits.add(new Commit(Instant.ofEpochSecond(commit.getCommitTime()), files));
                    }
                }
            }
        }
        return new History(head.name(), commits, cut);
    }

    private static Set<String> touched(RevWalk walk, TreeWalk trees, RevCommit commit, String prefix)
            throws IOException {
        trees.reset();
        trees.setRecursive(true);
        trees.setFilter(TreeFilter.ANY_DIFF);
        if (commit.getParentCount() == 0) {
            trees.addTree(new EmptyTreeIterator());
        } else {
            CanonicalTreeParser parser = new CanonicalTreeParser();
            parser.reset(walk.getObjectReader(), walk.parseCommit(commit.getParent(0)).getTree());
            trees.addTree(parser);
        }
        trees.addTree(commit.getTree());
        Set<String> files = new HashSet<>();
        for (DiffEntry entry : DiffEntry.scan(trees)) {
            String path = entry.getNewPath();
            if (entry.getChangeType() != DiffEntry.ChangeType.DELETE && path.startsWith(prefix)
                    && Language.ofFileName(path).isPresent()) {
                files.add(path.substring(prefix.length()).intern());
            }
        }
        return files;
    }

    /** Name of the newest commit; empty for NONE. */
    public String head() {
        return head;
    }

    public boolean isKnown() {
        return !head.isEmpty();
    }

    /** Whether older commits were left unread. */
    public boolean isCut() {
        return cut;
    }

    /** How many commits it knows. */
    public int size() {
        return commits.size();
    }

    /** Indices of the commits that touched a file, newest first. */
    public List<Integer> touching(String file) {
        return byFile.getOrDefault(file, List.of());
    }

    /** Newest first. */
    public List<Commit> commits() {
        return Collections.unmodifiableList(commits);
    }

    public Commit commit(int index) {
        return commits.get(index);
    }
}
