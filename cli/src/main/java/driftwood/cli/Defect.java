package driftwood.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;

/** Reports a defect of Driftwood's own: a sentence on stderr, the details in a file to send along. */
final class Defect {
    private Defect() {
    }

    static void report(Throwable problem, String[] arguments, Console console) {
        StringWriter text = new StringWriter();
        text.append("driftwood ").append(Version.current()).append(", Java ")
                .append(Runtime.version().toString()).append(", ").append(System.getProperty("os.name"))
                .append("\narguments: ").append(Arrays.toString(arguments)).append("\n\n");
        problem.printStackTrace(new PrintWriter(text, true));
        String where;
        try {
            Path file = Files.createTempFile("driftwood-defect-", ".txt");
            Files.writeString(file, text.toString());
            where = "The details are in " + file + ": please send that file with a report.";
        } catch (IOException e) {
            where = "The details could not be saved (" + e.getMessage() + "): " + text;
        }
        console.warn("this is a defect in Driftwood (" + problem.getClass().getSimpleName() + "). " + where);
    }
}
