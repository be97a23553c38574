package driftwood.source;

import driftwood.pack.Line;

/**
 * A file, or a region of one, that could not be read.
 *
 * @param file relative path with forward slashes; never null
 * @param line first line of the region, counted from 1; 1 for a whole file
 * @param why  one clause for the person at the keyboard; never blank
 */
public record Unread(String file, @Line int line, String why) implements Comparable<Unread> {

    @Override
    public int compareTo(Unread other) {
        int byFile = file.compareTo(other.file);
        if (byFile != 0) {
            return byFile;
        }
        return line != other.line ? Integer.compare(line, other.line) : why.compareTo(other.why);
    }
}
