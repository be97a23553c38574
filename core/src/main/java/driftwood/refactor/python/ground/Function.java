package driftwood.refactor.python.ground;

import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import driftwood.refactor.python.ground.Parameter.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A function or method.
 *
 * @param module     its file
 * @param node       its definition, without decorators
 * @param parameters all of them, {@code self} too
 * @param home       the class around; empty for a function of a module or of another function
 */
public record Function(Module module, Cst node, List<Parameter> parameters, Optional<Cst> home) {
    private static final Set<String> SEPARATORS = Set.of("keyword_separator", "positional_separator");

    public static Function of(Module module, Cst node) {
        List<Cst> path = module.path(node.start());
        int at = path.indexOf(node);
        int outer = path.get(at - 1).is("decorated_definition") ? at - 2 : at - 1;
        Optional<Cst> home = outer > 0 && path.get(outer).is("block") && path.get(outer - 1).is("class_definition") ? Optional.of(path.get(outer - 1)) : Optional.empty();
        return new Function(module, node, node.part("parameters").map(each -> parameters(module, each)).orElse(List.of()), home);
    }

    /** The innermost function around an offset. */
    public static Optional<Function> around(Module module, int offset) {
        List<Cst> path = module.path(offset);
        for (int i = path.size() - 1; i > 0; i--) {
            if (path.get(i).is("function_definition")) {
                return Optional.of(of(module, path.get(i)));
            }
        }
        return Optional.empty();
    }

    static List<Parameter> parameters(Module module, Cst list) {
        List<Parameter> all = new ArrayList<>();
        boolean named = false;
        for (Cst each : list.inner()) {
            if (SEPARATORS.contains(each.kind())) {
                named |= each.is("keyword_separator");
                continue;
            }
            Parameter made = parameter(module, each, named);
            named |= made.kind() == Kind.ALL_FURTHER;
            all.add(made);
        }
        return all;
    }

    private static Parameter parameter(Module module, Cst node, boolean named) {
        Cst bare = node.is("typed_parameter") ? node.inner().get(0) : node.part("name").orElse(node);
        Kind kind = bare.is("list_splat_pattern") ? Kind.ALL_FURTHER : bare.is("dictionary_splat_pattern") ? Kind.ALL_NAMED : named ? Kind.NAMED_ONLY : Kind.USUAL;
        return new Parameter(module.text(bare).replaceFirst("^\\*+\\s*", ""), node, kind, node.part("type"), node.part("value"));
    }

    public String name() {
        return module.text(node.part("name").orElseThrow());
    }

    public Cst body() {
        return node.part("body").orElseThrow();
    }

    /** The statements of its body without the text that documents it. */
    public List<Cst> statements() {
        List<Cst> all = body().inner();
        return isDocumented() ? all.subList(1, all.size()) : all;
    }

    public boolean isDocumented() {
        List<Cst> all = body().inner();
        return !all.isEmpty() && all.get(0).is("expression_statement") && all.get(0).inner().size() == 1 && all.get(0).inner().get(0).is("string");
    }

    /** The decorators as written, without the sign. */
    public List<String> decorators() {
        return module.around(node).inner().stream().filter(each -> each.is("decorator")).map(each -> module.text(each).substring(1).strip()).toList();
    }

    /** Whether it is called on an instance, which is its first parameter. */
    public boolean isOfInstance() {
        return home.isPresent() && !decorators().contains("staticmethod") && !decorators().contains("classmethod") && !parameters.isEmpty();
    }

    /** How many of its first parameters no caller fills: the instance or class that it is called on. */
    public int held() {
        return home.isPresent() && !decorators().contains("staticmethod") ? 1 : 0;
    }

    /** The parameters that callers fill. */
    public List<Parameter> filled() {
        return parameters.subList(Math.min(held(), parameters.size()), parameters.size());
    }

    /** The names that are its own: parameters, and what it gives a value to. */
    public Set<String> locals() {
        Names names = Names.of(module, body().inner());
        Set<String> own = new java.util.LinkedHashSet<>(parameters.stream().map(Parameter::name).toList());
        names.bound().stream().filter(each -> !names.shared().contains(each)).forEach(own::add);
        return own;
    }

    /** What it says of its result, with the arrow. */
    public String returnsAsWritten() {
        return returns(module);
    }

    /** Its statements without the text that documents it. @throws Refused where there are none */
    public Body statementsBody() {
        if (statements().isEmpty()) {
            throw new Refused(name() + "() does nothing");
        }
        return isDocumented() ? Body.of(module, statements()) : Body.of(module, body(), node.part("return_type").or(() -> node.part("parameters")).orElseThrow().end());
    }

    /** One of its names as a parameter in a file, with its type where that means the same there. */
    public String annotated(String name, Module in) {
        return parameters.stream().filter(each -> each.name().equals(name)).findFirst().flatMap(Parameter::type).filter(type -> isKnown(type, in))
                .map(type -> name + ": " + module.text(type)).orElse(name);
    }

    /** What it says of its result, with the arrow, for a function in a file; empty where that means nothing there. */
    public String returns(Module in) {
        return node.part("return_type").filter(type -> isKnown(type, in)).map(type -> " -> " + module.text(type)).orElse("");
    }

    private boolean isKnown(Cst type, Module in) {
        return in.file().equals(module.file()) || Set.of("int", "str", "bool", "float", "list", "dict", "tuple", "set", "bytes", "object", "None")
                .containsAll(Names.of(module, List.of(type)).read());
    }

    /** Whether it is a coroutine. */
    public boolean isAsync() {
        return module.text(node).startsWith("async");
    }
}
