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

    Grammar() {
        language = new Language(Pointer.ofPython());
        parser = new Parser(language);
        symbols = new String[language.getSymbolCount()];
        named = new boolean[symbols.length];
        for (short i = 0; i < symbols.length; i++) {
            String name = language.symbolName(i);
            symbols[i] = name == null ? "" : name.intern();
            named[i] = language.isNamed(i);
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

    /** The parsed text as plain nodes, offsets in characters. */
    Cst parse(String text) {
        Offsets offsets = Offsets.of(text);
        Tree tree = parser.parse(text, null);
        TreeCursor cursor = tree.walk();
        return node(cursor, offsets);
    }

    private Cst node(TreeCursor cursor, Offsets offsets) {
        Node node = cursor.getCurrentNode();
        int symbol = node.getSymbol() & 0xffff;
        boolean error = symbol == 0xffff;
        String kind = error ? Cst.ERROR : symbols[symbol];
        List<Cst> children = new ArrayList<>();
        if ((error || named[symbol]) && !Cst.LEAVES.contains(kind) && cursor.gotoFirstChild()) {
            do {
                children.add(node(cursor, offsets));
            } while (cursor.gotoNextSibling());
            cursor.gotoParent();
        }
        int field = cursor.getCurrentFieldId() & 0xffff;
        return new Cst(kind, error || named[symbol], field < fields.length ? fields[field] : "",
                offsets.at(node.getStartByte()), offsets.at(node.getEndByte()), children);
    }
}
