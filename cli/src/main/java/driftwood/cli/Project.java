package driftwood.cli;

import driftwood.pattern.Patterns;
import driftwood.smell.Finding;
import driftwood.smell.Memory;
import driftwood.smell.Scan;
import driftwood.smell.Settings;
import driftwood.source.Unread;
import driftwood.store.Cache;
import driftwood.store.Folder;
import driftwood.store.Configuration;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntConsumer;

/** The project a command works on: its root, the places in it to look at, and a scan of them. */
public final class Project {
    private static final int LISTED = 20;

    private final Path root;
    private final List<Path> places;

    private Project(Path root, List<Path> places) {
        this.root = root;
        this.places = places;
    }

    /**
     * The project of some operands: a single folder is the root itself; several places are told relative to the
     * working folder where it holds them all, else to the folder that does.
     *
     * @throws UsageException where a place does not exist
     */
    public static Project of(List<String> operands) {
        List<Path> places = new ArrayList<>();
        for (String operand : operands.isEmpty() ? List.of(".") : operands) {
            places.add(existing(operand));
        }
        Path here = Path.of("").toAbsolutePath();
        if (places.size() == 1 && Files.isDirectory(places.get(0))) {
            return new Project(places.get(0).toAbsolutePath().normalize(), places);
        }
        Path root = places.stream().allMatch(each -> each.toAbsolutePath().normalize().startsWith(here))
                ? here : common(places);
        return new Project(root, places);
    }

    private static Path existing(String operand) {
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

    private static Path common(List<Path> places) {
        Path root = places.get(0).toAbsolutePath().normalize().getParent();
        for (Path place : places) {
            while (!place.toAbsolutePath().normalize().startsWith(root)) {
                root = root.getParent();
            }
        }
        return root;
    }

    public Path root() {
        return root;
    }

    /** What a later command must add to work on the same project from here: nothing where this folder is its root. */
    public String option() {
        Path here = Path.of("").toAbsolutePath();
        if (root.equals(here)) {
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
        try {
            return Configuration.of(root);
        } catch (Configuration.Invalid e) {
            String near = e.unknownKey().isEmpty() ? "." : Nearest.to(e.unknownKey(), Configuration.KEYS)
                    .map(each -> "; did you mean '" + each + "'?").orElse(".") + " The keys are "
                    + String.join(", ", Configuration.KEYS) + ".";
            throw new UsageException(e.getMessage() + near);
        }
    }

    /** Scans the project; tells on stderr what could not be read. */
    public Scan.Result scan(List<String> smells, boolean tests, Console console) {
        return scan(smells, tests, false, console);
    }

    /** Scans the project for a command that needs all its files linked. */
    public Scan.Result link(Console console) {
        return scan(List.of(), false, true, console);
    }

    private Scan.Result scan(List<String> smells, boolean tests, boolean linked, Console console) {
        Progress progress = new Progress(console);
        IntConsumer count = progress::seen;
        Settings settings = settings();
        Memory memory = Cache.of(new Folder(root));
        Scan.Result result = new Scan(new Scan.Options(smells, tests, threads(), count, settings, memory,
                Patterns::fits))
                .run(root, places);
        if (linked) {
            result.program();
        }
        if (memory instanceof Cache cache) {
            cache.close();
        }
        progress.done();
        if (result.files() == 0 && result.unread().isEmpty()) {
            console.warn("nothing to read in " + root + ": no Java or Python source was found there. Hidden folders, build output "
                    + "and links are passed over.");
        }
        for (Unread complaint : result.complaints()) {
            console.warn(complaint.file() + ":" + complaint.line() + ": " + complaint.why() + ".");
        }
        for (String file : result.latin()) {
            console.warn(file + " is not UTF-8; it was read as ISO-8859-1.");
        }
        for (Unread unread : result.unread().subList(0, Math.min(LISTED, result.unread().size()))) {
            console.warn("not read: " + unread.file() + ":" + unread.line() + ": " + unread.why());
        }
        if (result.unread().size() > LISTED) {
            console.warn("not read: " + (result.unread().size() - LISTED)
                    + " more; 'driftwood scan --format json' lists them all.");
        }
        return result;
    }

    /**
     * The finding of an id.
     *
     * @throws UsageException where the scan has none of that id
     */
    public Finding finding(String id, Scan.Result result) {
        return result.findings().stream().filter(each -> each.id().equals(id)).findFirst().orElseThrow(() -> {
            List<String> known = result.findings().stream().map(Finding::id).toList();
            return new UsageException("no finding has the id '" + id + "' in " + root
                    + Nearest.to(id, known).map(near -> "; did you mean " + near + "?").orElse(".")
                    + " 'driftwood scan' lists the findings with their ids; --project DIR names another project.");
        });
    }
}
