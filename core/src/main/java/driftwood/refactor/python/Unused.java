package driftwood.refactor.python;

import driftwood.read.sitter.Cst;
import driftwood.refactor.Stage;
import driftwood.refactor.python.ground.Calls;
import driftwood.refactor.python.ground.Module;
import driftwood.refactor.python.ground.Modules;
import driftwood.refactor.python.ground.Names;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Takes imports away that a refactoring has left without use. Those that were unused before stay, as do those that others
 * import from here.
 */
record Unused(Modules modules) {

    List<Stage> without(List<Stage> stages) {
        List<Stage> done = new ArrayList<>();
        for (int i = 0; i < stages.size(); i++) {
            Map<String, Optional<String>> files = new LinkedHashMap<>();
            int at = i;
            stages.get(i).files().forEach((file, text) -> files.put(file, isChangedLater(file, at, stages) ? text : text.map(now -> without(file, now))));
            done.add(new Stage(stages.get(i).does(), stages.get(i).places(), files, stages.get(i).meant()));
        }
        return done;
    }

    private static boolean isChangedLater(String file, int stage, List<Stage> stages) {
        return stages.subList(stage + 1, stages.size()).stream().anyMatch(each -> each.files().containsKey(file));
    }

    private String without(String file, String now) {
        if (!modules.texts().containsKey(file) || file.endsWith("__init__.py")) {
            return now;
        }
        Module before = modules.module(file);
        Module after = new Module(file, now, false);
        Set<String> used = Names.of(before, before.root().inner()).read();
        Set<String> left = Names.of(after, after.root().inner()).read();
        StringBuilder text = new StringBuilder(now);
        List<Cst> all = after.root().inner();
        for (int i = all.size() - 1; i >= 0; i--) {
            Cst each = all.get(i);
            if (each.is("import_from_statement") || each.is("import_statement")) {
                List<Cst> names = each.parts("name");
                List<Cst> gone = names.stream().filter(name -> used.contains(bound(after, name)) && !left.contains(bound(after, name)) && !isExported(before, bound(after, name))).toList();
                if (!gone.isEmpty() && gone.size() == names.size()) {
                    int end = after.lineEnd(each.end() - 1);
                    while (i == 0 && end < now.length() && Character.isWhitespace(now.charAt(end))) {
                        end++;
                    }
                    text.delete(after.lineStart(each.start()), end);
                } else {
                    cut(text, after, names, gone);
                }
            }
        }
        return text.toString();
    }

    private static void cut(StringBuilder text, Module module, List<Cst> names, List<Cst> gone) {
        for (int i = names.size() - 1; i >= 0; i--) {
            if (gone.contains(names.get(i))) {
                boolean last = i == names.size() - 1 || gone.containsAll(names.subList(i, names.size()));
                int from = last ? names.get(i - 1 < 0 ? 0 : i - 1).end() : names.get(i).start();
                int to = last ? names.get(i).end() : names.get(i + 1).start();
                text.delete(from, to);
            }
        }
    }

    private static String bound(Module module, Cst name) {
        String said = module.text(name.is("aliased_import") ? name.part("alias").orElseThrow() : name);
        return said.replaceFirst("\\..*", "");
    }

    private boolean isExported(Module module, String name) {
        if (Calls.isExported(module, name)) {
            return true;
        }
        String own = modules.name(module.file());
        String simple = own.substring(own.lastIndexOf('.') + 1);
        return modules.with(name).stream().filter(each -> !each.file().equals(module.file())).anyMatch(each -> imports(each, simple, name)
                || each.text().contains(simple + "." + name));
    }

    private static boolean imports(Module module, String from, String name) {
        return Module.all(module.root(), "import_from_statement").stream().anyMatch(each -> each.part("module_name").map(module::text).orElse("").endsWith(from)
                && (each.inner().stream().anyMatch(part -> part.is("wildcard_import")) || each.parts("name").stream().anyMatch(part -> module.text(part).startsWith(name))));
    }
}
