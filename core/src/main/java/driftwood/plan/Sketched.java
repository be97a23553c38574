package driftwood.plan;

import com.github.difflib.DiffUtils;
import com.github.difflib.UnifiedDiffUtils;
import driftwood.pattern.Answer;
import driftwood.pattern.Change;
import driftwood.pattern.Site;
import driftwood.program.FieldOutline;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.read.ReadLanguage;
import driftwood.read.SketchCheck;
import driftwood.read.SketchCheck.Complaint;
import driftwood.smell.Finding;
import driftwood.source.Language;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A sketch as it is shown: only where the changed code compiles as well as today's, and loses nothing of what it does.
 *
 * @param diff  a unified diff; empty where none is shown
 * @param why   why not, as a clause; empty where one is shown, or where there was nothing to draw
 * @param files those that the sketch changes
 */
record Sketched(String diff, String why, List<String> files) {
    private static final int CONTEXT = 3;
    private static final int NAMED = 4;

    static Sketched of(Finding finding, Answer answer, Site site) {
        Change change = answer.sketch();
        List<String> files = change.edited();
        if (files.isEmpty() && change.added().isEmpty()) {
            return new Sketched("", "", files);
        }
        if (!answer.lost().isEmpty()) {
            return new Sketched("", answer.lost(), files);
        }
        Map<String, String> before = new LinkedHashMap<>();
        files.forEach(file -> site.text(file).ifPresent(text -> before.put(file, text)));
        Map<String, String> after = new LinkedHashMap<>(change.added());
        try {
            for (String file : before.keySet()) {
                after.put(file, change.after(file, before.get(file)));
            }
        } catch (Change.Overlap e) {
            return new Sketched("", e.getMessage(), files);
        }
        String why = why(finding, site, before, after);
        return new Sketched(why.isEmpty() ? diff(before, after) : "", why, files);
    }

    private static String why(Finding finding, Site site, Map<String, String> before, Map<String, String> after) {
        Optional<SketchCheck> check = ReadLanguage.of(finding.language()).flatMap(ReadLanguage::sketchCheck);
        if (check.isEmpty()) {
            return "sketches are not drawn in " + Language.ofKey(finding.language()).map(Language::title).orElse(finding.language())
                    + ", where no compiler could check them";
        }
        Map<String, String> sources = new LinkedHashMap<>();
        site.program().outlines().stream().filter(each -> each.language().key().equals(finding.language()))
                .forEach(each -> sources.put(each.file(), each.packageName()));
        List<Complaint> complaints = check.get().complaints(site.root(), sources, before, after);
        return complaints.isEmpty() ? "" : told(complaints, finding, site);
    }

    private static String told(List<Complaint> complaints, Finding finding, Site site) {
        Set<String> unknown = new LinkedHashSet<>();
        complaints.stream().map(Complaint::unknown).filter(each -> !each.isEmpty()).forEach(unknown::add);
        Optional<TypeOutline> home = site.type(finding.type());
        List<String> own = unknown.stream().filter(name -> home.filter(type -> isOwn(type, name)).isPresent()).toList();
        if (!own.isEmpty()) {
            return listed(own) + (own.size() == 1 ? " belongs" : " belong") + " to " + home.orElseThrow().simpleName()
                    + " and would have to be handed over";
        }
        if (!unknown.isEmpty()) {
            return listed(List.copyOf(unknown)) + (unknown.size() == 1 ? " is" : " are") + " not known where the code would go";
        }
        Complaint first = complaints.get(0);
        return "it does not compile yet (" + (first.file().isEmpty() ? "" : first.file() + ": ") + first.says() + ")";
    }

    private static boolean isOwn(TypeOutline type, String name) {
        return Stream.concat(type.fields().stream().map(FieldOutline::name), type.routines().stream().map(RoutineOutline::name))
                .anyMatch(name::equals);
    }

    private static String listed(List<String> names) {
        return names.size() <= NAMED ? String.join(", ", names) : String.join(", ", names.subList(0, NAMED)) + " and "
                + (names.size() - NAMED) + " more";
    }

    static String diff(Map<String, String> before, Map<String, String> after) {
        StringBuilder text = new StringBuilder();
        after.forEach((file, now) -> {
            List<String> was = lines(before.getOrDefault(file, ""));
            List<String> diff = UnifiedDiffUtils.generateUnifiedDiff(was.isEmpty() ? "/dev/null" : "a/" + file, "b/" + file, was,
                    DiffUtils.diff(was, lines(now)), CONTEXT);
            diff.forEach(line -> text.append(line.replaceFirst("^@@ -1,0 ", "@@ -0,0 ")).append('\n'));
        });
        return text.toString();
    }

    private static List<String> lines(String text) {
        return text.isEmpty() ? List.of() : new ArrayList<>(Arrays.asList(text.stripTrailing().split("\n", -1)));
    }
}
