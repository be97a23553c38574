package driftwood.read.csharp;

import driftwood.read.sitter.Cst;
import driftwood.read.sitter.Grammar;
import driftwood.read.sitter.Grammar.Habits;
import driftwood.read.sitter.SitterReader;
import driftwood.source.SourceText;
import driftwood.tree.Unit;
import java.util.Set;
import org.treesitter.TreeSitterCSharp;

/** Reads C#. A file's first namespace is its package; namespaces around and those that are used are searched for names. */
public final class CSharpReader extends SitterReader {
    private static final Habits HABITS = new Habits(
            Set.of("identifier", "comment", "predefined_type", "implicit_type", "generic_name", "qualified_name", "alias_qualified_name",
                    "array_type", "nullable_type", "tuple_type", "pointer_type", "modifier", "string_literal", "verbatim_string_literal",
                    "raw_string_literal", "character_literal", "integer_literal", "real_literal", "boolean_literal", "null_literal", "discard",
                    "attribute_argument_list", "type_parameter_constraints_clause"),
            Set.of("compilation_unit", "block", "argument_list", "expression_statement", "parenthesized_expression",
                    "return_statement", "base_list", "attribute_list", "initializer_expression"),
            Set.of("comment", "preproc_region", "preproc_endregion", "preproc_pragma", "preproc_nullable", "preproc_line", "preproc_define",
                    "preproc_undef", "preproc_error", "preproc_warning", "shebang_directive"), (kind, text, start) -> false);

    public CSharpReader() {
        super(() -> new Grammar(Pointer.ofCSharp(), HABITS), CSharpRules.EXPRESSIONS, CSharpRules.STATEMENTS);
    }

    /** Hands out the grammar's address, which its class keeps for subclasses. */
    private static final class Pointer extends TreeSitterCSharp {
        static Object ofCSharp() {
            return new Pointer().getPtr();
        }
    }

    @Override
    public int version() {
        return 14;
    }

    @Override
    protected String parsable(String text) {
        return Directives.without(text);
    }

    @Override
    protected Unit unit(SourceText source, Cst root) {
        return new CSharpFile(source.text(), root).unit();
    }
}
