package driftwood.read.java;

import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TaskEvent;
import com.sun.source.util.TaskListener;
import com.sun.source.util.Trees;
import java.io.File;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Predicate;
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
 * Java sources attributed in memory by the JDK's own compiler: some texts, and what they need from the folders around
 * them. Nothing is written; annotation processors are not run; the project is seen as one unnamed module.
 */
public final class Compilation {
    private static final int MOST_ERRORS = 1000;
    private static final String MEMORY = "memory";
    /** How the compiler tells that a package, a type or what belongs to one is not there. */
    private static final Set<String> UNKNOWN = Set.of("compiler.err.doesnt.exist", "compiler.err.cant.resolve", "compiler.err.cant.resolve.location",
            "compiler.err.cant.resolve.location.args", "compiler.err.static.imp.only.classes.and.interfaces");
    /** Knows what is in libraries and in the platform: one plan asks for many compilations. */
    /** What it says of files that it only looks into, such as bytes that are no UTF-8, is for nobody: without a listener it would go to the terminal. */
    private static final ThreadLocal<StandardJavaFileManager> FILES = ThreadLocal.withInitial(() ->
            ToolProvider.getSystemJavaCompiler().getStandardFileManager(said -> { }, Locale.ROOT, StandardCharsets.UTF_8));
    private final JavacTask task;
    private final DiagnosticCollector<JavaFileObject> told;
    private final List<CompilationUnitTree> units = new ArrayList<>();

    private Compilation(JavacTask task, DiagnosticCollector<JavaFileObject> told) {
        this.task = task;
        this.told = told;
    }

    /**
     * An error that the compiler tells.
     *
     * @param file    relative path; empty where it is of another file
     * @param message all lines of it
     * @param line    from 1; -1 where it has none
     */
    public record Trouble(String file, String message, long line) {
    }

    /**
     * Attributes.
     *
     * @param texts     by relative path, in order
     * @param roots     folders in which packages begin; what the texts need of other files is found there
     * @param classPath libraries; may be empty
     */
    public static Compilation of(Map<String, String> texts, Set<Path> roots, List<Path> classPath) {
        return of(texts, roots, classPath, file -> false);
    }

    /**
     * Attributes, but gives up before that where what some files import is not there.
     *
     * @param needed whether nothing is worth knowing where a file, told by its relative path, is not understood
     */
    public static Compilation of(Map<String, String> texts, Set<Path> roots, List<Path> classPath, Predicate<String> needed) {
        DiagnosticCollector<JavaFileObject> told = new DiagnosticCollector<>();
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        StandardJavaFileManager files = FILES.get();
        List<JavaFileObject> sources = texts.entrySet().stream().<JavaFileObject>map(each -> new InMemory(each.getKey(), each.getValue())).toList();
        JavacTask task = (JavacTask) compiler.getTask(new StringWriter(), new Unnamed(files), told, List.of("-proc:none", "-implicit:none",
                "-sourcepath", joined(roots), "-classpath", joined(classPath), "-Xmaxerrs", Integer.toString(MOST_ERRORS), "-XDcompilePolicy=byTodo",
                "-XDshould-stop.ifError=FLOW", "-XDshould-stop.ifNoError=FLOW"), null, sources);
        Compilation made = new Compilation(task, told);
        if (!sources.isEmpty()) {
            made.run(needed);
        }
        return made;
    }

    private void run(Predicate<String> needed) {
        try {
            task.parse().forEach(units::add);
            task.addTaskListener(new OnlyTheGiven(units.stream().mapToInt(each -> each.getTypeDecls().size()).sum(),
                    () -> troubles().stream().anyMatch(each -> needed.test(each.file()))));
            task.analyze();
        } catch (RuntimeException e) {
            // Thrown by the listener, handed on by the compiler: what was given is attributed.
            if (!(e.getCause() instanceof Enough) && !(e instanceof Enough)) {
                throw e;
            }
        } catch (IOException e) {
            throw new UncheckedIOException("the compiler could not be asked", e);
        }
    }

