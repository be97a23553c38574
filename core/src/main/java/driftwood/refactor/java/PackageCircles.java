package driftwood.refactor.java;

import driftwood.refactor.Stage;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Packages that know each other only since a refactoring: code moved onto a type may ask for the package that it came from. */
final class PackageCircles {
    private static final Pattern PACKAGE = Pattern.compile("(?m)^\\s*package\\s+([\\w.]+)\\s*;");
    private static final Pattern IMPORT = Pattern.compile("(?m)^\\s*import\\s+(?:static\\s+)?([a-z_][\\w]*(?:\\.[a-z_][\\w]*)*)\\.[A-Z*]");

    private PackageCircles() {
    }

    /** Pairs such as {@code quay.model and quay.desk}, in order; none where no two packages come to know each other. @param texts of the files that it was written on */
    static List<String> of(List<Stage> stages, Map<String, String> texts) {
        Map<String, String> after = new LinkedHashMap<>(texts);
        stages.forEach(stage -> stage.files().forEach((file, text) -> text.ifPresentOrElse(now -> after.put(file, now), () -> after.remove(file))));
        Set<List<String>> before = circles(texts);
        List<String> made = new ArrayList<>();
        circles(after).stream().filter(each -> !before.contains(each)).forEach(each -> made.add(each.get(0) + " and " + each.get(1)));
        return made;
    }

    private static Set<List<String>> circles(Map<String, String> texts) {
        Map<String, Set<String>> known = new LinkedHashMap<>();
        for (String text : texts.values()) {
            Matcher own = PACKAGE.matcher(text);
            if (own.find()) {
                IMPORT.matcher(text).results().forEach(each -> known.computeIfAbsent(own.group(1), key -> new TreeSet<>()).add(each.group(1)));
            }
        }
        Set<List<String>> circles = new LinkedHashSet<>();
        known.forEach((one, all) -> all.stream().filter(other -> !other.equals(one) && known.getOrDefault(other, Set.of()).contains(one))
                .forEach(other -> circles.add(Stream.of(one, other).sorted().toList())));
        return circles;
    }
}
