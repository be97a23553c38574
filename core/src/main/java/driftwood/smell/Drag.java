package driftwood.smell;

import driftwood.history.Churn;
import java.util.ArrayList;
import java.util.List;

/**
 * How much a smell will hold back the next change, 0.0 to 5.0. Growing with the logarithm: the second place that must
 * be edited hurts more than the tenth. See docs/drag.md for the formula and its reasons.
 *
 * @param value   0.0 to 5.0, rounded to one decimal
 * @param weight  the same before it is bounded, by which findings of the same value are told apart
 * @param reasons why, most important first; each a clause that can stand alone
 */
public record Drag(double value, double weight, List<String> reasons) {
    /** No drag is higher. */
    public static final double MOST = 5.0;
    private static final double BENT = 3.5;
    private static final double PER_REACH = 0.8;
    private static final double PER_SPREAD = 0.5;
    private static final double PER_SIZE = 0.25;

    /**
     * Adds up the parts of a drag.
     *
     * @param reach places that must be edited together, at least 1
     * @param files files these places are in, at least 1
     * @param size  how much there is to understand at the place itself: arms, parameters, guards
     */
    public static Builder of(int reach, int files, int size) {
        return new Builder(reach, files, size);
    }

    /** What so many places that must be edited together add. */
    public static double reaching(int places) {
        return PER_REACH * log2(1 + Math.max(1, places));
    }

    /** Collects risks and gives the drag. */
    public static final class Builder {
        private final List<String> reasons = new ArrayList<>();
        private double sum;

        private Builder(int reach, int files, int size) {
            sum = reaching(reach) + PER_SPREAD * log2(Math.max(1, files))
                    + PER_SIZE * log2(1 + Math.max(0, size));
            reasons.add(reach == 1 ? "1 place to edit" : reach + " places in " + files
                    + (files == 1 ? " file to edit together" : " files to edit together"));
        }

        /** A risk of getting the change silently wrong. @param weight negative where something guards against it */
        public Builder risk(boolean applies, double weight, String reason) {
            if (applies) {
                sum += weight;
                reasons.add(reason);
            }
            return this;
        }

        public Drag build() {
            return bounded(sum, reasons);
        }
    }

    /** Above {@link #BENT} it comes closer and closer to the most: no number of places makes two of the worst the same. */
    private static Drag bounded(double sum, List<String> reasons) {
        double room = MOST - BENT;
        double value = sum <= BENT ? Math.max(0.0, sum) : BENT + room * (1 - Math.exp((BENT - sum) / room));
        return new Drag(Math.round(value * 10) / 10.0, sum, List.copyOf(reasons));
    }

    private static final double PER_RECENT_CHANGE = 0.15;
    private static final double MOST_FOR_CHANGES = 0.6;
    private static final double PER_CHANGE_TOGETHER = 0.8;
    private static final double FOR_REST = 0.8;

    /**
     * This drag, with what the version history says: what changed often of late will change again, and what changed
     * together must be found together. Code at rest drags less.
     *
     * @param churn of the files that the smell is in
     */
    public Drag with(Churn churn) {
        List<String> all = new ArrayList<>(reasons);
        double sum = weight + Math.min(MOST_FOR_CHANGES, PER_RECENT_CHANGE * log2(1 + churn.recent()));
        if (churn.together() >= 2) {
            sum += PER_CHANGE_TOGETHER * churn.together() / churn.latest();
            all.add(0, all.remove(0).replaceAll(" to edit( together)?", "") + ", changed together in " + churn.together()
                    + " of the last " + churn.latest() + " commits to them");
        } else if (churn.recent() >= 2) {
            all.add("changed in " + churn.recent() + " commits within a year");
        }
        if (churn.touches() > 0 && churn.recent() == 0) {
            sum -= FOR_REST;
            all.add("at rest: not changed within a year");
        }
        return bounded(sum, all);
    }

    private static final int CENTRAL = 4;
    private static final double PER_DEPENDANT = 0.15;
    private static final double MOST_FOR_DEPENDANTS = 0.45;

    /** This drag, with how central the type is. @param dependants other files that lean on the type, at least 0 */
    public Drag among(int dependants) {
        if (dependants < CENTRAL) {
            return this;
        }
        List<String> all = new ArrayList<>(reasons);
        all.add(dependants + " other files lean on the type");
        return bounded(weight + Math.min(MOST_FOR_DEPENDANTS, PER_DEPENDANT * log2(dependants / 2.0)), all);
    }

    private static final double FOR_DEPRECATED = 1.5;

    /** This drag, of what is deprecated: nobody takes pains with what is to go. */
    public Drag leaving() {
        List<String> all = new ArrayList<>(reasons);
        all.add("deprecated, so on its way out");
        return bounded(weight - FOR_DEPRECATED, all);
    }

    private static double log2(double x) {
        return Math.log(x) / Math.log(2);
    }
}
