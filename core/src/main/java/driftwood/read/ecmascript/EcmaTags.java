package driftwood.read.ecmascript;

import driftwood.read.sitter.Cst;
import driftwood.tree.EnumConstant;
import driftwood.tree.Node;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** An object of named texts, numbers or symbols stands for an enumeration: {@code Object.freeze({ TUG: 'tug', YACHT: 'yacht' })}. */
final class EcmaTags {
    private static final Set<String> VALUES = Set.of("string", "number");

    private EcmaTags() {
    }

    /** The constants; empty where the value is anything else. */
    static List<Node> of(Cst value, EcmaExpressions file) {
        Cst object = value.is("as_expression") || value.is("satisfies_expression") ? value.inner().isEmpty() ? value : value.inner().get(0) : value;
        if (object.is("call_expression") && object.part("function").map(file::text).orElse("").equals("Object.freeze")) {
            object = object.part("arguments").map(Cst::inner).filter(each -> each.size() == 1).map(each -> each.get(0)).orElse(object);
        }
        List<Node> constants = new ArrayList<>();
        for (Cst each : object.is("object") ? object.inner() : List.<Cst>of()) {
            String name = each.is("pair") ? each.part("key").map(file::text).orElse("") : "";
            boolean plain = each.part("value").filter(one -> VALUES.contains(one.kind()) || one.is("call_expression")
                    && one.part("function").map(file::text).orElse("").equals("Symbol")).isPresent();
            if (!plain || !name.matches("[A-Z]\\w*")) {
                return List.of();
            }
            constants.add(new EnumConstant(each.start(), each.end(), name, List.of(), Optional.empty()));
        }
        return constants;
    }
}
