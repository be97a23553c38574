package driftwood.pattern;

import driftwood.program.Program;
import driftwood.smell.Finding;
import driftwood.smell.Fit;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A pattern of the catalogue. Stateless. A new one is a class that implements this and a line in {@link Patterns}. */
public interface Pattern {

    /** The key as printed, read and written; never blank. */
    String key();

    /** What it is and when to use it, in two or three sentences. */
    String what();

    /** When to leave it. */
    String whenNot();

    /** Its participants. */
    List<String> roles();

    /** What it says to smells whose findings carry names and places only; by the smell's key. */
    default Map<String, Advice> advice() {
        return Map.of();
    }

    /** How well it answers a finding; empty where it does not. */
    default Optional<Fit> fit(Finding finding, Program program) {
        return Optional.empty();
    }

    /**
     * What a refactoring into this pattern looks like here.
     *
     * @param finding one that this pattern fits
     * @param site    the program and its texts
     */
    default Answer answer(Finding finding, Site site) {
        throw new IllegalArgumentException(key() + " has no plan for " + finding.smell());
    }
}
