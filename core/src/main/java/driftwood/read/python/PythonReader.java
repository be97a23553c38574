package driftwood.read.python;

import driftwood.read.FileTree;
import driftwood.read.Reader;
import driftwood.source.Lines;
import driftwood.source.SourceFile;
import driftwood.source.SourceText;
import driftwood.source.Unread;
import driftwood.tree.Unit;
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
        return 1;
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
        try {
            Cst root = grammars.get().parse(source.text());
            errors(root, lines, source, unread);
            return new FileTree(source, new PythonModule(source, root).unit(), lines, unread);
        } catch (StackOverflowError e) {
            unread.add(new Unread(source.file().path(), 1, "nested too deeply to be parsed"));
        }
        return new FileTree(source, new Unit(0, source.text().length(), "", List.of(), List.of()), lines, unread);
    }

    private static void errors(Cst node, Lines lines, SourceText source, List<Unread> unread) {
        if (node.is(Cst.ERROR)) {
            int from = lines.lineOf(node.start());
            int to = lines.lineOf(Math.max(node.start(), node.end() - 1));
            unread.add(new Unread(source.file().path(), from, from == to ? "syntax: not understood"
                    : "syntax: not understood up to line " + to));
        } else {
            node.children().forEach(child -> errors(child, lines, source, unread));
        }
    }
}
