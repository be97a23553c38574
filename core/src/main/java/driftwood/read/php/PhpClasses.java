package driftwood.read.php;

import driftwood.read.AssignedFields;
import driftwood.read.AssignedFields.Told;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/** PHP's classes, interfaces, traits, enums and functions. */
abstract class PhpClasses extends PhpStatements {
    private static final Pattern OVERRIDE = Pattern.compile("[\\[\\\\,\\s]Override\\b");

    PhpClasses(String text) {
        super(text);
    }

    @Override
    TypeDeclaration declaration(Cst node) {
        String name = node.part("name").map(this::text).orElse("");
        return within(name, () -> type(node, name));
    }

    @Override
    TypeDeclaration anonymous(Cst node) {
        return type(node, "");
    }

    private TypeDeclaration type(Cst node, String name) {
        TypeKind kind = node.is("interface_declaration") ? TypeKind.INTERFACE : node.is("enum_declaration") ? TypeKind.ENUM : TypeKind.CLASS;
        Set<Mark> marks = marks(node);
        if (node.is("trait_declaration")) {
            marks.add(Mark.ABSTRACT);
        }
        List<TypeRef> parents = new ArrayList<>();
        for (Cst each : node.inner()) {
            if (each.is("base_clause") || each.is("class_interface_clause")) {
                each.inner().forEach(one -> parents.add(new TypeRef(PhpTypes.dotted(text(one)))));
            }
        }
        List<Cst> body = node.part("body").or(() -> node.inner().stream().filter(each -> each.is("declaration_list")).findFirst()).map(Cst::children).orElse(List.of());
        List<Node> members = members(body, name, parents);
        return new TypeDeclaration(node.start(), node.end(), name, kind, new Traits(marks, Set.of()), List.of(), parents, List.of(), List.of(), members);
    }

    private Set<Mark> marks(Cst node) {
        Set<Mark> marks = EnumSet.noneOf(Mark.class);
        for (Cst each : node.inner()) {
            // driftwood: leave type-switch because the grammar fixes the words that a declaration begins with
            switch (each.kind()) {
                case "abstract_modifier" -> marks.add(Mark.ABSTRACT);
                case "final_modifier", "readonly_modifier" -> marks.add(Mark.FINAL);
                case "static_modifier" -> marks.add(Mark.STATIC);
                case "attribute_list" -> {
                    if (OVERRIDE.matcher(text(each)).find()) {
                        marks.add(Mark.OVERRIDES);
                    }
                }
                default -> { }
            }
        }
        return marks;
    }

    private Set<Mark> marksOfMember(Cst node) {
        Set<Mark> marks = marks(node);
        node.inner().stream().filter(each -> each.is("visibility_modifier")).findFirst().map(this::text).map(each -> each.toUpperCase(Locale.ROOT))
                .ifPresent(each -> marks.add(each.startsWith("PRI") ? Mark.PRIVATE : each.startsWith("PRO") ? Mark.PROTECTED : Mark.PUBLIC));
        return marks;
    }

    /** The members, each with the comment before it. What a trait gives is inherited. */
    private List<Node> members(List<Cst> body, String owner, List<TypeRef> parents) {
        List<Node> members = new ArrayList<>();
        List<Routine> routines = new ArrayList<>();
        Set<String> known = new HashSet<>();
        String comment = "";
        for (Cst each : body) {
            // driftwood: leave type-switch because the grammar fixes what members there are
            switch (each.kind()) {
                case "use_declaration" -> each.inner().stream().filter(one -> one.is("name") || one.is("qualified_name"))
                        .forEach(one -> parents.add(new TypeRef(PhpTypes.dotted(text(one)))));
                case "const_declaration" -> members.addAll(constants(each));
                case "property_declaration" -> members.addAll(fields(each, comment, owner, known));
                case "method_declaration" -> {
                    Routine routine = routine(each, comment, owner);
                    routines.add(routine);
                    members.add(routine);
                    promoted(each, owner, known).forEach(members::add);
                }
                case "enum_case" -> members.add(new EnumConstant(each.start(), each.end(), each.part("name").map(this::text).orElse(""),
                        each.part("value").map(this::expression).map(List::of).orElse(List.of()), Optional.empty()));
                default -> { }
            }
            comment = each.is("comment") ? text(each) : each.named() ? "" : comment;
        }
        members.addAll(new AssignedFields(new TypeRef("bool"), assignment -> Told.NOTHING).of(routines, known));
        return members;
    }

    List<Node> constants(Cst node) {
        List<Node> made = new ArrayList<>();
        for (Cst each : node.inner()) {
            if (each.is("const_element") && !each.inner().isEmpty()) {
                made.add(new Field(each.start(), each.end(), text(each.inner().get(0)), TypeRef.NONE, Traits.of(Mark.STATIC, Mark.FINAL),
                        each.inner().size() > 1 ? Optional.of(expression(each.inner().get(1))) : Optional.empty()));
            }
        }
        return made;
    }

