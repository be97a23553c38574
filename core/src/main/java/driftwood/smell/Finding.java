package driftwood.smell;

import driftwood.history.Churn;
import driftwood.history.History;
import driftwood.pack.Line;
import driftwood.program.RoutineOutline;
import driftwood.program.Symbol;
import driftwood.program.TypeOutline;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

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
public record Finding(String id, String smell, Drag drag, String language, String file, @Line int line, @Line int endLine,
        String symbol, String message, List<Evidence> evidence, Detail detail) {

    /** Most drag first; then by place, so that the order never depends on anything else. */
    public static final Comparator<Finding> BY_DRAG = Comparator
            .comparingDouble((Finding finding) -> -finding.drag().value())
            .thenComparingDouble(finding -> -finding.drag().weight())
            .thenComparing(Finding::file).thenComparingInt(Finding::line).thenComparing(Finding::smell)
            .thenComparing(Finding::symbol).thenComparing(Finding::message);

    /**
     * Where a finding is.
     *
     * @param file    relative path
     * @param line    first line, counted from 1
     * @param endLine last line
     * @param symbol  qualified name of the routine, type or field
     */
    public record Spot(String file, @Line int line, @Line int endLine, String symbol) {

        /** A whole routine. */
        public static Spot of(RoutineOutline routine) {
            return new Spot(routine.file(), routine.line(), routine.endLine(), routine.symbol());
        }

        /** A whole type. */
        public static Spot of(TypeOutline type) {
            return new Spot(type.file(), type.line(), type.endLine(), type.name());
        }
    }

    /** The same finding, with what the version history says of all the files that it is in. */
    public Finding weighed(History history) {
        Set<String> files = new TreeSet<>(Set.of(file));
        evidence.forEach(each -> files.add(each.file()));
        return new Finding(id, smell, drag.with(Churn.of(files, history)), language, file, line, endLine, symbol,
                message, evidence, detail);
    }

    /** The same finding, with how many files lean on the type it is in, and whether that is on its way out. */
    public Finding among(Dependants dependants) {
        Drag central = drag.among(dependants.of(symbol));
        return new Finding(id, smell, dependants.isDeprecated(symbol) ? central.leaving() : central, language, file, line, endLine, symbol, message, evidence, detail);
    }

    /** The same finding, told otherwise to whoever plans. */
    public Finding with(Detail other) {
        return new Finding(id, smell, drag, language, file, line, endLine, symbol, message, evidence, other);
    }

    public Finding withId(String given) {
        return new Finding(given, smell, drag, language, file, line, endLine, symbol, message, evidence, detail);
    }

    /** Qualified name of the type the place is in. */
    public String type() {
        return Symbol.of(symbol).type();
    }
}
