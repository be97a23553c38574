package driftwood.program;

import driftwood.source.Language.Habit;
import driftwood.tree.Import;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Routines and values that stand outside of all types, where a language has them in sight of their whole package, or by an import. */
final class Loose {
    private final Program program;
    private final Later<Map<String, List<TypeOutline>>> byPackage;

    Loose(Program program) {
        this.program = program;
        this.byPackage = new Later<>(this::gathered);
    }

    private Map<String, List<TypeOutline>> gathered() {
        Map<String, List<TypeOutline>> modules = new HashMap<>();
        for (Outline outline : program.outlines()) {
            if (outline.language().has(Habit.LOOSE_IN_PACKAGE)) {
                outline.types().stream().filter(TypeOutline::isModule).forEach(each ->
                        modules.computeIfAbsent(outline.packageName(), key -> new ArrayList<>()).add(each));
            }
        }
        return modules;
    }

    /** The routine that a bare call means; none where several could be meant. */
    List<RoutineOutline> routines(TypeOutline scope, String name, int arguments) {
        List<RoutineOutline> found = inSight(scope, name).stream().flatMap(module -> module.routines().stream())
                .filter(each -> each.name().equals(name) && each.takes(arguments)).toList();
        return found.stream().map(RoutineOutline::owner).distinct().count() == 1 ? found : List.of();
    }

    /** The value that a bare name means. */
    Optional<Fields.Found> field(TypeOutline scope, String name) {
        return inSight(scope, name).stream().flatMap(module -> module.field(name).stream().map(field -> new Fields.Found(module, Optional.of(field), "")))
                .findFirst();
    }

    private List<TypeOutline> inSight(TypeOutline scope, String name) {
        Outline file = program.fileOf(scope);
        if (!file.language().has(Habit.LOOSE_IN_PACKAGE)) {
            return List.of();
        }
        List<TypeOutline> modules = new ArrayList<>(byPackage.get().getOrDefault(file.packageName(), List.of()));
        for (Import each : file.imports()) {
            int dot = Math.max(each.name().lastIndexOf('.'), each.name().lastIndexOf('\\'));
            String folder = each.onDemand() ? each.name() : each.name().substring(0, Math.max(0, dot));
            if ((each.onDemand() || each.alias().equals(name)) && !folder.equals(file.packageName())) {
                modules.addAll(byPackage.get().getOrDefault(folder, List.of()));
            }
        }
        return modules;
    }
}
