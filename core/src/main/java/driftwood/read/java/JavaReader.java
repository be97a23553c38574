package driftwood.read.java;

import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.Trees;
import driftwood.read.FileTree;
import driftwood.read.Reader;
import driftwood.read.Unreadable;
import driftwood.source.Lines;
import driftwood.source.SourceText;
import driftwood.source.Unread;
import driftwood.tree.Unit;
import java.io.File;
import java.net.URI;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import javax.tools.Diagnostic;
import javax.tools.DiagnosticListener;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.ToolProvider;

/**
 * Reads Java with {@code javax.tools} and {@code com.sun.source}. A file with syntax errors is read as far as the
 * compiler's own recovery goes; its errors become unread regions.
 */
public final class JavaReader implements Reader {
    /**
     * Preview syntax is parsed where the JDK knows it; nothing is ever compiled from these trees, so the class path is
     * a folder without classes: the compiler would search it for plug-ins anew for every batch.
     */
    public static final List<String> OPTIONS = List.of("-proc:none", "-Xlint:none", "--enable-preview",
            "-source", Integer.toString(Runtime.version().feature()),
            "-classpath", System.getProperty("java.home") + File.separator + "conf");

    private final JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();

    /** @throws IllegalStateException when running on a JRE, which has no compiler */
    public JavaReader() {
        if (compiler == null) {
            throw new IllegalStateException("this Java runtime has no compiler; run Driftwood with a JDK");
        }
    }

    @Override
    public int version() {
        return 3;
    }

    @Override
    public void read(List<SourceText> sources, Consumer<FileTree> take) {
        parse(sources).forEach(take);
    }

    private List<FileTree> parse(List<SourceText> sources) {
        Map<URI, List<Unread>> problems = new HashMap<>();
        Map<URI, SourceText> byName = new HashMap<>();
        List<Text> texts = new ArrayList<>();
        for (SourceText source : sources) {
            Text text = new Text(source, texts.size());
            texts.add(text);
            byName.put(text.toUri(), source);
        }
        DiagnosticListener<JavaFileObject> listener = problem -> note(problem, byName, problems);
        JavacTask task = (JavacTask) compiler.getTask(null, null, listener, OPTIONS, null, texts);
        Trees trees = Trees.instance(task);
        List<FileTree> made = new ArrayList<>();
        Spelling spelling = new Spelling();
        try {
            for (CompilationUnitTree tree : parsed(task)) {
                SourceText source = byName.get(tree.getSourceFile().toUri());
                Unit unit = new JavaDeclarations(tree, trees.getSourcePositions(), source.text(), spelling).unit();
                List<Unread> unread = problems.getOrDefault(tree.getSourceFile().toUri(), List.of());
                made.add(new FileTree(source, unit, new Lines(source.text()), unread));
            }
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return made;
    }

    /** On damaged text the compiler's own checks may fail. */
    private static Iterable<? extends CompilationUnitTree> parsed(JavacTask task) throws java.io.IOException {
        try {
            return task.parse();
        } catch (RuntimeException e) {
            throw new Unreadable("the JDK's parser gave up", e);
        }
    }

    /** The compiler wraps our texts in objects of its own, so they are known by name. */
    private static void note(Diagnostic<? extends JavaFileObject> problem, Map<URI, SourceText> byName,
            Map<URI, List<Unread>> problems) {
        if (problem.getKind() == Diagnostic.Kind.ERROR && problem.getSource() != null) {
            URI name = problem.getSource().toUri();
            String why = "syntax: " + problem.getMessage(Locale.ENGLISH).lines().findFirst().orElse("error");
            int line = (int) Math.max(1, problem.getLineNumber());
            List<Unread> known = problems.computeIfAbsent(name, key -> new ArrayList<>());
            if (known.stream().noneMatch(each -> each.line() == line)) {
                known.add(new Unread(byName.get(name).file().path(), line, why));
            }
        }
    }

    /** A text already in memory, under a name that the compiler accepts. */
    private static final class Text extends SimpleJavaFileObject {
        private final String text;

        Text(SourceText source, int number) {
            super(URI.create("text:///" + number + "/Source.java"), Kind.SOURCE);
            this.text = PlainComments.in(source.text());
        }

        @Override
        public CharSequence getCharContent(boolean ignoreEncodingErrors) {
            return text;
        }

        @Override
        public boolean isNameCompatible(String simpleName, Kind kind) {
            return true;
        }
    }
}
