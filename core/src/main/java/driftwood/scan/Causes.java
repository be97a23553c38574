package driftwood.scan;

import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.Symbol;
import driftwood.smell.Detail;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Finding;
import driftwood.smell.RoutineFacts;
import driftwood.smell.TypeFacts;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * What has one cause: chains on the same variants are one decision that is taken in many places, those that ask for the
 * types of one hierarchy are one lack of a routine, chains of one routine on one value are one decision in parts,
 * constructors that call an overridable routine of one name are one habit, the same parameters that travel together are one
 * object that is missing, however many routines they travel through, whoever crosses the same two has one habit, walks that
 * ask for the same container ask one question, as chains do that have it among their kinds, whoever creates one
 * collaborator lacks the same way to be given it, routines of a file that take the parts of one type are misplaced
 * together, grids of the same words are one choice, and types that stand under the same names in the same packages are one
 * copy. (Catalogue, one cause, one rank.)
 */
public final class Causes {
    /** Fewer names may be the same by chance. */
    private static final int TELLING = 5;
    /** So many parameters in common are one matter within a type. */
    private static final int SHARED = 3;
    /** So many names side by side are one matter wherever they travel together. */
    private static final int CLUMP = 4;

    private Causes() {
    }

    /** The cause of each finding, by its id: the id of the first finding that has it. @param together findings of one cause each */
    public static Map<String, String> of(List<List<Finding>> together) {
        Map<String, String> causes = new LinkedHashMap<>();
        together.forEach(group -> group.forEach(each -> causes.put(each.id(), group.get(0).id())));
        return causes;
    }

    /** Findings of one cause together, each group where its first one stands. @param findings most drag first */
    public static List<List<Finding>> together(List<Finding> findings) {
        Map<String, List<Finding>> byPlace = new HashMap<>();
        Map<String, List<Finding>> byVariants = new HashMap<>();
        Map<Finding, Carried> travelling = new IdentityHashMap<>();
        List<Carried> all = new ArrayList<>();
        Map<String, List<Finding>> bySame = new HashMap<>();
        for (Finding each : findings) {
            byPlace.computeIfAbsent(place(each.smell(), each.file(), each.line()), key -> new ArrayList<>(1)).add(each);
            if (each.detail() instanceof Branching branching && !branching.common().isEmpty()) {
                byVariants.computeIfAbsent(branching.common(), key -> new ArrayList<>()).add(each);
            }
            Carried carried = carried(each);
            if (carried.names().size() >= TELLING) {
                travelling.put(each, carried);
                all.add(carried);
            }
            same(each).forEach(one -> bySame.computeIfAbsent(one, key -> new ArrayList<>()).add(each));
        }
        Carriers carriers = Carriers.of(all);
        List<List<Finding>> groups = new ArrayList<>();
        Set<String> taken = new HashSet<>();
        Map<String, List<Finding>> groupOf = new HashMap<>();
        for (Finding first : findings) {
            if (taken.add(first.id())) {
                List<Finding> related = new ArrayList<>();
                List<Finding> group = new ArrayList<>();
                if (first.detail() instanceof Branching branching) {
                    branching.siblings().forEach(each -> related.addAll(byPlace.getOrDefault(place(first.smell(), each.file(), each.line()), List.of())));
                    // One that does the same as others that have a group belongs to it, even if they do not count it in.
                    group = related.stream().map(each -> groupOf.get(each.id())).filter(Objects::nonNull).findFirst().orElse(group);
                    byVariants.getOrDefault(branching.common(), List.of()).stream()
                            .filter(each -> branching.onTypes() || !each.smell().equals(first.smell())).forEach(related::add);
                }
                if (travelling.containsKey(first)) {
                    related.addAll(carriers.travellingWith(travelling.get(first), taken));
                }
                same(first).forEach(one -> related.addAll(bySame.getOrDefault(one, List.of())));
                if (group.isEmpty()) {
                    groups.add(group);
                }
                List<Finding> own = group;
                Stream.concat(Stream.of(first), related.stream().filter(each -> taken.add(each.id()))).forEach(each -> {
                    own.add(each);
                    groupOf.put(each.id(), own);
                });
            }
        }
        return groups;
    }

    /**
     * Parameters that are too many.
     *
     * @param finding where they are
     * @param type    whose routine they are handed to
     * @param names   none where that is not what was found
     */
    private record Carried(Finding finding, String type, Set<String> names) {
        /** All of one are among those of the other, or routines of one type have at least half of them in common. */
        boolean travelsWith(Carried other, int common) {
            int fewer = Math.min(names.size(), other.names.size());
            return common == fewer || type.equals(other.type) && common >= SHARED && 2 * common >= fewer;
        }
    }

