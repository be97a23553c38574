package driftwood.source;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.eclipse.jgit.ignore.FastIgnoreRule;
import org.eclipse.jgit.ignore.IgnoreNode;

/** What {@code .gitignore} files, and the project's own settings in the same form, say to leave out. */
final class IgnoreRules {
    private final Path root;
    private final IgnoreNode own;
    private final Map<Path, Optional<IgnoreNode>> read = new HashMap<>();

    /** @param excluded patterns in the form of an ignore file, told from the root */
    IgnoreRules(Path root, List<String> excluded) {
        this.root = root;
        this.own = new IgnoreNode(excluded.stream().map(FastIgnoreRule::new).toList());
    }

    /** Whether a file or folder is left out: the nearest ignore file that speaks of it decides. */
    boolean leavesOut(Path place, boolean folder) {
        if (place.startsWith(root) && !place.equals(root)
                && Boolean.TRUE.equals(own.checkIgnored(relative(root, place), folder))) {
            return true;
        }
        for (Path at = place.getParent(); at != null; at = at.getParent()) {
            Optional<IgnoreNode> rules = read.computeIfAbsent(at, IgnoreRules::read);
            if (rules.isPresent()) {
                Boolean said = rules.get().checkIgnored(relative(at, place), folder);
                if (said != null) {
                    return said;
                }
            }
            if (Files.exists(at.resolve(".git"))) {
                return false;
            }
        }
        return false;
    }

    private static String relative(Path from, Path place) {
        return from.relativize(place).toString().replace('\\', '/');
    }

    private static Optional<IgnoreNode> read(Path folder) {
        Path file = folder.resolve(".gitignore");
        if (!Files.isRegularFile(file)) {
            return Optional.empty();
        }
        try (InputStream in = Files.newInputStream(file)) {
            IgnoreNode node = new IgnoreNode();
            node.parse(in);
            return Optional.of(node);
        } catch (IOException e) {
            return Optional.empty();
        }
    }
}
