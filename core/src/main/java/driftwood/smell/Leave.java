package driftwood.smell;

import driftwood.source.SourceText;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A comment that leaves a finding out: {@code driftwood: leave type-switch because the protocol fixes the kinds}. It
 * stands on the finding's first line, above it, or inside its place.
 *
 * @param file   relative path
 * @param line   of the comment
 * @param below  the next line with code; the same where code stands before the comment
 * @param smells keys of the smells meant
 * @param reason why; empty where it is missing, which makes the comment void
 */
public record Leave(String file, int line, int below, List<String> smells, String reason) {
    private static final String MARK = "driftwood: leave";
    private static final Pattern FORM = Pattern.compile("(?://|#|/?\\*+)\\s*driftwood: leave\\s+([\\w, -]*?)"
            + "(?:\\s+because\\b\\s*(.*?))?\\s*(?:\\*/)?\\s*$");
    private static final Pattern COMMENT = Pattern.compile("\\s*(//.*|#.*|/\\*.*|\\*.*|@\\w.*)?");

    /** All such comments of a file, those without a reason too. */
    static List<Leave> in(SourceText source) {
        if (!source.text().contains(MARK)) {
            return List.of();
        }
        List<Leave> leaves = new ArrayList<>();
        String[] lines = source.text().split("\n", -1);
        for (int i = 0; i < lines.length; i++) {
            Matcher form = FORM.matcher(lines[i].stripTrailing());
            if (form.find()) {
                boolean alone = lines[i].substring(0, form.start()).isBlank();
                int below = i;
                while (alone && below < lines.length - 1 && COMMENT.matcher(lines[below]).matches()) {
                    below++;
                }
                List<String> smells = List.of(form.group(1).strip().split("\\s*,\\s*"));
                String reason = form.group(2) == null ? "" : form.group(2).strip();
                leaves.add(new Leave(source.file().path(), i + 1, below + 1, smells, reason));
            }
        }
        return leaves;
    }

    boolean covers(Finding finding) {
        boolean here = finding.line() == line || finding.line() == below
                || finding.line() <= line && line <= finding.endLine();
        return !reason.isEmpty() && finding.file().equals(file) && smells.contains(finding.smell()) && here;
    }

    /** What is wrong with it; empty where nothing is. @param used whether it covers a finding */
    String complaint(boolean used) {
        List<String> unknown = smells.stream().filter(each -> !Catalogue.keys().contains(each)).toList();
        if (!unknown.isEmpty()) {
            return "there is no smell '" + String.join("', '", unknown) + "' to leave";
        }
        if (reason.isEmpty()) {
            return "a reason is missing: write 'driftwood: leave " + String.join(", ", smells) + " because ...'";
        }
        return used ? "" : "leaves nothing: there is no " + String.join(" or ", smells) + " here any more";
    }
}
