package driftwood.cli;

import driftwood.cli.render.Here;
import driftwood.pattern.Patterns;
import driftwood.scan.Scan;
import driftwood.scan.memory.Memory;
import driftwood.smell.Finding;
import driftwood.smell.Settings;
import driftwood.source.Unread;
import driftwood.store.Cache;
import driftwood.store.Configuration;
import driftwood.store.Folder;
import driftwood.store.Wanted;
import driftwood.words.Nearest;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** The project a command works on: its root, the places in it that the user named, and a scan of it. */
public final class Project {
    private static final int LISTED = 20;

    private final Path root;
    private final Scope scope;

    private Project(Path root, List<Path> places) {
        this.root = root;
        this.scope = new Scope(root, places);
    }

    /**
     * The project that a folder belongs to.
     *
     * @throws UsageException where there is no such folder
     */
    public static Project at(String folder, Console console) {
        Path place = existing(folder).toAbsolutePath().normalize();
        Project project = new Project(Roots.of(place), List.of(place));
        project.announce(console);
        return project;
    }

    /**
     * The projects that some places belong to: each place is in one of them.
     *
     * @param operands files and folders; this folder where there are none
     * @throws UsageException where one does not exist
     */
    public static List<Project> all(List<String> operands, Console console) {
        Map<Path, List<Path>> places = new LinkedHashMap<>();
        for (String operand : operands.isEmpty() ? List.of(".") : operands) {
            Path place = existing(operand).toAbsolutePath().normalize();
            places.computeIfAbsent(Roots.of(place), root -> new ArrayList<>()).add(place);
        }
        List<Project> projects = new ArrayList<>();
        places.forEach((root, named) -> projects.add(new Project(root, named)));
        projects.forEach(each -> each.announce(console));
        return projects;
    }

    /** Says which project it is where that cannot be told from what was typed. */
    private void announce(Console console) {
        if (!scope.isWhole() && !root.equals(Path.of("").toAbsolutePath())) {
            console.note("the project is " + root + ".");
        }
        Path misnamed = root.resolve("driftwood.yml");
        if (Files.exists(misnamed)) {
            console.warn(misnamed + " is not read: the file is called " + Configuration.FILE + ".");
        }
    }

    private static Path existing(String operand) {
        if (operand.isBlank()) {
            throw new UsageException("'' is not a path. Is a variable of the shell empty? Name a file or folder, or nothing for this folder.");
        }
        try {
            Path place = Path.of(operand);
            if (Files.exists(place)) {
                return place;
            }
        } catch (InvalidPathException e) {
            throw new UsageException("'" + operand + "' is not a path: " + e.getReason() + ".");
        }
        throw new UsageException("there is no file or folder '" + operand + "'. Paths are taken from "
                + Path.of("").toAbsolutePath() + ".");
    }

    public Path root() {
        return root;
    }

    /** The places that were named. */
    public Scope scope() {
        return scope;
    }

    /** What a later command must add to work on the same project from here: nothing where this folder is in it. */
    public String option() {
        Path here = Path.of("").toAbsolutePath();
        if (Roots.of(here).equals(root)) {
            return "";
        }
        String way = (root.startsWith(here) ? here.relativize(root) : root).toString();
        return " --project " + (way.matches("[\\w./+-]+") ? way : "'" + way + "'");
    }

    private static int threads() {
        return Integer.getInteger("driftwood.threads", Runtime.getRuntime().availableProcessors());
    }

    /** What the project decides for itself. @throws UsageException where its file cannot be understood */
    public Settings settings() {
        return configuration().settings();
    }

    /** What the project wants to be told. @throws UsageException where its file cannot be understood */
    public Wanted wanted() {
        return configuration().wanted();
    }

    private Configuration configuration() {
        try {
            return Configuration.in(root);
        } catch (Configuration.Invalid e) {
            String near = e.unknownKey().isEmpty() ? "." : Nearest.to(e.unknownKey(), Configuration.KEYS)
                    .map(each -> "; did you mean '" + each + "'?").orElse(".") + " The keys are "
                    + String.join(", ", Configuration.KEYS) + ".";
            throw new UsageException(shown(Configuration.FILE) + e.getMessage() + near);
        }
    }

    /** Scans the whole project; tells on stderr what could not be read of the places that were named. */
    public Scan.Result scan(List<String> smells, boolean tests, Console console) {
        return scan(smells, tests, false, console);
    }

    /** Scans the project for a command that needs all its files linked. */
    public Scan.Result link(Console console) {
        return scan(List.of(), false, true, console);
    }

    private Scan.Result scan(List<String> smells, boolean tests, boolean linked, Console console) {
        Settings settings = settings();
        Memory memory = Cache.of(new Folder(root));
        List<Path> places = new ArrayList<>(List.of(root));
        places.addAll(scope.places());
        Scan.Result result;
        try (Progress progress = console.progress("reading", "files")) {
            result = new Scan(new Scan.Options(smells, tests, threads(), progress::at, settings, memory, Patterns::all, Defect.keeper()))
                    .run(root, places);
            if (linked) {
                result.program();
            }
        }
        if (memory instanceof Cache cache) {
            cache.close();
        }
        tell(result, console);
        return result;
    }

    private void tell(Scan.Result result, Console console) {
        for (Unread complaint : result.complaints()) {
            if (scope.has(complaint.file())) {
                console.warn(shown(complaint.file()) + ":" + complaint.line() + ": " + complaint.why() + ".");
            }
        }
        result.latin().stream().filter(scope::has).forEach(file -> console.warn(shown(file) + " is not UTF-8; it was read as ISO-8859-1."));
        List<Unread> unread = result.unread().stream().filter(each -> scope.has(each.file())).toList();
        for (Unread each : unread.subList(0, Math.min(LISTED, unread.size()))) {
            console.warn("not read: " + shown(each.file()) + ":" + each.line() + ": " + each.why());
        }
        if (unread.size() > LISTED) {
            console.warn("not read: " + (unread.size() - LISTED) + " more; 'driftwood scan --format json' lists them all.");
        }
        int elsewhere = result.unread().size() - unread.size();
        if (elsewhere > 0) {
            console.warn(elsewhere + (elsewhere == 1 ? " place" : " places") + " elsewhere in the project could not be read; what depends on "
                    + (elsewhere == 1 ? "it" : "them") + " may be missing.");
        }
    }

    /** Where the user stands. */
    public Here here() {
        return new Here(root, option());
    }

    /** A file as it is reached from the folder the user stands in. @param file relative to the root */
    public String shown(String file) {
        return here().path(file);
    }

    /**
     * The finding of an id.
     *
     * @throws UsageException where the scan has none of that id
     */
    public Finding finding(String id, Scan.Result result) {
        return Stream.concat(result.findings().stream(), result.left().stream()).filter(each -> each.id().equals(id)).findFirst().orElseThrow(() -> {
            List<String> known = result.findings().stream().map(Finding::id).toList();
            return new UsageException("no finding has the id '" + id + "' in " + root
                    + Nearest.to(id, known).map(near -> "; did you mean " + near + "?").orElse(".")
                    + " 'driftwood scan' lists the findings with their ids; --project DIR names another project.");
        });
    }
}
