package driftwood.pattern;

import driftwood.program.Program;
import driftwood.smell.Gathered;
import driftwood.smell.Finding;
import driftwood.source.Language;
import driftwood.source.Language.Habit;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A pattern of the catalogue.
 *
 * @param key      as printed, read and written; never blank
 * @param what     what it is and when to use it, in two or three sentences
 * @param whenNot  when to leave it
 * @param roles    its participants
 * @param answers  what it says to each smell that it answers, by the smell's key
 * @param computed its code; empty where words are all it is
 */
public record Pattern(String key, String what, String whenNot, List<String> roles, Map<String, Answering> answers,
        Optional<Computed> computed) {

    /**
     * What a pattern says to a smell.
     *
     * @param place  how early it is named among the patterns that answer it, from 1
     * @param advice for findings that carry names and places only; empty where code computes it
     * @param byName the same in languages whose routines can insist that callers name what they pass; empty where it is no other
     */
    public record Answering(int place, Optional<Advice> advice, Optional<Advice> byName) {

        private Optional<Advice> to(Finding finding) {
            return byName.filter(each -> Language.ofKey(finding.language()).filter(language -> language.has(Habit.NAMED_ONLY)).isPresent()).or(() -> advice);
        }
    }

    /** How well it answers a finding; empty where it does not. */
    public Optional<Fit> fit(Finding finding, Program program) {
        Answering answering = answers.get(finding.smell());
        if (answering == null) {
            return Optional.empty();
        }
        Optional<Advice> advice = answering.to(finding);
        return finding.detail() instanceof Gathered gathered && advice.isPresent()
                ? advice.filter(each -> each.suits(finding, program)).map(each -> each.fit(key, gathered)) : computed.flatMap(code -> code.fit(finding, program));
    }

    /**
     * What a refactoring into this pattern looks like here.
     *
     * @param finding one that it fits
     * @param site    the program and its texts
     */
    public Answer answer(Finding finding, Site site) {
        Optional<Advice> advice = answers.get(finding.smell()).to(finding);
        return finding.detail() instanceof Gathered gathered && advice.isPresent() ? advice.get().answer(finding, gathered)
                : computed.orElseThrow().answer(finding, site);
    }
}
