package driftwood.refactor.python.ground;

import driftwood.pattern.Site;
import driftwood.program.Outline;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import driftwood.source.SourceFile;
import driftwood.source.SourceText;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/** The Python files of a project, each read when it is first asked for. */
public final class Modules {
    private static final String LANGUAGE = "python";
    private final Site site;
    private final Map<String, Module> read = new LinkedHashMap<>();
    private final Map<String, String> texts = new LinkedHashMap<>();
    private final Map<String, String> names = new LinkedHashMap<>();

    public Modules(Site site) {
        this.site = site;
    }

    /** The texts of all files of a project that may be edited, by relative path. @return read as they are asked for */
    public Map<String, String> texts() {
        if (texts.isEmpty()) {
            site.program().outlines().stream().filter(each -> each.language().key().equals(LANGUAGE)).forEach(each -> texts.put(each.file(), text(each)));
        }
        return texts;
    }

    private String text(Outline file) {
        try {
            return SourceText.read(new SourceFile(file.file(), site.root().resolve(file.file()), file.language(), file.test())).text();
        } catch (SourceText.NotReadable e) {
            throw new Refused(file.file() + " cannot be read any more: " + e.getMessage());
        }
    }

    /** @throws Refused where there is no such file, or not all of it is understood */
    public Module module(String file) {
        Module module = read.computeIfAbsent(file, key -> new Module(key, Optional.ofNullable(texts().get(key)).orElseThrow(() -> new Refused(key + " is not there")), isTest(key)));
        if (!module.isSound()) {
            throw new Refused("the syntax of " + file + " is not understood");
        }
        return module;
    }

    private boolean isTest(String file) {
        return site.program().outlines().stream().anyMatch(each -> each.file().equals(file) && each.test());
    }

    /** What a file is imported as: {@code quay.dues}. */
    public String name(String file) {
        return names().get(file);
    }

    /** The file of a module that is imported by that name; empty where it is none of the project. */
    public Optional<String> file(String name) {
        return names().entrySet().stream().filter(each -> each.getValue().equals(name)).map(Map.Entry::getKey).findFirst();
    }

    /** Whether neither a module nor a package of the project is called so, nor begins a longer name. @param name dotted; its last word may be what a module declares */
    boolean isForeign(String name) {
        String first = name.replaceFirst("\\..*", "");
        return !first.isEmpty() && names().values().stream().noneMatch(each -> each.equals(first) || each.startsWith(first + "."));
    }

    private Map<String, String> names() {
        if (names.isEmpty()) {
            for (Outline each : site.program().outlines()) {
                if (each.language().key().equals(LANGUAGE)) {
                    String path = each.file().replaceFirst("/__init__\\.py$", "").replaceFirst("\\.py$", "");
                    names.put(each.file(), (each.packageName().isEmpty() ? "" : each.packageName() + ".") + path.substring(path.lastIndexOf('/') + 1));
                }
            }
        }
        return names;
    }

    /** The files with a word in them, those with tests last. */
    public List<Module> with(String word) {
        Pattern whole = Pattern.compile("\\b" + Pattern.quote(word) + "\\b");
        List<Module> found = new ArrayList<>();
        texts().forEach((file, text) -> {
            if (text.contains(word) && whole.matcher(text).find()) {
                found.add(module(file));
            }
        });
        found.sort((one, other) -> Boolean.compare(one.isTest(), other.isTest()));
        return found;
    }

    // driftwood: leave misplaced-behaviour because an outline knows nothing of syntax, which is what is looked for here
    /** The function that a routine of the program is. @throws Refused where it is not written in the file */
    public Function function(RoutineOutline routine) {
        Module module = module(routine.file());
        String name = routine.isConstructor() ? "__init__" : routine.name();
        return Function.of(module, module.declared("function_definition", name, routine.line())
                .orElseThrow(() -> new Refused(name + "() is not written out in " + routine.file())));
    }

    /** The class that a type of the program is. @throws Refused where it is none */
    public Cst type(TypeOutline type) {
        return module(type.file()).declared("class_definition", type.simpleName(), type.line())
                .orElseThrow(() -> new Refused(type.simpleName() + " is not a class that is written in " + type.file()));
    }
}
