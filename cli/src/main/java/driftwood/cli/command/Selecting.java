package driftwood.cli.command;

import driftwood.cli.Project;
import driftwood.cli.Scope;
import driftwood.cli.UsageException;
import driftwood.cli.render.Selected;
import driftwood.history.Changes;
import driftwood.scan.Causes;
import driftwood.scan.Scan;
import driftwood.smell.Finding;
import driftwood.smell.detect.Catalogue;
import driftwood.store.Accepted;
import driftwood.store.Wanted;
import driftwood.words.Nearest;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.apache.commons.cli.CommandLine;

/**
 * Which findings of a project are shown: what the command line says, else what the project wants.
 *
 * @param smells  keys of the smells to look for; empty for all
 * @param minDrag findings of less drag are left out
 * @param failAt  a finding of this much drag or more is something to act on; infinite for none
 * @param touched files that changed since the revision asked for; empty where none was
 * @param since   that revision
 */
record Selecting(List<String> smells, double minDrag, double failAt, Optional<Set<String>> touched, String since) {

    /** @throws UsageException where something is asked for that there is not */
    static Selecting of(CommandLine line, Project project) {
        Wanted wanted = project.wanted();
        double least = line.hasOption("min-drag") ? Flags.drag(line, "min-drag") : wanted.minDrag();
        double limit = line.hasOption("fail-at") ? Flags.drag(line, "fail-at") : wanted.failAt();
        String since = line.getOptionValue("touched-since", "");
        Optional<Set<String>> touched = Optional.empty();
        if (line.hasOption("touched-since")) {
            try {
                touched = Optional.of(Changes.since(project.root(), since));
            } catch (Changes.NoAnswer e) {
                throw new UsageException("--touched-since: " + e.getMessage() + ".");
            }
        }
        return new Selecting(line.hasOption("smells") ? named(line.getOptionValue("smells")) : wanted.smells(), least, limit, touched, since);
    }

    private static List<String> named(String option) {
        List<String> named = List.of(option.split(","));
        for (String key : named) {
            if (!Catalogue.keys().contains(key)) {
                throw new UsageException("there is no smell '" + key + "'" + Nearest.to(key, Catalogue.keys())
                        .map(near -> "; did you mean '" + near + "'?").orElse(".")
                        + " The smells are " + String.join(", ", Catalogue.keys()) + ".");
            }
        }
        return named;
    }

    /** The findings at the places named that are over the limit and touched, accepted or not. */
    List<Finding> over(Scan.Result result, Scope scope) {
        return result.findings().stream().filter(inScope(scope)).filter(this::isTouched).filter(this::isOver).toList();
    }

    private static Predicate<Finding> inScope(Scope scope) {
        return each -> scope.has(each.file());
    }

    private boolean isTouched(Finding finding) {
        return touched.isEmpty() || touched.get().contains(finding.file());
    }

    private boolean isOver(Finding finding) {
        return finding.drag().value() >= minDrag;
    }

    /** What is shown, and what is not. @param accepted those to be left out; nothing where they are shown too */
    Selected select(Scan.Result result, Scope scope, Optional<Accepted> accepted) {
        List<Finding> here = result.findings().stream().filter(inScope(scope)).toList();
        List<Finding> touchedHere = here.stream().filter(this::isTouched).toList();
        List<Finding> over = touchedHere.stream().filter(this::isOver).toList();
        List<Finding> shown = over.stream().filter(each -> accepted.isEmpty() || !accepted.get().has(each)).toList();
        List<String> hidden = new ArrayList<>();
        add(touchedHere.size() - over.size(), "of less drag", hidden);
        add(here.size() - touchedHere.size(), "in files not touched since " + since, hidden);
        add(over.size() - shown.size(), "accepted (--with-accepted shows them)", hidden);
        add((int) result.left().stream().filter(inScope(scope)).count(), "left by comments with a reason", hidden);
        add(shown.isEmpty() ? result.findings().size() - here.size() : 0, "elsewhere in the project", hidden);
        List<Scan.Read> files = result.files().stream().filter(each -> scope.has(each.path())).toList();
        return new Selected(result, Causes.together(shown), files, result.unread().stream().filter(each -> scope.has(each.file())).toList(), asked(files),
                touched.isPresent() && touchedHere(files) == 0 ? "Nothing was touched since " + since : "", hidden);
    }

    private static void add(int count, String what, List<String> hidden) {
        if (count > 0) {
            hidden.add(count + " " + what);
        }
    }

    private String asked(List<Scan.Read> files) {
        StringBuilder asked = new StringBuilder();
        if (!smells.isEmpty()) {
            asked.append(" of ").append(smells.size() <= 3 ? String.join(", ", smells) : smells.size() + " of " + Catalogue.keys().size() + " smells");
        }
        if (minDrag > 0) {
            asked.append(String.format(Locale.ROOT, "%s drag %.1f or more", asked.isEmpty() ? " of" : " with", minDrag));
        }
        long here = touchedHere(files);
        if (here > 0) {
            asked.append(here == 1 ? " in the file" : " in the " + here + " files").append(" touched since ").append(since).append(',');
        }
        return asked.toString();
    }

    /** How many of some files were touched; none where nobody asked. */
    private long touchedHere(List<Scan.Read> files) {
        return touched.map(changed -> files.stream().filter(each -> changed.contains(each.path())).count()).orElse(0L);
    }

    boolean fails(List<Finding> shown) {
        return shown.stream().anyMatch(each -> each.drag().value() >= failAt);
    }
}
