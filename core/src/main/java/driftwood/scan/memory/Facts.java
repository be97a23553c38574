package driftwood.scan.memory;

import driftwood.program.Outline;
import driftwood.program.Outline.CallFact;
import driftwood.program.Outline.CreationFact;
import driftwood.smell.Leave;
import driftwood.source.Unread;
import java.util.List;
import java.util.Map;

/** All that a scan keeps of a file. */
public interface Facts {

    /** For the linked program. */
    Outline outline();

    /** What one seer saw, in source order. @param seer its key */
    List<Object> sightings(String seer);

    /** What is told of the file itself. */
    Remarks remarks();

    /**
     * What is told of a file beside findings.
     *
     * @param leaves comments that leave findings out
     * @param unread regions that could not be read
     */
    record Remarks(List<Leave> leaves, List<Unread> unread) {
    }

    /** What a file's code does with types and routines. */
    record Used(List<CreationFact> creations, List<CallFact> calls) {
    }

    /**
     * Facts that were seen in this scan.
     *
     * @param all   the sightings, by the key of the seer
     * @param types the class of each seer's sightings, by its key
     */
    record Fresh(Outline outline, Map<String, List<Object>> all, Map<String, Class<?>> types, Remarks remarks) implements Facts {
        @Override
        public List<Object> sightings(String seer) {
            return all.getOrDefault(seer, List.of());
        }
    }
}
