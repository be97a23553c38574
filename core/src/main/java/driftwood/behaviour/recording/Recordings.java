package driftwood.behaviour.recording;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recording.Step;
import driftwood.program.Symbol;
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
        return folder.write(PLACE + "/" + name(recording.of()), recording);
    }

    /** Where the recording of something is, or would be. */
    public Path file(String of) {
        return folder.path().resolve(PLACE).resolve(name(of));
    }

    private static String name(String of) {
        return of.replaceAll("[^A-Za-z0-9._-]", "_") + ".json";
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
            boolean older = "driftwood-recording/1".equals(recording.format());
            throw new IOException(older ? file + " was made by an older Driftwood, which compared what is private too. Go back to the "
                    + "code it was made of and renew it: driftwood characterize --anew " + recording.of()
                    : file + " is not a recording of the format " + Recording.FORMAT + " (it says " + recording.format() + ")");
        }
        List<Case> cases = new ArrayList<>();
        for (Case each : recording.cases()) {
            if (each.routine() == null || Symbol.of(each.routine()).member().isEmpty() || each.id() == null) {
                throw new IOException(file + " is damaged: case " + each.id() + " has no id or no routine");
            }
            cases.add(plain(each));
        }
        return recording.with(cases);
    }

    /** A case with its values as they are after being written and read. */
    public static Case plain(Case each) {
        List<Step> before = each.before() == null ? null : each.before().stream().map(step -> new Step(step.call(), step.of(),
                plain(step.make()), (ObjectNode) plain(step.given()))).toList();
        return new Case(each.id(), each.routine(), plain(each.on()), before, (ObjectNode) plain(each.given()), plain(each.outcome()),
                each.varies(), each.anyOrder());
    }

    private static JsonNode plain(JsonNode value) {
        return value == null ? null : Plain.of(value);
    }
}
