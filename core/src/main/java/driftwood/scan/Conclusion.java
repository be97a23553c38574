package driftwood.scan;

import driftwood.pattern.Fit;
import driftwood.smell.Finding;
import driftwood.smell.Leave;
import driftwood.source.Unread;
import java.util.List;
import java.util.Map;

/**
 * What a scan came to, before the version history and the comments of the code have their say.
 *
 * @param findings with their ids
 * @param fits     the patterns that answer each finding, by its id
 * @param leaves   comments that leave findings out
 * @param unread   regions that could not be read
 */
record Conclusion(List<Finding> findings, Map<String, List<Fit>> fits, List<Leave> leaves, List<Unread> unread) {
}
