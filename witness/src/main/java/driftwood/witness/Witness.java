package driftwood.witness;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;

/**
 * The program that runs in the observed process: reads scripts, runs each within its time, and writes what happened.
 * A byte before each case says that it was begun, so that whoever started the process can tell which case ended it.
 */
public final class Witness {
    /** Exit code after a case that did not end in time: the process cannot be trusted any more. */
    public static final int ENDLESS = 97;
    /** Exit code after a case that left threads computing: they would starve all others. */
    public static final int HAUNTED = 98;
    /** A case that only waits may take this many times its limit. */
    public static final int PATIENCE = 5;
    /** Written before a case is run. */
    public static final int BEGIN = 1;
    /** Written before an outcome. */
    public static final int END = 2;

    private Witness() {
    }

    /**
     * Runs scripts.
     *
     * @param arguments file of scripts, file to append outcomes to, milliseconds for each case
     */
    public static void main(String[] arguments) throws IOException {
        List<Script> scripts;
        Asking asking;
        try (DataInputStream from = new DataInputStream(new BufferedInputStream(
                Files.newInputStream(Path.of(arguments[0]))))) {
            asking = Wire.asking(from);
            scripts = Wire.scripts(from);
        }
        long limit = Long.parseLong(arguments[2]);
        Stage stage = new Stage(limit, asking, false);
        try (DataOutputStream to = new DataOutputStream(new BufferedOutputStream(
                Files.newOutputStream(Path.of(arguments[1]), StandardOpenOption.APPEND)))) {
            to.writeByte(BEGIN);
            to.flush();
            for (Script script : scripts) {
                Outcome outcome = stage.run(script, Witness.class.getClassLoader());
                to.writeByte(END);
                Wire.write(to, outcome);
                if (outcome.ending().equals("endless")) {
                    to.flush();
                    Runtime.getRuntime().halt(ENDLESS);
                }
                if (stage.isHaunted()) {
                    to.flush();
                    Runtime.getRuntime().halt(HAUNTED);
                }
                to.writeByte(BEGIN);
                to.flush();
            }
        }
        Runtime.getRuntime().halt(0);
    }
}
