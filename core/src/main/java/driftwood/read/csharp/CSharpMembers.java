package driftwood.read.csharp;

import driftwood.read.AssignedFields.Told;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Fields, properties, events, methods and constructors of C#'s types. */
abstract class CSharpMembers extends CSharpStatements {
    private static final Map<String, Mark> MARKS = Map.of("public", Mark.PUBLIC, "protected", Mark.PROTECTED, "private", Mark.PRIVATE,
            "static", Mark.STATIC, "readonly", Mark.FINAL, "abstract", Mark.ABSTRACT, "override", Mark.OVERRIDES, "partial", Mark.PARTIAL);

    CSharpMembers(String text) {
        super(text);
    }

    Traits traits(Cst node) {
        Set<Mark> marks = EnumSet.noneOf(Mark.class);
        Set<String> annotations = new HashSet<>();
        for (Cst each : node.inner()) {
            if (each.is("modifier")) {
                String word = text(each);
                Optional.ofNullable(MARKS.get(word)).ifPresent(marks::add);
                if (word.equals("const")) {
                    marks.addAll(Set.of(Mark.STATIC, Mark.FINAL));
                }
                if (word.equals("sealed")) {
                    marks.add(Mark.FINAL);
                }
            } else if (each.is("attribute_list")) {
                each.inner().stream().flatMap(one -> one.part("name").stream()).map(this::text).forEach(name ->
                        annotations.add(name.substring(name.lastIndexOf('.') + 1)));
            }
        }
        return new Traits(marks, annotations);
    }

    /** Members without a word of their own are private in a class and public in an interface. */
    private Traits traits(Cst node, TypeKind kind) {
        Traits traits = traits(node);
        boolean said = node.inner().stream().anyMatch(each -> each.is("modifier") && Set.of("public", "protected", "private", "internal").contains(text(each)));
        return said || node.inner().stream().anyMatch(each -> each.is("explicit_interface_specifier")) ? traits
                : traits.and(kind == TypeKind.INTERFACE ? Mark.PUBLIC : Mark.PRIVATE);
    }

    /** The members that one declaration makes. @param owner simple name of the type around */
    List<Node> member(Cst node, String owner, TypeKind kind) {
        Traits traits = traits(node, kind);
        // driftwood: leave type-switch because the grammar fixes what members there are
        return switch (node.kind()) {
            case "field_declaration", "event_field_declaration" -> fields(node, traits);
            case "property_declaration" -> property(node, traits, kind);
            case "event_declaration" -> List.of(new Field(node.start(), node.end(), name(node, "name"), told(node, "type").type(), traits, Optional.empty()));
            case "constructor_declaration" -> List.of(constructor(node, owner, traits));
            case "method_declaration" -> List.of(method(node, name(node, "name"), told(node, "returns"), traits, kind));
            case "operator_declaration", "conversion_operator_declaration" -> List.of(method(node, operatorOf(node),
                    told(node, "type"), traits, kind));
            case "indexer_declaration" -> List.of(method(node, "this", told(node, "type"), traits, kind));
            case "destructor_declaration" -> List.of(method(node, "Finalize", Told.NOTHING, traits.and(Mark.OVERRIDES), kind));
            default -> List.of();
        };
    }

    private String name(Cst node, String field) {
        return node.part(field).map(this::text).map(CSharpTypes::plain).orElse("");
    }

    private Told told(Cst node, String field) {
        return node.part(field).map(this::text).map(CSharpTypes::of).orElse(Told.NOTHING);
    }

    private static Traits with(Traits traits, boolean nullable) {
        return nullable ? traits.and(Mark.NULLABLE) : traits;
    }

