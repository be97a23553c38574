package driftwood.behaviour;

import driftwood.behaviour.Recording.Case;
import driftwood.store.Folder;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** The recordings of a project, below {@code .driftwood/recordings}. */
public final class Recordings {
    private static final String PLACE = "recordings";

    private final Folder folder;

    public Recordings(Path root) {
        this(new Folder(root));
    }

    Recordings(Folder folder) {
        this.folder = folder;
    }

    /** Saves a recording under what it is of. */
    public Path save(Recording recording) {
        return folder.write(PLACE + "/" + recording.of().replaceAll("[^A-Za-z0-9._-]", "_") + ".json", recording);
    }

    public List<Path> files() {
        return folder.files(PLACE);
    }

    /**
     * Reads a recording.
     *
     * @throws IOException where the file is missing, damaged or of another format; the message says which
     */
    public Recording read(Path file) throws IOException {
        Recording recording = folder.read(file, Recording.class);
        if (!Recording.FORMAT.equals(recording.format()) || recording.cases() == null) {
            throw new IOException(file + " is no recording of the format " + Recording.FORMAT + " (it says "
                    + recording.format() + ")");
        }
        List<Case> cases = new ArrayList<>();
        for (Case each : recording.cases()) {
            if (each.routine() == null || each.routine().indexOf('#') < 0 || each.id() == null) {
                throw new IOException(file + " is damaged: case " + each.id() + " has no id or no routine");
            }
            cases.add(new Case(each.id(), each.routine(), each.on(), each.before(), each.given(),
                    each.outcome() == null ? null : Plain.of(each.outcome()), each.varies(), each.anyOrder()));
        }
        return new Recording(recording.format(), recording.of(), recording.surface(), recording.platform(), recording.strength(),
                recording.judged(), cases);
    }
}