    private static String joined(Iterable<Path> paths) {
        List<String> all = new ArrayList<>();
        paths.forEach(each -> all.add(each.toString()));
        return all.stream().collect(Collectors.joining(File.pathSeparator));
    }

    /**
     * The folders that packages begin in, told by the package that each file says it is in.
     *
     * @param sources packages by relative path
     */
    public static Set<Path> roots(Path root, Map<String, String> sources) {
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

    /** The attributed trees of the given texts, in their order. */
    public List<CompilationUnitTree> units() {
        return units;
    }

    /** The compiler's task, for what it knows of trees, elements and types. */
    public JavacTask task() {
        return task;
    }

    /** The path under which a text was given; empty for other files. @param source may be null */
    public static String path(JavaFileObject source) {
        return source == null || !MEMORY.equals(source.toUri().getScheme()) ? "" : source.toUri().getPath().substring(1);
    }

    /** The errors, in order, but those of annotations that are in no library at hand. */
    public List<Trouble> troubles() {
        List<Trouble> errors = new ArrayList<>();
        Map<String, MarkPlaces> marks = new HashMap<>();
        for (Diagnostic<? extends JavaFileObject> each : told.getDiagnostics()) {
            if (each.getKind() == Diagnostic.Kind.ERROR && !isOfUnknownMark(each, marks)) {
                errors.add(new Trouble(path(each.getSource()), each.getMessage(Locale.ROOT), each.getLineNumber()));
            }
        }
        return errors;
    }

    private boolean isOfUnknownMark(Diagnostic<? extends JavaFileObject> error, Map<String, MarkPlaces> marks) {
        String path = path(error.getSource());
        if (path.isEmpty() || !UNKNOWN.contains(error.getCode())) {
            return false;
        }
        MarkPlaces places = marks.computeIfAbsent(path, file -> units.stream().filter(each -> path(each.getSourceFile()).equals(file)).findFirst()
                .map(each -> MarkPlaces.of(each, Trees.instance(task).getSourcePositions())).orElse(null));
        return places != null && places.holds(error.getPosition());
    }

    /** Ends the compilation once all that was given is attributed, or at once: what is only read for it is much, and comes in between. */
    private static final class OnlyTheGiven implements TaskListener {
        private int left;
        private final BooleanSupplier inVain;
        private boolean begun;

        /** @param inVain whether what is told before anything is attributed makes the rest worth nothing */
        OnlyTheGiven(int types, BooleanSupplier inVain) {
            this.left = types;
            this.inVain = inVain;
        }

        @Override
        public void started(TaskEvent event) {
            if (event.getKind() == TaskEvent.Kind.ANALYZE && !begun) {
                begun = true;
                if (inVain.getAsBoolean()) {
                    throw new Enough();
                }
            }
            if (event.getKind() == TaskEvent.Kind.ANALYZE && left <= 0 && !MEMORY.equals(event.getSourceFile().toUri().getScheme())) {
                throw new Enough();
            }
        }

        @Override
        public void finished(TaskEvent event) {
            if (event.getKind() == TaskEvent.Kind.ANALYZE && MEMORY.equals(event.getSourceFile().toUri().getScheme())) {
                left--;
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
            return MEMORY.equals(file.toUri().getScheme()) ? location == StandardLocation.SOURCE_PATH : super.contains(location, file);
        }
    }

    private static final class InMemory extends SimpleJavaFileObject {
        private final String text;

        InMemory(String file, String text) {
            super(uri(file), Kind.SOURCE);
            this.text = text;
        }

        private static URI uri(String file) {
            try {
                return new URI(MEMORY, null, "/" + file, null);
            } catch (URISyntaxException e) {
                throw new IllegalArgumentException(file, e);
            }
        }

        @Override
        public CharSequence getCharContent(boolean ignoreEncodingErrors) {
            return text;
        }
    }
}
