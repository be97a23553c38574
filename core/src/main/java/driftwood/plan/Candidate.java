package driftwood.plan;

import driftwood.pattern.Answer.Cost;

/**
 * One way to answer a finding; leaving it is one, too.
 *
 * @param pattern key of the pattern, or {@link #LEAVE}
 * @param fit     0.0 to 1.0
 * @param because one clause
 * @param cost    what it adds; nothing for leaving it
 */
public record Candidate(String pattern, double fit, String because, Cost cost) {
    /** The choice to leave the code as it is. */
    public static final String LEAVE = "leave-it";
}
