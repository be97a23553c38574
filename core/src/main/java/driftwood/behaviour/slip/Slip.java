package driftwood.behaviour.slip;

/**
 * A small mistake that could be made in the observed code.
 *
 * @param owner   binary name of the class
 * @param routine name of the routine
 * @param at      index of the routine in its class
 * @param index   of the instruction in the routine
 * @param line    in the source; 0 where the compiler did not say
 * @param kind    what sort of mistake
 * @param what    what was there and what would be there instead
 */
public record Slip(String owner, String routine, int at, int index, int line, Kind kind, String what) {

    /** Sorts of mistakes, with what a case must have to notice one. */
    public enum Kind {
        LIMIT("a case in which both sides are equal"),
        CONDITION("a case whose outcome depends on this condition"),
        OPERATOR("a case whose outcome depends on this number"),
        CONSTANT("a case whose outcome shows this constant"),
        REMOVED_CALL("a case that shows what this call leaves behind"),
        SWAPPED("a case in which the two arguments differ"),
        RESULT("a case that looks at what is handed back here"),
        LOST_ARM("a case with this label");

        private final String needs;

        Kind(String needs) {
            this.needs = needs;
        }

        /** What would notice it. */
        public String needs() {
            return needs;
        }
    }

    /** The same among others of its line. @param number such as "second ", empty for the first */
    Slip nth(String number) {
        return number.isEmpty() ? this : new Slip(owner, routine, at, index, line, kind, what.replaceFirst("^the ", "the " + number));
    }

    /** What is there, whichever of its line it is. */
    String plain() {
        return what.replaceFirst("^the (second|third|fourth) ", "the ");
    }

    /** Its line in its class, for all slips there. */
    public String place() {
        return owner + ':' + line;
    }

    /** Whether two slips could not be told apart by who reads them. */
    String key() {
        return owner + at + ':' + line + kind + what;
    }
}
