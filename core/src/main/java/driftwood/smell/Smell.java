package driftwood.smell;

import driftwood.smell.Finding.Spot;
import driftwood.source.Language;
import java.util.List;

/**
 * A smell of the catalogue, in words for the reader.
 *
 * @param key     as printed, configured and written in files; never blank
 * @param prefix  of the ids of its findings
 * @param title   a few words
 * @param what    what it is and why it hurts
 * @param isNot   what looks like it and is none
 * @param example a few lines of code that have it
 */
public record Smell(String key, String prefix, String title, String what, String isNot, String example) {

    /** A finding of this smell, without an id yet. */
    public Finding finding(Spot spot, Drag drag, String message, List<Evidence> evidence, Detail detail) {
        String language = Language.ofFileName(spot.file()).map(Language::key).orElse("");
        return new Finding("", key, drag, language, spot.file(), spot.line(), spot.endLine(), spot.symbol(), message,
                evidence, detail);
    }
}
