package driftwood.plan;

import driftwood.pattern.Answer.Role;
import driftwood.refactor.Wishes;
import driftwood.smell.Evidence;
import driftwood.source.Texts;
import driftwood.store.Hash;
import java.util.List;
import java.util.Map;

/**
 * A plan for one finding. Saved as JSON; see docs/formats.md.
 *
 * @param format     of the file, with its version
 * @param finding    id of the finding
 * @param smell      its key
 * @param symbol     where it is
 * @param file       relative path
 * @param line       first line when the plan was made
 * @param message    what the finding said
 * @param pattern    the chosen candidate's key
 * @param candidates best first
 * @param roles      who plays what
 * @param steps      in order
 * @param drill      one more variant, today and after
 * @param against    why Driftwood cannot carry it out, as a clause; empty where it can, and for leaving it
 * @param names      that were chosen for new parts, by role
 * @param form       of the pattern that was asked for; empty for the usual one
 * @param meant      changes of behaviour that are the point of it, a clause each
 * @param stages     how many of the last steps {@code refactor} carries out; 0 where it cannot
 * @param done       how many of them it has carried out
 * @param sources    files the plan was made from, with the SHA-256 of their text
 */
public record Plan(String format, String finding, String smell, String symbol, String file, int line, String message,
        String pattern, List<Candidate> candidates, List<Role> roles, List<Step> steps, Drill drill,
        String against, Map<String, String> names, String form, List<String> meant, int stages, int done, Map<String, String> sources) {
    /**
     * A step.
     *
     * @param does   what to do, in the imperative
     * @param places where
     * @param check  how to see that nothing else changed, in the words of the language
     * @param diff   what it changes, as a unified diff; empty where it is told in words only
     */
    public record Step(String does, List<Evidence> places, String check, String diff) {
    }

    /** The format of plan files. */
    public static final String FORMAT = "driftwood-plan/2";

    /** Plans of before there were forms have the usual one. */
    public Plan {
        form = form == null ? "" : form;
    }

    /** What the user asked for beside the pattern. */
    public Wishes wishes() {
        return new Wishes(names, form);
    }

    /** The name of its file, without the folder. */
    public String fileName() {
        return finding + "-" + pattern + ".json";
    }

    /** The same, so many stages further. */
    public Plan done(int carried) {
        return new Plan(format, finding, smell, symbol, file, line, message, pattern, candidates, roles, steps, drill, against, names, form, meant,
                stages, carried, sources);
    }

    /** Files that are not what the plan was made from any more, or are gone. @param texts of the project */
    public List<String> changed(Texts texts) {
        return sources.entrySet().stream().filter(each -> !texts.text(each.getKey()).map(Hash::of).filter(each.getValue()::equals).isPresent())
                .map(Map.Entry::getKey).toList();
    }
}
