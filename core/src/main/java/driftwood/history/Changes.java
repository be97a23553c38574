package driftwood.history;

import driftwood.source.Language;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.eclipse.jgit.diff.DiffEntry;
import org.eclipse.jgit.diff.DiffFormatter;
import org.eclipse.jgit.errors.RevisionSyntaxException;
import org.eclipse.jgit.lib.ObjectId;
import org.eclipse.jgit.lib.ObjectReader;
import org.eclipse.jgit.lib.Repository;
import org.eclipse.jgit.treewalk.CanonicalTreeParser;
import org.eclipse.jgit.treewalk.FileTreeIterator;
import org.eclipse.jgit.util.io.NullOutputStream;

/** What changed in a working tree since a revision. */
public final class Changes {

    /** The history cannot answer. The message says why and what to do. */
    public static final class NoAnswer extends Exception {
        private static final long serialVersionUID = 1;

        NoAnswer(String why) {
            super(why);
        }
    }

    private Changes() {
    }

    /**
     * Source files that are new or different since a revision, committed or not.
     *
     * @param root     paths are told relative to it; files outside are left out
     * @param revision as git understands it: a commit, a branch, {@code HEAD~3}
     * @return relative paths with forward slashes, sorted
     * @throws NoAnswer where the root is not under version control or has no such revision
     */
    public static Set<String> since(Path root, String revision) throws NoAnswer {
        try (Repository repository = open(root)) {
            ObjectId tree = resolve(repository, revision);
            Path workTree = repository.getWorkTree().toPath().toRealPath();
            Path realRoot = root.toRealPath();
            Set<String> changed = new TreeSet<>();
            for (DiffEntry entry : entries(repository, tree)) {
                Path file = workTree.resolve(entry.getNewPath());
                if (entry.getChangeType() != DiffEntry.ChangeType.DELETE
                        && Language.ofFileName(entry.getNewPath()).isPresent() && file.startsWith(realRoot)) {
                    changed.add(realRoot.relativize(file).toString().replace('\\', '/'));
                }
            }
            return changed;
        } catch (IOException e) {
            throw new NoAnswer("the git history of " + root + " cannot be read: " + e.getMessage());
        }
    }

    private static Repository open(Path root) throws IOException, NoAnswer {
        Repository repository = Repositories.open(root).orElseThrow(() -> new NoAnswer(root + " is not under git"));
        if (repository.isBare()) {
            repository.close();
            throw new NoAnswer(root + " is a bare git repository, without files");
        }
        return repository;
    }

    private static ObjectId resolve(Repository repository, String revision) throws IOException, NoAnswer {
        try {
            return Optional.ofNullable(repository.resolve(revision + "^{tree}")).orElseThrow(() -> new NoAnswer(
                    "git knows no revision '" + revision + "' in " + repository.getWorkTree()));
        } catch (RevisionSyntaxException e) {
            throw new NoAnswer("'" + revision + "' is not how git names a revision");
        }
    }

    private static List<DiffEntry> entries(Repository repository, ObjectId tree) throws IOException {
        try (DiffFormatter formatter = new DiffFormatter(NullOutputStream.INSTANCE);
                ObjectReader reader = repository.newObjectReader()) {
            formatter.setRepository(repository);
            CanonicalTreeParser before = new CanonicalTreeParser();
            before.reset(reader, tree);
            return formatter.scan(before, new FileTreeIterator(repository));
        }
    }
}
