package driftwood.plan;

import com.fasterxml.jackson.annotation.JsonInclude;
import driftwood.pattern.Answer.Cost;
import driftwood.refactor.Refactoring.Counts;

/**
 * One way to answer a finding; leaving it is one, too.
 *
 * @param pattern key of the pattern, or {@link #LEAVE}
 * @param fit     0.0 to 1.0
 * @param because one clause
 * @param cost    what it adds; nothing for leaving it
 * @param against why it cannot be carried out here, as a clause; empty where it can, or where nobody tried
 * @param counts  what carrying it out would touch; absent where nobody tried, or where it cannot be
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Candidate(String pattern, double fit, String because, Cost cost, String against, Counts counts) {
    private static final double REFUSED = 0.6;

    /** One that nobody tried to carry out. */
    public Candidate(String pattern, double fit, String because, Cost cost) {
        this(pattern, fit, because, cost, "", null);
    }

    /** The same, with what carrying it out would touch. */
    Candidate counted(Counts touched) {
        return new Candidate(pattern, fit, because, new Cost(touched.types(), touched.lines(), cost.indirection()), "", touched);
    }

    /** The same, where it cannot be carried out: what fits in general and not here is worth less. */
    Candidate refused(String why) {
        return new Candidate(pattern, Math.round(fit * REFUSED * 100) / 100.0, because, cost, why, null);
    }

    /** The choice to leave the code as it is. */
    public static final String LEAVE = "leave-it";
}
