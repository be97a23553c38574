package driftwood.smell;

import driftwood.program.Outline;
import driftwood.program.RoutineOutline;
import driftwood.program.Symbol;
import driftwood.program.TypeOutline;
import driftwood.tree.Import;
import driftwood.tree.TypeRef;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Consumer;
import java.util.regex.Pattern;

/**
 * How central types are: which files lean on them by what they declare (extend it, hold it, take or give it, import
 * it). What routines do inside does not count, so that the answer changes only where declarations do; nor do tests. And
 * which of them are on their way out.
 */
public final class Dependants {
    private static final Pattern NO_NAME = Pattern.compile("[^\\p{L}\\p{N}_$]+");

    private final Map<String, Set<String>> files = new HashMap<>();
    /** The types asked for, by their simple names; of a name that several types of the project have, those. */
    private final Map<String, Set<String>> bySimpleName = new HashMap<>();
    /** By the texts of types met so far: the same ones come again and again. */
    private final Map<String, List<Set<String>>> inner = new HashMap<>();
    private final Set<String> ambiguous = new HashSet<>();
    private final Map<String, String> homes = new HashMap<>();
    private final Set<String> hidden = new HashSet<>();
    private final Set<String> deprecated = new HashSet<>();

    /**
     * @param outlines all files of a program
     * @param types    qualified names of those asked for
     */
    public Dependants(List<Outline> outlines, Collection<String> types) {
        if (types.isEmpty()) {
            return;
        }
        for (String each : types) {
            files.put(each, new HashSet<>());
            bySimpleName.computeIfAbsent(simple(each), key -> new HashSet<>()).add(each);
        }
        Set<String> met = new HashSet<>();
        for (Outline outline : outlines) {
            for (TypeOutline type : outline.types()) {
                if (type.traits().isDeprecated()) {
                    deprecated.add(type.name());
                }
                if (files.containsKey(type.name())) {
                    type.routines().stream().filter(each -> each.traits().isDeprecated()).forEach(each -> deprecated.add(each.symbol()));
                    homes.putIfAbsent(type.name(), outline.packageName());
                    type.routines().stream().filter(each -> each.traits().isPrivate()).forEach(each -> hidden.add(each.symbol()));
                }
                if (bySimpleName.containsKey(type.simpleName()) && !met.add(type.simpleName())) {
                    ambiguous.add(type.simpleName());
                }
            }
        }
        for (Outline outline : outlines) {
            if (!outline.test()) {
                look(outline);
            }
        }
        for (Outline outline : outlines) {
            outline.types().stream().map(type -> files.get(type.name())).filter(Objects::nonNull).forEach(known -> known.remove(outline.file()));
        }
    }

    /**
     * In how many other files something declared leans on the type that a member is of.
     *
     * @param symbol of a member or type; of a private routine, and of what was not asked for, there are 0
     */
    public int of(String symbol) {
        return hidden.contains(symbol) ? 0 : files.getOrDefault(Symbol.of(symbol).type(), Set.of()).size();
    }

    /** Whether a member, its type or one around that is deprecated. @param symbol of a member or type that was asked for */
    public boolean isDeprecated(String symbol) {
        if (deprecated.contains(symbol)) {
            return true;
        }
        for (String type = Symbol.of(symbol).type(); !type.isEmpty(); type = type.substring(0, Math.max(0, type.lastIndexOf('.')))) {
            if (deprecated.contains(type)) {
                return true;
            }
        }
        return false;
    }

    private void look(Outline outline) {
        for (Import each : outline.imports()) {
            String name = each.name();
            add(name, outline);
            add(name.substring(0, Math.max(0, name.lastIndexOf('.'))), outline);
        }
        for (TypeOutline type : outline.types()) {
            Consumer<TypeRef> named = ref -> {
                if (!ref.text().isEmpty()) {
                    names(ref.text(), outline);
                }
            };
            type.supertypes().forEach(named);
            type.fields().forEach(field -> named.accept(field.type()));
            for (RoutineOutline routine : type.routines()) {
                named.accept(routine.returns());
                routine.parameters().forEach(parameter -> named.accept(parameter.type()));
            }
        }
    }

    private void add(String type, Outline outline) {
        Set<String> known = files.get(type);
        if (known != null) {
            known.add(outline.file());
        }
    }

    /** Every name within a type: {@code Map<String, quay.Berth[]>} names four. */
    private void names(String text, Outline outline) {
        Set<String> whole = bySimpleName.get(text);
        if (whole != null) {
            lean(whole, outline);
        } else {
            inner.computeIfAbsent(text, this::asked).forEach(each -> lean(each, outline));
        }
    }

    /** The types asked for whose names stand within a text. */
    private List<Set<String>> asked(String text) {
        return NO_NAME.splitAsStream(text).map(bySimpleName::get).filter(Objects::nonNull).toList();
    }

    private void lean(Set<String> types, Outline outline) {
        for (String type : types) {
            if (!ambiguous.contains(simple(type)) || outline.packageName().equals(homes.get(type))) {
                add(type, outline);
            }
        }
    }

    private static String simple(String type) {
        return type.substring(type.lastIndexOf('.') + 1);
    }
}
