package driftwood.smell;

import driftwood.source.Unread;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a scan came to, before the version history and the comments of the code have their say.
 *
 * @param findings with their ids
 * @param fits     the patterns that answer each finding, by its id
 * @param leaves   comments that leave findings out
 * @param unread   regions that could not be read
 */
record Conclusion(List<Finding> findings, Map<String, List<Fit>> fits, List<Leave> leaves, List<Unread> unread) {

    /** In the form in which it is remembered; empty where a text in it is no proper Unicode and cannot be written. */
    Optional<byte[]> bytes() {
        try {
            return Optional.of(Compact.MAPPER.writeValueAsBytes(this));
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    /** Reads a conclusion; empty where the bytes are damaged. */
    static Optional<Conclusion> of(byte[] bytes) {
        try {
            return Optional.of(Compact.MAPPER.readValue(bytes, Conclusion.class));
        } catch (IOException | RuntimeException e) {
            return Optional.empty();
        }
    }
}
