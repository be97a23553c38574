package driftwood.smell;

import driftwood.program.Outline;
import driftwood.source.Unread;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * All that a scan keeps of a file, in a form that can be remembered.
 *
 * @param outline   for the linked program
 * @param sightings by the key of the seer
 * @param leaves    comments that leave findings out
 * @param unread    regions that could not be read
 */
record Facts(Outline outline, Map<String, List<Object>> sightings, List<Leave> leaves, List<Unread> unread) {
    private static final String OWN = "driftwood.";

    /** What is written: the sightings of one seer are all of one class, which is named once. */
    private record Written(Outline outline, Map<String, String> classes, Map<String, byte[]> sightings,
            List<Leave> leaves, List<Unread> unread) {
    }

    /**
     * In the form in which they are remembered, the number of lines aside, which matters to no judge. Empty where a
     * text in them is no proper Unicode and cannot be written.
     */
    Optional<byte[]> bytes() {
        Map<String, String> classes = new LinkedHashMap<>();
        Map<String, byte[]> some = new LinkedHashMap<>();
        try {
            for (Map.Entry<String, List<Object>> each : sightings.entrySet()) {
                if (!each.getValue().isEmpty()) {
                    classes.put(each.getKey(), each.getValue().get(0).getClass().getName());
                    some.put(each.getKey(), Compact.MAPPER.writeValueAsBytes(each.getValue()));
                }
            }
            return Optional.of(Compact.MAPPER.writeValueAsBytes(
                    new Written(outline.ofLines(0), classes, some, leaves, unread)));
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    /** Reads facts; empty where the bytes are damaged or of another version. @param lines how many the file has */
    static Optional<Facts> of(byte[] bytes, int lines) {
        try {
            Written head = Compact.MAPPER.readValue(bytes, Written.class);
            Map<String, List<Object>> sightings = new LinkedHashMap<>();
            for (Map.Entry<String, byte[]> each : head.sightings().entrySet()) {
                String name = head.classes().get(each.getKey());
                if (name == null || !name.startsWith(OWN)) {
                    return Optional.empty();
                }
                sightings.put(each.getKey(),
                        Compact.MAPPER.readerForListOf(Class.forName(name)).readValue(each.getValue()));
            }
            return Optional.of(new Facts(head.outline().ofLines(lines), sightings, head.leaves(), head.unread()));
        } catch (IOException | ClassNotFoundException | RuntimeException e) {
            return Optional.empty();
        }
    }
}
