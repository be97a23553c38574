package driftwood.read.ruby;

import driftwood.read.sitter.Cst;
import driftwood.read.sitter.Grammar;
import driftwood.read.sitter.Grammar.Habits;
import driftwood.read.sitter.SitterReader;
import driftwood.source.SourceText;
import driftwood.tree.Unit;
import java.util.Set;
import org.treesitter.TreeSitterRuby;

/**
 * Reads Ruby. Modules and classes may be reopened anywhere, so each declaration is a part of its type; methods outside of all
 * of them make a type named after the file. A method gives back what its last expression gives.
 */
public final class RubyReader extends SitterReader {
    private static final Habits HABITS = new Habits(
            Set.of("identifier", "constant", "comment", "integer", "float", "rational", "complex", "simple_symbol", "instance_variable", "class_variable",
                    "global_variable", "nil", "true", "false", "self", "super", "hash_key_symbol", "regex", "character", "string_array", "symbol_array",
                    "heredoc_beginning", "heredoc_body", "file", "line", "encoding", "uninterpreted", "operator", "setter"),
            Set.of("program", "argument_list", "body_statement", "then", "block_body", "array", "hash", "exceptions", "interpolation"),
            Set.of("comment", "heredoc_body", "uninterpreted"), (kind, text, start) -> false);

    public RubyReader() {
        super(() -> new Grammar(Pointer.ofRuby(), HABITS), RubyRules.EXPRESSIONS, RubyRules.STATEMENTS);
    }

    /** Hands out the grammar's address, which its class keeps for subclasses. */
    private static final class Pointer extends TreeSitterRuby {
        static Object ofRuby() {
            return new Pointer().getPtr();
        }
    }

    @Override
    public int version() {
        return 7;
    }

    @Override
    protected Unit unit(SourceText source, Cst root) {
        return new RubyFile(source, root).unit();
    }
}
