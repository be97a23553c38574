package driftwood.read.php;

import driftwood.read.sitter.Rules;
import driftwood.tree.*;
import java.util.Optional;

/** What becomes of each kind of node of PHP's grammar. */
final class PhpRules {
    /** Expressions by kind. */
    static final Rules<PhpExpressions> EXPRESSIONS = new Rules<PhpExpressions>()
            .on(PhpExpressions::variable, "variable_name")
            .on(PhpExpressions::name, "name", "qualified_name", "namespace_name")
            .on(PhpExpressions::scope, "relative_scope")
            .on((to, node) -> to.literal(node, LiteralKind.NULL), "null")
            .on((to, node) -> to.literal(node, LiteralKind.BOOLEAN), "boolean")
            .on((to, node) -> to.literal(node, LiteralKind.INTEGER), "integer")
            .on((to, node) -> to.literal(node, LiteralKind.DECIMAL), "float")
            .on(PhpExpressions::string, "string", "nowdoc")
            .on(PhpExpressions::encapsed, "encapsed_string", "heredoc", "shell_command_expression")
            .on(PhpExpressions::last, "parenthesized_expression", "error_suppression_expression", "variadic_unpacking", "by_ref", "clone_expression",
                    "dynamic_variable_name")
            .on(PhpExpressions::argument, "argument")
            .on(PhpExpressions::member, "member_access_expression", "nullsafe_member_access_expression")
            .on(PhpExpressions::constant, "class_constant_access_expression")
            .on(PhpExpressions::shared, "scoped_property_access_expression")
            .on(PhpExpressions::index, "subscript_expression")
            .on(PhpExpressions::call, "function_call_expression")
            .on(PhpExpressions::methodCall, "member_call_expression", "nullsafe_member_call_expression")
            .on(PhpExpressions::scopedCall, "scoped_call_expression")
            .on(PhpExpressions::creation, "object_creation_expression")
            .on(PhpExpressions::array, "array_creation_expression", "list_literal")
            .on(PhpExpressions::assignment, "assignment_expression", "augmented_assignment_expression", "reference_assignment_expression")
            .on(PhpExpressions::binary, "binary_expression")
            .on(PhpExpressions::unary, "unary_op_expression")
            .on(PhpExpressions::step, "update_expression")
            .on(PhpExpressions::conditional, "conditional_expression")
            .on(PhpExpressions::lambda, "arrow_function", "anonymous_function")
            .on(PhpExpressions::converted, "cast_expression")
            .on(PhpMatches::choice, "match_expression")
            .on((to, node) -> new Throw(node.start(), node.end(), node.inner().stream().findFirst().map(to::expression)), "throw_expression")
            .on((to, node) -> new Yield(node.start(), node.end(), to.expressions(node.inner())), "yield_expression")
            .on((to, node) -> new Call(node.start(), node.end(), Optional.empty(), "print", to.expressions(node.inner())), "print_intrinsic")
            .within("arguments", "array_element_initializer", "pair", "string_content", "escape_sequence", "heredoc_body", "heredoc_start", "heredoc_end",
                    "nowdoc_body", "nowdoc_string", "match_block", "match_conditional_expression", "match_default_expression", "match_condition_list",
                    "anonymous_class", "anonymous_function_use_clause", "cast_type", "primitive_type", "named_type", "optional_type", "union_type",
                    "intersection_type", "disjunctive_normal_form_type", "bottom_type", "type_list", "operation", "variadic_placeholder")
            .plain("sequence_expression", "include_expression", "include_once_expression", "require_expression", "require_once_expression");

    /** Statements by kind. */
    static final Rules<PhpStatements> STATEMENTS = new Rules<PhpStatements>()
            .on(PhpStatements::evaluated, "expression_statement")
            .on(PhpStatements::back, "return_statement")
            .on(PhpStatements::written, "echo_statement")
            .on(PhpStatements::branch, "if_statement")
            .on(PhpStatements::each, "foreach_statement")
            .on(PhpStatements::counted, "for_statement")
            .on(PhpStatements::whileLoop, "while_statement", "do_statement")
            .on(PhpStatements::attempt, "try_statement")
            .on(PhpStatements::selection, "switch_statement")
            .on(PhpStatements::shares, "global_declaration", "function_static_declaration")
            .on(PhpStatements::block, "compound_statement", "colon_block")
            .on(PhpStatements::declaration, "class_declaration", "interface_declaration", "trait_declaration", "enum_declaration")
            .on((to, node) -> new Local(node.start(), node.end(), node.part("name").map(to::text).orElse(""), TypeRef.NONE, Optional.of(to.function(node))),
                    "function_definition")
            .on((to, node) -> new Throw(node.start(), node.end(), node.inner().stream().findFirst().map(to::expression)), "exit_statement")
            .on((to, node) -> new Jump(node.start(), node.end(), JumpKind.BREAK, Optional.empty()), "break_statement", "goto_statement")
            .on((to, node) -> new Jump(node.start(), node.end(), JumpKind.CONTINUE, Optional.empty()), "continue_statement")
            .on((to, node) -> new Empty(node.start(), node.end()), "empty_statement", "declare_statement", "namespace_use_declaration", "named_label_statement")
            .within("program", "namespace_definition", "namespace_use_clause", "namespace_use_group", "const_declaration", "const_element", "declaration_list",
                    "base_clause", "class_interface_clause", "use_declaration", "use_list", "use_as_clause", "use_instead_of_clause", "property_declaration",
                    "property_element", "property_hook", "property_hook_list", "property_promotion_parameter", "method_declaration", "formal_parameters",
                    "simple_parameter", "variadic_parameter", "enum_case", "enum_declaration_list", "visibility_modifier", "static_modifier", "readonly_modifier",
                    "var_modifier", "abstract_modifier", "final_modifier", "reference_modifier", "attribute", "attribute_group", "attribute_list", "else_clause",
                    "else_if_clause", "catch_clause", "finally_clause", "switch_block", "case_statement", "default_statement", "static_variable_declaration",
                    "declare_directive", "comment", "text", "text_interpolation", "php_tag")
            .plain("unset_statement", "sentinel_error");

    private PhpRules() {
    }
}
