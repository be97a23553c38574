package driftwood.smell;

import driftwood.pack.Line;
import driftwood.source.SourceText;
import driftwood.words.Nearest;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A comment that leaves a finding out: {@code driftwood: leave type-switch because the protocol fixes the kinds}. It
 * stands on the finding's first line, above it, or inside its place.
 *
 * @param file   relative path
 * @param line   of the comment
 * @param below  the next line with code; the same where code stands before the comment
 * @param smells keys of the smells meant; none where the comment does not say to leave anything
 * @param reason why; empty where it is missing, which makes the comment void
 */
public record Leave(String file, @Line int line, int below, List<String> smells, String reason) {
    private static final String MARK = "driftwood:";
    private static final Pattern MARKED = Pattern.compile("(?i)" + MARK);
    private static final Pattern FORM = Pattern.compile("(?i)(?://|#|/\\*+|(?<!\\S)\\*+)\\s*driftwood:\\s*(.*?)\\s*(?:\\*/)?\\s*$");
    private static final Pattern LEAVE = Pattern.compile("(?i)leave\\s+([\\w-]+(?:\\s*,\\s*[\\w-]+)*)\\b(?:\\s+because\\b\\s*(.*)|.*)");
    private static final Pattern COMMENT = Pattern.compile("\\s*(//.*|#.*|/\\*.*|\\*.*|@\\w.*)?");

    /** All such comments of a file, and those that only begin like one. */
    public static List<Leave> in(SourceText source) {
        if (!isMarked(source.text())) {
            return List.of();
        }
        List<Leave> leaves = new ArrayList<>();
        String[] lines = source.text().split("\n", -1);
        for (int i = 0; i < lines.length; i++) {
            Matcher form = MARKED.matcher(lines[i]).find() ? FORM.matcher(lines[i].stripTrailing()) : null;
            if (form != null && form.find()) {
                boolean alone = lines[i].substring(0, form.start()).isBlank();
                int below = i;
                while (alone && below < lines.length - 1 && COMMENT.matcher(lines[below]).matches()) {
                    below++;
                }
                leaves.add(of(form.group(1), source.file().path(), i + 1, below + 1));
            }
        }
        return leaves;
    }

    /** A quick look at all of a text: colons are rarer than letters. */
    private static boolean isMarked(String text) {
        for (int at = text.indexOf(':'); at >= 0; at = text.indexOf(':', at + 1)) {
            if (text.regionMatches(true, at + 1 - MARK.length(), MARK, 0, MARK.length())) {
                return true;
            }
        }
        return false;
    }

    private static Leave of(String said, String file, int line, int below) {
        Matcher leave = LEAVE.matcher(said);
        if (!leave.matches()) {
            return new Leave(file, line, below, List.of(), "");
        }
        List<String> smells = List.of(leave.group(1).toLowerCase(Locale.ROOT).split("\\s*,\\s*"));
        return new Leave(file, line, below, smells, leave.group(2) == null ? "" : leave.group(2).strip());
    }

    public boolean covers(Finding finding) {
        boolean here = finding.line() == line || finding.line() == below
                || finding.line() <= line && line <= finding.endLine();
        return !reason.isEmpty() && finding.file().equals(file) && smells.contains(finding.smell()) && here;
    }

    /**
     * What is wrong with it; empty where nothing is.
     *
     * @param used  whether it covers a finding
     * @param known keys of all smells
     */
    public String complaint(boolean used, List<String> known) {
        if (smells.isEmpty()) {
            return "this comment does nothing: write 'driftwood: leave SMELL because ...'";
        }
        List<String> unknown = smells.stream().filter(each -> !known.contains(each)).toList();
        if (!unknown.isEmpty()) {
            return "there is no smell '" + String.join("', '", unknown) + "' to leave" + Nearest.to(unknown.get(0), known)
                    .map(near -> "; did you mean '" + near + "'?").orElse("");
        }
        if (reason.isEmpty()) {
            return "a reason is missing: write 'driftwood: leave " + String.join(", ", smells) + " because ...'";
        }
        return used ? "" : "leaves nothing: there is no " + String.join(" or ", smells) + " here any more";
    }
}
