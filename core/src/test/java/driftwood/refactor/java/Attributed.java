package driftwood.refactor.java;

import com.sun.source.util.TreePath;
import driftwood.read.java.Compilation;
import driftwood.refactor.java.decision.Decision;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;

/** A few sources in memory as recipes see them. The first type of each source names its file. */
public record Attributed(Workspace workspace, Map<String, String> texts) {

    public static Attributed of(String... sources) {
        Map<String, String> texts = new LinkedHashMap<>();
        for (String source : sources) {
            String type = source.replaceFirst("(?s).*?(?:class|interface|enum|record) (\\w+).*", "$1");
            String around = source.contains("package ") ? source.replaceFirst("(?s).*?package ([\\w.]+);.*", "$1").replace('.', '/') + "/" : "";
            texts.put(around + type + ".java", source);
        }
        Compilation compilation = Compilation.of(texts, Set.of(), List.of());
        if (!compilation.troubles().isEmpty()) {
            throw new AssertionError(compilation.troubles());
        }
        return new Attributed(new Workspace(compilation, texts, Set.of()), texts);
    }

    public ExecutableElement routine(String symbol) {
        return workspace.routine(symbol);
    }

    public TreePath body(String symbol) {
        TreePath path = workspace.path(routine(symbol)).orElseThrow();
        return new TreePath(path, workspace.tree(routine(symbol)).getBody());
    }

    /** The decision in a routine that begins at the first line with some text. */
    public Decision decision(String symbol, String text) {
        TreePath path = workspace.path(routine(symbol)).orElseThrow();
        String source = workspace.unit(path).text();
        return Decision.at(workspace, path, workspace.unit(path).line(source.indexOf(text)), Decision.Asking.CONSTANTS);
    }

    public static List<String> names(Iterable<? extends Element> elements) {
        List<String> names = new ArrayList<>();
        elements.forEach(each -> names.add(each.getSimpleName().toString()));
        return names;
    }
}
