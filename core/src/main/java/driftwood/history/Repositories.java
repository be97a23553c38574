package driftwood.history;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import org.eclipse.jgit.errors.ConfigInvalidException;
import org.eclipse.jgit.lib.Config;
import org.eclipse.jgit.lib.Repository;
import org.eclipse.jgit.storage.file.FileBasedConfig;
import org.eclipse.jgit.storage.file.FileRepositoryBuilder;
import org.eclipse.jgit.util.FS;
import org.eclipse.jgit.util.SystemReader;

/**
 * Opens git repositories to be read, without starting a process: the library would ask the installed git for its settings, and
 * filters that a repository or the user configured are commands.
 */
final class Repositories {
    static {
        SystemReader.setInstance(new Quiet(SystemReader.getInstance()));
    }

    private Repositories() {
    }

    /** The repository that a folder is in; empty where there is none. */
    static Optional<Repository> open(Path folder) throws IOException {
        FileRepositoryBuilder builder = new FileRepositoryBuilder().readEnvironment().findGitDir(folder.toFile());
        if (builder.getGitDir() == null) {
            return Optional.empty();
        }
        Repository repository = builder.build();
        withoutFilters(repository.getConfig());
        return Optional.of(repository);
    }

    private static void withoutFilters(Config config) {
        config.getSubsections("filter").forEach(each -> config.unsetSection("filter", each));
    }

    /** Reads the user's own settings, without filters, and none of the installed git's. */
    private static final class Quiet extends SystemReader.Delegate {
        Quiet(SystemReader reader) {
            super(reader);
        }

        @Override
        public FileBasedConfig openSystemConfig(Config parent, FS fs) {
            return new FileBasedConfig(parent, null, fs) {
                @Override
                public void load() {
                    // There is nothing to load.
                }

                @Override
                public boolean isOutdated() {
                    return false;
                }
            };
        }

        @Override
        public FileBasedConfig openUserConfig(Config parent, FS fs) {
            FileBasedConfig own = super.openUserConfig(parent, fs);
            return new FileBasedConfig(parent, own.getFile(), fs) {
                @Override
                public void load() throws IOException, ConfigInvalidException {
                    super.load();
                    withoutFilters(this);
                }
            };
        }
    }
}
