package driftwood.read.sitter;

import driftwood.read.FileTree;
import driftwood.read.Reader;
import driftwood.read.Unreadable;
import driftwood.source.Lines;
import driftwood.source.SourceText;
import driftwood.source.Unread;
import driftwood.tree.Unit;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** Reads a language by its grammar. Regions with syntax errors are left out and told; the rest of the file is read. */
public abstract class SitterReader implements Reader {
    private final ThreadLocal<Grammar> grammars;

    private final Set<String> ruled = new TreeSet<>();

    /** @param grammar makes the grammar, once for each thread @param rules of the language */
    protected SitterReader(Supplier<Grammar> grammar, Rules<?>... rules) {
        this.grammars = ThreadLocal.withInitial(grammar);
        for (Rules<?> each : rules) {
            ruled.addAll(each.kinds());
        }
    }

    /** The file in Driftwood's own terms. */
    protected abstract Unit unit(SourceText source, Cst root);

    /**
     * The text as the grammar can take it: as long as the source, with blanks for what it knows nothing of.
     *
     * @throws Unreadable where the text is in another language than its file's name says
     */
    protected String parsable(String text) {
        return text;
    }

    /** All kinds of the grammar's nodes that the rules say something of. */
    public Set<String> ruled() {
        return ruled;
    }

    /** All kinds of nodes that the grammar has. */
    public final Set<String> kinds() {
        return grammars.get().kinds();
    }

    /**
     * The parser of this thread.
     *
     * @throws Unreadable where its native part cannot be loaded on this machine: that costs files of this language, and no others
     */
    private Grammar grammar() {
        try {
            return grammars.get();
        } catch (LinkageError | RuntimeException e) {
            Throwable cause = e;
            while (cause.getCause() != null) {
                cause = cause.getCause();
            }
            throw new Unreadable("the native part of its parser cannot be loaded on this machine (" + String.valueOf(cause.getMessage()).lines().findFirst().orElse("").replaceFirst("^Exception [\\w.]+: (.*) \\[in thread .*$", "$1")
                    + "); other languages are read all the same", e);
        }
    }

    @Override
    public void read(List<SourceText> sources, Consumer<FileTree> take) {
        Grammar grammar = grammar();
        for (SourceText source : sources) {
            Lines lines = new Lines(source.text());
            Grammar.Parsed parsed = grammar.parse(parsable(source.text()));
            List<Unread> unread = parsed.errors().stream().map(each -> unread(each, lines, source)).toList();
            take.accept(new FileTree(source, unit(source, parsed.root()), lines, unread));
        }
    }

    private static Unread unread(Cst error, Lines lines, SourceText source) {
        int from = lines.lineOf(error.start());
        int to = lines.lineOf(Math.max(error.start(), error.end() - 1));
        return new Unread(source.file().path(), from, from == to ? "syntax: not understood"
                : "syntax: not understood up to line " + to);
    }
}
