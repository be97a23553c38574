package driftwood.history;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.Set;
import org.eclipse.jgit.api.CommitCommand;
import org.eclipse.jgit.api.Git;
import org.eclipse.jgit.api.Status;
import org.eclipse.jgit.api.errors.GitAPIException;
import org.eclipse.jgit.lib.PersonIdent;
import org.eclipse.jgit.lib.Repository;

/** The files of a project under version control: which of them differ from the last commit, and a new commit of some. */
public final class WorkTree implements AutoCloseable {
    private final Git git;
    private final Path root;

    private WorkTree(Git git, Path root) {
        this.git = git;
        this.root = root;
    }

    /** Of a project; empty where it is not under version control. */
    public static Optional<WorkTree> of(Path root) throws IOException {
        Optional<Repository> repository = Repositories.open(root);
        return repository.isEmpty() || repository.get().isBare() ? Optional.empty() : Optional.of(new WorkTree(new Git(repository.get()), root.toRealPath()));
    }

    private String inRepository(String file) {
        return git.getRepository().getWorkTree().toPath().toAbsolutePath().normalize().relativize(root.resolve(file)).toString().replace('\\', '/');
    }

    /** Files that are changed, added or gone since the last commit, as the repository names them; those never added do not count. */
    public Set<String> changed() throws IOException {
        try {
            Status status = git.status().call();
            Set<String> all = new TreeSet<>();
            List.of(status.getAdded(), status.getChanged(), status.getModified(), status.getMissing(), status.getRemoved(), status.getConflicting()).forEach(all::addAll);
            return all;
        } catch (GitAPIException e) {
            throw new IOException("the version control of " + root + " cannot be asked: " + e.getMessage(), e);
        }
    }

    /** Those of some files of the project that were never added. @param files relative to the project */
    public Set<String> unknown(Collection<String> files) throws IOException {
        try {
            Status status = git.status().call();
            Set<String> all = new TreeSet<>();
            for (String each : files) {
                String path = inRepository(each);
                boolean below = status.getUntrackedFolders().stream().anyMatch(folder -> path.startsWith(folder + "/"));
                if (root.resolve(each).toFile().exists() && (below || status.getUntracked().contains(path))) {
                    all.add(each);
                }
            }
            return all;
        } catch (GitAPIException e) {
            throw new IOException("the version control of " + root + " cannot be asked: " + e.getMessage(), e);
        }
    }

    /**
     * Commits some files.
     *
     * @param files relative to the project; those that are gone are taken out
     * @return the commit's short name
     */
    public String commit(Collection<String> files, String message) throws IOException {
        try {
            List<String> named = new ArrayList<>();
            for (String each : files) {
                String path = inRepository(each);
                named.add(path);
                if (root.resolve(each).toFile().exists()) {
                    git.add().addFilepattern(path).call();
                } else {
                    git.rm().addFilepattern(path).call();
                }
            }
            CommitCommand commit = git.commit().setMessage(message);
            named.forEach(commit::setOnly);
            PersonIdent who = new PersonIdent(git.getRepository());
            return commit.setCommitter(who).setAuthor(who).setSign(false).call().abbreviate(8).name();
        } catch (GitAPIException e) {
            throw new IOException("the stage could not be committed: " + e.getMessage(), e);
        }
    }

    @Override
    public void close() {
        git.close();
    }
}
