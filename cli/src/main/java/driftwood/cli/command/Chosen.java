package driftwood.cli.command;

import driftwood.behaviour.view.Surface;
import driftwood.cli.Console;
import driftwood.cli.Project;
import driftwood.cli.UsageException;
import driftwood.plan.Plan;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.scan.Scan;
import driftwood.smell.Finding;
import driftwood.source.Texts;
import driftwood.store.Folder;
import driftwood.words.Nearest;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/**
 * What is to be recorded: around a finding, of a type or of one routine, or of what the user names instead.
 *
 * @param of      what the recording will be called
 * @param kept    the types that the user named to be kept; none where a finding was named
 * @param surface what is observed
 * @param file    that it is in, relative to the project
 */
record Chosen(String of, List<String> kept, Surface surface, String file) {

    /**
     * Understands what was asked for.
     *
     * @param wanted  id of a finding, path of a plan, a type, or TYPE#ROUTINE
     * @param instead such names after commas; empty where Driftwood is to choose
     * @param console told where a plan was made for other sources
     * @throws UsageException where there is none of that name, or several
     */
    static Chosen of(String wanted, String instead, Project project, Scan.Result result, Console console) {
        if (wanted.endsWith(".json")) {
            return of(planned(wanted, project, console), instead, project, result, console);
        }
        Chosen chosen = wanted.matches("[a-z]{2}-[0-9a-z]+") ? around(project.finding(wanted, result), result)
                : named(wanted, project, result);
        if (result.around(chosen.file()).program() != result.program()) {
            throw new UsageException(chosen.file() + " is in a source tree of its own: another one has types of the same names. "
                    + "Say which is meant with --project DIR, the folder of that tree.");
        }
        if (instead.isEmpty()) {
            return chosen;
        }
        Surface surface = new Surface(List.of(), List.of());
        for (String each : instead.split(",")) {
            surface = surface.and(named(each.strip(), project, result).surface());
        }
        return new Chosen(chosen.of(), chosen.kept(), surface, chosen.file());
    }

    /** The id of the finding that a plan answers. */
    private static String planned(String file, Project project, Console console) {
        Path path = Path.of(file).toAbsolutePath();
        try {
            Plan plan = new Folder(path.getParent()).read(path, Plan.class);
            List<String> changed = plan.changed(new Texts(project.root()));
            if (!changed.isEmpty()) {
                console.warn(file + " was made for other sources; changed since: " + String.join(", ", changed)
                        + ". Make it again: driftwood plan " + plan.finding() + " --pattern " + plan.pattern());
            }
            return plan.finding();
        } catch (IOException | RuntimeException e) {
            throw new UsageException(file + " is not a plan: " + e.getMessage() + ". 'driftwood plan ID' writes one.");
        }
    }

    private static Chosen around(Finding finding, Scan.Result result) {
        return new Chosen(finding.id(), List.of(), Surface.around(finding, result.around(finding.file()).program()), finding.file());
    }

    private static Chosen named(String wanted, Project project, Scan.Result result) {
        int hash = wanted.indexOf('#');
        TypeOutline type = type(hash < 0 ? wanted : wanted.substring(0, hash), project, result);
        if (hash < 0) {
            return new Chosen(type.name(), List.of(type.name()), Surface.of(type, result.program()), type.file());
        }
        String routine = wanted.substring(hash + 1).replaceAll("\\(.*", "");
        List<String> names = type.routines().stream().map(RoutineOutline::name).distinct().toList();
        if (!names.contains(routine)) {
            throw new UsageException(type.name() + " has no routine " + routine
                    + Nearest.to(routine, names).map(near -> "; did you mean " + near + "?").orElse("."));
        }
        return new Chosen(type.name() + "#" + routine, List.of(type.name()), Surface.of(type, List.of(routine), result.program()), type.file());
    }

    /** By qualified name, or by simple name where only one type has it. */
    private static TypeOutline type(String wanted, Project project, Scan.Result result) {
        Optional<TypeOutline> qualified = result.program().type(wanted);
        if (qualified.isPresent()) {
            return qualified.get();
        }
        List<TypeOutline> simple = result.program().types().stream()
                .filter(each -> each.simpleName().equals(wanted) && !each.anonymous()).toList();
        if (simple.size() > 1) {
            throw new UsageException("there are " + simple.size() + " types named " + wanted + ": "
                    + String.join(", ", simple.stream().map(TypeOutline::name).toList()) + ". Name one in full.");
        }
        List<String> types = result.program().types().stream().map(TypeOutline::simpleName).distinct().toList();
        return simple.stream().findFirst().orElseThrow(() -> new UsageException("there is no type and no finding '" + wanted
                + "' in " + project.root() + Nearest.to(wanted, types).map(near -> "; did you mean " + near + "?").orElse(".")));
    }
}
