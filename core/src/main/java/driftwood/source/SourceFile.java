package driftwood.source;

import java.nio.file.Path;

/**
 * A source file of the scanned project, not yet read.
 *
 * @param path     relative to the scanned root, with forward slashes on every system; never null
 * @param location where it is on disk, absolute; never null
 * @param language told by its extension; never null
 * @param test     whether it is test code, told by the folder it lies in
 */
public record SourceFile(String path, Path location, Language language, boolean test) {
}
