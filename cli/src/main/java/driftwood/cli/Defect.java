package driftwood.cli;

import driftwood.scan.Mishaps;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Arrays;

/** Reports defects of Driftwood's own: a sentence on stderr, the details in a file to send along. */
final class Defect {
    /** Details of more than these would only repeat themselves. */
    private static final int MOST = 20;

    private Defect() {
    }

    static void report(Throwable problem, String[] arguments, Console console) {
        String details = about("arguments: " + Arrays.toString(arguments), problem);
        String where;
        try {
            Path file = Files.createTempFile("driftwood-defect-", ".txt");
            Files.writeString(file, details);
            where = "The details are in " + file + ": please send that file with a report.";
        } catch (IOException e) {
            where = "The details could not be saved (" + e.getMessage() + "): " + details;
        }
        console.warn("this is a defect in Driftwood (" + problem.getClass().getSimpleName() + "). " + where);
    }

    private static String about(String what, Throwable problem) {
        StringWriter text = new StringWriter();
        text.append("driftwood ").append(Version.current()).append(", Java ")
                .append(Runtime.version().toString()).append(", ").append(System.getProperty("os.name"))
                .append('\n').append(what).append("\n\n");
        problem.printStackTrace(new PrintWriter(text, true));
        return text.append('\n').toString();
    }

    /** Keeps the details of failures that cost one file, all of a run in one place. */
    static Mishaps keeper() {
        return new Mishaps() {
            private Path file;
            private int kept;

            @Override
            public synchronized String keep(String what, Throwable problem) {
                try {
                    file = file == null ? Files.createTempFile("driftwood-defect-", ".txt") : file;
                    if (kept++ < MOST) {
                        Files.writeString(file, about(what, problem), StandardOpenOption.APPEND);
                    }
                    return "; please report it with " + file;
                } catch (IOException e) {
                    return "";
                }
            }
        };
    }
}