    private List<Node> fields(Cst node, String comment, String owner, Set<String> known) {
        List<Node> made = new ArrayList<>();
        Told type = node.part("type").map(each -> PhpTypes.of(text(each), owner)).orElseGet(() -> PhpTypes.said(comment, "var", "", owner));
        for (Cst each : node.inner()) {
            if (each.is("property_element")) {
                Set<Mark> marks = marksOfMember(node);
                if (type.nullable()) {
                    marks.add(Mark.NULLABLE);
                }
                String name = each.part("name").map(this::bare).orElse("");
                Optional<Node> initial = each.part("default_value").map(this::expression);
                known.add(name);
                made.add(new Field(node.start(), node.end(), name, type.type().isPresent() ? type.type() : initial.map(AssignedFields::typeOf).orElse(TypeRef.NONE),
                        new Traits(marks, Set.of()), initial));
            }
        }
        return made;
    }

    /** Parameters of a constructor that are fields as well. */
    private List<Field> promoted(Cst routine, String owner, Set<String> known) {
        List<Field> made = new ArrayList<>();
        for (Cst each : routine.part("parameters").map(Cst::inner).orElse(List.of())) {
            if (each.is("property_promotion_parameter")) {
                String name = each.part("name").map(this::bare).orElse("");
                Told type = each.part("type").map(one -> PhpTypes.of(text(one), owner)).orElse(Told.NOTHING);
                Set<Mark> marks = marksOfMember(each);
                if (type.nullable()) {
                    marks.add(Mark.NULLABLE);
                }
                if (known.add(name)) {
                    made.add(new Field(each.start(), each.end(), name, type.type(), new Traits(marks, Set.of()), Optional.empty()));
                }
            }
        }
        return made;
    }

    /** A method, or a function of a file. @param owner the class around, empty for a function */
    Routine routine(Cst node, String comment, String owner) {
        String name = node.part("name").map(this::text).orElse("");
        boolean constructor = name.equals("__construct") && !owner.isEmpty();
        List<Parameter> parameters = parameters(node, comment);
        Set<Mark> marks = marksOfMember(node);
        if (owner.isEmpty()) {
            marks.add(Mark.STATIC);
        }
        Told returns = node.part("return_type").map(each -> PhpTypes.of(text(each), owner)).orElseGet(() -> PhpTypes.said(comment, "return", "", owner));
        if (returns.nullable()) {
            marks.add(Mark.NULLABLE);
        }
        Optional<Block> body = node.part("body").map(each -> routineBody(each, parameters)).map(each -> keeping(node, each));
        if (body.isEmpty() && !owner.isEmpty()) {
            marks.add(Mark.ABSTRACT);
        }
        return new Routine(node.start(), node.end(), constructor ? owner : name, constructor ? RoutineKind.CONSTRUCTOR : RoutineKind.METHOD,
                new Traits(marks, comment.contains("@deprecated") ? Set.of("Deprecated") : Set.of()), List.of(), returns.type(), parameters, body);
    }

    /** What a promoted parameter keeps, a constructor does first. */
    private Block keeping(Cst node, Block body) {
        List<Node> all = new ArrayList<>();
        for (Cst each : node.part("parameters").map(Cst::inner).orElse(List.of())) {
            if (each.is("property_promotion_parameter")) {
                String name = each.part("name").map(this::bare).orElse("");
                all.add(new Evaluate(each.start(), each.end(), new Assignment(each.start(), each.end(), new Member(each.start(), each.end(),
                        new Name(each.start(), each.end(), "this"), name), "=", new Name(each.start(), each.end(), name))));
            }
        }
        all.addAll(body.statements());
        return all.size() == body.statements().size() ? body : new Block(body.start(), body.end(), all);
    }

    private List<Parameter> parameters(Cst node, String comment) {
        List<Parameter> made = new ArrayList<>();
        for (Cst each : node.part("parameters").map(Cst::inner).orElse(List.of())) {
            Optional<Cst> name = each.part("name");
            if (name.isPresent()) {
                Told said = PhpTypes.said(comment, "param", text(name.get()), owner());
                Told type = each.part("type").map(one -> PhpTypes.of(text(one), owner())).filter(one -> one.type().isPresent() || !said.type().isPresent()).orElse(said);
                Optional<Node> fallback = each.part("default_value").map(this::expression);
                boolean none = fallback.filter(one -> one instanceof Literal literal && literal.kind() == LiteralKind.NULL).isPresent();
                made.add(new Parameter(each.start(), each.end(), bare(name.get()), type.type(), type.nullable() || none ? Traits.of(Mark.NULLABLE) : Traits.NONE,
                        each.is("variadic_parameter"), fallback));
            }
        }
        return made;
    }

    @Override
    Lambda function(Cst node) {
        List<Parameter> parameters = parameters(node, "");
        Cst body = node.part("body").orElse(node);
        return new Lambda(node.start(), node.end(), parameters, body.is("compound_statement") ? routineBody(body, parameters) : body == node
                ? new Block(node.end(), node.end(), List.of()) : expression(body));
    }
}
