package driftwood.read.php;

import driftwood.read.Normal;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The functions of PHP by which a value is asked whether it is nothing, or of a type. */
final class PhpQuestions {
    private static final Set<String> BUILT_IN = Set.of("is_string", "is_int", "is_integer", "is_array", "is_bool", "is_float", "is_numeric", "is_callable",
            "is_object", "is_resource", "is_scalar", "is_iterable");

    private final PhpExpressions reader;

    PhpQuestions(PhpExpressions reader) {
        this.reader = reader;
    }

    /** The test that a call of a function stands for; empty where it is a call like any other. */
    static Optional<Node> asked(int start, int end, String function, List<Node> arguments) {
        if (function.equals("is_a") && arguments.size() == 2 && arguments.get(1) instanceof Literal type) {
            return Optional.of(Normal.ofType(start, end, arguments.get(0), new TypeRef(PhpTypes.dotted(type.text().replaceAll("^['\"]|['\"]$", ""))), Optional.empty()));
        }
        if (arguments.size() != 1) {
            return Optional.empty();
        }
        Node only = arguments.get(0);
        if (BUILT_IN.contains(function)) {
            return Optional.of(Normal.ofType(start, end, only, new TypeRef(function.substring("is_".length())), Optional.empty()));
        }
        return switch (function) {
            case "is_null" -> Optional.of(Normal.nothing(start, end, only, false));
            case "isset" -> only instanceof Index ? Optional.empty() : Optional.of(Normal.nothing(start, end, only, true));
            case "empty" -> Optional.of(Normal.negated(start, end, only));
            default -> Optional.empty();
        };
    }

    /** {@code get_class($v) === Tug::class}, {@code $v::class === Tug::class}; empty for any other comparison. */
    Optional<Node> exactly(Cst node, Cst left, Cst right) {
        boolean type = right.is("class_constant_access_expression") && reader.text(right).endsWith("::class");
        if (!type) {
            return Optional.empty();
        }
        Optional<Cst> asked = Optional.empty();
        if (left.is("function_call_expression") && reader.text(left).startsWith("get_class(")) {
            asked = left.part("arguments").filter(each -> each.inner().size() == 1).map(each -> each.inner().get(0));
        } else if (left.is("class_constant_access_expression") && reader.text(left).endsWith("::class")) {
            asked = Optional.of(left.inner().get(0)).filter(each -> each.is("variable_name"));
        }
        return asked.map(each -> Normal.exactlyOf(node.start(), node.end(), reader.expression(each), new TypeRef(PhpTypes.dotted(reader.text(right.inner().get(0))))));
    }
}
