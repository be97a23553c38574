package driftwood.smell;

import driftwood.pack.Line;

/**
 * A place that shows a finding, and what is to be seen there.
 *
 * @param file    relative path
 * @param line    first line, counted from 1
 * @param endLine last line
 * @param note    one clause; never blank
 */
public record Evidence(String file, @Line int line, @Line int endLine, String note) {
}
