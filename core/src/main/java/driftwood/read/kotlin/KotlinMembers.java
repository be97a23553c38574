package driftwood.read.kotlin;

import driftwood.read.AssignedFields.Told;
import driftwood.read.Choices;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Functions, properties and classes of Kotlin. */
abstract class KotlinMembers extends KotlinStatements {
    private static final Map<String, Mark> MARKS = Map.of("private", Mark.PRIVATE, "protected", Mark.PROTECTED, "public", Mark.PUBLIC, "abstract", Mark.ABSTRACT,
            "override", Mark.OVERRIDES, "sealed", Mark.SEALED, "data", Mark.DATA);

    KotlinMembers(String text) {
        super(text);
    }

    /** @param more marks that the place of the declaration gives */
    Traits traits(Cst node, Mark... more) {
        Set<Mark> marks = EnumSet.noneOf(Mark.class);
        Set<String> annotations = new HashSet<>();
        marks.addAll(List.of(more));
        find(node, "modifiers").ifPresent(all -> all.inner().forEach(each -> {
            if (each.is("annotation")) {
                annotations.add(text(each).replaceFirst("^@(\\w+:)?", "").replaceAll("\\(.*", "").replaceAll(".*\\.", "").strip());
            } else {
                Optional.ofNullable(MARKS.get(text(each))).ifPresent(marks::add);
            }
        }));
        return new Traits(marks, annotations);
    }

    private static Traits with(Traits traits, boolean nullable) {
        return nullable ? traits.and(Mark.NULLABLE) : traits;
    }

    /** @param node function_value_parameters, whose defaults stand beside their parameters */
    List<Parameter> parameters(Cst node) {
        List<Parameter> made = new ArrayList<>();
        boolean variadic = false;
        boolean fallback = false;
        for (Cst each : node.children()) {
            if (each.is("parameter_modifiers")) {
                variadic = text(each).contains("vararg");
            } else if (each.is("parameter")) {
                Told type = told(each);
                made.add(new Parameter(each.start(), each.end(), text(each.inner().get(0)), type.type(), with(Traits.NONE, type.nullable()), variadic, Optional.empty()));
                variadic = false;
            } else if (fallback) {
                Parameter last = made.remove(made.size() - 1);
                made.add(new Parameter(last.start(), last.end(), last.name(), last.type(), last.traits(), last.variadic(),
                        Optional.of(each.named() ? expression(each) : nothing(node))));
            }
            fallback = !each.named() && each.kind().equals("=") && !made.isEmpty();
        }
        return made;
    }

    Routine routine(Cst node, Mark... more) {
        String name = find(node, "simple_identifier").map(this::text).orElse("");
        Optional<Cst> body = find(node, "function_body");
        Cst list = find(node, "function_value_parameters").orElse(node);
        Told returns = node.inner().stream().filter(each -> isType(each) && each.start() > list.end()).findFirst().map(this::toldBy).orElse(Told.NOTHING);
        boolean extension = node.children().stream().takeWhile(each -> !each.is("function_value_parameters")).anyMatch(each -> each.kind().equals("."));
        Traits said = with(traits(node, more), returns.nullable());
        Traits traits = extension ? said.and(Mark.EXTENSION) : said;
        return new Routine(node.start(), node.end(), name.replace("`", ""), RoutineKind.METHOD, traits, generics(node), returns.type(), parameters(list),
                body.map(this::body));
    }

    /** {@code = value} stands for a body that gives it back. */
    private Block body(Cst node) {
        Block made = block(node);
        boolean value = node.has("=") && made.statements().size() == 1;
        return value ? new Block(made.start(), made.end(), List.of(Choices.handedBack(made.statements().get(0)))) : made;
    }

    private List<String> generics(Cst node) {
        return find(node, "type_parameters").map(all -> all(all, "type_parameter").stream().flatMap(each -> find(each, "type_identifier").stream()).map(this::text).toList())
                .orElse(List.of());
    }

    /** A property that computes is a routine that is read like a field; any other is a field. */
    List<Node> property(Cst node, Optional<Cst> accessor, Mark... more) {
        Optional<Cst> getter = find(node, "getter").or(() -> accessor.filter(each -> each.is("getter"))).filter(each -> find(each, "function_body").isPresent());
        Cst declared = find(node, "variable_declaration").orElse(node);
        String name = declared.inner().isEmpty() ? "" : text(declared.inner().get(0));
        Told type = told(declared);
        Optional<Node> initial = value(node);
        Traits traits = with(traits(node, more), type.nullable());
        if (getter.isPresent() && initial.isEmpty()) {
            return List.of(new Routine(node.start(), node.end(), name, RoutineKind.METHOD, traits.and(Mark.ACCESSOR), List.of(), type.type(), List.of(),
                    find(getter.get(), "function_body").map(this::body)));
        }
        boolean constant = find(node, "binding_pattern_kind").filter(each -> text(each).equals("val")).isPresent();
        TypeRef shown = type.type().isPresent() ? type.type() : initial.filter(Creation.class::isInstance).map(each -> ((Creation) each).type()).orElse(TypeRef.NONE);
        return List.of(new Field(node.start(), node.end(), name, shown, constant ? traits.and(Mark.FINAL) : traits, initial));
    }

