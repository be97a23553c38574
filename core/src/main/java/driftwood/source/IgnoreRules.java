package driftwood.source;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.eclipse.jgit.ignore.FastIgnoreRule;
import org.eclipse.jgit.ignore.IgnoreNode;

/** What {@code .gitignore} files, and the project's own settings in the same form, say to leave out. */
final class IgnoreRules {
    private final Path root;
    private final IgnoreNode own;
    private final Map<Path, List<Rules>> rules = new HashMap<>();

    /** @param excluded patterns in the form of an ignore file, told from the root */
    IgnoreRules(Path root, List<String> excluded) {
        this.root = root;
        this.own = new IgnoreNode(excluded.stream().map(FastIgnoreRule::new).toList());
    }

    /** Whether a file or folder is left out: the nearest ignore file that speaks of it decides. */
    boolean leavesOut(Path place, boolean folder) {
        if (!own.getRules().isEmpty() && place.startsWith(root) && !place.equals(root)
                && Boolean.TRUE.equals(own.checkIgnored(relative(root, place), folder))) {
            return true;
        }
        for (Rules each : rulesOf(place.getParent())) {
            Boolean said = each.node().checkIgnored(relative(each.folder(), place), folder);
            if (said != null) {
                return said;
            }
        }
        return false;
    }

    /** What speaks of all that lies in a folder, the nearest first. @param folder null above the root of the disk */
    private List<Rules> rulesOf(Path folder) {
        if (folder == null) {
            return List.of();
        }
        List<Rules> known = rules.get(folder);
        if (known == null) {
            List<Rules> above = Files.exists(folder.resolve(".git")) ? List.of() : rulesOf(folder.getParent());
            known = read(folder).map(node -> Stream.concat(Stream.of(new Rules(folder, node)), above.stream()).toList())
                    .orElse(above);
            rules.put(folder, known);
        }
        return known;
    }

    /** An ignore file. @param folder the one it stands in */
    private record Rules(Path folder, IgnoreNode node) {
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
