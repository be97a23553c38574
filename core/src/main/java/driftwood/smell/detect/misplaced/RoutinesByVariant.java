package driftwood.smell.detect.misplaced;

import driftwood.program.FieldOutline;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.Trail;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.TypeOutline;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * Duties that a type keeps apart by the name of the variant they are for: {@code duesForTug}, {@code duesForYacht},
 * {@code berthForTug}, {@code berthForYacht}. Two duties at least, each for the same two variants at least, with bodies
 * that do something.
 */
final class RoutinesByVariant {
    /** Lines behind the first of a routine of one statement. */
    private static final int HANDED = 2;
    private static final int LEAST = 2;
    /** Questions and accessors are no duties. */
    private static final Set<String> ASKED = Set.of("get", "set", "is", "has", "can", "with", "test");

    private final Program program;
    /** Words of a variant's name, to the families it belongs to: the enum or the parent type. */
    private final Map<List<String>, Set<TypeOutline>> families = new HashMap<>();
    /** The most words that a variant's name has. */
    private final int longest;

    /**
     * What a type keeps.
     *
     * @param keeper   the type that has the routines
     * @param family   the enum or the parent of the variants
     * @param variants their names
     * @param routines by duty, in the order of the source
     */
    record Kept(TypeOutline keeper, TypeOutline family, List<String> variants, Map<String, List<RoutineOutline>> routines) {
    }

    RoutinesByVariant(Program program) {
        this.program = program;
        for (TypeOutline type : program.types()) {
            for (String constant : type.constants()) {
                families.computeIfAbsent(words(constant), key -> new LinkedHashSet<>()).add(type);
            }
            if (!type.anonymous() && !type.isInterface()) {
                program.parents(type).stream().filter(parent -> program.children(parent).size() >= LEAST).forEach(parent ->
                        families.computeIfAbsent(words(type.simpleName()), key -> new LinkedHashSet<>()).add(parent));
            }
        }
        longest = families.keySet().stream().mapToInt(List::size).max().orElse(0);
    }

    /** A name in words: {@code duesForTug}, {@code dues_for_tug} and {@code DUES_FOR_TUG} are the same three. */
    static List<String> words(String name) {
        List<String> words = new ArrayList<>(4);
        int start = 0;
        for (int i = 0; i <= name.length(); i++) {
            boolean gap = i == name.length() || name.charAt(i) == '_';
            boolean next = !gap && i > start && Character.isUpperCase(name.charAt(i)) && !Character.isUpperCase(name.charAt(i - 1));
            if (gap || next) {
                if (i > start) {
                    words.add(name.substring(start, i).toLowerCase(Locale.ROOT));
                }
                start = gap ? i + 1 : i;
            }
        }
        return words.isEmpty() ? List.of("") : words;
    }

    /** What a type keeps for the variants of each family; most often nothing. */
    List<Kept> of(TypeOutline type) {
        Map<TypeOutline, Map<String, Map<String, RoutineOutline>>> grids = new LinkedHashMap<>();
        for (RoutineOutline routine : type.routines()) {
            boolean asked = ASKED.contains(words(routine.name()).get(0));
            boolean works = !asked && routine.hasBody() && !routine.isConstructor() && !routine.brief()
                    && !routine.traits().overrides() && !handsOn(routine);
            if (works) {
                split(type, routine, grids);
            }
        }
        List<Kept> kept = new ArrayList<>();
        grids.forEach((family, duties) -> {
            Set<String> shared = new LinkedHashSet<>();
            Map<String, List<RoutineOutline>> routines = new LinkedHashMap<>();
            duties.forEach((duty, byVariant) -> {
                if (byVariant.size() >= LEAST && (shared.isEmpty() || shared.equals(byVariant.keySet()))) {
                    shared.addAll(byVariant.keySet());
                    routines.put(duty, List.copyOf(byVariant.values()));
                }
            });
            boolean told = kept.stream().anyMatch(each -> each.routines().equals(routines));
            if (routines.size() >= LEAST && !told && knows(type, family) && !isCondition(family, type, shared) && !isOfParts(type, shared)) {
                kept.add(new Kept(type, family, List.copyOf(shared), routines));
            }
        });
        return kept;
    }

    /** Some of the conditions that an object can be in are no variants: {@code contextInitialized} tells what happened. */
    private static boolean isCondition(TypeOutline family, TypeOutline keeper, Set<String> said) {
        return family.name().startsWith(keeper.name() + ".") && said.size() < family.constants().size();
    }

    /** What is done with one part each that the type has: it opens its console, and its pager. */
    private static boolean isOfParts(TypeOutline keeper, Set<String> said) {
        Set<String> parts = new LinkedHashSet<>();
        keeper.fields().forEach(each -> parts.add(String.join(" ", words(each.name()))));
        return parts.containsAll(said);
    }

    /** Whether it only asks another object for what it is named after itself: the duty is kept there. */
    private boolean handsOn(RoutineOutline routine) {
        return routine.endLine() - routine.line() <= HANDED && program.callsBy(routine).stream().anyMatch(call -> call.trail().isCall()
                && call.trail().lastName().equals(routine.name()) && !call.trail().owner().equals(Trail.THIS));
    }

    /** Whether a type has to do with a family at all: a field or a parameter is of it. Words alone prove nothing. */
    private boolean knows(TypeOutline type, TypeOutline family) {
        Stream<TypeRef> held = type.fields().stream().filter(each -> !each.traits().isStatic()).map(FieldOutline::type);
        Stream<TypeRef> taken = type.routines().stream().flatMap(each -> each.parameters().stream())
                .map(ParameterOutline::type);
        return Stream.concat(held, taken).map(ref -> program.resolve(ref, type)).flatMap(Optional::stream)
                .anyMatch(found -> found.equals(family) || program.ancestors(found).contains(family));
    }

    /** Every stretch of words in a routine's name may be a variant; the other words are the duty. */
    private void split(TypeOutline type, RoutineOutline routine,
            Map<TypeOutline, Map<String, Map<String, RoutineOutline>>> grids) {
        List<String> words = words(routine.name());
        for (int from = 0; from < words.size(); from++) {
            for (int to = from + 1; to <= words.size(); to++) {
                Set<TypeOutline> meant = to - from > longest ? Set.of() : families.getOrDefault(words.subList(from, to), Set.of());
                List<String> duty = meant.isEmpty() ? List.of() : Stream.concat(words.subList(0, from).stream(),
                        words.subList(to, words.size()).stream()).toList();
                for (TypeOutline family : meant) {
                    boolean makes = program.resolve(routine.returns(), type).filter(made -> made.equals(family)
                            || program.ancestors(made).contains(family)).isPresent();
                    boolean stranger = !makes && !family.equals(type) && !program.ancestors(type).contains(family)
                            && !type.name().startsWith(family.name() + ".");
                    if (stranger && !duty.isEmpty()) {
                        grids.computeIfAbsent(family, key -> new LinkedHashMap<>())
                                .computeIfAbsent(String.join(" ", duty), key -> new TreeMap<>())
                                .putIfAbsent(String.join(" ", words.subList(from, to)), routine);
                    }
                }
            }
        }
    }
}
