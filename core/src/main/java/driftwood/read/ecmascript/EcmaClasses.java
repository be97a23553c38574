package driftwood.read.ecmascript;

import driftwood.read.AssignedFields;
import driftwood.read.AssignedFields.Told;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Classes, interfaces, enums and functions of JavaScript and TypeScript. */
abstract class EcmaClasses extends EcmaStatements {
    private static final Set<String> ABSTRACT = Set.of("abstract_method_signature", "method_signature", "call_signature");

    EcmaClasses(String text) {
        super(text);
    }

    @Override
    Lambda function(Cst node) {
        Taken taken = parameters(node);
        Cst body = node.part("body").orElse(node);
        Node made = body.is("statement_block") ? taken.before(block(body)) : body == node ? new Block(node.end(), node.end(), List.of())
                : taken.apart().isEmpty() ? expression(body) : taken.before(new Block(body.start(), body.end(),
                List.of(new Return(body.start(), body.end(), Optional.of(expression(body))))));
        return new Lambda(node.start(), node.end(), taken.parameters(), made);
    }

    /** Parameters, with the locals of those that are taken apart, and the fields that a constructor's make. */
    record Taken(List<Parameter> parameters, List<Node> apart, List<Node> fields) {

        /** A body that begins with what is taken apart and what is kept. */
        Block before(Block body) {
            if (apart.isEmpty() && fields.isEmpty()) {
                return body;
            }
            List<Node> all = new ArrayList<>(apart);
            fields.forEach(each -> all.add(new Evaluate(each.start(), each.end(), new Assignment(each.start(), each.end(), new Member(each.start(), each.end(),
                    new Name(each.start(), each.end(), "this"), ((Field) each).name()), "=", new Name(each.start(), each.end(), ((Field) each).name())))));
            all.addAll(body.statements());
            return new Block(body.start(), body.end(), all);
        }
    }

