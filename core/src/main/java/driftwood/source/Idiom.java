package driftwood.source;

/**
 * How plans speak of a language.
 *
 * @param check   how a step is checked, in the imperative
 * @param reminds what reminds of a case that was forgotten, as in "<em>the compiler</em> asks for it"
 * @param onePerFile whether a new type gets a file of its own
 * @param ownBodies  whether each constant of an enumeration can have routines of its own
 * @param contract what several types have in common: an interface, or where there is none, a base class
 */
public record Idiom(String check, String reminds, boolean onePerFile, boolean ownBodies, String contract) {
    /** What can be said of any language. */
    public static final Idiom PLAIN = new Idiom("run the tests", "a test", false, false, "base class");
}
