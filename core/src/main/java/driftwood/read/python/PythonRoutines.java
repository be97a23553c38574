package driftwood.read.python;

import driftwood.read.AssignedFields.Told;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Python's functions and methods. */
final class PythonRoutines {
    private final PythonModule module;

    PythonRoutines(PythonModule module) {
        this.module = module;
    }

    /** @param owner name of the class around, empty for a function of the module */
    Routine routine(Cst node, Set<String> decorators, String owner) {
        String name = node.part("name").map(module::text).orElse("");
        boolean constructor = name.equals("__init__") && !owner.isEmpty();
        Set<Mark> marks = EnumSet.noneOf(Mark.class);
        boolean bound = !owner.isEmpty() && !decorators.contains("staticmethod");
        if (owner.isEmpty() || decorators.contains("staticmethod") || decorators.contains("classmethod")) {
            marks.add(Mark.STATIC);
        }
        if (name.startsWith("__") && !name.endsWith("__")) {
            marks.add(Mark.PRIVATE);
        }
        List<Parameter> parameters = node.part("parameters").map(this::parameters).orElse(List.of());
        List<Parameter> own = bound && !parameters.isEmpty() ? parameters.subList(1, parameters.size()) : parameters;
        Cst body = node.part("body").orElse(node);
        boolean ofType = decorators.contains("classmethod") && !parameters.isEmpty();
        module.within(ofType ? parameters.get(0).name() : "", owner);
        Block block = module.routineBody(body, own);
        module.within("", "");
        if (decorators.contains("abstractmethod") || onlyRefuses(block)) {
            marks.add(Mark.ABSTRACT);
        }
        Told returns = node.part("return_type").map(each -> PythonTypes.of(module.text(each)))
                .orElse(Told.NOTHING);
        TypeRef type = returns.type().isPresent() ? returns.type() : inferred(block);
        if (decorators.contains("classmethod")) {
            marks.add(Mark.OF_TYPE);
        }
        if (decorators.contains("property")) {
            marks.add(Mark.ACCESSOR);
        }
        if (returns.nullable()) {
            marks.add(Mark.NULLABLE);
        }
        return new Routine(node.start(), node.end(), constructor ? owner : name.intern(),
                constructor ? RoutineKind.CONSTRUCTOR : RoutineKind.METHOD, new Traits(marks, Set.copyOf(decorators)), List.of(),
                type, List.copyOf(own), Optional.of(block));
    }

    /** {@code raise NotImplementedError} stands for an abstract body. */
    private static boolean onlyRefuses(Block body) {
        return body.statements().size() == 1 && body.statements().get(0) instanceof Throw error
                && Search.any(error, node -> node instanceof Name name && name.name().equals("NotImplementedError")
                || node instanceof Creation creation && creation.type().text().equals("NotImplementedError"));
    }

    /** The type that all results are creations of; NONE where they are anything else. */
    private static TypeRef inferred(Block body) {
        Set<TypeRef> types = new HashSet<>();
        for (Return back : Search.all(body, Return.class)) {
            Node value = back.value().orElse(null);
            if (value instanceof Creation creation) {
                types.add(creation.type());
            } else if (!(value instanceof Literal literal && literal.kind() == LiteralKind.NULL)) {
                types.add(TypeRef.NONE);
            }
        }
        return types.size() == 1 ? types.iterator().next() : TypeRef.NONE;
    }

    List<Parameter> parameters(Cst node) {
        List<Parameter> parameters = new ArrayList<>();
        boolean named = false;
        for (Cst each : node.inner()) {
            if (each.is("keyword_separator")) {
                named = true;
            } else if (!each.is("positional_separator")) {
                boolean variadic = isVariadic(each);
                parameters.add(parameter(each, named && !variadic, variadic));
                named |= variadic;
            }
        }
        return parameters;
    }

    private static boolean isVariadic(Cst node) {
        return node.is("list_splat_pattern") || node.is("dictionary_splat_pattern")
                || node.is("typed_parameter") && !node.inner().isEmpty() && isVariadic(node.inner().get(0));
    }

    private Parameter parameter(Cst node, boolean named, boolean variadic) {
        Cst name = node.part("name").orElse(node.is("identifier") ? node : node.inner().isEmpty() ? node
                : node.inner().get(0));
        Told type = node.part("type").map(each -> PythonTypes.of(module.text(each))).orElse(Told.NOTHING);
        Optional<Node> fallback = node.part("value").map(module::expression);
        boolean none = fallback.map(value -> value instanceof Literal literal && literal.kind() == LiteralKind.NULL)
                .orElse(false);
        Traits traits = named ? Traits.of(Mark.NAMED) : Traits.NONE;
        traits = type.nullable() || none ? traits.and(Mark.NULLABLE) : traits;
        return new Parameter(node.start(), node.end(), module.text(name).replace("*", "").intern(), type.type(), traits,
                variadic, fallback);
    }
}
