package driftwood.read.python;

import driftwood.read.Normal;
import driftwood.read.sitter.Rules;
import driftwood.tree.*;
import driftwood.tree.Assertion;
import driftwood.tree.Named;
import driftwood.tree.Yield;
import java.util.List;
import java.util.Optional;

/** What becomes of each kind of node of Python's grammar. */
final class PythonRules {
    /** Expressions by kind. */
    static final Rules<PythonExpressions> EXPRESSIONS = new Rules<PythonExpressions>()
            .on(PythonExpressions::name, "identifier")
            .on((to, node) -> PythonExpressions.literal(node, LiteralKind.NULL, "None"), "none")
            .on((to, node) -> PythonExpressions.literal(node, LiteralKind.BOOLEAN, node.kind()), "true", "false")
            .on((to, node) -> PythonExpressions.literal(node, LiteralKind.INTEGER, to.text(node)), "integer")
            .on((to, node) -> PythonExpressions.literal(node, LiteralKind.DECIMAL, to.text(node)), "float")
            .on(PythonExpressions::string, "string", "concatenated_string")
            .on((to, node) -> node.inner().size() == 1 ? to.only(node) : to.sequence(node, "tuple"), "expression_list")
            .on(PythonExpressions::only, "parenthesized_expression", "await", "type", "list_splat", "dictionary_splat", "pattern_list",
                    "interpolation", "case_pattern")
            .on((to, node) -> new Member(node.start(), node.end(), to.expression(node.part("object").orElse(node.inner().get(0))),
                    to.text(node.part("attribute").orElse(node))), "attribute")
            .on(PythonExpressions::index, "subscript")
            .on(PythonExpressions::call, "call")
            .on((to, node) -> new Named(node.start(), node.end(), to.text(node.inner().get(0)).intern(),
                    to.expression(node.inner().get(node.inner().size() - 1))), "keyword_argument")
            .on((to, node) -> Normal.negated(node.start(), node.end(), to.expression(node.inner().get(0))), "not_operator")
            .on((to, node) -> new Unary(node.start(), node.end(), to.operator(node), to.expression(node.inner().get(0))), "unary_operator")
            .on(PythonExpressions::binary, "boolean_operator", "binary_operator")
            .on(PythonExpressions::comparison, "comparison_operator")
            .on(PythonExpressions::conditional, "conditional_expression")
            .on(PythonExpressions::lambda, "lambda")
            .on((to, node) -> new Assignment(node.start(), node.end(), to.expression(node.inner().get(0)), "=",
                    to.expression(node.inner().get(1))), "named_expression")
            .on((to, node) -> to.sequence(node, node.kind().intern()), "list", "tuple", "set")
            .on((to, node) -> to.sequence(node, "dict"), "dictionary")
            .on((to, node) -> new Yield(node.start(), node.end(), to.expressions(node.inner())), "yield")
            .on(PythonExpressions::comprehension, "list_comprehension", "set_comprehension", "dictionary_comprehension",
                    "generator_expression")
            .within("argument_list", "comment", "line_continuation", "string_content", "string_start", "string_end", "escape_sequence",
                    "escape_interpolation", "for_in_clause", "if_clause", "parameters", "lambda_parameters", "default_parameter",
                    "typed_parameter", "typed_default_parameter", "dictionary_splat_pattern", "list_splat_pattern", "tuple_pattern",
                    "list_pattern", "keyword_separator", "positional_separator", "generic_type", "union_type", "member_type",
                    "constrained_type", "splat_type", "type_parameter", "type_conversion", "format_specifier", "format_expression")
            .plain("ellipsis", "slice", "pair", "parenthesized_list_splat");

    /** Statements by kind. */
    static final Rules<PythonStatements> STATEMENTS = new Rules<PythonStatements>()
            .on(PythonStatements::evaluated, "expression_statement")
            .on((to, node) -> new Return(node.start(), node.end(), node.inner().stream().findFirst().map(to::expression)), "return_statement")
            .on((to, node) -> new Throw(node.start(), node.end(), node.inner().stream().findFirst().map(to::expression)), "raise_statement")
            .on((to, node) -> PythonStatements.empty(node), "pass_statement")
            .on((to, node) -> new Jump(node.start(), node.end(), JumpKind.BREAK, Optional.empty()), "break_statement")
            .on((to, node) -> new Jump(node.start(), node.end(), JumpKind.CONTINUE, Optional.empty()), "continue_statement")
            .on((to, node) -> to.branch(node, 0), "if_statement")
            .on(PythonStatements::loop, "for_statement")
            .on(PythonStatements::whileLoop, "while_statement")
            .on(PythonStatements::attempt, "try_statement")
            .on(PythonStatements::with, "with_statement")
            .on((to, node) -> to.patterns.match(node), "match_statement")
            .on(PythonStatements::declaration, "function_definition", "class_definition", "decorated_definition")
            .on(PythonStatements::imports, "import_statement", "import_from_statement", "future_import_statement")
            .on(PythonStatements::shares, "global_statement", "nonlocal_statement")
            .on(PythonStatements::block, "block")
            .on((to, node) -> new Assertion(node.start(), node.end(), to.expressions(node.inner())), "assert_statement")
            .within("module", "assignment", "augmented_assignment", "decorator", "aliased_import", "dotted_name", "import_prefix",
                    "relative_import", "wildcard_import", "elif_clause", "else_clause", "except_clause", "except_group_clause",
                    "finally_clause", "with_clause", "with_item", "as_pattern", "as_pattern_target", "case_clause", "class_pattern",
                    "union_pattern")
            .plain("delete_statement", "print_statement", "exec_statement", "chevron", "type_alias_statement", "complex_pattern",
                    "dict_pattern", "keyword_pattern", "splat_pattern");

    private PythonRules() {
    }
}