    @Override
    Node innerFunction(Cst node) {
        Routine made = routine(node);
        return new Local(node.start(), node.end(), made.name(), TypeRef.NONE, Optional.of(new Lambda(node.start(), node.end(), made.parameters(),
                made.body().<Node>map(each -> each).orElseGet(() -> new Block(node.end(), node.end(), List.of())))));
    }

    @Override
    TypeDeclaration anonymous(Cst node) {
        return type(node, "");
    }

    @Override
    TypeDeclaration declaration(Cst node) {
        return type(node, find(node, "type_identifier").map(this::text).orElse(""));
    }

    private TypeDeclaration type(Cst node, String name) {
        List<TypeRef> parents = new ArrayList<>(all(node, "delegation_specifier").stream().map(this::parent).toList());
        parents.removeIf(each -> !each.isPresent());
        boolean single = node.is("object_declaration");
        TypeKind kind = node.has("interface") ? TypeKind.INTERFACE : node.has("enum") ? TypeKind.ENUM : TypeKind.CLASS;
        List<Node> members = new ArrayList<>();
        find(node, "primary_constructor").ifPresent(all -> primary(all, name, members));
        Cst body = find(node, "class_body").or(() -> find(node, "enum_class_body")).orElse(null);
        if (body != null) {
            members(body, name, kind, members, single ? new Mark[] {Mark.STATIC} : new Mark[0]);
        }
        return new TypeDeclaration(node.start(), node.end(), name, kind, traits(node), generics(node), parents, List.of(), List.of(), members);
    }

    /** What the primary constructor is handed; with val or var it is a property as well. */
    private void primary(Cst node, String name, List<Node> members) {
        List<Parameter> parameters = new ArrayList<>();
        List<Node> kept = new ArrayList<>();
        List<Node> fields = new ArrayList<>();
        for (Cst each : all(node, "class_parameter")) {
            String called = find(each, "simple_identifier").map(this::text).orElse("");
            Told type = told(each);
            parameters.add(new Parameter(each.start(), each.end(), called, type.type(), with(Traits.NONE, type.nullable()), text(each).startsWith("vararg "), value(each)));
            if (find(each, "binding_pattern_kind").isPresent()) {
                Traits traits = with(traits(each), type.nullable());
                fields.add(new Field(each.start(), each.end(), called, type.type(), text(find(each, "binding_pattern_kind").get()).equals("val") ? traits.and(Mark.FINAL) : traits,
                        Optional.empty()));
                kept.add(new Evaluate(each.start(), each.end(), new Assignment(each.start(), each.end(), new Member(each.start(), each.end(),
                        new Name(each.start(), each.end(), "this"), called), "=", new Name(each.start(), each.end(), called))));
            }
        }
        members.add(new Routine(node.start(), node.end(), name, RoutineKind.CONSTRUCTOR, traits(node), List.of(), TypeRef.NONE, parameters,
                Optional.of(new Block(node.end(), node.end(), kept))));
        members.addAll(fields);
    }

    private void members(Cst body, String owner, TypeKind kind, List<Node> members, Mark... more) {
        List<Cst> inner = body.inner();
        for (int i = 0; i < inner.size(); i++) {
            Cst each = inner.get(i);
            Optional<Cst> next = i + 1 < inner.size() ? Optional.of(inner.get(i + 1)) : Optional.empty();
            switch (each.kind()) {
                case "class_declaration", "object_declaration" -> members.add(declaration(each));
                case "companion_object" -> find(each, "class_body").ifPresent(inside -> members(inside, owner, kind, members, Mark.STATIC));
                case "function_declaration" -> members.add(function(each, kind, more));
                case "property_declaration" -> members.addAll(property(each, next, more));
                case "secondary_constructor" -> members.add(constructor(each, owner));
                case "anonymous_initializer" -> members.add(new Routine(each.start(), each.end(), "", RoutineKind.INITIALISER, Traits.NONE, List.of(), TypeRef.NONE, List.of(),
                        Optional.of(find(each, "statements").map(this::block).orElseGet(() -> new Block(each.end(), each.end(), List.of())))));
                case "enum_entry" -> members.add(new EnumConstant(each.start(), each.end(), find(each, "simple_identifier").map(this::text).orElse(""), values(each),
                        find(each, "class_body").map(inside -> anonymous(each))));
                default -> { }
            }
        }
    }

    private Routine function(Cst node, TypeKind kind, Mark... more) {
        Routine made = routine(node, more);
        return made.body().isPresent() || kind != TypeKind.INTERFACE ? made : new Routine(made.start(), made.end(), made.name(), made.kind(), made.traits().and(Mark.ABSTRACT),
                made.generics(), made.returns(), made.parameters(), made.body());
    }

    private Routine constructor(Cst node, String owner) {
        List<Node> statements = new ArrayList<>();
        find(node, "constructor_delegation_call").ifPresent(each -> statements.add(new Evaluate(each.start(), each.end(), new Call(each.start(), each.end(), Optional.empty(),
                each.has("this") ? "this" : "super", values(each)))));
        find(node, "statements").map(this::block).ifPresent(each -> statements.addAll(each.statements()));
        return new Routine(node.start(), node.end(), owner, RoutineKind.CONSTRUCTOR, traits(node), List.of(), TypeRef.NONE,
                find(node, "function_value_parameters").map(this::parameters).orElse(List.of()), Optional.of(new Block(node.end(), node.end(), statements)));
    }
}
