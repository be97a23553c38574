package driftwood.read.ecmascript;

import driftwood.read.sitter.Rules;
import driftwood.tree.*;
import java.util.Optional;
import java.util.Set;

/** What becomes of each kind of node of the two grammars. */
final class EcmaRules {
    /** Kinds that only TypeScript has. */
    static final Set<String> TYPES = Set.of("abstract_class_declaration", "abstract_method_signature", "accessibility_modifier", "adding_type_annotation",
            "ambient_declaration", "array_type", "as_expression", "asserts", "asserts_annotation", "call_signature", "conditional_type", "constraint",
            "construct_signature", "constructor_type", "default_type", "enum_assignment", "enum_body", "enum_declaration", "existential_type", "extends_clause",
            "extends_type_clause", "flow_maybe_type", "function_signature", "function_type", "generic_type", "implements_clause", "import_alias",
            "import_require_clause", "index_signature", "index_type_query", "infer_type", "instantiation_expression", "interface_body", "interface_declaration",
            "internal_module", "intersection_type", "literal_type", "lookup_type", "mapped_type_clause", "method_signature", "module", "nested_identifier",
            "nested_type_identifier", "non_null_expression", "object_type", "omitting_type_annotation", "opting_type_annotation", "optional_parameter",
            "optional_type", "override_modifier", "parenthesized_type", "predefined_type", "property_signature", "public_field_definition", "readonly_type",
            "required_parameter", "rest_type", "satisfies_expression", "template_literal_type", "template_type", "this_type", "tuple_type",
            "type_alias_declaration", "type_annotation", "type_arguments", "type_assertion", "type_identifier", "type_parameter", "type_parameters",
            "type_predicate", "type_predicate_annotation", "type_query", "union_type");
    /** Kinds that only JavaScript's grammar has. */
    static final Set<String> MARKUP = Set.of("field_definition", "html_character_reference", "jsx_attribute", "jsx_closing_element", "jsx_element",
            "jsx_expression", "jsx_namespace_name", "jsx_opening_element", "jsx_self_closing_element");

    /** Kinds of either that the grammar for both together does not have: a sharp bracket there begins markup. */
    static final Set<String> NOT_WITH_TYPES = Set.of("field_definition", "type_assertion");

    /** Expressions by kind. */
    static final Rules<EcmaExpressions> EXPRESSIONS = new Rules<EcmaExpressions>()
            .on(EcmaExpressions::name, "identifier", "shorthand_property_identifier", "property_identifier", "private_property_identifier", "type_identifier")
            .on((to, node) -> new Name(node.start(), node.end(), node.kind()), "this", "super")
            .on(EcmaExpressions::nothing, "null", "undefined")
            .on((to, node) -> to.literal(node, LiteralKind.BOOLEAN), "true", "false")
            .on((to, node) -> to.literal(node, to.text(node).matches("[0-9_]+n?") ? LiteralKind.INTEGER : LiteralKind.DECIMAL), "number")
            .on(EcmaExpressions::string, "string")
            .on((to, node) -> to.literal(node, LiteralKind.PATTERN), "regex")
            .on(EcmaExpressions::template, "template_string")
            .on(EcmaExpressions::first, "parenthesized_expression", "await_expression", "non_null_expression", "spread_element", "instantiation_expression",
                    "jsx_expression", "template_substitution")
            .on(EcmaExpressions::cast, "as_expression", "satisfies_expression", "type_assertion")
            .on(EcmaExpressions::member, "member_expression")
            .on(EcmaExpressions::index, "subscript_expression")
            .on(EcmaExpressions::call, "call_expression")
            .on(EcmaExpressions::creation, "new_expression")
            .on((to, node) -> new Sequence(node.start(), node.end(), "list", to.expressions(node.inner())), "array")
            .on(EcmaExpressions::object, "object")
            .on(EcmaExpressions::assignment, "assignment_expression", "augmented_assignment_expression")
            .on(EcmaExpressions::binary, "binary_expression")
            .on(EcmaExpressions::unary, "unary_expression")
            .on(EcmaExpressions::step, "update_expression")
            .on(EcmaExpressions::conditional, "ternary_expression")
            .on(EcmaExpressions::lambda, "arrow_function", "function_expression", "generator_function")
            .on((to, node) -> new Yield(node.start(), node.end(), to.expressions(node.inner())), "yield_expression")
            .within("arguments", "pair", "optional_chain", "string_fragment", "escape_sequence", "regex_pattern", "regex_flags", "array_pattern",
                    "object_pattern", "assignment_pattern", "object_assignment_pattern", "pair_pattern", "rest_pattern",
                    "shorthand_property_identifier_pattern", "computed_property_name", "html_comment", "comment", "hash_bang_line", "meta_property", "import")
            .plain("sequence_expression", "class", "jsx_text");

    /** Statements by kind. */
    static final Rules<EcmaStatements> STATEMENTS = new Rules<EcmaStatements>()
            .on(EcmaStatements::several, "lexical_declaration", "variable_declaration")
            .on(EcmaStatements::evaluated, "expression_statement")
            .on(EcmaStatements::back, "return_statement")
            .on(EcmaStatements::thrown, "throw_statement")
            .on(EcmaStatements::branch, "if_statement")
            .on(EcmaStatements::each, "for_in_statement")
            .on(EcmaStatements::counted, "for_statement")
            .on(EcmaStatements::whileLoop, "while_statement", "do_statement")
            .on(EcmaStatements::attempt, "try_statement")
            .on(EcmaStatements::selection, "switch_statement")
            .on(EcmaStatements::block, "statement_block")
            .on(EcmaStatements::declaration, "class_declaration", "abstract_class_declaration", "interface_declaration", "enum_declaration")
            .on(EcmaStatements::innerFunction, "function_declaration", "generator_function_declaration")
            .on(EcmaStatements::exported, "export_statement")
            .on((to, node) -> to.body(node), "labeled_statement", "with_statement")
            .on((to, node) -> new Jump(node.start(), node.end(), JumpKind.BREAK, Optional.empty()), "break_statement")
            .on((to, node) -> new Jump(node.start(), node.end(), JumpKind.CONTINUE, Optional.empty()), "continue_statement")
            .on((to, node) -> new Empty(node.start(), node.end()), "empty_statement", "debugger_statement", "type_alias_declaration", "function_signature",
                    "import_statement", "import_alias")
            .within("program", "variable_declarator", "else_clause", "catch_clause", "finally_clause", "switch_body", "switch_case", "switch_default",
                    "import_clause", "named_imports", "import_specifier", "namespace_import", "namespace_export", "import_attribute", "export_clause",
                    "export_specifier", "class_body", "class_heritage", "class_static_block", "decorator", "method_definition", "formal_parameters",
                    "statement_identifier");

    private EcmaRules() {
    }
}
