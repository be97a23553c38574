package driftwood.read.csharp;

import driftwood.read.sitter.Rules;
import driftwood.tree.*;
import java.util.Optional;

/** What becomes of each kind of node of C#'s grammar. */
final class CSharpRules {
    /** Expressions by kind. */
    static final Rules<CSharpExpressions> EXPRESSIONS = new Rules<CSharpExpressions>()
            .on(CSharpExpressions::name, "identifier", "generic_name", "predefined_type", "discard")
            .on(CSharpExpressions::dotted, "qualified_name", "alias_qualified_name", "array_type", "nullable_type", "tuple_type", "pointer_type")
            .on((to, node) -> to.literal(node, LiteralKind.NULL), "null_literal")
            .on((to, node) -> to.literal(node, LiteralKind.BOOLEAN), "boolean_literal")
            .on((to, node) -> to.literal(node, LiteralKind.INTEGER), "integer_literal")
            .on((to, node) -> to.literal(node, LiteralKind.DECIMAL), "real_literal")
            .on((to, node) -> to.literal(node, LiteralKind.CHARACTER), "character_literal")
            .on(CSharpExpressions::string, "string_literal", "verbatim_string_literal", "raw_string_literal")
            .on(CSharpExpressions::interpolated, "interpolated_string_expression")
            .on(CSharpExpressions::only, "parenthesized_expression", "await_expression", "checked_expression", "ref_expression", "arrow_expression_clause",
                    "when_clause")
            .on(CSharpExpressions::argument, "argument")
            .on(CSharpExpressions::member, "member_access_expression")
            .on(CSharpExpressions::conditionalAccess, "conditional_access_expression")
            .on(CSharpExpressions::index, "element_access_expression")
            .on(CSharpExpressions::call, "invocation_expression")
            .on(CSharpExpressions::creation, "object_creation_expression", "implicit_object_creation_expression")
            .on(CSharpExpressions::array, "array_creation_expression", "implicit_array_creation_expression")
            .on((to, node) -> new Sequence(node.start(), node.end(), "list", to.expressions(node.inner())), "initializer_expression")
            .on((to, node) -> new Sequence(node.start(), node.end(), "tuple", to.expressions(node.inner())), "tuple_expression")
            .on(CSharpExpressions::assignment, "assignment_expression")
            .on(CSharpExpressions::binary, "binary_expression")
            .on(CSharpExpressions::unary, "prefix_unary_expression", "postfix_unary_expression", "unary_expression")
            .on(CSharpExpressions::conditional, "conditional_expression")
            .on(CSharpExpressions::lambda, "lambda_expression", "anonymous_method_expression")
            .on(CSharpExpressions::cast, "cast_expression")
            .on(CSharpExpressions::as, "as_expression")
            .on(CSharpExpressions::is, "is_expression")
            .on(CSharpExpressions::isPattern, "is_pattern_expression")
            .on(CSharpExpressions::declared, "declaration_expression")
            .on(CSharpExpressions::choice, "switch_expression")
            .on((to, node) -> new Throw(node.start(), node.end(), node.inner().stream().findFirst().map(to::expression)), "throw_expression")
            .on((to, node) -> new Literal(node.start(), node.end(), LiteralKind.TYPE, to.text(node)), "typeof_expression")
            .within("argument_list", "bracketed_argument_list", "bracketed_parameter_list", "array_rank_specifier", "character_literal_content",
                    "string_literal_content", "string_content", "string_literal_encoding", "escape_sequence", "raw_string_start", "raw_string_content",
                    "raw_string_end", "interpolation", "interpolation_alignment_clause", "interpolation_brace", "interpolation_format_clause",
                    "interpolation_quote", "interpolation_start", "implicit_parameter", "member_binding_expression", "element_binding_expression",
                    "switch_expression_arm", "constant_pattern", "declaration_pattern", "type_pattern", "recursive_pattern", "negated_pattern",
                    "parenthesized_pattern", "or_pattern", "and_pattern", "relational_pattern", "list_pattern", "var_pattern", "tuple_pattern",
                    "positional_pattern_clause", "property_pattern_clause", "subpattern", "parenthesized_variable_designation", "type_argument_list",
                    "implicit_type", "tuple_element", "ref_type", "scoped_type", "function_pointer_type", "function_pointer_parameter", "calling_convention")
            .plain("anonymous_object_creation_expression", "default_expression", "sizeof_expression", "stackalloc_expression",
                    "implicit_stackalloc_expression", "range_expression", "with_expression", "with_initializer", "query_expression", "from_clause",
                    "where_clause", "select_clause", "order_by_clause", "group_clause", "join_clause", "join_into_clause", "let_clause",
                    "makeref_expression", "reftype_expression", "refvalue_expression");

