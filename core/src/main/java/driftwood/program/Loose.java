package driftwood.program;

import driftwood.source.Language.Habit;
import driftwood.tree.Import;
import driftwood.tree.Mark;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Routines and values that stand outside of all types, where a language has them in sight of their whole package, or by an
 * import; and what scripts declare, which is in sight of all other scripts.
 */
final class Loose {
    private final Program program;
    private final Later<Map<String, List<TypeOutline>>> byPackage;
    private final Later<Scripts> scripts;

    Loose(Program program) {
        this.program = program;
        this.byPackage = new Later<>(this::gathered);
        this.scripts = new Later<>(() -> Scripts.of(program));
    }

    /**
     * What the scripts of a program declare at their top, by name.
     *
     * @param modules those that declare a routine or value
     * @param types   whatever is called so, but for what only its own script can name
     * @param members the same of all scripts: a longer name leads into them
     */
    private record Scripts(Map<String, List<TypeOutline>> modules, Map<String, List<TypeOutline>> types, Map<String, List<TypeOutline>> members) {
        static Scripts of(Program program) {
            Scripts scripts = new Scripts(new HashMap<>(), new HashMap<>(), new HashMap<>());
            for (Outline outline : program.outlines()) {
                outline.types().stream().filter(Loose::isScript).forEach(module -> {
                    boolean bare = !module.traits().has(Mark.WRAPPED);
                    if (bare) {
                        Stream.concat(module.routines().stream().map(RoutineOutline::name), module.fields().stream().map(FieldOutline::name)).distinct().forEach(name ->
                                scripts.modules.computeIfAbsent(name, key -> new ArrayList<>(1)).add(module));
                    }
                    program.nestedIn(module).forEach(type -> {
                        scripts.members.computeIfAbsent(type.simpleName(), key -> new ArrayList<>(1)).add(type);
                        if (bare) {
                            scripts.types.computeIfAbsent(type.simpleName(), key -> new ArrayList<>(1)).add(type);
                        }
                    });
                });
            }
            return scripts;
        }
    }

    private static boolean isScript(TypeOutline type) {
        return type.isModule() && type.traits().has(Mark.SCRIPT);
    }

    private boolean isInScript(TypeOutline scope) {
        Outline file = program.fileOf(scope);
        return file.language().has(Habit.SCRIPTS_SHARE) && file.types().stream().anyMatch(Loose::isScript);
    }

    /** The type of another script that a name in a script means; empty where several could be meant. @param name perhaps behind others: {@code Quay.Tug} */
    Optional<TypeOutline> type(String name, TypeOutline scope) {
        if (!isInScript(scope)) {
            return Optional.empty();
        }
        int dot = name.lastIndexOf('.');
        Map<String, List<TypeOutline>> all = dot < 0 ? scripts.get().types() : scripts.get().members();
        return Optional.of(all.getOrDefault(name.substring(dot + 1), List.of())).filter(each -> each.size() == 1).map(each -> each.get(0));
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
        if (isInScript(scope)) {
            List<TypeOutline> declaring = scripts.get().modules().getOrDefault(name, List.of());
            return declaring.size() == 1 ? declaring : List.of();
        }
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
