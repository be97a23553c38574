package driftwood.read;

import driftwood.source.SourceFile;
import driftwood.source.SourceText;
import java.util.List;
import java.util.function.Consumer;

/** Turns files of one language into common trees. Safe to use from several threads at once. */
public interface Reader {

    /**
     * A number that changes whenever this reader makes another tree of the same text; part of every cache key.
     */
    int version();

    /** What beside its text the tree of a file depends on, such as the package its folders make; never null. */
    default String context(SourceFile file) {
        return "";
    }

    /**
     * Reads some files and hands each tree on as soon as it is made, so that no two are held longer than needed.
     *
     * @param sources texts of this reader's language; never null
     * @param take    called once for each file, in any order, also for files with syntax errors
     * @throws RuntimeException where it fails on a file for a reason of its own, as {@code StackOverflowError} does on one that is
     *         nested too deeply; files not yet handed on can be read one by one then
     */
    void read(List<SourceText> sources, Consumer<FileTree> take);
}
