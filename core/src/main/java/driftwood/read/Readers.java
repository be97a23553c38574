package driftwood.read;

import driftwood.source.Language;
import java.util.HashMap;
import java.util.Map;

/** The reader of each language, made when the first file of that language is met. */
public final class Readers {
    private final Map<Language, Reader> made = new HashMap<>();

    /** The reader of a language; safe to ask from several threads. */
    public synchronized Reader of(Language language) {
        return made.computeIfAbsent(language, wanted -> Language.spoken().stream().filter(each -> each.language() == wanted)
                .map(each -> ((ReadLanguage) each).reader()).findFirst().orElseThrow());
    }
}
