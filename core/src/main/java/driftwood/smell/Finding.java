package driftwood.smell;

import java.util.Comparator;
import java.util.List;

/**
 * A smell at a place.
 *
 * @param id       short and stable: from smell, symbol and ordinal, not from line numbers; empty until assigned
 * @param smell    key of the smell
 * @param drag     how much it holds back the next change
 * @param language key of the language
 * @param file     relative path
 * @param line     first line, counted from 1
 * @param endLine  last line
 * @param symbol   qualified name of the routine, type or field
 * @param message  one sentence, concrete
 * @param evidence in the order a reader wants it
 * @param detail   what the planner needs to know
 */
public record Finding(String id, String smell, Drag drag, String language, String file, int line, int endLine,
        String symbol, String message, List<Evidence> evidence, Detail detail) {

    /** Most drag first; then by place, so that the order never depends on anything else. */
    public static final Comparator<Finding> BY_DRAG = Comparator
            .comparingDouble((Finding finding) -> -finding.drag().value())
            .thenComparing(Finding::file).thenComparingInt(Finding::line).thenComparing(Finding::smell)
            .thenComparing(Finding::symbol).thenComparing(Finding::message);

    Finding withId(String given) {
        return new Finding(given, smell, drag, language, file, line, endLine, symbol, message, evidence, detail);
    }

    /** Qualified name of the type the place is in. */
    public String type() {
        int hash = symbol.indexOf('#');
        return hash < 0 ? symbol : symbol.substring(0, hash);
    }
}
