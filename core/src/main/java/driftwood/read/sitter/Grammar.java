package driftwood.read.sitter;

import io.github.treesitter.ktreesitter.Language;
import io.github.treesitter.ktreesitter.Node;
import io.github.treesitter.ktreesitter.Parser;
import io.github.treesitter.ktreesitter.Tree;
import io.github.treesitter.ktreesitter.TreeCursor;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * A grammar and its parser. Symbols and fields are known by number; only their names, once read, are kept. A parser
 * belongs to one thread.
 */
public final class Grammar {
    /** Leaves, rows and comments of the grammar: what need not be asked of the binding, as each question costs. */
    private final Habits habits;
    private final Language language;
    private final Parser parser;
    private final String[] symbols;
    private final boolean[] named;
    private final String[] fields;
    /** Keywords and punctuation, by symbol: one node serves for all. */
    private final Cst[] tokens;

    /** @param pointer address of the grammar's native table */
    public Grammar(Object pointer, Habits habits) {
        this.habits = habits;
        language = new Language(pointer);
        parser = new Parser(language);
        symbols = new String[language.getSymbolCount()];
        named = new boolean[symbols.length];
        tokens = new Cst[symbols.length];
        for (short i = 0; i < symbols.length; i++) {
            String name = language.symbolName(i);
            symbols[i] = name == null ? "" : name.intern();
            named[i] = language.isNamed(i);
            tokens[i] = new Cst(symbols[i], false, "", 0, 0, List.of(), List.of());
        }
        fields = new String[language.getFieldCount() + 1];
        fields[0] = "";
        for (short i = 1; i < fields.length; i++) {
            String name = language.fieldNameForId(i);
            fields[i] = name == null ? "" : name.intern();
        }
    }

    /**
     * What is known of a grammar's kinds beforehand.
     *
     * @param leaves   kinds whose inner parts nobody needs
     * @param rows     kinds of which the children play no part but follow one another
     * @param skipped  kinds that stand for nothing, such as comments
     * @param leaf     finds out of a node whether it is a leaf, where its kind does not say so
     */
    public record Habits(Set<String> leaves, Set<String> rows, Set<String> skipped, Leaf leaf) {
    }

    /** Whether nobody needs the parts of a node. */
    public interface Leaf {
        boolean is(String kind, String text, int start);
    }

    /** All kinds of nodes that have a name. */
    public Set<String> kinds() {
        Set<String> kinds = new TreeSet<>();
        for (short i = 0; i < symbols.length; i++) {
            if (named[i] && language.isVisible(i) && !language.isSupertype(i)) {
                kinds.add(symbols[i]);
            }
        }
        return kinds;
    }

    /**
     * A parsed text.
     *
     * @param root   as plain nodes, offsets in characters
     * @param errors the outermost regions that the parser could not make sense of, in order
     * @param sound  whether nothing is wrong, and nothing is missing that the parser could think of itself
     */
    public record Parsed(Cst root, List<Cst> errors, boolean sound) {
    }

    /** Parses a text; what is wrong in it is told and left out. */
    public Parsed parse(String text) {
        Offsets offsets = Offsets.of(text);
        Tree tree = parser.parse(text, null);
        TreeCursor cursor = tree.walk();
        List<Cst> errors = new ArrayList<>();
        return new Parsed(node(cursor, offsets, text, errors, false), errors, !tree.getRootNode().hasError());
    }

    /**
     * Each question to the binding costs: keywords and punctuation are asked for their kind only.
     *
     * @param part whether it can play a part in the node around
     */
    private Cst node(TreeCursor cursor, Offsets offsets, String text, List<Cst> errors, boolean part) {
        Node node = cursor.getCurrentNode();
        int symbol = node.getSymbol() & 0xffff;
        boolean error = symbol == 0xffff;
        if (!error && !named[symbol]) {
            return tokens[symbol];
        }
        String kind = error ? Cst.ERROR : symbols[symbol];
        int start = offsets.at(node.getStartByte());
        int end = offsets.at(node.getEndByte());
        List<Cst> children = List.of();
        List<Cst> inner = children;
        if (!habits.leaves().contains(kind) && !habits.leaf().is(kind, text, start) && cursor.gotoFirstChild()) {
            children = new ArrayList<>(4);
            inner = new ArrayList<>(4);
            boolean parts = !habits.rows().contains(kind);
            do {
                Cst child = node(cursor, offsets, text, errors, parts);
                children.add(child);
                if (child.named() && !habits.skipped().contains(child.kind())) {
                    inner.add(child);
                }
            } while (cursor.gotoNextSibling());
            cursor.gotoParent();
        }
        int field = part ? cursor.getCurrentFieldId() & 0xffff : 0;
        Cst made = new Cst(kind, true, field < fields.length ? fields[field] : "", start, end, children, inner);
        if (error) {
            errors.removeIf(each -> each.start() >= start);
            errors.add(made);
        }
        return made;
    }
}
