package driftwood.behaviour.slip;

import java.util.List;

/**
 * How many small mistakes a recording would notice.
 *
 * @param noticed   slips that at least one case notices
 * @param missed    slips that no case notices, though some case comes to their line
 * @param unreached slips on lines that no case comes to
 * @param untried   slips for which there was no time
 * @param branches  what the cases take of the observed code's branches
 * @param why       why nothing could be measured, or what else is to be said; empty for nothing
 */
public record Notices(int noticed, List<Missed> missed, List<Missed> unreached, int untried,
        Coverage branches, String why) {

    /**
     * A slip that would go unnoticed.
     *
     * @param slip the slip
     * @param file path of the source file; empty where it is not known
     */
    public record Missed(Slip slip, String file) {

        public String told() {
            return file + ":" + slip.line() + " " + slip.what();
        }
    }

    public static Notices unmeasured(String why) {
        return new Notices(0, List.of(), List.of(), 0, Coverage.NOTHING, why);
    }

    /** Slips that were tried. */
    public int planted() {
        return noticed + missed.size() + unreached.size();
    }

    /** Share of the tried slips that are noticed, 0.0 to 1.0; 0 where none was tried. */
    public double share() {
        return planted() == 0 ? 0 : (double) noticed / planted();
    }
}
