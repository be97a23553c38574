package driftwood.read;

import driftwood.source.Language;
import java.util.Optional;

/** A language with its reader: the one class of a reader's folder that is registered. */
public interface ReadLanguage extends Language.Spoken {
    /** A reader; asked once for all files of the language. */
    Reader reader();

    /** The language of a key with its reader; empty where there is none. */
    static Optional<ReadLanguage> of(String key) {
        return Language.spoken().stream().filter(each -> each.language().key().equals(key)).map(ReadLanguage.class::cast).findFirst();
    }
}
