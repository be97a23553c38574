package driftwood.read.java;

import com.sun.source.util.JavacTask;
import com.sun.source.util.TaskEvent;
import com.sun.source.util.TaskListener;
import driftwood.read.SketchCheck;
import java.io.File;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javax.tools.Diagnostic;
import javax.tools.DiagnosticCollector;
import javax.tools.FileObject;
import javax.tools.ForwardingJavaFileManager;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.StandardJavaFileManager;
import javax.tools.StandardLocation;
import javax.tools.ToolProvider;

/**
 * Compiles changed Java in memory, once as it is and once as it would be, and tells the errors that are new: libraries
 * that are not at hand are missing both times. Nothing is written; annotation processors are not run.
 */
final class JavaCheck implements SketchCheck {
    private static final Pattern UNKNOWN = Pattern.compile("symbol:\\s+\\w+\\s+(\\w+)|^(\\w+)(?:\\([^)]*\\))? has private access in ");

    @Override
    public List<Complaint> complaints(Path root, Map<String, String> sources, Map<String, String> before, Map<String, String> after) {
        String path = roots(root, sources).stream().map(Path::toString).collect(Collectors.joining(File.pathSeparator));
        try {
            List<Complaint> old = errors(before, path);
            List<Complaint> fresh = new ArrayList<>();
            for (Complaint each : errors(after, path)) {
                if (!old.remove(each)) {
                    fresh.add(each);
                }
            }
            return fresh;
        } catch (RuntimeException | StackOverflowError | AssertionError e) {
            // A compiler that gives up has checked nothing.
            return List.of(new Complaint("", "", "the compiler gave up on it"));
        }
    }

    /** The folders that packages begin in, told by the package that each file says it is in. */
    private static Set<Path> roots(Path root, Map<String, String> sources) {
        Set<Path> roots = new LinkedHashSet<>();
        sources.forEach((source, named) -> {
            Path folder = root.resolve(source).getParent();
            for (int i = 0; folder != null && !named.isEmpty() && i < named.split("\\.").length; i++) {
                folder = folder.getParent();
            }
            roots.add(folder == null ? root : folder);
        });
        return roots;
    }

    private static List<Complaint> errors(Map<String, String> texts, String path) {
        DiagnosticCollector<JavaFileObject> told = new DiagnosticCollector<>();
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        try (StandardJavaFileManager files = compiler.getStandardFileManager(told, Locale.ROOT, StandardCharsets.UTF_8)) {
            List<JavaFileObject> units = texts.entrySet().stream().<JavaFileObject>map(each -> new InMemory(each.getKey(), each.getValue())).toList();
            if (units.isEmpty()) {
                return new ArrayList<>();
            }
            JavacTask task = (JavacTask) compiler.getTask(new StringWriter(), new Unnamed(files), told, List.of("-proc:none", "-implicit:none",
                    "-sourcepath", path, "-classpath", "", "-Xmaxerrs", "1000", "-XDcompilePolicy=byTodo", "-XDshould-stop.ifError=FLOW",
                    "-XDshould-stop.ifNoError=FLOW"), null, units);
            task.addTaskListener(new OnlyTheChanged());
            task.call();
        } catch (RuntimeException e) {
            // Thrown by the listener, handed on by the compiler: what changes is checked.
            if (!(e.getCause() instanceof Enough)) {
                throw e;
            }
        } catch (IOException e) {
            throw new UncheckedIOException("the compiler could not be asked", e);
        }
        List<Complaint> errors = new ArrayList<>();
        for (Diagnostic<? extends JavaFileObject> each : told.getDiagnostics()) {
            if (each.getKind() == Diagnostic.Kind.ERROR) {
                String says = each.getMessage(Locale.ROOT);
                Matcher unknown = UNKNOWN.matcher(says);
                String name = !unknown.find() ? "" : unknown.group(1) != null ? unknown.group(1) : unknown.group(2);
                errors.add(new Complaint(each.getSource() instanceof InMemory own ? own.file : "", name, says.lines().findFirst().orElse("")));
            }
        }
        return errors;
    }

    /** Ends the compilation at the first file that is only read for what changes: those are many, and come last. */
    private static final class OnlyTheChanged implements TaskListener {

        @Override
        public void started(TaskEvent event) {
            if (event.getKind() == TaskEvent.Kind.ANALYZE && !"memory".equals(event.getSourceFile().toUri().getScheme())) {
                throw new Enough();
            }
        }
    }

    private static final class Enough extends RuntimeException {
        private static final long serialVersionUID = 1;
    }

    /** The project as one unnamed module: what its own module needs may not be at hand, and nothing would be checked then. */
    private static final class Unnamed extends ForwardingJavaFileManager<StandardJavaFileManager> {

        Unnamed(StandardJavaFileManager files) {
            super(files);
        }

        @Override
        public JavaFileObject getJavaFileForInput(Location location, String name, JavaFileObject.Kind kind) throws IOException {
            return location == StandardLocation.SOURCE_PATH && name.equals("module-info") ? null : super.getJavaFileForInput(location, name, kind);
        }

        @Override
        public boolean contains(Location location, FileObject file) throws IOException {
            return file instanceof InMemory ? location == StandardLocation.SOURCE_PATH : super.contains(location, file);
        }
    }

    private static final class InMemory extends SimpleJavaFileObject {
        private final String file;
        private final String text;

        InMemory(String file, String text) {
            super(URI.create("memory:///" + file.replace(' ', '_')), Kind.SOURCE);
            this.file = file;
            this.text = text;
        }

        @Override
        public CharSequence getCharContent(boolean ignoreEncodingErrors) {
            return text;
        }
    }
}
