package driftwood.read.ecmascript;

import driftwood.read.sitter.Cst;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * What stands at the top of a module, where all of it is wrapped into a function that is called at once, to keep its
 * names apart: {@code (function () { ... })();}, {@code define(['quay'], function (quay) { ... });}, or both, where the one
 * is handed the other.
 */
final class EcmaWrappers {
    private static final Set<String> DECLARING = Set.of("function_declaration", "generator_function_declaration", "class_declaration");
    /** What loads a module hands the function that makes it to one of these. */
    private static final Pattern LOADING = Pattern.compile("define|require|requirejs|System\\.register");
    private static final Pattern CALLED = Pattern.compile("call|apply|bind");

    private final EcmaClasses reader;

    private EcmaWrappers(EcmaClasses reader) {
        this.reader = reader;
    }

    /** @param root of the module */
    static List<Cst> opened(Cst root, EcmaClasses reader) {
        List<Cst> top = new ArrayList<>();
        new EcmaWrappers(reader).add(root.inner(), top);
        return top;
    }

    private void add(List<Cst> statements, List<Cst> into) {
        for (Cst each : statements) {
            Optional<Cst> body = each.is("expression_statement") && each.inner().size() == 1 ? body(each.inner().get(0))
                    : each.is("variable_declaration") || each.is("lexical_declaration") ? declared(each) : Optional.empty();
            if (body.filter(this::declares).isPresent()) {
                add(body.get().inner(), into);
            } else {
                into.add(each);
            }
        }
    }

    /** {@code var Tug = (function () { function Tug() { } ... return Tug; })();} */
    private Optional<Cst> declared(Cst declaration) {
        List<Cst> all = declaration.inner().stream().filter(each -> each.is("variable_declarator")).toList();
        return all.size() != 1 ? Optional.empty() : all.get(0).part("value").flatMap(this::body);
    }

    /** The body of the function that an expression calls at once, or has called by what loads modules. */
    private Optional<Cst> body(Cst expression) {
        if (expression.is("parenthesized_expression") && expression.inner().size() == 1) {
            return body(expression.inner().get(0));
        }
        if (expression.is("unary_expression")) {
            return expression.part("argument").flatMap(this::body);
        }
        if (expression.is("assignment_expression")) {
            return expression.part("right").flatMap(this::body);
        }
        if (!expression.is("call_expression")) {
            return Optional.empty();
        }
        Cst called = bare(expression.part("function").orElse(expression));
        if (called.is("member_expression") && CALLED.matcher(called.part("property").map(reader::text).orElse("")).matches()) {
            called = bare(called.part("object").orElse(called));
        }
        boolean loads = LOADING.matcher(reader.text(called)).matches();
        if (!loads && !isFunction(called)) {
            return Optional.empty();
        }
        List<Cst> handed = expression.part("arguments").map(Cst::inner).orElse(List.of()).stream().map(EcmaWrappers::bare).filter(EcmaWrappers::isFunction).toList();
        Cst made = handed.isEmpty() ? called : handed.get(handed.size() - 1);
        return isFunction(made) ? made.part("body").filter(each -> each.is("statement_block")) : Optional.empty();
    }

    private static Cst bare(Cst expression) {
        return expression.is("parenthesized_expression") && expression.inner().size() == 1 ? bare(expression.inner().get(0)) : expression;
    }

    private static boolean isFunction(Cst node) {
        return node.is("function_expression") || node.is("arrow_function");
    }

    /** Whether a body has functions or classes of its own: else it is a calculation. */
    private boolean declares(Cst body) {
        return body.inner().stream().anyMatch(each -> DECLARING.contains(each.kind())
                || each.is("expression_statement") && each.inner().size() == 1 && isGiven(each.inner().get(0))
                || each.inner().stream().anyMatch(one -> one.is("variable_declarator") && one.part("value").filter(value -> isFunction(value) || value.is("class")).isPresent())
                || each.is("expression_statement") && each.inner().size() == 1 && body(each.inner().get(0)).filter(this::declares).isPresent()
                || declared(each).filter(this::declares).isPresent());
    }

    /** {@code Quay.Tug = function () { ... }}, {@code Tug.prototype = { ... }}. */
    private boolean isGiven(Cst expression) {
        return expression.is("assignment_expression") && expression.part("left").filter(each -> each.is("member_expression")).isPresent()
                && expression.part("right").filter(each -> isFunction(each) || each.is("class") || EcmaExtended.of("", each, reader).isPresent() || each.is("object")
                && each.inner().stream().anyMatch(one -> EcmaPrototypes.functionOf(one).isPresent())).isPresent();
    }
}
