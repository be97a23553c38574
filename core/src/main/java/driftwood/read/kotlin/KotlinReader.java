package driftwood.read.kotlin;

import driftwood.read.sitter.Cst;
import driftwood.read.sitter.Grammar;
import driftwood.read.sitter.Grammar.Habits;
import driftwood.read.sitter.SitterReader;
import driftwood.source.SourceText;
import driftwood.tree.Unit;
import java.util.Set;
import org.treesitter.TreeSitterKotlin;

/** Reads Kotlin. A file's own functions and values make a type named after the file, as they do in byte code: {@code DuesKt}. */
public final class KotlinReader extends SitterReader {
    private static final Habits HABITS = new Habits(
            Set.of("simple_identifier", "type_identifier", "identifier", "user_type", "nullable_type", "not_nullable_type", "function_type", "parenthesized_type",
                    "line_comment", "multiline_comment", "shebang_line", "integer_literal", "hex_literal", "bin_literal", "long_literal", "unsigned_literal",
                    "real_literal", "boolean_literal", "character_literal", "string_content", "interpolated_identifier", "binding_pattern_kind",
                    "visibility_modifier", "inheritance_modifier", "member_modifier", "class_modifier", "property_modifier", "parameter_modifier",
                    "function_modifier", "platform_modifier", "annotation", "type_arguments", "label", "this_expression", "super_expression", "wildcard_import"),
            Set.of(), Set.of("line_comment", "multiline_comment", "shebang_line"), (kind, text, start) -> false);

    public KotlinReader() {
        super(() -> new Grammar(Pointer.ofKotlin(), HABITS), KotlinRules.EXPRESSIONS, KotlinRules.STATEMENTS);
    }

    /** Hands out the grammar's address, which its class keeps for subclasses. */
    private static final class Pointer extends TreeSitterKotlin {
        static Object ofKotlin() {
            return new Pointer().getPtr();
        }
    }

    @Override
    public int version() {
        return 5;
    }

    @Override
    protected String parsable(String text) {
        return KotlinSpelling.of(text);
    }

    @Override
    protected Unit unit(SourceText source, Cst root) {
        return new KotlinFile(source, root).unit();
    }
}
