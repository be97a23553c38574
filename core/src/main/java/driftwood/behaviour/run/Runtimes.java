package driftwood.behaviour.run;

import driftwood.behaviour.recording.Recording;
import driftwood.program.Outline;
import driftwood.program.Program;
import driftwood.program.Symbol;
import driftwood.program.TypeOutline;
import driftwood.source.Language;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** The runtimes in which routines of other languages than Java are observed. */
public final class Runtimes {
    /** What interpreters said that they are, by what starts them: asking costs as much as a small program. */
    private static final Map<List<String>, List<String>> THEMSELVES = new ConcurrentHashMap<>();

    private Runtimes() {
    }

    /**
     * An interpreter.
     *
     * @param language that it runs
     * @param command  starts it
     */
    public record Interpreter(Language language, List<String> command) {

        /**
         * Starts the interpreter itself rather than what looks for it: a shim looks in the user's home, which observed code does
         * not see.
         */
        List<String> itself() {
            return command.size() > 1 ? command : THEMSELVES.computeIfAbsent(command, each -> asked());
        }

        private List<String> asked() {
            List<String> asking = new ArrayList<>(command);
            asking.addAll(List.of("-c", "import sys; print(sys.executable or '')"));
            try {
                Process process = new ProcessBuilder(asking).redirectErrorStream(true).start();
                String told = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
                return process.waitFor() == 0 && Files.isExecutable(Path.of(told)) ? List.of(told) : command;
            } catch (IOException | InvalidPathException e) {
                return command;
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return command;
            }
        }

        /** Whether it can be started here. */
        public boolean starts() {
            List<String> asking = new ArrayList<>(command);
            asking.add("--version");
            try {
                Process process = new ProcessBuilder(asking).redirectErrorStream(true).start();
                process.getInputStream().readAllBytes();
                return process.waitFor() == 0;
            } catch (IOException e) {
                return false;
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return false;
            }
        }
    }

    /** The interpreter of a language. @param command starts it, in words; empty for the usual one */
    public static Optional<Interpreter> of(Language language, String command) {
        return language.interpreter().map(known -> new Interpreter(language,
                List.of((command.isBlank() ? known.command() : command).strip().split("\\s+"))));
    }

    /** The interpreter that a project brings along, relative to where it is started; empty for the usual one. */
    public static String ownInterpreter(Language language, Path root) {
        for (String place : language.interpreter().map(Language.Interpreter::own).orElse(List.of())) {
            if (Files.isExecutable(root.resolve(place))) {
                return root.resolve(place).toString();
            }
        }
        return "";
    }

    /** The language of what a recording observes; that of the platform where nothing of it is left. */
    public static Language languageOf(Recording recording, Program program) {
        return recording.surface().stream().map(symbol -> program.type(Symbol.of(symbol).type()))
                .flatMap(Optional::stream).map(type -> program.fileOf(type).language()).findFirst()
                .orElseGet(() -> Language.all().stream().filter(Language::isOnTheJvm).findFirst().orElseThrow());
    }

    /** What Java code is run on here, as recordings note it. */
    public static String platform() {
        return "java " + Runtime.version().feature();
    }

    public static InterpreterRun run(Program program, Path root, Interpreter interpreter) {
        return new InterpreterRun(interpreter.itself(), interpreter.language().interpreter().orElseThrow().scripts(),
                imports(program, root, interpreter.language()));
    }

    /** Folders from which modules are imported: a file's path without the path that its module's name stands for. */
    private static List<Path> imports(Program program, Path root, Language language) {
        Set<Path> folders = new LinkedHashSet<>();
        for (Outline outline : program.outlines()) {
            Optional<TypeOutline> module = outline.types().stream().filter(TypeOutline::isModule).findFirst();
            if (outline.language() == language && !outline.test() && module.isPresent()) {
                String stem = outline.file().replaceFirst("(/__init__)?\\.[a-z]+$", "");
                String path = module.get().name().replace('.', '/');
                if (stem.endsWith(path)) {
                    folders.add(root.resolve(stem.substring(0, stem.length() - path.length())).normalize());
                }
            }
        }
        return List.copyOf(folders);
    }
}
