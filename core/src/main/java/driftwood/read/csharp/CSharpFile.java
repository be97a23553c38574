package driftwood.read.csharp;

import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** A file of C#: what it uses, its namespaces and the types in them. */
final class CSharpFile extends CSharpMembers {
    private static final Set<String> TYPES = Set.of("class_declaration", "struct_declaration", "record_declaration", "interface_declaration",
            "enum_declaration", "delegate_declaration");

    private final Cst root;
    private final Set<Import> imports = new LinkedHashSet<>();
    private final List<Node> types = new ArrayList<>();
    private final List<Cst> loose = new ArrayList<>();
    private String first = "";

    CSharpFile(String text, Cst root) {
        super(text);
        this.root = root;
    }

    Unit unit() {
        declarations(root);
        for (int dot = first.lastIndexOf('.'); dot > 0; dot = first.lastIndexOf('.', dot - 1)) {
            imports.add(new Import(0, 0, first.substring(0, dot).intern(), true, false, ""));
        }
        if (!loose.isEmpty()) {
            Block body = new Block(loose.get(0).start(), loose.get(loose.size() - 1).end(), statements(loose));
            types.add(new TypeDeclaration(body.start(), body.end(), "Program", TypeKind.CLASS, Traits.of(Mark.STATIC, Mark.PARTIAL), List.of(), List.of(), List.of(),
                    List.of(), List.of(new Routine(body.start(), body.end(), "Main", RoutineKind.METHOD, Traits.of(Mark.STATIC), List.of(), TypeRef.NONE,
                    List.of(), Optional.of(body)))));
        }
        return new Unit(0, text.length(), first, List.copyOf(imports), types);
    }

    private void declarations(Cst around) {
        for (Cst each : around.inner()) {
            if (each.is("using_directive")) {
                use(each);
            } else if (each.is("namespace_declaration") || each.is("file_scoped_namespace_declaration")) {
                if (first.isEmpty()) {
                    first = each.part("name").map(this::text).orElse("").replaceAll("\\s+", "").intern();
                }
                declarations(each.part("body").orElse(each));
            } else if (TYPES.contains(each.kind())) {
                types.add(declaration(each));
            } else if (each.is("global_statement")) {
                loose.addAll(each.inner());
            } else if (each.is("declaration_list") || each.is("preproc_if")) {
                declarations(each);
            }
        }
    }

    private void use(Cst node) {
        List<Cst> inner = node.inner();
        String name = text(inner.get(inner.size() - 1)).replace("global::", "").replaceAll("\\s+", "").intern();
        Optional<Cst> alias = node.part("name").filter(each -> inner.size() > 1 && each == inner.get(0));
        imports.add(new Import(node.start(), node.end(), CSharpTypes.plain(name), alias.isEmpty(), node.has("static"), alias.map(this::text).orElse("")));
    }

    private TypeDeclaration declaration(Cst node) {
        String name = node.part("name").map(this::text).map(CSharpTypes::plain).orElse("");
        TypeKind kind = switch (node.kind()) {
            case "interface_declaration", "delegate_declaration" -> TypeKind.INTERFACE;
            case "enum_declaration" -> TypeKind.ENUM;
            case "record_declaration" -> TypeKind.RECORD;
            default -> TypeKind.CLASS;
        };
        Traits traits = traits(node);
        List<Parameter> primary = node.inner().stream().filter(each -> each.is("parameter_list")).findFirst().map(this::parameters).orElse(List.of());
        List<Node> members = new ArrayList<>();
        if (node.is("delegate_declaration")) {
            members.add(new Routine(node.start(), node.end(), "Invoke", RoutineKind.METHOD, Traits.of(Mark.ABSTRACT, Mark.PUBLIC), List.of(),
                    node.part("type").map(this::type).orElse(TypeRef.NONE), node.part("parameters").map(this::parameters).orElse(List.of()), Optional.empty()));
        } else if (kind != TypeKind.RECORD && !primary.isEmpty()) {
            primary(node, name, primary, members);
        } else {
            primary.forEach(each -> members.add(new Field(each.start(), each.end(), each.name(), each.type(), each.traits().and(Mark.PUBLIC), Optional.empty())));
        }
        Map<String, TypeRef> around = declared;
        declared = node.part("body").map(this::declaredIn).orElse(Map.of());
        node.part("body").ifPresent(body -> members(body, name, kind, members));
        declared = around;
        List<String> generics = node.inner().stream().filter(each -> each.is("type_parameter_list")).flatMap(each -> each.inner().stream())
                .map(each -> each.part("name").map(this::text).orElseGet(() -> text(each))).toList();
        return new TypeDeclaration(node.start(), node.end(), name, kind, traits, generics, kind == TypeKind.ENUM ? List.of() : supertypes(node),
                kind == TypeKind.RECORD ? primary : List.of(), List.of(), members);
    }

    private List<TypeRef> supertypes(Cst node) {
        List<TypeRef> types = new ArrayList<>();
        for (Cst base : node.inner()) {
            if (base.is("base_list")) {
                for (Cst each : base.inner()) {
                    Cst type = each.is("primary_constructor_base_type") ? each.inner().get(0) : each;
                    if (!type.is("argument_list")) {
                        types.add(type(type));
                    }
                }
            }
        }
        types.removeIf(each -> !each.isPresent());
        return types;
    }

    /** What a primary constructor is handed is there for all members. */
    private static void primary(Cst node, String name, List<Parameter> parameters, List<Node> members) {
        members.add(new Routine(node.start(), node.start(), name, RoutineKind.CONSTRUCTOR, Traits.of(Mark.IMPLIED, Mark.PUBLIC), List.of(), TypeRef.NONE,
                parameters, Optional.empty()));
        parameters.forEach(each -> members.add(new Field(each.start(), each.end(), each.name(), each.type(), each.traits().and(Mark.PRIVATE), Optional.empty())));
    }

    private void members(Cst body, String owner, TypeKind kind, List<Node> members) {
        for (Cst each : body.inner()) {
            if (TYPES.contains(each.kind())) {
                members.add(declaration(each));
            } else if (each.is("enum_member_declaration")) {
                members.add(new EnumConstant(each.start(), each.end(), each.part("name").map(this::text).orElse(""),
                        each.part("value").map(this::expression).map(List::of).orElse(List.of()), Optional.empty()));
            } else if (each.is("preproc_if")) {
                members(each, owner, kind, members);
            } else {
                members.addAll(member(each, owner, kind));
            }
        }
    }
}