    Taken parameters(Cst node) {
        Taken taken = new Taken(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
        node.part("parameter").ifPresent(each -> taken.parameters().add(new Parameter(each.start(), each.end(), text(each), TypeRef.NONE, Traits.NONE, false,
                Optional.empty())));
        List<Cst> written = node.part("parameters").map(Cst::inner).orElse(List.of());
        String comment = written.isEmpty() ? "" : EcmaDoc.before(text, node.start());
        for (Cst each : written) {
            parameter(each, comment, taken);
        }
        return taken;
    }

    private void parameter(Cst node, String comment, Taken into) {
        Cst pattern = node.part("pattern").or(() -> node.part("left")).orElse(node);
        boolean variadic = pattern.is("rest_pattern");
        Cst bare = variadic && !pattern.inner().isEmpty() ? pattern.inner().get(0) : pattern;
        String name = bare.is("identifier") || bare.is("this") ? text(bare) : "options";
        Told type = node.part("type").map(each -> EcmaTypes.of(text(each))).orElseGet(() -> EcmaDoc.parameter(comment, name));
        Optional<Node> fallback = node.part("value").or(() -> node.part("right")).map(this::expression);
        boolean left = node.is("optional_parameter");
        if (!bare.is("identifier") && !bare.is("this")) {
            List<Node> parts = new ArrayList<>(List.of(new Name(bare.start(), bare.end(), name)));
            locals(bare, parts);
            into.apart().add(new Unpacked(bare.start(), bare.end(), parts));
        }
        if (name.equals("this")) {
            return;
        }
        Traits traits = type.nullable() || left ? Traits.of(Mark.NULLABLE) : Traits.NONE;
        Optional<Node> given = left && fallback.isEmpty() ? Optional.of(new Literal(node.end(), node.end(), LiteralKind.NULL, "undefined")) : fallback;
        into.parameters().add(new Parameter(node.start(), node.end(), name, type.type(), traits, variadic, given));
        Set<Mark> marks = marks(node);
        if (!marks.isEmpty()) {
            into.fields().add(new Field(node.start(), node.end(), name, type.type(), new Traits(marks, Set.of()), Optional.empty()));
        }
    }

    private Set<Mark> marks(Cst node) {
        Set<Mark> marks = EnumSet.noneOf(Mark.class);
        for (Cst each : node.inner()) {
            if (each.is("accessibility_modifier")) {
                marks.add(Mark.valueOf(text(each).toUpperCase(java.util.Locale.ROOT)));
            } else if (each.is("override_modifier")) {
                marks.add(Mark.OVERRIDES);
            }
        }
        if (node.has("static")) {
            marks.add(Mark.STATIC);
        }
        if (node.has("readonly")) {
            marks.add(Mark.FINAL);
        }
        if (node.has("abstract")) {
            marks.add(Mark.ABSTRACT);
        }
        return marks;
    }

    /** A function that makes instances. @param apart statements of its body that make members of the class */
    Routine constructor(Cst function, String name, List<Cst> apart) {
        Taken taken = parameters(function);
        return new Routine(function.start(), function.end(), name, RoutineKind.CONSTRUCTOR, Traits.NONE, List.of(), TypeRef.NONE,
                taken.parameters(), function.part("body").map(each -> taken.before(apart.isEmpty() ? block(each) : new Block(each.start(), each.end(),
                statements(each.inner().stream().filter(one -> !apart.contains(one)).toList())))));
    }

    /** A method, or a function that belongs to a module. @param owner name of the class around, empty for a function */
    Routine routine(Cst node, String name, String owner) {
        Set<Mark> marks = marks(node);
        boolean constructor = name.equals("constructor") && !owner.isEmpty();
        Taken taken = parameters(node);
        if (owner.isEmpty()) {
            marks.add(Mark.STATIC);
        }
        if (name.startsWith("#")) {
            marks.add(Mark.PRIVATE);
        }
        if (node.has("get")) {
            marks.add(Mark.ACCESSOR);
        }
        if (ABSTRACT.contains(node.kind())) {
            marks.add(Mark.ABSTRACT);
        }
        Told returns = node.part("return_type").map(each -> EcmaTypes.of(text(each))).orElseGet(() -> EcmaDoc.result(EcmaDoc.before(text, node.start())));
        if (returns.nullable()) {
            marks.add(Mark.NULLABLE);
        }
        Optional<Block> body = node.part("body").map(each -> each.is("statement_block") ? taken.before(block(each))
                : taken.before(new Block(each.start(), each.end(), List.of(new Return(each.start(), each.end(), Optional.of(expression(each)))))));
        String called = node.has("set") ? "set" + Character.toUpperCase(name.charAt(0)) + name.substring(1) : name;
        return new Routine(node.start(), node.end(), constructor ? owner : called.intern(), constructor ? RoutineKind.CONSTRUCTOR : RoutineKind.METHOD,
                new Traits(marks, decorators(node)), List.of(), returns.type(), List.copyOf(taken.parameters()), body);
    }

    private Set<String> decorators(Cst node) {
        Set<String> names = new HashSet<>();
        for (Cst each : node.inner()) {
            if (each.is("decorator")) {
                names.add(text(each).substring(1).replaceAll("\\(.*", "").strip());
            }
        }
        return names;
    }

    @Override
    TypeDeclaration declaration(Cst node) {
        return type(node, node.part("name").map(this::text).orElse(""));
    }

    /** A type of any kind by the name it is known under. */
    TypeDeclaration type(Cst node, String name) {
        // driftwood: leave type-switch because the grammar fixes the kinds of types
        return switch (node.kind()) {
            case "interface_declaration" -> interfaceOf(node, name, node.part("body").orElse(node));
            case "type_alias_declaration" -> interfaceOf(node, name, node.part("value").orElse(node));
            case "enum_declaration" -> enumOf(node, name);
            default -> classOf(node, name);
        };
    }

    private TypeDeclaration enumOf(Cst node, String name) {
        List<Node> members = new ArrayList<>();
        for (Cst each : node.part("body").map(Cst::inner).orElse(List.of())) {
            Cst constant = each.part("name").orElse(each);
            members.add(new EnumConstant(each.start(), each.end(), text(constant), each.part("value").map(this::expression).map(List::of).orElse(List.of()),
                    Optional.empty()));
        }
        return new TypeDeclaration(node.start(), node.end(), name, TypeKind.ENUM, Traits.NONE, List.of(), List.of(), List.of(), List.of(), members);
    }

    private TypeDeclaration interfaceOf(Cst node, String name, Cst body) {
        List<Node> members = new ArrayList<>();
        for (Cst each : body.inner()) {
            Optional<String> member = each.part("name").map(this::text);
            if (each.is("property_signature") && member.isPresent()) {
                Told type = each.part("type").map(one -> EcmaTypes.of(text(one))).orElse(Told.NOTHING);
                members.add(new Field(each.start(), each.end(), member.get(), type.type(), type.nullable() || each.has("?") ? Traits.of(Mark.NULLABLE, Mark.PUBLIC)
                        : Traits.of(Mark.PUBLIC), Optional.empty()));
            } else if (each.is("method_signature") && member.isPresent()) {
                members.add(routine(each, member.get(), name));
            }
        }
        List<TypeRef> parents = node.inner().stream().filter(each -> each.is("extends_type_clause")).flatMap(each -> each.parts("type").stream())
                .map(each -> EcmaTypes.of(text(each)).type()).filter(TypeRef::isPresent).toList();
        return new TypeDeclaration(node.start(), node.end(), name, TypeKind.INTERFACE, Traits.NONE, generics(node), parents, List.of(), List.of(), members);
    }

    private List<String> generics(Cst node) {
        return node.part("type_parameters").map(each -> each.inner().stream().map(one -> one.part("name").map(this::text).orElseGet(() -> text(one))).toList())
                .orElse(List.of());
    }

    private TypeDeclaration classOf(Cst node, String name) {
        List<TypeRef> parents = new ArrayList<>();
        for (Cst heritage : node.inner()) {
            if (heritage.is("class_heritage")) {
                heritage.inner().forEach(each -> parents(each, parents));
            }
        }
        parents.removeIf(each -> !each.isPresent());
        Set<Mark> marks = node.is("abstract_class_declaration") ? Set.of(Mark.ABSTRACT) : Set.of();
        return new TypeDeclaration(node.start(), node.end(), name, TypeKind.CLASS, new Traits(marks, decorators(node)), generics(node), parents,
                List.of(), List.of(), members(node.part("body").map(Cst::inner).orElse(List.of()), name));
    }

    private void parents(Cst clause, List<TypeRef> into) {
        if (clause.is("extends_clause")) {
            clause.part("value").map(each -> EcmaTypes.of(text(each)).type()).ifPresent(into::add);
        } else if (clause.is("implements_clause")) {
            clause.inner().forEach(each -> into.add(EcmaTypes.of(text(each)).type()));
        } else {
            into.add(EcmaTypes.of(text(clause)).type());
        }
    }

    private List<Node> members(List<Cst> body, String name) {
        List<Node> members = new ArrayList<>();
        List<Routine> routines = new ArrayList<>();
        Set<String> known = new HashSet<>();
        for (Cst each : body) {
            String member = each.part("name").or(() -> each.part("property")).map(this::text).orElse("");
            if (each.is("method_definition") || each.is("abstract_method_signature")) {
                routines.add(routine(each, member, name));
                members.add(routines.get(routines.size() - 1));
                if (member.equals("constructor")) {
                    parameters(each).fields().forEach(field -> members.add(known.add(((Field) field).name()) ? field : new Empty(field.start(), field.end())));
                }
            } else if (each.is("public_field_definition") || each.is("field_definition")) {
                Optional<Cst> value = each.part("value");
                if (value.isPresent() && (value.get().is("arrow_function") || value.get().is("function_expression"))) {
                    routines.add(routine(value.get(), member, name));
                    members.add(routines.get(routines.size() - 1));
                } else if (known.add(member)) {
                    members.add(field(each, member, value));
                }
            } else if (each.is("class_static_block")) {
                members.add(new Routine(each.start(), each.end(), "", RoutineKind.INITIALISER, Traits.of(Mark.STATIC), List.of(), TypeRef.NONE, List.of(),
                        Optional.of(body(each))));
            }
        }
        members.removeIf(Empty.class::isInstance);
        members.addAll(new AssignedFields(new TypeRef("boolean"), assignment -> Told.NOTHING).of(routines, known));
        return members;
    }

    private Field field(Cst node, String name, Optional<Cst> value) {
        Told type = node.part("type").map(each -> EcmaTypes.of(text(each))).orElse(Told.NOTHING);
        Optional<Node> initial = value.map(this::expression);
        Set<Mark> marks = marks(node);
        if (type.nullable() || node.has("?")) {
            marks.add(Mark.NULLABLE);
        }
        if (name.startsWith("#")) {
            marks.add(Mark.PRIVATE);
        }
        return new Field(node.start(), node.end(), name, type.type().isPresent() ? type.type() : initial.map(AssignedFields::typeOf).orElse(TypeRef.NONE),
                new Traits(marks, decorators(node)), initial);
    }
}
