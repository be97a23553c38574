package driftwood.behaviour.slip;

import java.util.List;

/**
 * What cases take of the branches of observed code.
 *
 * @param taken branches that some case takes
 * @param all   branches there are
 * @param never lines with branches that no case takes
 */
public record Coverage(int taken, int all, List<Line> never) {
    public static final Coverage NOTHING = new Coverage(0, 0, List.of());

    /**
     * Branches of one line.
     *
     * @param file  path of the source file
     * @param line  from 1
     * @param never how many of them no case takes
     * @param all   how many it has
     */
    public record Line(String file, int line, int never, int all) {

        public String told() {
            return file + ":" + line + " " + never + " of " + all;
        }
    }
}
