package driftwood.read.ruby;

import driftwood.read.sitter.Rules;
import driftwood.tree.*;
import java.util.Optional;

/** What becomes of each kind of node of Ruby's grammar. */
final class RubyRules {
    /** Expressions by kind. */
    static final Rules<RubyExpressions> EXPRESSIONS = new Rules<RubyExpressions>()
            .on(RubyExpressions::word, "identifier")
            .on(RubyExpressions::constant, "constant", "global_variable")
            .on(RubyExpressions::scoped, "scope_resolution")
            .on(RubyExpressions::ownField, "instance_variable", "class_variable")
            .on((to, node) -> new Name(node.start(), node.end(), "this"), "self")
            .on((to, node) -> new Name(node.start(), node.end(), "super"), "super")
            .on((to, node) -> to.literal(node, LiteralKind.NULL, "null"), "nil")
            .on((to, node) -> to.literal(node, LiteralKind.BOOLEAN, node.kind()), "true", "false")
            .on((to, node) -> to.literal(node, LiteralKind.INTEGER, to.text(node)), "integer")
            .on((to, node) -> to.literal(node, LiteralKind.DECIMAL, to.text(node)), "float", "rational", "complex")
            .on((to, node) -> to.literal(node, LiteralKind.STRING, to.text(node)), "simple_symbol", "hash_key_symbol", "character", "heredoc_beginning", "file",
                    "line", "encoding")
            .on((to, node) -> to.literal(node, LiteralKind.PATTERN, to.text(node)), "regex")
            .on(RubyExpressions::string, "string", "chained_string", "delimited_symbol", "subshell")
            .on(RubyExpressions::only, "parenthesized_statements", "interpolation", "splat_argument", "hash_splat_argument", "block_argument", "pattern", "in")
            .on(RubyCalls::call, "call")
            .on(RubyCalls::block, "block", "do_block")
            .on(RubyExpressions::index, "element_reference")
            .on(RubyExpressions::pair, "pair")
            .on((to, node) -> new Sequence(node.start(), node.end(), "list", to.expressions(node.inner())), "array", "right_assignment_list")
            .on(RubyExpressions::words, "string_array", "symbol_array")
            .on((to, node) -> new Sequence(node.start(), node.end(), "hash", to.expressions(node.inner())), "hash")
            .on(RubyExpressions::conditional, "conditional")
            .on(RubyExpressions::binary, "binary")
            .on(RubyExpressions::unary, "unary")
            .on(RubyExpressions::assignment, "assignment")
            .on(RubyExpressions::operated, "operator_assignment")
            .on(RubyExpressions::lambda, "lambda")
            .on((to, node) -> ((RubyStatements) to).chosen(node), "if", "unless", "case", "case_match", "if_modifier", "unless_modifier", "begin", "while", "until", "for",
                    "return", "method", "singleton_method", "class", "module", "while_modifier", "until_modifier", "break", "next", "redo", "retry")
            .on((to, node) -> new Yield(node.start(), node.end(), to.expressions(RubyStatements.given(node))), "yield")
            .on((to, node) -> to.part(node, "body"), "rescue_modifier")
            .within("argument_list", "string_content", "escape_sequence", "bare_string", "bare_symbol", "heredoc_body", "heredoc_content", "heredoc_end", "block_parameters",
                    "lambda_parameters", "block_body", "uninterpreted", "operator", "setter", "left_assignment_list", "rest_assignment", "destructured_left_assignment",
                    "array_pattern", "find_pattern", "hash_pattern", "keyword_pattern", "as_pattern", "alternative_pattern", "parenthesized_pattern",
                    "expression_reference_pattern", "variable_reference_pattern", "hash_splat_nil", "if_guard", "unless_guard")
            .plain("range", "match_pattern", "test_pattern", "forward_argument");

    /** Statements by kind. */
    static final Rules<RubyStatements> STATEMENTS = new Rules<RubyStatements>()
            .on(RubyStatements::assigned, "assignment")
            .on(RubyStatements::called, "call")
            .on(RubyStatements::back, "return")
            .on(RubyStatements::branch, "if", "unless")
            .on(RubyStatements::modified, "if_modifier", "unless_modifier", "while_modifier", "until_modifier")
            .on(RubyStatements::whileLoop, "while", "until")
            .on(RubyStatements::each, "for")
            .on(RubyStatements::attempt, "begin")
            .on(RubyStatements::selection, "case", "case_match")
            .on(RubyStatements::declaration, "class", "module")
            .on((to, node) -> new Jump(node.start(), node.end(), JumpKind.BREAK, Optional.empty()), "break")
            .on((to, node) -> new Jump(node.start(), node.end(), JumpKind.CONTINUE, Optional.empty()), "next", "redo", "retry")
            .on((to, node) -> new Empty(node.start(), node.end()), "empty_statement", "alias", "undef", "begin_block", "end_block", "method", "singleton_method",
                    "singleton_class")
            .within("program", "body_statement", "then", "do", "else", "elsif", "ensure", "rescue", "exceptions", "exception_variable", "when", "in_clause", "superclass",
                    "method_parameters", "optional_parameter", "keyword_parameter", "splat_parameter", "hash_splat_parameter", "block_parameter", "forward_parameter",
                    "destructured_parameter", "comment");

    private RubyRules() {
    }
}
