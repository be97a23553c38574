package driftwood.read.java;

import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.Trees;
import driftwood.read.FileTree;
import driftwood.read.Reader;
import driftwood.source.Lines;
import driftwood.source.SourceText;
import driftwood.source.Unread;
import driftwood.tree.Unit;
import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.HashMap;
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
    /** Preview syntax is parsed where the JDK knows it; nothing is ever compiled from these trees. */
    private static final List<String> OPTIONS = List.of("-proc:none", "-Xlint:none", "--enable-preview",
            "--release", Integer.toString(Runtime.version().feature()));

    private final JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();

    /** @throws IllegalStateException when running on a JRE, which has no compiler */
    public JavaReader() {
        if (compiler == null) {
            throw new IllegalStateException("this Java runtime has no compiler; run Driftwood with a JDK");
        }
    }

    @Override
    public int version() {
        return 1;
    }

    @Override
    public void read(List<SourceText> sources, Consumer<FileTree> take) {
        List<FileTree> trees;
        try {
            trees = parse(sources);
        } catch (StackOverflowError | RuntimeException e) {
            trees = oneByOne(sources);
        }
        trees.forEach(take);
    }

    /** One file that breaks the parser must not take its neighbours along. */
    private List<FileTree> oneByOne(List<SourceText> sources) {
        List<FileTree> trees = new ArrayList<>();
        for (SourceText source : sources) {
            try {
                trees.addAll(parse(List.of(source)));
            } catch (StackOverflowError e) {
                trees.add(empty(source, "nested too deeply to be parsed"));
            } catch (RuntimeException e) {
                trees.add(empty(source, "the Java parser gave up: " + e.getClass().getSimpleName()));
            }
        }
        return trees;
    }

    private static FileTree empty(SourceText source, String why) {
        Unit unit = new Unit(0, source.text().length(), "", List.of(), List.of());
        return new FileTree(source, unit, new Lines(source.text()), List.of(new Unread(source.file().path(), 1, why)));
    }

    private List<FileTree> parse(List<SourceText> sources) {
        Map<JavaFileObject, List<Unread>> problems = new HashMap<>();
        List<Text> texts = new ArrayList<>();
        for (SourceText source : sources) {
            texts.add(new Text(source));
        }
        DiagnosticListener<JavaFileObject> listener = problem -> note(problem, problems);
        JavacTask task = (JavacTask) compiler.getTask(null, null, listener, OPTIONS, null, texts);
        Trees trees = Trees.instance(task);
        List<FileTree> made = new ArrayList<>();
        try {
            for (CompilationUnitTree tree : task.parse()) {
                SourceText source = ((Text) tree.getSourceFile()).source;
                Unit unit = new JavaDeclarations(tree, trees.getSourcePositions(), source.text()).unit();
                List<Unread> unread = problems.getOrDefault(tree.getSourceFile(), List.of());
                made.add(new FileTree(source, unit, new Lines(source.text()), unread));
            }
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return made;
    }

    private static void note(Diagnostic<? extends JavaFileObject> problem, Map<JavaFileObject, List<Unread>> problems) {
        if (problem.getKind() == Diagnostic.Kind.ERROR && problem.getSource() instanceof Text text) {
            String why = "syntax: " + problem.getMessage(Locale.ENGLISH).lines().findFirst().orElse("error");
            problems.computeIfAbsent(text, key -> new ArrayList<>())
                    .add(new Unread(text.source.file().path(), (int) Math.max(1, problem.getLineNumber()), why));
        }
    }

    /** A text already in memory, under a name that the compiler accepts. */
    private static final class Text extends SimpleJavaFileObject {
        private final SourceText source;

        Text(SourceText source) {
            super(URI.create("text:///" + Integer.toHexString(System.identityHashCode(source)) + "/Source.java"),
                    Kind.SOURCE);
            this.source = source;
        }

        @Override
        public CharSequence getCharContent(boolean ignoreEncodingErrors) {
            return source.text();
        }

        @Override
        public boolean isNameCompatible(String simpleName, Kind kind) {
            return true;
        }
    }
}
