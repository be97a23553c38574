package driftwood.read;

import driftwood.source.Language;

/** A language with its reader: the one class of a reader's folder that is registered. */
public interface ReadLanguage extends Language.Spoken {
    /** A reader; asked once for all files of the language. */
    Reader reader();
}
