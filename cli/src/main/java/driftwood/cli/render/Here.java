package driftwood.cli.render;

import java.nio.file.Path;

/**
 * Where the user stands, seen from a project.
 *
 * @param root   of the project, absolute
 * @param option what the next command must add to work on the same project, such as {@code  --project kelp-quay}; empty for nothing
 */
public record Here(Path root, String option) {

    /** A file as a terminal or editor started here can open it. @param file relative to the root */
    public String path(String file) {
        Path here = Path.of("").toAbsolutePath();
        Path whole = root.resolve(file).normalize();
        boolean near = whole.startsWith(here) || here.startsWith(root);
        return (near ? here.relativize(whole) : whole).toString().replace('\\', '/');
    }
}
