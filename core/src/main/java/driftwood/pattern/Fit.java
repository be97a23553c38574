package driftwood.pattern;

/**
 * How well a pattern answers a finding.
 *
 * @param pattern key of the pattern
 * @param score   0.0 to 1.0, two decimals; 0.5 is "as good as leaving it"
 * @param because one clause
 */
public record Fit(String pattern, double score, String because) {

    public Fit {
        score = Math.round(Math.min(1.0, Math.max(0.0, score)) * 100) / 100.0;
    }
}
