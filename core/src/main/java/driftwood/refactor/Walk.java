package driftwood.refactor;

import com.fasterxml.jackson.annotation.JsonInclude;
import driftwood.store.Folder;
import driftwood.store.Whole;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A refactoring that is being carried out on the files of a project, a stage at a time. A journal says before every write
 * what was and what will be: whatever ends this process, each file is whole, and the next start knows where the walk stood.
 */
public final class Walk {
    private static final String JOURNAL = "refactoring.json";
    private final Path root;
    private final Journal journal;

    /**
     * What is kept of a walk.
     *
     * @param plan    name of the plan's file, without its folder
     * @param stages  all of them
     * @param done    how many stages stand
     * @param writing whether the files of the next one are being written or tried
     */
    record Journal(String plan, List<Kept> stages, int done, boolean writing) {
    }

    /**
     * A stage.
     *
     * @param does  in the imperative
     * @param files what it changes
     * @param meant whether a change of behaviour is its point
     */
    record Kept(String does, List<Turn> files, boolean meant) {
    }

    /**
     * A file before and after a stage.
     *
     * @param before absent where it is not there before; so is {@code after}
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record Turn(String file, Encoded kept, String before, String after) {
    }

    /** Somebody else changed files in the meantime; nothing is written then. */
    public static final class Disturbed extends Exception {
        private static final long serialVersionUID = 1;

        Disturbed(List<String> files) {
            super(String.join(", ", files) + (files.size() == 1 ? " is" : " are") + " neither as before the stage nor as after it");
        }
    }

    private Walk(Path root, Journal journal) {
        this.root = root;
        this.journal = journal;
    }

    /**
     * Begins; nothing but the journal is written yet.
     *
     * @param plan name of the plan's file
     * @throws Refused where a text cannot be kept in its file's encoding
     */
    public static Walk begin(Path root, String plan, Refactoring refactoring) throws IOException {
        Map<String, Encoded> kept = new LinkedHashMap<>();
        for (String file : refactoring.files()) {
            Path path = root.resolve(file);
            kept.put(file, Files.exists(path) ? Encoded.of(Files.readAllBytes(path)) : Encoded.USUAL);
        }
        List<Kept> stages = new ArrayList<>();
        for (int i = 0; i < refactoring.stages().size(); i++) {
            List<Turn> files = new ArrayList<>();
            for (String file : refactoring.stages().get(i).files().keySet()) {
                String after = refactoring.after(file, i + 1).orElse(null);
                if (after != null) {
                    kept.get(file).bytes(after);
                }
                files.add(new Turn(file, kept.get(file), refactoring.after(file, i).orElse(null), after));
            }
            stages.add(new Kept(refactoring.stages().get(i).does(), files, refactoring.stages().get(i).meant()));
        }
        return new Walk(root, new Journal(plan, stages, 0, false)).kept();
    }

    /** The walk that was begun in a project and not ended; empty where there is none. */
    public static Optional<Walk> unfinished(Path root) throws IOException {
        // driftwood: leave hard-coded-instantiation because the folder is a name for a place below the root, which is handed in
        Path file = new Folder(root).path().resolve(JOURNAL);
        return Files.exists(file) ? Optional.of(new Walk(root, new Folder(root).read(file, Journal.class))) : Optional.empty();
    }

    private Walk kept() {
        new Folder(root).write(JOURNAL, journal);
        return this;
    }

    private Walk at(int done, boolean writing) {
        return new Walk(root, new Journal(journal.plan(), journal.stages(), done, writing)).kept();
    }

    /** Name of the plan's file. */
    public String plan() {
        return journal.plan();
    }

    /** How many stages stand. */
    public int done() {
        return journal.done();
    }

    /** How many there are. */
    public int stages() {
        return journal.stages().size();
    }

    /** Whether a stage was being written or tried when the walk was left. */
    public boolean isTorn() {
        return journal.writing();
    }

    /** What a stage does. @param stage from 0 */
    public String does(int stage) {
        return journal.stages().get(stage).does();
    }

    /** Whether a change of behaviour is the point of a stage. @param stage from 0 */
    public boolean isMeant(int stage) {
        return journal.stages().get(stage).meant();
    }

    /** The files of a stage. @param stage from 0 */
    public List<String> files(int stage) {
        return journal.stages().get(stage).files().stream().map(Turn::file).toList();
    }

    /** Writes the files of the next stage. @throws Disturbed where one is not as the stage before left it */
    public Walk write() throws IOException, Disturbed {
        List<Turn> turns = journal.stages().get(journal.done()).files();
        List<String> other = new ArrayList<>();
        for (Turn each : turns) {
            if (!is(each, each.before())) {
                other.add(each.file());
            }
        }
        if (!other.isEmpty()) {
            throw new Disturbed(other);
        }
        Walk writing = at(journal.done(), true);
        for (Turn each : turns) {
            put(each, each.after());
        }
        return writing;
    }

    /** The stage that was written stands. */
    public Walk accept() {
        return at(journal.done() + 1, false);
    }

    /**
     * Puts the files of the stage that was being written back.
     *
     * @throws Disturbed where one of them is neither as before nor as after it; nothing is changed then
     */
    public Walk rollBack() throws IOException, Disturbed {
        List<Turn> turns = journal.stages().get(journal.done()).files();
        List<String> other = new ArrayList<>();
        for (Turn each : turns) {
            if (!is(each, each.before()) && !is(each, each.after())) {
                other.add(each.file());
            }
        }
        if (!other.isEmpty()) {
            throw new Disturbed(other);
        }
        for (Turn each : turns) {
            put(each, each.before());
        }
        return at(journal.done(), false);
    }

    /** Nothing more is to be done: the journal goes, the files stay as they are. */
    public void end() throws IOException {
        Files.deleteIfExists(new Folder(root).path().resolve(JOURNAL));
    }

    private boolean is(Turn turn, String text) throws IOException {
        Path path = root.resolve(turn.file());
        if (!Files.exists(path)) {
            return text == null;
        }
        return text != null && turn.kept().text(Files.readAllBytes(path)).equals(text);
    }

    private void put(Turn turn, String text) {
        Path path = root.resolve(turn.file());
        try {
            if (text == null) {
                Files.deleteIfExists(path);
            } else if (!is(turn, text)) {
                Files.createDirectories(path.getParent());
                Whole.write(path, turn.kept().bytes(text), new Folder(root).path());
            }
        } catch (IOException e) {
            throw new UncheckedIOException("cannot write " + path, e);
        }
    }
}
