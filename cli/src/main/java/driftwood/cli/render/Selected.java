package driftwood.cli.render;

import driftwood.scan.Scan;
import driftwood.scan.Scan.Read;
import driftwood.smell.Finding;
import driftwood.source.Unread;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What is shown of a scan.
 *
 * @param result   the whole
 * @param causes   the findings that are shown, those of one cause together, most drag first
 * @param files    those at the places that the user named
 * @param unread   what could not be read of them
 * @param asked    what was asked for, where it is less than everything: " of drag 3.0 or more"; empty for everything
 * @param nothing  why nothing could be shown, such as "Nothing was touched since HEAD"; empty where something could
 * @param hidden   what was left out for it, as clauses: "5 of less drag"
 */
public record Selected(Scan.Result result, List<List<Finding>> causes, List<Read> files, List<Unread> unread, String asked, String nothing, List<String> hidden) {

    /** All that are shown, in order. */
    public List<Finding> findings() {
        return causes.stream().flatMap(List::stream).toList();
    }

    public int lines() {
        return files.stream().mapToInt(Read::lines).sum();
    }

    /** Number of files by language. */
    public Map<String, Integer> languages() {
        Map<String, Integer> languages = new TreeMap<>();
        files.forEach(each -> languages.merge(each.language().key(), 1, Integer::sum));
        return languages;
    }

    /** The same with the first findings only. @param most how many; those of one cause count as one */
    public Selected first(int most) {
        return most >= causes.size() ? this : new Selected(result, causes.subList(0, most), files, unread, asked, nothing, hidden);
    }

    /** How many causes have this drag or more. */
    public int weighty(double least) {
        return (int) causes.stream().filter(each -> each.get(0).drag().value() >= least).count();
    }

    /** What was found, in a sentence or two. */
    public String sentence() {
        if (files.isEmpty()) {
            return unread.isEmpty() ? "Nothing was read: no " + languageNames() + " source is there. Hidden folders, build output and links are passed over."
                    : "Nothing could be read" + (unread.size() == 1 ? "" : " of " + unread.size() + " places") + " (listed above).";
        }
        List<Finding> findings = findings();
        StringBuilder text = new StringBuilder(!nothing.isEmpty() ? nothing : findings.isEmpty() ? "No findings" : findings.size() == 1 ? "1 finding" : findings.size() + " findings");
        text.append(asked).append(" in ").append(files.size()).append(files.size() == 1 ? " file, " : " files, ")
                .append(lines()).append(lines() == 1 ? " line" : " lines");
        long aside = files.stream().filter(Scan.Read::aside).count();
        if (aside > 0) {
            text.append("; ").append(aside == files.size() ? "all of them" : aside).append(" not judged: written by a program, or tests by what they import");
        }
        hidden.forEach(each -> text.append("; ").append(each));
        if (!unread.isEmpty()) {
            text.append("; ").append(unread.size()).append(unread.size() == 1 ? " place" : " places").append(" not read (listed above)");
        }
        return text.append('.').toString();
    }

    private static String languageNames() {
        java.util.List<String> titles = driftwood.source.Language.all().stream().map(driftwood.source.Language::title).toList();
        return String.join(", ", titles.subList(0, titles.size() - 1)) + " or " + titles.get(titles.size() - 1);
    }
}
