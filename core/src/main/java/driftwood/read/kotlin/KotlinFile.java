package driftwood.read.kotlin;

import driftwood.read.sitter.Cst;
import driftwood.source.SourceText;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A file of Kotlin: its package, imports and types, and a type of its own for its functions and values. */
final class KotlinFile extends KotlinMembers {
    private final Cst root;
    private final String file;

    KotlinFile(SourceText source, Cst root) {
        super(source.text());
        this.root = root;
        String path = source.file().path();
        String name = path.substring(path.lastIndexOf('/') + 1).replaceFirst("\\.kt$", "").replaceAll("\\W", "_");
        this.file = (name.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + name.substring(1) + "Kt").intern();
    }

    Unit unit() {
        String packageName = find(root, "package_header").flatMap(each -> find(each, "identifier")).map(this::text).orElse("");
        List<Import> imports = new ArrayList<>();
        find(root, "import_list").ifPresent(list -> all(list, "import_header").forEach(each -> imports.add(imported(each))));
        List<Node> types = new ArrayList<>();
        List<Node> own = new ArrayList<>();
        List<Cst> inner = root.inner();
        for (int i = 0; i < inner.size(); i++) {
            Cst each = inner.get(i);
            if (each.is("class_declaration") || each.is("object_declaration")) {
                types.add(declaration(each));
            } else if (each.is("function_declaration")) {
                own.add(routine(each, Mark.STATIC));
            } else if (each.is("property_declaration")) {
                own.addAll(property(each, i + 1 < inner.size() ? Optional.of(inner.get(i + 1)) : Optional.empty(), Mark.STATIC));
            }
        }
        if (!own.isEmpty()) {
            types.add(new TypeDeclaration(0, text.length(), file, TypeKind.CLASS, Traits.of(Mark.MODULE, Mark.STATIC), List.of(), List.of(), List.of(), List.of(), own));
        }
        return new Unit(0, text.length(), packageName, imports, types);
    }

    private Import imported(Cst node) {
        String name = find(node, "identifier").map(this::text).orElse("").replaceAll("\\s+", "").intern();
        String alias = find(node, "import_alias").flatMap(each -> each.inner().stream().findFirst()).map(this::text).orElse("");
        boolean all = find(node, "wildcard_import").isPresent();
        return new Import(node.start(), node.end(), name, all, false, all ? "" : alias.isEmpty() ? name.substring(name.lastIndexOf('.') + 1) : alias);
    }
}
