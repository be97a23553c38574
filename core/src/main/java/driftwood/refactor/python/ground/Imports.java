package driftwood.refactor.python.ground;

import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Makes names known in other files, where that closes no circle of imports. */
public final class Imports {
    private final Draft draft;
    private final Set<String> added = new HashSet<>();

    public Imports(Draft draft) {
        this.draft = draft;
    }

    /**
     * Lets a file know what names mean in another.
     *
     * @throws Refused where the other file itself declares one, or an import would close a circle
     */
    public void carry(Set<String> names, Module from, Module to) {
        if (from.file().equals(to.file())) {
            return;
        }
        Map<String, String> imported = imports(from);
        Set<String> there = Names.of(to, to.root().inner()).bound();
        for (String each : names) {
            if (imported.containsKey(each)) {
                if (!there.contains(each)) {
                    add(imported.get(each), to);
                } else if (!imported.get(each).equals(imports(to).getOrDefault(each, ""))) {
                    throw new Refused(each + " means something else in " + to.file());
                }
            } else if (Names.of(from, from.root().inner()).bound().contains(each)) {
                throw new Refused("the code needs " + each + ", which " + from.file() + " declares and " + to.file() + " cannot know: they would import each other");
            }
        }
    }

    /** Lets a file know a name of another module. @param from the module, as it is imported */
    public void know(String from, String name, Module in) {
        if (!Names.of(in, in.root().inner()).bound().contains(name)) {
            add("from " + from + " import " + name, in);
        }
    }

    /** What a name is imported from, and as what where it has another name; empty where it is not imported at the top of the file. */
    String source(Module module, String name) {
        return imports(module).getOrDefault(name, "").replaceFirst("^(?:from|import) ([\\w.]+)(?: import (\\w+))?.*", "$1.$2").replaceFirst("\\.$", "");
    }

    /** For each name the statement that imports it, with one name only. */
    private Map<String, String> imports(Module module) {
        Map<String, String> all = new LinkedHashMap<>();
        for (Cst each : module.root().inner()) {
            String source = each.part("module_name").map(module::text).orElse("");
            if (source.startsWith(".")) {
                source = absolute(source, module).orElse(source);
            }
            for (Cst name : each.is("import_from_statement") || each.is("import_statement") ? each.parts("name") : List.<Cst>of()) {
                String bound = name.is("aliased_import") ? module.text(name.part("alias").orElseThrow()) : module.text(name);
                all.put(each.is("import_statement") ? bound.replaceFirst("\\..*", "") : bound, each.is("import_statement") ? "import " + module.text(name) : "from " + source + " import " + module.text(name));
            }
        }
        return all;
    }

    private Optional<String> absolute(String source, Module module) {
        int dots = source.length() - source.replaceFirst("^\\.+", "").length();
        String name = draft.modules().name(module.file());
        String around = module.file().endsWith("__init__.py") ? name : name.substring(0, Math.max(0, name.lastIndexOf('.')));
        String[] parts = around.split("\\.");
        if (around.isEmpty() || dots - 1 > parts.length - 1) {
            return Optional.empty();
        }
        String root = String.join(".", List.of(parts).subList(0, parts.length - (dots - 1)));
        String rest = source.substring(dots);
        return Optional.of(rest.isEmpty() ? root : root + "." + rest);
    }

    /** Adds an import, once. @throws Refused where it would close a circle */
    public void add(String statement, Module to) {
        if (imports(to).containsValue(statement) || !added.add(to.file() + " " + statement)) {
            return;
        }
        String source = statement.replaceFirst("^(?:from|import) ([\\w.]+).*", "$1");
        Optional<String> module = draft.modules().file(source);
        if (module.isPresent() && reaches(module.get(), to.file(), new HashSet<>())) {
            throw new Refused(to.file() + " and " + module.get() + " would import each other");
        }
        Optional<Cst> same = statement.startsWith("from ") ? to.root().inner().stream().filter(each -> each.is("import_from_statement") && !to.text(each).contains("(")
                && each.part("module_name").map(to::text).orElse("").equals(source) && !each.parts("name").isEmpty()).findFirst() : Optional.empty();
        if (same.isPresent()) {
            draft.script().insert(to.file(), same.get().end(), ", " + statement.replaceFirst("^.* import ", ""));
            return;
        }
        draft.script().insert(to.file(), place(to, source), first(to).isPresent() ? statement + to.newLine() : statement + to.newLine() + to.newLine() + to.newLine());
    }

    private static Optional<Cst> first(Module module) {
        return module.root().inner().stream().filter(each -> each.is("import_statement") || each.is("import_from_statement")).findFirst();
    }

    /** In the first block of imports, by the alphabet; else before the first statement that is no text. */
    private static int place(Module to, String source) {
        List<Cst> all = to.root().inner();
        int at = first(to).map(all::indexOf).orElse(-1);
        if (at < 0) {
            return all.stream().filter(each -> !each.is("future_import_statement") && !(each.is("expression_statement") && each.inner().get(0).is("string"))).findFirst()
                    .map(each -> above(to, each.start())).orElse(to.text().length());
        }
        int end = to.lineStart(all.get(at).start());
        while (at < all.size() && all.get(at).kind().startsWith("import") && to.text().substring(end, all.get(at).start()).isBlank() && !to.text().substring(end, all.get(at).start()).contains("\n")) {
            if (all.get(at).is("import_from_statement") && all.get(at).part("module_name").map(to::text).orElse("").compareTo(source) > 0) {
                return to.lineStart(all.get(at).start());
            }
            end = to.lineEnd(all.get(at).end() - 1);
            at++;
        }
        return end;
    }

    /** Before the comments that stand right above. */
    private static int above(Module module, int offset) {
        int at = module.lineStart(offset);
        while (at > 0 && module.text().startsWith("#", module.lineStart(at - 1))) {
            at = module.lineStart(at - 1);
        }
        return at;
    }

    /** Whether a file imports another, by whatever way. */
    private boolean reaches(String from, String to, Set<String> seen) {
        if (from.equals(to)) {
            return true;
        }
        if (!seen.add(from)) {
            return false;
        }
        Module module = draft.modules().module(from);
        return imports(module).values().stream().map(each -> each.replaceFirst("^(?:from|import) ([\\w.]+).*", "$1"))
                .flatMap(each -> draft.modules().file(each).stream()).anyMatch(each -> reaches(each, to, seen));
    }
}
