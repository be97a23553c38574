package driftwood.read.python;

import driftwood.read.sitter.Cst;
import driftwood.tree.Import;
import java.util.ArrayList;
import java.util.List;

/** The imports of a module, relative ones made absolute. */
final class PythonImports {
    private final String text;
    private final String packageName;
    private final List<Import> imports = new ArrayList<>();

    /** @param packageName the package that the module lies in */
    PythonImports(String text, String packageName) {
        this.text = text;
        this.packageName = packageName;
    }

    List<Import> all() {
        return List.copyOf(imports);
    }

    void add(Cst node) {
        if (node.is("import_statement")) {
            for (Cst each : node.parts("name")) {
                boolean aliased = each.is("aliased_import");
                String name = (aliased ? each.part("name").orElse(each) : each).text(text);
                String alias = aliased ? each.part("alias").orElse(each).text(text) : name;
                imports.add(new Import(node.start(), node.end(), name, false, false, alias));
            }
        } else if (node.is("import_from_statement")) {
            String from = node.part("module_name").map(each -> absolute(each.text(text))).orElse("");
            if (node.inner().stream().anyMatch(each -> each.is("wildcard_import"))) {
                imports.add(new Import(node.start(), node.end(), from, true, true, ""));
            }
            for (Cst each : node.parts("name")) {
                boolean aliased = each.is("aliased_import");
                String name = (aliased ? each.part("name").orElse(each) : each).text(text);
                String alias = aliased ? each.part("alias").orElse(each).text(text) : name;
                imports.add(new Import(node.start(), node.end(), from.isEmpty() ? name : from + "." + name, false, true,
                        alias));
            }
        }
    }

    /** {@code ..tide} in quay.office.desk is quay.tide. */
    private String absolute(String written) {
        int dots = 0;
        while (dots < written.length() && written.charAt(dots) == '.') {
            dots++;
        }
        if (dots == 0) {
            return written;
        }
        String base = packageName;
        for (int i = 1; i < dots; i++) {
            int last = base.lastIndexOf('.');
            base = last < 0 ? "" : base.substring(0, last);
        }
        String rest = written.substring(dots);
        return base.isEmpty() ? rest : rest.isEmpty() ? base : base + "." + rest;
    }
}
