package driftwood.read.python;

import io.github.treesitter.ktreesitter.Language;
import io.github.treesitter.ktreesitter.Node;
import io.github.treesitter.ktreesitter.Parser;
import io.github.treesitter.ktreesitter.Tree;
import io.github.treesitter.ktreesitter.TreeCursor;
import java.util.ArrayList;
import java.util.List;
import org.treesitter.TreeSitterPython;

/**
 * The grammar of Python and its parser. Symbols and fields are known by number; only their names, once read, are kept.
 * A parser belongs to one thread.
 */
final class Grammar {
    private final Language language;
    private final Parser parser;
    private final String[] symbols;
    private final boolean[] named;
    private final String[] fields;
    /** Keywords and punctuation, by symbol: one node serves for all. */
    private final Cst[] tokens;

    Grammar() {
        language = new Language(Pointer.ofPython());
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

    /** Hands out the grammar's address, which its class keeps for subclasses. */
    private static final class Pointer extends TreeSitterPython {
        static Object ofPython() {
            return new Pointer().getPtr();
        }
    }

    /**
     * A parsed text.
     *
     * @param root   as plain nodes, offsets in characters
     * @param errors the outermost regions that the parser could not make sense of, in order
     */
    record Parsed(Cst root, List<Cst> errors) {
    }

    Parsed parse(String text) {
        Offsets offsets = Offsets.of(text);
        Tree tree = parser.parse(text, null);
        TreeCursor cursor = tree.walk();
        List<Cst> errors = new ArrayList<>();
        return new Parsed(node(cursor, offsets, text, errors, false), errors);
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
        if (!isLeaf(kind, text, start) && cursor.gotoFirstChild()) {
            children = new ArrayList<>(4);
            inner = new ArrayList<>(4);
            boolean parts = !Cst.ROWS.contains(kind);
            do {
                Cst child = node(cursor, offsets, text, errors, parts);
                children.add(child);
                if (child.isInner()) {
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

    /** Nobody needs the parts of a name, a number, or a text without values in it. */
    private static boolean isLeaf(String kind, String text, int start) {
        if (!kind.equals("string")) {
            return Cst.LEAVES.contains(kind);
        }
        char first = start < text.length() ? text.charAt(start) : 'f';
        char second = start + 1 < text.length() ? text.charAt(start + 1) : 'f';
        return first == '"' || first == '\'' || (second == '"' || second == '\'') && first != 'f' && first != 'F';
    }
}
