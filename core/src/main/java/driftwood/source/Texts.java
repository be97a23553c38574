package driftwood.source;

import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * The texts of a project's files, when they are asked for.
 *
 * @param root paths are relative to it
 */
public record Texts(Path root) {

    /** The lines of a file; empty where it cannot be read any more. */
    public List<String> lines(String file) {
        return text(file).map(text -> Arrays.asList(text.split("\n", -1))).orElse(List.of());
    }

    /** The text of a source file; empty where it cannot be read any more. */
    public Optional<String> text(String file) {
        Optional<Language> language = Language.ofFileName(file);
        if (language.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(SourceText.read(new SourceFile(file, root.resolve(file), language.get(), false)).text().replace("\r\n", "\n"));
        } catch (SourceText.NotReadable e) {
            return Optional.empty();
        }
    }
}
