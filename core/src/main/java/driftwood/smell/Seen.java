package driftwood.smell;

/**
 * A sighting and where it comes from.
 *
 * @param file     relative path
 * @param test     whether the file is test code
 * @param sighting what was seen
 */
public record Seen<S>(String file, boolean test, S sighting) {
}
