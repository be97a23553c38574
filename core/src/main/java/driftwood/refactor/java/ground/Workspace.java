package driftwood.refactor.java.ground;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.SourcePositions;
import com.sun.source.util.TreePath;
import com.sun.source.util.Trees;
import driftwood.program.Symbol;
import driftwood.read.java.Compilation;
import driftwood.refactor.Refused;
import driftwood.smell.Evidence;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;
import javax.lang.model.util.Elements;
import javax.lang.model.util.Types;

/** The files of a project that a refactoring may touch, attributed: from symbols to trees and offsets. */
public final class Workspace {
    private final Compilation compilation;
    private final Trees trees;
    private final SourcePositions positions;
    private final Map<String, Unit> units = new LinkedHashMap<>();
    private final Map<CompilationUnitTree, Unit> byTree = new LinkedHashMap<>();
    private final Set<String> tests;
    private final Map<Element, Optional<TreePath>> paths = new HashMap<>();
    private Uses uses;

    /**
     * @param compilation of the texts
     * @param texts       by relative path, in the order that they were given
     * @param tests       which of them are test code
     */
    public Workspace(Compilation compilation, Map<String, String> texts, Set<String> tests) {
        this.compilation = compilation;
        this.tests = tests;
        this.trees = Trees.instance(compilation.task());
        this.positions = trees.getSourcePositions();
        for (CompilationUnitTree each : compilation.units()) {
            String file = Compilation.path(each.getSourceFile());
            Unit unit = new Unit(file, texts.get(file), each);
            units.put(file, unit);
            byTree.put(each, unit);
        }
    }

    public Trees trees() {
        return trees;
    }

    public Elements elements() {
        return compilation.task().getElements();
    }

    public Types types() {
        return compilation.task().getTypes();
    }

    /** All files, in order. */
    public List<Unit> units() {
        return List.copyOf(units.values());
    }

    /** The file that a tree is in. */
    public Unit unit(TreePath path) {
        return byTree.get(path.getCompilationUnit());
    }

    public boolean isTest(Unit unit) {
        return tests.contains(unit.file());
    }

    /** Who names whom, in all files. */
    public Uses uses() {
        if (uses == null) {
            uses = Uses.in(this);
        }
        return uses;
    }

    /** Whether something is declared in one of the files. */
    public boolean isHere(Element element) {
        return element != null && path(element).isPresent();
    }

    /** The declaration of an element; empty where it is in no file at hand. */
    public Optional<TreePath> path(Element element) {
        return element == null ? Optional.empty() : paths.computeIfAbsent(element, each -> Optional.ofNullable(trees.getPath(each))
                .filter(path -> byTree.containsKey(path.getCompilationUnit())));
    }

    /** The declaration of a member that somebody wrote; empty for what the compiler adds, such as a constructor without parameters. */
    public Optional<TreePath> written(Element element) {
        return isWritten(element) ? path(element) : Optional.empty();
    }

    /** A declaration in whatever file the compiler read it; where that file was not given, its code is not attributed. */
    public Optional<TreePath> read(Element element) {
        return Optional.ofNullable(trees.getPath(element));
    }

    /** Whether somebody wrote it, rather than the compiler. */
    public boolean isWritten(Element element) {
        return element == null || elements().getOrigin(element) == Elements.Origin.EXPLICIT;
    }

    /** What a tree names or declares; null where the compiler does not know it. */
    public Element element(TreePath path) {
        return trees.getElement(path);
    }

    /** Whether a type is declared in the files at hand. */
    public boolean declares(String qualified) {
        return isHere(elements().getTypeElement(qualified));
    }