    /** Types of the fields and properties of a type's body, by name. */
    final Map<String, TypeRef> declaredIn(Cst body) {
        Map<String, TypeRef> found = new HashMap<>();
        for (Cst member : body.inner()) {
            if (member.is("property_declaration")) {
                found.put(name(member, "name"), told(member, "type").type());
            } else if (member.is("field_declaration")) {
                member.inner().stream().filter(each -> each.is("variable_declaration")).forEach(declaration -> declaration.inner().stream()
                        .filter(each -> each.is("variable_declarator")).forEach(each -> found.put(name(each, "name"), told(declaration, "type").type())));
            }
        }
        return found;
    }

    private List<Node> fields(Cst node, Traits traits) {
        List<Node> made = new ArrayList<>();
        for (Cst declaration : node.inner()) {
            if (declaration.is("variable_declaration")) {
                Told type = told(declaration, "type");
                for (Cst each : declaration.inner()) {
                    if (each.is("variable_declarator")) {
                        made.add(new Field(node.start(), node.end(), name(each, "name"), type.type(), with(traits, type.nullable()),
                                value(each).map(one -> creationOf(one, type.type()))));
                    }
                }
            }
        }
        return made;
    }

    /** One that only keeps a value is a field; one that computes is a routine that is read like a field. */
    private List<Node> property(Cst node, Traits traits, TypeKind kind) {
        Told type = told(node, "type");
        String name = name(node, "name");
        Traits own = with(traits, type.nullable());
        Optional<Cst> value = node.part("value");
        List<Cst> accessors = node.part("accessors").map(Cst::inner).orElse(List.of()).stream().filter(each -> each.is("accessor_declaration")).toList();
        boolean arrow = value.filter(each -> each.is("arrow_expression_clause")).isPresent();
        boolean kept = !arrow && accessors.stream().allMatch(each -> each.part("body").isEmpty());
        if (kept && kind != TypeKind.INTERFACE && !traits.isAbstract()) {
            boolean settable = accessors.stream().anyMatch(each -> each.has("set"));
            return List.of(new Field(node.start(), node.end(), name, type.type(), settable || accessors.stream().anyMatch(each -> each.has("init"))
                    ? own : own.and(Mark.FINAL), value.map(each -> creationOf(each, type.type()))));
        }
        List<Node> made = new ArrayList<>();
        Traits read = own.and(Mark.ACCESSOR);
        if (arrow) {
            made.add(routine(node, name, read, type, List.of(), value.map(this::arrow)));
        }
        for (Cst each : accessors) {
            Optional<Block> body = each.part("body").map(one -> one.is("arrow_expression_clause") ? arrow(one) : block(one));
            Traits traitsOfOne = body.isEmpty() ? read.and(Mark.ABSTRACT) : read;
            if (each.has("get")) {
                made.add(routine(each, name, traitsOfOne, type, List.of(), body));
            } else if (body.isPresent()) {
                made.add(routine(each, "set" + name, own, Told.NOTHING, List.of(new Parameter(each.start(), each.start(), "value", type.type(),
                        Traits.NONE, false, Optional.empty())), body));
            }
        }
        return made;
    }

    // driftwood: leave long-parameter-list because a routine has these parts and is put together here only
    private static Routine routine(Cst node, String name, Traits traits, Told returns, List<Parameter> parameters, Optional<Block> body) {
        return new Routine(node.start(), node.end(), name.intern(), RoutineKind.METHOD, with(traits, returns.nullable()), List.of(),
                returns.type(), parameters, body);
    }

    /** {@code => value} stands for a body that gives it back. */
    private Block arrow(Cst clause) {
        Node value = only(clause);
        return new Block(clause.start(), clause.end(), List.of(value instanceof Throw ? value
                : new Return(value.start(), value.end(), Optional.of(value))));
    }

