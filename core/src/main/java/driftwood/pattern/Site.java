package driftwood.pattern;

import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.source.Language;
import driftwood.source.SourceFile;
import driftwood.source.SourceText;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Where a refactoring would take place: the program, and the texts of its files when they are asked for.
 *
 * @param root    the scanned root
 * @param program linked
 */
public record Site(Path root, Program program) {

    /** The lines of a file; empty where it cannot be read any more. */
    public List<String> lines(String file) {
        return text(file).map(text -> Arrays.asList(text.split("\n", -1))).orElse(List.of());
    }

    /** The text of a file; empty where it cannot be read any more. */
    public Optional<String> text(String file) {
        try {
            return Optional.of(SourceText.read(
                    new SourceFile(file, root.resolve(file), Language.JAVA, false)).text().replace("\r\n", "\n"));
        } catch (SourceText.NotReadable e) {
            return Optional.empty();
        }
    }

    public Optional<TypeOutline> type(String name) {
        return program.type(name);
    }

    /** The path of a new file beside an existing type's. */
    public static String beside(TypeOutline type, String simpleName) {
        int slash = type.file().lastIndexOf('/');
        int dot = type.file().lastIndexOf('.');
        return type.file().substring(0, slash + 1) + simpleName + type.file().substring(dot);
    }

    /** The package statement for a file beside an existing type's, with an empty line behind; empty without package. */
    public String packageLine(TypeOutline type) {
        String name = program.fileOf(type).packageName();
        return name.isEmpty() ? "" : "package " + name + ";\n\n";
    }
}
