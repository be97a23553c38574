package driftwood.smell.detect.wiring;

import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.smell.Settings;
import java.util.List;
import java.util.regex.Pattern;

/** Composition roots: the places whose work it is to put the program together. */
final class Roots {
    private static final Pattern BY_NAME = Pattern.compile(".*(Factory|Factories|Builder|Main|App|Application|Config|"
            + "Configuration|Configurer|Module|Bootstrap|Bootstrapper|Wiring|Assembler|Assembly|Launcher|Provider|Creator|"
            + "Registry|Registrar|Demo|Example|Installer|Plugin|Activator|Starter|Runner|Command|Catalogue|Catalog|Context)s?");

    private final List<Pattern> named;

    Roots(Settings settings) {
        named = settings.compositionRoots().stream().map(each ->
                Pattern.compile(each.replace(".", "\\.").replace("*", ".*"))).toList();
    }

    /** Whether a type, or a type around it, is a composition root: by its name, the project's own word, or a main routine. */
    boolean isRoot(TypeOutline type, Program program) {
        for (TypeOutline each = type; each != null; each = program.type(each.outer()).orElse(null)) {
            String simple = each.simpleName();
            String qualified = each.name();
            if (BY_NAME.matcher(simple).matches() || named.stream().anyMatch(name -> name.matcher(simple).matches()
                    || name.matcher(qualified).matches())
                    || each.routines().stream().anyMatch(routine -> routine.name().equals("main")
                    && routine.traits().isStatic()) || each.traits().annotations().stream()
                    .anyMatch(name -> name.endsWith("Configuration") || name.endsWith("Module"))) {
                return true;
            }
        }
        return false;
    }
}
