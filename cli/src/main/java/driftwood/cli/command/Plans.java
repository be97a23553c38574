package driftwood.cli.command;

import driftwood.cli.Project;
import driftwood.cli.UsageException;
import driftwood.plan.Candidate;
import driftwood.plan.Plan;
import driftwood.store.Folder;
import driftwood.words.Nearest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** The plans of a project. */
final class Plans {
    private static final String FOLDER = "plans";

    private Plans() {
    }

    /** All that can be read, in the order of their names. */
    static List<Plan> all(Project project) {
        List<Plan> plans = new ArrayList<>();
        for (Path each : new Folder(project.root()).files(FOLDER)) {
            plans.add(read(each, project));
        }
        return plans;
    }

    /**
     * A plan by its file, by its name, or by the id of its finding where there is one plan for it that changes something.
     *
     * @throws UsageException where there is none, or several
     */
    static Plan of(String wanted, Project project) {
        Path file = Path.of(wanted);
        if (wanted.endsWith(".json") && Files.exists(file)) {
            return read(file.toAbsolutePath(), project);
        }
        String name = file.getFileName() == null ? wanted : file.getFileName().toString().replaceFirst("\\.json$", "");
        List<Path> files = new Folder(project.root()).files(FOLDER);
        List<Path> found = files.stream().filter(each -> name(each).equals(name)).toList();
        if (found.isEmpty()) {
            found = files.stream().filter(each -> name(each).startsWith(name + "-") && name.matches("[a-z]{2}-[0-9a-z]+")
                    && !name(each).endsWith("-" + Candidate.LEAVE)).toList();
        }
        if (found.size() > 1) {
            throw new UsageException("there are " + found.size() + " plans for " + name + ": " + String.join(", ", found.stream().map(Plans::name).toList()) + ". Name one.");
        }
        if (found.isEmpty()) {
            throw new UsageException("there is no plan '" + wanted + "' in " + project.root() + Nearest.to(name, files.stream().map(Plans::name).toList())
                    .map(near -> "; did you mean " + near + "?").orElse(".") + " 'driftwood plan ID' writes one.");
        }
        return read(found.get(0), project);
    }

    private static String name(Path file) {
        return file.getFileName().toString().replace(".json", "");
    }

    private static Plan read(Path file, Project project) {
        try {
            Plan plan = new Folder(project.root()).read(file, Plan.class);
            if (!Plan.FORMAT.equals(plan.format())) {
                throw new UsageException(file + " is a plan of another version (" + plan.format() + "). Make it again: driftwood plan " + plan.finding());
            }
            return plan;
        } catch (IOException e) {
            throw new UsageException(file + " is not a plan that this version can read: " + e.getMessage() + ". 'driftwood plan ID' writes one.");
        }
    }

    /** Keeps how far a plan is carried out. */
    static void save(Plan plan, Project project) {
        new Folder(project.root()).write(FOLDER + "/" + plan.fileName(), plan);
    }
}