    /** @throws Refused where there is none of this name in the files */
    public TypeElement type(String qualified) {
        TypeElement found = elements().getTypeElement(qualified);
        if (!isHere(found)) {
            String name = qualified.substring(qualified.lastIndexOf('.') + 1);
            throw new Refused(name.startsWith("<") ? "the code stands in " + (Character.isDigit(name.charAt(1)) ? "a class without a name" : "the body of the constant " + name.substring(1, name.length() - 1))
                    + ", where no step of it reaches" : name + " is not declared in a file of this project that can be changed");
        }
        return found;
    }

    /** The declaration of a type. */
    public ClassTree tree(TypeElement type) {
        return (ClassTree) path(type).orElseThrow(() -> new Refused(type.getSimpleName() + " is declared outside of this project")).getLeaf();
    }

    /** The declaration of a routine. */
    public MethodTree tree(ExecutableElement routine) {
        return (MethodTree) path(routine).map(TreePath::getLeaf).filter(MethodTree.class::isInstance)
                .orElseThrow(() -> new Refused(routine.getSimpleName() + "() is not written out in this project"));
    }

    /**
     * The routine or constructor of a symbol.
     *
     * @throws Refused where there is none
     */
    public ExecutableElement routine(String symbol) {
        Symbol wanted = Symbol.of(symbol);
        TypeElement owner = type(wanted.type());
        boolean constructor = wanted.member().equals("new") || wanted.member().equals(owner.getSimpleName().toString());
        List<ExecutableElement> all = constructor ? ElementFilter.constructorsIn(owner.getEnclosedElements())
                : ElementFilter.methodsIn(owner.getEnclosedElements()).stream().filter(each -> each.getSimpleName().contentEquals(wanted.member())).toList();
        return all.stream().filter(each -> parameters(each).equals(wanted.parameters())).findFirst()
                .or(() -> all.size() == 1 ? Optional.of(all.get(0)) : Optional.empty())
                .orElseThrow(() -> new Refused("there is no routine " + wanted.local() + " in " + owner.getSimpleName()));
    }

    /** Simple names of parameter types as they are written, without type arguments, as symbols have them. */
    private List<String> parameters(ExecutableElement routine) {
        List<String> names = new ArrayList<>();
        for (VariableElement each : routine.getParameters()) {
            String written = path(each).map(path -> ((VariableTree) path.getLeaf()).getType().toString()).orElse(each.asType().toString());
            String bare = written.replaceAll("@\\w+(\\([^)]*\\))?\\s*", "").replaceAll("<.*>", "");
            names.add(bare.substring(bare.lastIndexOf('.') + 1));
        }
        return names;
    }

    /** Offset of the first character of a tree; comments before it do not belong to it. */
    public int from(TreePath path) {
        return from(path.getLeaf(), path.getCompilationUnit());
    }

    public int from(Tree tree, CompilationUnitTree unit) {
        return (int) positions.getStartPosition(unit, tree);
    }

    /** Offset behind the last character of a tree. */
    public int to(TreePath path) {
        return to(path.getLeaf(), path.getCompilationUnit());
    }

    public int to(Tree tree, CompilationUnitTree unit) {
        return (int) positions.getEndPosition(unit, tree);
    }

    /** The text of a tree. */
    public String text(TreePath path) {
        return unit(path).text().substring(from(path), to(path));
    }

    /** A place for people. */
    public Evidence place(TreePath path, String note) {
        Unit unit = unit(path);
        return new Evidence(unit.file(), unit.line(from(path)), unit.line(Math.max(from(path), to(path) - 1)), note);
    }

    /** The type around something, itself where it is one; null where it is a package. */
    public static TypeElement typeAround(Element element) {
        Element at = element;
        while (at != null && !(at.getKind().isClass() || at.getKind().isInterface())) {
            at = at.getEnclosingElement();
        }
        return (TypeElement) at;
    }

    /** The type that is not within another. */
    public static TypeElement outermost(Element element) {
        TypeElement at = typeAround(element);
        while (at != null && at.getEnclosingElement().getKind() != ElementKind.PACKAGE) {
            at = typeAround(at.getEnclosingElement());
        }
        return at;
    }
}
