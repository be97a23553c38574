package driftwood.program;

import driftwood.tree.Import;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What a type name means where it is written: enclosing and inherited types, single imports, the same package,
 * imports on demand, in the order of the Java Language Specification 6.4.1 and 6.5.5.
 */
final class Names {
    static final int REEXPORTS = 4;

    private final Program program;
    private final Loose loose;
    private final Map<String, Optional<TypeOutline>> remembered = new ConcurrentHashMap<>();

    Names(Program program) {
        this.program = program;
        this.loose = new Loose(program);
    }

    /** What is declared outside of types. */
    Loose loose() {
        return loose;
    }

    /** A type by the name written inside a type; empty where it is foreign or a type parameter. */
    Optional<TypeOutline> type(String name, TypeOutline scope) {
        if (name.isEmpty()) {
            return Optional.empty();
        }
        String key = scope.name() + " " + name;
        Optional<TypeOutline> known = remembered.get(key);
        if (known == null) {
            known = find(name, scope);
            remembered.put(key, known);
        }
        return known;
    }

    /** The same for a supertype's name, which is not looked for among inherited types: that would go in circles. */
    Optional<TypeOutline> typeAround(String name, TypeOutline scope) {
        return qualified(name, first -> simple(first, scope, false)).or(() -> loose.type(name, scope));
    }

    private Optional<TypeOutline> find(String name, TypeOutline scope) {
        return qualified(name, first -> simple(first, scope, true)).or(() -> loose.type(name, scope));
    }

    private interface Lookup {
        Optional<TypeOutline> of(String simpleName);
    }

    private Optional<TypeOutline> qualified(String name, Lookup lookup) {
        int dot = name.indexOf('.');
        if (dot < 0) {
            return lookup.of(name);
        }
        Optional<TypeOutline> whole = program.type(name);
        if (whole.isPresent()) {
            return whole;
        }
        Optional<TypeOutline> found = lookup.of(name.substring(0, dot));
        for (String segment : name.substring(dot + 1).split("\\.")) {
            found = found.flatMap(outer -> member(segment, outer, new HashSet<>()));
        }
        return found;
    }

    private Optional<TypeOutline> simple(String name, TypeOutline scope, boolean inherited) {
        for (TypeOutline around = scope; around != null; around = program.type(around.outer()).orElse(null)) {
            if (around.typeParameters().contains(name)) {
                return Optional.empty();
            }
            if (around.simpleName().equals(name)) {
                return Optional.of(around);
            }
            Optional<TypeOutline> member = inherited ? member(name, around, new HashSet<>()) : own(name, around);
            if (member.isPresent()) {
                return member;
            }
        }
        return program.filesOf(scope).stream().flatMap(each -> imported(name, each).stream()).findFirst();
    }

    private Optional<TypeOutline> own(String name, TypeOutline type) {
        return program.type(type.name() + "." + name);
    }

    /** A type declared in a type or inherited by it. */
    private Optional<TypeOutline> member(String name, TypeOutline type, Set<String> seen) {
        Optional<TypeOutline> own = own(name, type);
        if (own.isPresent() || !seen.add(type.name())) {
            return own;
        }
        if (type.isModule()) {
            return handedOn(type, name, 0);
        }
        for (TypeOutline parent : program.parents(type)) {
            Optional<TypeOutline> found = member(name, parent, seen);
            if (found.isPresent()) {
                return found;
            }
        }
        return Optional.empty();
    }

    /** A type by its qualified name, also where another module only hands it on. */
    private Optional<TypeOutline> reexported(String qualified, int depth) {
        Optional<TypeOutline> direct = program.type(qualified);
        int dot = qualified.lastIndexOf('.');
        if (direct.isPresent() || dot < 0 || depth > REEXPORTS) {
            return direct;
        }
        String name = qualified.substring(dot + 1);
        return program.type(qualified.substring(0, dot)).filter(TypeOutline::isModule).flatMap(module -> handedOn(module, name, depth));
    }

    /** What a module has under a name because it imports it, by itself or with all that another module has. */
    private Optional<TypeOutline> handedOn(TypeOutline module, String name, int depth) {
        if (depth > REEXPORTS) {
            return Optional.empty();
        }
        List<Import> imports = program.fileOf(module).imports();
        String qualified = module.name() + "." + name;
        Optional<TypeOutline> named = imports.stream().filter(each -> !each.onDemand() && each.alias().equals(name) && !each.name().equals(qualified))
                .findFirst().flatMap(each -> reexported(each.name(), depth + 1));
        return named.isPresent() ? named : imports.stream().filter(each -> each.onDemand() && !each.name().equals(module.name()))
                .flatMap(each -> reexported(each.name() + "." + name, depth + 1).stream()).findFirst();
    }

    private Optional<TypeOutline> imported(String name, Outline file) {
        for (Import each : file.imports()) {
            if (!each.onDemand() && each.alias().equals(name)) {
                return around(each.name(), file);
            }
        }
        String prefix = file.packageName().isEmpty() ? "" : file.packageName() + ".";
        Optional<TypeOutline> neighbour = program.type(prefix + name);
        if (neighbour.isPresent()) {
            return neighbour;
        }
        for (Import each : file.imports()) {
            if (each.onDemand()) {
                String qualified = each.name() + "." + name;
                Optional<TypeOutline> found = file.language().isDuckTyped() ? around(qualified, file) : program.type(qualified);
                if (found.isPresent()) {
                    return found;
                }
            }
        }
        return Optional.empty();
    }

    /** A name from an import; where files are found by their folders, it may begin at any folder around. */
    private Optional<TypeOutline> around(String qualified, Outline file) {
        Optional<TypeOutline> found = reexported(qualified, 0);
        String folder = found.isEmpty() && file.language().isDuckTyped() ? file.packageName() : "";
        while (found.isEmpty() && !folder.isEmpty()) {
            found = reexported(folder + "." + qualified, 0);
            folder = folder.substring(0, Math.max(0, folder.lastIndexOf('.')));
        }
        return found;
    }
}
