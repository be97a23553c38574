package driftwood.source;

import java.util.Locale;

/**
 * How plans speak of a language.
 *
 * @param check   how a step is checked, in the imperative
 * @param reminds what reminds of a case that was forgotten, as in "<em>the compiler</em> asks for it"
 * @param onePerFile whether a new type gets a file of its own
 * @param ownBodies  whether each constant of an enumeration can have routines of its own
 * @param contract what several types have in common: an interface, or where there is none, a base class
 * @param spelling how names of routines are written
 */
public record Idiom(String check, String reminds, boolean onePerFile, boolean ownBodies, String contract, Spelling spelling) {
    /** How the words of a name are told apart. */
    public enum Spelling {
        /** {@code createPermit}. */
        CAMEL,
        /** {@code CreatePermit}. */
        PASCAL,
        /** {@code create_permit}. */
        SNAKE
    }

    /** What can be said of any language. */
    public static final Idiom PLAIN = new Idiom("run the tests", "a test", false, false, "base class");

    public Idiom(String check, String reminds, boolean onePerFile, boolean ownBodies, String contract) {
        this(check, reminds, onePerFile, ownBodies, contract, Spelling.CAMEL);
    }

    public Idiom spelling(Spelling told) {
        return new Idiom(check, reminds, onePerFile, ownBodies, contract, told);
    }

    /** A name of a routine as the language writes it. @param camel such as {@code createPermit} */
    public String routine(String camel) {
        return switch (spelling) {
            case CAMEL -> camel;
            case PASCAL -> camel.substring(0, 1).toUpperCase(Locale.ROOT) + camel.substring(1);
            case SNAKE -> camel.replaceAll("(?<=[a-z0-9])(?=[A-Z])", "_").toLowerCase(Locale.ROOT);
        };
    }
}
