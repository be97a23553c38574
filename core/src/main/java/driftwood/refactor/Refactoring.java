package driftwood.refactor;

import driftwood.pattern.NamedValues;
import driftwood.program.RoutineOutline;
import driftwood.smell.Evidence;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * A refactoring thought through to the last edit: the dry run of what is carried out.
 *
 * @param stages    in order, at least one
 * @param originals the text of every file that a stage changes, as it is before the first one; new files are not in it
 * @param meant     changes of behaviour that are the point of it, one clause each; usually none
 * @param gone      routines that are no longer called as they were: {@code quay.Tariff#quote/2}, {@code quay.Tariff#new/1}
 * @param closed    constructors, told so too, whose parts alone make no object afterwards
 * @param counts    what it touches
 * @param kinds     the type that values are given, where they had none
 * @param next      where one variant more goes afterwards; empty where the pattern's own words say so
 * @param played    what new parts are called, by role, where it is not what the pattern's own words propose
 */
public record Refactoring(List<Stage> stages, Map<String, String> originals, List<String> meant, Set<String> gone, Set<String> closed, Counts counts, Optional<NamedValues> kinds,
        List<Evidence> next, Map<String, String> played) {

    /**
     * What a refactoring costs, counted on what it changes.
     *
     * @param types     types added, less those that go
     * @param lines     lines added, less those that go
     * @param callSites places that name what changes, and are changed with it
     * @param tests     test files that change
     * @param open      public or protected members whose signature changes or that go
     * @param circles   pairs of packages that know each other only since then, as {@code quay.model and quay.desk}
     */
    public record Counts(int types, int lines, int callSites, int tests, int open, List<String> circles) {

        /** With no circle of packages. */
        public Counts(int types, int lines, int callSites, int tests, int open) {
            this(types, lines, callSites, tests, open, List.of());
        }

        /** The same with circles of packages. */
        public Counts circling(List<String> made) {
            return new Counts(types, lines, callSites, tests, open, made);
        }

        private Counts and(Counts more) {
            return new Counts(types + more.types, lines + more.lines, callSites + more.callSites, Math.max(tests, more.tests), open + more.open,
                    Stream.concat(circles.stream(), more.circles.stream()).distinct().toList());
        }
    }

    /** The text of a file after a number of stages; empty where there is none. @param stages from 0 for none */
    public Optional<String> after(String file, int stages) {
        Optional<String> text = Optional.ofNullable(originals.get(file));
        for (int i = 0; i < stages; i++) {
            text = this.stages.get(i).files().getOrDefault(file, text);
        }
        return text;
    }

    /** This one, and another behind it that begins with what this one leaves. */
    public Refactoring and(Refactoring further) {
        Map<String, String> before = new LinkedHashMap<>(further.originals);
        files().forEach(before::remove);
        before.putAll(originals);
        Set<String> left = new TreeSet<>(gone);
        left.addAll(further.gone);
        Set<String> shut = new TreeSet<>(closed);
        shut.addAll(further.closed);
        return new Refactoring(Stream.concat(stages.stream(), further.stages.stream()).toList(), before,
                Stream.concat(meant.stream(), further.meant.stream()).toList(), left, shut, counts.and(further.counts),
                kinds.or(further::kinds), further.next.isEmpty() ? next : further.next, further.played);
    }

    /** Whether a routine can be called afterwards as it was. */
    public boolean keeps(RoutineOutline routine) {
        return !gone.contains(routine.called());
    }

    /** Whether its objects can be made afterwards of what was handed to a constructor before: not where a part of them has become a value with a name, or more is asked for. */
    public boolean makes(RoutineOutline constructor) {
        return keeps(constructor) || kinds.isEmpty() && !closed.contains(constructor.called());
    }

    /** The files that any stage changes, in order. */
    public Set<String> files() {
        Set<String> files = new LinkedHashSet<>();
        stages.forEach(each -> files.addAll(each.files().keySet()));
        return files;
    }

    /** What one stage changes, as a unified diff. @param stage from 0 */
    public String diff(int stage) {
        Map<String, Optional<String>> before = new LinkedHashMap<>();
        stages.get(stage).files().keySet().forEach(file -> before.put(file, after(file, stage)));
        return Diff.of(before, stages.get(stage).files());
    }

    /** What all stages change together, as one unified diff. */
    public String diff() {
        Map<String, Optional<String>> before = new LinkedHashMap<>();
        Map<String, Optional<String>> after = new LinkedHashMap<>();
        for (String file : new ArrayList<>(files())) {
            before.put(file, after(file, 0));
            after.put(file, after(file, stages.size()));
        }
        return Diff.of(before, after);
    }
}
