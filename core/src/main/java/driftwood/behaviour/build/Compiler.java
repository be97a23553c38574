package driftwood.behaviour.build;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import javax.tools.Diagnostic;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.apache.commons.io.FileUtils;

/** Compiles a project's sources into a folder. Annotation processors are not run: they would be the project's code. */
public final class Compiler {
    private static final int SHOWN = 5;

    /** The project does not compile. The message shows the first errors. */
    public static final class DoesNotCompile extends Exception {
        private static final long serialVersionUID = 1;

        DoesNotCompile(String message) {
            super(message);
        }
    }

    private Compiler() {
    }

    /**
     * Compiles.
     *
     * @param root      for telling paths
     * @param sources   files to compile
     * @param classPath what they need; may be empty
     * @param target    emptied first, then holds the class files
     * @throws DoesNotCompile where there are errors; the target is empty then
     */
    public static void compile(Path root, List<Path> sources, List<Path> classPath, Path target) throws DoesNotCompile {
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        DiagnosticCollector<JavaFileObject> problems = new DiagnosticCollector<>();
        try (StandardJavaFileManager files = compiler.getStandardFileManager(problems, Locale.ENGLISH,
                StandardCharsets.UTF_8)) {
            empty(target);
            List<String> options = new ArrayList<>(List.of("-proc:none", "-nowarn", "-g", "-parameters",
                    "-d", target.toString(), "-sourcepath", target.toString()));
            options.addAll(List.of("-classpath", classPath.isEmpty() ? target.toString()
                    : classPath.stream().map(Path::toString).collect(Collectors.joining(File.pathSeparator))));
            boolean ok = compiler.getTask(null, files, problems, options, null, files.getJavaFileObjectsFromPaths(sources))
                    .call();
            if (!ok) {
                empty(target);
                throw new DoesNotCompile(describe(root, problems.getDiagnostics()));
            }
        } catch (IOException e) {
            throw new UncheckedIOException("cannot write class files to " + target, e);
        }
    }

    private static String describe(Path root, List<Diagnostic<? extends JavaFileObject>> problems) {
        List<String> errors = new ArrayList<>();
        for (Diagnostic<? extends JavaFileObject> each : problems) {
            if (each.getKind() == Diagnostic.Kind.ERROR) {
                String file = each.getSource() == null ? "" : relative(root, Path.of(each.getSource().toUri())) + ":"
                        + each.getLineNumber() + ": ";
                errors.add(file + each.getMessage(Locale.ENGLISH).lines().limit(2).map(String::strip)
                        .map(line -> line.replaceAll("\\s+", " ")).collect(Collectors.joining(", ")));
            }
        }
        String shown = String.join("\n  ", errors.subList(0, Math.min(SHOWN, errors.size())));
        return "\n  " + shown + (errors.size() > SHOWN ? "\n  and " + (errors.size() - SHOWN) + " errors more" : "");
    }

    private static String relative(Path root, Path file) {
        return (file.startsWith(root) ? root.relativize(file) : file).toString().replace('\\', '/');
    }

    private static void empty(Path folder) throws IOException {
        Files.createDirectories(folder);
        FileUtils.cleanDirectory(folder.toFile());
    }
}