    /** All that carry too many parameters, most drag first, and those that have a name among them. */
    private record Carriers(List<Carried> all, Map<String, List<Integer>> byName) {
        static Carriers of(List<Carried> all) {
            Map<String, List<Integer>> byName = new HashMap<>();
            for (int i = 0; i < all.size(); i++) {
                for (String name : all.get(i).names()) {
                    byName.computeIfAbsent(name, key -> new ArrayList<>()).add(i);
                }
            }
            return new Carriers(all, byName);
        }

        /** Those that hand over the same, and what goes on from there within a type. */
        List<Finding> travellingWith(Carried first, Set<String> taken) {
            Set<Integer> found = new LinkedHashSet<>();
            Deque<Carried> follow = new ArrayDeque<>(List.of(first));
            while (!follow.isEmpty()) {
                Carried carried = follow.remove();
                Map<Integer, Integer> common = new TreeMap<>();
                carried.names().forEach(name -> byName.get(name).forEach(each -> common.merge(each, 1, Integer::sum)));
                common.forEach((index, shared) -> {
                    Carried other = all.get(index);
                    if (!taken.contains(other.finding().id()) && carried.travelsWith(other, shared) && found.add(index)
                            && carried.type().equals(other.type())) {
                        follow.add(other);
                    }
                });
            }
            return found.stream().map(each -> all.get(each).finding()).toList();
        }
    }

    private static Carried carried(Finding finding) {
        String type = Symbol.of(finding.symbol()).type();
        if (finding.detail() instanceof RoutineFacts.Parameters many) {
            return new Carried(finding, type, new LinkedHashSet<>(many.parameters()));
        }
        return finding.detail() instanceof Detail.Ladder ladder && !ladder.ladder().isEmpty()
                ? new Carried(finding, type, ladder.ladder().get(ladder.ladder().size() - 1).parameters().stream().map(ParameterOutline::name)
                        .collect(Collectors.toCollection(LinkedHashSet::new))) : new Carried(finding, type, Set.of());
    }

    /**
     * What a finding has in common with others of its cause: the container that is asked for, the types that are alike, and
     * the packages that types of one name are copied between.
     */
    private static List<String> same(Finding finding) {
        // driftwood: leave type-switch because what findings have in common is read from each kind of them
        if (finding.detail() instanceof TypeFacts.Descent descent) {
            return descent.common().isEmpty() ? List.of("container " + descent.container())
                    : List.of("container " + descent.container(), "kind " + Symbol.of(descent.container()).simpleType() + " of " + descent.common());
        }
        if (finding.detail() instanceof RoutineFacts.Work work) {
            return work.own().stream().map(each -> "constructors call " + each).toList();
        }
        if (finding.detail() instanceof Branching branching) {
            String subject = branching.chain().subject().text();
            Stream<String> kinds = branching.onTypes() && !branching.common().isEmpty()
                    ? branching.variants().stream().map(each -> "kind " + each + " of " + branching.common()) : Stream.of();
            return Stream.concat(subject.isEmpty() ? Stream.of() : Stream.of("asked in " + finding.symbol() + " of " + subject), kinds).toList();
        }
        if (finding.detail() instanceof RoutineFacts.Parameters many) {
            return IntStream.rangeClosed(0, many.parameters().size() - CLUMP).mapToObj(at -> "clump of " + many.parameters().subList(at, at + CLUMP)).toList();
        }
        if (finding.detail() instanceof RoutineFacts.Swap swap) {
            return List.of("crosses " + swap.parameters() + " of " + swap.routine());
        }
        if (finding.detail() instanceof TypeFacts.Creating creating) {
            return List.of("creates " + creating.collaborator());
        }
        if (finding.detail() instanceof RoutineFacts.Envy envy) {
            return List.of("parts of " + envy.home() + " taken in " + finding.file());
        }
        if (finding.detail() instanceof TypeFacts.Grid grid) {
            return Stream.of(grid.places().stream().map(Detail.Place::symbol), pairs(grid.rows()), pairs(grid.columns())).flatMap(each -> each).toList();
        }
        if (!(finding.detail() instanceof TypeFacts.Twins twins)) {
            return List.of();
        }
        List<String> alike = new ArrayList<>(twins.types());
        Set<String> packages = new TreeSet<>();
        Set<String> types = new HashSet<>();
        for (String each : twins.types()) {
            String type = each.replaceFirst("^(?:[a-z_]\\w*\\.)*", "");
            types.add(type);
            packages.add(each.substring(0, each.length() - type.length()));
        }
        if (types.size() == 1 && packages.size() > 1) {
            alike.add(String.join(" ", packages));
        }
        return alike;
    }

    /** Two words that are one choice in one grid are that choice in another as well. */
    private static Stream<String> pairs(List<String> words) {
        List<String> sorted = words.stream().filter(each -> !each.isEmpty()).sorted().toList();
        return sorted.stream().flatMap(one -> sorted.stream().filter(other -> one.compareTo(other) < 0).map(other -> "a choice of " + one + " and " + other));
    }

    private static String place(String smell, String file, int line) {
        return smell + " " + file + ":" + line;
    }
}
