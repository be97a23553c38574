package driftwood.read.python;

import driftwood.read.sitter.Cst;
import driftwood.source.SourceFile;
import driftwood.source.SourceText;
import driftwood.tree.*;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/** Python's declarations: the whole tree of one module. */
final class PythonModule extends PythonStatements {
    private static final Pattern SOURCE_FOLDER = Pattern.compile("src|lib|python|site-packages|dist-packages");
    private static final Pattern NAME = Pattern.compile("[\\p{L}_][\\p{L}\\p{N}_]*");

    private final Cst root;
    private final String packageName;
    private final String module;
    private final PythonImports imports;

    PythonModule(SourceText source, Cst root) {
        super(source.text(), functionsIn(root, source.text()));
        this.root = root;
        Path file = source.file().location();
        String path = source.file().path();
        String name = path.substring(path.lastIndexOf('/') + 1).replaceFirst("\\.py$", "");
        boolean whole = name.equals("__init__") && path.contains("/");
        String around = packageOf(source.file());
        String full = whole ? around.isEmpty() ? file.getParent().getFileName().toString() : around
                : around.isEmpty() ? name : around + "." + name;
        int dot = full.lastIndexOf('.');
        this.packageName = dot < 0 ? "" : full.substring(0, dot);
        this.module = full.substring(dot + 1);
        this.imports = new PythonImports(text, whole ? full : packageName);
    }

    /**
     * Folders that say they are packages, from the outermost on; where none does, the folders below the root or a
     * source folder, as packages need not say so (Python Language Reference 5.2.2).
     */
    static String packageOf(SourceFile file) {
        String name = "";
        for (Path at = file.location().getParent(); at != null && at.getFileName() != null && Files.exists(at.resolve("__init__.py"));
                at = at.getParent()) {
            name = name.isEmpty() ? at.getFileName().toString() : at.getFileName() + "." + name;
        }
        return name.isEmpty() ? unsaid(file.path()) : name;
    }

    private static String unsaid(String path) {
        String[] folders = path.split("/");
        int from = 0;
        for (int i = 0; i < folders.length - 1; i++) {
            from = SOURCE_FOLDER.matcher(folders[i]).matches() || !NAME.matcher(folders[i]).matches() ? i + 1 : from;
        }
        return String.join(".", List.of(folders).subList(from, folders.length - 1));
    }

    private static Set<String> functionsIn(Cst root, String text) {
        Set<String> names = new HashSet<>();
        for (Cst each : root.inner()) {
            Cst bare = each.is("decorated_definition") ? each.part("definition").orElse(each) : each;
            if (bare.is("function_definition")) {
                bare.part("name").ifPresent(name -> names.add(name.text(text)));
            }
        }
        return names;
    }

    Unit unit() {
        List<Node> members = new ArrayList<>();
        List<Cst> loose = new ArrayList<>();
        for (Cst each : root.inner()) {
            Cst bare = each.is("decorated_definition") ? each.part("definition").orElse(each) : each;
            if (bare.is("class_definition")) {
                members.add(type(bare, decorators(each)));
            } else if (bare.is("function_definition")) {
                members.add(function(bare, decorators(each)));
            } else if (each.kind().startsWith("import") || each.is("future_import_statement")) {
                imported(each);
            } else {
                Optional<Node> field = new PythonFields(this).ofModule(each);
                field.ifPresentOrElse(members::add, () -> loose.add(each));
            }
        }
        if (!loose.isEmpty()) {
            Block body = new Block(loose.get(0).start(), loose.get(loose.size() - 1).end(), looseStatements(loose));
            members.add(new Routine(body.start(), body.end(), "", RoutineKind.INITIALISER,
                    Traits.of(Mark.STATIC), List.of(), TypeRef.NONE, List.of(), Optional.of(body)));
        }
        TypeDeclaration type = new TypeDeclaration(0, text.length(), module.intern(), TypeKind.CLASS,
                Traits.of(Mark.MODULE, Mark.STATIC), List.of(), List.of(), List.of(), List.of(), members);
        return new Unit(0, text.length(), packageName, imports.all(), List.of(type));
    }

    @Override
    void imported(Cst node) {
        imports.add(node);
    }

    @Override
    Node declaration(Cst node) {
        Cst bare = node.is("decorated_definition") ? node.part("definition").orElse(node) : node;
        if (bare.is("class_definition")) {
            return type(bare, decorators(node));
        }
        List<Parameter> parameters = bare.part("parameters").map(this::parameters).orElse(List.of());
        String name = bare.part("name").map(this::text).orElse("");
        Node body = new Lambda(bare.start(), bare.end(), parameters, routineBody(bare.part("body").orElse(bare), parameters));
        return new Local(node.start(), node.end(), name.intern(), TypeRef.NONE, Optional.of(body));
    }

    private Set<String> decorators(Cst node) {
        Set<String> names = new HashSet<>();
        for (Cst each : node.inner()) {
            if (each.is("decorator")) {
                String written = text(each).substring(1).strip();
                int open = written.indexOf('(');
                String name = open < 0 ? written : written.substring(0, open);
                names.add(name.endsWith(".setter") ? "setter" : name.substring(name.lastIndexOf('.') + 1));
            }
        }
        return names;
    }

    /** A function outside of classes belongs to the module. */
    private Node function(Cst node, Set<String> decorators) {
        return new PythonRoutines(this).routine(node, decorators, "");
    }

    TypeDeclaration type(Cst node, Set<String> decorators) {
        return new PythonClasses(this).type(node, decorators);
    }

    Set<String> decoratorsOf(Cst node) {
        return decorators(node);
    }

    @Override
    List<Parameter> parameters(Cst node) {
        return new PythonRoutines(this).parameters(node);
    }
}
