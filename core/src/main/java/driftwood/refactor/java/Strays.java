package driftwood.refactor.java;

import driftwood.pattern.Site;
import driftwood.program.Outline;
import driftwood.program.TypeOutline;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Types in files that are not named after them: the compiler does not find them by itself.
 *
 * @param files where each is declared, by its simple name
 */
record Strays(Map<String, Set<Outline>> files) {
    private static final Pattern WORD = Pattern.compile("\\b[A-Z]\\w*");

    static Strays of(Site site) {
        Map<String, Set<Outline>> files = new HashMap<>();
        for (Outline each : site.program().outlines()) {
            String own = each.file().substring(each.file().lastIndexOf('/') + 1).replaceFirst("\\.java$", "");
            for (TypeOutline type : each.file().endsWith(".java") && !each.test() ? each.types() : List.<TypeOutline>of()) {
                if (type.outer().isEmpty() && !type.anonymous() && !type.simpleName().equals(own)) {
                    files.computeIfAbsent(type.simpleName(), key -> new LinkedHashSet<>()).add(each);
                }
            }
        }
        return new Strays(files);
    }

    /** The files with strays that some texts name. */
    Set<Outline> named(Collection<String> texts) {
        Set<Outline> found = new LinkedHashSet<>();
        if (!files.isEmpty()) {
            for (String text : texts) {
                Matcher word = WORD.matcher(text);
                while (word.find()) {
                    found.addAll(files.getOrDefault(word.group(), Set.of()));
                }
            }
        }
        return found;
    }
}
