package driftwood.pattern;

import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Detail.Choosing;
import driftwood.smell.Evidence;
import driftwood.source.Idiom;
import driftwood.source.Texts;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/**
 * Where a refactoring would take place: the program, and the texts of its files when they are asked for.
 *
 * @param root    the scanned root
 * @param program linked
 */
public record Site(Path root, Program program) {

    /** The text of a file; empty where it cannot be read any more. */
    public Optional<String> text(String file) {
        return texts().text(file);
    }

    /** The texts of all files. */
    public Texts texts() {
        return new Texts(root);
    }

    public Optional<TypeOutline> type(String name) {
        return program.type(name);
    }

    /** How plans speak of the language of a type. */
    public Idiom idiom(TypeOutline type) {
        return program.fileOf(type).language().idiom();
    }

    /** The path of the file where a new type goes beside an existing one: a new file, or the same. */
    public String beside(TypeOutline type, String simpleName) {
        if (!idiom(type).onePerFile()) {
            return type.file();
        }
        int slash = type.file().lastIndexOf('/');
        int dot = type.file().lastIndexOf('.');
        return type.file().substring(0, slash + 1) + simpleName + type.file().substring(dot);
    }

    /** The place of a new type beside an existing one: a file still to be written, or behind it in the same. */
    public Evidence planned(TypeOutline type, String simpleName, String note) {
        String file = beside(type, simpleName);
        return file.equals(type.file()) ? new Evidence(file, type.endLine(), type.endLine(), note) : Evidence.fresh(file, note);
    }

    /** The place of one more variant of what a chain tells apart; none where the project does not declare what they have in common. */
    public List<Evidence> newVariant(Branching branching) {
        return type(branching.common()).map(type -> List.of(branching.onTypes() ? kind(type, "the new " + type.simpleName())
                : new Evidence(type.file(), type.line(), type.line(), "the new constant of " + type.simpleName()))).orElse(List.of());
    }

    /** The place of one more kind of what is created; none where the project does not declare what they have in common. */
    public List<Evidence> newKind(Choosing choosing) {
        return type(choosing.common()).map(common -> List.of(kind(common, "the new kind of " + common.simpleName()))).orElse(List.of());
    }

    /** The place of one more kind of a type: where its other kinds are, or a file of its own. */
    public Evidence kind(TypeOutline common, String note) {
        boolean together = program.children(common).stream().anyMatch(each -> each.file().equals(common.file()));
        return together ? new Evidence(common.file(), common.endLine(), common.endLine(), note)
                : planned(common, "New" + common.simpleName(), note);
    }
}
