package driftwood.witness;

import java.util.List;
import java.util.Map;

/**
 * What objects of the project are asked, and how.
 *
 * @param queries by the binary name of a type, names of its routines without parameters, and of its public fields
 * @param homes   folders of the project's classes; none where every class outside the platform is the project's own
 * @param manner  how they are asked
 */
public record Asking(Map<String, List<String>> queries, List<String> homes, Manner manner) {

    /** Ways to ask. Where all queries are what they seem, they make no difference to a case. */
    public enum Manner {
        /** One query after the other. */
        ALONG,
        /** The last query first. */
        BACKWARDS,
        /** Each query twice, the second answer told. */
        TWICE,
        /** Not at all: of an object of the project only its class is told. */
        NEVER
    }

    /** The same, asked otherwise. */
    public Asking in(Manner other) {
        return new Asking(queries, homes, other);
    }

    /** The same with other queries. */
    public Asking with(Map<String, List<String>> others) {
        return new Asking(others, homes, manner);
    }
}
