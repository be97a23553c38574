package driftwood.read.kotlin;

import driftwood.read.sitter.Cst;
import driftwood.read.sitter.Grammar;
import driftwood.read.sitter.Grammar.Habits;
import driftwood.read.sitter.SitterReader;
import driftwood.source.SourceText;
import driftwood.tree.Unit;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
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

    private static final Pattern HEADER = Pattern.compile("(\\bclass\\s+\\w+(?:<[^>{}]*>)?)(\\s+(?:@\\w+\\s+)*(?:(?:internal|private|protected|public)\\s+)?(?:actual\\s+|expect\\s+)?"
            + "constructor\\s*)(?=\\()");

    private static final Pattern RANGE_ARM = Pattern.compile("(?m)^[ \\t]*!?in\\s[^\\n]*->");
    /** A line that ends with what an arm does: none that opens the selection, and none that goes on with conditions. */
    private static final Pattern BODY_BEFORE = Pattern.compile("[^\\n]*?[^\\s{,(>;]\\s*(//[^\\n]*|/\\*[^\\n]*\\*/\\s*)?\\n");

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
        return 4;
    }

    /** The grammar does not know interfaces of one function, nor all that may stand before a primary constructor. */
    @Override
    protected String parsable(String text) {
        String plain = text.replace("fun interface ", "    interface ");
        return separated(HEADER.matcher(plain).replaceAll(found -> Matcher.quoteReplacement(found.group(1) + " ".repeat(found.group(2).length()))));
    }

    /** An arm that begins with a range goes on with the arm above, as far as the grammar sees: a semicolon takes the place of the line end or remark between them. */
    private static String separated(String text) {
        Matcher arm = RANGE_ARM.matcher(text);
        StringBuilder separated = null;
        while (arm.find()) {
            Matcher before = BODY_BEFORE.matcher(text).region(text.lastIndexOf('\n', Math.max(0, arm.start() - 2)) + 1, arm.start());
            if (before.matches()) {
                separated = separated == null ? new StringBuilder(text) : separated;
                int from = before.start(1) >= 0 ? before.start(1) : arm.start() - 1;
                for (int i = from; i < arm.start() - 1; i++) {
                    separated.setCharAt(i, ' ');
                }
                separated.setCharAt(from, ';');
            }
        }
        return separated == null ? text : separated.toString();
    }

    @Override
    protected Unit unit(SourceText source, Cst root) {
        return new KotlinFile(source, root).unit();
    }
}
