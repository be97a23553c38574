package driftwood.smell.detect.wiring;

import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.smell.Settings;
import java.util.List;
import java.util.regex.Pattern;

/** Composition roots: the places whose work it is to put the program together. */
final class Roots {
    private static final Pattern BY_NAME = Pattern.compile(".*(Factory|Factories|Builder|Main|Application|Config|Configuration|"
            + "Configurer|Module|Bootstrap|Bootstrapper|Wiring|Assembler|Assembly|Launcher|Provider|Creator)s?");

    private final List<Pattern> named;

    Roots(Settings settings) {
        named = settings.compositionRoots().stream().map(each ->
                Pattern.compile(each.replace(".", "\\.").replace("*", ".*"))).toList();
    }

    /**
     * Whether what a type, or a type around it, creates is put together there: by its name, the project's own word, or
     * in the main routine's class outside of what its instances do.
     *
     * @param creator symbol of the routine or field that creates
     */
    boolean isRoot(TypeOutline type, String creator, Program program) {
        boolean works = type.routine(creator).filter(each -> !each.traits().isStatic() && !each.isConstructor()).isPresent();
        for (TypeOutline each = type; each != null; each = program.type(each.outer()).orElse(null)) {
            String simple = each.simpleName();
            String qualified = each.name();
            if (BY_NAME.matcher(simple).matches() || named.stream().anyMatch(name -> name.matcher(simple).matches()
                    || name.matcher(qualified).matches())
                    || !works && each.routines().stream().anyMatch(routine -> routine.name().equals("main")
                    && routine.traits().isStatic()) || each.traits().annotations().stream()
                    .anyMatch(name -> name.endsWith("Configuration") || name.endsWith("Module"))) {
                return true;
            }
        }
        return false;
    }
}