    /** Statements by kind. */
    static final Rules<CSharpStatements> STATEMENTS = new Rules<CSharpStatements>()
            .on(CSharpStatements::oneOrMore, "local_declaration_statement")
            .on(CSharpStatements::evaluated, "expression_statement")
            .on(CSharpStatements::back, "return_statement")
            .on(CSharpStatements::thrown, "throw_statement")
            .on(CSharpStatements::branch, "if_statement")
            .on(CSharpStatements::each, "foreach_statement")
            .on(CSharpStatements::counted, "for_statement")
            .on(CSharpStatements::whileLoop, "while_statement", "do_statement")
            .on(CSharpStatements::attempt, "try_statement")
            .on(CSharpStatements::using, "using_statement", "fixed_statement")
            .on(CSharpStatements::within, "lock_statement", "checked_statement", "unsafe_statement")
            .on(CSharpStatements::yields, "yield_statement")
            .on(CSharpStatements::selection, "switch_statement")
            .on(CSharpStatements::localFunction, "local_function_statement")
            .on(CSharpStatements::block, "block")
            .on((to, node) -> new Jump(node.start(), node.end(), JumpKind.BREAK, Optional.empty()), "break_statement", "goto_statement")
            .on((to, node) -> new Jump(node.start(), node.end(), JumpKind.CONTINUE, Optional.empty()), "continue_statement")
            .on((to, node) -> new Empty(node.start(), node.end()), "empty_statement")
            .on((to, node) -> to.statement(node.inner().get(node.inner().size() - 1)), "labeled_statement")
            .within("compilation_unit", "global_statement", "variable_declaration", "variable_declarator", "catch_clause", "catch_declaration",
                    "catch_filter_clause", "finally_clause", "switch_body", "switch_section", "using_directive", "namespace_declaration",
                    "file_scoped_namespace_declaration", "declaration_list", "class_declaration", "struct_declaration", "record_declaration",
                    "interface_declaration", "enum_declaration", "enum_member_declaration", "enum_member_declaration_list", "delegate_declaration",
                    "base_list", "primary_constructor_base_type", "type_parameter_list", "type_parameter", "type_parameter_constraint",
                    "type_parameter_constraints_clause", "constructor_constraint", "parameter_list", "parameter", "modifier", "attribute_list", "attribute",
                    "attribute_argument", "attribute_argument_list", "attribute_target_specifier", "field_declaration", "event_field_declaration",
                    "event_declaration", "property_declaration", "accessor_list", "accessor_declaration", "indexer_declaration", "method_declaration",
                    "operator_declaration", "conversion_operator_declaration", "constructor_declaration", "constructor_initializer",
                    "destructor_declaration", "explicit_interface_specifier", "comment", "shebang_directive")
            .plain("extern_alias_directive", "global_attribute", "preproc_arg", "preproc_define", "preproc_elif", "preproc_else", "preproc_endregion",
                    "preproc_error", "preproc_if", "preproc_line", "preproc_nullable", "preproc_pragma", "preproc_region", "preproc_undef",
                    "preproc_warning");

    private CSharpRules() {
    }
}
