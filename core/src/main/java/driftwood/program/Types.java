package driftwood.program;

import driftwood.source.Language;
import driftwood.tree.TypeRef;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** The types of a project and how they descend from one another. Unchanging once they are linked. */
final class Types {
    /** A line of heirs that is longer is no design; each type keeping all above it would grow with the square. */
    private static final int MOST_ANCESTORS = 256;

    private final Map<String, TypeOutline> types = new LinkedHashMap<>();
    private final Map<String, Outline> files = new HashMap<>();
    /** The files of what is declared in more than one. */
    private final Map<String, List<Outline>> parts = new HashMap<>();
    private final Map<String, List<TypeOutline>> nested = new HashMap<>();
    private final Map<String, List<TypeOutline>> children = new HashMap<>();
    private final Map<String, List<TypeOutline>> parents = new HashMap<>();
    private final Map<String, Set<TypeOutline>> ancestors = new ConcurrentHashMap<>();
    private final Map<String, List<RoutineOutline>> routines = new HashMap<>();

    /** What a supertype's name means where it is written. */
    interface Resolver {
        Optional<TypeOutline> type(String name, TypeOutline scope);
    }

    /** Takes the types of all files; of two of one name the first, but where each says a part of it. */
    void declare(List<Outline> outlines) {
        for (Outline outline : outlines) {
            for (TypeOutline type : outline.types()) {
                type.routines().forEach(routine -> routines.computeIfAbsent(routine.name(),
                        key -> new ArrayList<>(2)).add(routine));
                TypeOutline known = types.putIfAbsent(type.name(), type);
                if (known == null) {
                    files.put(type.name(), outline);
                    nested.computeIfAbsent(type.outer(), key -> new ArrayList<>()).add(type);
                } else if (areParts(known, type)) {
                    join(known.and(type), known, outline);
                }
            }
        }
    }

    private void join(TypeOutline joined, TypeOutline known, Outline more) {
        types.put(joined.name(), joined);
        nested.get(known.outer()).replaceAll(each -> each == known ? joined : each);
        List<Outline> all = parts.computeIfAbsent(joined.name(), key -> new ArrayList<>(List.of(files.get(key))));
        if (!all.contains(more)) {
            all.add(more);
        }
    }

    /** Finds out who descends from whom, once all types are declared. */
    void link(Resolver resolver) {
        for (TypeOutline type : types.values()) {
            for (TypeRef parent : type.supertypes()) {
                resolver.type(parent.name(), type).ifPresent(found -> {
                    parents.computeIfAbsent(type.name(), key -> new ArrayList<>()).add(found);
                    children.computeIfAbsent(found.name(), key -> new ArrayList<>()).add(type);
                });
            }
        }
    }

    Collection<TypeOutline> all() {
        return types.values();
    }

    Optional<TypeOutline> type(String qualified) {
        return Optional.ofNullable(types.get(qualified));
    }

    /** The one that the name of a declared type means: of two of one name the first, or what all parts say together. */
    Optional<TypeOutline> meant(TypeOutline type) {
        TypeOutline meant = types.get(type.name());
        return meant == type || areParts(meant, type) ? Optional.of(meant) : Optional.empty();
    }

    /** Whether two declarations of one name are parts of one type: both say so, in one language. */
    private static boolean areParts(TypeOutline one, TypeOutline other) {
        return one.isPartial() && other.isPartial() && Language.ofFileName(one.file()).equals(Language.ofFileName(other.file()));
    }

    boolean hasRoutine(String name) {
        return routines.containsKey(name);
    }

    List<RoutineOutline> routines(String name) {
        return routines.getOrDefault(name, List.of());
    }

    Outline fileOf(TypeOutline type) {
        return files.get(type.name());
    }

    List<Outline> filesOf(TypeOutline type) {
        List<Outline> several = parts.get(type.name());
        return several == null ? List.of(files.get(type.name())) : several;
    }

    List<TypeOutline> nestedIn(TypeOutline type) {
        return nested.getOrDefault(type.name(), List.of());
    }

    List<TypeOutline> parents(TypeOutline type) {
        return parents.getOrDefault(type.name(), List.of());
    }

    List<TypeOutline> children(TypeOutline type) {
        return children.getOrDefault(type.name(), List.of());
    }

    /** All supertypes, nearest first, without the type itself; the first few hundred where somebody wrote more. */
    Set<TypeOutline> ancestors(TypeOutline type) {
        Set<TypeOutline> known = ancestors.get(type.name());
        if (known == null) {
            known = Collections.unmodifiableSet(closure(type, parents, MOST_ANCESTORS));
            ancestors.put(type.name(), known);
        }
        return known;
    }

    /** The nearest type that all of some types are or descend from. */
    Optional<TypeOutline> commonOf(Collection<TypeOutline> kinds) {
        Set<TypeOutline> shared = null;
        for (TypeOutline type : kinds) {
            Set<TypeOutline> up = new LinkedHashSet<>(List.of(type));
            up.addAll(ancestors(type));
            if (shared == null) {
                shared = up;
            } else {
                shared.retainAll(up);
            }
        }
        return shared == null ? Optional.empty() : shared.stream().findFirst();
    }

    /** All subtypes, without the type itself. */
    Set<TypeOutline> descendants(TypeOutline type) {
        return closure(type, children, Integer.MAX_VALUE);
    }

    /** The first of all subtypes. */
    Set<TypeOutline> descendants(TypeOutline type, int most) {
        return closure(type, children, most);
    }

    private static Set<TypeOutline> closure(TypeOutline from, Map<String, List<TypeOutline>> edges, int most) {
        Set<TypeOutline> seen = new LinkedHashSet<>();
        Deque<TypeOutline> open = new ArrayDeque<>(edges.getOrDefault(from.name(), List.of()));
        while (!open.isEmpty() && seen.size() < most) {
            TypeOutline next = open.poll();
            if (!next.equals(from) && seen.add(next)) {
                open.addAll(edges.getOrDefault(next.name(), List.of()));
            }
        }
        return seen;
    }

    /** False where the project knows every ancestor. */
    boolean hasForeignParent(TypeOutline type) {
        return hasUnknownParent(type) || ancestors(type).stream().anyMatch(this::hasUnknownParent);
    }

    private boolean hasUnknownParent(TypeOutline type) {
        return type.supertypes().size() > parents(type).size();
    }
}
