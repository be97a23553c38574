package driftwood.cli;

import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.Map;

/**
 * Where a command writes. Results go to {@code out}, everything else to {@code err}.
 *
 * @param out      results
 * @param err      progress, warnings, errors
 * @param colour   whether the results go to a terminal that wants colour
 * @param progress whether progress may be shown
 * @param quiet    whether only results, warnings and errors are wanted
 * @param width    columns of the terminal, 100 where there is none
 */
public record Console(PrintStream out, PrintStream err, boolean colour, boolean progress, boolean quiet, int width) {
    private static final int WIDTH = 100;
    private static final int LEAST_WIDTH = 40;

    /** The console of this process: no colour and no progress unless on a terminal that can do it, no colour with NO_COLOR. */
    public static Console of(Output output) {
        boolean terminal = System.console() != null && isTerminal();
        boolean able = terminal && !"dumb".equals(System.getenv("TERM"));
        boolean wanted = System.getenv("NO_COLOR") == null || System.getenv("NO_COLOR").isEmpty();
        return new Console(new PrintStream(output, false, StandardCharsets.UTF_8), new PrintStream(System.err, true, StandardCharsets.UTF_8),
                able && wanted, able, false, columns(System.getenv()));
    }

    /** JDK 22 and newer give a console even without a terminal; they can also tell the difference. */
    private static boolean isTerminal() {
        try {
            return (boolean) java.io.Console.class.getMethod("isTerminal").invoke(System.console());
        } catch (ReflectiveOperationException olderJdk) {
            return true;
        }
    }

    static int columns(Map<String, String> environment) {
        try {
            String columns = environment.get("COLUMNS");
            return columns == null ? WIDTH : Math.max(LEAST_WIDTH, Integer.parseInt(columns.strip()));
        } catch (NumberFormatException e) {
            return WIDTH;
        }
    }

    /** The same without what only keeps company. */
    public Console quietly() {
        return new Console(out, err, colour, false, true, width);
    }

    /** The same with colour or without. */
    Console coloured(boolean wanted) {
        return new Console(out, err, wanted, progress, quiet, width);
    }

    /** The same with its results elsewhere: not on a terminal. */
    Console into(PrintStream other) {
        return new Console(other, err, false, progress, quiet, width);
    }

    /** Something on stderr that must not be missed, with the program's name before it. */
    public void warn(String message) {
        err.println("driftwood: " + message);
    }

    /** What is being done, on stderr; not said where only results are wanted. */
    public void note(String message) {
        if (!quiet) {
            warn(message);
        }
    }

    /** To tell how far a work has come. @param unit what is counted, in the plural */
    public Progress progress(String what, String unit) {
        return new Progress(this, what, unit);
    }
}
