package driftwood.cli;

import java.io.PrintStream;

/**
 * Where a command writes. Results go to {@code out}, everything else to {@code err}.
 *
 * @param out      results
 * @param err      progress, warnings, errors
 * @param colour   whether the results go to a terminal that wants colour
 * @param progress whether progress may be shown
 * @param width    columns of the terminal, 100 where there is none
 */
public record Console(PrintStream out, PrintStream err, boolean colour, boolean progress, int width) {

    /** The console of this process: no colour and no progress unless on a terminal, none with NO_COLOR. */
    public static Console ofProcess() {
        boolean terminal = System.console() != null && isTerminal();
        boolean wanted = System.getenv("NO_COLOR") == null || System.getenv("NO_COLOR").isEmpty();
        return new Console(utf8(System.out), utf8(System.err), terminal && wanted, terminal, columns());
    }

    /** JDK 22 and newer give a console even without a terminal; they can also tell the difference. */
    private static boolean isTerminal() {
        try {
            return (boolean) java.io.Console.class.getMethod("isTerminal").invoke(System.console());
        } catch (ReflectiveOperationException olderJdk) {
            return true;
        }
    }

    private static PrintStream utf8(PrintStream stream) {
        return new PrintStream(stream, true, java.nio.charset.StandardCharsets.UTF_8);
    }

    private static int columns() {
        String columns = System.getenv("COLUMNS");
        try {
            return columns == null ? 100 : Math.max(40, Integer.parseInt(columns.strip()));
        } catch (NumberFormatException e) {
            return 100;
        }
    }

    /** A line on stderr, with the program's name before it. */
    public void warn(String message) {
        err.println("driftwood: " + message);
    }
}
