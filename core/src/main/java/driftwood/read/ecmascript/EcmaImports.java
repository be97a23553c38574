package driftwood.read.ecmascript;

import driftwood.read.sitter.Cst;
import driftwood.tree.Import;
import java.util.ArrayList;
import java.util.List;

/** What a module takes from others, by whatever of the two ways. */
final class EcmaImports {
    private final String text;
    private final String folder;
    private final List<Import> imports = new ArrayList<>();

    /** @param folder where the module lies, its names with dots between */
    EcmaImports(String text, String folder) {
        this.text = text;
        this.folder = folder;
    }

    List<Import> all() {
        return List.copyOf(imports);
    }

    private static String unquoted(String written) {
        return written.length() > 1 ? written.substring(1, written.length() - 1) : "";
    }

    /** An import, or an export that names where it takes from. */
    void add(Cst node) {
        String from = node.part("source").map(each -> module(unquoted(each.text(text)))).orElse("");
        if (from.isEmpty()) {
            return;
        }
        if (node.is("export_statement") && node.has("*")) {
            imports.add(new Import(node.start(), node.end(), from, true, true, ""));
        }
        for (Cst clause : node.inner()) {
            if (clause.is("export_clause")) {
                clause.inner().forEach(each -> named(each, from));
            } else if (clause.is("import_clause")) {
                clause.inner().forEach(each -> taken(each, from));
            }
        }
    }

    private void taken(Cst part, String from) {
        if (part.is("named_imports")) {
            part.inner().forEach(each -> named(each, from));
        } else if (part.is("namespace_import") && !part.inner().isEmpty()) {
            whole(part.inner().get(0), from);
        } else if (part.is("identifier")) {
            String name = part.text(text);
            imports.add(new Import(part.start(), part.end(), from + "." + name, false, true, name));
        }
    }

    /** A module under a name of one's own: {@code import * as quay}, {@code const quay = require(...)}. */
    void whole(Cst name, String from) {
        String alias = name.text(text);
        boolean named = Character.isUpperCase(alias.charAt(0));
        imports.add(new Import(name.start(), name.end(), named && !from.endsWith("." + alias) ? from + "." + alias : from, false, named, alias));
    }

    void named(Cst specifier, String from) {
        String name = specifier.part("name").orElse(specifier).text(text);
        String alias = specifier.part("alias").map(each -> each.text(text)).orElse(name);
        imports.add(new Import(specifier.start(), specifier.end(), from + "." + name, false, true, alias));
    }

    /** {@code ../tide} seen from quay/office is quay.tide; what is no path is a package from outside. */
    String module(String written) {
        if (!written.startsWith(".")) {
            return written.replace('/', '.').replace("@", "");
        }
        List<String> at = new ArrayList<>(folder.isEmpty() ? List.of() : List.of(folder.split("\\.")));
        for (String step : written.split("/")) {
            if (step.equals("..")) {
                if (!at.isEmpty()) {
                    at.remove(at.size() - 1);
                }
            } else if (!step.equals(".") && !step.isEmpty()) {
                at.add(EcmaModule.plain(step));
            }
        }
        if (at.size() > 1 && at.get(at.size() - 1).equals("index")) {
            at.remove(at.size() - 1);
        }
        return String.join(".", at);
    }
}
