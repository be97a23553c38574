package driftwood.read.php;

import driftwood.read.sitter.Cst;
import driftwood.read.sitter.Grammar;
import driftwood.read.sitter.Grammar.Habits;
import driftwood.read.sitter.SitterReader;
import driftwood.source.SourceText;
import driftwood.tree.Unit;
import java.util.Set;
import org.treesitter.TreeSitterPhp;

/** Reads PHP. A namespace is a package; a file's own functions and what it runs when loaded make a type named after the file. */
public final class PhpReader extends SitterReader {
    private static final Habits HABITS = new Habits(
            Set.of("comment", "variable_name", "qualified_name", "namespace_name", "integer", "float", "boolean", "null", "string", "nowdoc", "text",
                    "primitive_type", "named_type", "optional_type", "union_type", "intersection_type", "disjunctive_normal_form_type", "bottom_type", "cast_type",
                    "relative_scope", "visibility_modifier", "static_modifier", "readonly_modifier", "var_modifier", "abstract_modifier", "final_modifier",
                    "reference_modifier", "type_list", "php_tag", "text_interpolation", "attribute_list"),
            Set.of("program", "compound_statement", "arguments", "expression_statement", "parenthesized_expression", "return_statement",
                    "array_creation_expression", "colon_block", "formal_parameters"),
            Set.of("comment", "php_tag", "text", "text_interpolation"), (kind, text, start) -> false);

    public PhpReader() {
        super(() -> new Grammar(Pointer.ofPhp(), HABITS), PhpRules.EXPRESSIONS, PhpRules.STATEMENTS);
    }

    /** Hands out the grammar's address, which its class keeps for subclasses. */
    private static final class Pointer extends TreeSitterPhp {
        static Object ofPhp() {
            return new Pointer().getPtr();
        }
    }

    @Override
    public int version() {
        return 4;
    }

    @Override
    protected Unit unit(SourceText source, Cst root) {
        return new PhpFile(source, root).unit();
    }
}