    private Routine method(Cst node, String name, Told returns, Traits traits, TypeKind kind) {
        Optional<Cst> body = node.part("body").or(() -> node.inner().stream().filter(each -> each.is("arrow_expression_clause")).findFirst());
        boolean nothing = returns.type().text().equals("void");
        Optional<Block> block = body.map(each -> each.is("arrow_expression_clause") ? nothing ? evaluatedOnly(each) : arrow(each) : block(each));
        boolean extension = node.part("parameters").filter(this::extendsFirst).isPresent();
        Traits said = extension ? traits.and(Mark.EXTENSION).and(Mark.RECEIVER_FIRST) : traits;
        Traits own = block.isEmpty() && kind == TypeKind.INTERFACE ? said.and(Mark.ABSTRACT) : said;
        List<String> generics = node.part("type_parameters").map(each -> each.inner().stream().map(this::text).toList()).orElse(List.of());
        Routine made = routine(node, name, own, returns, node.part("parameters").map(this::parameters).orElse(List.of()), block);
        return new Routine(made.start(), made.end(), made.name(), made.kind(), made.traits(), generics, made.returns(), made.parameters(), made.body());
    }

    /** {@code this T first} */
    private boolean extendsFirst(Cst parameters) {
        return parameters.inner().stream().findFirst().filter(each -> text(each).matches("(?s)(\\[.*])?\\s*this\\s.*")).isPresent();
    }

    private Block evaluatedOnly(Cst clause) {
        return new Block(clause.start(), clause.end(), List.of(evaluated(clause)));
    }

    private Routine constructor(Cst node, String owner, Traits traits) {
        List<Node> statements = new ArrayList<>();
        node.inner().stream().filter(each -> each.is("constructor_initializer")).findFirst().ifPresent(each -> statements.add(new Evaluate(each.start(), each.end(),
                new Call(each.start(), each.end(), Optional.empty(), each.has("this") ? "this" : "super", arguments(each)))));
        Optional<Block> body = node.part("body").map(each -> each.is("arrow_expression_clause") ? evaluatedOnly(each) : block(each));
        body.ifPresent(each -> statements.addAll(each.statements()));
        return new Routine(node.start(), node.end(), owner, traits.has(Mark.STATIC) ? RoutineKind.INITIALISER : RoutineKind.CONSTRUCTOR, traits, List.of(),
                TypeRef.NONE, node.part("parameters").map(this::parameters).orElse(List.of()),
                Optional.of(new Block(body.map(Block::start).orElse(node.end()), node.end(), statements)));
    }

    @Override
    List<Parameter> parameters(Cst list) {
        List<Parameter> made = new ArrayList<>();
        for (Cst each : list.inner()) {
            if (each.is("parameter") || each.is("implicit_parameter")) {
                made.add(parameter(each, false));
            }
        }
        if (list.has("params")) {
            made.add(parameter(list, true));
        }
        return made;
    }

    private Parameter parameter(Cst node, boolean variadic) {
        Told type = told(node, "type");
        Optional<Node> fallback = variadic ? Optional.empty() : value(node).map(this::expression);
        return new Parameter(node.start(), node.end(), node.part("name").map(this::text).orElseGet(() -> text(node)), type.type(),
                with(Traits.NONE, type.nullable()), variadic, fallback);
    }

    @Override
    Node localFunction(Cst node) {
        List<Parameter> parameters = node.part("parameters").map(this::parameters).orElse(List.of());
        Node body = node.part("body").<Node>map(each -> each.is("arrow_expression_clause") ? only(each) : block(each))
                .orElseGet(() -> new Block(node.end(), node.end(), List.of()));
        return new Local(node.start(), node.end(), name(node, "name"), TypeRef.NONE, Optional.of(new Lambda(node.start(), node.end(), parameters, body)));
    }

    /** What an operator is called: {@code operator+}, and by the type that a conversion gives, {@code operator:Dues}. */
    private String operatorOf(Cst node) {
        if (node.is("conversion_operator_declaration")) {
            return "operator:" + node.part("type").map(each -> new TypeRef(text(each)).simpleName()).orElse("");
        }
        String head = text(node).substring(0, node.part("parameters").map(each -> each.start() - node.start()).orElse(0));
        int word = head.lastIndexOf("operator");
        return "operator" + (word < 0 ? "" : head.substring(word + "operator".length()).strip());
    }
}
