package driftwood.read.php;

import driftwood.read.sitter.Cst;
import driftwood.source.SourceText;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A file of PHP: its namespace, what it uses, its types, and a type of its own for its functions and what it runs when loaded. */
final class PhpFile extends PhpClasses {
    private final Cst root;
    private final String file;
    private final List<Import> imports = new ArrayList<>();
    private final List<Node> types = new ArrayList<>();
    private final List<Node> own = new ArrayList<>();
    private final List<Cst> loose = new ArrayList<>();
    private String namespace = "";

    PhpFile(SourceText source, Cst root) {
        super(source.text());
        this.root = root;
        String path = source.file().path();
        this.file = path.substring(path.lastIndexOf('/') + 1).replaceFirst("\\.\\w+$", "").replaceAll("\\W", "_");
    }

    Unit unit() {
        declarations(root.children());
        if (!loose.isEmpty()) {
            Block body = new Block(loose.get(0).start(), loose.get(loose.size() - 1).end(), looseStatements(loose));
            own.add(new Routine(body.start(), body.end(), "", RoutineKind.INITIALISER, Traits.of(Mark.STATIC), List.of(), TypeRef.NONE, List.of(), Optional.of(body)));
        }
        if (!own.isEmpty()) {
            boolean taken = types.stream().anyMatch(each -> each instanceof TypeDeclaration type && type.name().equals(file));
            types.add(new TypeDeclaration(0, text.length(), (taken ? file + "_file" : file).intern(), TypeKind.CLASS, Traits.of(Mark.MODULE, Mark.STATIC), List.of(),
                    List.of(), List.of(), List.of(), own));
        }
        return new Unit(0, text.length(), namespace, imports, types);
    }

    private void declarations(List<Cst> nodes) {
        String comment = "";
        for (Cst each : nodes) {
            // driftwood: leave type-switch because the grammar fixes what stands at the top of a file
            switch (each.kind()) {
                case "namespace_definition" -> {
                    namespace = namespace.isEmpty() ? each.part("name").map(this::text).map(PhpTypes::dotted).orElse("") : namespace;
                    each.part("body").ifPresent(body -> declarations(body.children()));
                }
                case "namespace_use_declaration" -> use(each);
                case "class_declaration", "interface_declaration", "trait_declaration", "enum_declaration" -> types.add(declaration(each));
                case "function_definition" -> own.add(routine(each, comment, ""));
                case "const_declaration" -> own.addAll(constants(each));
                case "if_statement" -> guarded(each);
                case "comment", "text", "php_tag", "text_interpolation", "declare_statement", "empty_statement" -> { }
                default -> {
                    if (each.named()) {
                        loose.add(each);
                    }
                }
            }
            comment = each.is("comment") ? text(each) : each.named() ? "" : comment;
        }
    }

    /** {@code if (!function_exists('f')) { function f() ... }} declares all the same. */
    private void guarded(Cst node) {
        List<Cst> body = node.part("body").map(Cst::inner).orElse(List.of());
        boolean declares = !body.isEmpty() && body.stream().allMatch(each -> each.is("function_definition") || each.is("class_declaration"));
        if (declares) {
            declarations(body);
        } else {
            loose.add(node);
        }
    }

    private void use(Cst node) {
        String prefix = node.inner().stream().filter(each -> each.is("namespace_name")).findFirst().map(this::text).map(PhpTypes::dotted).orElse("");
        List<Cst> clauses = node.part("body").map(Cst::inner).orElse(node.inner());
        for (Cst each : clauses) {
            if (each.is("namespace_use_clause") && !each.inner().isEmpty()) {
                String name = PhpTypes.dotted(text(each.inner().get(0)));
                String alias = each.part("alias").map(this::text).orElse(name.substring(name.lastIndexOf('.') + 1));
                imports.add(new Import(each.start(), each.end(), (prefix.isEmpty() ? name : prefix + "." + name).intern(), false, each.has("function"), alias.intern()));
            }
        }
    }
}
