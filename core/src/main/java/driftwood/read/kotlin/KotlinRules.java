package driftwood.read.kotlin;

import driftwood.read.sitter.Rules;
import driftwood.tree.*;

/** What becomes of each kind of node of Kotlin's grammar. */
final class KotlinRules {
    /** Expressions by kind. */
    static final Rules<KotlinExpressions> EXPRESSIONS = new Rules<KotlinExpressions>()
            .on(KotlinExpressions::name, "simple_identifier", "type_identifier")
            .on(KotlinExpressions::self, "this_expression", "super_expression")
            .on((to, node) -> to.literal(node, LiteralKind.BOOLEAN), "boolean_literal")
            .on((to, node) -> to.literal(node, LiteralKind.INTEGER), "integer_literal", "hex_literal", "bin_literal", "long_literal", "unsigned_literal")
            .on((to, node) -> to.literal(node, LiteralKind.DECIMAL), "real_literal")
            .on((to, node) -> to.literal(node, LiteralKind.CHARACTER), "character_literal")
            .on(KotlinExpressions::string, "string_literal")
            .on(KotlinExpressions::only, "parenthesized_expression", "annotated_lambda", "spread_expression", "when_condition", "range_test", "value_argument")
            .on(KotlinExpressions::member, "navigation_expression")
            .on(KotlinExpressions::index, "indexing_expression")
            .on(KotlinExpressions::call, "call_expression")
            .on(KotlinExpressions::infix, "infix_expression")
            .on(KotlinExpressions::binary, "additive_expression", "multiplicative_expression", "comparison_expression", "conjunction_expression",
                    "disjunction_expression", "range_expression")
            .on(KotlinExpressions::equality, "equality_expression")
            .on(KotlinExpressions::check, "check_expression")
            .on(KotlinExpressions::cast, "as_expression")
            .on(KotlinExpressions::elvis, "elvis_expression")
            .on(KotlinExpressions::unary, "prefix_expression", "postfix_expression")
            .on(KotlinExpressions::lambda, "lambda_literal", "anonymous_function")
            .on(KotlinExpressions::object, "object_literal")
            .on((to, node) -> new Sequence(node.start(), node.end(), "list", to.expressions(node.inner())), "collection_literal")
            .on(KotlinExpressions::chosen, "if_expression", "when_expression", "try_expression", "jump_expression", "assignment", "for_statement", "while_statement",
                    "do_while_statement", "property_declaration", "function_declaration", "class_declaration", "object_declaration", "statements", "control_structure_body")
            .within("call_suffix", "value_arguments", "navigation_suffix", "indexing_suffix", "string_content", "character_escape_seq", "interpolated_expression",
                    "interpolated_identifier", "lambda_parameters", "directly_assignable_expression", "type_test", "when_subject", "when_entry", "user_type", "nullable_type",
                    "not_nullable_type", "function_type", "function_type_parameters", "parenthesized_type", "parenthesized_user_type", "type_arguments", "type_projection",
                    "type_projection_modifiers", "type_modifiers", "label", "constructor_invocation")
            .plain("callable_reference");

    /** Statements by kind. */
    static final Rules<KotlinStatements> STATEMENTS = new Rules<KotlinStatements>()
            .on(KotlinStatements::local, "property_declaration")
            .on(KotlinStatements::assigned, "assignment")
            .on(KotlinStatements::jump, "jump_expression")
            .on(KotlinStatements::branch, "if_expression")
            .on(KotlinStatements::selection, "when_expression")
            .on(KotlinStatements::attempt, "try_expression")
            .on(KotlinStatements::each, "for_statement")
            .on(KotlinStatements::whileLoop, "while_statement", "do_while_statement")
            .on(KotlinStatements::declaration, "class_declaration", "object_declaration")
            .on(KotlinStatements::innerFunction, "function_declaration")
            .on(KotlinStatements::block, "statements", "control_structure_body")
            .within("source_file", "package_header", "import_list", "import_header", "import_alias", "wildcard_import", "identifier", "modifiers", "class_body",
                    "enum_class_body", "enum_entry", "companion_object", "primary_constructor", "class_parameter", "secondary_constructor", "constructor_delegation_call",
                    "delegation_specifier", "explicit_delegation", "anonymous_initializer", "function_value_parameters", "parameter", "parameter_modifiers",
                    "parameter_modifier", "parameter_with_optional_type", "function_body", "variable_declaration", "multi_variable_declaration", "binding_pattern_kind",
                    "property_delegate", "getter", "setter", "catch_block", "finally_block", "type_parameters", "type_parameter", "type_parameter_modifiers",
                    "type_constraints", "type_constraint", "visibility_modifier", "inheritance_modifier", "member_modifier", "class_modifier", "property_modifier",
                    "function_modifier", "platform_modifier", "reification_modifier", "variance_modifier", "annotation", "use_site_target", "line_comment",
                    "multiline_comment", "shebang_line")
            .plain("file_annotation", "type_alias");

    private KotlinRules() {
    }
}
