package driftwood.read.python;

import driftwood.read.sitter.Cst;
import driftwood.read.sitter.Grammar;
import driftwood.read.sitter.Grammar.Habits;
import driftwood.read.sitter.SitterReader;
import driftwood.source.SourceFile;
import driftwood.source.SourceText;
import driftwood.tree.Unit;
import java.util.Set;
import org.treesitter.TreeSitterPython;

/**
 * Reads Python. A module becomes a type that holds its routines, with its classes nested inside, so that
 * {@code quay.office.Tug} is the class Tug of the module quay.office.
 */
public final class PythonReader extends SitterReader {
    private static final Habits HABITS = new Habits(
            Set.of("identifier", "integer", "float", "comment", "string_start", "string_end", "escape_sequence", "line_continuation"),
            Set.of("module", "block", "expression_statement", "argument_list", "list", "tuple", "set", "dictionary", "binary_operator",
                    "boolean_operator", "comparison_operator", "parenthesized_expression", "return_statement", "string",
                    "concatenated_string", "parameters", "expression_list", "pattern_list", "not_operator", "unary_operator", "subscript",
                    "keyword_argument"),
            Set.of("comment", "line_continuation"), PythonReader::isPlainText);

    private static final ThreadLocal<Grammar> PLAIN = ThreadLocal.withInitial(() -> new Grammar(Pointer.ofPython(), HABITS));

    public PythonReader() {
        super(PLAIN::get, PythonRules.EXPRESSIONS, PythonRules.STATEMENTS);
    }

    /** The syntax of a module, for those who change its text; comments are among the children, not among the inner nodes. */
    public static Grammar.Parsed syntax(String text) {
        return PLAIN.get().parse(text);
    }

    /** Hands out the grammar's address, which its class keeps for subclasses. */
    private static final class Pointer extends TreeSitterPython {
        static Object ofPython() {
            return new Pointer().getPtr();
        }
    }

    @Override
    public int version() {
        return 7;
    }

    @Override
    public String context(SourceFile file) {
        return PythonModule.packageOf(file);
    }

    @Override
    protected Unit unit(SourceText source, Cst root) {
        return new PythonModule(source, root).unit();
    }

    /** Nobody needs the parts of a text without values in it. */
    private static boolean isPlainText(String kind, String text, int start) {
        if (!kind.equals("string")) {
            return false;
        }
        char first = start < text.length() ? text.charAt(start) : 'f';
        char second = start + 1 < text.length() ? text.charAt(start + 1) : 'f';
        return first == '"' || first == '\'' || (second == '"' || second == '\'') && first != 'f' && first != 'F';
    }
}
