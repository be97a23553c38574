package driftwood.refactor;

import driftwood.smell.Evidence;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A part of a refactoring that leaves a program which compiles and behaves the same.
 *
 * @param does   what it does, in the imperative, without a full stop
 * @param places where, as the sources stood before the first stage
 * @param files  what it changes: the whole text of each file after it; empty for a file that goes
 * @param meant  whether a change of behaviour is its point
 */
public record Stage(String does, List<Evidence> places, Map<String, Optional<String>> files, boolean meant) {
}
