package driftwood.read.python;

import driftwood.read.FileTree;
import driftwood.read.Reader;
import driftwood.source.Lines;
import driftwood.source.SourceFile;
import driftwood.source.SourceText;
import driftwood.source.Unread;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;

/**
 * Reads Python. A module becomes a type that holds its routines, with its classes nested inside, so that
 * {@code quay.office.Tug} is the class Tug of the module quay.office. Regions with syntax errors are left out and told.
 */
public final class PythonReader implements Reader {
    private final ThreadLocal<Grammar> grammars = ThreadLocal.withInitial(Grammar::new);

    @Override
    public int version() {
        return 4;
    }

    @Override
    public String context(SourceFile file) {
        return PythonModule.packageOf(file.location().getParent());
    }

    @Override
    public void read(List<SourceText> sources, Consumer<FileTree> take) {
        for (SourceText source : sources) {
            take.accept(read(source));
        }
    }

    private FileTree read(SourceText source) {
        Lines lines = new Lines(source.text());
        List<Unread> unread = new ArrayList<>();
        Grammar.Parsed parsed = grammars.get().parse(source.text());
        parsed.errors().forEach(each -> unread.add(unread(each, lines, source)));
        return new FileTree(source, new PythonModule(source, parsed.root()).unit(), lines, unread);
    }

    private static Unread unread(Cst error, Lines lines, SourceText source) {
        int from = lines.lineOf(error.start());
        int to = lines.lineOf(Math.max(error.start(), error.end() - 1));
        return new Unread(source.file().path(), from, from == to ? "syntax: not understood"
                : "syntax: not understood up to line " + to);
    }
}
